using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;
using MiniExcelLibs;

namespace Cuadrilla.Web.Tables;

/// <summary>Reads a workbook for the app, which chooses the columns.</summary>
internal static class TableEndpoints
{
    private const string Workbook = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    private const int MaxRows = 20_000;

    public static void MapTables(this IEndpointRouteBuilder app) => app.MapPost("/api/tables/xlsx", ReadAsync)
        .WithTags("Tables").WithName("readWorkbook").Accepts<Stream>(Workbook)
        .Produces<IReadOnlyList<IReadOnlyList<string>>>();

    private static async Task<IResult> ReadAsync(HttpRequest request)
    {
        using var memory = new MemoryStream();
        await request.Body.CopyToAsync(memory);
        memory.Position = 0;
        try
        {
            var rows = memory.Query(useHeaderRow: false, excelType: ExcelType.XLSX).Take(MaxRows)
                .Select(row => ((IDictionary<string, object?>)row).Values.Select(v => Convert.ToString(v, CultureInfo.InvariantCulture) ?? string.Empty).ToList())
                .ToList();
            return Results.Ok(rows);
        }
        catch (Exception problem) when (problem is InvalidDataException or FormatException or NotSupportedException or System.Xml.XmlException or KeyNotFoundException)
        {
            throw new InputException(InputProblem.Of(string.Empty, "Workbook", "no readable .xlsx", "a workbook with a sheet of rows"));
        }
    }
}
