using CsCheck;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Limiting cases and laws, independent of the circuit simulator.</summary>
public sealed class RectifierLawTests
{
    [Fact]
    public void A_huge_choke_on_a_stiff_source_gives_square_blocks()
    {
        var result = Solve(Case(sourceUh: 1, chokeUh: 200_000, capacitanceUf: 20_000, kw: 10) with { LoadModel = DcLoadModel.Resistor });
        var phase = result.PhaseA;
        foreach (var order in new[] { 5, 7, 11, 13 })
        {
            Assert.Equal(1.0, order * phase.Orders[order - 1].Magnitude / phase.FundamentalA, 0.003);
        }

        // √(Σ1/h²) over the orders 6k ± 1 up to 50.
        var theory = 100 * Math.Sqrt(Enumerable.Range(2, 49).Where(h => h % 6 is 1 or 5).Sum(h => 1.0 / (h * h)));
        Assert.Equal(theory, phase.ThdiPct, 0.1);
        Assert.Equal(1, phase.DisplacementPowerFactor, 0.0005);
        Assert.Equal(3 * Math.Sqrt(2) / Math.PI * 400, result.DcVoltageMeanV, 0.3);
    }

    [Fact]
    public void Mean_voltage_falls_by_the_overlap_drop()
    {
        // Ideal smoothing: U_dc = 3√2/π·U − 3·ω·L/π·I_dc.
        const double sourceUh = 400;
        var result = Solve(Case(sourceUh, 200_000, 20_000, 20) with { LoadModel = DcLoadModel.Resistor });
        var theory = (3 * Math.Sqrt(2) / Math.PI * 400) - (3 * 100 * Math.PI * sourceUh * 1e-6 / Math.PI * result.DcCurrentMeanA);
        Assert.Equal(theory, result.DcVoltageMeanV, 0.3);
    }

    [Fact]
    public void Power_balances_for_any_circuit_that_settles() => Gen
        .Select(Gen.Double[30, 2000], Gen.Double[0, 3000], Gen.Double[60, 400], Gen.Double[1, 60], Gen.Double[0.05, 1])
        .Sample(
            x =>
            {
                var (sourceUh, chokeUh, ufPerKw, kw, rOverX) = x;
                var input = Case(sourceUh, chokeUh, ufPerKw * kw, kw) with
                {
                    SourceResistanceOhm = rOverX * 100 * Math.PI * sourceUh * 1e-6,
                    DcChokeResistanceOhm = 0.01,
                };
                if (RectifierStudy.Run(input) is not RectifierResult.SteadyState found)
                {
                    return true;
                }

                var lost = found.Phases.Sum(p => input.SourceResistanceOhm * p.RmsA * p.RmsA)
                    + (0.01 * found.DcCurrentRmsA * found.DcCurrentRmsA);
                return Math.Abs(found.ActivePowerW - lost - input.DcLoadW) < 2e-4 * input.DcLoadW;
            },
            iter: 150);

    [Fact]
    public void Scaling_power_and_impedance_together_changes_nothing_but_the_amperes() => Gen.Double[0.1, 20].Sample(
        factor =>
        {
            var one = Case(300, 800, 2000, 20) with { SourceResistanceOhm = 0.03 };
            var other = one with
            {
                SourceInductanceH = one.SourceInductanceH / factor,
                SourceResistanceOhm = one.SourceResistanceOhm / factor,
                DcChokeH = one.DcChokeH / factor,
                DcCapacitanceF = one.DcCapacitanceF * factor,
                DcLoadW = one.DcLoadW * factor,
            };
            var (a, b) = (Solve(one).PhaseA, Solve(other).PhaseA);
            return Math.Abs(a.ThdiPct - b.ThdiPct) < 1e-4 && Math.Abs((a.FundamentalA * factor) - b.FundamentalA) < 1e-5 * b.FundamentalA;
        },
        iter: 40);

    [Fact]
    public void More_source_impedance_flattens_the_current()
    {
        var last = double.PositiveInfinity;
        foreach (var sourceUh in new[] { 50.0, 100, 200, 400, 800 })
        {
            var thdi = Solve(Case(sourceUh, 0, 2000, 20) with { SourceResistanceOhm = 0.02 }).PhaseA.ThdiPct;
            Assert.True(thdi < last, $"{thdi} at {sourceUh} µH is not below {last}");
            last = thdi;
        }
    }

    [Theory]
    [InlineData(0.0)]
    [InlineData(800.0)]
    public void Half_a_step_of_the_attenuation_ratio_hardly_moves_the_distortion(double chokeUh)
    {
        var input = Case(150, chokeUh, 2000, 20) with { SourceResistanceOhm = 0.02 };
        var moved = input with { SourceInductanceH = input.SourceInductanceH * 1.002,
            SourceResistanceOhm = input.SourceResistanceOhm * 1.002 };
        Assert.InRange(Math.Abs(Solve(input).PhaseA.ThdiPct - Solve(moved).PhaseA.ThdiPct), 0, 0.06);
    }

    [Fact]
    public void A_ringing_circuit_is_named_and_the_capacitance_that_settles_it_does()
    {
        // 7.5 kW, 4.2 % choke, short-circuit ratio 500, 95 µF/kW: known to ring at a subharmonic.
        var input = Case(sourceUh: 135.8, chokeUh: 2852, capacitanceUf: 712, kw: 7.5) with { SourceResistanceOhm = 0.0042 };
        var none = Assert.IsType<RectifierResult.NoSteadyState>(RectifierStudy.Run(input));
        Assert.Contains("subharmonic", none.Reason, StringComparison.Ordinal);
        Assert.NotNull(none.SettlingCapacitanceF);
        Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input
            with { DcCapacitanceF = 1.02 * none.SettlingCapacitanceF.Value }));
        Assert.IsType<RectifierResult.NoSteadyState>(RectifierStudy.Run(input
            with { DcCapacitanceF = 0.9 * none.SettlingCapacitanceF.Value }));
    }

    [Fact]
    public void A_single_phase_bridge_with_much_reactance_and_little_capacitance_is_named()
    {
        // 3 kW with a 4 % reactor and 1100 µF settles with even orders, 1400 µF does not.
        var input = new RectifierInput
        {
            Kind = RectifierKind.SinglePhase,
            LineVoltageV = 230,
            FrequencyHz = 50,
            SourceResistanceOhm = 0.02,
            SourceInductanceH = 2.345e-3,
            DcChokeH = 0,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 1100e-6,
            DcLoadW = 3000,
        };
        Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input with { DcCapacitanceF = 2000e-6 }));
        var outcome = RectifierStudy.Run(input with { DcCapacitanceF = 700e-6 });
        Assert.IsType<RectifierResult.NoSteadyState>(outcome);
    }

    [Fact]
    public void More_power_than_the_supply_can_deliver_is_named()
    {
        var none = Assert.IsType<RectifierResult.NoSteadyState>(RectifierStudy.Run(Case(1944, 123, 12_666,
            60) with { SourceResistanceOhm = 0.61 }));
        Assert.Contains("can't deliver", none.Reason, StringComparison.Ordinal);
        Assert.Null(none.SettlingCapacitanceF);
    }

    [Theory]
    [InlineData(0.0)]
    [InlineData(-1e-6)]
    [InlineData(double.NaN)]
    public void A_source_without_inductance_is_refused(double inductanceH)
    {
        var problem = Assert.Throws<ArgumentOutOfRangeException>(() =>
            RectifierStudy.Run(Case(100, 0, 1000, 10) with { SourceInductanceH = inductanceH }));
        Assert.Equal("SourceInductanceH", problem.ParamName);
    }

    private static RectifierResult.SteadyState Solve(RectifierInput input) =>
        Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));

    private static RectifierInput Case(double sourceUh, double chokeUh, double capacitanceUf, double kw) =>
        new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50, SourceResistanceOhm = 0,
            SourceInductanceH = sourceUh * 1e-6, DcChokeH = chokeUh * 1e-6, DcChokeResistanceOhm = 0, DcCapacitanceF = capacitanceUf * 1e-6,
            DcLoadW = kw * 1e3 };
}
