using Cuadrilla.Core.Motors.Electrics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Motors;

/// <summary>How a motor is fed.</summary>
public enum MotorFeed
{
    /// <summary>Sinusoidal line voltage.</summary>
    Line,

    /// <summary>Two-level converter.</summary>
    Converter,
}

/// <summary>
/// Losses, current, voltage and power factor of a motor at any speed and torque, from its plate alone. One model gives them
/// all, so they never contradict each other, and the plate is met exactly at the rated point. Voltage is a limit: at the
/// highest voltage of supply or converter the flux gives way, and current rises. See <c>docs/methods/motor-losses.md</c>. Valid from
/// standstill to about twice base speed; temperature is that of the rated point.
/// </summary>
public sealed class MotorLossModel
{
    private const double SpeedWithin = 1e-12;

    // Nearer to the limit a state may rest on it.
    private const double BelowLimit = 1e-6;

    private readonly double ratedTorqueNm;
    private readonly RatedLosses losses;
    private readonly IMotorElectrics electrics;
    private readonly double basePu;
    private readonly double leastFlux;
    private readonly double phases;

    /// <summary>Builds the model.</summary>
    /// <param name="plate">The plate.</param>
    /// <param name="baseFrequencyPu">Highest voltage at the terminals in parts of the plate's, which is the frequency up to which the
    /// flux stays at its rated value: 1.73 for a motor linked in delta for 230 V on 400 V, 0.575 for one of 400 V on 230 V.</param>
    /// <param name="leastFluxPu">Flux that the converter keeps at light load, parts of the rated; 1 when it keeps it whole. Cage motors
    /// only.</param>
    /// <exception cref="ArgumentException">The plate contradicts itself.</exception>
    public MotorLossModel(MotorPlate plate, double baseFrequencyPu = 1, double leastFluxPu = 1)
    {
        ArgumentNullException.ThrowIfNull(plate);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(baseFrequencyPu);
        (basePu, leastFlux) = (baseFrequencyPu, leastFluxPu);
        Plate = plate;
        ratedTorqueNm = plate.RatedTorqueNm;
        losses = new RatedLosses(plate);
        electrics = plate.Technology switch
        {
            MotorTechnology.CageInduction => new CageElectrics(plate, losses, leastFluxPu),
            MotorTechnology.SynchronousReluctance => new ReluctanceElectrics(plate, losses),
            MotorTechnology.PermanentMagnet or MotorTechnology.Servo => new MagnetElectrics(plate, losses),
            MotorTechnology.DcSeparatelyExcited => new DcElectrics(plate, losses),
            _ => throw new InvalidOperationException("Unknown motor technology."),
        };
        phases = plate.Technology == MotorTechnology.DcSeparatelyExcited ? 1 : Math.Sqrt(3);
    }

    /// <summary>The plate the model reproduces.</summary>
    public MotorPlate Plate { get; }

    /// <summary>Speed up to which the torque is not weakened, rpm.</summary>
    public double BaseSpeedRpm => Plate.RatedSpeedRpm * basePu;

    /// <summary>Magnetising current at full flux, A; of a motor with magnets the d-current of its plate.</summary>
    public double MagnetisingCurrentA => electrics.MagnetisingA;

    /// <summary>The operating point at a speed and torque, voltage no higher than its limit.</summary>
    /// <param name="speedRpm">Shaft speed, rpm, ≥ 0.</param>
    /// <param name="torqueNm">Shaft torque, Nm; negative when braking.</param>
    /// <param name="feed">Whether the supply adds losses.</param>
    public MotorPoint At(double speedRpm, double torqueNm, MotorFeed feed)
    {
        double speed = speedRpm / Plate.RatedSpeedRpm, torque = torqueNm / ratedTorqueNm;
        return Point(electrics.At(speed, torque, basePu), speed, torque, feed);
    }

    /// <summary>Line current at a speed and torque, A, and stator frequency, Hz: what <see cref="At"/> says of them, without the
    /// losses.</summary>
    /// <param name="speedRpm">Shaft speed, rpm, ≥ 0.</param>
    /// <param name="torqueNm">Shaft torque, Nm; negative when braking.</param>
    public (double CurrentA, double FrequencyHz) CurrentAt(double speedRpm, double torqueNm)
    {
        var state = StateAt(speedRpm, torqueNm);
        return (state.CurrentA, state.FrequencyPu * Plate.RatedFrequencyHz);
    }

    /// <summary>Electrical state at a speed in rpm and torque in Nm, voltage no higher than its limit.</summary>
    internal ElectricalState StateAt(double speedRpm, double torqueNm) =>
        electrics.At(speedRpm / Plate.RatedSpeedRpm, torqueNm / ratedTorqueNm, basePu);

    /// <summary>True for the same motor, whatever its voltage limit.</summary>
    internal bool IsLike(MotorLossModel other) => leastFlux == other.leastFlux && Plate == other.Plate;

    /// <summary>True where a state of the same motor with another limit is below both limits: then it is the same here.</summary>
    /// <param name="state">Its state there.</param>
    /// <param name="other">The motor with the other limit.</param>
    internal bool IsSameHere(in ElectricalState state, MotorLossModel other) => state.WithinVoltage && state.VoltageV
        <= (1 - BelowLimit) * Math.Min(basePu, other.basePu) * Plate.RatedVoltageV;

    /// <summary>
    /// The operating point of a cage motor on a line: frequency and voltage are the line's, the speed follows from the torque. Where the
    /// torque is more than the flux carries, the point at breakdown is given, and <see cref="MotorPoint.WithinVoltage"/> is false.
    /// </summary>
    /// <param name="frequencyHz">Frequency of the line, Hz.</param>
    /// <param name="lineVoltageV">Its voltage, V.</param>
    /// <param name="torqueNm">Shaft torque, Nm.</param>
    /// <exception cref="InvalidOperationException">It is no cage motor.</exception>
    public MotorPoint OnLine(double frequencyHz, double lineVoltageV, double torqueNm)
    {
        if (electrics is not CageElectrics cage)
        {
            throw new InvalidOperationException("Only a cage motor runs on the line.");
        }

        double frequency = frequencyHz / Plate.RatedFrequencyHz, torque = torqueNm / ratedTorqueNm;
        var state = cage.OnLine(frequency, lineVoltageV / Plate.RatedVoltageV, torque);
        return Point(state, cage.SpeedOnLinePu(frequency, torque, state.FluxPu), torque, MotorFeed.Line);
    }

    /// <summary>The operating point on a line of a machine whose torque depends on its speed: where both meet.</summary>
    /// <param name="frequencyHz">Frequency of the line, Hz.</param>
    /// <param name="lineVoltageV">Its voltage, V.</param>
    /// <param name="torqueAtRpm">Torque that the machine asks for over speed in rpm, Nm.</param>
    public MotorPoint OnLine(double frequencyHz, double lineVoltageV, Func<double, double> torqueAtRpm)
    {
        ArgumentNullException.ThrowIfNull(torqueAtRpm);
        // g(n) = n − speed with the torque that n asks for rises: it crosses zero between half of the synchronous speed and a little
        // above it.
        var synchronous = 120 * frequencyHz / Plate.Poles;
        var meeting = Crossing.Between(0.5 * synchronous, 1.2 * synchronous,
            rpm => rpm - (OnLine(frequencyHz, lineVoltageV, torqueAtRpm(rpm)).SpeedPu * Plate.RatedSpeedRpm), SpeedWithin * synchronous);
        return OnLine(frequencyHz, lineVoltageV, torqueAtRpm(meeting));
    }

    /// <summary>Output frequency of a point in parts of the rated; of a DC motor its speed, since its converter has none.</summary>
    public double FrequencyShare(MotorPoint point) =>
        Plate.RatedFrequencyHz > 0 ? point.FrequencyHz / Plate.RatedFrequencyHz : point.SpeedPu;

    /// <summary>
    /// What a cage motor loses more at a raised flux, W: iron with its square, stator copper by the magnetising current, which
    /// saturation raises with a power of the flux. The output voltage bounds the flux: above base speed over flux nothing is left.
    /// </summary>
    /// <param name="speedRpm">Speed, rpm.</param>
    /// <param name="fluxPu">Flux wanted, parts of the rated, above 1.</param>
    /// <param name="saturationExponent">Power with which the magnetising current rises.</param>
    public double ExtraFluxLossW(double speedRpm, double fluxPu, double saturationExponent)
    {
        var frequency = Math.Max(speedRpm / Plate.RatedSpeedRpm * (1 - Plate.RatedSlip), 1e-9);
        var flux = Math.Min(fluxPu, basePu / frequency);
        if (flux <= 1 || Plate.Technology != MotorTechnology.CageInduction)
        {
            return 0;
        }

        var magnetising = MagnetisingCurrentA * Math.Pow(flux, saturationExponent);
        var copper = losses.StatorW * ((magnetising * magnetising) - (MagnetisingCurrentA * MagnetisingCurrentA))
            / (Plate.RatedCurrentA * Plate.RatedCurrentA);
        return copper + losses.IronW(flux, frequency) - losses.IronW(1, frequency);
    }

    /// <summary>
    /// Largest torque for a moment at a speed, Nm: of cage and reluctance motors constant to base speed and falling with the square of
    /// frequency above; with magnets what voltage and the current of the largest torque leave; of a DC motor in inverse proportion.
    /// </summary>
    public double BreakdownTorqueNm(double speedRpm) => ratedTorqueNm * electrics.LargestTorquePu(speedRpm / Plate.RatedSpeedRpm, basePu);

    /// <summary>Torque at a speed when the current is given, Nm; 0 when the current does not even magnetise.</summary>
    public double TorqueAtCurrentNm(double speedRpm, double currentA)
    {
        var speed = speedRpm / Plate.RatedSpeedRpm;
        var largest = electrics.LargestTorquePu(speed, basePu);
        return largest <= 0
            ? 0
            : ratedTorqueNm * SquareSecant.Solve(torque => Math.Pow(electrics.At(speed, torque, basePu).CurrentA, 2), currentA * currentA,
                largest);
    }

    private MotorPoint Point(in ElectricalState state, double speed, double torque, MotorFeed feed)
    {
        var frequency = state.FrequencyPu;
        var currentPu = state.CurrentA / Plate.RatedCurrentA;
        var stator = losses.StatorW * currentPu * currentPu;
        var rotor = losses.RotorW * state.RotorPu * state.RotorPu;
        var iron = losses.IronW(state.FluxPu, frequency);
        var friction = losses.FrictionW(speed);
        var stray = losses.StrayW(state.StrayPu, frequency);
        var field = losses.FieldW;
        var harmonic = feed == MotorFeed.Converter ? Plate.Split.ConverterPu * Plate.RatedLossW : 0;
        var shaft = torque * speed * Plate.RatedPowerW;
        if (feed == MotorFeed.Converter && Plate.Measured is { } measured)
        {
            // Measured losses decide the sum; the model still says how it divides. Far outside the measured points the
            // polynomial may dive: it is held at a fifth of the model.
            var modelled = stator + rotor + iron + friction + stray + field + harmonic;
            var scale = Math.Max(measured.At(speed, torque), modelled / 5) / modelled;
            (stator, rotor, iron, friction, stray, field, harmonic) =
                (stator * scale, rotor * scale, iron * scale, friction * scale, stray * scale, field * scale, harmonic * scale);
        }

        var input = shaft + stator + rotor + field + iron + friction + stray + harmonic;
        var apparent = phases * state.VoltageV * state.CurrentA;
        return new MotorPoint
        {
            ShaftW = shaft,
            InputW = input,
            StatorW = stator,
            RotorW = rotor + field,
            IronW = iron,
            FrictionW = friction,
            StrayW = stray,
            HarmonicW = harmonic,
            CurrentA = state.CurrentA,
            TorqueCurrentA = state.TorqueCurrentA,
            VoltageV = state.VoltageV,
            PowerFactor = apparent > 0 ? Math.Clamp((input - harmonic - field) / apparent, -1, 1) : 0,
            FrequencyHz = frequency * Plate.RatedFrequencyHz,
            FluxPu = state.FluxPu,
            SpeedPu = speed,
            WithinVoltage = state.WithinVoltage,
        };
    }
}

/// <summary>An operating point of a motor. Powers and losses in W, three-phase.</summary>
public readonly record struct MotorPoint
{
    /// <summary>Mechanical power.</summary>
    public required double ShaftW { get; init; }

    /// <summary>Electrical power taken.</summary>
    public required double InputW { get; init; }

    /// <summary>Stator copper loss.</summary>
    public required double StatorW { get; init; }

    /// <summary>Rotor copper loss; of a DC motor its field.</summary>
    public required double RotorW { get; init; }

    /// <summary>Iron loss.</summary>
    public required double IronW { get; init; }

    /// <summary>Friction and windage.</summary>
    public required double FrictionW { get; init; }

    /// <summary>Load-dependent stray loss.</summary>
    public required double StrayW { get; init; }

    /// <summary>Additional loss from converter supply.</summary>
    public required double HarmonicW { get; init; }

    /// <summary>Line current, fundamental, A.</summary>
    public required double CurrentA { get; init; }

    /// <summary>Its torque-producing part, A.</summary>
    public required double TorqueCurrentA { get; init; }

    /// <summary>Line-to-line voltage at the terminals, fundamental, V.</summary>
    public required double VoltageV { get; init; }

    /// <summary>Displacement power factor.</summary>
    public required double PowerFactor { get; init; }

    /// <summary>Stator frequency, Hz.</summary>
    public required double FrequencyHz { get; init; }

    /// <summary>Flux in parts of the rated.</summary>
    public required double FluxPu { get; init; }

    /// <summary>Speed in parts of the rated.</summary>
    public required double SpeedPu { get; init; }

    /// <summary>False where no state keeps the voltage within its limit: more torque than this speed allows.</summary>
    public required bool WithinVoltage { get; init; }

    /// <summary>Sum of all losses, W.</summary>
    public double LossW => StatorW + RotorW + IronW + FrictionW + StrayW + HarmonicW;

    /// <summary>Efficiency when motoring; 0 without shaft power.</summary>
    public double Efficiency => ShaftW > 0 ? ShaftW / InputW : 0;
}
