using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.Log;

/// <summary>How far a step is.</summary>
public enum StepStanding
{
    /// <summary>To be done.</summary>
    Open,

    /// <summary>Waits for another.</summary>
    Waiting,

    /// <summary>Done and in order.</summary>
    Done,

    /// <summary>Done, and not in order.</summary>
    Wrong,

    /// <summary>What it rests on has changed since.</summary>
    Stale,

    /// <summary>Not done here.</summary>
    Forbidden,
}

/// <summary>A step with what the log says of it.</summary>
/// <param name="Step">The step.</param>
/// <param name="Standing">How far it is.</param>
/// <param name="Entry">The entry that counts; null without.</param>
/// <param name="Why">Why it is stale, waits or is not done here.</param>
public sealed record StepState(SiteStep Step, StepStanding Standing, SiteEntry? Entry, IReadOnlyList<string> Why)
{
    /// <summary>Where a drive point stands: each step with the entry that counts.</summary>
    /// <param name="steps">Its steps.</param>
    /// <param name="entries">Its entries, in any order.</param>
    /// <param name="today">What results would rest on today.</param>
    public static IReadOnlyList<StepState> Of(IReadOnlyList<SiteStep> steps, IReadOnlyList<SiteEntry> entries, SiteBasis today)
    {
        ArgumentNullException.ThrowIfNull(steps);
        ArgumentNullException.ThrowIfNull(entries);
        var counted = Counted(entries);
        var found = new Dictionary<string, StepState>(StringComparer.Ordinal);
        foreach (var step in steps)
        {
            found[step.Id] = StateOf(step, counted, today, steps, found);
        }

        return [.. steps.Select(s => found[s.Id])];
    }

    /// <summary>The entry of each step that counts: the newest that no later one corrects.</summary>
    public static IReadOnlyDictionary<string, SiteEntry> Counted(IReadOnlyList<SiteEntry> entries)
    {
        ArgumentNullException.ThrowIfNull(entries);
        var corrected = entries.Where(e => e.Corrects is not null).Select(e => e.Corrects!.Value).ToHashSet();
        return entries.Where(e => !corrected.Contains(e.Number)).GroupBy(e => e.StepId, StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => g.MaxBy(e => e.Number)!, StringComparer.Ordinal);
    }

    private static StepState StateOf(SiteStep step, IReadOnlyDictionary<string, SiteEntry> counted, SiteBasis today,
        IReadOnlyList<SiteStep> steps, Dictionary<string, StepState> found)
    {
        var entry = counted.GetValueOrDefault(step.Id);
        if (step.Forbidden.Length > 0)
        {
            return new(step, StepStanding.Forbidden, entry, [step.Forbidden]);
        }

        if (entry is null)
        {
            // A step waits until those before it hold; a stale one does not.
            List<string> waits = [.. step.After.Where(a => found.GetValueOrDefault(a) is not { Standing: StepStanding.Done })
                .Select(a => steps.First(s => s.Id == a).Title)];
            return waits.Count > 0 ? new(step, StepStanding.Waiting, null, waits) : new(step, StepStanding.Open, null, []);
        }

        List<string> stale = [.. entry.Basis.ChangedTo(today, step.RestsOn),
            .. steps.Where(s => s.Feeds.Contains(step.Id) && counted.GetValueOrDefault(s.Id) is { } fed && fed.Number > entry.Number)
                .Select(s => $"{s.Title} was repeated after it"),
            .. step.After.Where(a => found.GetValueOrDefault(a) is { Standing: StepStanding.Stale })
                .Select(a => $"{steps.First(s => s.Id == a).Title} is stale"),
        ];
        return stale.Count > 0 ? new(step, StepStanding.Stale, entry, stale)
            : new(step, entry.Judgement.Verdict is Verdict.Holds or Verdict.Tight ? StepStanding.Done : StepStanding.Wrong, entry, []);
    }
}

/// <summary>What stands against a sign-off.</summary>
/// <param name="OpenIds">Steps that are open, waiting, wrong or stale: each must be named with the sign-off as an open point.</param>
public sealed record SignOff(IReadOnlyList<string> OpenIds)
{
    /// <summary>Of a drive point's steps. A stale entry never counts.</summary>
    public static SignOff Of(IReadOnlyList<StepState> states)
    {
        ArgumentNullException.ThrowIfNull(states);
        return new([.. states.Where(s => s.Standing is not (StepStanding.Done or StepStanding.Forbidden)).Select(s => s.Step.Id)]);
    }

    /// <summary>Steps that would have to be named and are not.</summary>
    /// <param name="named">Steps named as open points.</param>
    public IReadOnlyList<string> NotNamed(IReadOnlyCollection<string> named) => [.. OpenIds.Where(o => !named.Contains(o))];
}
