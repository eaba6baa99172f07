using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Data;
using Cuadrilla.Documents.Projects;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>Copies of the database: whole also while it is written to, checked before they stand, and found out where they are not
/// whole.</summary>
public sealed class BackupTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-backup-").FullName;
    private readonly HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{ServerProcess.FreePort()}") };

    private string Db => Path.Combine(folder, "cuadrilla.db");

    [Fact]
    public async Task A_backup_taken_during_edits_restores_to_an_acknowledged_state()
    {
        var backup = Path.Combine(folder, "copy.db");
        string id;
        long before, after;
        using (var server = await ServerProcess.StartAsync(folder, client))
        {
            using var made = await client.PostAsJsonAsync("/api/projects", new { name = "Kept", who = "tester" },
                TestContext.Current.CancellationToken);
            id = (string)(await made.Body())["id"]!;
            var edit = 1L;
            var stop = false;
            var edits = Task.Run(
                async () =>
                {
                    while (!Volatile.Read(ref stop))
                    {
                        Interlocked.Exchange(ref edit, await Raise(id, Interlocked.Read(ref edit)));
                    }
                },
                TestContext.Current.CancellationToken);
            while (Interlocked.Read(ref edit) < 5)
            {
                await Task.Delay(10, TestContext.Current.CancellationToken);
            }

            before = Interlocked.Read(ref edit);
            Assert.Empty(DatabaseBackup.Copy(Db, backup, Open));
            after = Interlocked.Read(ref edit);
            Volatile.Write(ref stop, true);
            await edits;
            Assert.Throws<IOException>(() => DatabaseBackup.Restore(backup, Db, "now", Open));
            await server.StopAsync();
        }

        Assert.Empty(DatabaseBackup.Restore(backup, Db, "now", Open));
        Assert.True(File.Exists(Db + ".now.before"));
        using (await ServerProcess.StartAsync(folder, client))
        {
            var found = await (await client.GetAsync($"/api/projects/{id}", TestContext.Current.CancellationToken)).Body();
            Assert.InRange((long)found["edit"]!, before, after + 1);
            Assert.Equal((long)found["edit"]!, (double)found["specification"]!["site"]!["altitudeM"]!);
        }
    }

    // In this process others have opened databases; what they leave behind hid that a program by itself could read no packed document.
    [Theory]
    [InlineData("check", "Whole: ")]
    [InlineData("backup", "Backed up and checked: ")]
    public async Task The_command_line_reads_what_is_packed(string command, string told)
    {
        Made();
        SqliteConnection.ClearAllPools();
        string[] arguments = command == "check" ? [command, folder] : [command, folder, Path.Combine(folder, "copy.db")];
        var start = new ProcessStartInfo("dotnet", [CommandLine, .. arguments]) { RedirectStandardOutput = true, RedirectStandardError = true };
        using var process = Process.Start(start)!;
        var (said, refused) = (process.StandardOutput.ReadToEndAsync(TestContext.Current.CancellationToken),
            process.StandardError.ReadToEndAsync(TestContext.Current.CancellationToken));
        await process.WaitForExitAsync(TestContext.Current.CancellationToken);
        Assert.StartsWith(told, await said, StringComparison.Ordinal);
        Assert.Empty(await refused);
        Assert.Equal(0, process.ExitCode);
    }

    // Beside the tests, built with them.
    private static string CommandLine
    {
        get
        {
            var built = new DirectoryInfo(AppContext.BaseDirectory);
            var root = built.Parent!.Parent!.Parent!.Parent!.Parent!.FullName;
            return Path.Combine(root, "src", "Cuadrilla.Cli", "bin", built.Parent.Name, built.Name, "Cuadrilla.Cli.dll");
        }
    }

    [Fact]
    public async Task After_a_stop_the_one_file_is_all_and_its_owner_alone_reads_it()
    {
        using (var server = await ServerProcess.StartAsync(folder, client))
        {
            using var made = await client.PostAsJsonAsync("/api/projects", new { name = "Kept", who = "tester" },
                TestContext.Current.CancellationToken);
            Assert.Equal(HttpStatusCode.Created, made.StatusCode);
            foreach (var file in Directory.GetFiles(folder, "cuadrilla.db*"))
            {
                if (!OperatingSystem.IsWindows())
                {
                    Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(file));
                }
            }

            await server.StopAsync();
        }

        var alone = Path.Combine(folder, "alone.db");
        File.Copy(Db, alone);
        Assert.Empty(DatabaseCheck.Problems(alone, Open));
        Assert.Equal(1, Count(alone, "SELECT count(*) FROM project"));
    }

    [Theory]
    [InlineData("DELETE FROM edit WHERE sequence = 2", "says that edit 3 is in force")]
    [InlineData("UPDATE project SET head = 9", "says that edit 9 is in force")]
    [InlineData("UPDATE edit SET document_sequence = 77 WHERE sequence = 3", "leads to no document")]
    [InlineData("UPDATE edit SET undo_to = 77 WHERE sequence = 3", "is not there")]
    [InlineData("UPDATE edit SET packed = NULL, packed_on = NULL, document = '{\"name\":\"x\",\"lineups\":[]}' WHERE sequence = 2",
        "Edit 2 of project")]
    [InlineData("UPDATE edit SET packed = zeroblob(40) WHERE sequence = 2", "is damaged")]
    [InlineData("UPDATE edit SET format_version = 99 WHERE sequence = 2", "a newer file needs a newer program")]
    [InlineData("UPDATE edit SET project_id = 'nobody' WHERE sequence = 3", "refers to another that is not there")]
    [InlineData("DROP TABLE project", "holds no projects")]
    public void What_is_not_whole_is_found_and_neither_copied_nor_restored(string harm, string told)
    {
        Made();
        Run(Db, "PRAGMA foreign_keys = OFF; " + harm);
        Assert.Contains(DatabaseCheck.Problems(Db, Open), p => p.Contains(told, StringComparison.Ordinal));
        var copy = Path.Combine(folder, "copy.db");
        Assert.NotEmpty(DatabaseBackup.Copy(Db, copy, Open));
        Assert.False(File.Exists(copy));
        Assert.False(File.Exists(copy + ".new"));
        var other = Path.Combine(folder, "other", "cuadrilla.db");
        Assert.NotEmpty(DatabaseBackup.Restore(Db, other, "now", Open));
        Assert.False(File.Exists(other));
    }

    [Fact]
    public void A_damaged_file_and_one_that_is_no_database_are_told()
    {
        Made();
        SqliteConnection.ClearAllPools();
        Run(Db, "PRAGMA journal_mode = DELETE");
        var bytes = File.ReadAllBytes(Db);
        for (var i = bytes.Length / 2; i < bytes.Length; i++)
        {
            bytes[i] = 0x5a;
        }

        var damaged = Path.Combine(folder, "damaged.db");
        File.WriteAllBytes(damaged, bytes);
        Assert.True(IsRefused(damaged));
        var words = Path.Combine(folder, "words.db");
        File.WriteAllText(words, string.Concat(Enumerable.Repeat("no database ", 1000)));
        Assert.Throws<SqliteException>(() => DatabaseCheck.Problems(words, Open));
        Assert.Throws<FileNotFoundException>(() =>
            DatabaseBackup.Copy(Path.Combine(folder, "absent.db"), Path.Combine(folder, "x.db"), Open));
        Assert.Throws<IOException>(() => DatabaseBackup.Copy(Db, damaged, Open));
        Assert.Throws<FileNotFoundException>(() => DatabaseBackup.Restore(Path.Combine(folder, "absent.db"), Db, "now", Open));
    }

    public void Dispose()
    {
        client.Dispose();
        SqliteConnection.ClearAllPools();
        TestFolder.Remove(folder);
    }

    private static void Open(string document, int? version) => StoredProject.Read(document, version);

    private static bool IsRefused(string path)
    {
        try
        {
            return DatabaseCheck.Problems(path, Open).Count > 0;
        }
        catch (SqliteException)
        {
            return true;
        }
    }

    private static void Run(string path, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={path};Pooling=false");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    private static long Count(string path, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={path};Pooling=false");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return Convert.ToInt64(command.ExecuteScalar(), CultureInfo.InvariantCulture);
    }

    // A project of three edits.
    private void Made()
    {
        var database = new Database(Db);
        database.Migrate();
        var store = new ProjectStore(database, TimeProvider.System, ProjectFile.CurrentVersion);
        var document = System.Text.Json.JsonSerializer.Serialize(Cuadrilla.Documents.Demo.DemoPlant.Read(Cuadrilla.Catalogue.ReferenceCatalogue.Data), ProjectJson.Options);
        var id = store.Create(document, "tester", "new").Id;
        Assert.IsType<WriteOutcome.Saved>(store.Save(id, 1, document, "tester", "second"));
        Assert.IsType<WriteOutcome.Saved>(store.Save(id, 2, document, "tester", "third"));
        Assert.Empty(DatabaseCheck.Problems(Db, Open));
    }

    private async Task<long> Raise(string id, long edit)
    {
        var change = new JsonObject
        {
            ["basedOn"] = edit,
            ["label"] = "altitude",
            ["who"] = "tester",
            ["changes"] = new JsonArray(new JsonObject { ["op"] = "replace", ["path"] = "/site/altitudeM", ["value"] = edit + 1 }),
        };
        using var saved = await client.PostAsJsonAsync($"/api/projects/{id}/changes", change, TestContext.Current.CancellationToken);
        return (long)(await saved.Body())["edit"]!;
    }
}
