using System.Text.Json;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Two and three bridges behind a shifting transformer, against a circuit simulator and by symmetry.</summary>
public sealed class MultiPulseTests
{
    private static readonly IReadOnlyList<(string Id, RectifierInput Input, int Bridges, double LeakageH, JsonElement Lumped, JsonElement Shared)> Cases = Load();

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
        Assert.Equal(input.DcLoadW, found.ActivePowerW - found.Phases.Sum(p => input.SourceResistanceOhm * p.RmsA * p.RmsA), 0.001 * input.DcLoadW);
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

    private static List<(string, RectifierInput, int, double, JsonElement, JsonElement)> Load()
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Harmonics", "multi-pulse-reference.json"));
        return
        [
            .. JsonDocument.Parse(text).RootElement.GetProperty("cases").EnumerateArray().Select(c =>
            {
                var input = c.GetProperty("input");
                return (
                    c.GetProperty("id").GetString()!, RectifierReference.Read(input), input.GetProperty("kind").GetString() == "twelve-pulse" ? 2 : 3,
                    input.GetProperty("transformerLeakageUh").GetDouble() * 1e-6, c.GetProperty("result"), c.GetProperty("shared"));
            }),
        ];
    }
}
