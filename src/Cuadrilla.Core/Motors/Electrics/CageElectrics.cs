using System.Numerics;

namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>
/// A cage motor: stator frequency = (1 − s_N)·n + s_N·T/φ²; active current from the power that leaves the winding, I_a = P/(√3·E), E =
/// f·φ·E_N; magnetising current I_m·φ, above rated flux with its saturation; voltage |E + √3·(R + j·f·X)·(I_a − j·I_m)|. E_N and X close
/// the plate. Below the voltage limit the flux is the rated one; at the limit, and on the line, it is what the voltage leaves.
/// </summary>
internal sealed class CageElectrics : IMotorElectrics
{
    private const double Root3 = 1.7320508075688772;
    private const int MostRounds = 60;

    private readonly MotorPlate plate;
    private readonly RatedLosses losses;
    private readonly double leastFlux;
    private readonly double slip;
    private readonly double emfV;
    private readonly double torqueCurrentA;
    private readonly double ohm;
    private readonly double reactanceOhm;

    public CageElectrics(MotorPlate plate, RatedLosses losses, double leastFluxPu)
    {
        (this.plate, this.losses, leastFlux) = (plate, losses, leastFluxPu);
        slip = plate.RatedSlip;
        var lossesBehindW = losses.IronW(1, 1) + losses.FrictionW(1) + losses.StrayW(1, 1);
        var convertedW = plate.RatedPowerW + losses.RotorW + lossesBehindW;
        var reactive = Root3 * plate.RatedVoltageV * plate.RatedCurrentA * Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));

        // No more magnetising current than the plate's reactive power leaves without any leakage.
        var most = plate.RatedCurrentA * reactive / Math.Sqrt((reactive * reactive) + (convertedW * convertedW));
        MagnetisingA = Math.Min(Magnetising(plate), most);
        var activeA = Math.Sqrt((plate.RatedCurrentA * plate.RatedCurrentA) - (MagnetisingA * MagnetisingA));
        emfV = convertedW / (Root3 * activeA);
        torqueCurrentA = (plate.RatedPowerW + losses.RotorW) / (Root3 * emfV);
        var square = 3 * plate.RatedCurrentA * plate.RatedCurrentA;
        ohm = losses.StatorW / square;
        reactanceOhm = Math.Max(0, (reactive - (Root3 * emfV * MagnetisingA)) / square);
    }

    /// <inheritdoc/>
    public double MagnetisingA { get; }

    /// <inheritdoc/>
    public ElectricalState At(double speedPu, double torquePu, double limitPu)
    {
        // Below half torque a converter may lower the flux with the root of the torque: currents fall in proportion, slip stays. Nearer
        // to full load that would cost more copper than it saves iron.
        var wanted = Math.Clamp(Math.Sqrt(2 * Math.Abs(torquePu)), leastFlux, 1);
        var rated = State(Frequency(speedPu, torquePu, wanted), speedPu, torquePu, wanted);
        return rated.VoltageV <= limitPu * plate.RatedVoltageV * (1 + 1e-9)
            ? rated
            : AtVoltage(speedPu, false, torquePu, limitPu);
    }

    /// <summary>On a line of given frequency and voltage: the speed follows from the torque.</summary>
    public ElectricalState OnLine(double frequencyPu, double voltagePu, double torquePu) =>
        AtVoltage(frequencyPu, true, torquePu, voltagePu);

    /// <summary>Speed at a frequency, torque and flux, parts of the rated.</summary>
    public double SpeedOnLinePu(double frequencyPu, double torquePu, double fluxPu) =>
        (frequencyPu - (slip * torquePu / (fluxPu * fluxPu))) / (1 - slip);

    /// <inheritdoc/>
    public double LargestTorquePu(double speedPu, double limitPu)
    {
        // Flux by the frequency at rated slip: constant to base speed, above it falling.
        var flux = Math.Min(1, limitPu / Math.Max(((1 - slip) * Math.Abs(speedPu)) + slip, 1e-9));
        return plate.BreakdownTorquePu * flux * flux;
    }

    // Flux at which the terminals stand at a voltage: secant on the logarithms, which are nearly straight. On the line its frequency is
    // given and the speed follows, behind a converter the other way round.
    private ElectricalState AtVoltage(double givenPu, bool onLine, double torquePu, double voltagePu)
    {
        var target = voltagePu * plate.RatedVoltageV;
        var least = Math.Clamp(Math.Sqrt(Math.Abs(torquePu) / plate.BreakdownTorquePu), 0.02, MostFluxPu);
        ElectricalState Of(double flux) => onLine
            ? State(givenPu, SpeedOnLinePu(givenPu, torquePu, flux), torquePu, flux)
            : State(Frequency(givenPu, torquePu, flux), givenPu, torquePu, flux);
        double Miss(ElectricalState s) => Math.Log(Math.Max(s.VoltageV, 1e-12) / target);
        var (flux, state) = (Math.Max(1, least), Of(Math.Max(1, least)));
        var miss = Miss(state);
        var slope = 1.0;
        for (var round = 0; round < MostRounds && Math.Abs(miss) > 1e-11; round++)
        {
            var next = Math.Clamp(flux * Math.Exp(Math.Clamp(-miss / slope, -0.5, 0.5)), least, MostFluxPu);
            if (next == flux)
            {
                // More torque than the flux carries, or more voltage than any iron does.
                return state with { WithinVoltage = false };
            }

            var there = Of(next);
            var found = Miss(there);
            slope = Math.Clamp((found - miss) / Math.Log(next / flux), 0.2, 5);
            (flux, state, miss) = (next, there, found);
        }

        return state with { WithinVoltage = Math.Abs(miss) < 1e-6 };
    }

    private ElectricalState State(double frequency, double speed, double torque, double flux)
    {
        var f = Math.Abs(frequency);
        var rotor = torque / flux;
        var behindW = losses.IronW(flux, f) + losses.FrictionW(speed) + losses.StrayW(rotor, f);

        // Braking near standstill the field hardly turns: the losses' share of the current is reckoned at the shaft's own frequency then.
        var share = Math.Max(f, Math.Max((1 - slip) * Math.Abs(speed), 1e-6));
        var active = (torqueCurrentA * rotor) + (behindW / (Root3 * emfV * flux * share));
        var magnetising = MagnetisingA * (flux > 1 ? Math.Pow(flux, SaturationExponent) : flux);
        var drop = new Complex(ohm, f * reactanceOhm) * new Complex(active, -magnetising) * Root3;
        return new ElectricalState(
            f, flux, Math.Sqrt((active * active) + (magnetising * magnetising)), active, (drop + (f * flux * emfV)).Magnitude, rotor,
            rotor, true);
    }

    // Stator frequency = rotor's electrical speed + slip frequency.
    private double Frequency(double speed, double torque, double flux) => ((1 - slip) * speed) + (slip * torque / (flux * flux));

    /// <summary>Power with which the magnetising current rises above rated flux: 1.7 times at 120 % (practice).</summary>
    private const double SaturationExponent = 2.9;

    // Beyond it no iron is described.
    private const double MostFluxPu = 2.5;

    /// <summary>
    /// The circle diagram with the breakdown torque as its crest, I_m = I_N·(sin φ − cos φ·(b − √(b²−1))), stator resistance neglected.
    /// </summary>
    private static double Magnetising(MotorPlate plate)
    {
        if (plate.MagnetisingPu > 0)
        {
            return plate.RatedCurrentA * plate.MagnetisingPu;
        }

        var b = plate.BreakdownTorquePu;
        var sine = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
        return plate.RatedCurrentA * Math.Max(sine - (plate.PowerFactor * (b - Math.Sqrt((b * b) - 1))), 0.05);
    }
}
