using System.Text;
using Cuadrilla.Data;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Tests;

/// <summary>Former documents are kept packed, and come back as they were.</summary>
public sealed class PackingTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-packing-").FullName;
    private readonly Database database;
    private readonly ProjectStore store;

    public PackingTests()
    {
        database = new Database(Path.Combine(folder, "cuadrilla.db"));
        database.Migrate();
        store = new ProjectStore(database, TimeProvider.System, ProjectFile.CurrentVersion);
    }

    [Theory]
    [InlineData("", "")]
    [InlineData("abc", "")]
    [InlineData("abc", "abc")]
    [InlineData("aaaa", "aa")]
    [InlineData("aa", "aaaa")]
    [InlineData("xµy", "xΩy")]
    [InlineData("x😀y", "x😁y")]
    public void What_is_packed_comes_back(string document, string before) =>
        Assert.Equal(document, Unpacked([Packed(document, before)], before));

    [Fact]
    public void A_chain_comes_back_at_each_of_its_documents_and_tells_damage_on_the_way()
    {
        string[] documents = ["one two three four", "one 2 three four", "one 2 3 four", "one two 3 four five", "", "four", "four "
            + "five", "four five"];
        var chain = documents.Select((d, i) => Packed(d, i == 0 ? string.Empty : documents[i - 1])).ToArray();
        Assert.All(Enumerable.Range(0, documents.Length), i => Assert.Equal(documents[i], Unpacked(chain[..(i + 1)], string.Empty)));
        Assert.Equal("begin", Unpacked([], "begin"));

        // Another document on the way, whole by itself.
        var other = chain.ToArray();
        other[1] = Packed("one II three four", documents[0]);
        Assert.Throws<InvalidDataException>(() => Unpacked(other[..3], string.Empty));
        Assert.Equal(documents[3], Unpacked([other[0], chain[1], chain[2], chain[3]], string.Empty));
    }

    [Fact]
    public void Damage_never_gives_another_document()
    {
        const string document = "the first line, the second line, the third line";
        var packed = Packed(document, "the first line, another line, the third line");
        var found = 0;
        for (var bit = 0; bit < packed.Length * 8; bit++)
        {
            var harmed = packed.ToArray();
            harmed[bit / 8] ^= (byte)(1 << (bit % 8));
            try
            {
                // Bits that fill up the last byte say nothing.
                Assert.Equal(document, Unpacked([harmed], "the first line, another line, the third line"));
            }
            catch (InvalidDataException)
            {
                found++;
            }
        }

        Assert.InRange(found, (packed.Length * 8) - 24, packed.Length * 8);
        Assert.Throws<InvalidDataException>(() => Unpacked([packed], "The first line, another line, the third line"));
        Assert.Throws<InvalidDataException>(() => Unpacked([packed[..12]], "the first line, another line, the third line"));
    }

    [Fact]
    public void A_long_history_of_the_demo_takes_less_than_four_kilobytes_an_edit_and_is_unharmed()
    {
        const int edits = 150;
        var document = DemoDocument();
        var id = store.Create(document, "e", "new").Id;
        List<string> kept = [string.Empty, document];
        var random = new Random(17);
        for (var edit = 2; edit <= edits; edit++)
        {
            // A figure or two somewhere, as edits are; now and then much at once.
            document = Changed(document, random, edit % 20 == 0 ? 40 : 1 + (edit % 2));
            Assert.IsType<WriteOutcome.Saved>(store.Save(id, edit - 1, document, "e", $"edit {edit}"));
            kept.Add(document);
        }

        Assert.All(Enumerable.Range(1, edits), edit => Assert.Equal(kept[edit], store.DocumentAt(id, edit)!.Document));
        Assert.Equal(edits, store.History(id, 1000).Count);
        using var connection = new SqliteConnection($"Data Source={database.Path};Mode=ReadOnly;Pooling=False");
        connection.Open();
        var stored = connection.ExecuteScalar<double>("SELECT avg(length(packed)) FROM edit WHERE packed IS NOT NULL");
        Assert.InRange(stored, 50, 4096);
        Assert.True(document.Length > 10 * stored, $"{document.Length} bytes whole, {stored} packed");
        Assert.Equal(1, connection.ExecuteScalar<long>("SELECT count(*) FROM edit WHERE document IS NOT NULL"));
        Assert.True(connection.ExecuteScalar<long>("SELECT max(packed_depth) FROM edit") < DocumentPacking.LongestChain);
        Assert.Empty(DatabaseCheck.Problems(database.Path, (text, version) => StoredProject.Read(text, version)));

        // Back to the beginning and on again, over packed documents.
        long head = edits;
        for (var step = edits - 1; step >= 1; step--)
        {
            var undone = Assert.IsType<WriteOutcome.Saved>(store.Undo(id, head, "e"));
            Assert.Equal(kept[step], store.DocumentOf(undone.Head));
            head = undone.Head.Edit;
        }

        var other = Assert.IsType<WriteOutcome.Saved>(store.Save(id, head, kept[7], "e", "another way"));
        Assert.Equal(kept[7], store.DocumentOf(store.Find(id)!));
        Assert.Equal(kept[1], store.DocumentOf(Assert.IsType<WriteOutcome.Saved>(store.Undo(id, other.Head.Edit, "e")).Head));
        Assert.Empty(DatabaseCheck.Problems(database.Path, (text, version) => StoredProject.Read(text, version)));
    }

    [Fact]
    public void A_former_layout_is_packed_when_it_is_brought_up_to_date_and_reads_the_same()
    {
        var old = Path.Combine(folder, "old.db");
        var documents = new List<string>();
        using (var connection = new SqliteConnection($"Data Source={old};Pooling=False"))
        {
            connection.Open();
            connection.Execute("CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT "
                + "NOT NULL, Applied DATETIME NOT NULL)");
            foreach (var script in typeof(Database).Assembly.GetManifestResourceNames()
                .Where(n => n.EndsWith(".sql", StringComparison.Ordinal)).Order(StringComparer.Ordinal).Take(4))
            {
                using var reader = new StreamReader(typeof(Database).Assembly.GetManifestResourceStream(script)!);
                connection.Execute(reader.ReadToEnd());
                connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES (@script, '2026-01-01')", new { script });
            }

            connection.Execute("INSERT INTO project (id, created_at, head) VALUES ('p', '2026-01-01', 40)");
            var document = DemoDocument();
            var random = new Random(3);
            for (var edit = 1; edit <= 40; edit++)
            {
                documents.Add(document);
                connection.Execute(
                    "INSERT INTO edit (project_id, sequence, at_utc, who, label, kind, document_sequence, undo_to, document, "
                        + "format_version) VALUES ('p', @edit, '2026-01-01', 'e', 'x', 'edit', @edit, @undo, @document, @version)",
                    new { edit, undo = edit > 1 ? edit - 1 : (int?)null, document, version = ProjectFile.CurrentVersion });
                document = Changed(document, random, 2);
            }
        }

        var before = new FileInfo(old).Length;
        var migrated = new Database(old);
        migrated.Migrate();
        migrated.Settle();
        var now = new ProjectStore(migrated, TimeProvider.System, ProjectFile.CurrentVersion);
        Assert.All(Enumerable.Range(1, 40), edit => Assert.Equal(documents[edit - 1], now.DocumentAt("p", edit)!.Document));
        Assert.True(new FileInfo(old).Length * 5 < before, $"{before} bytes before, {new FileInfo(old).Length} after");
        Assert.Equal("p", Assert.Single(now.List()).Id);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        TestFolder.Remove(folder);
    }

    private static byte[] Packed(string document, string before) =>
        DocumentPacking.Pack(Encoding.UTF8.GetBytes(document), Encoding.UTF8.GetBytes(before));

    private static string Unpacked(byte[][] chain, string before) =>
        Encoding.UTF8.GetString(DocumentPacking.Unpack(chain, Encoding.UTF8.GetBytes(before)));

    private static string DemoDocument() =>
        System.Text.Json.JsonSerializer.Serialize(ProjectFile.Read(DemoPlant.File(), Cuadrilla.Catalogue.ReferenceCatalogue.Data),
            ProjectJson.Options);

    // Other digits at some places: still a plant that can be read.
    private static string Changed(string document, Random random, int places)
    {
        var text = new StringBuilder(document);
        while (places > 0)
        {
            var at = random.Next(document.Length - 3);
            if (text[at - 1 < 0 ? 0 : at - 1] == '.' && char.IsAsciiDigit(text[at]))
            {
                text[at] = (char)('1' + random.Next(9));
                places--;
            }
        }

        return text.ToString();
    }
}
