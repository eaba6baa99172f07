using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;

namespace Cuadrilla.Web.Commissioning;

/// <summary>A quantity that a step asks for.</summary>
/// <param name="Id">Stable key within the step.</param>
/// <param name="Name">What it is.</param>
/// <param name="Unit">Unit it is entered in.</param>
/// <param name="Expected">Expected value; null where there is none.</param>
/// <param name="Least">Holds from; null without.</param>
/// <param name="Most">Holds to; null without.</param>
/// <param name="IsNeeded">The step can't be judged without it.</param>
/// <param name="Numbers">How the expected value comes about.</param>
/// <param name="Source">Where the window is from.</param>
/// <param name="Reading">Name of the reading of an instrument that answers it; null where a person enters it.</param>
internal sealed record QuantityDocument(string Id, string Name, string Unit, double? Expected, double? Least, double? Most, bool IsNeeded,
    string Numbers, string Source, string? Reading);

/// <summary>What is done at the machine for a step to be measured.</summary>
internal sealed record StepOrderDocument(StandInOrder Order, double? FrequencyHz);

/// <summary>An entry of the log.</summary>
internal sealed record EntryDocument(long Number, string AtUtc, string Who, string PointId, string StepId, string Verdict, string Result,
    IReadOnlyDictionary<string, double> Values, IReadOnlyList<RunPoint> Run, bool? Done, string Note, string Instrument, string? Calibrated,
    bool Simulated, long Edit, long? Corrects)
{
    public static EntryDocument Of(StoredSiteEntry entry)
    {
        var reading = SiteJson.Reading(entry.Reading);
        return new(entry.Number, entry.AtUtc, entry.Who, entry.PointId, entry.StepId, entry.Verdict, entry.Result, reading.Values,
            reading.Run,
            reading.Done, entry.Note, entry.Instrument, entry.Calibrated, entry.Simulated, entry.Edit, entry.Corrects);
    }
}

/// <summary>A step with where it stands.</summary>
internal sealed record StepDocument(string Id, SitePhase Phase, string Title, string How, string Caution, string Suspect,
    IReadOnlyList<QuantityDocument> Quantities, string RunUnit, string? RunReading, IReadOnlyList<StepOrderDocument> Orders,
        StepStanding Standing, IReadOnlyList<string> Why, long? EntryNumber,
    string Verdict, string Result, bool Simulated)
{
    public static StepDocument Of(StepState state) => new(state.Step.Id, state.Step.Phase, state.Step.Title, state.Step.How,
        state.Step.Caution, state.Step.Suspect,
        [.. state.Step.Quantities.Select(q => new QuantityDocument(q.Id, q.Name, q.Unit, q.Expected.IsKnown ? q.Expected.Value : null,
            Finite(q.Window?.Least), Finite(q.Window?.Most), q.IsNeeded, q.Reason.WithNumbers, q.Reason.Source,
            StepReadings.Of(state.Step.Id, q.Id)))],
        state.Step.RunUnit, StepReadings.Of(state.Step.Id, StepReadings.RunId),
        [.. StepOrders.Of(state.Step.Id).Select(o => new StepOrderDocument(o.Order, o.FrequencyHz))], state.Standing, state.Why,
            state.Entry?.Number, state.Entry?.Judgement.Verdict.ToString() ?? string.Empty,
        state.Entry?.Judgement.Text ?? string.Empty, state.Entry is { Simulated: true });

    private static double? Finite(double? value) => value is { } v && double.IsFinite(v) ? v : null;
}

/// <summary>Where a drive point stands on site.</summary>
/// <param name="PointId">The drive point.</param>
/// <param name="Edit">Edit of the specification that the steps are of.</param>
/// <param name="Steps">Its steps in the order of the work.</param>
/// <param name="Entries">Its entries, newest first.</param>
/// <param name="OpenIds">Steps that stand against a sign-off.</param>
/// <param name="Signed">The sign-off in force; null without, or where something has changed since.</param>
/// <param name="AsBuilt">Values as built that are otherwise than specified.</param>
internal sealed record SitePointDocument(string PointId, long Edit, IReadOnlyList<StepDocument> Steps, IReadOnlyList<EntryDocument> Entries,
    IReadOnlyList<string> OpenIds, EntryDocument? Signed, IReadOnlyList<AsBuiltProposal> AsBuilt);

/// <summary>How far the drive points of a plant are.</summary>
/// <param name="PointId">The drive point.</param>
/// <param name="Done">Steps done and in order.</param>
/// <param name="Wrong">Steps done and not in order.</param>
/// <param name="Stale">Steps whose basis has changed.</param>
/// <param name="Simulated">Steps whose entry is from something simulated.</param>
/// <param name="All">Steps to be done.</param>
/// <param name="IsSigned">Signed off, and nothing has changed since.</param>
internal sealed record SiteProgressDocument(string PointId, int Done, int Wrong, int Stale, int Simulated, int All, bool IsSigned);

/// <summary>An entry to be made.</summary>
/// <param name="Who">Who makes it, 1 to 60 characters.</param>
/// <param name="PointId">Drive point.</param>
/// <param name="StepId">Step, or sign-off.</param>
internal sealed record MakeEntryRequest(string Who, string PointId, string StepId)
{
    /// <summary>Values by key of the quantity.</summary>
    public IReadOnlyDictionary<string, double> Values { get; init; } = new Dictionary<string, double>();

    /// <summary>Numbers of readings taken from instruments, by key of the quantity: their values are the server's.</summary>
    public IReadOnlyDictionary<string, long> Taken { get; init; } = new Dictionary<string, long>();

    /// <summary>Number of a recorded run: its points are those of the entry.</summary>
    public long? RunNumber { get; init; }

    /// <summary>Points of a run.</summary>
    public IReadOnlyList<RunPoint> Run { get; init; } = [];

    /// <summary>Seen: in order or not.</summary>
    public bool? Done { get; init; }

    /// <summary>A remark, up to 500 characters.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>Instrument, up to 100 characters.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>Date of its calibration, yyyy-mm-dd.</summary>
    public string? Calibrated { get; init; }

    /// <summary>The entry that it corrects.</summary>
    public long? Corrects { get; init; }

    /// <summary>With a sign-off: steps named as open points.</summary>
    public IReadOnlyList<string> OpenPoints { get; init; } = [];
}
