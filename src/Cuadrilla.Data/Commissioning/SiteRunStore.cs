using System.Globalization;
using Dapper;

namespace Cuadrilla.Data.Commissioning;

/// <summary>A run recorded from an instrument.</summary>
public sealed record StoredRun
{
    /// <summary>Project.</summary>
    public string ProjectId { get; init; } = string.Empty;

    /// <summary>Its number in the project, rising from 1.</summary>
    public long Number { get; init; }

    /// <summary>Drive point.</summary>
    public string PointId { get; init; } = string.Empty;

    /// <summary>Its tag then.</summary>
    public string Tag { get; init; } = string.Empty;

    /// <summary>Step.</summary>
    public string StepId { get; init; } = string.Empty;

    /// <summary>Name of the quantity recorded.</summary>
    public string Reading { get; init; } = string.Empty;

    /// <summary>Who began it.</summary>
    public string Who { get; init; } = string.Empty;

    /// <summary>When, ISO 8601.</summary>
    public string StartedUtc { get; init; } = string.Empty;

    /// <summary>Instrument; empty before the first point.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>A point of it is from a simulated instrument.</summary>
    public bool Simulated { get; init; }

    /// <summary>Why it ended; empty while it lasts.</summary>
    public string Ended { get; init; } = string.Empty;
}

/// <summary>A point of a run.</summary>
/// <param name="TimeS">Time since its first, s.</param>
/// <param name="Value">Value.</param>
public sealed record StoredRunPoint(double TimeS, double Value);

/// <summary>Runs being recorded and recorded: a point that was acknowledged stays.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
public sealed class SiteRunStore(Database database, TimeProvider clock)
{
    private const string Columns = "project_id, number, point_id, tag, step_id, reading, who, started_utc, instrument, simulated, ended";

    /// <summary>Begins a run; one that lasts at the same step is ended.</summary>
    /// <returns>It; null where the project is not open.</returns>
    public StoredRun? Begin(string projectId, string pointId, string tag, string stepId, string reading, string who)
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (!connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM project WHERE id = @projectId AND state = 'open')",
            new { projectId }, transaction))
        {
            return null;
        }

        connection.Execute("UPDATE site_run SET ended = 'begun anew' WHERE project_id = @projectId AND point_id "
            + "= @pointId AND step_id = @stepId "
            + "AND ended = ''", new { projectId, pointId, stepId }, transaction);
        var run = connection.QuerySingle<StoredRun>(
            $"""
            INSERT INTO site_run ({Columns})
            SELECT @projectId, coalesce(max(number), 0) + 1, @pointId, @tag, @stepId, @reading, @who, @now, '', 0, ''
            FROM site_run WHERE project_id = @projectId
            RETURNING {Columns}
            """,
            new { projectId, pointId, tag, stepId, reading, who, now = Now() }, transaction);
        transaction.Commit();
        return run;
    }

    /// <summary>Adds points; of one that has ended nothing is added.</summary>
    /// <param name="run">The run.</param>
    /// <param name="points">Points, rising in time.</param>
    /// <param name="instrument">Instrument.</param>
    /// <param name="isSimulated">One of them is simulated: the run is from then on.</param>
    public void Add(StoredRun run, IReadOnlyList<StoredRunPoint> points, string instrument, bool isSimulated)
    {
        ArgumentNullException.ThrowIfNull(run);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        connection.Execute("UPDATE site_run SET instrument = @instrument, simulated = max(simulated, "
            + "@simulated) WHERE project_id = @ProjectId "
            + "AND number = @Number AND ended = ''",
            new { run.ProjectId, run.Number, instrument, simulated = isSimulated ? 1 : 0 }, transaction);
        connection.Execute("INSERT OR IGNORE INTO site_run_point (project_id, number, time_s, value) SELECT "
            + "@ProjectId, @Number, @TimeS, @Value "
            + "WHERE EXISTS (SELECT 1 FROM site_run WHERE project_id = @ProjectId AND number = @Number AND ended = '')",
            points.Select(p => new { run.ProjectId, run.Number, p.TimeS, p.Value }), transaction);
        transaction.Commit();
    }

    /// <summary>Ends a run.</summary>
    /// <param name="run">The run.</param>
    /// <param name="why">Why.</param>
    public void End(StoredRun run, string why)
    {
        ArgumentNullException.ThrowIfNull(run);
        using var connection = database.Open();
        connection.Execute("UPDATE site_run SET ended = @why WHERE project_id = @ProjectId AND number = @Number AND ended = ''",
            new { run.ProjectId, run.Number, why });
    }

    /// <summary>Runs that last, of all projects.</summary>
    public IReadOnlyList<StoredRun> Lasting()
    {
        using var connection = database.Open();
        return connection.Query<StoredRun>($"SELECT {Columns} FROM site_run WHERE ended = ''").AsList();
    }

    /// <summary>The newest run of a step; null without.</summary>
    public StoredRun? Newest(string projectId, string pointId, string stepId)
    {
        using var connection = database.Open();
        return connection.QueryFirstOrDefault<StoredRun>(
            $"SELECT {Columns} FROM site_run WHERE project_id = @projectId AND point_id = @pointId AND "
                + "step_id = @stepId ORDER BY number DESC",
            new { projectId, pointId, stepId });
    }

    /// <summary>A run by its number; null where there is none.</summary>
    public StoredRun? Find(string projectId, long number)
    {
        using var connection = database.Open();
        return connection.QueryFirstOrDefault<StoredRun>(
            $"SELECT {Columns} FROM site_run WHERE project_id = @projectId AND number = @number", new { projectId, number });
    }

    /// <summary>Its points, in time.</summary>
    public IReadOnlyList<StoredRunPoint> Points(StoredRun run)
    {
        ArgumentNullException.ThrowIfNull(run);
        using var connection = database.Open();
        return connection.Query<StoredRunPoint>(
            "SELECT time_s, value FROM site_run_point WHERE project_id = @ProjectId AND number = @Number ORDER BY time_s",
            new { run.ProjectId, run.Number }).AsList();
    }

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);
}
