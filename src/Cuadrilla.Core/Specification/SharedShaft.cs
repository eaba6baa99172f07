using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification;

/// <summary>Drive points that turn one shaft, belt, chain or ring gear; each describes its share of the load.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Units">At least two, the leader first.</param>
/// <param name="Method">How they share.</param>
/// <param name="Coupling">What joins them.</param>
/// <param name="RunOnS">How long the rest is to carry the load when one is lost, s; not known: for ever.</param>
/// <param name="Reason">Why this arrangement.</param>
public sealed record SharedShaft(
    string Id, string Name, ValueList<ShaftUnit> Units, SharingMethod Method, ShaftCoupling Coupling, Given RunOnS, string Reason)
        : Arrangement(Id, Name, Reason)
{
    /// <inheritdoc/>
    public override IReadOnlyList<string> PointIds() => [.. Units.Select(u => u.PointId)];
}

/// <summary>A unit on a shared shaft.</summary>
/// <param name="PointId">Its drive point.</param>
/// <param name="DroopPct">Fall of its speed from no load to rated torque, %.</param>
/// <param name="SpeedErrorPct">By how much its speed reference or measurement is off, %.</param>
public sealed record ShaftUnit(string PointId, Given DroopPct, Given SpeedErrorPct);

/// <summary>How units on one shaft share its torque.</summary>
public abstract record SharingMethod
{
    private SharingMethod()
    {
    }

    /// <summary>Each keeps its speed with a droop; no link between them.</summary>
    public sealed record Droop : SharingMethod;

    /// <summary>The first keeps the speed, the others take its torque reference.</summary>
    /// <param name="AccuracyPct">By how much a follower's torque may be off, % of rated.</param>
    /// <param name="SpeedWindowPct">Speed above or below the reference at which a follower keeps its own speed, %.</param>
    public sealed record TorqueFollower(Given AccuracyPct, Given SpeedWindowPct) : SharingMethod;

    /// <summary>Each keeps the same speed without droop.</summary>
    public sealed record SpeedFollower : SharingMethod;

    /// <summary>Each keeps its speed; the followers trim theirs towards the leader's share, with a torque limit.</summary>
    /// <param name="TrimPct">Largest trim, % of speed.</param>
    /// <param name="TorqueLimitPct">Limit of a follower's torque, % of rated.</param>
    public sealed record SpeedTrim(Given TrimPct, Given TorqueLimitPct) : SharingMethod;
}

/// <summary>What joins the units of a shared shaft.</summary>
public abstract record ShaftCoupling
{
    private ShaftCoupling()
    {
    }

    /// <summary>Shaft or gear: one mass.</summary>
    public sealed record Rigid : ShaftCoupling;

    /// <summary>Belt, chain, long shaft or material between each unit and the load.</summary>
    /// <param name="StiffnessNmPerRad">Stiffness of each, at the motor's shaft, Nm/rad.</param>
    /// <param name="DampingNmSPerRad">Damping of each, Nm·s/rad.</param>
    public sealed record Elastic(Given StiffnessNmPerRad, Given DampingNmSPerRad) : ShaftCoupling;
}
