using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Specification;

/// <summary>Motors side by side on one converter: that of the first member.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Members">Kinds of motors, each a drive point that describes one motor and its load.</param>
/// <param name="SimultaneityPct">Share of the rated currents that flows at once, %; not known: all.</param>
/// <param name="Reason">Why this arrangement.</param>
public sealed record MotorGroup(string Id, string Name, ValueList<GroupMember> Members, Given SimultaneityPct,
    string Reason) : Arrangement(Id, Name, Reason)
{
    /// <inheritdoc/>
    public override IReadOnlyList<string> PointIds() => [.. Members.Select(m => m.PointId)];
}

/// <summary>Like motors of a group.</summary>
/// <param name="PointId">Drive point that describes one of them.</param>
/// <param name="Count">How many there are.</param>
/// <param name="Protection">What protects each against overload.</param>
/// <param name="Trip">Trip class of an overload relay.</param>
/// <param name="BranchFuse">True when each branch cable is fused or rated for the converter's trip.</param>
/// <param name="SwitchedLate">True when one may be switched on while the others run.</param>
public sealed record GroupMember(string PointId, int Count, MotorProtection Protection, TripClass Trip, bool BranchFuse, bool SwitchedLate);

/// <summary>Overload protection of one motor of a group; the converter sees only their sum.</summary>
public enum MotorProtection
{
    /// <summary>None of its own.</summary>
    None,

    /// <summary>A thermal overload relay.</summary>
    OverloadRelay,

    /// <summary>Thermistors in the winding.</summary>
    Thermistor,
}
