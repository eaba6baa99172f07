using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Lineups;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>The demo plant with one drive point changed.</summary>
internal static class DemoChanges
{
    public static readonly EngineeringData Data = ReferenceCatalogue.Data;
    public static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    public static PlantSpecification Changed(string id, Func<DrivePoint, DrivePoint> change) => Changed(Demo, id, change);

    public static PlantSpecification Changed(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })],
    };
}
