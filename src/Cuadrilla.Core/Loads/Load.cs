using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>What a drive point moves.</summary>
public abstract record Load
{
    private protected Load()
    {
    }

    /// <summary>The words the program uses for it.</summary>
    public abstract string InWords();

    /// <summary>Name of the catalogue's settings for the start of such a machine; empty where there are none of its own.</summary>
    public virtual string StartApplication() => string.Empty;

    /// <summary>Name of the catalogue's settings for a holding brake of such a machine.</summary>
    public virtual string BrakeApplication() => "level machine";

    /// <summary>The part that one of several motors on one shaft drives: forces, masses, torques and inertias, not speeds.</summary>
    /// <param name="partPu">Part of it, above 0 to 1.</param>
    public abstract Load Part(double partPu);

    /// <summary>Part of a number; six decimals: what was entered as 0.3 is not halved into 0.15000000000000002.</summary>
    private protected static Given Shared(Given value, double partPu) =>
        value.IsKnown ? Given.Of(Math.Round(value.Value * partPu, 6)) : value;
}

/// <summary>Nothing entered yet.</summary>
public sealed record UnspecifiedLoad : Load
{
    /// <inheritdoc/>
    public override string InWords() => "not specified";

    /// <inheritdoc/>
    /// <remarks>Nothing says that it does not hang.</remarks>
    public override string BrakeApplication() => "hoist";

    /// <inheritdoc/>
    public override Load Part(double partPu) => this;
}

/// <summary>
/// A fan or a centrifugal pump: pressure or head falls along its curve, the system asks for a static part and a part that
/// grows with the square of the flow.
/// </summary>
/// <param name="Common">What fans and pumps share.</param>
public abstract record FluidLoad(FluidMachine Common) : Load
{
    /// <summary>Static part of the system's pressure or head at rated flow.</summary>
    public virtual Given StaticShare() => Common.StaticFraction;

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Common = Common with { RatedFlowM3PerS = Shared(Common.RatedFlowM3PerS, partPu),
            RatedShaftKw = Shared(Common.RatedShaftKw, partPu), InertiaKgM2 = Shared(Common.InertiaKgM2, partPu) } };
}

/// <summary>A fan.</summary>
/// <param name="Common">What fans and pumps share.</param>
/// <param name="RatedPressurePa">Total pressure rise at the rated flow, Pa, 1 to 100,000.</param>
public sealed record FanLoad(FluidMachine Common, Given RatedPressurePa) : FluidLoad(Common)
{
    /// <inheritdoc/>
    public override string InWords() => "fan";

    /// <inheritdoc/>
    public override string StartApplication() => "fan";
}

/// <summary>A centrifugal pump.</summary>
/// <param name="Common">What fans and pumps share.</param>
/// <param name="RatedHeadM">Head at the rated flow, m of the liquid, 0.1 to 3000.</param>
/// <param name="DensityKgPerM3">Density of the liquid, kg/m³, 300 to 5000.</param>
public sealed record PumpLoad(FluidMachine Common, Given RatedHeadM, Given DensityKgPerM3) : FluidLoad(Common)
{
    /// <inheritdoc/>
    public override string InWords() => "pump";

    /// <summary>Static head of the system, m; known, it is used instead of the static share.</summary>
    public Given StaticHeadM { get; init; }

    /// <summary>The pump's curve at its rated speed by its maker, flow ascending; empty: a parabola through head at no flow and rated
    /// point.</summary>
    public ValueList<PumpCurvePoint> Curve { get; init; } = [];

    /// <inheritdoc/>
    public override Given StaticShare() =>
        StaticHeadM is { IsKnown: true } head && RatedHeadM is { IsKnown: true } rated
            ? Given.Of(head.Value / rated.Value)
            : Common.StaticFraction;

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        base.Part(partPu) is PumpLoad part
            ? part with { Curve = [.. Curve.Select(p => p with { FlowM3PerS = Math.Round(p.FlowM3PerS * partPu, 9) })] }
            : this;

    /// <inheritdoc/>
    public override string StartApplication() => "pump";
}

/// <summary>What fans and centrifugal pumps share.</summary>
/// <param name="RatedFlowM3PerS">Rated flow, m³/s, &gt; 0.</param>
/// <param name="RatedEfficiency">Efficiency at the rated point, 0.05 to 0.95.</param>
/// <param name="RatedSpeedRpm">Shaft speed at the rated point, rpm, 10 to 6000.</param>
/// <param name="StaticFraction">Static part of the system's pressure or head at rated flow, 0 to 0.99.</param>
/// <param name="ShutOffPu">Pressure or head at no flow in parts of the rated, 1.01 to 2.</param>
/// <param name="InertiaKgM2">Inertia of the machine, kg·m², ≥ 0.</param>
/// <param name="StartTimeS">Wanted time from rest to rated speed, s, 0.1 to 600.</param>
/// <param name="Duty">Hours per year at each flow, at most 8760 h together.</param>
/// <param name="PresentControl">How the flow is controlled today.</param>
/// <param name="Path">Whether it shares its header or duct with machines of its kind.</param>
/// <param name="VaneCurve">Shaft power over flow with this fan's own inlet vanes, ascending; empty: the catalogue's curve.</param>
public sealed record FluidMachine(
    Given RatedFlowM3PerS,
    Given RatedEfficiency,
    Given RatedSpeedRpm,
    Given StaticFraction,
    Given ShutOffPu,
    Given InertiaKgM2,
    Given StartTimeS,
    ValueList<DutyPoint> Duty,
    PresentControl PresentControl,
    ParallelPath Path,
    ValueList<VanePoint> VaneCurve)
{
    /// <summary>Wanted time from rated speed to rest, s; unknown: none is asked.</summary>
    public Given StopTimeS { get; init; }

    /// <summary>Shaft power at the rated point, kW, where the process sheet states that; known, flow, pressure or head and efficiency may
    /// stay open.</summary>
    public Given RatedShaftKw { get; init; }
}

/// <summary>A point of a pump's curve.</summary>
/// <param name="FlowM3PerS">Flow, m³/s, ≥ 0.</param>
/// <param name="HeadM">Head, m of the liquid, ≥ 0.</param>
/// <param name="Efficiency">Efficiency of the pump, 0 to 0.95; 0 only at no flow.</param>
public sealed record PumpCurvePoint(double FlowM3PerS, double HeadM, double Efficiency);

/// <summary>A point of a fan's curve with inlet vanes, both in parts of the rated.</summary>
/// <param name="FlowPu">Flow, 0 to 1.2.</param>
/// <param name="PowerPu">Shaft power, 0 to 1.5.</param>
public sealed record VanePoint(double FlowPu, double PowerPu);

/// <summary>Hours at one level.</summary>
/// <param name="LevelPu">Flow, speed or rate of cycles in parts of the rated, above 0 to 1.2.</param>
/// <param name="HoursPerYear">Hours per year, 0 to 8760.</param>
public sealed record DutyPoint(double LevelPu, double HoursPerYear);

/// <summary>Whether machines that work together share one path.</summary>
public abstract record ParallelPath
{
    private ParallelPath()
    {
    }

    /// <summary>One machine, or each with a path of its own: they do not feel each other.</summary>
    public sealed record Own : ParallelPath;

    /// <summary>
    /// Machines of one kind on one header or duct: the system's head follows the total flow, so at half speed none of them
    /// may deliver anything.
    /// </summary>
    /// <param name="Running">Machines that run together, 2 to 20.</param>
    /// <param name="NeededAtRatedFlow">How many it takes for the system's rated flow, 1 to <paramref name="Running"/>.</param>
    public sealed record Common(int Running, int NeededAtRatedFlow) : ParallelPath;
}

/// <summary>How flow is controlled today.</summary>
public enum PresentControl
{
    /// <summary>Not stated: there is nothing to compare with.</summary>
    NotStated,

    /// <summary>Damper or valve behind the machine, which stays at full speed.</summary>
    OutletThrottle,

    /// <summary>Adjustable vanes ahead of a fan.</summary>
    InletVanes,

    /// <summary>Surplus flow returned: the machine always works at its rated point.</summary>
    Bypass,

    /// <summary>Full flow for part of the time, into a tank or a room that evens it out.</summary>
    OnOff,

    /// <summary>Pole-changing motor with speeds 1 : 2, damper or valve between.</summary>
    TwoSpeedHalf,

    /// <summary>Pole-changing motor with speeds 2 : 3, damper or valve between.</summary>
    TwoSpeedTwoThirds,

    /// <summary>Machines on one path switched on and off by the flow, those that run throttled at full speed.</summary>
    Staged,
}
