using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>A motor in its place: linked, fed and cooled as chosen there.</summary>
/// <param name="Choice">The choice.</param>
/// <param name="Item">Its catalogue item.</param>
/// <param name="Connected">Its plate as linked and fed.</param>
/// <param name="Losses">Its loss model.</param>
/// <param name="Budget">Its thermal budget.</param>
/// <param name="Voltage">The way of the voltage to it.</param>
public sealed record FittedMotor(
    MotorChoice.FromCatalogue Choice, MotorItem Item, ConnectedMotor Connected, MotorLossModel Losses, ThermalBudget Budget,
    OutputVoltage Voltage)
{
    /// <summary>Thermal budget for a motor choice at a site.</summary>
    public static ThermalBudget BudgetFor(DrivePointInput input, MotorChoice.FromCatalogue choice, MotorPlate plate)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(choice);
        ArgumentNullException.ThrowIfNull(plate);
        return new ThermalBudget(
            input.Site.AmbientMaxC,
            input.Site.AltitudeM,
            choice.Cooling,
            choice.RiseUsed == ThermalClass.B ? input.Defaults.RiseClassBK : input.Defaults.RiseClassFK,
            plate.Limits.RatedRiseK is { IsKnown: true } rise ? rise.Value : input.Defaults.RiseClassFK,
            input.Defaults.OwnFanStandstillPu);
    }
}
