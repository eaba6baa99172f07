using System.Text.Json;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Projects;
using Microsoft.Extensions.Caching.Memory;

namespace Cuadrilla.Web.Projects;

/// <summary>Between the store's JSON and the specification with its assessment.</summary>
internal sealed partial class ProjectReader(ProjectStore store, Assessor assessor, IMemoryCache recent, ILogger<ProjectReader> logger)
{
    /// <summary>How many specifications are kept with their assessments, so that bench, checks and sheets of an edit assess nothing
    /// again.</summary>
    public const int MostRecent = 8;

    // A large plant's assessment takes some tens of megabytes: of a project only the edit in force is kept.
    private const int MostOfProject = 1;

    public EngineeringData Data => assessor.Data;

    public static string Write(PlantSpecification specification) => JsonSerializer.Serialize(specification, ProjectJson.Options);

    public static PlantSpecification Read(StoredDocument stored) => StoredProject.Read(stored.Document, stored.FormatVersion);

    public ProjectDocument Create(PlantSpecification specification, string who, string label) =>
        Document(store.Create(Write(specification), who, label));

    public PlantSpecification? Specification(string id) => store.Find(id) is { } head ? Specification(head) : null;

    public ProjectDocument Document(ProjectHead head) => Document(head, Specification(head));

    /// <summary>What is in force in a project, read once.</summary>
    public PlantSpecification Of(ProjectHead head) => Specification(head);

    private PlantSpecification Specification(ProjectHead head) => Kept(head, () => StoredProject.Read(head.Document, head.FormatVersion));

    private PlantSpecification Kept(ProjectHead head, Func<PlantSpecification> read) => recent.GetOrCreate((head.Id, head.Edit), entry =>
    {
        recent.Remove((head.Id, head.Edit - MostOfProject));
        entry.Size = 1;
        return read();
    })!;

    public ProjectDocument Document(ProjectHead head, PlantSpecification known) => With(head, Kept(head, () => known));

    private ProjectDocument With(ProjectHead head, PlantSpecification specification) => new(
        head.Id,
        head.Edit,
        head.Label,
        head.UndoLabel,
        head.RedoLabel,
        head.State,
        specification,
        Assessed(specification));

    /// <summary>The same without the specification where the client has it.</summary>
    public SavedDocument Saved(ProjectHead head, PlantSpecification specification, bool isKnown) =>
        new(head.Id, head.Edit, head.Label, head.UndoLabel, head.RedoLabel, head.State, isKnown ? null : specification,
            Assessed(Kept(head, () => specification)));

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
