using System.Collections.Concurrent;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// Where the front ends of each scenario settled in the last run: the next one, after an edit, begins there. In two halves: when the
/// newer is full the older is forgotten, and what was asked for again has moved over. Safe for use from several threads.
/// </summary>
internal sealed class FrontMemory
{
    // Drives of all scenarios together: what is kept of each is some kilobytes.
    private const int MostDrivesInHalf = 6_000;

    // A network with what hangs on it takes as much as some of them.
    private const int DrivesOfNetwork = 10;

    // Balances end so near that figures do not tell where they began: all assessors may begin where any ended.
    private static readonly FrontMemory Balanced = new();

    private readonly Lock gate = new();
    private ConcurrentDictionary<(string Plant, string Scenario), ScenarioBefore> newer = new();
    private ConcurrentDictionary<(string Plant, string Scenario), ScenarioBefore> older = new();
    private int drives;

    /// <summary>What is known of a scenario; nothing where it was never run.</summary>
    public ScenarioBefore Of(string plant, string scenarioId) =>
        Known((plant, scenarioId)) ?? Balanced.Known((plant, scenarioId)) ?? ScenarioBefore.Nothing;

    /// <summary>Keeps them, unless they did not settle.</summary>
    public void Keep(string plant, ScenarioResult result)
    {
        var settled = result.Iteration.IsSettled ? ScenarioBefore.Of(result) : null;
        Keep((plant, result.ScenarioId), settled);
        if (settled is not null)
        {
            Balanced.Keep((plant, result.ScenarioId), settled);
        }
    }

    private ScenarioBefore? Known((string Plant, string Scenario) key) =>
        newer.TryGetValue(key, out var known) || older.TryGetValue(key, out known) ? known : null;

    private static int SizeOf(ScenarioBefore kept) => kept.Fronts.Count + DrivesOfNetwork;

    private void Keep((string Plant, string Scenario) key, ScenarioBefore? settled)
    {
        lock (gate)
        {
            older.TryRemove(key, out _);
            drives -= newer.TryRemove(key, out var before) ? SizeOf(before) : 0;
            if (settled is null)
            {
                return;
            }

            if (drives > MostDrivesInHalf)
            {
                (older, newer, drives) = (newer, new(), 0);
            }

            newer[key] = settled;
            drives += SizeOf(settled);
        }
    }
}
