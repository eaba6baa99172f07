using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Motors;

/// <summary>
/// The magnetising current with which the loss model shows what was measured across the line: a no-load current, or a power factor at half
/// torque. Both follow it one way while the plate stays as it is, so it is found by halving. Out of reach, the nearer end is taken.
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
        return Halved(0.98 * Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor)),
            pu => PowerFactorAtHalf(plate, pu) > halfLoadPowerFactor);
    }

    /// <summary>Magnetising current in parts of the rated: the no-load current less what iron and friction ask for.</summary>
    /// <param name="plate">The plate of a cage motor.</param>
    /// <param name="noLoadCurrentA">Current without load at rated voltage and frequency, A.</param>
    public static double OfNoLoad(MotorPlate plate, double noLoadCurrentA)
    {
        ArgumentNullException.ThrowIfNull(plate);
        return Halved(MostPu, pu => new MotorLossModel(plate with { MagnetisingPu = pu })
            .OnLine(plate.RatedFrequencyHz, plate.RatedVoltageV, 0).CurrentA < noLoadCurrentA);
    }

    private static double Halved(double most, Func<double, bool> isTooLittle)
    {
        var (low, high) = Halving.Between(LeastPu, Math.Min(MostPu, most), isTooLittle);
        return (low + high) / 2;
    }

    /// <summary>Power factor at half torque that a magnetising current gives.</summary>
    internal static double PowerFactorAtHalf(MotorPlate plate, double magnetisingPu)
    {
        var model = new MotorLossModel(plate with { MagnetisingPu = magnetisingPu });
        return plate.Technology == MotorTechnology.CageInduction
            ? model.OnLine(plate.RatedFrequencyHz, plate.RatedVoltageV, plate.RatedTorqueNm / 2).PowerFactor
            : model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm / 2, MotorFeed.Line).PowerFactor;
    }
}
