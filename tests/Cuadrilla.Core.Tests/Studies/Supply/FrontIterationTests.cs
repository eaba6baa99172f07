using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Studies.Supply.Balance;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Supply;

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
    public void A_bank_and_the_waveform_settle_where_the_whole_circuit_does_in_time(double kvar, double thdiPct, double[] driveA,
        double[] sourceA, double drivePu, double sourcePu)
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
    public void The_demo_settles_and_the_next_search_begins_where_it_ended_and_stays()
    {
        var named = Demo with { Name = "settles" };
        var assessor = new Assessor(Data);
        var found = assessor.Run(named);
        Assert.All(found.Scenarios, s => Assert.True(s.Iteration.IsSettled, s.Iteration.ToString()));

        // Another object, so that it is assessed anew; the same assessor, whose memory no other test uses.
        var again = assessor.Run(named with { Name = "settles" });
        Assert.NotSame(found, again);
        Assert.All(again.Scenarios, s => Assert.Equal(1, s.Iteration.Rounds));
        Assert.Equal(found.Scenarios[0].Pcc.HarmonicA, again.Scenarios[0].Pcc.HarmonicA, 1e-6 * found.Scenarios[0].Pcc.HarmonicA);
        Assert.Equal(Verdict.Fails, found.Checks.Single(c => c is { Id: "harmonics.resonance", ElementId: "caps" }).Verdict);
    }

    [Fact]
    public void The_last_step_of_a_search_is_told_by_slopes_and_ends_where_a_search_from_nothing_ends()
    {
        var plant = MadePlant.OfManyBuses(Demo, 48, 6, 2) with { Name = "closed" };
        var kept = new Assessor(Data);
        kept.Run(plant);
        foreach (var part in new[] { 0.98, 1.01 })
        {
            var edited = plant with { Lineups = [.. plant.Lineups.Select((l, i) => i > 0 ? l : l with
            {
                DrivePoints = [.. l.DrivePoints.Select(
                    (p, k) => k == 1 && p.Load is FanLoad fan
                        ? p with { Load = fan with { RatedPressurePa = fan.RatedPressurePa.Value * part } }
                        : p)],
            })] };
            var (now, fresh) = (kept.Run(edited), new Assessor(Data).Run(edited with { Name = "from nothing" }));
            foreach (var (scenario, other) in now.Scenarios.Zip(fresh.Scenarios))
            {
                // Where it was, and a step from there; the next is not solved.
                Assert.Equal(2, scenario.Iteration.Rounds);
                Assert.InRange(scenario.Iteration.ResidualPu, 0, FrontIteration.LimitPu);
                foreach (var (drive, same) in scenario.Drives.Zip(other.Drives))
                {
                    Assert.Equal(drive.DrivePointId, same.DrivePointId);
                    Assert.InRange(drive.Search!.Emf.Plus(same.Search!.Emf, -1).Largest().Size, 0, 3 * FrontIteration.LimitPu);
                }
            }
        }
    }

    [Fact]
    public void What_does_not_settle_is_said_with_its_residual_and_no_harmonic_check_is_judged()
    {
        // Two banks on a weak source, one without known reactor: no state was found there.
        var assessment = new Assessor(Data).Run(RandomPlant.Of(57, Data, 12));
        var restless = Assert.Single(assessment.Scenarios, s => !s.Iteration.IsSettled);
        var said = Assert.Single(restless.Unsettled, u => u.Contains("do not settle", StringComparison.Ordinal));
        Assert.Contains(FormattableString.Invariant($"{restless.Iteration.ResidualPu:0.0e+0} of nominal voltage at order ")
            + FormattableString.Invariant($"{restless.Iteration.ResidualOrder}"), said, StringComparison.Ordinal);
        Assert.Contains(restless.ScenarioName, said, StringComparison.Ordinal);
        Assert.All(assessment.Checks.Where(c => c.Id.StartsWith("harmonics.pcc", StringComparison.Ordinal)),
            c => Assert.Contains(c.Verdict, new[] { Verdict.NeedsData, Verdict.NotApplicable }));
    }

    [Fact]
    public void Where_no_voltage_settles_none_of_a_drive_is_judged_as_if_it_did()
    {
        var assessment = new Assessor(Data).Run(Demo with { Name = "collapsed",
            Source = Demo.Source with { Strength = new SourceStrength.FaultLevel(0.3, Given.Unknown, 6) } });
        Assert.Contains(assessment.Scenarios, s => s.Drives.Count == 0 && s.Unsettled.Count > 0);
        var onBuses = assessment.Checks.Where(c => c.Id == "converter.output-voltage" && Demo.DcBusOf(c.DrivePointId) is null).ToList();
        var said = assessment.Scenarios.SelectMany(x => x.Unsettled).ToList();
        Assert.Contains(onBuses, c => c.Verdict == Verdict.NeedsData
            && said.Any(u => c.Reason.WithNumbers.Contains(u, StringComparison.Ordinal)));
        Assert.DoesNotContain(onBuses, c => c.Verdict is Verdict.Holds or Verdict.Tight);
    }

    private static (DriveInScenario Drive, HarmonicSums Sums, FrontIteration Iteration) Settle(double kvar, int count)
    {
        var plant = Demo with
        {
            Source = new Source("bus", 50, new SourceStrength.FaultLevel(6, Given.Unknown, 6), 0, 0, 0),
            Distribution = new Distribution(
                [new Bus("bus", "Bus", 400, Given.Unknown)], [], [], kvar > 0
                    ? [new CapacitorBank("bank", "Bank", "bus", kvar, 1, Given.Unknown)]
                    : [], []),
            Pcc = Demo.Pcc with { BusId = "bus" },
            Scenarios = [Scenario.AsUsual("all", "all")],
            Lineups = [],
        };
        var defaults = DefaultsInForce.Resolve(Data.Defaults, plant.Overrides);
        var network = PlantNetwork.Of(plant, plant.Scenarios[0], SourceView.Weakest,
            defaults.Cables with { Rise = new ResistanceRise(ResistanceLaw.Constant, 1) })!;
        var item = Data.Converters["six-pulse-reactor-75"];
        var point = OperatingPoint.OfBus(75e3, item);
        Assert.Equal(75e3, point.DcLoadW, 1.0);
        Assert.Equal(6375, item.DcCapacitanceUf);
        var running = Enumerable.Range(0,
            count).Select(i => new RunningDrive($"d{i}", item, SupplyFeed.ThreePhase, Complex.Zero, null, point, "bus")).ToList();
        var loads = new HarmonicLoads([], [], defaults.LockedRotorPowerFactor, 0, 0);
        var shunts = StandingLoads.Fundamental(plant, plant.Scenarios[0], network, [], 0);
        var loaded = new LoadedNetwork(plant, plant.Scenarios[0], network, shunts, loads);
        var (drives, iteration) = BalancedFronts.Solve(plant, loaded, running,
            new FrontSettings(0, new Dictionary<string, DriveInScenario>(StringComparer.Ordinal)));
        return (drives![0], new HarmonicSums(plant, loaded, drives), iteration);
    }
}
