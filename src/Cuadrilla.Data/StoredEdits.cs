using System.Data;
using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>Documents of edits, whether they stand whole or packed.</summary>
internal static class StoredEdits
{
    /// <summary>The document of an edit that made one; null where there is no such edit.</summary>
    /// <exception cref="InvalidDataException">It is damaged.</exception>
    public static string? Text(SqliteConnection connection, IDbTransaction? transaction, string project, long sequence) =>
        Document(connection, transaction, project, sequence) is { } document ? Encoding.UTF8.GetString(document) : null;

    // UTF-8. What is asked for comes last, and what stands whole or by itself first. Columns are named as the properties: whoever only
    // checks a file has told nobody how names are to be matched.
    private static byte[]? Document(SqliteConnection connection, IDbTransaction? transaction, string project, long sequence)
    {
        var chain = connection.Query<Link>(
            """
            WITH RECURSIVE chain (sequence, document, packed, packed_on, step) AS (
                SELECT sequence, document, packed, packed_on, 0 FROM edit WHERE project_id = @project AND sequence = @sequence
                UNION ALL
                SELECT e.sequence, e.document, e.packed, e.packed_on, step + 1 FROM chain c JOIN edit e ON e.project_id = @project AND e.sequence = c.packed_on
                WHERE step < 1000)
            SELECT CAST(document AS BLOB) AS Document, packed AS Packed, packed_on AS PackedOn FROM chain ORDER BY step DESC
            """,
            new { project, sequence },
            transaction).AsList();
        if (chain.Count == 0)
        {
            return null;
        }

        // An edit that is there and holds nothing has lost it.
        var begin = chain.FindLastIndex(l => l.Document is not null || l.PackedOn is null);
        return begin < 0 || chain[^1] is { Document: null, Packed: null }
            ? throw DocumentPacking.Damaged()
            : DocumentPacking.Unpack([.. chain.Skip(begin).Select(l => l.Packed).OfType<byte[]>()], chain[begin].Document ?? []);
    }

    /// <summary>Packs the newest document of a project before an edit, if it still stands whole.</summary>
    public static void PackBefore(SqliteConnection connection, IDbTransaction transaction, string project, long sequence)
    {
        var whole = connection.QuerySingleOrDefault<Whole>(
            "SELECT sequence, CAST(document AS BLOB) AS document FROM edit "
                + "WHERE project_id = @project AND sequence < @sequence AND kind = 'edit' ORDER BY sequence DESC LIMIT 1",
            new { project, sequence },
            transaction);
        if (whole is { Document: not null })
        {
            Pack(connection, transaction, project, whole);
        }
    }

    /// <summary>Packs all documents that stand whole and are not the newest of their project.</summary>
    /// <returns>How many.</returns>
    public static int PackAll(SqliteConnection connection)
    {
        var count = 0;
        foreach (var project in connection.Query<string>("SELECT id FROM project ORDER BY id").AsList())
        {
            using var transaction = connection.BeginTransaction(deferred: false);
            var sequences = connection.Query<long>(
                """
                SELECT sequence FROM edit e WHERE project_id = @project AND document IS NOT NULL
                AND EXISTS (SELECT 1 FROM edit l WHERE l.project_id = @project AND l.kind = 'edit' AND l.sequence > e.sequence) ORDER BY sequence
                """,
                new { project },
                transaction).AsList();
            foreach (var sequence in sequences)
            {
                Pack(connection, transaction, project,
                    new Whole { Sequence = sequence, Document = Document(connection, transaction, project, sequence) });
            }

            transaction.Commit();
            count += sequences.Count;
        }

        return count;
    }

    private static void Pack(SqliteConnection connection, IDbTransaction transaction, string project, Whole whole)
    {
        var before = connection.QuerySingleOrDefault<Before>(
            "SELECT sequence AS Sequence, packed_depth AS PackedDepth FROM edit WHERE project_id = @project AND sequence < @Sequence AND kind = 'edit' ORDER BY "
                + "sequence DESC LIMIT 1",
            new { project, whole.Sequence },
            transaction);
        if (before is not null && before.PackedDepth + 1 >= DocumentPacking.LongestChain)
        {
            before = null;
        }

        connection.Execute(
            "UPDATE edit SET document = NULL, packed = @packed, packed_on = @on, packed_depth = @depth WHERE project_id = @project AND "
                + "sequence = @Sequence",
            new
            {
                project,
                whole.Sequence,
                packed = DocumentPacking.Pack(whole.Document!,
                    before is null ? [] : Document(connection, transaction, project, before.Sequence)!),
                on = before?.Sequence,
                depth = before is null ? 0 : before.PackedDepth + 1,
            },
            transaction);
    }

    private sealed record Link
    {
        public byte[]? Document { get; init; }

        public byte[]? Packed { get; init; }

        public long? PackedOn { get; init; }
    }

    private sealed record Whole
    {
        public long Sequence { get; init; }

        public byte[]? Document { get; init; }
    }

    private sealed record Before
    {
        public long Sequence { get; init; }

        public long PackedDepth { get; init; }
    }
}
