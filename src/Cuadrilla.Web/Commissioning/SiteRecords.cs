using System.Globalization;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;

namespace Cuadrilla.Web.Commissioning;

/// <summary>Where drive points stand on site: steps of the specification of today with the entries of the log.</summary>
internal sealed class SiteRecords(SiteLogStore store, Assessor assessor)
{
    /// <summary>A drive point with its steps, entries and what stands against a sign-off.</summary>
    public SitePointDocument Point(ProjectHead head, PlantSpecification plant, DrivePoint point)
    {
        var source = assessor.SiteOf(plant, point);
        var stored = store.OfPoint(head.Id, point.Id);
        var states = States(source, stored);
        var open = SignOff.Of(states);
        return new(point.Id, head.Edit, [.. states.Select(StepDocument.Of)], [.. stored.Reverse().Select(EntryDocument.Of)], open.OpenIds,
            Signed(source, stored) is { } signed ? EntryDocument.Of(signed) : null, AsBuiltProposal.Of(source, [.. stored.Select(Entry)]));
    }

    /// <summary>How far each drive point is.</summary>
    public IReadOnlyList<SiteProgressDocument> Progress(ProjectHead head, PlantSpecification plant)
    {
        var byPoint = store.All(head.Id).ToLookup(e => e.PointId, StringComparer.Ordinal);
        return [.. plant.AllDrivePoints().Select(point =>
        {
            var source = assessor.SiteOf(plant, point);
            IReadOnlyList<StoredSiteEntry> stored = [.. byPoint[point.Id]];
            var states = States(source, stored).Where(s => s.Standing != StepStanding.Forbidden).ToList();
            int Count(StepStanding standing) => states.Count(s => s.Standing == standing);
            return new SiteProgressDocument(point.Id, Count(StepStanding.Done), Count(StepStanding.Wrong), Count(StepStanding.Stale),
                states.Count(s => s.Entry is { Simulated: true }), states.Count,
                Signed(source, stored) is not null);
        })];
    }

    /// <summary>Steps of a drive point as they stand.</summary>
    public static IReadOnlyList<StepState> States(StepSource source, IReadOnlyList<StoredSiteEntry> stored) =>
        StepState.Of(SiteSteps.Of(source), [.. stored.Select(Entry)], SiteBasis.Of(source));

    /// <summary>The record of a drive point: what leaves as a document.</summary>
    public SiteRecord Record(ProjectHead head, PlantSpecification plant, DrivePoint point)
    {
        var source = assessor.SiteOf(plant, point);
        var stored = store.OfPoint(head.Id, point.Id);
        return new(plant.Name, point.Tag, point.Name, head.Edit, States(source, stored),
            [.. stored.Where(e => !e.StepId.StartsWith(ParameterSheets.LeftPrefix, StringComparison.Ordinal)).Select(Entry)],
            Signed(source, stored) is { } signed ? Entry(signed) : null);
    }

    // A later entry, or a changed basis, takes a sign-off back.
    private static StoredSiteEntry? Signed(StepSource source, IReadOnlyList<StoredSiteEntry> stored) =>
        stored.LastOrDefault(e => !e.StepId.StartsWith(ParameterSheets.LeftPrefix,
            StringComparison.Ordinal)) is { StepId: SiteSteps.SignOffId } last
            && SiteJson.Basis(last.Basis).ChangedTo(SiteBasis.Of(source), Enum.GetValues<SiteAspect>()).Count == 0 ? last : null;

    private static SiteEntry Entry(StoredSiteEntry stored) => new()
    {
        Number = stored.Number,
        AtUtc = stored.AtUtc,
        Who = stored.Who,
        PointId = stored.PointId,
        StepId = stored.StepId,
        Reading = SiteJson.Reading(stored.Reading),
        Judgement = new(Enum.Parse<Verdict>(stored.Verdict), stored.Result),
        Edit = stored.Edit,
        Basis = SiteJson.Basis(stored.Basis),
        Note = stored.Note,
        Instrument = stored.Instrument,
        Calibrated = stored.Calibrated is { } date ? DateOnly.Parse(date, CultureInfo.InvariantCulture) : null,
        Simulated = stored.Simulated,
        Corrects = stored.Corrects,
    };
}
