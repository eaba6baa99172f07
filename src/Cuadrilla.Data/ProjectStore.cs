using System.Data;
using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>Projects and their chains of edits.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time of an edit.</param>
/// <param name="formatVersion">Version of the documents that are saved.</param>
public sealed class ProjectStore(Database database, TimeProvider clock, int formatVersion)
{
    private const string HeadSql =
        """
        SELECT p.id, e.sequence AS edit, e.label,
               CASE WHEN e.undo_to IS NULL THEN NULL ELSE d.label END AS undo_label,
               r.label AS redo_label, p.state,
               e.document_sequence, d.format_version
        FROM project p
        JOIN edit e ON e.project_id = p.id AND e.sequence = p.head
        JOIN edit d ON d.project_id = p.id AND d.sequence = e.document_sequence
        LEFT JOIN edit rt ON rt.project_id = p.id AND rt.sequence = e.redo_to
        LEFT JOIN edit r ON r.project_id = p.id AND r.sequence = rt.document_sequence
        WHERE p.id = @id
        """;

    /// <summary>All projects, last changed first.</summary>
    public IReadOnlyList<ProjectListItem> List()
    {
        using var connection = database.Open();
        return connection.Query<ProjectListItem>(
            """
            SELECT p.id, d.name, d.lineup_count, e.sequence AS edit, e.at_utc AS changed_utc, p.description, p.state, p.state_utc, p.state_who
            FROM project p
            JOIN edit e ON e.project_id = p.id AND e.sequence = p.head
            JOIN edit d ON d.project_id = p.id AND d.sequence = e.document_sequence
            ORDER BY e.at_utc DESC, p.id
            """).AsList();
    }

    /// <summary>A project as it stands; null when there is none.</summary>
    public ProjectHead? Find(string id)
    {
        using var connection = database.Open();
        return Head(connection, null, id);
    }

    /// <summary>The specification of a project as it stood, as JSON.</summary>
    /// <exception cref="ProjectRemovedException">It was removed since.</exception>
    public string DocumentOf(ProjectHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        using var connection = database.Open();
        return StoredEdits.Text(connection, null, head.Id, head.DocumentSequence) ?? throw new ProjectRemovedException();
    }

    /// <summary>Creates a project with its first edit.</summary>
    /// <param name="document">The specification as JSON, UTF-8.</param>
    /// <param name="who">Who made it.</param>
    /// <param name="label">What it is.</param>
    public ProjectHead Create(byte[] document, string who, string label)
    {
        var id = Guid.CreateVersion7().ToString("N");
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        connection.Execute(
            "INSERT INTO project (id, created_at, head) VALUES (@id, @at, 1)", new { id, at = Now() }, transaction);
        Insert(connection, transaction, id, 1, who, label, "edit", 1, null, null, document);
        var head = Head(connection, transaction, id)!;
        transaction.Commit();
        return head;
    }

    /// <summary>Saves a document as the next edit, if <paramref name="basedOn"/> is still in force.</summary>
    /// <param name="id">Which project.</param>
    /// <param name="basedOn">The edit that it was made on.</param>
    /// <param name="document">The specification as JSON, UTF-8.</param>
    /// <param name="who">Who made it.</param>
    /// <param name="label">What it is.</param>
    public WriteOutcome Save(string id, long basedOn, byte[] document, string who, string label) =>
        Write(id, basedOn, (connection, transaction, head) =>
        {
            var next = head.Sequence + 1;
            Insert(connection, transaction, id, next, who, label, "edit", next, head.Sequence, null, document);
            StoredEdits.PackBefore(connection, transaction, id, next);
            return true;
        });

    /// <summary>Takes back the last edit.</summary>
    public WriteOutcome Undo(string id, long basedOn, string who) => Write(id, basedOn, (connection, transaction, head) =>
    {
        if (head.UndoTo is not { } target)
        {
            return false;
        }

        var restored = Row(connection, transaction, id, target);
        var undone = Row(connection, transaction, id, head.DocumentSequence);
        Insert(
            connection, transaction, id, head.Sequence + 1, who, "Undo: " + undone.Label, "undo",
            restored.DocumentSequence, restored.UndoTo, head.Sequence, null);
        return true;
    });

    /// <summary>Brings back what was last undone.</summary>
    public WriteOutcome Redo(string id, long basedOn, string who) => Write(id, basedOn, (connection, transaction, head) =>
    {
        if (head.RedoTo is not { } target)
        {
            return false;
        }

        var restored = Row(connection, transaction, id, target);
        var label = Row(connection, transaction, id, restored.DocumentSequence).Label;
        Insert(
            connection, transaction, id, head.Sequence + 1, who, "Redo: " + label, "redo",
            restored.DocumentSequence, restored.UndoTo, restored.RedoTo, null);
        return true;
    });

    /// <summary>The latest edits, newest first.</summary>
    public IReadOnlyList<HistoryEntry> History(string id, int limit)
    {
        using var connection = database.Open();
        return connection.Query<HistoryEntry>(
            """
            SELECT sequence, at_utc, who, label, kind, document_sequence
            FROM edit WHERE project_id = @id ORDER BY sequence DESC LIMIT @limit
            """,
            new { id, limit }).AsList();
    }

    /// <summary>The document in force after an edit; null when there is none.</summary>
    public StoredDocument? DocumentAt(string id, long sequence)
    {
        using var connection = database.Open();
        var place = connection.QuerySingleOrDefault<Place>(
            """
            SELECT d.sequence, d.format_version FROM edit e JOIN edit d ON d.project_id = e.project_id AND d.sequence = e.document_sequence
            WHERE e.project_id = @id AND e.sequence = @sequence
            """,
            new { id, sequence });
        return place is not null && StoredEdits.Text(connection, null, id, place.Sequence) is { } document
            ? new StoredDocument { Document = document, FormatVersion = place.FormatVersion }
            : null;
    }

    /// <summary>Says what a project is; false where there is none.</summary>
    public bool Describe(string id, string description)
    {
        using var connection = database.Open();
        return connection.Execute("UPDATE project SET description = @description WHERE id = @id", new { id, description }) > 0;
    }

    /// <summary>Archives a project, opens it again, or puts it into the bin; false where there is none.</summary>
    public bool Change(string id, string state, string who)
    {
        using var connection = database.Open();
        return connection.Execute("UPDATE project SET state = @state, state_utc = @at, state_who = @who WHERE id = @id",
            new { id, state, at = Now(), who }) > 0;
    }

    /// <summary>Removes a project with all its edits for ever; false where there is none in the bin.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        var isThere = connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM project WHERE id = @id AND state = 'binned')",
            new { id }, transaction);
        if (isThere)
        {
            connection.Execute("DELETE FROM training WHERE project_id = @id; DELETE FROM site_run_point WHERE project_id = @id; DELETE "
                + "FROM site_run WHERE project_id = @id; "
                + "DELETE FROM site_entry WHERE project_id = @id AND corrects IS NOT NULL; DELETE FROM site_entry WHERE project_id = @id; "
                + "DELETE FROM parameter_issue WHERE project_id = @id; DELETE FROM edit WHERE project_id = @id; "
                + "DELETE FROM project WHERE id = @id", new { id }, transaction);
        }

        transaction.Commit();
        return isThere;
    }

    private static ProjectHead? Head(SqliteConnection connection, IDbTransaction? transaction, string id) =>
        connection.QuerySingleOrDefault<ProjectHead>(HeadSql, new { id }, transaction);

    private WriteOutcome Write(string id, long basedOn, Func<SqliteConnection, IDbTransaction, EditRow, bool> write)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        var before = Head(connection, transaction, id);
        if (before is null)
        {
            return new WriteOutcome.Unknown();
        }

        if (before.State != ProjectStates.Open)
        {
            return new WriteOutcome.Closed(before.State);
        }

        if (before.Edit != basedOn)
        {
            transaction.Rollback();
            return DocumentAt(id, basedOn) is { } baseDocument ? new WriteOutcome.Stale(before, baseDocument) : new WriteOutcome.Unknown();
        }

        if (!write(connection, transaction, Row(connection, transaction, id, before.Edit)))
        {
            return new WriteOutcome.Nothing();
        }

        connection.Execute("UPDATE project SET head = head + 1 WHERE id = @id", new { id }, transaction);
        var after = Head(connection, transaction, id)!;
        transaction.Commit();
        return new WriteOutcome.Saved(after);
    }

    private static EditRow Row(SqliteConnection connection, IDbTransaction transaction, string id, long sequence) =>
        connection.QuerySingle<EditRow>(
            "SELECT sequence, label, document_sequence, undo_to, redo_to FROM edit WHERE project_id = @id AND sequence = @sequence",
            new { id, sequence },
            transaction);

    private void Insert(
        SqliteConnection connection, IDbTransaction transaction, string id, long sequence, string who, string label, string kind,
        long documentSequence, long? undoTo, long? redoTo, byte[]? document) =>
        connection.Execute(
            """
            INSERT INTO edit (project_id, sequence, at_utc, who, label, kind, document_sequence, undo_to, redo_to, document, name, lineup_count, format_version)
            SELECT @id, @sequence, @at, @who, @label, @kind, @documentSequence, @undoTo, @redoTo, text,
                   json_extract(text, '$.name'), json_array_length(text, '$.lineups'), @version
            FROM (SELECT CAST(@document AS TEXT) AS text)
            """,
            new { id, sequence, at = Now(), who, label, kind, documentSequence, undoTo, redoTo, document,
                version = document is null ? (int?)null : formatVersion },
            transaction);

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);

    private sealed record Place
    {
        public long Sequence { get; init; }

        public int? FormatVersion { get; init; }
    }

    private sealed record EditRow
    {
        public long Sequence { get; init; }

        public string Label { get; init; } = string.Empty;

        public long DocumentSequence { get; init; }

        public long? UndoTo { get; init; }

        public long? RedoTo { get; init; }
    }
}
