using Cuadrilla.Data;
using Cuadrilla.Data.Commissioning;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>The log on a real SQLite file: entries are added and found, never changed.</summary>
public sealed class SiteLogTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-log-").FullName;
    private readonly Database database;
    private readonly ProjectStore projects;
    private readonly SiteLogStore log;

    public SiteLogTests()
    {
        database = new Database(Path.Combine(folder, "cuadrilla.db"));
        database.Migrate();
        projects = new ProjectStore(database, TimeProvider.System, 6);
        log = new SiteLogStore(database, TimeProvider.System);
    }

    [Fact]
    public void Entries_are_numbered_by_project_and_can_be_neither_changed_nor_removed()
    {
        var (one, other) = (Project(), Project());
        Assert.Equal([1L, 2, 3], log.Add(one,
            [Entry("dp-1", "earth"), Entry("dp-1", "tight"), Entry("dp-2", "earth")])!.Select(e => e.Number));
        Assert.Equal(1, log.Add(other, [Entry("dp-1", "earth")])![0].Number);
        Assert.Equal(4, log.Add(one, [Entry("dp-1", "earth") with { Corrects = 1 }])![0].Number);

        using (var connection = new SqliteConnection($"Data Source={database.Path}"))
        {
            foreach (var sql in new[] { "UPDATE site_entry SET result = 'better'", "DELETE FROM site_entry",
                "UPDATE site_entry SET simulated = 0" })
            {
                var refused = Assert.Throws<SqliteException>(() => { connection.Execute(sql); });
                Assert.Contains("never", refused.Message, StringComparison.Ordinal);
            }
        }

        Assert.Equal(["earth", "tight", "earth"], log.OfPoint(one, "dp-1").Select(e => e.StepId));
        Assert.True(projects.Change(one, ProjectStates.Binned, "engineer"));
        Assert.Null(log.Add(one, [Entry("dp-1", "earth")]));
        Assert.True(projects.Remove(one));
        Assert.Empty(log.All(one));
        Assert.Single(log.All(other));
    }

    [Fact]
    public void A_correction_is_of_the_same_step_of_the_same_drive_point()
    {
        var id = Project();
        log.Add(id, [Entry("dp-1", "earth")]);
        Assert.Null(log.Add(id, [Entry("dp-1", "tight") with { Corrects = 1 }]));
        Assert.Null(log.Add(id, [Entry("dp-2", "earth") with { Corrects = 1 }]));

        // All or none.
        Assert.Null(log.Add(id, [Entry("dp-1", "earth"), Entry("dp-1", "earth") with { Corrects = 99 }]));
        Assert.Single(log.All(id));
    }

    [Fact]
    public void A_filter_finds_newest_first_with_words_taken_as_they_are()
    {
        var id = Project();
        log.Add(id, [.. Enumerable.Range(1, 30).Select(i => Entry(i % 2 == 0 ? "dp-1" : "dp-2", i % 3 == 0 ? "earth" : "tight") with
        {
            Note = i == 7 ? "100% and a_b" : $"note {i}", Verdict = i % 5 == 0 ? "Fails" : "Holds",
        })]);
        IEnumerable<long> Found(SiteEntryFilter filter) => log.Find(id, filter).Select(e => e.Number);
        var all = new SiteEntryFilter(null, null, null, null, null, 500);
        Assert.Equal(Enumerable.Range(1, 30).Reverse().Select(i => (long)i), Found(all));
        Assert.Equal([30L, 24, 18, 12, 6], Found(all with { PointId = "dp-1", StepId = "earth" }));
        Assert.Equal([25L, 20, 15], Found(all with { Verdict = "Fails", Before = 30, Most = 3 }));
        Assert.Equal([7L], Found(all with { Words = "0% AND a_" }));
        Assert.Empty(Found(all with { Words = "%e_3" }));
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        TestFolder.Remove(folder);
    }

    private static StoredSiteEntry Entry(string point, string step) => new()
    {
        Who = "commissioning engineer", PointId = point, StepId = step, Verdict = "Holds", Result = "in order", Edit = 1,
    };

    private string Project() => projects.Create("""{"name":"works","lineups":[]}""", "engineer", "new").Id;
}
