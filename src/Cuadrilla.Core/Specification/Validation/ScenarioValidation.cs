using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Entries of the operating scenarios.</summary>
internal static class ScenarioValidation
{
    public static void Check(PlantSpecification plant, ProblemList p)
    {
        p.Require(plant.Scenarios.Count is >= 1 and <= 20, "/scenarios", "Number of scenarios", $"{plant.Scenarios.Count}", "1 to 20");
        var d = plant.Distribution;
        var points = plant.AllDrivePoints().Concat(plant.Lineups.SelectMany(l => l.SetAside).SelectMany(v => v.DrivePoints))
            .Select(x => x.Id).ToHashSet(StringComparer.Ordinal);
        var loads = d.Loads.Select(l => l.Id).ToHashSet(StringComparer.Ordinal);
        var switches = d.Transformers.Select(t => t.Id).Concat(d.Links.Select(l => l.Id)).ToHashSet(StringComparer.Ordinal);
        var steps = d.CapacitorBanks.GroupBy(b => b.Id).ToDictionary(g => g.Key, g => g.First().Steps, StringComparer.Ordinal);
        var ids = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Scenarios.Count; i++)
        {
            var scenario = plant.Scenarios[i];
            var at = $"/scenarios/{i}";
            p.Unique(at + "/id", "Scenario key", scenario.Id, ids);
            Each(scenario.States, at + "/states", "drivePointId", "Drive point", s => s.DrivePointId, points, p);
            Each(scenario.LoadStates, at + "/loadStates", "loadId", "Load", s => s.LoadId, loads, p);
            Each(scenario.Switches, at + "/switches", "elementId", "Switch", s => s.ElementId, switches, p);
            Each(scenario.BankStates, at + "/bankStates", "bankId", "Capacitor bank", s => s.BankId, [.. steps.Keys], p);
            for (var k = 0; k < scenario.BankStates.Count; k++)
            {
                p.Number($"{at}/bankStates/{k}/stepsOn", "Steps on", scenario.BankStates[k].StepsOn, 0,
                    steps.GetValueOrDefault(scenario.BankStates[k].BankId, 24), string.Empty);
            }

            foreach (var element in SupplyNetwork.PhaseConflicts(d, scenario,
                scenario.OnStandby && plant.Standby is { } standby ? standby.BusId : plant.Source.BusId))
            {
                p.Require(
                    false, at + "/switches", "Switching state", $"'{element}' joins buses of different vector group in '{scenario.Name}'",
                    "open it, or give both sides the same clock number");
            }
        }
    }

    private static void Each<T>(
        IReadOnlyList<T> items, string at, string field, string name, Func<T, string> key, HashSet<string> known, ProblemList p)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < items.Count; i++)
        {
            var id = key(items[i]);
            p.Require(known.Contains(id), $"{at}/{i}/{field}", name, $"'{id}'", "one of this plant");
            p.Unique($"{at}/{i}/{field}", name, id, seen);
        }
    }
}
