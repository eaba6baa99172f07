using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Assessment.Alternatives;

/// <summary>
/// The machine as it runs today: across the line, with a motor of the chosen size in the lowest class of the catalogue. It is
/// already paid for.
/// </summary>
public static class PresentWay
{
    /// <summary>Shaft point of the present control at a flow; null when none is stated.</summary>
    public static FluidPoint? Shaft(FluidMachineModel load, IReadOnlyList<CurvePoint> inletVanes, double flowPu)
    {
        ArgumentNullException.ThrowIfNull(load);
        return load.Common.PresentControl switch
        {
            PresentControl.OutletThrottle => load.Throttled(flowPu),
            PresentControl.Bypass => load.Bypassed(flowPu),
            PresentControl.InletVanes => new FluidPoint(flowPu, load.RatedSpeedRpm, 1, 1, load.RatedPowerW * Curve.At(VanesOf(load, inletVanes), flowPu)),
            PresentControl.OnOff => load.OnOff(flowPu),
            PresentControl.TwoSpeedHalf => load.TwoSpeed(flowPu, 1.0 / 2),
            PresentControl.TwoSpeedTwoThirds => load.TwoSpeed(flowPu, 2.0 / 3),
            PresentControl.Staged => load.Staged(flowPu) is var (running, share) ? running with { PowerW = running.PowerW * share } : null,
            PresentControl.NotStated => null,
            _ => throw new InvalidOperationException("Unknown present control."),
        };
    }

    /// <summary>The alternative; null when no present control is stated.</summary>
    internal static EnergyAlternative? Of(DrivePointModel model)
    {
        if (model.Load is not FluidMachineModel load || load.Common.PresentControl == PresentControl.NotStated)
        {
            return null;
        }

        var plate = model.Data.Motors.Values
            .Where(m => m.Technology == MotorTechnology.CageInduction && EnergyAlternatives.IsAlternative(m, model.MotorItem!))
            .MinBy(m => m.Plate.Efficiency);
        if (plate is null)
        {
            return null;
        }

        var motor = new MotorLossModel(plate.Plate);
        var points = EnergyAlternatives.Points(load, flow =>
        {
            // Staged machines that stand still lose nothing: the mean is of those that run.
            var (shaft, share) = load.Common.PresentControl == PresentControl.Staged ? load.Staged(flow) : (Shaft(load, model.Data.InletVanes, flow)!.Value, 1);
            var power = MeanPower.OnLine(model, shaft.Shaft, 0, motor);
            return new MeanPower(share * power.LineW, share * power.LineVar, 0, 0);
        });
        var name = load.Common.PresentControl switch
        {
            PresentControl.OutletThrottle => model.Input.DrivePoint.Load is FanLoad ? "outlet damper" : "throttling valve",
            PresentControl.InletVanes => "inlet vanes",
            PresentControl.OnOff => "on and off",
            PresentControl.TwoSpeedHalf => "two speeds 1 : 2",
            PresentControl.TwoSpeedTwoThirds => "two speeds 2 : 3",
            PresentControl.Staged => "machines staged",
            _ => "bypass",
        };
        return EnergyAlternatives.Alternative(
            model, "present", "present", $"As today: {name}, {plate.EfficiencyClass} motor across the line", false, 0, points, []);
    }

    private static IReadOnlyList<CurvePoint> VanesOf(FluidMachineModel load, IReadOnlyList<CurvePoint> catalogue) =>
        load.Common.VaneCurve.Count == 0 ? catalogue : [.. load.Common.VaneCurve.Select(p => new CurvePoint(p.FlowPu, p.PowerPu))];
}
