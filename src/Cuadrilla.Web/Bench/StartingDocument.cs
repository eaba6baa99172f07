using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Studies.Starting;

namespace Cuadrilla.Web.Bench;

/// <summary>Ways of starting a drive point, side by side.</summary>
/// <param name="Missing">What is missing before anything can be simulated.</param>
/// <param name="Scenario">The weakest scenario in which it runs; empty while something is missing.</param>
/// <param name="BusVoltageV">Voltage before the start, V.</param>
/// <param name="RatedCurrentA">Rated current of the motor as linked, A.</param>
/// <param name="Ways">The ways.</param>
internal sealed record StartingDocument(
    IReadOnlyList<string> Missing, string Scenario, double BusVoltageV, double RatedCurrentA, IReadOnlyList<StartWay> Ways)
{
    public static StartingDocument Of(StartPlace? place, IReadOnlyList<StartCase> cases, IReadOnlyList<string> missing,
        double ratedCurrentA) => new(
        missing, place?.Scenario ?? string.Empty, place?.VoltageV ?? 0, ratedCurrentA, [.. cases.Select(StartWay.Of)]);
}

/// <summary>One way of starting.</summary>
internal sealed record StartWay(
    string Id,
    string Name,
    bool IsChosen,
    string Impossible,
    string End,
    double TimeS,
    double EndRpm,
    double TargetRpm,
    double PeakLineA,
    double PeakStarterA,
    double DipPct,
    double DipAtPccPct,
    double? RotorHeatPct,
    double? StartsPerHour,
    IReadOnlyList<TripHeatDocument> TripHeat,
    StartEnergyDocument Energy,
    IReadOnlyList<StartTrace> Trace)
{
    private const int Points = 240;

    public static StartWay Of(StartCase start)
    {
        var run = start.Run;
        return new StartWay(
            start.Id,
            start.Name,
            start.IsChosen,
            start.Impossible,
            run?.End switch { StartEnd.Reached => "reached", StartEnd.Sticks => "sticks", StartEnd.TooLong => "too-long", _ => "none" },
            run?.TimeS ?? 0,
            (run?.EndRadPerS ?? 0) * 60 / (2 * Math.PI),
            start.TargetRpm,
            start.PeakLineA,
            start.PeakStarterA,
            start.DipPct,
            start.DipAtPccPct,
            start.RotorHeatPu.IsKnown ? 100 * start.RotorHeatPu.Value : null,
            double.IsFinite(start.StartsPerHour) ? start.StartsPerHour : null,
            [.. start.TripHeatPu.Select(t => new TripHeatDocument(t.Key, 100 * t.Value))],
            run is null
                ? new StartEnergyDocument(0, 0, 0, 0, 0, 0, 0)
                : new StartEnergyDocument(
                    run.Energy.InputJ / 1e3, run.Energy.KineticJ / 1e3, run.Energy.LoadJ / 1e3, run.Energy.StatorJ / 1e3,
                    run.Energy.RotorJ / 1e3,
                    run.Energy.OtherJ / 1e3, 100 * run.Energy.RestPu),
            run is null ? [] : Traced(run));
    }

    private static IReadOnlyList<StartTrace> Traced(StartSimulation.Result run)
    {
        var step = Math.Max(1, run.Moments.Count / Points);
        return
        [
            .. run.Moments.Where((_, i) => i % step == 0 || i == run.Moments.Count - 1).Select(m => new StartTrace(
                m.TimeS, m.SpeedRadPerS * 60 / (2 * Math.PI), m.State.TorqueNm, m.LoadTorqueNm, m.State.LineCurrentA, m.State.BusVoltageV)),
        ];
    }
}

/// <summary>Heat of the protection, % of its trip level.</summary>
internal sealed record TripHeatDocument(TripClass Trip, double Pct);

/// <summary>Energies of a start, kJ, and what the balance leaves over.</summary>
internal sealed record StartEnergyDocument(double InputKj, double KineticKj, double LoadKj, double StatorKj, double RotorKj, double OtherKj,
    double RestPct);

/// <summary>A moment of a start.</summary>
internal sealed record StartTrace(double TimeS, double SpeedRpm, double TorqueNm, double LoadNm, double CurrentA, double BusVoltageV);
