using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What is ordered with a motor, so that the checks that count on it hold.</summary>
internal static class MotorOptionLines
{
    /// <summary>The line of a drive point; none without a motor.</summary>
    public static IEnumerable<SheetLine> Of(DrivePoint point)
    {
        if (point.Motor is MotorChoice.FromCatalogue motor)
        {
            yield return new SheetLine("Motor comes with", string.Join(", ", Options(motor, point)));
        }
    }

    private static IEnumerable<string> Options(MotorChoice.FromCatalogue motor, DrivePoint point)
    {
        yield return motor.Cooling switch
        {
            MotorCooling.OwnFan => "own fan (IC 411)",
            MotorCooling.SeparateFan => "separately driven fan (IC 416)",
            _ => "cooled by its surface (IC 410)",
        };
        yield return $"temperature rise used to class {motor.RiseUsed}";
        if (motor.ThermistorTrips)
        {
            yield return "thermistors that switch it off";
        }

        if (motor.InsulatedBearing)
        {
            yield return "insulated bearing at the non-drive end";
        }

        if (point.Interference.ShaftRing)
        {
            yield return "earthing ring at the shaft";
        }
    }
}
