using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>Whether a database file is whole: the file itself, its references, each chain of edits, and every document.</summary>
public static class DatabaseCheck
{
    private const int MostTold = 50;

    /// <summary>What is wrong with a file; empty where nothing is.</summary>
    /// <param name="path">The file; it is only read.</param>
    /// <param name="open">Opens a document of a version; throws where it can't be read.</param>
    /// <exception cref="SqliteException">It is no database.</exception>
    public static IReadOnlyList<string> Problems(string path, Action<string, int?> open)
    {
        ArgumentNullException.ThrowIfNull(open);
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Mode = SqliteOpenMode.ReadOnly,
            Pooling = false }.ToString());
        connection.Open();
        List<string> found = [.. connection.Query<string>($"PRAGMA integrity_check({MostTold})").Where(m => m != "ok")
            .Select(m => "The file is damaged: " + m)];
        if (found.Count > 0)
        {
            return found;
        }

        if (connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_schema WHERE name IN ('project', 'edit')") < 2)
        {
            return ["It holds no projects of this program."];
        }

        found.AddRange(connection.Query("PRAGMA foreign_key_check").Select(_ => "A row refers to another that is not there."));
        found.AddRange(Chains(connection));
        found.AddRange(Documents(connection, HasPacked(connection), open).Take(MostTold));
        return found;
    }

    // A file of an older layout has none that is packed.
    private static bool HasPacked(SqliteConnection connection) =>
        connection.ExecuteScalar<long>("SELECT count(*) FROM pragma_table_info('edit') WHERE name = 'packed'") > 0;

    private static IEnumerable<string> Documents(SqliteConnection connection, bool hasPacked, Action<string, int?> open)
    {
        foreach (var (id, sequence, version) in connection.Query<(string, long, long?)>("SELECT project_id, sequence, format_version FROM "
            + "edit WHERE kind = 'edit' ORDER BY project_id, sequence").AsList())
        {
            string? trouble = null;
            try
            {
                var document = hasPacked
                    ? StoredEdits.Text(connection, null, id, sequence)
                    : connection.ExecuteScalar<string>("SELECT document FROM edit WHERE project_id = @id AND sequence = @sequence",
                        new { id, sequence });
                open(document ?? throw new InvalidDataException("it is not there"), version is { } v ? (int)v : null);
            }
            catch (Exception problem) when (problem is not OutOfMemoryException)
            {
                trouble = string.Create(CultureInfo.InvariantCulture, $"Edit {sequence} of project {id} can't be read: {problem.Message}");
            }

            if (trouble is not null)
            {
                yield return trouble;
            }
        }
    }

    // Edits are numbered without a gap up to the one in force, and every one leads to a document.
    private static IEnumerable<string> Chains(SqliteConnection connection) =>
        connection.Query<string>(
            """
            SELECT 'Project ' || p.id || ' says that edit ' || p.head || ' is in force; it has ' || count(e.sequence) || ' edits up to ' || coalesce(max(e.sequence), 0) || '.'
            FROM project p LEFT JOIN edit e ON e.project_id = p.id
            GROUP BY p.id HAVING count(e.sequence) <> p.head OR coalesce(max(e.sequence), 0) <> p.head OR coalesce(min(e.sequence), 0) <> 1
            UNION ALL
            SELECT 'Edit ' || e.sequence || ' of project ' || e.project_id || ' leads to no document.'
            FROM edit e LEFT JOIN edit d ON d.project_id = e.project_id AND d.sequence = e.document_sequence AND d.kind = 'edit'
            WHERE d.sequence IS NULL
            UNION ALL
            SELECT 'Edit ' || e.sequence || ' of project ' || e.project_id || ' leads back or on to an edit that is not there.'
            FROM edit e
            WHERE (e.undo_to IS NOT NULL AND NOT EXISTS (SELECT 1 FROM edit u WHERE u.project_id = e.project_id AND u.sequence = e.undo_to))
               OR (e.redo_to IS NOT NULL AND NOT EXISTS (SELECT 1 FROM edit r WHERE r.project_id = e.project_id AND r.sequence = e.redo_to))
            """).Take(MostTold);
}
