using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>Checks of a plant on the mains and on its standby generator made one list: of each the worse.</summary>
internal static class StandbyMerge
{
    private const string ChangeOverId = "supply.change-over";
    private const string ChangeOverTitle = "Change-over to the standby generator";

    // Nothing couples to a public system while the generator feeds.
    private static readonly string[] OfMains = ["harmonics.pcc", "harmonics.equipment", "harmonics.terminal-thdi", "supply.data", "emc."];

    /// <summary>Merges.</summary>
    /// <param name="mains">Checks on the mains.</param>
    /// <param name="standby">Checks on the generator.</param>
    /// <param name="dead">Buses, transformers, links and loads that are dead in every scenario on the generator, and drive points that run
    /// in none of them: nothing is asked of them there.</param>
    /// <param name="idle">Drive points that run on the generator only: nothing is asked of them on the mains.</param>
    public static IReadOnlyList<Check> Of(IReadOnlyList<Check> mains, IReadOnlyList<Check> standby, IReadOnlySet<string> dead,
        IReadOnlySet<string> idle)
    {
        mains = [.. mains.Where(c => !idle.Contains(c.DrivePointId))];
        var left = standby.Where(c => !dead.Contains(c.ElementId) && !dead.Contains(c.DrivePointId))
            .Where(c => !Array.Exists(OfMains, o => c.Id.StartsWith(o, StringComparison.Ordinal))).GroupBy(Key)
            .ToDictionary(g => g.Key, g => g.ToList());
        List<Check> merged = [];
        foreach (var group in mains.GroupBy(Key))
        {
            List<Check> own = [.. group];
            if (!left.Remove(group.Key, out var others))
            {
                merged.AddRange(own);
            }
            else if (others.Count == own.Count)
            {
                merged.AddRange(own.Zip(others, Worse));
            }
            else
            {
                // Of another number there is no telling which belongs to which: what does not hold on the generator stands beside.
                merged.AddRange(own);
                merged.AddRange(others.Where(o => o.Verdict is Verdict.Fails or Verdict.NeedsData or Verdict.Tight && !own.Contains(o)));
            }
        }

        merged.AddRange(left.Values.SelectMany(c => c));
        return merged;
    }

    /// <summary>While the generator feeds, the mains' bus is dead: neither feeds the other.</summary>
    public static Check ChangeOver(PlantSpecification plant, IReadOnlyList<ScenarioResult> standby)
    {
        // What could not be computed is not known to be dead.
        if (!AllComputed(plant, standby))
        {
            return Check.Lacking(ChangeOverId, string.Empty, BoardRow.Plant, ChangeOverTitle,
                PlantNetwork.Missing(StandbyPlant.OnGenerator(plant)).DefaultIfEmpty("a scenario on the generator that can be computed"));
        }

        // At the bus of the mains itself the change-over switch stands ahead of it: there is nothing that could be fed.
        var isSame = plant.Standby!.BusId == plant.Source.BusId;
        var live = isSame ? null : standby.FirstOrDefault(s => s.Network.IsLive(plant.Source.BusId));
        return CheckWriter.Rule(
            ChangeOverId, string.Empty, BoardRow.Plant, ChangeOverTitle, live is null ? Verdict.Holds : Verdict.Fails,
            "Relief: open the transformers and links to the mains in that scenario; an interlocked change-over switch by the network "
                + "operator's rules: back-feed kills.",
            new Reason("in no scenario on the generator is the bus of the mains live",
                isSame ? $"the change-over switch stands ahead of {plant.Distribution.Bus(plant.Source.BusId).Name}: one feeds it or "
                    + "the other"
                    : live is null ? $"{plant.Distribution.Bus(plant.Source.BusId).Name} is dead in all of them"
                    : $"in '{live.ScenarioName}' the generator feeds {plant.Distribution.Bus(plant.Source.BusId).Name}",
                "docs/methods/generator.md", []), live?.ScenarioName ?? string.Empty);
    }

    /// <summary>What is dead in all scenarios on the generator.</summary>
    public static IReadOnlySet<string> Dead(PlantSpecification plant, IReadOnlyList<ScenarioResult> standby)
    {
        var d = plant.Distribution;
        if (!AllComputed(plant, standby))
        {
            return plant.AllDrivePoints().Select(p => p.Id).Where(id => !Runs(plant, id, onStandby: true))
                .ToHashSet(StringComparer.Ordinal);
        }

        var buses = d.Buses.Where(b => !standby.Any(s => s.Network.IsLive(b.Id))).Select(b => b.Id).ToHashSet(StringComparer.Ordinal);
        return buses
            .Concat(plant.AllDrivePoints().Select(p => p.Id).Where(id => !Runs(plant, id, onStandby: true)))
            .Concat(d.Transformers.Where(t => buses.Contains(t.FromBusId) || buses.Contains(t.ToBusId)).Select(t => t.Id))
            .Concat(d.Links.Where(l => buses.Contains(l.FromBusId) || buses.Contains(l.ToBusId)).Select(l => l.Id))
            .Concat(d.CapacitorBanks.Where(b => buses.Contains(b.BusId)).Select(b => b.Id))
            .Concat(d.Loads.Where(l => buses.Contains(l.BusId)).Select(l => l.Id))
            .ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>Drive points that run on the generator only.</summary>
    public static IReadOnlySet<string> Idle(PlantSpecification plant) => plant.AllDrivePoints().Select(p => p.Id)
        .Where(id => Runs(plant, id, onStandby: true) && !Runs(plant, id, onStandby: false)).ToHashSet(StringComparer.Ordinal);

    private static bool AllComputed(PlantSpecification plant, IReadOnlyList<ScenarioResult> standby) =>
        standby.Count == plant.Scenarios.Count(s => s.OnStandby);

    private static bool Runs(PlantSpecification plant, string pointId, bool onStandby) =>
        plant.Scenarios.Any(s => s.OnStandby == onStandby && s.StateOf(pointId).Running);

    private static (string, string, string) Key(Check c) => (c.Id, c.DrivePointId, c.ElementId);

    private static Check Worse(Check mains, Check standby)
    {
        var (a, b) = (Rank(mains), Rank(standby));
        return b < a || (b == a && standby.MarginPct.IsKnown && mains.MarginPct.IsKnown && standby.MarginPct.Value < mains.MarginPct.Value)
            ? standby
            : mains;
    }

    private static int Rank(Check check) => check.Verdict switch
    {
        Verdict.Fails => 0,
        Verdict.NeedsData => 1,
        Verdict.Tight => 2,
        Verdict.Holds => 3,
        _ => 4,
    };
}
