using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>
/// A motor with magnets: λ_d = ψ + x_d·i_d, λ_q = x_q·i_q, torque (ψ + (x_d − x_q)·i_d)·i_q. The linkages of the rated point, the
/// magnets' voltage ψ and the saliency x_d/x_q fix i_d of the plate. Below the voltage limit i_d grows with the square of i_q, as the
/// least current for a torque does to first order; at the limit more current against the magnets holds the voltage, and where none does
/// the torque is not there.
/// </summary>
internal sealed class MagnetElectrics : SynchronousBase, IMotorElectrics
{
    private const int LossRounds = 4;
    private const int Halvings = 50;
    private const double MostDirectPu = 0.8;
    private const double MostFluxPu = 3;
    private const double MostCurrentPu = 20;
    private const double VoltageWithinPu = 1e-12;

    private readonly double direct;
    private readonly double quadrature;
    private readonly double magnetPu;
    private readonly double reactanceD;
    private readonly double reactanceQ;
    private readonly double linkagePu;
    private readonly double peakPu;

    public MagnetElectrics(MotorPlate plate, RatedLosses losses)
        : base(plate, losses)
    {
        direct = -DirectCurrent(plate);
        quadrature = Math.Sqrt(1 - (direct * direct));
        var (linkageD, linkageQ) = Linkages(direct);
        linkagePu = Math.Sqrt((linkageD * linkageD) + (linkageQ * linkageQ));
        reactanceQ = Math.Max(linkageQ / quadrature, 0.01);
        reactanceD = plate.SaliencyPu * reactanceQ;
        magnetPu = linkageD - (reactanceD * direct);

        // Largest current for a moment: that of the largest torque at standstill.
        peakPu = State(0, plate.BreakdownTorquePu, double.PositiveInfinity).CurrentA / plate.RatedCurrentA;
    }

    /// <inheritdoc/>
    public double MagnetisingA => -direct * Plate.RatedCurrentA;

    /// <inheritdoc/>
    public ElectricalState At(double speedPu, double torquePu, double limitPu) => State(Math.Abs(speedPu), torquePu, limitPu);

    /// <inheritdoc/>
    public double LargestTorquePu(double speedPu, double limitPu)
    {
        bool Gives(double torque) => State(Math.Abs(speedPu), torque, limitPu) is { WithinVoltage: true } s
            && s.CurrentA <= peakPu * Plate.RatedCurrentA * (1 + 1e-9);
        return Gives(Plate.BreakdownTorquePu)
            ? Plate.BreakdownTorquePu
            : Halving.Between(0, Plate.BreakdownTorquePu, Gives, Halvings, 1e-10).Low;
    }

    /// <summary>Voltage of the magnets at rated speed that a plate with a d-current and saliency implies, parts of the plate's
    /// voltage.</summary>
    internal static double ImpliedMagnetPu(MotorPlate plate, double directPu)
    {
        var model = new Implied(plate, new RatedLosses(plate));
        return model.MagnetPu(directPu);
    }

    // The d-current with which the plate agrees with the voltage of its magnets; without an agreement none.
    private double DirectCurrent(MotorPlate plate)
    {
        var wanted = plate.BackEmfVPerKrpm * plate.RatedSpeedRpm / 1000 / plate.RatedVoltageV;
        if (wanted <= 0)
        {
            return plate.MagnetisingPu;
        }

        double Miss(double m)
        {
            var (d, q) = Linkages(-m);
            return d + (plate.SaliencyPu * q / Math.Sqrt(1 - (m * m)) * m) - wanted;
        }

        if (Miss(0) >= 0)
        {
            return 0;
        }

        if (Miss(MostDirectPu) <= 0)
        {
            return MostDirectPu;
        }

        var (low, high) = Halving.Between(0, MostDirectPu, d => Miss(d) < 0, Halvings);
        return (low + high) / 2;
    }

    private ElectricalState State(double speed, double torque, double limitPu)
    {
        double flux = 1, current = Math.Min(Math.Abs(torque), MostCurrentPu);
        var found = default(ElectricalState);
        for (var i = 0; i < LossRounds; i++)
        {
            found = ForAirGap(speed, AirGapPu(speed, torque, flux, current), limitPu);
            // Far beyond its torque the losses say nothing any more: they are those of a bounded flux and current.
            (flux, current) = (Math.Min(found.FluxPu, MostFluxPu), Math.Min(found.CurrentA / Plate.RatedCurrentA, MostCurrentPu));
        }

        return found;
    }

    private ElectricalState ForAirGap(double speed, double airGap, double limitPu)
    {
        // Least current for the torque.
        var q = airGap / magnetPu;
        var before = double.NaN;
        for (var i = 0; i < 12 && q != before; i++)
        {
            (before, q) = (q, airGap / Factor(Least(q)));
        }

        var d = Least(q);
        if (Voltage(speed, d, airGap) <= limitPu * (1 + 1e-9))
        {
            return Of(speed, d, airGap, true);
        }

        var low = Math.Min(d, -magnetPu / Math.Max(reactanceD, 1e-3));
        if (Voltage(speed, low, airGap) > limitPu)
        {
            return Of(speed, low, airGap, false);
        }

        return Of(speed, AtLimit(speed, airGap, limitPu, low, d), airGap, true);
    }

    // A method of its own: what it captures is allocated only where the voltage is the limit.
    private double AtLimit(double speed, double airGap, double limitPu, double low, double high) =>
        Crossing.Between(low, high, d => Voltage(speed, d, airGap) - limitPu, VoltageWithinPu);

    // Never more than what takes the magnets' linkage away.
    private double Least(double q) => Math.Max(direct * q * q / (quadrature * quadrature), -magnetPu / Math.Max(reactanceD, 1e-3));

    // Torque for a q-current of one; reluctance helps where x_q is larger.
    private double Factor(double d) => Math.Max(magnetPu + ((reactanceD - reactanceQ) * d), 0.05);

    private double Voltage(double speed, double d, double airGap)
    {
        var q = airGap / Factor(d);
        return VoltagePu(speed, d, q, magnetPu + (reactanceD * d), reactanceQ * q);
    }

    private ElectricalState Of(double speed, double d, double airGap, bool within)
    {
        var q = airGap / Factor(d);
        double linkageD = magnetPu + (reactanceD * d), linkageQ = reactanceQ * q;
        var current = Math.Sqrt((d * d) + (q * q));
        return new ElectricalState(
            speed, Math.Sqrt((linkageD * linkageD) + (linkageQ * linkageQ)) / linkagePu, current * Plate.RatedCurrentA,
            q * Plate.RatedCurrentA,
            VoltagePu(speed, d, q, linkageD, linkageQ) * Plate.RatedVoltageV, 0, current, within);
    }

    private sealed class Implied(MotorPlate plate, RatedLosses losses) : SynchronousBase(plate, losses)
    {
        public double MagnetPu(double m)
        {
            var (d, q) = Linkages(-m);
            return d + (Plate.SaliencyPu * q / Math.Sqrt(1 - (m * m)) * m);
        }
    }
}
