using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Protection;

/// <summary>What clears a fault of a feeder and protects it against overload.</summary>
public abstract record ProtectiveDevice
{
    private ProtectiveDevice()
    {
    }

    /// <summary>Name and list of the item where it is one of the project's own; empty otherwise.</summary>
    public string Item { get; init; } = string.Empty;

    /// <summary>None yet.</summary>
    public sealed record NotChosen : ProtectiveDevice;

    /// <summary>Fuses gG (IEC 60269-2).</summary>
    /// <param name="RatedA">Rated current, A.</param>
    /// <param name="BreakingKa">Rated breaking capacity, kA.</param>
    /// <param name="Reason">Why these; empty when none was given.</param>
    public sealed record Fuse(double RatedA, double BreakingKa, string Reason) : ProtectiveDevice
    {
        /// <summary>Current that it surely carries for 10 s by its maker's curve, A; not known: by the gates of its rating. All four or
        /// none.</summary>
        public Base.Given Lasts10SA { get; init; }

        /// <summary>Current that it surely clears within 5 s, A.</summary>
        public Base.Given Clears5SA { get; init; }

        /// <summary>Current that it surely carries for 0.1 s, A.</summary>
        public Base.Given Lasts01SA { get; init; }

        /// <summary>Current that it surely clears within 0.1 s, A.</summary>
        public Base.Given Clears01SA { get; init; }

        /// <summary>Its maker's curve; null where that is not stated.</summary>
        public GgFuse? OwnCurve() => Lasts10SA.IsKnown && Clears5SA.IsKnown && Lasts01SA.IsKnown && Clears01SA.IsKnown
            ? new GgFuse(RatedA, Lasts10SA.Value, Clears5SA.Value, Lasts01SA.Value, Clears01SA.Value)
            : null;
    }

    /// <summary>Fuses aR for semiconductors (IEC 60269-4): against short circuit only.</summary>
    /// <param name="RatedA">Rated current, A.</param>
    /// <param name="TotalA2s">Total I²t at the voltage, A²s.</param>
    /// <param name="BreakingKa">Rated breaking capacity, kA.</param>
    /// <param name="Reason">Why these; empty when none was given.</param>
    public sealed record SemiconductorFuse(double RatedA, double TotalA2s, double BreakingKa, string Reason) : ProtectiveDevice
    {
        /// <summary>Current that it surely carries for 10 s, start after start, A; both or none.</summary>
        public Base.Given Lasts10SA { get; init; }

        /// <summary>The same for 0.1 s, A.</summary>
        public Base.Given Lasts01SA { get; init; }
    }

    /// <summary>A circuit breaker with overload and short-circuit release (IEC 60947-2).</summary>
    /// <param name="RatedA">Rated current, A.</param>
    /// <param name="OverloadA">Setting of the overload release, A.</param>
    /// <param name="MagneticPu">Short-circuit release in parts of the rated current.</param>
    /// <param name="BreakingKa">Rated ultimate breaking capacity at the voltage, kA.</param>
    /// <param name="LetThroughA2s">Energy that it lets through at a full short circuit, A²s; not known: it limits nothing.</param>
    /// <param name="Reason">Why this one; empty when none was given.</param>
    public sealed record CircuitBreaker(double RatedA, double OverloadA, double MagneticPu, double BreakingKa, Base.Given LetThroughA2s,
        string Reason) : ProtectiveDevice;

    /// <summary>A motor-protective circuit breaker (IEC 60947-2 and 60947-4-1).</summary>
    /// <param name="RatedA">Upper end of its setting range, A.</param>
    /// <param name="OverloadA">Setting of the overload release, A.</param>
    /// <param name="Trip">Trip class.</param>
    /// <param name="MagneticPu">Short-circuit release in parts of the rated current.</param>
    /// <param name="BreakingKa">Rated ultimate breaking capacity at the voltage, kA.</param>
    /// <param name="LetThroughA2s">Energy that it lets through at a full short circuit, A²s; not known: it limits nothing.</param>
    /// <param name="Reason">Why this one; empty when none was given.</param>
    public sealed record MotorBreaker(double RatedA, double OverloadA, TripClass Trip, double MagneticPu, double BreakingKa,
        Base.Given LetThroughA2s, string Reason) : ProtectiveDevice;
}

/// <summary>What a fault may do to a starter (IEC 60947-4-1 and 60947-4-2).</summary>
public enum CoordinationType
{
    /// <summary>It endangers nobody; the starter may have to be replaced.</summary>
    One,

    /// <summary>The starter stays fit for service.</summary>
    Two,
}

/// <summary>Protective and switching devices of a drive point.</summary>
/// <param name="Device">What protects its feeder.</param>
/// <param name="ContactorA">Rated operational current of its line contactor in its duty's utilisation category, A; not known: none
/// stated.</param>
/// <param name="Coordination">What a fault may do to a starter.</param>
public sealed record SwitchingDevices(ProtectiveDevice Device, Base.Given ContactorA, CoordinationType Coordination)
{
    /// <summary>Rated operational current of a soft starter's bypass contactor, A; not known: none stated.</summary>
    public Base.Given BypassA { get; init; }

    /// <summary>Rated operational current of its isolator in AC-23A for a motor on the line, AC-21A ahead of a converter, A; not known:
    /// none stated.</summary>
    public Base.Given IsolatorA { get; init; }

    /// <summary>Rated current of the fuses between a common DC bus and its inverter, A; not known: none stated.</summary>
    public Base.Given DcFuseA { get; init; }

    /// <summary>Their rated DC voltage, V; not known: not stated.</summary>
    public Base.Given DcFuseV { get; init; }

    /// <summary>Nothing chosen yet.</summary>
    public static SwitchingDevices None { get; } = new(new ProtectiveDevice.NotChosen(), Base.Given.Unknown, CoordinationType.One);
}
