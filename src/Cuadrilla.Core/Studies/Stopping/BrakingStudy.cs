using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Stopping;

/// <summary>
/// Power and energy that reach the link from the motor: shaft power less what motor, cable and converter lose. See
/// <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="What">What returns it.</param>
/// <param name="Profile">Powers one after the other.</param>
/// <param name="Repeats">True for what goes on for ever; a stop comes once.</param>
public sealed record BrakingDemand(string What, IReadOnlyList<ReturnedPower> Profile, bool Repeats)
{
    /// <summary>Largest power into the link, W; 0 when nothing comes back.</summary>
    public double PeakW { get; } = Profile.Count == 0 ? 0 : Profile.Max(p => p.PowerW);

    /// <summary>Energy of one cycle or stop, J.</summary>
    public double EnergyJ { get; } = Profile.Sum(p => p.DurationS * p.PowerW);

    /// <summary>True for a stop, which may take longer where its energy has nowhere to go.</summary>
    public bool IsStop { get; init; }

    /// <summary>Mean of what repeats, W; 0 for what comes once.</summary>
    public double MeanW => Repeats ? EnergyJ / Profile.Sum(p => p.DurationS) : 0;
}

/// <summary>Where braking energy comes from.</summary>
public static class BrakingStudy
{
    // A load that drives for ever is looked at for so long.
    private const double SteadyS = 60;

    /// <summary>The demand with the largest power of a complete drive point on a converter.</summary>
    public static BrakingDemand Of(DriveOnConverter model) => All(model).MaxBy(d => d.PeakW) ?? new BrakingDemand(string.Empty, [], false);

    /// <summary>
    /// Everything that may come back to the link: the cycle, its rated load let down after a lift that was broken off, a load that drives
    /// for ever at any level, and the stop that is asked for.
    /// </summary>
    public static IReadOnlyList<BrakingDemand> All(DriveOnConverter model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var load = model.Load;
        var demands = new List<BrakingDemand>();
        if (load.Cycle is { } cycle)
        {
            demands.Add(new BrakingDemand("the cycle", Profile(model, cycle), true));
            if (load.BrokenOff.Count > 0)
            {
                demands.Add(new BrakingDemand("the rated load let down after a lift that was broken off",
                    Profile(model, new LoadCycle(load.BrokenOff)), false));
            }
        }
        else
        {
            var steady = load.Levels().SelectMany(load.SizingPointsAt).Max(p => Returned(model, p));
            demands.Add(new BrakingDemand("the load drives the motor", [new ReturnedPower(SteadyS, steady)], true));
        }

        if (WantedStopS(model) is { } stop && load.InertiaKgM2.IsKnown && load.StartPoints().Any(p => p.SpeedRpm != 0))
        {
            demands.Add(Stop(model, stop));
        }

        return [.. demands.Where(d => d.PeakW > 0)];
    }

    /// <summary>Stop time the engineer wants; null when none is stated.</summary>
    public static double? WantedStopS(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.Load is { StopTimeS: { IsKnown: true } stop, RatedSpeedRpm: not 0 } ? stop.Value : null;
    }

    private static List<ReturnedPower> Profile(DriveOnConverter model, LoadCycle cycle) =>
    [
        .. cycle.Slices(model.Motor.Plate.InertiaKgM2).Select(s =>
            new ReturnedPower(s.DurationS, s.Rests ? 0 : Returned(model, s.Shaft(1)))),
    ];

    private static BrakingDemand Stop(DriveOnConverter model, double stopS)
    {
        var moments = StopStudy.Unhindered(model, stopS).Moments;
        return new BrakingDemand(
            FormattableString.Invariant($"the stop in {stopS:0.#} s"),
            [.. moments.Zip(moments.Skip(1)).Select(m =>
                new ReturnedPower(m.Second.TimeS - m.First.TimeS, Math.Max(0, m.First.ReturnedW)))], false)
        { IsStop = true };
    }

    private static double Returned(DriveOnConverter model, ShaftPoint point) => Math.Max(0, -model.PointOf(point).LinkW);
}
