using System.Globalization;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Sheets;

namespace Cuadrilla.Documents.Commissioning;

/// <summary>The record of a drive point's commissioning: where each step stands, and every entry.</summary>
/// <param name="Plant">Name of the plant.</param>
/// <param name="Tag">Tag of the drive point.</param>
/// <param name="Name">Its name.</param>
/// <param name="Edit">Edit of the specification that it is of.</param>
/// <param name="States">Its steps.</param>
/// <param name="Entries">Its entries, oldest first.</param>
/// <param name="Signed">The sign-off in force; null without.</param>
public sealed record SiteRecord(string Plant, string Tag, string Name, long Edit, IReadOnlyList<StepState> States,
    IReadOnlyList<SiteEntry> Entries, SiteEntry? Signed)
{
    private static readonly string[] Cautions =
    [
        "A record of what was measured. It is no certificate of a safety function, of protection coordination or of arc-flash protection: "
            + "those are "
            + "signed by the persons responsible, under local rules.",
        "An entry is never changed; a later one corrects it. What is stale rests on a specification that has changed since and does not "
            + "count.",
    ];

    /// <summary>Steps as rows.</summary>
    public IReadOnlyList<IReadOnlyDictionary<string, object?>> StepRows() =>
        States.Select(s => TableFiles.Guarded(new Dictionary<string, object?>
    {
        ["part"] = Word(s.Step.Phase),
        ["step"] = s.Step.Title,
        ["standing"] = Word(s.Standing) + (s.Entry is { Simulated: true } ? ", SIMULATED" : string.Empty),
        ["found"] = s.Entry?.Judgement.Text ?? string.Empty,
        ["entry"] = s.Entry?.Number,
        ["remark"] = string.Join("; ", s.Why),
    })).ToList();

    /// <summary>Entries as rows.</summary>
    public IReadOnlyList<IReadOnlyDictionary<string, object?>> EntryRows() =>
        Entries.Select(e => TableFiles.Guarded(new Dictionary<string, object?>
    {
        ["entry"] = e.Number,
        ["when"] = At(e).ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture) + " UTC",
        ["who"] = e.Who,
        ["step"] = States.FirstOrDefault(s => s.Step.Id == e.StepId)?.Step.Title ?? e.StepId,
        ["values"] = string.Join(", ", e.Reading.Values.Select(v => $"{v.Key} {Core.Base.Text.N(v.Value)}"))
            + (e.Reading.Run.Count > 0 ? $"; run of {e.Reading.Run.Count} points" : string.Empty),
        ["found"] = $"{e.Judgement.Verdict}: {e.Judgement.Text}",
        ["instrument"] = e.Instrument + (e.Calibrated is { } date ? $", calibrated {date:yyyy-MM-dd}" : string.Empty)
            + (e.Simulated ? ", SIMULATED" : string.Empty),
        ["note"] = e.Note + (e.Corrects is { } number ? $" (corrects {number})" : string.Empty),
        ["edit"] = e.Edit,
    })).ToList();

    /// <summary>On paper.</summary>
    /// <param name="date">Date of the print.</param>
    public byte[] Pdf(DateOnly date) => DrawingPdf.Write(
        new DrawingHead("Commissioning record", $"{Tag}  {Name}",
            [Plant, $"specification of edit {Edit}", date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                Signed is { } s ? $"signed off by {s.Who}, {At(s):yyyy-MM-dd}: {s.Judgement.Text}" : "not signed off"]),
        [], [Table("Steps", StepRows()), .. Entries.Count > 0 ? [Table("Entries", EntryRows())] : Array.Empty<SheetTable>()], Cautions);

    /// <summary>As a workbook.</summary>
    public byte[] Xlsx() => TableFiles.Xlsx(new Dictionary<string, IReadOnlyList<IReadOnlyDictionary<string, object?>>>
    {
        ["Steps"] = StepRows(),
        ["Entries"] = Entries.Count > 0 ? EntryRows() : [new Dictionary<string, object?> { ["entry"] = "none" }],
    });

    private static DateTime At(SiteEntry entry) => DateTimeOffset.Parse(entry.AtUtc, CultureInfo.InvariantCulture).UtcDateTime;

    private static SheetTable Table(string name, IReadOnlyList<IReadOnlyDictionary<string, object?>> rows)
    {
        IReadOnlyList<string> heads = [.. rows[0].Keys];
        return new SheetTable(name, heads, [.. rows.Select(r => (IReadOnlyList<string>)[.. heads.Select(h =>
            Convert.ToString(r[h], CultureInfo.InvariantCulture) is { Length: > 0 } text ? text : "–")])]);
    }

    private static string Word(SitePhase phase) => phase switch
    {
        SitePhase.BeforePower => "before power",
        SitePhase.SignOff => "sign-off",
        _ => phase.ToString().ToLowerInvariant(),
    };

    private static string Word(StepStanding standing) => standing switch
    {
        StepStanding.Wrong => "not in order",
        StepStanding.Forbidden => "not done here",
        StepStanding.Waiting => "waits",
        _ => standing.ToString().ToLowerInvariant(),
    };
}
