using Cuadrilla.Data;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>The store on a real SQLite file.</summary>
public sealed class StoreTests : IDisposable
{
    private const int Version = 6;
    private const string FirstScript = "Cuadrilla.Data.Migrations.0001-projects.sql";

    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-store-").FullName;
    private readonly Database database;
    private readonly ProjectStore store;

    public StoreTests()
    {
        database = new Database(Path.Combine(folder, "cuadrilla.db"));
        database.Migrate();
        store = new ProjectStore(database, TimeProvider.System, Version);
    }

    [Fact]
    public void Migrating_again_changes_nothing_and_makes_no_backup()
    {
        var id = store.Create(Document("works"), "engineer", "new").Id;
        database.Migrate();
        Assert.Equal(Document("works"), store.DocumentOf(store.Find(id)!));
        Assert.Empty(Directory.GetFiles(folder, "*.backup"));
    }

    [Fact]
    public void What_was_removed_after_it_was_found_says_so()
    {
        var id = store.Create(Document("works"), "engineer", "new").Id;
        var head = store.Find(id)!;
        Assert.True(store.Change(id, ProjectStates.Binned, "engineer"));
        Assert.True(store.Remove(id));
        Assert.Throws<ProjectRemovedException>(() => store.DocumentOf(head));
    }

    [Fact]
    public void A_document_keeps_the_version_it_was_written_in_and_so_does_its_undo()
    {
        var id = store.Create(Document("works"), "engineer", "new").Id;
        var later = new ProjectStore(database, TimeProvider.System, Version + 1);
        Assert.Equal(Version + 1, Assert.IsType<WriteOutcome.Saved>(later.Save(id, 1, Document("later"), "engineer",
            "edit")).Head.FormatVersion);
        Assert.Equal(Version, Assert.IsType<WriteOutcome.Saved>(later.Undo(id, 2, "engineer")).Head.FormatVersion);
        Assert.Equal((Version, Version + 1),
            (store.DocumentAt(id, 1)!.FormatVersion!.Value, store.DocumentAt(id, 2)!.FormatVersion!.Value));
    }

    [Fact]
    public void What_was_stored_before_versions_were_has_none_and_is_backed_up_first()
    {
        var old = Path.Combine(folder, "old.db");
        using (var connection = new SqliteConnection($"Data Source={old}"))
        {
            connection.Open();
            using var script = new StreamReader(typeof(Database).Assembly.GetManifestResourceStream(FirstScript)!);
            connection.Execute(script.ReadToEnd());
            connection.Execute("CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT "
                + "NOT NULL, Applied DATETIME NOT NULL)");
            connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES (@FirstScript, '2026-01-01')", new { FirstScript });
            connection.Execute("INSERT INTO project (id, created_at, head) VALUES ('p', '2026-01-01', 1)");
            connection.Execute(
                "INSERT INTO edit (project_id, sequence, at_utc, who, label, kind, document_sequence, document) VALUES ('p', 1, "
                    + "'2026-01-01', 'e', 'new', 'edit', 1, @document)",
                new { document = Document("old works") });
        }

        SqliteConnection.ClearAllPools();
        var migrated = new Database(old);
        migrated.Migrate();
        var later = new ProjectStore(migrated, TimeProvider.System, Version);
        var head = later.Find("p")!;
        Assert.Equal((Document("old works"), null), (later.DocumentOf(head), head.FormatVersion));
        Assert.NotEmpty(Directory.GetFiles(folder, "old*backup*"));
    }

    [Fact]
    public void The_list_shows_what_the_documents_say_last_changed_first()
    {
        var first = store.Create(Document("first"), "a", "new");
        var second = store.Create(Document("second"), "a", "new");
        Thread.Sleep(5);
        store.Save(first.Id, 1, Document("first, renamed"), "a", "name");
        Assert.Equal(["first, renamed", "second"], store.List().Select(p => p.Name));
        Assert.Equal(1, store.List()[1].LineupCount);
        Assert.Equal(second.Id, store.List()[1].Id);
    }

    [Fact]
    public void Of_many_writers_on_one_edit_exactly_one_wins()
    {
        var id = store.Create(Document("works"), "engineer", "new").Id;
        var outcomes = new WriteOutcome[16];
        Parallel.For(0, outcomes.Length, i => outcomes[i] = store.Save(id, 1, Document($"writer {i}"), "w", "race"));
        var saved = Assert.Single(outcomes.OfType<WriteOutcome.Saved>());
        Assert.Equal(15, outcomes.OfType<WriteOutcome.Stale>().Count());
        Assert.All(outcomes.OfType<WriteOutcome.Stale>(),
            s => Assert.Equal((Document("works"), Version), (s.BaseDocument.Document, s.BaseDocument.FormatVersion)));
        Assert.Equal(store.DocumentOf(saved.Head), store.DocumentOf(store.Find(id)!));
        Assert.Equal(2, store.History(id, 10).Count);
    }

    [Fact]
    public void Undo_stops_at_the_beginning_and_redo_at_the_end()
    {
        var id = store.Create(Document("one"), "e", "new").Id;
        Assert.IsType<WriteOutcome.Nothing>(store.Undo(id, 1, "e"));
        Assert.IsType<WriteOutcome.Nothing>(store.Redo(id, 1, "e"));
        store.Save(id, 1, Document("two"), "e", "second");
        var undone = Assert.IsType<WriteOutcome.Saved>(store.Undo(id, 2, "e"));
        Assert.Equal(Document("one"), store.DocumentOf(undone.Head));
        Assert.Null(undone.Head.UndoLabel);
        Assert.Equal("second", undone.Head.RedoLabel);
        Assert.IsType<WriteOutcome.Nothing>(store.Undo(id, 3, "e"));
        Assert.Equal(Document("two"), store.DocumentOf(Assert.IsType<WriteOutcome.Saved>(store.Redo(id, 3, "e")).Head));
    }

    [Fact]
    public void Undo_and_redo_are_inverse_over_any_walk()
    {
        var id = store.Create(Document("0"), "e", "new").Id;
        var head = 1L;
        var (past, future, now, next) = (new Stack<string>(), new Stack<string>(), "0", 1);
        var random = new Random(3);
        for (var i = 0; i < 120; i++)
        {
            var outcome = random.Next(3) switch
            {
                0 => store.Save(id, head, Document($"{next}"), "e", $"to {next}"),
                1 => store.Undo(id, head, "e"),
                _ => store.Redo(id, head, "e"),
            };
            if (outcome is not WriteOutcome.Saved saved)
            {
                continue;
            }

            // The same walk on two plain stacks.
            if (saved.Head.Label.StartsWith("Undo", StringComparison.Ordinal))
            {
                future.Push(now);
                now = past.Pop();
            }
            else if (saved.Head.Label.StartsWith("Redo", StringComparison.Ordinal))
            {
                past.Push(now);
                now = future.Pop();
            }
            else
            {
                past.Push(now);
                future.Clear();
                now = $"{next++}";
            }

            head = saved.Head.Edit;
            Assert.Equal(Document(now), store.DocumentOf(saved.Head));
            Assert.Equal(past.Count == 0, saved.Head.UndoLabel is null);
            Assert.Equal(future.Count == 0, saved.Head.RedoLabel is null);
        }

        Assert.True(next > 20);
    }

    [Fact]
    public void What_does_not_exist_is_not_written()
    {
        Assert.Null(store.Find("nothing"));
        Assert.IsType<WriteOutcome.Unknown>(store.Save("nothing", 1, Document("x"), "e", "x"));
        Assert.Empty(store.List());
    }

    [Fact]
    public void A_document_that_is_not_json_is_refused_and_nothing_is_left()
    {
        Assert.ThrowsAny<Exception>(() => store.Create("{ cut off", "e", "new"));
        Assert.Empty(store.List());
    }

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        TestFolder.Remove(folder);
    }

    private static string Document(string name) => $$"""{"name":"{{name}}","lineups":[{}]}""";
}
