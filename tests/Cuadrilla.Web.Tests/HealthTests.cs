using System.Net;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>Health asks the database.</summary>
public sealed class HealthTests
{
    [Fact]
    public async Task It_is_well_only_while_projects_can_be_read_and_saved()
    {
        using var host = new WebHost();
        var client = host.CreateClient();
        using var well = await client.GetAsync("/api/health");
        Assert.Equal(HttpStatusCode.OK, well.StatusCode);
        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(host.Folder, "cuadrilla.db")}"))
        {
            await connection.ExecuteAsync("DROP TABLE edit");
        }

        using var unwell = await client.GetAsync("/api/health");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, unwell.StatusCode);
        Assert.Contains("edit", (string?)(await unwell.Body())["detail"], StringComparison.Ordinal);
    }
}
