using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Assessment.Supply;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>
/// Waveform and network settled together, against a time-domain simulation of the whole circuit: source 6 MVA, X/R 6, 400 V, 50 Hz; a
/// capacitor bank at the bus; one 75 kW drive behind a 4 % reactor. Simulated by backward Euler with 0.2 µs over 120 cycles, diodes as
/// conductances, the floating star point found at each step; without bank a general circuit simulator gives the same.
/// </summary>
public sealed class FrontIterationTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    // Bank in kvar; THDi of the drive, %; orders 5, 7, 11, 13 of the drive and of the source, A; permitted distance of these, parts of the
    // fundamental. 120 kvar resonate at 7.07. Resistances constant, as in the simulation.
    public static TheoryData<double, double, double[], double[], double, double> Simulated => new()
    {
        { 0, 32.563, [34.335, 9.729, 6.775, 3.770], [34.335, 9.729, 6.775, 3.770], 0.001, 0.001 },
        { 30, 32.834, [34.664, 8.990, 6.850, 2.672], [39.538, 11.854, 16.984, 16.008], 0.001, 0.002 },
        { 120, 32.908, [35.090, 2.306, 8.093, 3.634], [69.201, 56.575, 5.832, 1.557], 0.001, 0.003 },
    };

    [Theory]
    [MemberData(nameof(Simulated))]
    public void A_bank_and_the_waveform_settle_where_the_whole_circuit_does_in_time(double kvar, double thdiPct, double[] driveA, double[] sourceA, double drivePu, double sourcePu)
    {
        var (drive, sums, iteration) = Settle(kvar, 1);
        Assert.True(iteration.IsSettled, iteration.ToString());
        var current = ((RectifierResult.LineDraw)drive.Front).PhaseA;
        Assert.Equal(thdiPct, current.ThdiPct, 0.02);
        var source = sums.AtCoupling("bus")[0].CurrentA;
        foreach (var (order, i) in new[] { 5, 7, 11, 13 }.Select((h, i) => (h, i)))
        {
            Assert.Equal(driveA[i], current.Orders[order - 1].Magnitude, drivePu * current.FundamentalA);
            Assert.Equal(sourceA[i], source[order - 1].Magnitude, sourcePu * current.FundamentalA);
        }
    }

    [Fact]
    public void Without_anything_but_the_source_one_solution_is_enough()
    {
        var (drive, _, iteration) = Settle(0, 1);
        Assert.True(iteration.Rounds <= 2);

        // The circuit of the front end is the network: no EMF but the source's is left.
        Assert.All(drive.Search!.Emf.Parts().Where(p => p.M != 1), p => Assert.InRange(p.Part.Magnitude, 0, 1e-8));
        Assert.Equal(1, drive.Search!.Emf[1].Magnitude, 1e-8);
    }

    [Fact]
    public void A_project_may_ask_for_all_orders_together()
    {
        var asked = Demo with { Overrides = [.. Demo.Overrides, new DefaultOverride("harmonics-all-orders", 1, "bank without reactor")] };
        var found = new Assessor(Data).Run(asked);
        Assert.All(found.Scenarios, s => Assert.True(s.Iteration is { IsBalance: true, IsSettled: true }, s.Iteration.ToString()));
        Assert.All(new Assessor(Data).Run(Demo).Scenarios, s => Assert.False(s.Iteration.IsBalance));

        // Where it ended the next search begins and stays.
        var again = new Assessor(Data).Run(asked);
        Assert.All(again.Scenarios, s => Assert.Equal(1, s.Iteration.Rounds));
        Assert.Equal(found.Scenarios[0].Pcc.HarmonicA, again.Scenarios[0].Pcc.HarmonicA, 1e-6 * found.Scenarios[0].Pcc.HarmonicA);
        Assert.Equal(Verdict.Fails, found.Checks.Single(c => c is { Id: "harmonics.resonance", ElementId: "caps" }).Verdict);
    }

    [Fact]
    public void What_does_not_settle_is_said_with_its_residual_and_the_front_end_that_moves_most()
    {
        // Front ends that never answer twice alike can't settle with any network.
        var calls = 0;
        RectifierResult Restless(RectifierInput input, RectifierResult? near) =>
            RectifierStudy.Run(input with { DcLoadW = input.DcLoadW * (Interlocked.Increment(ref calls) % 3 == 0 ? 1 : 0.6) });
        var assessor = new Assessor(Data);
        var models = Demo.AllDrivePoints().Select(p => assessor.Study(Demo, p)).Where(s => s.IsComplete).Select(s => s.Model).ToList();
        var defaults = DefaultsInForce.Resolve(Data.Defaults, Demo.Overrides);
        var scenario = Demo.Scenarios.Single(s => s.Name == "night, kiln only");
        ScenarioResult Run(Func<RectifierInput, RectifierResult?, RectifierResult> rectifier) => ScenarioStudy.Run(
            Demo, scenario, defaults, models, Data.SupplyModules, rectifier, new Dictionary<string, DriveInScenario>(StringComparer.Ordinal))!;

        var restless = Run(Restless);
        Assert.False(restless.Iteration.IsSettled);
        Assert.Equal(60, restless.Iteration.Rounds);
        var said = Assert.Single(restless.Unsettled, u => u.Contains("do not settle", StringComparison.Ordinal));
        Assert.Contains(FormattableString.Invariant($"{restless.Iteration.Residual:0.00} points"), said, StringComparison.Ordinal);
        Assert.Contains(scenario.Name, said, StringComparison.Ordinal);

        var calm = Run(RectifierStudy.Run);
        Assert.True(calm.Iteration.IsSettled);
        Assert.Empty(calm.Unsettled);
    }

    [Fact]
    public void Mixing_finds_a_fixed_point_that_plain_repetition_runs_away_from()
    {
        // x ↦ A·x + b with |A| beyond one: x = b/(1 − a) in each of three coupled directions.
        double[,] a = { { -1.8, 0.3, 0 }, { 0.2, 0.4, -0.5 }, { 0, 0.6, -2.2 } };
        double[] b = [1, -2, 0.5];
        double[] Map(double[] x) => [.. Enumerable.Range(0, 3).Select(r => b[r] + Enumerable.Range(0, 3).Sum(c => a[r, c] * x[c]))];
        var mixing = new AndersonMixing(5);
        var x = new double[3];
        for (var i = 0; i < 6; i++)
        {
            x = mixing.Next(x, [.. Map(x).Zip(x, (m, g) => m - g)]);
        }

        Assert.All(Map(x).Zip(x), p => Assert.Equal(p.First, p.Second, 1e-4));
    }

    private static (DriveInScenario Drive, HarmonicSums Sums, FrontIteration Iteration) Settle(double kvar, int count)
    {
        var plant = Demo with
        {
            Source = new Source("bus", 50, new SourceStrength.FaultLevel(6, Given.Unknown, 6), 0, 0, 0),
            Distribution = new Distribution(
                [new Bus("bus", "Bus", 400, Given.Unknown)], [], [], kvar > 0 ? [new CapacitorBank("bank", "Bank", "bus", kvar, 1, Given.Unknown)] : [], []),
            Pcc = Demo.Pcc with { BusId = "bus" },
            Scenarios = [Scenario.AsUsual("all", "all")],
            Lineups = [],
        };
        var defaults = DefaultsInForce.Resolve(Data.Defaults, plant.Overrides);
        var network = SupplyNetwork.Of(plant, plant.Scenarios[0], SourceView.Weakest, defaults.Cables with { Rise = new ResistanceRise(ResistanceLaw.Constant, 1) })!;
        var item = Data.Converters["six-pulse-reactor-75"];
        var point = OperatingPoint.OfBus(75e3, item);
        Assert.Equal(75e3, point.DcLoadW, 1.0);
        Assert.Equal(6375, item.DcCapacitanceUf);
        var running = Enumerable.Range(0, count).Select(i => new RunningDrive($"d{i}", item, SupplyFeed.ThreePhase, Complex.Zero, null, point, "bus")).ToList();
        var loads = new HarmonicLoads([], [], defaults.LockedRotorPowerFactor, 0, 0);
        var shunts = StandingLoads.Fundamental(plant, plant.Scenarios[0], network, [], 0);
        var (drives, iteration) = DriveFronts.Solve(
            plant, plant.Scenarios[0], network, running, shunts, loads, new FrontSettings(0, RectifierStudy.Run, new Dictionary<string, DriveInScenario>(StringComparer.Ordinal)) { AllOrders = true });
        return (drives![0], new HarmonicSums(plant, plant.Scenarios[0], network, shunts, drives, loads), iteration);
    }
}
