using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Tests.Harmonics.Second;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>
/// Bridges on two solvers: that of the product (power series, shooting with the slopes of the equations) and a second one that only tests
/// use (Dormand–Prince steps, shooting by differences). They share no equation, no switching logic and no search.
/// </summary>
public sealed class TwoSolversTests
{
    // Choke in % of U²/P, short-circuit ratio, load part, unbalance, 5th, 7th, 11th.
    public static TheoryData<double, double, double, double, double, double, double> Circuits => new()
    {
        { 0, 40, 1, 0, 0, 0, 0 },
        { 0, 120, 0.4, 0, 0.02, 0.01, 0 },
        { 0, 60, 1, 0.01, 0, 0, 0 },
        { 4, 40, 1, 0, 0, 0, 0 },
        { 3, 25, 0.7, 0.005, 0.015, 0, 0.01 },
        { 5, 80, 1, 0, 0, 0.02, 0 },
        { 4, 30, 0.25, 0.01, 0.01, 0.01, 0 },
        { 4, 60, 1, 0.02, 0.02, 0, 0 },
        { 2, 80, 1, 0.02, 0.02, 0, 0 },
        { 0, 30, 0.15, 0, 0, 0, 0 },
    };

    [Theory]
    [MemberData(nameof(Circuits))]
    public void Both_find_the_same_orbit(double chokePct, double ratio, double load, double unbalance, double fifth, double seventh,
        double eleventh)
    {
        const double ratedW = 90e3, volts = 400, hertz = 50;
        var ohm = volts * volts / ratedW;
        var omega = 2 * Math.PI * hertz;
        var input = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = volts,
            FrequencyHz = hertz,
            SourceResistanceOhm = ohm / ratio / 8,
            SourceInductanceH = ohm / ratio / omega,
            DcChokeH = chokePct / 100 * ohm / omega,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 90e-6 * 90,
            DcLoadW = load * ratedW,
            LoadModel = DcLoadModel.ConstantPower,
            UnbalancePu = unbalance,
            Background = new HarmonicEmf(fifth, new Complex(seventh, 0.3 * seventh), new Complex(0, eleventh)),
        };
        var one = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));
        var other = MultiPulseStudy.OneBridge(input, 0);
        Assert.NotNull(other);
        Assert.Equal(one.PhaseA.ThdiPct, other.PhaseA.ThdiPct, 0.01);
        Assert.Equal(one.WorstPhase.ThdiPct, other.WorstPhase.ThdiPct, 0.01);
        Assert.Equal(one.DcVoltageMeanV, other.DcVoltageMeanV, 1e-4 * one.DcVoltageMeanV);
        Assert.Equal(one.DcVoltageRipplePkPkV, other.DcVoltageRipplePkPkV, 0.02 * one.DcVoltageRipplePkPkV);
        Assert.Equal(one.ActivePowerW, other.ActivePowerW, 1e-4 * one.ActivePowerW);
        Assert.Equal(one.IsContinuous, other.IsContinuous);
        for (var p = 0; p < 3; p++)
        {
            Assert.Equal(one.Phases[p].RmsA, other.Phases[p].RmsA, 2e-4 * one.Phases[p].RmsA);
            Assert.Equal(one.Phases[p].TruePowerFactor, other.Phases[p].TruePowerFactor, 1e-4);
            for (var h = 0; h < 25; h++)
            {
                Assert.True((one.Phases[p].Orders[h] - other.Phases[p].Orders[h]).Magnitude < 3e-4 * one.PhaseA.FundamentalA,
                    $"phase {p}, order {h + 1}");
            }
        }

        foreach (var angle in new[] { 0.1, 1.2, 2.9, 4.4, 6.0 })
        {
            Assert.Equal(one.Waveform.LineCurrentA(angle), other.Waveform.LineCurrentA(angle), 2e-3 * one.PhaseA.PeakA);
            Assert.Equal(one.Waveform.LinkVoltageV(angle), other.Waveform.LinkVoltageV(angle), 1e-3 * one.DcVoltageMeanV);
        }
    }

    [Fact]
    public void A_search_that_begins_at_a_neighbour_ends_where_a_fresh_one_does()
    {
        var input = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = 400,
            FrequencyHz = 50,
            SourceResistanceOhm = 0.01,
            SourceInductanceH = 80e-6,
            DcChokeH = 130e-6,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 5e-3,
            DcLoadW = 55e3,
            UnbalancePu = 0.005,
            Background = new HarmonicEmf(0.01, 0),
        };
        var neighbour = RectifierStudy.Run(input with { Background = new HarmonicEmf(0.015, 0.002), LineVoltageV = 398 });
        var near = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input, neighbour));
        var fresh = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));
        Assert.Equal(fresh.PhaseA.ThdiPct, near.PhaseA.ThdiPct, 1e-4);
        Assert.Equal(fresh.DcVoltageMeanV, near.DcVoltageMeanV, 1e-4);
    }

    [Fact]
    public void Harmonic_EMFs_beyond_what_the_circuit_describes_are_refused()
    {
        var input = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = 400,
            FrequencyHz = 50,
            SourceResistanceOhm = 0.01,
            SourceInductanceH = 80e-6,
            DcChokeH = 0,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 5e-3,
            DcLoadW = 55e3,
            Background = new HarmonicEmf(0, 0, 0.31),
        };
        Assert.Throws<ArgumentOutOfRangeException>(() => RectifierStudy.Run(input));
        Assert.Equal(0.31, input.Background.Largest);
        Assert.Equal(0.31 * 0.31, input.Background.SquareSum, 12);
        Assert.Equal([-1, 1, -1, 1], HarmonicEmf.Orders.Select(HarmonicEmf.TurnOf));
        Assert.Equal(input.Background, HarmonicEmf.Of(h => input.Background[h]));
        Assert.Equal(Complex.Zero, input.Background[3]);
    }

    [Theory]
    [InlineData(2, 0, 0, 0)]
    [InlineData(2, 0.015, 0.01, 0.1)]
    [InlineData(3, 0, 0.02, 0)]
    [InlineData(3, 0.02, 0, 0.05)]
    public void So_they_do_behind_shifted_secondaries(int bridges, double unbalance, double fifth, double mismatch)
    {
        const double ratedW = 200e3, volts = 400, hertz = 50;
        var ohm = volts * volts / ratedW;
        var omega = 2 * Math.PI * hertz;
        var input = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = volts,
            FrequencyHz = hertz,
            SourceResistanceOhm = ohm / 300,
            SourceInductanceH = ohm / 40 / omega,
            DcChokeH = 0.03 * ohm * bridges / omega,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 80e-6 * 200,
            DcLoadW = ratedW,
            LoadModel = DcLoadModel.ConstantPower,
            UnbalancePu = unbalance,
            Background = new HarmonicEmf(fifth, 0),
            UnbalanceRad = 0,
            Bridges = bridges,
            LeakageH = 0.05 * ohm * bridges / omega,
            LeakageMismatchPu = mismatch,
        };
        var one = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));
        var other = Assert.IsType<RectifierResult.SteadyState>(MultiPulseStudy.Run(input));
        Assert.Equal(one.DcVoltageMeanV, other.DcVoltageMeanV, 1e-4 * one.DcVoltageMeanV);
        Assert.Equal(one.ActivePowerW, other.ActivePowerW, 1e-4 * one.ActivePowerW);
        for (var p = 0; p < 3; p++)
        {
            Assert.Equal(one.Phases[p].ThdiPct, other.Phases[p].ThdiPct, 0.01);
            for (var h = 0; h < 25; h++)
            {
                Assert.True((one.Phases[p].Orders[h] - other.Phases[p].Orders[h]).Magnitude < 3e-4 * one.PhaseA.FundamentalA,
                    $"phase {p}, order {h + 1}");
            }
        }
    }
}
