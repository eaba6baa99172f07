using System.Collections.Concurrent;
using System.Collections.Frozen;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// Where the front ends of each scenario settled in the last run: the next one, after an edit, begins there. Safe for use from several
/// threads.
/// </summary>
internal sealed class FrontMemory
{
    private const int Capacity = 60;
    private static readonly FrozenDictionary<string, DriveInScenario> None = FrozenDictionary<string, DriveInScenario>.Empty;
    private readonly ConcurrentDictionary<(string Plant, string Scenario), FrozenDictionary<string, DriveInScenario>> kept = new();

    // Balances end so near that figures do not tell where they began: all assessors may begin where any ended.
    private static readonly FrontMemory Balanced = new();

    /// <summary>No front ends.</summary>
    public static IReadOnlyDictionary<string, DriveInScenario> Nothing => None;

    /// <summary>Front ends of a scenario by key; empty where it was never run.</summary>
    public IReadOnlyDictionary<string, DriveInScenario> Of(string plant, string scenarioId) =>
        kept.TryGetValue((plant, scenarioId), out var own) ? own : Balanced.kept.GetValueOrDefault((plant, scenarioId), None);

    /// <summary>Keeps them, unless they did not settle.</summary>
    public void Keep(string plant, ScenarioResult result)
    {
        if (!result.Iteration.IsSettled)
        {
            kept.TryRemove((plant, result.ScenarioId), out _);
            return;
        }

        if (kept.Count >= Capacity)
        {
            kept.Clear();
        }

        if (this != Balanced)
        {
            Balanced.Keep(plant, result);
        }

        kept[(plant, result.ScenarioId)] = result.Drives.ToFrozenDictionary(d => d.DrivePointId, StringComparer.Ordinal);
    }
}
