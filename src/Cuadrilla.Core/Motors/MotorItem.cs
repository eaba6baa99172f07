using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Motors;

/// <summary>A motor of a catalogue.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Series">Series it belongs to.</param>
/// <param name="EfficiencyClass">IE class (IEC 60034-30-1).</param>
/// <param name="Poles">Number of poles.</param>
/// <param name="Frame">Frame designation: shaft height in mm and length letter.</param>
/// <param name="LengthMm">Length over the housing, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price in points of the catalogue's index.</param>
/// <param name="Plate">Data plate and what the loss model needs.</param>
/// <param name="OwnName">Name of a motor of the project's own; empty for the catalogue's.</param>
public sealed record MotorItem(
    string Id, string Series, string EfficiencyClass, int Poles, string Frame, double LengthMm, double MassKg, double PriceIndex,
    MotorPlate Plate,
    string OwnName = "")
{
    /// <summary>What kind of motor it is.</summary>
    public MotorTechnology Technology => Plate.Technology;

    /// <summary>Rated power in hp where it is rated so; 0 where in kW.</summary>
    public double RatedHp { get; init; }

    /// <summary>Shaft height, mm; 0 when the frame does not say it.</summary>
    public double ShaftHeightMm => ShaftHeightOf(Frame);

    /// <summary>Shaft height of a frame, mm: "160 L" (EN 50347) as it stands, "NEMA 256T" (MG 1 part 4) by its first digits in inches; 0
    /// where it says none.</summary>
    public static double ShaftHeightOf(string frame)
    {
        ArgumentNullException.ThrowIfNull(frame);
        var isNema = frame.StartsWith(Nema, StringComparison.Ordinal);
        var first = isNema ? frame[Nema.Length..].TrimEnd('T', 'S') : frame.Split(' ')[0];
        if (!double.TryParse(first, System.Globalization.CultureInfo.InvariantCulture, out var number))
        {
            return 0;
        }

        // Two digits are sixteenths of an inch; of three the first two are quarters.
        return !isNema ? number : number < 100 ? number / 16 * 25.4 : Math.Floor(number / 10) / 4 * 25.4;
    }

    private const string Nema = "NEMA ";
}

/// <summary>Kinds of motor.</summary>
public enum MotorTechnology
{
    /// <summary>Cage induction motor.</summary>
    CageInduction,

    /// <summary>Synchronous reluctance motor.</summary>
    SynchronousReluctance,

    /// <summary>Permanent-magnet synchronous motor.</summary>
    PermanentMagnet,

    /// <summary>Servo motor: permanent-magnet, made for high dynamics.</summary>
    Servo,

    /// <summary>Separately excited DC motor; current and voltage are the armature's.</summary>
    DcSeparatelyExcited,
}

/// <summary>Plate of a motor, as connected.</summary>
public sealed record MotorPlate
{
    /// <summary>Shaft power, W.</summary>
    [Above(0, 1e8)]
    public required double RatedPowerW { get; init; }

    /// <summary>Line-to-line voltage, V.</summary>
    [Range(1, 20_000)]
    public required double RatedVoltageV { get; init; }

    /// <summary>Frequency, Hz.</summary>
    [Range(1, 1000)]
    public required double RatedFrequencyHz { get; init; }

    /// <summary>Speed at rated load, rpm; of a cage motor below synchronous speed.</summary>
    [Range(1, 60_000)]
    public required double RatedSpeedRpm { get; init; }

    /// <summary>Line current, A.</summary>
    [Above(0, 1e5)]
    public required double RatedCurrentA { get; init; }

    /// <summary>Rated efficiency, 0 to 1.</summary>
    [Range(0.1, 0.999)]
    public required double Efficiency { get; init; }

    /// <summary>Rated power factor, 0 to 1.</summary>
    [Range(0.1, 1)]
    public required double PowerFactor { get; init; }

    /// <summary>Number of poles, even.</summary>
    [Range(2, 60)]
    public required int Poles { get; init; }

    /// <summary>Breakdown torque in parts of the rated torque, above 1.3.</summary>
    [Range(1.3, 10)]
    public required double BreakdownTorquePu { get; init; }

    /// <summary>Rotor inertia, kg·m².</summary>
    [Range(0, 1e6)]
    public required double InertiaKgM2 { get; init; }

    /// <summary>Mechanical speed limit, rpm.</summary>
    [Above(0, 60_000)]
    public required double MaxSpeedRpm { get; init; }

    /// <summary>How the losses that do not follow from slip divide.</summary>
    public required LossSplit Split { get; init; }

    /// <summary>Kind of motor.</summary>
    public MotorTechnology Technology { get; init; } = MotorTechnology.CageInduction;

    /// <summary>Voltage linked in delta, V; star is √3 times it. 0 when the link can't be changed.</summary>
    public double DeltaVoltageV { get; init; }

    /// <summary>Magnetising current in parts of the rated, measured or typical; 0: estimated from the plate (cage only).</summary>
    public double MagnetisingPu { get; init; }

    /// <summary>Line-to-line voltage of the magnets, V at 1000 rpm; 0 without magnets.</summary>
    public double BackEmfVPerKrpm { get; init; }

    /// <summary>Losses on a converter measured at seven points; absent for most motors.</summary>
    public SevenPointLosses? Measured { get; init; }

    /// <summary>d-axis over q-axis inductance of a motor with magnets: 1 with magnets on the surface, less with magnets inside.</summary>
    public double SaliencyPu { get; init; } = 1;

    /// <summary>Locked-rotor current at rated voltage, parts of the rated; 0 when not known or not for the line.</summary>
    public double LockedRotorCurrentPu { get; init; }

    /// <summary>Locked-rotor torque at rated voltage, parts of the rated; 0 likewise.</summary>
    public double LockedRotorTorquePu { get; init; }

    /// <summary>What its maker states it stands.</summary>
    public MotorLimits Limits { get; init; } = MotorLimits.None;

    /// <summary>True when the motor may stand across the line and what a start needs is known.</summary>
    public bool StartsOnTheLine => Technology == MotorTechnology.CageInduction && LockedRotorCurrentPu > 0 && LockedRotorTorquePu > 0;

    /// <summary>Rated torque, Nm.</summary>
    public double RatedTorqueNm => RatedPowerW / (2 * Math.PI * RatedSpeedRpm / 60);

    /// <summary>Synchronous speed at the rated frequency, rpm; rated speed where there is no slip.</summary>
    public double SynchronousSpeedRpm => Technology == MotorTechnology.CageInduction ? 120 * RatedFrequencyHz / Poles : RatedSpeedRpm;

    /// <summary>Rated slip, pu; 0 for any but a cage motor.</summary>
    public double RatedSlip => 1 - (RatedSpeedRpm / SynchronousSpeedRpm);

    /// <summary>True when magnets turn with the shaft: there is voltage at the terminals as soon as it turns.</summary>
    public bool HasMagnets => Technology is MotorTechnology.PermanentMagnet or MotorTechnology.Servo;

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
/// <param name="FieldPu">Excitation of a DC motor, constant.</param>
public sealed record LossSplit(
    [Range(0, 1)] double StatorPu,
    [Range(0, 1)] double IronPu,
    [Range(0, 1)] double FrictionPu,
    [Range(0, 1)] double StrayPu,
    [Range(0, 1)] double HysteresisPu,
    [Range(0, 5)] double FrictionExponent,
    [Range(0, 1)] double ConverterPu,
    [Range(0, 1)] double FieldPu = 0);
