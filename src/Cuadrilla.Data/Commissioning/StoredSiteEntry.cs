namespace Cuadrilla.Data.Commissioning;

/// <summary>An entry of a project's log as it is stored.</summary>
public sealed record StoredSiteEntry
{
    /// <summary>Its number in the log, rising from 1.</summary>
    public long Number { get; init; }

    /// <summary>When it was made, ISO 8601.</summary>
    public string AtUtc { get; init; } = string.Empty;

    /// <summary>Who made it.</summary>
    public string Who { get; init; } = string.Empty;

    /// <summary>Drive point.</summary>
    public string PointId { get; init; } = string.Empty;

    /// <summary>Step.</summary>
    public string StepId { get; init; } = string.Empty;

    /// <summary>Verdict at the time.</summary>
    public string Verdict { get; init; } = string.Empty;

    /// <summary>What was found, in a sentence.</summary>
    public string Result { get; init; } = string.Empty;

    /// <summary>What was read, JSON.</summary>
    public string Reading { get; init; } = "{}";

    /// <summary>What it rests on, JSON.</summary>
    public string Basis { get; init; } = "{}";

    /// <summary>A remark.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>Instrument.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>Date of its calibration; null: not stated.</summary>
    public string? Calibrated { get; init; }

    /// <summary>It is from a simulated stand-in.</summary>
    public bool Simulated { get; init; }

    /// <summary>Edit of the specification it was made on.</summary>
    public long Edit { get; init; }

    /// <summary>The entry that it corrects; null otherwise.</summary>
    public long? Corrects { get; init; }
}

/// <summary>What of a log is wanted, newest first.</summary>
/// <param name="PointId">Of a drive point; null: of all.</param>
/// <param name="StepId">Of a step; null: of all.</param>
/// <param name="Verdict">Of a verdict; null: of all.</param>
/// <param name="Words">With these words in result, note, instrument or name; null: any.</param>
/// <param name="Before">Older than this number; null: from the newest.</param>
/// <param name="Most">How many at most.</param>
public sealed record SiteEntryFilter(string? PointId, string? StepId, string? Verdict, string? Words, long? Before, int Most);
