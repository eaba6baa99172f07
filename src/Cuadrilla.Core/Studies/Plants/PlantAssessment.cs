using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>Everything that follows from a specification.</summary>
/// <param name="CatalogueVersion">Version of the catalogue used.</param>
/// <param name="DrivePoints">Key figures by drive point, in the order of the board.</param>
/// <param name="Checks">All checks: the plant's first, then by drive point.</param>
/// <param name="Scenarios">Each scenario; empty while the supply is not stated.</param>
/// <param name="Demand">Demand current and short-circuit ratio at the PCC; null when not known.</param>
/// <param name="CurrentLimits">The row of current limits in force; null when not known.</param>
public sealed record PlantAssessment(
    string CatalogueVersion,
    IReadOnlyList<DrivePointSummary> DrivePoints,
    IReadOnlyList<Check> Checks,
    IReadOnlyList<ScenarioResult> Scenarios,
    PccDemand? Demand,
    CurrentLimitRow? CurrentLimits)
{
    /// <summary>Steady voltage of each live bus over all scenarios.</summary>
    public IReadOnlyDictionary<string, BusVoltageRange> Voltages { get; init; } = new Dictionary<string, BusVoltageRange>();

    /// <summary>Fault currents of each live bus over all scenarios.</summary>
    public IReadOnlyDictionary<string, BusShortCircuit> ShortCircuits { get; init; } = new Dictionary<string, BusShortCircuit>();

    /// <summary>What threw while it was made; each cost a check, a drive or a scenario, none of them counts as holding.</summary>
    public IReadOnlyList<Fault> Faults { get; init; } = [];

    /// <summary>
    /// Checks in the order in which they want attention: failures, then those that hold, then what lacks data; in each what is dangerous
    /// before what burns or trips, that before limits of codes, cost last; the nearest to failing first. Not-applicable ones are left
    /// out.
    /// </summary>
    public IEnumerable<Check> Tightest() => Checks
        .Where(c => c.Verdict != Verdict.NotApplicable)
        .OrderBy(c => c.Verdict switch { Verdict.Fails => 0, Verdict.NeedsData => 3, Verdict.Tight => 1, _ => 2 })
        .ThenBy(c => c.Verdict == Verdict.Holds ? 0 : (int)CheckWeights.Of(c.Id))
        .ThenBy(c => c.MarginPct.IsKnown ? c.MarginPct.Value : double.MaxValue)
        .ThenBy(c => c.Id, StringComparer.Ordinal)
        .ThenBy(c => c.DrivePointId, StringComparer.Ordinal)
        .ThenBy(c => c.ElementId, StringComparer.Ordinal);
}

/// <summary>What a cell of the board says about a drive point, at its rated point.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Rated">Chain at the rated point; null while incomplete.</param>
/// <param name="ShaftPowerW">Shaft power at the rated point, W; null while the load is incomplete.</param>
/// <param name="ShaftSpeedRpm">Speed at the rated point, rpm; null while the load is incomplete.</param>
/// <param name="SiteCurrentA">Continuous converter current at the site, A; null without converter.</param>
/// <param name="LineRmsA">Rms line current of the most loaded phase in the first scenario it runs in, A; null when not solved.</param>
/// <param name="ThdiPct">Distortion of the same current, %; null when not solved.</param>
/// <param name="YearKwh">Energy of a year, kWh; null while incomplete.</param>
/// <param name="SavingPerYear">Cost saved against the existing flow control, currency a year; null when there is nothing to
/// compare.</param>
public sealed record DrivePointSummary(
    string DrivePointId,
    OperatingPoint? Rated,
    double? ShaftPowerW,
    double? ShaftSpeedRpm,
    double? SiteCurrentA,
    double? LineRmsA,
    double? ThdiPct,
    double? YearKwh,
    double? SavingPerYear)
{
    /// <summary>Phase of that current: A, B or C; empty where all carry the same or there is only one.</summary>
    public string LinePhase { get; init; } = string.Empty;

    /// <summary>Length of the motor cable that is computed with, as stated or as its way gives it, m; null where neither is
    /// known.</summary>
    public double? CableM { get; init; }

    /// <summary>The same of its feeder; null also without a cable of its own.</summary>
    public double? FeederM { get; init; }

    /// <summary>Entries that stand as usual values which nobody has confirmed.</summary>
    public int AssumedEntries { get; init; }
}
