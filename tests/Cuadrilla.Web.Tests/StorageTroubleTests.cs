using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Cuadrilla.Data;
using Cuadrilla.Documents.Projects;
using Dapper;
using Microsoft.AspNetCore.Hosting;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>Full, damaged, newer, read-only, taken: a sentence each, and what can still be used is used.</summary>
public sealed class StorageTroubleTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-trouble-").FullName;

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private string Db => Path.Combine(folder, "cuadrilla.db");

    [Fact]
    public async Task A_full_disk_is_told_and_nothing_saved_is_lost()
    {
        await using var host = new WebHost();
        await using var small = host.WithWebHostBuilder(b => b.UseSetting("largestMB", "1"));
        var client = small.CreateClient();
        var project = await client.ImportDemo();
        HttpStatusCode status;
        var kept = 1;
        do
        {
            using var more = await client.PostAsJsonAsync("/api/projects",
                new JsonObject { ["name"] = "", ["who"] = "e", ["template"] = (string?)project["id"] }, Stop);
            status = more.StatusCode;
            kept += status == HttpStatusCode.Created ? 1 : 0;
            if (status != HttpStatusCode.Created)
            {
                Assert.Contains("is full. Nothing was saved", (string?)(await more.Body())["detail"], StringComparison.Ordinal);
            }
        }
        while (status == HttpStatusCode.Created && kept < 100);
        Assert.Equal(HttpStatusCode.InsufficientStorage, status);
        Assert.Equal(kept, (await client.GetFromJsonAsync<JsonArray>("/api/projects", Stop))!.Count);
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync($"/api/projects/{project["id"]}", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_document_of_a_newer_program_and_a_damaged_one_are_refused_and_the_rest_is_used()
    {
        using var host = new WebHost();
        var client = host.CreateClient();
        var names = new[] { "well", "newer", "damaged", "lost" };
        Dictionary<string, string> ids = [];
        foreach (var name in names)
        {
            using var made = await client.PostAsJsonAsync("/api/projects", new JsonObject { ["name"] = name, ["who"] = "e" }, Stop);
            var project = await made.Body();
            ids[name] = (string)project["id"]!;
            using var saved = await client.Save(project, 1, s => s["site"]!["ambientMaxC"] = 33);
            Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
        }

        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(host.Folder, "cuadrilla.db")}"))
        {
            await connection.ExecuteAsync("UPDATE edit SET format_version = 99 WHERE project_id = @id AND sequence = 2",
                new { id = ids["newer"] });
            await connection.ExecuteAsync("UPDATE edit SET packed = zeroblob(60) WHERE project_id = @id AND sequence = 1",
                new { id = ids["damaged"] });
            // The database itself lets no edit lose its document; a damaged file may.
            await connection.ExecuteAsync("PRAGMA ignore_check_constraints = ON; "
                + "UPDATE edit SET document = NULL, packed = NULL, packed_on = NULL WHERE project_id = @id",
                new { id = ids["lost"] });
        }

        using var fresh = new HttpClient();
        using var again = host.WithWebHostBuilder(_ => { });
        var other = again.CreateClient();
        Assert.Equal(4, (await other.GetFromJsonAsync<JsonArray>("/api/projects", Stop))!.Count);
        using var newer = await other.GetAsync($"/api/projects/{ids["newer"]}", Stop);
        Assert.Contains("newer program", (string?)(await newer.Body())["detail"], StringComparison.Ordinal);
        using var damaged = await other.GetAsync($"/api/projects/{ids["damaged"]}/history/1", Stop);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, damaged.StatusCode);
        foreach (var place in new[] { string.Empty, "/history/1" })
        {
            using var lost = await other.GetAsync($"/api/projects/{ids["lost"]}{place}", Stop);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, lost.StatusCode);
            Assert.Contains("damaged", (string?)(await lost.Body())["detail"], StringComparison.Ordinal);
        }

        Assert.Equal(HttpStatusCode.OK, (await other.GetAsync($"/api/projects/{ids["damaged"]}", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await other.GetAsync($"/api/projects/{ids["well"]}", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_newer_database_is_left_as_it_is_and_told_in_a_line()
    {
        new Database(Db).Migrate();
        Run("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Cuadrilla.Data.Migrations.9999-later.sql', '2030-01-01')");
        Assert.Contains("written by a newer program", Assert.Throws<DatabaseLayoutException>(() => new Database(Db).Migrate()).Message,
            StringComparison.Ordinal);
        await Refused("written by a newer program");
    }

    [Fact]
    public async Task A_damaged_file_is_told_in_a_line()
    {
        await File.WriteAllBytesAsync(Db, [.. Enumerable.Repeat((byte)0x5a, 8192)], Stop);
        await Refused("The database file is damaged, or is none.");
        Assert.Equal(8192, new FileInfo(Db).Length);
    }

    [Fact]
    public async Task A_folder_that_can_not_be_used_is_told_in_a_line()
    {
        // A file in its place: who runs the tests may write everywhere.
        var data = Path.Combine(folder, "a file");
        await File.WriteAllTextAsync(data, "x", Stop);
        await Refused("The folder of the data can't be used", "--data", data);
    }

    [Fact]
    public async Task A_port_in_use_is_told_in_a_line()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        await Refused("Another program listens there", "--data", folder, "--urls",
            $"http://127.0.0.1:{((IPEndPoint)listener.LocalEndpoint).Port}");
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        TestFolder.Remove(folder);
    }

    private void Run(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={Db};Pooling=False");
        connection.Open();
        connection.Execute(sql);
    }

    private async Task Refused(string says, params string[] options)
    {
        string[] all = [ServerProcess.Program, "--urls", "http://127.0.0.1:0", "--data", folder, .. options];
        using var server = Process.Start(new ProcessStartInfo("dotnet", all) { RedirectStandardError = true,
            RedirectStandardOutput = true })!;
        await server.WaitForExitAsync(Stop).WaitAsync(TimeSpan.FromSeconds(60), Stop);
        var said = await server.StandardError.ReadToEndAsync(Stop);
        Assert.Equal((2, 1), (server.ExitCode, said.TrimEnd().Split('\n').Length));
        Assert.Contains(says, said, StringComparison.Ordinal);
    }
}
