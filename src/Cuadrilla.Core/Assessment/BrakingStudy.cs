using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// Power and energy that reach the link from the motor: shaft power less what motor, cable and converter lose. See
/// <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="PeakW">Largest power into the link, W; 0 when nothing comes back.</param>
/// <param name="MeanW">Mean over the cycle, or over all time for a load that always drives, W.</param>
/// <param name="EnergyJ">Energy of one cycle or stop, J.</param>
/// <param name="What">What returns it.</param>
public readonly record struct BrakingDemand(double PeakW, double MeanW, double EnergyJ, string What);

/// <summary>Where braking energy comes from and how a machine stops without a path for it.</summary>
public static class BrakingStudy
{
    private const int Samples = 24;
    private const int StopSteps = 200;

    /// <summary>What comes back to the link of a complete drive point on a converter.</summary>
    public static BrakingDemand Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var load = model.Load!;
        if (load.Cycle is { } cycle)
        {
            var returned = new List<ReturnedPower>();
            foreach (var s in cycle.Stretches)
            {
                var torque = LoadCycle.TorqueNm(s, model.Motor!.Plate.InertiaKgM2);
                for (var i = 0; i < Samples; i++)
                {
                    var rpm = s.StartRpm + ((s.EndRpm - s.StartRpm) * (i + 0.5) / Samples);
                    returned.Add(new ReturnedPower(s.DurationS / Samples, Returned(model, rpm, torque)));
                }
            }

            var sum = BrakeResistor.Of(returned, model.Converter!.Item.ChopperV);
            return new BrakingDemand(sum.PeakW, sum.MeanW, sum.EnergyJ, "the cycle");
        }

        var steady = load.PointsAt(1).Max(p => Returned(model, p.SpeedRpm, p.TorqueNm));
        if (steady > 0)
        {
            return new BrakingDemand(steady, steady, 0, "the load drives the motor");
        }

        return WantedStopS(model) is { } stop ? Stop(model, stop) : default;
    }

    /// <summary>Stop time the engineer wants; null when none is stated or the load has a cycle.</summary>
    public static double? WantedStopS(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.Input.DrivePoint.Load is HighInertiaLoad { StopTimeS: { IsKnown: true } stop } ? stop.Value : null;
    }

    /// <summary>
    /// Shortest stop from rated speed with nowhere for the energy to go, s: at each speed the motor brakes just so hard that
    /// motor, cable and converter lose what it returns. The link's capacitor is not counted on. Infinite when neither losses
    /// nor load stop it.
    /// </summary>
    public static double ShortestStopS(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var (inertia, top) = Masses(model);
        var time = 0.0;
        for (var i = 0; i < StopSteps; i++)
        {
            var omega = top * (StopSteps - i - 0.5) / StopSteps;
            var rpm = omega * 60 / (2 * Math.PI);
            var braking = Absorbed(model, rpm) + Math.Abs(model.Load!.TorqueAtSpeedNm(rpm));
            time += inertia * top / StopSteps / Math.Max(braking, 1e-12);
        }

        return time;
    }

    private static BrakingDemand Stop(DrivePointModel model, double stopS)
    {
        var (inertia, top) = Masses(model);
        double peak = 0, energy = 0;
        for (var i = 0; i < StopSteps; i++)
        {
            var omega = top * (StopSteps - i - 0.5) / StopSteps;
            var rpm = omega * 60 / (2 * Math.PI);
            var torque = Math.Abs(model.Load!.TorqueAtSpeedNm(rpm)) - (inertia * top / stopS);
            var returned = torque < 0 ? Returned(model, rpm, torque) : 0;
            peak = Math.Max(peak, returned);
            energy += returned * stopS / StopSteps;
        }

        return new BrakingDemand(peak, 0, energy, FormattableString.Invariant($"the stop in {stopS:0.#} s"));
    }

    // Largest braking torque at which nothing reaches the link, by halving.
    private static double Absorbed(DrivePointModel model, double rpm)
    {
        double low = 0, high = model.Motor!.BreakdownTorqueNm(rpm);
        for (var i = 0; i < 40; i++)
        {
            var middle = (low + high) / 2;
            if (Returned(model, rpm, -middle) > 0)
            {
                high = middle;
            }
            else
            {
                low = middle;
            }
        }

        return low;
    }

    private static double Returned(DrivePointModel model, double rpm, double torqueNm)
    {
        var point = OperatingPoint.Of(
            new ShaftPoint(1, Math.Abs(rpm), rpm < 0 ? -torqueNm : torqueNm), model.Motor!, model.Converter!, model.Cable!.Value, model.Feeder!.Value);
        return Math.Max(0, -point.LinkW);
    }

    private static (double InertiaKgM2, double TopRadPerS) Masses(DrivePointModel model) =>
        (model.Load!.InertiaKgM2 + model.Motor!.Plate.InertiaKgM2, model.Load.RatedSpeedRpm * 2 * Math.PI / 60);
}
