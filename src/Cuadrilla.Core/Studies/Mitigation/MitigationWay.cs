using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>One way of mitigating, assessed in the whole plant.</summary>
public sealed record MitigationWay
{
    /// <summary>Stable key: a family of converters, <c>as-is</c>, <c>detuned</c>, <c>active-filter</c>, or <c>move:</c> and what is moved
    /// where.</summary>
    public required string Id { get; init; }

    /// <summary>What it is.</summary>
    public required string Name { get; init; }

    /// <summary>Drive points that it changes.</summary>
    public required int Changed { get; init; }

    /// <summary>Largest distortion of the changed drives' currents, of all looked at where none is changed, %; NaN when none
    /// draws.</summary>
    public required double ThdiPct { get; init; }

    /// <summary>TDD at the coupling, worst scenario, %; NaN when not known.</summary>
    public required double TddPct { get; init; }

    /// <summary>Largest distortion of a low-voltage bus, %; the line's own included.</summary>
    public required double ThdvPct { get; init; }

    /// <summary>Nearest order at the coupling, % of its limit.</summary>
    public required double OrderUsePct { get; init; }

    /// <summary>Harmonic checks that fail.</summary>
    public required int Fails { get; init; }

    /// <summary>True when none does.</summary>
    public required bool Complies { get; init; }

    /// <summary>Energy, cost and price of the drive points looked at, and of what is added to the plant.</summary>
    public required YearlyEnergy Year { get; init; }

    /// <summary>Width of their converters, mm.</summary>
    public required double WidthMm { get; init; }

    /// <summary>What spoils it.</summary>
    public required string Spoils { get; init; }

    /// <summary>What it changes in the plant.</summary>
    public required MitigationChange Change { get; init; }
}

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
