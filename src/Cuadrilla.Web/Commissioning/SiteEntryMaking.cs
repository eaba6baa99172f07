using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;

namespace Cuadrilla.Web.Commissioning;

/// <summary>Makes entries of what was found: judged here, by the specification of today.</summary>
internal static class SiteEntryMaking
{
    private const int MostRunPoints = 10_000;
    private const int LongestNote = 500;
    private const int LongestInstrument = 100;
    private const double Large = 1e9;

    /// <summary>The entry to be stored.</summary>
    /// <exception cref="InputException">It does not fit the step.</exception>
    public static StoredSiteEntry Of(MakeEntryRequest wanted, string author, long edit, StepSource source, IReadOnlyList<StepState> states,
        bool isSimulated)
    {
        Words(wanted);
        var reading = new SiteReading(wanted.Values, wanted.Run, wanted.Done);
        var judged = wanted.StepId == SiteSteps.SignOffId ? SignedOff(wanted, states) : Judged(wanted, reading, states);
        return new()
        {
            Who = author,
            PointId = wanted.PointId,
            StepId = wanted.StepId,
            Verdict = judged.Verdict.ToString(),
            Result = judged.Text,
            Reading = SiteJson.Write(reading),
            Basis = SiteJson.Write(SiteBasis.Of(source)),
            Note = wanted.Note,
            Instrument = wanted.Instrument,
            Calibrated = wanted.Calibrated,

            // What rests on something simulated is simulated itself, a sign-off too.
            Simulated = isSimulated || wanted.StepId == SiteSteps.SignOffId && SimulatedOf(states) > 0,
            Edit = edit,
            Corrects = wanted.Corrects,
        };
    }

    private static SiteJudgement Judged(MakeEntryRequest wanted, SiteReading reading, IReadOnlyList<StepState> states)
    {
        var state = states.FirstOrDefault(s => s.Step.Id == wanted.StepId)
            ?? throw Refused("/stepId", "Step", $"'{wanted.StepId}'", "a step of this drive point, or sign-off");
        if (state.Standing == StepStanding.Forbidden)
        {
            throw Refused("/stepId", "Step", $"'{wanted.StepId}'", "a step that is done here: " + state.Step.Forbidden);
        }

        if (state.Standing == StepStanding.Waiting)
        {
            throw Refused("/stepId", "Step", $"'{wanted.StepId}'", "first: " + string.Join(", ", state.Why));
        }

        var known = state.Step.Quantities.Select(q => q.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var (id, value) in wanted.Values)
        {
            if (!known.Contains(id))
            {
                throw Refused($"/values/{id}", "Quantity", $"'{id}'",
                    known.Count > 0 ? string.Join(", ", known) : "none: this step is seen and confirmed");
            }

            if (!(Math.Abs(value) <= Large))
            {
                throw Refused($"/values/{id}", id, value.ToString(CultureInfo.InvariantCulture), "−1e9 to 1e9");
            }
        }

        RequireRun(wanted, state.Step);
        if (wanted.Done == true && !(state.Step.CanBeSeen && wanted.Values.Count == 0))
        {
            throw Refused("/done", "Done", "true", "values: this step is judged by what was measured");
        }

        var judged = state.Step.Judge(reading);
        return judged.Verdict == Verdict.NeedsData ? throw Refused("/values", "Values", "not complete",
                judged.Text.Replace("missing: ", string.Empty, StringComparison.Ordinal))
            : double.IsFinite(wanted.Values.Values.Sum()) ? judged
            : throw Refused("/values", "Values", "not finite", "numbers");
    }

    private static void RequireRun(MakeEntryRequest wanted, SiteStep step)
    {
        if (wanted.Run.Count > 0 && step.RunUnit.Length == 0)
        {
            throw Refused("/run", "Run", $"{wanted.Run.Count} points", "none: this step takes no run");
        }

        if (wanted.Run.Count > MostRunPoints)
        {
            throw Refused("/run", "Run", $"{wanted.Run.Count} points", $"up to {MostRunPoints}");
        }

        for (var i = 0; i < wanted.Run.Count; i++)
        {
            if (!(Math.Abs(wanted.Run[i].Value) <= Large && wanted.Run[i].TimeS >= 0 && wanted.Run[i].TimeS <= Large)
                || i > 0 && wanted.Run[i].TimeS <= wanted.Run[i - 1].TimeS)
            {
                throw Refused($"/run/{i}", "Point",
                    string.Create(CultureInfo.InvariantCulture, $"{wanted.Run[i].TimeS} s, {wanted.Run[i].Value}"),
                    "a time from 0, later than the point before it, and a number");
            }
        }
    }

    // A sign-off names every step that is not done: a stale one is not done.
    private static SiteJudgement SignedOff(MakeEntryRequest wanted, IReadOnlyList<StepState> states)
    {
        var open = SignOff.Of(states);
        if (open.NotNamed([.. wanted.OpenPoints]) is { Count: > 0 } missing)
        {
            throw Refused("/openPoints", "Open points", $"without {missing.Count} steps that are not done", "also " + string.Join(", ",
                missing.Select(m => states.First(s => s.Step.Id == m).Step.Title)));
        }

        if (wanted.OpenPoints.Except(open.OpenIds, StringComparer.Ordinal).FirstOrDefault() is { } strange)
        {
            throw Refused("/openPoints", "Open point", $"'{strange}'", "steps that are not done");
        }

        var rests = SimulatedOf(states) is > 0 and var count
            ? $"; rests on {count} simulated entries: an exercise, no proof" : string.Empty;
        return open.OpenIds.Count == 0
            ? new(rests.Length > 0 ? Verdict.Tight : Verdict.Holds, "signed off, nothing open" + rests)
            : new(Verdict.Tight, "signed off with open points: "
                + string.Join(", ", open.OpenIds.Select(o => states.First(s => s.Step.Id == o).Step.Title)) + rests);
    }

    private static int SimulatedOf(IReadOnlyList<StepState> states) => states.Count(s => s.Entry is { Simulated: true });

    private static void Words(MakeEntryRequest wanted)
    {
        if (wanted.Note.Length > 0)
        {
            Persons.RequireWords("/note", "Note", wanted.Note, LongestNote);
        }

        if (wanted.Instrument.Length > 0)
        {
            Persons.RequireWords("/instrument", "Instrument", wanted.Instrument, LongestInstrument);
        }

        if (wanted.Calibrated is { } date
            && !DateOnly.TryParseExact(date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _))
        {
            throw Refused("/calibrated", "Calibrated", $"'{(date.Length > 20 ? date[..20] : date)}'", "a date, yyyy-mm-dd");
        }
    }

    private static InputException Refused(string pointer, string name, string value, string allowed) =>
        new(InputProblem.Of(pointer, name, value, allowed));
}
