using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Documents.Drawings;

namespace Cuadrilla.Documents.Sheets;

/// <summary>Cabinets of a lineup on paper: elevation, a section from the side, floor plan, table of sections.</summary>
public static class CabinetSheetPdf
{
    /// <summary>Writes it.</summary>
    public static byte[] Write(CabinetStudy study, PlantSpecification plant, Assessor assessor, DateOnly date)
    {
        ArgumentNullException.ThrowIfNull(study);
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessor);
        var fullest = study.Layout.Sections.MaxBy(s => s.Units.Count)!.Number;
        return DrawingPdf.Write(
            new DrawingHead("Cabinets", $"{study.Lineup.Tag}  {study.Lineup.Name}", [plant.Name, date.ToString("yyyy-MM-dd")]),
            [("Front elevation, doors off", CabinetDrawing.Of(study)), ("Side section", CabinetDrawing.Side(study, fullest)),
                ("Floor plan", CabinetDrawing.Plan(study))],
            [.. CabinetSheet.Tables(study, assessor.Run(plant), plant.Conventions.Units)],
            [
                "To scale; lengths in mm. Whoever builds the assembly proves it (IEC 61439) by local codes and the makers' instructions.",
                "Covers IP2X behind doors, handles of disconnectors 0.6 to 1.9 m above the floor, diagnosis in a section of its own.",
            ]);
    }
}
