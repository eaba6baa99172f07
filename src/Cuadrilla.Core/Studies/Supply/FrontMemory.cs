using System.Collections.Concurrent;
using System.Collections.Frozen;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// Where the front ends of each scenario settled in the last run: the next one, after an edit, begins there. In two halves: when the
/// newer is full the older is forgotten, and what was asked for again has moved over. Safe for use from several threads.
/// </summary>
internal sealed class FrontMemory
{
    // Drives of all scenarios together: what is kept of each is some kilobytes.
    private const int MostDrivesInHalf = 6_000;
    private static readonly FrozenDictionary<string, DriveInScenario> None = FrozenDictionary<string, DriveInScenario>.Empty;

    // Balances end so near that figures do not tell where they began: all assessors may begin where any ended.
    private static readonly FrontMemory Balanced = new();

    private readonly Lock gate = new();
    private ConcurrentDictionary<(string Plant, string Scenario), FrozenDictionary<string, DriveInScenario>> newer = new();
    private ConcurrentDictionary<(string Plant, string Scenario), FrozenDictionary<string, DriveInScenario>> older = new();
    private int drives;

    /// <summary>No front ends.</summary>
    public static IReadOnlyDictionary<string, DriveInScenario> Nothing => None;

    /// <summary>Front ends of a scenario by key; empty where it was never run.</summary>
    public IReadOnlyDictionary<string, DriveInScenario> Of(string plant, string scenarioId) =>
        Known((plant, scenarioId)) ?? Balanced.Known((plant, scenarioId)) ?? None;

    /// <summary>Keeps them, unless they did not settle.</summary>
    public void Keep(string plant, ScenarioResult result)
    {
        var settled = result.Iteration.IsSettled ? result.Drives.ToFrozenDictionary(d => d.DrivePointId, StringComparer.Ordinal) : null;
        Keep((plant, result.ScenarioId), settled);
        if (settled is not null)
        {
            Balanced.Keep((plant, result.ScenarioId), settled);
        }
    }

    private FrozenDictionary<string, DriveInScenario>? Known((string Plant, string Scenario) key) =>
        newer.TryGetValue(key, out var known) || older.TryGetValue(key, out known) ? known : null;

    private void Keep((string Plant, string Scenario) key, FrozenDictionary<string, DriveInScenario>? settled)
    {
        lock (gate)
        {
            older.TryRemove(key, out _);
            drives -= newer.TryRemove(key, out var before) ? before.Count : 0;
            if (settled is null)
            {
                return;
            }

            if (drives > MostDrivesInHalf)
            {
                (older, newer, drives) = (newer, new(), 0);
            }

            newer[key] = settled;
            drives += settled.Count;
        }
    }
}
