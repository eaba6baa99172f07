using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>How a stop ended.</summary>
public enum StopEnd
{
    /// <summary>At a hundredth of the speed.</summary>
    Stopped,

    /// <summary>The link tripped; the rest is coasting.</summary>
    LinkTrips,

    /// <summary>Neither load nor brake stops it.</summary>
    NeverStops,
}

/// <summary>What a stop is made of.</summary>
/// <param name="InertiaKgM2">All masses at the motor's shaft, kg·m².</param>
/// <param name="TopRadPerS">Speed before, rad/s.</param>
/// <param name="LoadNm">Torque of the load over speed in rad/s, Nm; positive holds back, negative drives on.</param>
/// <param name="LargestNm">Largest braking torque over speed, Nm.</param>
/// <param name="ReturnedW">Power into the link at a speed and braking torque, W; negative when drawn.</param>
/// <param name="WantedS">Time of the ramp, s; null brakes as hard as it may.</param>
/// <param name="Link">The link; null when the motor is off it.</param>
/// <param name="HoldsLink">True when the controller brakes less rather than let the link rise above its holding voltage.</param>
public sealed record StopInput(
    double InertiaKgM2,
    double TopRadPerS,
    Func<double, double> LoadNm,
    Func<double, double> LargestNm,
    Func<double, double, double> ReturnedW,
    double? WantedS,
    LinkCircuit? Link,
    bool HoldsLink);

/// <summary>A moment of a stop.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="SpeedRadPerS">Speed, rad/s.</param>
/// <param name="BrakingNm">Braking torque of the motor, Nm.</param>
/// <param name="LinkV">Link voltage, V; 0 when the motor is off it.</param>
/// <param name="ReturnedW">Power into the link, W.</param>
public readonly record struct StopMoment(double TimeS, double SpeedRadPerS, double BrakingNm, double LinkV, double ReturnedW);

/// <summary>A stop.</summary>
public sealed record StopResult
{
    /// <summary>How it ended.</summary>
    public required StopEnd End { get; init; }

    /// <summary>Time to rest, or to the trip, s.</summary>
    public required double TimeS { get; init; }

    /// <summary>Every step.</summary>
    public required IReadOnlyList<StopMoment> Moments { get; init; }

    /// <summary>Highest link voltage, V.</summary>
    public required double HighestLinkV { get; init; }

    /// <summary>Largest power into the link, W.</summary>
    public required double PeakReturnedW { get; init; }

    /// <summary>Energy into the link, J.</summary>
    public required double ReturnedJ { get; init; }

    /// <summary>Energy burnt in the resistor, J.</summary>
    public required double BurntJ { get; init; }

    /// <summary>Energy returned to the line, J.</summary>
    public required double ToLineJ { get; init; }

    /// <summary>Work that the motor took off the shaft, J.</summary>
    public required double MotorJ { get; init; }

    /// <summary>Work that the load took off the shaft, J.</summary>
    public required double LoadJ { get; init; }
}

/// <summary>
/// A stop in steps of speed: in each J·Δω = (T + T_load)·Δt at the middle speed, the link's voltage by its energy. Where the
/// controller holds the link, the torque is the largest at which losses and what the capacitor still takes cover all that
/// returns. See <c>docs/methods/braking.md</c>.
/// </summary>
public static class StopSimulation
{
    private const int Steps = 320;
    private const double LongestS = 7200;

    // A load that falls with the square of the speed never quite stops: a hundredth of the speed counts as rest.
    private const double RestPu = 0.01;

    /// <summary>Runs it.</summary>
    public static StopResult Run(StopInput input)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(input.InertiaKgM2);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(input.TopRadPerS);
        var moments = new List<StopMoment>(Steps + 1);
        double time = 0, voltage = input.Link?.RestV ?? 0, highest = voltage, peak = 0, returned = 0, burnt = 0, toLine = 0, motor = 0,
        loadWork = 0;
        var end = StopEnd.Stopped;
        var tripSpeed = 0.0;
        for (var i = 0; i < Steps; i++)
        {
            var (from, to) = (Speed(input.TopRadPerS, i), Speed(input.TopRadPerS, i + 1));
            var width = from - to;
            var omega = (from + to) / 2;
            var load = input.LoadNm(omega);
            var torque = Torque(input, omega, load, width, voltage);
            var net = torque + load;
            var span = net > 1e-12 ? input.InertiaKgM2 * width / net : double.PositiveInfinity;
            if (time + span > LongestS)
            {
                return Result(StopEnd.NeverStops);
            }

            var power = torque <= 0 ? 0 : input.ReturnedW(omega, torque);
            moments.Add(new StopMoment(time, from, torque, voltage, power));
            if (input.Link is { } link)
            {
                var step = LinkMotion.Of(link.Limits, voltage, power, span);
                (voltage, burnt, toLine) = (step.VoltageV, burnt + step.BurntJ, toLine + step.ToLineJ);
                (highest, span) = (Math.Max(highest, step.HighestV), step.ElapsedS);
                end = step.Trips ? StopEnd.LinkTrips : end;
            }

            peak = Math.Max(peak, power);
            returned += Math.Max(0, power) * span;
            motor += torque * omega * span;
            loadWork += load * omega * span;
            time += span;
            if (end == StopEnd.LinkTrips)
            {
                // At that instant the output is off; what follows is coasting.
                tripSpeed = from - (net * span / input.InertiaKgM2);
                break;
            }
        }

        return Result(end);

        StopResult Result(StopEnd how)
        {
            var last = how switch
            {
                StopEnd.Stopped => 0,
                StopEnd.LinkTrips => tripSpeed,
                _ => Speed(input.TopRadPerS, moments.Count),
            };
            moments.Add(new StopMoment(Math.Min(time, LongestS), last, 0, voltage, 0));
            return new StopResult
            {
                End = how,
                TimeS = how == StopEnd.NeverStops ? double.PositiveInfinity : time,
                Moments = moments,
                HighestLinkV = highest,
                PeakReturnedW = peak,
                ReturnedJ = returned,
                BurntJ = burnt,
                ToLineJ = toLine,
                MotorJ = motor,
                LoadJ = loadWork,
            };
        }
    }

    // Steps grow smaller towards rest, where a load that falls with the speed takes its time.
    private static double Speed(double top, int step)
    {
        var left = 1 - ((double)step / Steps);
        return top * (RestPu + ((1 - RestPu) * left * left));
    }

    // Nothing is asked of the motor beyond the ramp; a load that stops faster by itself is not driven on.
    private static double Torque(StopInput input, double omega, double load, double width, double voltage)
    {
        var largest = input.LargestNm(omega);
        var wanted = input.WantedS is { } t ? Math.Clamp((input.InertiaKgM2 * input.TopRadPerS / t) - load, 0, largest) : largest;
        if (!input.HoldsLink || input.Link is not { ReturnsToLine: false } link)
        {
            return wanted;
        }

        // The step lasts as long as that torque makes it last.
        bool Holds(double torque) => input.ReturnedW(omega, torque) is var power
            && (power <= 0 || LinkMotion.Of(link.Limits, voltage, power,
                Math.Min(LongestS, input.InertiaKgM2 * width / Math.Max(torque + load, 1e-12))).HighestV <= Math.Max(link.HoldV, voltage));
        if (Holds(wanted))
        {
            return wanted;
        }

        return Halving.Between(0, wanted, Holds, 40).Low;
    }
}
