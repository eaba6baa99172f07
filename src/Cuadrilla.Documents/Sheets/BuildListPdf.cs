using System.Globalization;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Lists;

namespace Cuadrilla.Documents.Sheets;

/// <summary>A list for panel builder, programmer or buyer on paper.</summary>
public static class BuildListPdf
{
    private static readonly string[] Cautions =
    [
        "Isolate, lock, wait for the links to discharge and prove absence of voltage before wiring. Local codes and makers' instructions "
            + "go first.",
        "Stop categories are recorded as stated; Cuadrilla designs no safety function.",
    ];

    /// <summary>Writes it.</summary>
    /// <param name="list">Which list.</param>
    /// <param name="plant">The plant.</param>
    /// <param name="assessor">Assesses it.</param>
    /// <param name="under">Date and revision.</param>
    public static byte[] Write(BuildList list, PlantSpecification plant, Assessor assessor, IReadOnlyList<string> under)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var rows = BuildLists.Rows(list, plant, assessor);
        IReadOnlyList<string> heads = [.. rows[0].Keys];
        return DrawingPdf.Write(new DrawingHead(BuildLists.Name(list), plant.Name, under), [],
            [new SheetTable(BuildLists.Name(list), heads,
                [.. rows.Select(r => (IReadOnlyList<string>)[.. heads.Select(h => Cell(r[h]))])])], Cautions);
    }

    private static string Cell(object? value) => value switch
    {
        null => "–",
        double number => Text.N(number, 4),
        _ => Convert.ToString(value, CultureInfo.InvariantCulture) ?? string.Empty,
    };
}
