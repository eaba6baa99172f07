using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>
/// Where the search for an orbit begins: next to one known, as far as the EMF or the bridges of the circuit have changed.
/// </summary>
public sealed class OrbitStartTests
{
    private const double Volts = 400;
    private const double Omega = 2 * Math.PI * 50;

    public static TheoryData<double, double> Circuits => new() { { 4, 0 }, { 0, 0 }, { 4, 0.01 }, { 0, 0.02 } };

    [Theory]
    [MemberData(nameof(Circuits))]
    public void The_start_moves_with_the_voltage_as_its_slopes_tell(double chokePct, double unbalance)
    {
        var front = FrontCircuit.Of(Input(75e3, chokePct, unbalance));
        var emf = front.StatedEmf();
        var orbit = Assert.IsType<OrbitResult.Settled>(front.Orbit(emf, null));
        var slopes = CouplingMatrix.Of(front.Circuit, orbit, [orbit.Spectra[0].LinkMean], emf).Starts!;
        var (places, _) = PeriodicOrbit.Directions(front.Circuit, orbit.Conduction);
        var size = 0.0;
        foreach (var m in new[] { 1, -5, 7, -11 })
        {
            var change = new SpaceVector();
            change[m] = new Complex(3e-6, -4e-6);
            var moved = Assert.IsType<OrbitResult.Settled>(front.Orbit(emf.Plus(change, 1), orbit));
            double[] seen = [.. places.Select(p => moved.Start[p] - orbit.Start[p])];
            var told = slopes.Step(change);
            var most = seen.Max(Math.Abs);
            Assert.All(told.Zip(seen), s => Assert.InRange(Math.Abs(s.First - s.Second), 0, 0.02 * most));
            size = Math.Max(size, most);
        }

        Assert.InRange(size, 1e-6, 1);
    }

    [Fact]
    public void What_a_prediction_was_wrong_by_is_made_good_along_its_change_and_nowhere_else()
    {
        var slopes = new StartSlopes([1, -5], 7, new double[,] { { 1, 2, 3, 4 }, { -1, 0, 0.5, 2 } });
        var (change, across) = (new SpaceVector(), new SpaceVector());
        (change[1], change[-5]) = (new Complex(0.1, 0.2), new Complex(-0.3, 0.1));
        (across[1], across[-5]) = (new Complex(0.2, -0.1), new Complex(0.1, 0.3));
        Assert.Equal(0, change.Dot(across), 1e-15);
        var learnt = slopes.Learnt(change, [0.25, -0.5]);
        Assert.Equal(slopes.Step(change)[0] + 0.25, learnt.Step(change)[0], 1e-12);
        Assert.Equal(slopes.Step(change)[1] - 0.5, learnt.Step(change)[1], 1e-12);
        Assert.Equal(slopes.Step(across)[0], learnt.Step(across)[0], 1e-12);
        Assert.Equal(slopes.Step(across)[1], learnt.Step(across)[1], 1e-12);
    }

    [Fact]
    public void The_same_bridges_in_another_order_begin_where_they_did()
    {
        var (choked, plain) = (Input(75e3, 4, 0), Input(30e3, 0, 0));
        var one = FrontCircuit.OfSeveral([choked, plain], new Complex(0.002, 0.02), null);
        var other = FrontCircuit.OfSeveral([plain, choked], new Complex(0.002, 0.02), null);
        var orbit = Assert.IsType<OrbitResult.Settled>(one.Orbit(one.StatedEmf(), null));
        var near = orbit.Regrouped(one.Circuit, other.Circuit, [(1, 1), (0, 1)])!;
        var found = Assert.IsType<OrbitResult.Settled>(other.Orbit(other.StatedEmf(), near));
        for (var i = 0; i < other.Circuit.Size; i++)
        {
            Assert.Equal(near.Start[i], found.Start[i], 1e-8);
        }

        Assert.Equal(orbit.Spectra[1].Line[1].Magnitude, found.Spectra[0].Line[1].Magnitude, 1e-9);
        Assert.Null(orbit.Regrouped(one.Circuit, other.Circuit, [(1, 1), (-1, 1)]));
        Assert.Null(orbit.Regrouped(one.Circuit, other.Circuit, [(1, 1)]));
    }

    [Fact]
    public void A_bridge_that_is_divided_begins_with_its_parts()
    {
        var (choked, plain) = (Input(60e3, 4, 0), Input(30e3, 0, 0));
        var one = FrontCircuit.OfSeveral([choked, plain], new Complex(0.002, 0.02), null);
        var third = FrontCircuit.OfSeveral([Input(20e3, 4, 0), plain, Input(40e3, 4, 0)], new Complex(0.002, 0.02), null);
        var orbit = Assert.IsType<OrbitResult.Settled>(one.Orbit(one.StatedEmf(), null));
        var near = orbit.Regrouped(one.Circuit, third.Circuit, [(0, 1 / 3.0), (1, 1), (0, 2 / 3.0)])!;
        var found = Assert.IsType<OrbitResult.Settled>(third.Orbit(third.StatedEmf(), near));

        // Chokes, capacitors and feeders go with the power here, so that both parts together are the whole.
        var rest = Assert.IsType<OrbitResult.Settled>(third.Orbit(third.StatedEmf(), null));
        for (var i = 0; i < third.Circuit.Size; i++)
        {
            Assert.Equal(rest.Start[i], found.Start[i], 1e-8);
            Assert.Equal(near.Start[i], found.Start[i], 1e-6);
        }
    }

    [Theory]
    [InlineData(1.5)]
    [InlineData(3)]
    [InlineData(30)]
    public void A_link_that_never_conducts_again_does_not_lead_the_search_away(double times)
    {
        var front = FrontCircuit.OfSeveral([Input(75e3, 4, 0), Input(30e3, 0, 0)], new Complex(0.002, 0.02), null);
        var emf = front.StatedEmf();
        var orbit = Assert.IsType<OrbitResult.Settled>(front.Orbit(emf, null));
        var start = (double[])orbit.Start.Clone();
        start[front.Circuit.Link(1)] *= times;
        var found = Assert.IsType<OrbitResult.Settled>(front.Orbit(emf, orbit with { Start = start }));
        Assert.Equal(orbit.Start[front.Circuit.Link(1)], found.Start[front.Circuit.Link(1)], 1e-8);
    }

    [Fact]
    public void Only_an_orbit_of_a_sixth_tells_by_its_third_power_how_half_a_cycle_dies_out()
    {
        var six = FrontCircuit.Of(Input(75e3, 4, 0));
        var even = Assert.IsType<OrbitResult.Settled>(six.Orbit(six.StatedEmf(), null));
        var uneven = FrontCircuit.Of(Input(75e3, 4, 0.003));
        var own = Assert.IsType<OrbitResult.Settled>(uneven.Orbit(uneven.StatedEmf(), even));
        Assert.Equal((true, false), (even.IsSixfold, own.IsSixfold));
        Assert.Equal(Math.Pow(even.Multiplier, 3), own.Beside(even, even).Multiplier, 1e-12);

        var single = FrontCircuit.Of(Input(2e3, 0, 0) with { Kind = RectifierKind.SinglePhase, LineVoltageV = 230 });
        var half = Assert.IsType<OrbitResult.Settled>(single.Orbit(single.StatedEmf(), null));
        Assert.False(half.IsSixfold);
        Assert.Equal(half.Multiplier, half.Beside(half, half with { Multiplier = 0.5 }).Multiplier);
    }

    private static RectifierInput Input(double loadW, double chokePct, double unbalance)
    {
        var ohm = Volts * Volts / loadW;
        return new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = Volts,
            FrequencyHz = 50,
            SourceResistanceOhm = ohm / 320,
            SourceInductanceH = ohm / Omega / 40,
            DcChokeH = chokePct / 100 * ohm / Omega,
            DcChokeResistanceOhm = 0.01 * ohm,
            DcCapacitanceF = 400e-9 * loadW,
            DcLoadW = loadW,
            UnbalancePu = unbalance,
        };
    }
}
