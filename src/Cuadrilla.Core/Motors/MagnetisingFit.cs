namespace Cuadrilla.Core.Motors;

/// <summary>
/// The magnetising current with which the loss model shows a measured power factor at half torque across the line. A larger one
/// lowers that power factor while the plate stays as it is, so it is found by halving. Out of reach, the nearer end is taken.
/// </summary>
public static class MagnetisingFit
{
    private const double LeastPu = 0.02;
    private const double MostPu = 0.9;

    /// <summary>Magnetising current in parts of the rated.</summary>
    /// <param name="plate">The plate.</param>
    /// <param name="halfLoadPowerFactor">Power factor at half of the rated torque.</param>
    public static double OfHalfLoad(MotorPlate plate, double halfLoadPowerFactor)
    {
        ArgumentNullException.ThrowIfNull(plate);
        double low = LeastPu, high = Math.Min(MostPu, 0.98 * Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor)) / 1.0);
        for (var i = 0; i < 50; i++)
        {
            var middle = (low + high) / 2;
            if (PowerFactorAtHalf(plate, middle) > halfLoadPowerFactor)
            {
                low = middle;
            }
            else
            {
                high = middle;
            }
        }

        return (low + high) / 2;
    }

    /// <summary>Power factor at half torque that a magnetising current gives.</summary>
    internal static double PowerFactorAtHalf(MotorPlate plate, double magnetisingPu)
    {
        var model = new MotorLossModel(plate with { MagnetisingPu = magnetisingPu });
        var speed = plate.Technology == MotorTechnology.CageInduction
            ? plate.SynchronousSpeedRpm * (1 - (plate.RatedSlip / 2))
            : plate.RatedSpeedRpm;
        return model.At(speed, plate.RatedTorqueNm / 2, MotorFeed.Line).PowerFactor;
    }
}
