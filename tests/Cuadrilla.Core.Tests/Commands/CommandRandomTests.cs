using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Documents.Projects;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>On any plant every command leaves a valid one, or refuses with a reason.</summary>
public sealed class CommandRandomTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);

    private static readonly Func<string[], PlantSpecification, PlantCommand>[] Kinds =
    [
        (ids, plant) => new AddDrivePoint(plant.Lineups[0].Id, ids[0]),
        (ids, _) => new CopyDrivePoint(ids[0]),
        (ids, plant) => new MoveDrivePoints(ids, plant.Lineups[^1].Id),
        (ids, plant) => new AddLike(
            plant.AllDrivePoints().FirstOrDefault(p => p.Id == ids[0]) ?? plant.AllDrivePoints().First(), plant.Motors, plant.Converters,
            plant.Lineups[^1].Id, ids[^1], ids.Length),
        (ids, _) => new RemoveDrivePoints(ids),
        (_, _) => new AddLineup(),
        (_, plant) => new RemoveLineup(plant.Lineups[^1].Id),
        (ids, _) => new JoinDcBus(ids),
        (ids, _) => new JoinGroup(ids),
        (ids, _) => new JoinShaft(ids),
        (ids, _) => new SplitOnShaft(ids[0]),
        (ids, _) => new JoinFollower(ids[0], ids[^1]),
        (ids, _) => new FeedBy(ids, (FeedWay)(ids[0].Length % 4)),
        (ids, _) => new BrakeBy(ids, (BrakingWay)(ids.Length % 6)),
        (ids, _) => new AddHoldingBrake(ids[0]),
        (ids, _) => new UseBrakePreset(ids[0], Data.BrakePresets[ids.Length % Data.BrakePresets.Count].Application),
        (ids, _) => new SizeResistor(ids),
        (ids, plant) => new UseTransformerSize(plant.Distribution.Transformers is [var t, ..] ? t.Id : "none", "eu",
            ids.Length % 2 == 0 ? null : 1000),
        (ids, _) => new ChooseMotor(ids, Data.Motors.Keys.First(), "in store"),
        (ids, _) => new ChooseConverter(ids, Data.Converters.Keys.First(), "in store"),
        (ids, _) => new SizeProtection(ids, (ProtectedPart)(ids.Length % 4), (DeviceKind)(ids[0].Length % 5)),
        (ids, _) => new FeedFromSun(ids[0], ids.Length % 3 == 0),
        (ids, _) => new ChooseString(ids[0], 8 * ids.Length, ids.Length),
        (ids, _) => new TakeSignals([.. ids], (SignalJob)(ids[0].Length % 9)),
        (ids, _) => new KeepChannels(ids.Length % 2 == 0),
        (ids, _) => new UseStepUp(ids[0], ids.Length % 3 == 0),
        (ids, _) => new SizeStepUp(ids[0]),
        (_, _) => new ShedOnGenerator(),
        (ids, plant) => new FeedFromOnePhase(plant.Lineups[ids.Length % plant.Lineups.Count].Id, ids.Length % 3 == 0),
        (ids, plant) => new ChooseOnePhaseMeans(plant.Lineups[ids.Length % plant.Lineups.Count].Id, (OnePhaseMeans)(1 + (ids.Length % 3))),
        (_, plant) => new SizeBankContactor(plant.Distribution.CapacitorBanks is [var bank, ..] ? bank.Id : "none"),
        (ids, plant) => new TakeDevice(ids, plant.Devices is [var own, ..] ? own.Id : "none"),
        (ids, plant) => Studies.Separation(plant)?.Clashes is [var clash, ..]
            ? new CureClash(clash.Disturbing.Id, clash.Disturbed.Id, (CureKind)(ids.Length % 6))
            : new CureClash("a", "b", CureKind.Divider),
        (_, plant) => new SetWayAside(plant.Lineups[0].Id, "as now"),
        (_, plant) => new CompareSingleDrives(Bus(plant)),
        (_, plant) => new SizeModuleProtection(Bus(plant)),
        (_, plant) => new DissolveDcBus(Bus(plant)),
        (_, plant) => new DissolveArrangement(Arrangement(plant)),
        (ids, plant) => new ShareBy(Arrangement(plant), (SharingWay)(ids.Length % 4)),
        (_, plant) => new PutOnBoard(plant.Lineups[0].Id, Way(plant)),
        (_, plant) => new AdoptWay(plant.Lineups[0].Id, Way(plant), "cheaper"),
        (_, plant) => new DropWay(plant.Lineups[0].Id, Way(plant)),
        (ids, _) => new SizeBest(ids[..1], (SizedPart)(ids.Length % 3)),
        (ids, plant) => new TakeDriveList(
            [
                new DriveListRow($"N-{ids.Length}", "new fan", "L9", new UnspecifiedLoad(), 15, 4, string.Empty,
                    ListedFeed.NotStated, 30, 6),
                .. plant.AllDrivePoints().Where(p => ids.Contains(p.Id)).DistinctBy(p => p.Tag)
                    .Select(p => new DriveListRow(p.Tag, "changed", string.Empty, new UnspecifiedLoad(), 7.5, Given.Unknown, string.Empty,
                        ListedFeed.AcrossTheLine, 40, Given.Unknown)),
            ],
            false),
        (ids, _) => new AcceptUsual(ids, []),
        (ids, _) => new ConfirmAssumed(ids, []),
        (ids, _) => new UseUnits((UnitSystem)(ids.Length % 2)),
        (ids, _) => new UseRegion(Data.Regions[ids.Length % Data.Regions.Count].Key),
        (ids, plant) => new Mitigate("all at once", new MitigationChange(
            new Dictionary<string, string> { [ids[0]] = Data.Converters.Keys.First() }, null,
            new ActiveFilter("tried", "tried", LowBus(plant), 50), true)),
        .. Enum.GetValues<ElementKind>().Select(kind => (Func<string[], PlantSpecification, PlantCommand>)((_, _) => new AddElement(kind))),
    ];

    private static string Bus(PlantSpecification plant) => plant.Lineups.SelectMany(l => l.DcBuses).FirstOrDefault()?.Id ?? "none";

    private static string Arrangement(PlantSpecification plant) =>
        plant.Lineups.SelectMany(l => l.Arrangements).FirstOrDefault()?.Id ?? "none";

    private static string Way(PlantSpecification plant) => plant.Lineups[0].SetAside is [var way, ..] ? way.Id : "none";

    private static string LowBus(PlantSpecification plant) => plant.Distribution.Buses.First(b => b.NominalVoltageV <= 1000).Id;

    [Fact]
    public void Every_kind_is_tried()
    {
        var plant = RandomPlant.Of(40_000, Data);
        var tried = Kinds.Select(k => k(["a", "b"], plant).GetType()).ToHashSet();
        Assert.All(ProjectJson.KindsOf(typeof(PlantCommand)).Values, t => Assert.Contains(t, tried));
    }

    [Fact]
    [Trait("speed", "slow")]
    public void Every_command_leaves_a_valid_plant_or_says_why_not()
    {
        int done = 0, refused = 0;
        foreach (var seed in Enumerable.Range(40_000, 60))
        {
            var plant = RandomPlant.Of(seed, Data);

            // Half of them with a way set aside.
            plant = seed % 2 == 0 && new SetWayAside(plant.Lineups[0].Id, "before").On(plant, Studies) is CommandOutcome.Done aside
                ? aside.After
                : plant;
            var random = new Random(seed);
            foreach (var kind in Kinds)
            {
                string[] ids = [.. plant.AllDrivePoints().Select(p => p.Id).OrderBy(_ => random.Next()).Take(1 + random.Next(3))];
                if (ids.Length == 0)
                {
                    continue;
                }

                var command = kind(ids, plant);
                switch (command.On(plant, Studies))
                {
                    case CommandOutcome.Done after:
                        done++;
                        Assert.InRange(after.Label.Length, 1, 120);

                        // A second transformer may meet a board coupled with another hour: the engineer opens it first.
                        var problems = SpecificationValidation.Problems(after.After, Data)
                            .Where(p => command is not AddElement { Element: ElementKind.Transformer }
                                || !p.Pointer.EndsWith("/switches", StringComparison.Ordinal))
                            .ToList();
                        Assert.True(problems.Count == 0,
                            $"{seed} {command}: {string.Join(' ', problems.Select(p => p.Pointer + " " + p.Message))}");
                        break;
                    case CommandOutcome.Refused because:
                        refused++;
                        Assert.NotEmpty(because.Why.Message);
                        break;
                }
            }
        }

        Assert.True(done > 600 && refused > 60, $"{done} done, {refused} refused");
    }

    [Fact]
    public void What_is_joined_and_made_single_again_has_the_same_arrangements_as_before()
    {
        var tried = 0;
        foreach (var seed in Enumerable.Range(41_000, 60))
        {
            var plant = RandomPlant.Of(seed, Data);
            string[] ids = [.. plant.Lineups[0].DrivePoints.Take(2).Select(p => p.Id)];
            foreach (var join in new PlantCommand[] { new JoinShaft(ids), new JoinGroup(ids), new JoinDcBus(ids) })
            {
                if (ids.Length == 2 && join.On(plant, Studies) is CommandOutcome.Done joined)
                {
                    tried++;
                    var key = joined.CreatedIds[^1];
                    PlantCommand back = join is JoinDcBus ? new DissolveDcBus(key) : new DissolveArrangement(key);
                    var single = Assert.IsType<CommandOutcome.Done>(back.On(joined.After, Studies)).After;
                    Assert.Equal(plant.Lineups[0].DcBuses.Select(b => b.Id), single.Lineups[0].DcBuses.Select(b => b.Id));
                    Assert.Equal(plant.Lineups[0].Arrangements.Select(a => a.Id), single.Lineups[0].Arrangements.Select(a => a.Id));
                }
            }
        }

        Assert.True(tried > 30, $"{tried}");
    }
}
