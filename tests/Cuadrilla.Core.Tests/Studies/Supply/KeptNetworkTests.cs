using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>What a scenario keeps for the next edit: its network, and what unbalance does to circuits that hardly feel the edit.</summary>
public sealed class KeptNetworkTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Plant = MadePlant.OfManyBuses(DemoPlant.Read(Data), 50, 20, 1);
    private static readonly Assessor Warm = new(Data);
    private static readonly ScenarioResult First = Warm.Run(Plant).Scenarios[0];

    private static string Bus => Plant.Distribution.Transformers[0].ToBusId;

    public static TheoryData<string, PlantSpecification> OtherNetworks => new()
    {
        { "source", Plant with { Source = Plant.Source with { FrequencyHz = 60 } } },
        { "transformer", WithDistribution(d => d with { Transformers =
            [d.Transformers[0] with { UkPct = 5.5 }, .. d.Transformers.Skip(1)] }) },
        { "load", WithDistribution(d => d with { Loads = [.. d.Loads, new BusLoad.Linear("more", "More", Bus, 60, 0.9)] }) },
        { "steps of a bank", WithScenario(s => s with { BankStates = [new BankState(Plant.Distribution.CapacitorBanks[0].Id, 0)] }) },
        { "a switch", WithScenario(s => s with { Switches = [new SwitchState(Plant.Distribution.Transformers[1].Id, false)] }) },
    };

    [Fact]
    public void An_edit_of_a_drive_leaves_the_network_as_it_is_solved()
    {
        var edited = Warm.Run(Lighter(1e-3)).Scenarios[0];
        Assert.Same(First.Loaded, edited.Loaded);
        Assert.Same(First.ForWithstand, edited.ForWithstand);
        Assert.NotEqual(First.Pcc.HarmonicA, edited.Pcc.HarmonicA);
    }

    [Fact]
    public void Beside_motors_on_the_line_it_stays_too()
    {
        var demo = DemoPlant.Read(Data) with { Name = "demo, one entry changed" };
        var kept = new Assessor(Data);
        var before = kept.Run(demo).Scenarios;
        Assert.Contains(before, s => s.OnLine.Count > 0);
        var id = demo.Lineups[0].DrivePoints[0].Id;
        var after = kept.Run(demo with
        {
            Lineups = [.. demo.Lineups.Select(l => l with
            {
                DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? p with { Tag = "changed" } : p)],
            })],
        }).Scenarios;
        Assert.All(before.Zip(after), s => Assert.Same(s.First.Loaded, s.Second.Loaded));
    }

    [Fact]
    public void What_one_drive_does_in_a_scenario_leaves_it_too()
    {
        var slower = Warm.Run(WithScenario(s => s with { States = [new DrivePointState(Plant.Lineups[0].DrivePoints[1].Id, true, 0.8,
            1)] }));
        Assert.Same(First.Loaded, slower.Scenarios[0].Loaded);
    }

    [Theory]
    [MemberData(nameof(OtherNetworks))]
    public void Another_network_is_solved_anew(string what, PlantSpecification other)
    {
        var kept = new Assessor(Data);
        kept.Run(Plant);
        var edited = kept.Run(other).Scenarios[0];
        Assert.NotSame(First.Loaded, edited.Loaded);
        var fresh = new Assessor(Data, warmStarts: false).Run(other).Scenarios[0];
        Assert.Equal(fresh.Pcc.HarmonicA, edited.Pcc.HarmonicA, 1e-5 * fresh.Pcc.HarmonicA);
        foreach (var (one, bus) in fresh.Buses.Zip(edited.Buses))
        {
            Assert.True(Math.Abs(one.TotalThdvPct - bus.TotalThdvPct) < 1e-4 * one.TotalThdvPct, $"{what}: {one.BusId}");
        }
    }

    [Fact]
    public void Unbalance_is_told_as_exactly_where_it_was_solved_beside_a_near_state()
    {
        var plant = Lighter(3e-4);
        var kept = new Assessor(Data);
        var first = kept.Run(Plant).Scenarios[0];
        var edited = kept.Run(plant).Scenarios[0];
        var fresh = new Assessor(Data, warmStarts: false).Run(plant).Scenarios[0];
        var taken = 0;
        foreach (var (one, other) in edited.Drives.Zip(fresh.Drives))
        {
            taken += first.Drives.Any(d => ReferenceEquals(d.Search!.Uneven, one.Search!.Uneven)) ? 1 : 0;
            var (phases, expected) = (((RectifierResult.LineDraw)one.Front).Phases, ((RectifierResult.LineDraw)other.Front).Phases);
            for (var p = 0; p < 3; p++)
            {
                Assert.Equal(expected[p].RmsA, phases[p].RmsA, 2e-5 * expected[p].RmsA);
                Assert.Equal(expected[p].PeakA, phases[p].PeakA, 5e-5 * expected[p].PeakA);
                Assert.Equal(expected[p].ThdiPct, phases[p].ThdiPct, 5e-5 * expected[p].ThdiPct);
                Assert.Equal(expected[p].TruePowerFactor, phases[p].TruePowerFactor, 2e-5);
            }
        }

        Assert.InRange(taken, 10, edited.Drives.Count - 1);
    }

    [Fact]
    public void After_a_scenario_in_which_nothing_runs_it_serves_the_drives_again()
    {
        var kept = new Assessor(Data);
        kept.Run(Plant);
        var still = kept.Run(WithScenario(s => s with
        {
            States = [.. Plant.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))],
        })).Scenarios[0];
        Assert.Empty(still.Drives);
        Assert.Equal(0, still.Pcc.HarmonicA, 1e-9);
        var again = kept.Run(Plant).Scenarios[0];
        Assert.Same(still.Loaded, again.Loaded);
        var fresh = new Assessor(Data, warmStarts: false).Run(Plant).Scenarios[0];
        Assert.Equal(fresh.Pcc.HarmonicA, again.Pcc.HarmonicA, 1e-5 * fresh.Pcc.HarmonicA);
    }

    [Fact]
    public void Front_ends_under_other_keys_draw_what_they_drew()
    {
        var kept = new Assessor(Data);
        var before = kept.Run(Plant).Scenarios[0];

        // A circuit is known by its first front end.
        var first = before.Drives.GroupBy(d => d.Search!.Circuit).Select(g => g.First().DrivePointId).ToHashSet(StringComparer.Ordinal);
        string KeyOf(string id) => first.Contains(id) ? id : id + "-new";
        var after = kept.Run(Plant with
        {
            Lineups = [.. Plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p with { Id = KeyOf(p.Id) })] })],
        }).Scenarios[0];
        Assert.Equal(before.Drives.Count, after.Drives.Count);
        foreach (var (one, other) in before.Drives.Zip(after.Drives))
        {
            var (was, now) = ((RectifierResult.LineDraw)one.Front, (RectifierResult.LineDraw)other.Front);
            Assert.Equal(KeyOf(one.DrivePointId), other.DrivePointId);
            Assert.Equal(was.WorstPhase.RmsA, now.WorstPhase.RmsA, 1e-5 * was.WorstPhase.RmsA);
            Assert.Equal(was.WorstPhase.ThdiPct, now.WorstPhase.ThdiPct, 1e-4 * was.WorstPhase.ThdiPct);
        }
    }

    [Fact]
    public void A_part_of_a_current_is_told_like_a_current()
    {
        var draw = First.Drives.Select(d => d.Front).OfType<RectifierResult.SteadyState>().First();
        var part = draw.Part(0.25);
        Assert.Equal(0.25 * draw.ActivePowerW, part.ActivePowerW);
        Assert.Equal(draw.DcVoltageMeanV, part.DcVoltageMeanV);
        Assert.Equal(0.25 * draw.Waveform.LineCurrentA(1), part.Waveform.LineCurrentA(1), 1e-12);
        Assert.Equal(draw.Waveform.LinkVoltageV(1), part.Waveform.LinkVoltageV(1), 1e-12);
        for (var p = 0; p < 3; p++)
        {
            Assert.Equal(draw.Phases[p].Orders.Select(o => 0.25 * o), part.Phases[p].Orders);
            Assert.Equal(part.Phases[p].Orders.ToList(), Enumerable.Range(0, 50).Select(h => part.Phases[p].Orders[h]));
            Assert.Equal(draw.Phases[p].ThdiPct, part.Phases[p].ThdiPct);
            Assert.Equal(0.25 * draw.Phases[p].RmsA, part.Phases[p].RmsA);
        }
    }

    private static PlantSpecification WithDistribution(Func<Distribution, Distribution> change) =>
        Plant with { Distribution = change(Plant.Distribution) };

    private static PlantSpecification WithScenario(Func<Scenario, Scenario> change) =>
        Plant with { Scenarios = [change(Plant.Scenarios[0])] };

    private static PlantSpecification Lighter(double part)
    {
        var lineup = Plant.Lineups[0];
        var point = lineup.DrivePoints[1];
        var load = (FanLoad)point.Load;
        var lighter = point with { Load = load with { RatedPressurePa = (1 - part) * load.RatedPressurePa.Value } };
        return Plant with
        {
            Lineups = [lineup with { DrivePoints = [.. lineup.DrivePoints.Select(p => p == point ? lighter : p)] },
                .. Plant.Lineups.Skip(1)],
        };
    }
}
