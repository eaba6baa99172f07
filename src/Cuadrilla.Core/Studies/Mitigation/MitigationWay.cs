using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>One way of mitigating, assessed in the whole plant.</summary>
/// <param name="Id">Stable key: a family of converters, <c>as-is</c>, <c>detuned</c>, <c>active-filter</c>, or <c>move:</c> and what is moved where.</param>
/// <param name="Name">What it is.</param>
/// <param name="Changed">Drive points that it changes.</param>
/// <param name="ThdiPct">Largest distortion of the changed drives' currents, of all looked at where none is changed, %; NaN when none draws.</param>
/// <param name="TddPct">TDD at the coupling, worst scenario, %; NaN when not known.</param>
/// <param name="ThdvPct">Largest distortion of a low-voltage bus, %; the line's own included.</param>
/// <param name="OrderUsePct">Nearest order at the coupling, % of its limit.</param>
/// <param name="Fails">Harmonic checks that fail.</param>
/// <param name="Complies">True when none does.</param>
/// <param name="Year">Energy, cost and price of the drive points looked at, and of what is added to the plant.</param>
/// <param name="WidthMm">Width of their converters, mm.</param>
/// <param name="Spoils">What spoils it.</param>
/// <param name="Change">What it changes in the plant.</param>
public sealed record MitigationWay(
    string Id,
    string Name,
    int Changed,
    double ThdiPct,
    double TddPct,
    double ThdvPct,
    double OrderUsePct,
    int Fails,
    bool Complies,
    YearlyEnergy Year,
    double WidthMm,
    string Spoils,
    MitigationChange Change);

/// <summary>Something moved to a bus of another clock hour.</summary>
/// <param name="LineupId">Lineup that is hung from another bus; empty when a single drive point moves.</param>
/// <param name="BusId">That bus.</param>
/// <param name="DrivePointId">Drive point that moves into another lineup; empty when a lineup moves.</param>
/// <param name="ToLineupId">That lineup.</param>
public sealed record MitigationMove(string LineupId, string BusId, string DrivePointId, string ToLineupId);

/// <summary>A central active filter at the low-voltage side that would bring the coupling within its limits.</summary>
/// <param name="CurrentA">Harmonic current that it has to give at its bus's voltage, margin included, A; 0: none is needed.</param>
/// <param name="AtCouplingA">The same at the coupling, without margin, A.</param>
public sealed record CentralFilter(double CurrentA, double AtCouplingA);
