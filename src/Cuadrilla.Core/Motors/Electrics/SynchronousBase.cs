namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>
/// What synchronous motors share, in per unit of plate voltage, current and speed: the flux linkages of the rated point follow from its
/// active and reactive power and its d-current, λ_d = (i_q·c + i_d·q)/i², λ_q = (i_q·q − i_d·c)/i², c the converted power and q the
/// reactive power (two-axis theory, v_d = r·i_d − n·λ_q, v_q = r·i_q + n·λ_d).
/// </summary>
internal abstract class SynchronousBase
{
    private const double LeastSpeedPu = 1e-3;

    protected SynchronousBase(MotorPlate plate, RatedLosses losses)
    {
        (Plate, Losses) = (plate, losses);
        ApparentVa = Math.Sqrt(3) * plate.RatedVoltageV * plate.RatedCurrentA;
        ResistancePu = losses.StatorW / ApparentVa;
        ConvertedPu = (plate.RatedPowerW + BehindW(1, 1, 1)) / ApparentVa;
        ReactivePu = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
    }

    protected MotorPlate Plate { get; }

    protected RatedLosses Losses { get; }

    protected double ApparentVa { get; }

    protected double ResistancePu { get; }

    /// <summary>Power converted at the rated point: shaft, iron, friction, stray.</summary>
    protected double ConvertedPu { get; }

    protected double ReactivePu { get; }

    /// <summary>Flux linkages of the rated point for a d-current.</summary>
    protected (double D, double Q) Linkages(double direct)
    {
        var quadrature = Math.Sqrt(1 - (direct * direct));
        return ((quadrature * ConvertedPu) + (direct * ReactivePu), (quadrature * ReactivePu) - (direct * ConvertedPu));
    }

    /// <summary>Losses that the converted power carries, W.</summary>
    protected double BehindW(double speedPu, double fluxPu, double currentPu) =>
        Losses.IronW(fluxPu, Math.Abs(speedPu)) + Losses.FrictionW(speedPu) + Losses.StrayW(currentPu, Math.Abs(speedPu));

    /// <summary>Converted power over speed: torque of the air gap, pu; iron and friction are carried by the current too.</summary>
    protected double AirGapPu(double speedPu, double torquePu, double fluxPu, double currentPu)
    {
        var speed = Math.Max(Math.Abs(speedPu), LeastSpeedPu);
        return ((Plate.RatedPowerW * torquePu) + (BehindW(speed, fluxPu, currentPu) / speed)) / ApparentVa;
    }

    /// <summary>Voltage of a state, pu.</summary>
    protected double VoltagePu(double speed, double direct, double quadrature, double linkageD, double linkageQ)
    {
        double d = (ResistancePu * direct) - (speed * linkageQ), q = (ResistancePu * quadrature) + (speed * linkageD);
        return Math.Sqrt((d * d) + (q * q));
    }
}
