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
/// all, so they never contradict each other, and the plate is met exactly at the rated point. See
/// <c>docs/methods/motor-losses.md</c>. Valid from standstill to about twice base speed, flux constant to base speed and
/// falling with frequency above; saturation and temperature are those of the rated point. Cage motors have slip and rotor
/// loss, synchronous ones neither; magnets keep their flux, a current against them takes the place of less flux above base
/// speed; a DC motor has armature, brushes within the armature's share, and a constant field loss.
/// </summary>
public sealed class MotorLossModel
{
    private readonly double ratedTorqueNm;
    private readonly double ratedRotorW;
    private readonly double otherW;
    private readonly double magnetisingA;
    private readonly double torqueCurrentA;
    private readonly double magnetisingVar;
    private readonly double leakageVar;
    private readonly double basePu;
    private readonly double phases;

    /// <summary>Builds the model.</summary>
    /// <param name="plate">The plate.</param>
    /// <param name="baseFrequencyPu">
    /// Frequency up to which the flux stays at its rated value, in parts of the rated: available over rated voltage. 1.73 for
    /// a motor linked in delta for 230 V on 400 V, 0.575 for one of 400 V on 230 V.
    /// </param>
    /// <exception cref="ArgumentException">The plate contradicts itself.</exception>
    public MotorLossModel(MotorPlate plate, double baseFrequencyPu = 1)
    {
        ArgumentNullException.ThrowIfNull(plate);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(baseFrequencyPu);
        basePu = baseFrequencyPu;
        if (plate.Technology == MotorTechnology.CageInduction && plate.RatedSlip is <= 0 or >= 0.3)
        {
            throw new ArgumentException(
                $"Rated speed {plate.RatedSpeedRpm} rpm must lie between 70 % and 100 % of the synchronous {plate.SynchronousSpeedRpm} rpm.", nameof(plate));
        }

        Plate = plate;
        ratedTorqueNm = plate.RatedTorqueNm;
        var slipRatio = plate.RatedSlip / (1 - plate.RatedSlip);
        var split = plate.Split;

        // Rotor copper = s/(1−s)·(shaft + friction), friction being a share of what the rotor leaves.
        ratedRotorW = slipRatio * (plate.RatedPowerW + (split.FrictionPu * plate.RatedLossW)) / (1 + (slipRatio * split.FrictionPu));
        otherW = plate.RatedLossW - ratedRotorW;
        if (otherW <= 0)
        {
            throw new ArgumentException($"The slip at {plate.RatedSpeedRpm} rpm alone exceeds the losses that the efficiency allows.", nameof(plate));
        }

        magnetisingA = MagnetisingCurrent(plate);
        torqueCurrentA = Math.Sqrt((plate.RatedCurrentA * plate.RatedCurrentA) - (magnetisingA * magnetisingA));
        phases = plate.Technology == MotorTechnology.DcSeparatelyExcited ? 1 : Math.Sqrt(3);
        var apparent = phases * plate.RatedVoltageV * plate.RatedCurrentA;
        var reactive = apparent * Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
        magnetisingVar = Math.Min(reactive, phases * plate.RatedVoltageV * magnetisingA);
        leakageVar = reactive - magnetisingVar;
    }

    /// <summary>The plate the model reproduces.</summary>
    public MotorPlate Plate { get; }

    /// <summary>Speed up to which the torque is not weakened, rpm.</summary>
    public double BaseSpeedRpm => Plate.RatedSpeedRpm * basePu;

    /// <summary>
    /// Magnetising current at full flux, A: the circle diagram with the breakdown torque as its crest,
    /// I_m = I_N·(sin φ − cos φ·(b − √(b²−1))), stator resistance neglected.
    /// </summary>
    public double MagnetisingCurrentA => magnetisingA;

    /// <summary>The operating point at a speed and torque.</summary>
    /// <param name="speedRpm">Shaft speed, rpm, ≥ 0.</param>
    /// <param name="torqueNm">Shaft torque, Nm; negative when braking.</param>
    /// <param name="feed">How the motor is fed.</param>
    public MotorPoint At(double speedRpm, double torqueNm, MotorFeed feed)
    {
        var torque = torqueNm / ratedTorqueNm;
        var speed = speedRpm / Plate.RatedSpeedRpm;
        // Braking near standstill the field turns backwards: losses go with the size of the frequency.
        var frequency = Math.Abs(FrequencyPu(speed, torque));
        var flux = FluxPu(frequency);
        var torqueCurrent = Plate.HasMagnets ? torque : torque / flux;
        var magnetising = Plate.HasMagnets ? magnetisingA + (Plate.RatedCurrentA * (1 - flux)) : magnetisingA * flux;
        var quadrature = torqueCurrentA * torqueCurrent;
        var current = Math.Sqrt((magnetising * magnetising) + (quadrature * quadrature));
        var currentRatio = current / Plate.RatedCurrentA;
        var split = Plate.Split;
        var stator = split.StatorPu * otherW * currentRatio * currentRatio;
        var rotor = ratedRotorW * torqueCurrent * torqueCurrent;
        var iron = split.IronPu * otherW * flux * flux * ((split.HysteresisPu * frequency) + ((1 - split.HysteresisPu) * frequency * frequency));
        var friction = split.FrictionPu * otherW * Math.Pow(speed, split.FrictionExponent);
        var stray = split.StrayPu * otherW * torqueCurrent * torqueCurrent * Math.Pow(frequency, 1.5);
        var field = split.FieldPu * otherW;
        var harmonic = feed == MotorFeed.Converter ? split.ConverterPu * Plate.RatedLossW : 0;
        var shaft = torqueNm * 2 * Math.PI * speedRpm / 60;
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
        var fundamentalInput = input - harmonic - field;
        var reactive = frequency * ((magnetisingVar * flux * flux) + (leakageVar * currentRatio * currentRatio));
        var apparent = Math.Sqrt((fundamentalInput * fundamentalInput) + (reactive * reactive));
        return new MotorPoint(
            shaft, input, stator, rotor + field, iron, friction, stray, harmonic, current, quadrature,
            current > 0 ? apparent / (phases * current) : 0,
            apparent > 0 ? fundamentalInput / apparent : 0,
            frequency * Plate.RatedFrequencyHz, flux, speed);
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

        var split = Plate.Split;
        var magnetising = magnetisingA * Math.Pow(flux, saturationExponent);
        var copper = split.StatorPu * otherW * ((magnetising * magnetising) - (magnetisingA * magnetisingA)) / (Plate.RatedCurrentA * Plate.RatedCurrentA);
        var iron = split.IronPu * otherW * ((flux * flux) - 1) * ((split.HysteresisPu * frequency) + ((1 - split.HysteresisPu) * frequency * frequency));
        return copper + iron;
    }

    /// <summary>
    /// Breakdown torque at a speed, Nm: constant to base speed, above it falling with the square of frequency, with magnets or
    /// a commutator in inverse proportion.
    /// </summary>
    public double BreakdownTorqueNm(double speedRpm)
    {
        var flux = FluxPu(FrequencyPu(speedRpm / Plate.RatedSpeedRpm, 1));
        var bySquare = Plate.Technology is MotorTechnology.CageInduction or MotorTechnology.SynchronousReluctance;
        return Plate.BreakdownTorquePu * ratedTorqueNm * (bySquare ? flux * flux : flux);
    }

    /// <summary>Torque at a speed when the current is given, Nm; 0 when the current does not even magnetise.</summary>
    public double TorqueAtCurrentNm(double speedRpm, double currentA)
    {
        var torque = 0.0;
        for (var i = 0; i < 8; i++)
        {
            var flux = FluxPu(FrequencyPu(speedRpm / Plate.RatedSpeedRpm, torque));
            var magnetising = Plate.HasMagnets ? magnetisingA + (Plate.RatedCurrentA * (1 - flux)) : magnetisingA * flux;
            var left = (currentA * currentA) - (magnetising * magnetising);
            torque = left > 0 ? Math.Sqrt(left) / torqueCurrentA * (Plate.HasMagnets ? 1 : flux) : 0;
        }

        return Math.Min(torque * ratedTorqueNm, BreakdownTorqueNm(speedRpm));
    }

    // Stator frequency = rotor's electrical speed + slip frequency, slip ∝ torque/flux². Above base speed flux = 1/f makes
    // it a quadratic.
    private double FrequencyPu(double speed, double torque)
    {
        var slip = Plate.RatedSlip;
        var constantFlux = ((1 - slip) * speed) + (slip * torque);
        if (constantFlux <= basePu || torque == 0 || slip == 0)
        {
            return constantFlux;
        }

        var weakened = slip * torque / (basePu * basePu);
        var root = 1 - (4 * weakened * (1 - slip) * speed);

        // Beyond the root there is no operating point: the torque is more than breakdown; the edge is returned.
        return root > 0 ? (1 - Math.Sqrt(root)) / (2 * weakened) : 1 / (2 * weakened);
    }

    private double FluxPu(double frequencyPu) => Math.Min(1, basePu / Math.Max(Math.Abs(frequencyPu), 1e-9));

    private static double MagnetisingCurrent(MotorPlate plate)
    {
        if (plate.MagnetisingPu > 0 || plate.Technology != MotorTechnology.CageInduction)
        {
            return plate.RatedCurrentA * plate.MagnetisingPu;
        }

        var b = plate.BreakdownTorquePu;
        var sine = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
        var share = sine - (plate.PowerFactor * (b - Math.Sqrt((b * b) - 1)));
        return plate.RatedCurrentA * Math.Max(share, 0.05);
    }
}

/// <summary>An operating point of a motor. Powers and losses in W, three-phase.</summary>
/// <param name="ShaftW">Mechanical power.</param>
/// <param name="InputW">Electrical power taken.</param>
/// <param name="StatorW">Stator copper loss.</param>
/// <param name="RotorW">Rotor copper loss; of a DC motor its field.</param>
/// <param name="IronW">Iron loss.</param>
/// <param name="FrictionW">Friction and windage.</param>
/// <param name="StrayW">Load-dependent stray loss.</param>
/// <param name="HarmonicW">Additional loss from converter supply.</param>
/// <param name="CurrentA">Line current, fundamental, A.</param>
/// <param name="TorqueCurrentA">Its torque-producing part, A.</param>
/// <param name="VoltageV">Line-to-line voltage at the terminals, fundamental, V.</param>
/// <param name="PowerFactor">Displacement power factor.</param>
/// <param name="FrequencyHz">Stator frequency, Hz.</param>
/// <param name="FluxPu">Flux in parts of the rated.</param>
/// <param name="SpeedPu">Speed in parts of the rated.</param>
public readonly record struct MotorPoint(
    double ShaftW,
    double InputW,
    double StatorW,
    double RotorW,
    double IronW,
    double FrictionW,
    double StrayW,
    double HarmonicW,
    double CurrentA,
    double TorqueCurrentA,
    double VoltageV,
    double PowerFactor,
    double FrequencyHz,
    double FluxPu,
    double SpeedPu)
{
    /// <summary>Sum of all losses, W.</summary>
    public double LossW => StatorW + RotorW + IronW + FrictionW + StrayW + HarmonicW;

    /// <summary>Efficiency when motoring; 0 without shaft power.</summary>
    public double Efficiency => ShaftW > 0 ? ShaftW / InputW : 0;
}
