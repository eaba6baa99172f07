using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// The machine as it runs today: across the line, with a motor of the chosen size in the lowest class of the catalogue. It is
/// already paid for.
/// </summary>
public static class PresentWay
{
    /// <summary>The alternative; null when no existing flow control is stated.</summary>
    internal static EnergyAlternative? Of(CompleteDrive model)
    {
        if (model.Load is not FluidMachineModel load || load.Common.PresentControl == PresentControl.NotStated)
        {
            return null;
        }

        var plate = MadeFor.Power(model.Data, model.MotorItem.Plate.RatedPowerW)
            .Where(m => m.Technology == MotorTechnology.CageInduction && EnergyAlternatives.IsAlternative(m, model.MotorItem))
            .MinBy(m => m.Plate.Efficiency);
        if (plate is null)
        {
            return null;
        }

        var motor = new MotorLossModel(plate.Plate);
        var points = EnergyAlternatives.Points(load, flow =>
        {
            // Staged machines that stand still lose nothing: the mean is of those that run.
            var (shaft, share) = load.Common.PresentControl == PresentControl.Staged
                ? load.Staged(flow)
                : (load.Present(model.Data.InletVanes, flow)!.Value, 1);
            var power = MeanPower.OnLine(model, motor.At(shaft.SpeedRpm, shaft.TorqueNm, MotorFeed.Line), shaft.Shaft, 0);
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
            model, "present", "present", $"As today: {name}, {plate.EfficiencyClass} motor across the line", false, 0, points);
    }
}
