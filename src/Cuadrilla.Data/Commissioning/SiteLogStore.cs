using System.Globalization;
using Dapper;

namespace Cuadrilla.Data.Commissioning;

/// <summary>Logs of projects: entries are added and read, nothing else.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time of an entry.</param>
public sealed class SiteLogStore(Database database, TimeProvider clock)
{
    private const string Columns =
        "number, at_utc, who, point_id, step_id, verdict, result, reading, basis, note, instrument, calibrated, simulated, edit, corrects";

    private const string InsertSql =
        $"""
        INSERT INTO site_entry (project_id, {Columns})
        SELECT @project, coalesce(max(number), 0) + 1, @AtUtc, @Who, @PointId, @StepId, @Verdict, @Result, @Reading, @Basis, @Note, @Instrument,
               @Calibrated, @Simulated, @Edit, @Corrects
        FROM site_entry WHERE project_id = @project
        RETURNING {Columns}
        """;

    /// <summary>Adds entries, all or none; numbers and, where they have none, times are given here.</summary>
    /// <returns>Them as stored; null where the project is not open, or an entry to be corrected is not there.</returns>
    public IReadOnlyList<StoredSiteEntry>? Add(string projectId, IReadOnlyList<StoredSiteEntry> entries)
    {
        ArgumentNullException.ThrowIfNull(entries);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        var isOpen = connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM project WHERE id = @projectId AND state = 'open')",
            new { projectId }, transaction);
        if (!isOpen)
        {
            return null;
        }

        List<StoredSiteEntry> stored = [];
        foreach (var entry in entries)
        {
            if (entry.Corrects is { } number && !Has(number, entry))
            {
                return null;
            }

            var at = entry.AtUtc.Length > 0 ? entry.AtUtc : Now();
            stored.Add(connection.QuerySingle<StoredSiteEntry>(InsertSql, new
            {
                project = projectId, AtUtc = at, entry.Who, entry.PointId, entry.StepId, entry.Verdict, entry.Result, entry.Reading,
                entry.Basis,
                entry.Note, entry.Instrument, entry.Calibrated, Simulated = entry.Simulated ? 1 : 0, entry.Edit, entry.Corrects,
            }, transaction));
        }

        transaction.Commit();
        return stored;

        // Of the same step of the same drive point: nothing else can be corrected by it.
        bool Has(long number, StoredSiteEntry by) => connection.ExecuteScalar<bool>(
            "SELECT EXISTS (SELECT 1 FROM site_entry WHERE project_id = @projectId AND number = @number AND point_id = @point AND step_id "
                + "= @step)",
            new { projectId, number, point = by.PointId, step = by.StepId }, transaction);
    }

    /// <summary>All entries of a drive point, oldest first.</summary>
    public IReadOnlyList<StoredSiteEntry> OfPoint(string projectId, string pointId)
    {
        using var connection = database.Open();
        return connection.Query<StoredSiteEntry>(
            $"SELECT {Columns} FROM site_entry WHERE project_id = @projectId AND point_id = @pointId ORDER BY number",
            new { projectId, pointId }).AsList();
    }

    /// <summary>All entries of a project, oldest first.</summary>
    public IReadOnlyList<StoredSiteEntry> All(string projectId)
    {
        using var connection = database.Open();
        return connection.Query<StoredSiteEntry>($"SELECT {Columns} FROM site_entry WHERE project_id = @projectId ORDER BY number",
            new { projectId }).AsList();
    }

    /// <summary>Entries that a filter lets through, newest first.</summary>
    public IReadOnlyList<StoredSiteEntry> Find(string projectId, SiteEntryFilter filter)
    {
        ArgumentNullException.ThrowIfNull(filter);
        var wanted = new List<string> { "project_id = @projectId" };
        void Where(object? value, string sql)
        {
            if (value is not null)
            {
                wanted.Add(sql);
            }
        }

        Where(filter.PointId, "point_id = @PointId");
        Where(filter.StepId, "step_id = @StepId");
        Where(filter.Verdict, "verdict = @Verdict");
        Where(filter.Before, "number < @Before");
        Where(filter.Words, "(result LIKE @like ESCAPE '\\' OR note LIKE @like ESCAPE '\\' OR instrument LIKE @like ESCAPE '\\' OR who "
            + "LIKE @like ESCAPE '\\')");
        using var connection = database.Open();
        return connection.Query<StoredSiteEntry>(
            $"SELECT {Columns} FROM site_entry WHERE {string.Join(" AND ", wanted)} ORDER BY number DESC LIMIT @Most",
            new { projectId, filter.PointId, filter.StepId, filter.Verdict, filter.Before, filter.Most, like = Like(filter.Words) })
                .AsList();
    }

    private static string? Like(string? words) => words is null
        ? null
        : $"%{words.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal)}%";

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);
}
