using System.Text.Json;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Web.Projects;

/// <summary>Between the store's JSON and the specification with its assessment.</summary>
internal sealed partial class ProjectReader(ProjectStore store, Assessor assessor, RecentEdits recent, ILogger<ProjectReader> logger)
{
    public EngineeringData Data => assessor.Data;

    public static byte[] Write(PlantSpecification specification) => JsonSerializer.SerializeToUtf8Bytes(specification, ProjectJson.Options);

    public static PlantSpecification Read(StoredDocument stored) => StoredProject.Read(stored.Document, stored.FormatVersion);

    public ProjectDocument Create(PlantSpecification specification, string who, string label) =>
        Document(store.Create(Write(specification), who, label));

    public PlantSpecification? Specification(string id) => store.Find(id) is { } head ? Specification(head) : null;

    public ProjectDocument Document(ProjectHead head) =>
        With(head, Kept(head));

    /// <summary>What is in force in a project, read once.</summary>
    public PlantSpecification Of(ProjectHead head) => Specification(head);

    /// <summary>Its text, as this program writes it.</summary>
    public byte[] TextOf(ProjectHead head) => Kept(head).Text;

    private PlantSpecification Specification(ProjectHead head) => Kept(head).Specification;

    private RecentEdit Kept(ProjectHead head) => recent.Of(head, () => StoredProject.Read(store.DocumentOf(head), head.FormatVersion));

    public ProjectDocument Document(ProjectHead head, PlantSpecification known) => With(head, recent.Of(head, () => known));

    private ProjectDocument With(ProjectHead head, RecentEdit kept) => new(
        head.Id,
        head.Edit,
        head.Label,
        head.UndoLabel,
        head.RedoLabel,
        head.State,
        kept.Specification,
        kept.Stamp,
        Assessed(kept));

    /// <summary>What was saved, without the specification where the client has it and without what of the assessment it has.</summary>
    public SavedDocument Saved(ProjectHead head, PlantSpecification specification, byte[] text, bool isKnown, ClientHas client) =>
        Saved(head, () => recent.Of(head, () => specification, text), isKnown, client);

    /// <summary>What is in force after a step back or forth, without what of the assessment the client has.</summary>
    public SavedDocument Saved(ProjectHead head, ClientHas client) => Saved(head, () => Kept(head), false, client);

    private SavedDocument Saved(ProjectHead head, Func<RecentEdit> keep, bool isKnown, ClientHas client)
    {
        // Only the newest is kept: the one before is taken first.
        var before = recent.Find(head.Id, client.Edit);
        var kept = keep();
        var after = Assessed(kept);
        var changed = before?.Assessment is { } known && before.Stamp == client.Stamp && known.CatalogueVersion == after.CatalogueVersion
            ? AssessmentChanges.Of(known, after)
            : null;
        return new(head.Id, head.Edit, head.Label, head.UndoLabel, head.RedoLabel, head.State, isKnown ? null : kept.Specification,
            kept.Stamp, changed is null ? after : null, changed);
    }

    private AssessmentDocument Assessed(RecentEdit kept) => kept.Assessment ?? kept.Keep(Assessed(kept.Specification));

    // What is stored is stored: a plant whose assessment fails opens with its board, history and undo, and says so.
    private AssessmentDocument Assessed(PlantSpecification specification)
    {
        try
        {
            var assessment = assessor.Run(specification);
            foreach (var fault in assessment.Faults)
            {
                NotJudged(logger, specification.Name, fault.Where, fault.What, fault.Trace);
            }

            return AssessmentDocument.Of(specification, assessment, Data.PccLimits, withReasons: false);
        }
        catch (Exception problem) when (problem is not OperationCanceledException)
        {
            var fault = Fault.Of("assessment of the plant", problem);
            NotJudged(logger, specification.Name, fault.Where, fault.What, fault.Trace);
            return AssessmentDocument.Failed(fault, Data.Version);
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Not judged in {Plant}: {Where}: {What}\n{Trace}")]
    private static partial void NotJudged(ILogger logger, string plant, string where, string what, string trace);
}

/// <summary>What a client has already: an edit, and the assessment of it by its stamp; empty: none.</summary>
internal readonly record struct ClientHas(long Edit, string Stamp);
