using System.Numerics;
using System.Text.Json;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Two and three bridges behind a shifting transformer, against a circuit simulator and by symmetry.</summary>
public sealed class MultiPulseTests
{
    private static readonly IReadOnlyList<(string Id, RectifierInput Input, int Bridges, double LeakageH, JsonElement Lumped,
        JsonElement Shared)> Cases = Load();

    public static TheoryData<string> Ids => [.. Cases.Select(c => c.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void Agrees_with_the_circuit_simulator_where_each_bridge_has_its_own_source(string id)
    {
        var (_, input, bridges, leakage, lumped, _) = Cases.Single(c => c.Id == id);
        var found = Run(input, bridges, leakage);
        Near(lumped, found, thdPoints: 0.03, current: 0.002, factor: 0.001);
    }

    /// <summary>What the lumping costs: at most 0.6 points of THDi, 2.5 % of the fundamental.</summary>
    [Theory]
    [MemberData(nameof(Ids))]
    public void Comes_near_to_bridges_that_share_one_source(string id)
    {
        var (_, input, bridges, leakage, _, shared) = Cases.Single(c => c.Id == id);
        Near(shared, Run(input, bridges, leakage), thdPoints: 0.6, current: 0.025, factor: 0.01);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Agrees_with_the_circuit_simulator_where_all_bridges_share_one_source(string id)
    {
        var (_, input, bridges, leakage, _, shared) = Cases.Single(c => c.Id == id);
        var found = Coupled(input, bridges, leakage);
        Near(shared, found, thdPoints: 0.005, current: 0.001, factor: 0.001);
        Assert.InRange(found.Multiplier, 0, 0.999);
        Assert.Equal(shared.GetProperty("dcVoltageMeanV").GetDouble(), found.DcVoltageMeanV, 0.002 * found.DcVoltageMeanV);

        // What the source gives beyond its own resistance arrives at the link.
        Assert.Equal(input.DcLoadW, found.ActivePowerW - found.Phases.Sum(p => input.SourceResistanceOhm * p.RmsA * p.RmsA),
            0.001 * input.DcLoadW);
    }

    /// <summary>Leakages that differ by up to a fifth, with unbalance and a distorted line.</summary>
    [Fact]
    public void Agrees_with_the_circuit_simulator_where_the_leakages_differ()
    {
        var unequal = Reference().GetProperty("unequal").EnumerateArray().ToList();
        Assert.Equal(3, unequal.Count);
        foreach (var item in unequal)
        {
            var input = item.GetProperty("input");
            var found = Coupled(RectifierReference.Read(input), BridgesOf(input), LeakageOf(input));
            var shared = item.GetProperty("shared");
            Near(shared, found, thdPoints: 0.02, current: 0.001, factor: 0.001);
            var orders = shared.GetProperty("harmonicRmsA").EnumerateArray().Select(x => x.GetDouble()).ToArray();
            for (var h = 2; h <= 25; h++)
            {
                Assert.Equal(orders[h - 1], found.PhaseA.Orders[h - 1].Magnitude, 5e-4 * found.PhaseA.FundamentalA);
            }
        }
    }

    /// <summary>Behind a stiff source and a large link each bridge works by itself on one voltage: the solver of a single bridge says the
    /// same.</summary>
    [Fact]
    public void Unequal_bridges_on_a_stiff_source_are_single_bridges_on_one_link_voltage()
    {
        const double leakageH = 300e-6, mismatch = 0.2;
        var whole = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = 400,
            FrequencyHz = 50,
            SourceResistanceOhm = 0,
            SourceInductanceH = 1e-9,
            DcChokeH = 0,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 0.2,
            DcLoadW = 60e3,
            Bridges = 2,
            LeakageH = leakageH,
            LeakageMismatchPu = mismatch,
        };
        var found = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(whole));
        Complex[] sum = new Complex[LineCurrent.HighestOrder];
        double watts = 0;
        foreach (var (shift, part) in new[] { (15.0, 1 + mismatch), (-15.0, 1 - mismatch) })
        {
            // The power of this bridge at which its own link voltage is the common one.
            double low = 1e3, high = 60e3;
            RectifierResult.SteadyState own = null!;
            for (var i = 0; i < 40; i++)
            {
                var load = 0.5 * (low + high);
                own = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(new RectifierInput
                {
                    Kind = RectifierKind.SixPulse,
                    LineVoltageV = 400,
                    FrequencyHz = 50,
                    SourceResistanceOhm = 0,
                    SourceInductanceH = part * leakageH,
                    DcChokeH = 0,
                    DcChokeResistanceOhm = 0,
                    DcCapacitanceF = 0.2,
                    DcLoadW = load,
                }));
                (low, high) = own.DcVoltageMeanV > found.DcVoltageMeanV ? (load, high) : (low, load);
            }

            watts += own.ActivePowerW;
            for (var h = 1; h <= sum.Length; h += 2)
            {
                var turn = h % 3 == 0 ? 0 : h - (h % 6 == 1 ? 1 : -1);
                sum[h - 1] += own.PhaseA.Orders[h - 1] * Complex.FromPolarCoordinates(1, turn * shift * Math.PI / 180);
            }
        }

        Assert.Equal(60e3, watts, 60.0);
        foreach (var h in new[] { 1, 5, 7, 11, 13, 17, 19 })
        {
            Assert.True((sum[h - 1] - found.PhaseA.Orders[h - 1]).Magnitude < 2e-3 * found.PhaseA.FundamentalA, $"order {h}");
        }

        // Equal bridges would cancel it to nothing.
        Assert.True(found.PhaseA.Orders[4].Magnitude > 0.01 * found.PhaseA.FundamentalA);
    }

    /// <summary>600 units over load, unbalance, choke and strength of the source, all of which a real unit works at: each settles and
    /// balances.</summary>
    [Fact]
    [Trait("speed", "slow")]
    public void Whatever_a_unit_meets_in_a_plant_settles_and_its_power_balances()
    {
        double[] loads = [0.03, 0.1, 0.25, 0.5, 1], unbalances = [0, 0.003, 0.01, 0.02, 0.03], chokes = [0, 0.01, 0.02, 0.04],
        ratios = [15, 40, 150];
        const double ratedW = 200e3, omega = 100 * Math.PI;
        var ohm = 400 * 400 / ratedW;
        var cases = 0;
        foreach (var (bridges, load, unbalance, choke, ratio) in
            from b in new[] { 2, 3 } from l in loads from u in unbalances from c in chokes from r in ratios select (b, l, u, c, r))
        {
            var found = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(new RectifierInput
            {
                Kind = RectifierKind.SixPulse,
                LineVoltageV = 400,
                FrequencyHz = 50,
                SourceResistanceOhm = ohm / ratio / 8,
                SourceInductanceH = ohm / ratio / omega,
                DcChokeH = choke * ohm * bridges / omega,
                DcChokeResistanceOhm = 0,
                DcCapacitanceF = 60e-6 * 200,
                DcLoadW = load * ratedW,
                LoadModel = DcLoadModel.ConstantPower,
                UnbalancePu = unbalance,
                Background = new HarmonicEmf(0.012, 0.005),
                Bridges = bridges,
                LeakageH = 0.05 * ohm * bridges / omega,
            }));
            var loss = found.Phases.Sum(p => ohm / ratio / 8 * p.RmsA * p.RmsA);
            Assert.Equal(load * ratedW, found.ActivePowerW - loss, 1e-3 * load * ratedW);
            Assert.True(found.Multiplier < 1);
            cases++;
        }

        Assert.Equal(600, cases);
    }

    [Fact]
    public void A_resistor_takes_the_power_stated()
    {
        var (_, input, bridges, leakage, _, _) = Cases[0];
        var found = Coupled(input with { LoadModel = DcLoadModel.Resistor, SourceResistanceOhm = 0 }, bridges, leakage);
        Assert.Equal(input.DcLoadW, found.ActivePowerW, 1e-4 * input.DcLoadW);
    }

    [Fact]
    public void Without_a_state_that_repeats_the_reason_is_given_and_never_a_spectrum()
    {
        var (_, input, bridges, leakage, _, _) = Cases[0];

        // Far more than the line can carry through its impedance.
        var none = Assert.IsType<RectifierResult.NoSteadyState>(RectifierStudy.Run(input with { DcLoadW = 5 * input.DcLoadW,
            Bridges = bridges, LeakageH = leakage }));
        Assert.Contains("collapses", none.Reason, StringComparison.Ordinal);
        Assert.Throws<ArgumentOutOfRangeException>(() => RectifierStudy.Run(input with { Bridges = bridges, LeakageH = 0 }));
        Assert.Throws<ArgumentOutOfRangeException>(() =>
            RectifierStudy.Run(input with { Bridges = bridges, LeakageH = leakage, LeakageMismatchPu = 0.6 }));
    }

    [Theory]
    [InlineData(2, 12)]
    [InlineData(3, 18)]
    public void Balanced_bridges_leave_only_the_orders_of_their_pulses(int bridges, int pulses)
    {
        var (_, input, _, leakage, _, _) = Cases[0];
        var found = Coupled(input with { UnbalancePu = 0 }, bridges, leakage).PhaseA;
        for (var h = 2; h <= LineCurrent.HighestOrder; h++)
        {
            var pct = 100 * found.Orders[h - 1].Magnitude / found.FundamentalA;
            Assert.True((h + 1) % pulses == 0 || (h - 1) % pulses == 0 ? pct > 0 : pct < 1e-4, $"order {h}: {pct} %");
        }
    }

    [Fact]
    public void A_background_fifth_brings_back_what_the_shift_had_cancelled_and_power_still_balances()
    {
        var (_, input, bridges, leakage, _, _) = Cases[0];
        var found = Coupled(input with { Background = new HarmonicEmf(0.02, 0), SourceResistanceOhm = 0 }, bridges, leakage);
        Assert.True(100 * found.PhaseA.Orders[4].Magnitude / found.PhaseA.FundamentalA > 1);

        // No resistance anywhere: what the EMFs give arrives at the link, and the phases' factors say the same.
        Assert.Equal(input.DcLoadW, found.ActivePowerW, input.DcLoadW * 1e-3);
        var volts = input.LineVoltageV / Math.Sqrt(3) * Math.Sqrt(1 + (0.02 * 0.02));
        Assert.Equal(found.ActivePowerW, found.Phases.Sum(p => p.TruePowerFactor * volts * p.RmsA), found.ActivePowerW * 1e-3);
    }

    [Fact]
    public void The_angle_of_the_unbalance_moves_the_phases_round()
    {
        var (_, input, _, _, _, _) = Cases.First(c => c.Input.UnbalancePu > 0);
        var zero = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));

        // A negative sequence later by 240° in its own turning sense is the same unbalance seen from the next phase.
        var turned = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input with { UnbalanceRad = -2 * Math.PI / 3 }));
        var sorted = zero.Phases.Select(p => p.RmsA).Order().ToArray();
        Assert.Equal(sorted, turned.Phases.Select(p => p.RmsA).Order(), (a, b) => Math.Abs(a - b) < 1e-4 * a);
        Assert.NotEqual(zero.Phases[0].RmsA, turned.Phases[0].RmsA, 1.0);
    }

    private static RectifierResult.SteadyState Run(RectifierInput input, int bridges, double leakageH) =>
        Assert.IsType<RectifierResult.SteadyState>(LumpedMultiPulse.Run(input, bridges, leakageH));

    private static RectifierResult.SteadyState Coupled(RectifierInput input, int bridges, double leakageH) =>
        Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input with { Bridges = bridges, LeakageH = leakageH }));

    private static void Near(JsonElement expected, RectifierResult.SteadyState found, double thdPoints, double current, double factor)
    {
        double Value(string name) => expected.GetProperty(name).GetDouble();
        Assert.Equal(Value("thdiPct"), found.PhaseA.ThdiPct, thdPoints);
        Assert.Equal(Value("thdiMaxPct"), found.WorstPhase.ThdiPct, thdPoints);
        Assert.Equal(Value("fundamentalA"), found.PhaseA.FundamentalA, Value("fundamentalA") * current);
        Assert.Equal(Value("truePowerFactor"), found.PhaseA.TruePowerFactor, factor);
        Assert.Equal(Value("displacementPowerFactor"), found.PhaseA.DisplacementPowerFactor, factor);
        Assert.Equal(Value("activePowerW"), found.ActivePowerW, Value("activePowerW") * 0.002);
    }

    private static JsonElement Reference() =>
        JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Harmonics", "multi-pulse-reference.json"))).RootElement;

    private static int BridgesOf(JsonElement input) => input.GetProperty("kind").GetString() == "twelve-pulse" ? 2 : 3;

    private static double LeakageOf(JsonElement input) => input.GetProperty("transformerLeakageUh").GetDouble() * 1e-6;

    private static List<(string, RectifierInput, int, double, JsonElement, JsonElement)> Load() =>
    [
        .. Reference().GetProperty("cases").EnumerateArray().Select(c => (
            c.GetProperty("id").GetString()!, RectifierReference.Read(c.GetProperty("input")), BridgesOf(c.GetProperty("input")),
            LeakageOf(c.GetProperty("input")),
            c.GetProperty("result"), c.GetProperty("shared"))),
    ];
}
