using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>What asks for a section.</summary>
public enum CableRule
{
    /// <summary>Smallest section that is made.</summary>
    Least,

    /// <summary>Current alone.</summary>
    Current,

    /// <summary>Current beside other circuits.</summary>
    Grouping,

    /// <summary>Voltage lost in service.</summary>
    Drop,

    /// <summary>Voltage lost in a start.</summary>
    Start,

    /// <summary>Heat of a short circuit.</summary>
    ShortCircuit,

    /// <summary>Disconnection of a fault to earth.</summary>
    Disconnection,
}

/// <summary>A current that loses voltage on the way to its load.</summary>
/// <param name="CurrentA">Current, A.</param>
/// <param name="PowerFactor">Its power factor.</param>
/// <param name="BeforePct">Voltage lost ahead of the cable, % of nominal.</param>
/// <param name="LimitPct">What may be lost up to its end, % of nominal.</param>
internal sealed record DropTask(double CurrentA, double PowerFactor, double BeforePct, double LimitPct);

/// <summary>A fault to earth that has to be disconnected.</summary>
/// <param name="PhaseVoltageV">Voltage to earth, V.</param>
/// <param name="VoltageFactor">c of the least current.</param>
/// <param name="SourceOhm">Loop up to the cable, Ω.</param>
/// <param name="TripA">Current that the device surely clears in time, A.</param>
/// <param name="TimeS">That time, s.</param>
internal sealed record LoopTask(double PhaseVoltageV, double VoltageFactor, Complex SourceOhm, double TripA, double TimeS);

/// <summary>A short circuit that the cable has to bear until its device clears it.</summary>
/// <param name="Device">What clears it.</param>
/// <param name="NominalVoltageV">Voltage between phases, V.</param>
/// <param name="VoltageFactor">c of the least current.</param>
/// <param name="LargestA">Largest current where the cable begins, A.</param>
/// <param name="LeastOhm">Impedance up to the cable at its greatest, Ω.</param>
/// <param name="LoopOhm">Loop up to the cable at its greatest, Ω; null where not known.</param>
internal sealed record ShortCircuitTask(DeviceGates Device, double NominalVoltageV, double VoltageFactor, double LargestA, Complex LeastOhm,
    Complex? LoopOhm);

/// <summary>A cable as it is laid, and all that is asked of it. What is null is not asked, or not known yet.</summary>
internal sealed record CableTask
{
    /// <summary>Length, m.</summary>
    public required double LengthM { get; init; }

    /// <summary>Equal cables in parallel.</summary>
    public required int Parallel { get; init; }

    /// <summary>Cables side by side that share one current otherwise than in parallel: two where six conductors go to a motor.</summary>
    public int Beside { get; init; } = 1;

    /// <summary>Metal.</summary>
    public required ConductorMaterial Material { get; init; }

    /// <summary>How it is laid.</summary>
    public required CableInstallation Laid { get; init; }

    /// <summary>Air around it, °C.</summary>
    public required double AmbientC { get; init; }

    /// <summary>Section of its protective conductor, mm²; not known: by rule.</summary>
    public required Given ProtectiveMm2 { get; init; }

    /// <summary>Reactance, Ω/m.</summary>
    public required double ReactanceOhmPerM { get; init; }

    /// <summary>Installation code.</summary>
    public required InstallationCode Code { get; init; }

    /// <summary>What it must carry for ever: design current, or what its device lets through, A.</summary>
    public required double SizingA { get; init; }

    /// <summary>Third order in the phases where a neutral carries it, %.</summary>
    public double ThirdPct { get; init; }

    /// <summary>Steady load.</summary>
    public DropTask? Drop { get; init; }

    /// <summary>Start of the motor.</summary>
    public DropTask? Start { get; init; }

    /// <summary>Nominal voltage, V; of two conductors the one between them.</summary>
    public required double NominalVoltageV { get; init; }

    /// <summary>Conductors that carry the load.</summary>
    public CableSystem System { get; init; } = CableSystem.ThreePhase;

    /// <summary>Fault to earth.</summary>
    public LoopTask? Loop { get; init; }

    /// <summary>Short circuit.</summary>
    public ShortCircuitTask? ShortCircuit { get; init; }
}
