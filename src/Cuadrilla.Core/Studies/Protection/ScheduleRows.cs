using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Where a cable runs.</summary>
public enum CableRole
{
    /// <summary>Between two buses.</summary>
    Plant,

    /// <summary>From a busbar to a converter or starter.</summary>
    Feeder,

    /// <summary>From a converter or starter to a motor.</summary>
    Motor,
}

/// <summary>A row of the cable schedule: a cable as it is, and as it is proposed.</summary>
/// <param name="LineupId">Its lineup; empty for a plant cable.</param>
/// <param name="DrivePointId">Its drive point; empty for a plant cable.</param>
/// <param name="ElementId">Plant cable, or what tells a feeder's checks from others.</param>
/// <param name="Role">Where it runs.</param>
/// <param name="Tag">Its tag: that of its drive point with a letter, or its name.</param>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
public sealed record CableRow(string LineupId, string DrivePointId, string ElementId, CableRole Role, string Tag, string From, string To)
{
    /// <summary>How many are alike: one for each motor of a group.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Length, m; null while open.</summary>
    public double? LengthM { get; init; }

    /// <summary>Section, mm²; null while open.</summary>
    public double? SectionMm2 { get; init; }

    /// <summary>Protective conductor, mm²; null while the section is open.</summary>
    public double? ProtectiveMm2 { get; init; }

    /// <summary>Equal cables in parallel, or of six conductors.</summary>
    public int Parallel { get; init; } = 1;

    /// <summary>Metal, insulation, screen in words.</summary>
    public string Kind { get; init; } = string.Empty;

    /// <summary>How it is laid, in words; empty where nobody says.</summary>
    public string Laid { get; init; } = string.Empty;

    /// <summary>Design current, A; null while not known.</summary>
    public double? DesignA { get; init; }

    /// <summary>Device that protects it, in words; empty while none is chosen.</summary>
    public string Device { get; init; } = string.Empty;

    /// <summary>Capacity I_z, A; null where not known.</summary>
    public double? CapacityA { get; init; }

    /// <summary>Voltage lost up to its end, %; null where not asked or not known.</summary>
    public double? DropPct { get; init; }

    /// <summary>Largest fault where it begins, kA; null where not known.</summary>
    public double? LargestFaultKa { get; init; }

    /// <summary>Least fault where it ends, kA; null where not known.</summary>
    public double? LeastFaultKa { get; init; }

    /// <summary>Section that is proposed, mm²; null where none holds or something is missing.</summary>
    public double? ProposedMm2 { get; init; }

    /// <summary>What governs the proposed section; empty without one.</summary>
    public string Governs { get; init; } = string.Empty;

    /// <summary>Why the section is another than the proposed one; empty where nobody says.</summary>
    public string Reason { get; init; } = string.Empty;

    /// <summary>Gravest verdict of its checks.</summary>
    public Verdict Verdict { get; init; } = Verdict.NotApplicable;
}

/// <summary>A row of the device schedule.</summary>
/// <param name="LineupId">Its lineup; empty for a plant cable.</param>
/// <param name="DrivePointId">Its drive point; empty for a plant cable.</param>
/// <param name="ElementId">Plant cable that it protects; empty for a drive point.</param>
/// <param name="Tag">Tag of what it protects.</param>
/// <param name="Place">Where it stands.</param>
public sealed record DeviceRow(string LineupId, string DrivePointId, string ElementId, string Tag, string Place)
{
    /// <summary>The device in words; empty while none is chosen.</summary>
    public string Device { get; init; } = string.Empty;

    /// <summary>Rated current, A.</summary>
    public double? RatedA { get; init; }

    /// <summary>Overload setting, A; null for fuses.</summary>
    public double? SettingA { get; init; }

    /// <summary>Breaking capacity, kA.</summary>
    public double? BreakingKa { get; init; }

    /// <summary>Design current, A; null while not known.</summary>
    public double? DesignA { get; init; }

    /// <summary>Largest fault there, kA; null where not known.</summary>
    public double? LargestFaultKa { get; init; }

    /// <summary>Peak of it, kA.</summary>
    public double? PeakKa { get; init; }

    /// <summary>Contactor's rated current as entered, A.</summary>
    public double? ContactorA { get; init; }

    /// <summary>What is asked of contactors and relay, in words.</summary>
    public string Contactors { get; init; } = string.Empty;

    /// <summary>Trip class of the motor's protection; empty for converters.</summary>
    public string TripClass { get; init; } = string.Empty;

    /// <summary>Coordination of a starter; empty for converters.</summary>
    public string Coordination { get; init; } = string.Empty;

    /// <summary>What is proposed, in words; empty where nothing fits or something is missing.</summary>
    public string Proposed { get; init; } = string.Empty;

    /// <summary>Gravest verdict of its checks.</summary>
    public Verdict Verdict { get; init; } = Verdict.NotApplicable;
}

/// <summary>Cables and devices of a plant, as they are and as they are proposed.</summary>
/// <param name="Cables">Plant cables, then by drive point.</param>
/// <param name="Devices">The same of devices.</param>
/// <param name="Missing">Why nothing can be computed; empty where it can.</param>
public sealed record ProtectionPlan(IReadOnlyList<CableRow> Cables, IReadOnlyList<DeviceRow> Devices, IReadOnlyList<string> Missing);

/// <summary>What is proposed for a supply module and the inverters on its bus.</summary>
/// <param name="FeederMm2">Section of its feeder, mm²; null where none holds or none is asked.</param>
/// <param name="FeederGoverns">What governs it.</param>
/// <param name="Device">Its device; null where none fits.</param>
/// <param name="DcFusesA">Rated current of the fuses of each inverter, A; without those for which none fits.</param>
/// <param name="DcFuseV">Their direct voltage, V.</param>
/// <param name="Missing">Why something is not proposed; empty where all is.</param>
public sealed record ModuleProposal(
    double? FeederMm2, string FeederGoverns, Core.Protection.ProtectiveDevice? Device, IReadOnlyDictionary<string, double> DcFusesA,
    double DcFuseV,
    IReadOnlyList<string> Missing);

/// <summary>What is proposed for a drive point.</summary>
/// <param name="FeederMm2">Section of its feeder, mm²; null where none holds or none is asked.</param>
/// <param name="FeederGoverns">What governs it.</param>
/// <param name="MotorMm2">Section of its motor cable, mm²; null where none holds.</param>
/// <param name="MotorGoverns">What governs it.</param>
/// <param name="Device">Its device; null where none fits.</param>
/// <param name="ContactorA">Rated current of its contactor, A; null where it has none or none is large enough.</param>
/// <param name="Missing">Why something is not proposed; empty where all is.</param>
public sealed record PointProposal(
    double? FeederMm2, string FeederGoverns, double? MotorMm2, string MotorGoverns, Core.Protection.ProtectiveDevice? Device,
    double? ContactorA, IReadOnlyList<string> Missing)
{
    /// <summary>Rated current of a soft starter's bypass contactor, A; null where it needs none or none is large enough.</summary>
    public double? BypassA { get; init; }

    /// <summary>Smallest isolator that carries it, A; null where none does, or something of it is not known.</summary>
    public double? IsolatorA { get; init; }
}
