using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Stopping;

namespace Cuadrilla.Web.Bench;

/// <summary>Ways of stopping a drive point, side by side.</summary>
/// <param name="Missing">What is missing before anything can be simulated.</param>
/// <param name="WantedS">Stop time that the load asks for, s.</param>
/// <param name="TripV">Link voltage at which the converter trips, V; absent for a motor on the line.</param>
/// <param name="Ways">The ways.</param>
/// <param name="SoftStop">Voltage ramp of a soft starter against coasting; absent otherwise.</param>
internal sealed record StoppingDocument(IReadOnlyList<string> Missing, double? WantedS, double? TripV, IReadOnlyList<StopWay> Ways,
    SoftStopDocument? SoftStop)
{
    public static StoppingDocument Of(DrivePointModel model, IReadOnlyList<StartMoment>? soft)
    {
        List<string> missing = [.. StopStudy.Missing(model)];
        return model is not CompleteDrive drive || missing.Count > 0
            ? new StoppingDocument(missing, null, null, [], null)
            : new StoppingDocument(
                missing, BrakingStudy.WantedStopS(drive), StopStudy.TripV(drive), [.. StopStudy.All(drive).Select(StopWay.Of)],
                soft is null ? null : SoftStopDocument.Of(((ConverterChoice.SoftStarter)model.Input.DrivePoint.Converter)
                    .Settings.StopRampS, soft));
    }
}

/// <summary>One way of stopping.</summary>
internal sealed record StopWay(
    string Id,
    string Name,
    bool IsChosen,
    string Impossible,
    string End,
    double? TimeS,
    double HighestLinkV,
    double PeakReturnedKw,
    double ReturnedKj,
    double BurntKj,
    double ToLineKj,
    double? RotorHeatPct,
    IReadOnlyList<StopTrace> Trace)
{
    private const int Points = 120;

    public static StopWay Of(StopCase stop)
    {
        var run = stop.Run;
        return new StopWay(
            stop.Id, stop.Name, stop.IsChosen, stop.Impossible,
            run?.End switch { StopEnd.Stopped => "stopped", StopEnd.LinkTrips => "link-trips", StopEnd.NeverStops => "never-stops",
                _ => "none" },
            run is null || double.IsInfinity(run.TimeS) ? null : run.TimeS,
            run?.HighestLinkV ?? 0, (run?.PeakReturnedW ?? 0) / 1e3, (run?.ReturnedJ ?? 0) / 1e3, (run?.BurntJ ?? 0) / 1e3,
            (run?.ToLineJ ?? 0) / 1e3, stop.RotorHeatPu.IsKnown ? 100 * stop.RotorHeatPu.Value : null,
            run is null ? [] : Thinned(run));
    }

    private static IReadOnlyList<StopTrace> Thinned(StopResult run)
    {
        var step = Math.Max(1, run.Moments.Count / Points);
        return
        [
            .. run.Moments.Where((_, i) => i % step == 0 || i == run.Moments.Count - 1)
                .Select(m => new StopTrace(m.TimeS, m.SpeedRadPerS * 60 / (2 * Math.PI), m.BrakingNm, m.LinkV, m.ReturnedW / 1e3)),
        ];
    }
}

/// <summary>A moment of a stop.</summary>
internal sealed record StopTrace(double TimeS, double SpeedRpm, double BrakingNm, double LinkV, double ReturnedKw);

/// <summary>A stop by voltage ramp.</summary>
/// <param name="RampS">Ramp, s.</param>
/// <param name="TimeS">Time to a hundredth of the speed, s.</param>
/// <param name="PeakLineA">Largest current, A.</param>
/// <param name="Trace">Speed and current over time.</param>
internal sealed record SoftStopDocument(double RampS, double TimeS, double PeakLineA, IReadOnlyList<SoftStopTrace> Trace)
{
    private const int Points = 120;

    public static SoftStopDocument Of(double rampS, IReadOnlyList<StartMoment> moments)
    {
        var step = Math.Max(1, moments.Count / Points);
        return new SoftStopDocument(
            rampS, moments[^1].TimeS, moments.Max(m => m.State.LineCurrentA),
            [.. moments.Where((_, i) => i % step == 0 || i == moments.Count - 1)
                .Select(m => new SoftStopTrace(m.TimeS, m.SpeedRadPerS * 60 / (2 * Math.PI), m.State.LineCurrentA))]);
    }
}

/// <summary>A moment of it.</summary>
internal sealed record SoftStopTrace(double TimeS, double SpeedRpm, double CurrentA);
