using Cuadrilla.Core.Motors.Electrics;

namespace Cuadrilla.Core.Motors;

/// <summary>The voltage of the magnets that a plate implies: with it power, current, power factor and d-current do not contradict each
/// other.</summary>
public static class MagnetVoltage
{
    /// <summary>Line voltage for each 1000 rpm, V, of a plate whose magnetising share is its d-current.</summary>
    /// <param name="plate">Plate of a motor with magnets; what it states of their voltage is not looked at.</param>
    public static double ImpliedVPerKrpm(MotorPlate plate)
    {
        ArgumentNullException.ThrowIfNull(plate);
        return MagnetElectrics.ImpliedMagnetPu(plate, plate.MagnetisingPu) * plate.RatedVoltageV / plate.RatedSpeedRpm * 1000;
    }
}
