using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>A drive point whose load and motor are known: what the checks of a motor rest on.</summary>
public class LoadedMotor : DrivePointModel
{
    // Checks, proposals and the plant's cables all ask for it, at each edit again.
    private readonly Lazy<(double CurrentA, double SpeedRpm, string Where, double LowPu)> continuousDemand;
    private readonly Lazy<IReadOnlyList<ShaftPoint>> steadyPoints;
    private readonly Lazy<IReadOnlyList<RampShaft>> rampShafts;

    internal LoadedMotor(DrivePointModel known, LoadModel load, FittedMotor fitted)
        : base(known)
    {
        (Load, Fitted) = (load, fitted);
        continuousDemand = new(() => CurrentDemand.OfMotor(this, Motor));
        steadyPoints = new(() => [.. AllSteadyPoints()]);
        rampShafts = new(() => CurrentDemand.RampShafts(this));
    }

    /// <summary>The same with more known of the rest.</summary>
    private protected LoadedMotor(LoadedMotor known)
        : this(known, known.Load, known.Fitted)
    {
    }

    /// <summary>Load model.</summary>
    public override LoadModel Load { get; }

    /// <summary>The motor in its place.</summary>
    public override FittedMotor Fitted { get; }

    /// <summary>Choice of the motor.</summary>
    public MotorChoice.FromCatalogue MotorChoice => Fitted.Choice;

    /// <summary>Catalogue item of the motor.</summary>
    public MotorItem MotorItem => Fitted.Item;

    /// <summary>The motor's plate as linked and fed.</summary>
    public ConnectedMotor Connected => Fitted.Connected;

    /// <summary>Loss model of the motor.</summary>
    public MotorLossModel Motor => Fitted.Losses;

    /// <summary>The current that a converter has to give for ever, A; see <see cref="CurrentDemand"/>.</summary>
    internal (double CurrentA, double SpeedRpm, string Where, double LowPu) ContinuousDemand => continuousDemand.Value;

    /// <summary>Thermal budget of the motor.</summary>
    public ThermalBudget Budget => Fitted.Budget;

    /// <summary>The way of the voltage to the motor.</summary>
    public OutputVoltage Voltage => Fitted.Voltage;

    /// <summary>Time the warm rotor stands locked at full voltage, s, as its maker states it.</summary>
    public Given StallTimeS => Connected.Plate.Limits.StallTimeS;

    /// <inheritdoc/>
    public override IEnumerable<ShaftPoint> SteadyPoints() => steadyPoints.Value;

    /// <summary>What the start ramp asks of the shaft, whatever the motor.</summary>
    internal IReadOnlyList<RampShaft> RampShafts => rampShafts.Value;

    private IEnumerable<ShaftPoint> AllSteadyPoints() => Starter is null || Load.Cycle is not null
        ? base.SteadyPoints()
        : [.. Load.Levels().Select(l => LineShaft.Of(this, l).Shaft),
            .. Load.Alone(LineShaft.Of(this, 1).Shaft.SpeedRpm / Load.RatedSpeedRpm) is { } alone ? [alone] : Array.Empty<ShaftPoint>()];
}

/// <summary>A loaded motor whose cables are known too: what a start across the line asks for.</summary>
public class CabledMotor : LoadedMotor
{
    internal CabledMotor(LoadedMotor known, Complex cableOhm, Complex feederOhm, Complex wholeFeederOhm)
        : base(known) => (CableOhm, FeederOhm, WholeFeederOhm) = (cableOhm, feederOhm, wholeFeederOhm);

    /// <summary>The same with more known of the rest.</summary>
    private protected CabledMotor(CabledMotor known)
        : this(known, known.CableOhm, known.FeederOhm, known.WholeFeederOhm)
    {
    }

    /// <summary>Motor cable, ohm per phase.</summary>
    public Complex CableOhm { get; }

    /// <summary>Feeder, ohm per phase, as one motor sees it.</summary>
    public Complex FeederOhm { get; }

    /// <summary>Feeder of the converter, ohm per phase.</summary>
    public Complex WholeFeederOhm { get; }

    /// <summary>The chain with any motor and converter in this place.</summary>
    internal OperatingPoint PointOf(ShaftPoint shaft, MotorLossModel motor, ConverterAtSite converter) =>
        OperatingPoint.Of(shaft, motor, converter, Filter, CableOhm, FeederOhm);

    /// <summary>The same with the motor's point already known.</summary>
    internal OperatingPoint PointOf(ShaftPoint shaft, MotorPoint motorPoint, MotorLossModel motor, ConverterAtSite converter) =>
        OperatingPoint.Of(shaft, motorPoint, motor, converter, Filter, CableOhm, FeederOhm);

    /// <summary>The chain of the motor on the line.</summary>
    internal OperatingPoint OnLine(ShaftPoint shaft, in MotorPoint motor, double bypassW) =>
        OperatingPoint.OnLine(shaft, motor, bypassW, CableOhm, FeederOhm);
}
