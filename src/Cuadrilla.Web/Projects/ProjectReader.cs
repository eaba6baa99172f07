using System.Text.Json;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Web.Projects;

/// <summary>Between the store's JSON and the specification with its assessment.</summary>
internal sealed class ProjectReader(ProjectStore store, Assessor assessor)
{
    public EngineeringData Data => assessor.Data;

    public static string Write(PlantSpecification specification) => JsonSerializer.Serialize(specification, ProjectJson.Options);

    public static PlantSpecification Read(string document) => ProjectUpgrade.ReadStored(document);

    public ProjectDocument Create(PlantSpecification specification, string who, string label) =>
        Document(store.Create(Write(specification), who, label));

    public PlantSpecification? Specification(string id) => store.Find(id) is { } head ? Read(head.Document) : null;

    public ProjectDocument Document(ProjectHead head) => Document(head, Read(head.Document));

    public ProjectDocument Document(ProjectHead head, PlantSpecification specification) => new(
        head.Id,
        head.Edit,
        head.Label,
        head.UndoLabel,
        head.RedoLabel,
        specification,
        AssessmentDocument.Of(specification, assessor.Run(specification), Data.PccLimits, withReasons: false));
}
