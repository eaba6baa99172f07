using System.Globalization;
using Dapper;

namespace Cuadrilla.Data.Commissioning;

/// <summary>An exercise as somebody does it.</summary>
public sealed record StoredTraining
{
    /// <summary>Project it happens in.</summary>
    public string ProjectId { get; init; } = string.Empty;

    /// <summary>The exercise.</summary>
    public string Exercise { get; init; } = string.Empty;

    /// <summary>Who does it.</summary>
    public string Who { get; init; } = string.Empty;

    /// <summary>Since when, ISO 8601.</summary>
    public string StartedUtc { get; init; } = string.Empty;

    /// <summary>What he decided; null before.</summary>
    public string? Decision { get; init; }

    /// <summary>Points of it; null before.</summary>
    public long? Points { get; init; }

    /// <summary>When; null before.</summary>
    public string? DecidedUtc { get; init; }
}

/// <summary>Exercises as they are done: decided once, then told.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
public sealed class TrainingStore(Database database, TimeProvider clock)
{
    private const string Columns = "project_id, exercise, who, started_utc, decision, points, decided_utc";

    /// <summary>Begins one in a project.</summary>
    public void Begin(string projectId, string exercise, string who)
    {
        using var connection = database.Open();
        connection.Execute("INSERT INTO training (project_id, exercise, who, started_utc) VALUES (@projectId, @exercise, @who, @now)",
            new { projectId, exercise, who, now = Now() });
    }

    /// <summary>The one of a project; null without.</summary>
    public StoredTraining? Find(string projectId)
    {
        using var connection = database.Open();
        return connection.QueryFirstOrDefault<StoredTraining>($"SELECT {Columns} FROM training WHERE project_id = @projectId",
            new { projectId });
    }

    /// <summary>All that were decided, newest first.</summary>
    public IReadOnlyList<StoredTraining> Decided()
    {
        using var connection = database.Open();
        return connection.Query<StoredTraining>(
            $"SELECT {Columns} FROM training WHERE decision IS NOT NULL ORDER BY decided_utc DESC LIMIT 200").AsList();
    }

    /// <summary>Decides; the first decision stays.</summary>
    /// <returns>True where it was the first.</returns>
    public bool Decide(string projectId, string decision, int points)
    {
        using var connection = database.Open();
        return connection.Execute("UPDATE training SET decision = @decision, points = @points, decided_utc = "
            + "@now WHERE project_id = @projectId "
            + "AND decision IS NULL", new { projectId, decision, points, now = Now() }) == 1;
    }

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);
}
