using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What a stand-in's motor takes at a frequency and torque: its own model, with the truth's tolerances.</summary>
/// <param name="VoltageV">At its terminals, V.</param>
/// <param name="CurrentA">In its leads, A.</param>
/// <param name="InputW">Power into it, W.</param>
/// <param name="LossW">Losses, W.</param>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="Carries">It gives the torque.</param>
internal readonly record struct StandInPoint(double VoltageV, double CurrentA, double InputW, double LossW, double SpeedRpm, bool Carries);

/// <summary>The plate as it stands in the unit, typed right or wrong.</summary>
/// <param name="VoltageV">Rated voltage, V.</param>
/// <param name="CurrentA">Rated current, A.</param>
/// <param name="FrequencyHz">Rated frequency, Hz.</param>
/// <param name="SpeedRpm">Rated speed, rpm.</param>
/// <param name="PowerKw">Rated power, kW.</param>
internal sealed record TypedPlate(double VoltageV, double CurrentA, double FrequencyHz, double SpeedRpm, double PowerKw)
{
    /// <summary>What stands in the unit.</summary>
    public static TypedPlate Of(MotorPlate plate, StandInSettings settings, string key)
    {
        var right = new TypedPlate(plate.RatedVoltageV, plate.RatedCurrentA, plate.RatedFrequencyHz, plate.RatedSpeedRpm,
            plate.RatedPowerW / 1e3);
        return settings.Fault != HiddenFault.PlateTyped ? right : new SeededNumbers(settings.Seed, key + "/typed").OneOf(2) == 0
            ? right with { CurrentA = Turned(right.CurrentA) }
            : right with { CurrentA = right.CurrentA * Math.Sqrt(3), VoltageV = right.VoltageV / Math.Sqrt(3) };
    }

    // Two leading digits turned round; where that changes nothing, read from the other link.
    private static double Turned(double value)
    {
        var scale = Math.Pow(10, Math.Floor(Math.Log10(value)));
        var (first, second) = ((int)(value / scale), (int)(value / scale * 10) % 10);
        return first == second || second == 0 ? value * Math.Sqrt(3) : value + ((second - first) * scale) + ((first - second) * scale / 10);
    }
}

/// <summary>Electrical side of a stand-in.</summary>
internal sealed class StandInMotor(StepSource source, HiddenTruth truth, TypedPlate typed)
{
    // From this part of the rated torque a current is that of a loaded motor.
    private const double LoadedFrom = 0.3;
    private readonly MotorLossModel model = source.Model.Fitted!.Losses;
    private readonly bool isOnLine = source.Point.Converter.IsOnLine();

    /// <summary>State at a frequency and torque of the shaft.</summary>
    /// <param name="hz">Frequency, Hz, above 0.</param>
    /// <param name="torqueNm">Torque, Nm.</param>
    /// <param name="atFullFlux">As in an identification: by the plate alone, no flux saved.</param>
    public StandInPoint At(double hz, double torqueNm, bool atFullFlux = false)
    {
        var plate = model.Plate;
        if (plate.Technology != MotorTechnology.CageInduction)
        {
            var share = hz / plate.RatedFrequencyHz;
            var rpm = plate.RatedFrequencyHz > 0 ? share * plate.RatedSpeedRpm : plate.RatedSpeedRpm;
            var at = model.At(Math.Max(rpm, 1), torqueNm, source.Model.Feed);
            return new(at.VoltageV, at.CurrentA * truth.CurrentFactor, at.ShaftW + (at.LossW * truth.LossFactor),
                at.LossW * truth.LossFactor,
                rpm, at.WithinVoltage);
        }

        var volts = VoltageAt(hz, torqueNm, atFullFlux);
        var point = model.OnLine(hz, volts * truth.LinkVoltagePu, torqueNm);
        var synchronous = 120 * hz / plate.Poles;
        var slip = (synchronous - (point.SpeedPu * plate.RatedSpeedRpm)) * truth.SlipFactor;

        // The tolerance of the no-load current fades into that of the loaded one.
        var loading = Math.Clamp(Math.Abs(torqueNm) / (LoadedFrom * plate.RatedTorqueNm), 0, 1);
        var factor = truth.NoLoadFactor + ((truth.CurrentFactor - truth.NoLoadFactor) * loading);
        var lossW = point.LossW * truth.LossFactor;
        return new(volts, point.CurrentA * truth.LinkVoltagePu * factor, point.ShaftW + lossW, lossW,
            Math.Max(0, synchronous - slip), isOnLine ? point.WithinVoltage : Carries(synchronous, volts, torqueNm));
    }

    // A unit holds torque and flux together; with less voltage than it means to have, the breakdown torque falls with its square.
    private bool Carries(double synchronousRpm, double volts, double torqueNm)
    {
        var rpm = Math.Max(1, synchronousRpm * (1 - model.Plate.RatedSlip));
        var wanted = model.At(rpm, torqueNm, source.Model.Feed).VoltageV;
        var flux = wanted > 0 ? Math.Min(1, volts * truth.LinkVoltagePu / wanted) : 1;
        return torqueNm <= model.BreakdownTorqueNm(rpm) * flux * flux;
    }

    /// <summary>At a frequency with a torque that depends on the speed.</summary>
    public StandInPoint At(double hz, Func<double, double> torqueAtRpm)
    {
        if (model.Plate.Technology != MotorTechnology.CageInduction)
        {
            return At(hz, torqueAtRpm(hz / model.Plate.RatedFrequencyHz * model.Plate.RatedSpeedRpm));
        }

        var synchronous = 120 * hz / model.Plate.Poles;
        return At(hz, torqueAtRpm(At(hz, torqueAtRpm(synchronous * (1 - model.Plate.RatedSlip))).SpeedRpm));
    }

    // The line's; or what the unit gives for full flux, by the plate as typed, up to what it has.
    private double VoltageAt(double hz, double torqueNm, bool atFullFlux)
    {
        var (plate, supply) = (model.Plate, truth.SupplyPu[0]);
        if (isOnLine)
        {
            return supply * source.Bus.NominalVoltageV;
        }

        if (atFullFlux)
        {
            return Math.Min(source.Model.MotorSideV * supply, typed.VoltageV * hz / typed.FrequencyHz);
        }

        var rpm = 120 * hz / plate.Poles * (1 - (plate.RatedSlip * Math.Clamp(torqueNm / plate.RatedTorqueNm, 0, 1)));
        var typedPu = typed.VoltageV / typed.FrequencyHz / (plate.RatedVoltageV / plate.RatedFrequencyHz);
        return Math.Min(source.Model.MotorSideV * supply, typedPu * model.At(rpm, torqueNm, source.Model.Feed).VoltageV);
    }

    /// <summary>What the unit finds standing: resistance of a phase from two levels of direct current, leakage from a single-phase
    /// test.</summary>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    /// <param name="noise">Noise of its readings.</param>
    /// <param name="noisePct">Its standard deviation, %.</param>
    public (double Ohm, double? LeakagePu) Standing(double windingC, SeededNumbers noise, double noisePct)
    {
        // What the switches take is the same at both levels and falls out.
        const double SwitchesV = 1.1;
        var ohm = Enumerable.Range(0, 3).Average(i => truth.BetweenOhm(i, windingC)) / 2;
        var (low, high) = (0.3 * model.Plate.RatedCurrentA, 0.7 * model.Plate.RatedCurrentA);
        double Volts(double amps) => SwitchesV + (amps * ohm * noise.Noise(noisePct));
        var found = (Volts(high) - Volts(low)) / (high - low);
        if (truth.LeakagePu is not { } leakage || !model.Plate.StartsOnTheLine)
        {
            return (found, null);
        }

        // The rotor standing: its branch beside the magnetising one, so a little less than both leakages.
        var circuit = CageCircuitFit.Run(model.Plate).Circuit;
        var baseOhm = model.Plate.RatedVoltageV / Math.Sqrt(3) / model.Plate.RatedCurrentA;
        var fitted = circuit.StatorOhm.Imaginary + circuit.RunningOhm.Imaginary;
        var scale = leakage * baseOhm / fitted;
        var rotor = new System.Numerics.Complex(circuit.RunningOhm.Real, circuit.RunningOhm.Imaginary * scale);
        var magnetising = new System.Numerics.Complex(0, circuit.MagnetisingOhm);
        var whole = (rotor * magnetising / (rotor + magnetising))
            + new System.Numerics.Complex(0, circuit.StatorOhm.Imaginary * scale);
        return (found, whole.Imaginary / baseOhm * noise.Noise(noisePct));
    }
}
