using Cuadrilla.Data.Accounts;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Documents.Tables;

namespace Cuadrilla.Web.Tables;

/// <summary>Reads a workbook for the app, which chooses the columns.</summary>
internal static class TableEndpoints
{
    private const string ContentType = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    public static void MapTables(this IEndpointRouteBuilder app) => app.MapPost("/api/tables/xlsx", ReadAsync)
        .WithTags("Tables").WithName("readWorkbook").For(AccountRole.Reader).Accepts<Stream>(ContentType)
        .Produces<IReadOnlyList<IReadOnlyList<string>>>();

    private static async Task<IResult> ReadAsync(HttpRequest request, CancellationToken stop)
    {
        using var memory = new MemoryStream();
        await request.Body.CopyToAsync(memory, stop);
        return Results.Ok(Workbook.Read(memory, stop));
    }
}
