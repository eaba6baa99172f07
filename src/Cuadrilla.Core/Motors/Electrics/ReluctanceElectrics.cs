using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>
/// A synchronous reluctance motor with the least current for its torque: both currents fall with the root of the torque, so that the flux
/// does too, down to the fifth that a converter keeps; above rated torque the d-axis is saturated. At the voltage limit the d-current
/// gives way and the q-current grows: i_q = i_q,N·T/φ.
/// </summary>
internal sealed class ReluctanceElectrics : SynchronousBase, IMotorElectrics
{
    private const double LeastFluxPu = 0.2;
    private const int LossRounds = 4;
    private const double VoltageWithinPu = 1e-12;

    private readonly double direct;
    private readonly double quadrature;
    private readonly double linkageD;
    private readonly double linkageQ;

    public ReluctanceElectrics(MotorPlate plate, RatedLosses losses)
        : base(plate, losses)
    {
        direct = plate.MagnetisingPu;
        quadrature = Math.Sqrt(1 - (direct * direct));
        (linkageD, linkageQ) = Linkages(direct);
    }

    /// <inheritdoc/>
    public double MagnetisingA => direct * Plate.RatedCurrentA;

    /// <inheritdoc/>
    public ElectricalState At(double speedPu, double torquePu, double limitPu)
    {
        var flux = Math.Clamp(Math.Sqrt(Math.Abs(AirGapPart(speedPu, torquePu, 1))), LeastFluxPu, 1);
        for (var i = 0; i < LossRounds; i++)
        {
            flux = Math.Clamp(Math.Sqrt(Math.Abs(AirGapPart(speedPu, torquePu, flux))), LeastFluxPu, 1);
        }

        var best = State(speedPu, torquePu, flux);
        if (best.VoltageV <= limitPu * Plate.RatedVoltageV * (1 + 1e-9))
        {
            return best;
        }

        // The least voltage stands where both axes share it; between there and the best flux it rises.
        var low = Math.Min(flux, Math.Sqrt(Math.Max(Math.Abs(torquePu) * Math.Max(linkageQ, 0) / linkageD, 1e-4)));
        var lowest = State(speedPu, torquePu, low);
        if (lowest.VoltageV > limitPu * Plate.RatedVoltageV)
        {
            return lowest with { WithinVoltage = false };
        }

        return State(speedPu, torquePu, FluxAtLimit(speedPu, torquePu, limitPu, low, flux));
    }

    /// <inheritdoc/>
    public double LargestTorquePu(double speedPu, double limitPu)
    {
        var flux = Math.Min(1, limitPu / Math.Max(Math.Abs(speedPu), 1e-9));
        return Plate.BreakdownTorquePu * flux * flux;
    }

    // A method of its own: what it captures is allocated only where the voltage is the limit.
    private double FluxAtLimit(double speed, double torque, double limitPu, double low, double high) =>
        Crossing.Between(low, high, flux => (State(speed, torque, flux).VoltageV / Plate.RatedVoltageV) - limitPu, VoltageWithinPu);

    private double AirGapPart(double speed, double torque, double flux) =>
        AirGapPu(speed, torque, flux, Math.Sqrt(Math.Abs(torque))) / ConvertedPu;

    private ElectricalState State(double speed, double torque, double flux)
    {
        var part = AirGapPart(speed, torque, flux) / flux;
        double d = direct * flux, q = quadrature * part;
        var current = Math.Sqrt((d * d) + (q * q));
        return new ElectricalState(
            Math.Abs(speed), flux, current * Plate.RatedCurrentA, q * Plate.RatedCurrentA,
            VoltagePu(Math.Abs(speed), d, q, linkageD * flux, linkageQ * part) * Plate.RatedVoltageV, 0, Math.Sqrt(Math.Abs(torque)), true);
    }
}
