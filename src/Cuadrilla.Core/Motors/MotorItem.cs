namespace Cuadrilla.Core.Motors;

/// <summary>A motor of a catalogue.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Series">Series it belongs to.</param>
/// <param name="EfficiencyClass">IE class (IEC 60034-30-1).</param>
/// <param name="Poles">Number of poles.</param>
/// <param name="Frame">Frame designation: shaft height in mm and length letter.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price in points of the catalogue's index.</param>
/// <param name="Plate">Data plate and what the loss model needs.</param>
public sealed record MotorItem(
    string Id, string Series, string EfficiencyClass, int Poles, string Frame, double MassKg, double PriceIndex, MotorPlate Plate);

/// <summary>Plate of a cage induction motor, as connected.</summary>
/// <param name="RatedPowerW">Shaft power, W.</param>
/// <param name="RatedVoltageV">Line-to-line voltage, V.</param>
/// <param name="RatedFrequencyHz">Frequency, Hz.</param>
/// <param name="RatedSpeedRpm">Speed at rated load, rpm; below synchronous speed.</param>
/// <param name="RatedCurrentA">Line current, A.</param>
/// <param name="Efficiency">Rated efficiency, 0 to 1.</param>
/// <param name="PowerFactor">Rated power factor, 0 to 1.</param>
/// <param name="Poles">Number of poles, even.</param>
/// <param name="BreakdownTorquePu">Breakdown torque in parts of the rated torque, above 1.3.</param>
/// <param name="InertiaKgM2">Rotor inertia, kg·m².</param>
/// <param name="MaxSpeedRpm">Mechanical speed limit, rpm.</param>
/// <param name="Split">How the losses that do not follow from slip divide.</param>
public sealed record MotorPlate(
    double RatedPowerW,
    double RatedVoltageV,
    double RatedFrequencyHz,
    double RatedSpeedRpm,
    double RatedCurrentA,
    double Efficiency,
    double PowerFactor,
    int Poles,
    double BreakdownTorquePu,
    double InertiaKgM2,
    double MaxSpeedRpm,
    LossSplit Split)
{
    /// <summary>Rated torque, Nm.</summary>
    public double RatedTorqueNm => RatedPowerW / (2 * Math.PI * RatedSpeedRpm / 60);

    /// <summary>Synchronous speed at the rated frequency, rpm.</summary>
    public double SynchronousSpeedRpm => 120 * RatedFrequencyHz / Poles;

    /// <summary>Rated slip, pu.</summary>
    public double RatedSlip => 1 - (RatedSpeedRpm / SynchronousSpeedRpm);

    /// <summary>Rated losses on a sinusoidal supply, W.</summary>
    public double RatedLossW => RatedPowerW * ((1 / Efficiency) - 1);
}

/// <summary>Division of the rated losses other than the rotor's, in parts of their sum, and how they scale.</summary>
/// <param name="StatorPu">Stator copper.</param>
/// <param name="IronPu">Iron.</param>
/// <param name="FrictionPu">Friction and windage.</param>
/// <param name="StrayPu">Load-dependent stray.</param>
/// <param name="HysteresisPu">Share of hysteresis in the iron loss.</param>
/// <param name="FrictionExponent">Exponent of speed in the friction loss, 1 to 3.</param>
/// <param name="ConverterPu">Additional loss when fed by a two-level converter, in parts of the rated loss.</param>
public sealed record LossSplit(
    double StatorPu, double IronPu, double FrictionPu, double StrayPu, double HysteresisPu, double FrictionExponent, double ConverterPu);
