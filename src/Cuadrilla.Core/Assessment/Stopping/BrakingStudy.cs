using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Assessment.Stopping;

/// <summary>
/// Power and energy that reach the link from the motor: shaft power less what motor, cable and converter lose. See
/// <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="PeakW">Largest power into the link, W; 0 when nothing comes back.</param>
/// <param name="MeanW">Mean over the cycle, or over all time for a load that always drives, W.</param>
/// <param name="EnergyJ">Energy of one cycle or stop, J.</param>
/// <param name="What">What returns it.</param>
public readonly record struct BrakingDemand(double PeakW, double MeanW, double EnergyJ, string What);

/// <summary>Where braking energy comes from.</summary>
public static class BrakingStudy
{
    private const int Samples = 24;

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

            var sum = BrakeResistor.Of(returned, model.Converter!.Item.Brake?.ChopperV ?? model.Input.Defaults.LinkRatingV);
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

    private static BrakingDemand Stop(DrivePointModel model, double stopS)
    {
        var run = StopStudy.Unhindered(model, stopS);
        return new BrakingDemand(run.PeakReturnedW, 0, run.ReturnedJ, FormattableString.Invariant($"the stop in {stopS:0.#} s"));
    }

    private static double Returned(DrivePointModel model, double rpm, double torqueNm)
    {
        var point = model.PointOf(new ShaftPoint(1, Math.Abs(rpm), rpm < 0 ? -torqueNm : torqueNm));
        return Math.Max(0, -point.LinkW);
    }
}
