using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.Log;

/// <summary>An entry of the log as it was made; never changed, corrected only by a later one.</summary>
public sealed record SiteEntry
{
    /// <summary>Its number in the project's log, rising.</summary>
    public required long Number { get; init; }

    /// <summary>When it was made, ISO 8601 in UTC.</summary>
    public required string AtUtc { get; init; }

    /// <summary>Who made it.</summary>
    public required string Who { get; init; }

    /// <summary>Drive point.</summary>
    public required string PointId { get; init; }

    /// <summary>Step, or <see cref="SiteSteps.SignOffId"/>; of a parameter as left <c>parameter/</c> and its key.</summary>
    public required string StepId { get; init; }

    /// <summary>What was found.</summary>
    public required SiteReading Reading { get; init; }

    /// <summary>Judgement at the time.</summary>
    public required SiteJudgement Judgement { get; init; }

    /// <summary>Edit of the specification it was made on.</summary>
    public required long Edit { get; init; }

    /// <summary>What it rests on.</summary>
    public required SiteBasis Basis { get; init; }

    /// <summary>A remark; of a parameter its value as left.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>Instrument.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>Date of its calibration; null: not stated.</summary>
    public DateOnly? Calibrated { get; init; }

    /// <summary>It is from a simulated stand-in.</summary>
    public bool Simulated { get; init; }

    /// <summary>The entry that it corrects; null otherwise.</summary>
    public long? Corrects { get; init; }
}
