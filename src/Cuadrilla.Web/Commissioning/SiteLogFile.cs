using System.Text.Json;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Web.Commissioning;

/// <summary>Between a log as it is stored and as it stands in a project file.</summary>
internal static class SiteLogFile
{
    public static IReadOnlyList<LoggedEntry> Logged(IReadOnlyList<StoredSiteEntry> stored) => [.. stored.Select(e =>
    {
        var reading = SiteJson.Reading(e.Reading);
        return new LoggedEntry(e.Number, e.AtUtc, e.Who, e.PointId, e.StepId, Enum.Parse<Verdict>(e.Verdict), e.Result, reading.Values,
            reading.Run,
            reading.Done, JsonSerializer.Deserialize<Dictionary<string, IReadOnlyList<string>>>(e.Basis)!, e.Edit)
        {
            Note = e.Note, Instrument = e.Instrument, Calibrated = e.Calibrated, Simulated = e.Simulated, Corrects = e.Corrects,
        };
    })];

    public static IReadOnlyList<StoredSiteEntry> Stored(IReadOnlyList<LoggedEntry> log) => [.. log.Select(e => new StoredSiteEntry
    {
        AtUtc = e.AtUtc, Who = e.Who, PointId = e.PointId, StepId = e.StepId, Verdict = e.Verdict.ToString(), Result = e.Result,
        Reading = SiteJson.Write(new SiteReading(e.Values, e.Run, e.Done)), Basis = JsonSerializer.Serialize(e.Basis), Note = e.Note,
        Instrument = e.Instrument, Calibrated = e.Calibrated, Simulated = e.Simulated, Edit = e.Edit, Corrects = e.Corrects,
    })];
}
