using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Kinds of things in a cabinet, in the order of the power.</summary>
public enum CabinetUnitKind
{
    /// <summary>Supply module of a common DC bus.</summary>
    SupplyModule,

    /// <summary>Converter.</summary>
    Converter,

    /// <summary>Filter at a converter's output.</summary>
    Filter,

    /// <summary>Soft starter or contactors.</summary>
    Starter,
}

/// <summary>One thing that stands in a lineup's cabinets.</summary>
public sealed record CabinetUnit
{
    /// <summary>Stable key: the drive point's or the bus's, with what of it.</summary>
    public required string Id { get; init; }

    /// <summary>Drive point whose cell it belongs to; the first of a group; empty for a supply module.</summary>
    public required string PointId { get; init; }

    /// <summary>All drive points that it feeds.</summary>
    public required IReadOnlyList<string> Feeds { get; init; }

    /// <summary>Power that it takes from a common DC bus in a scenario, W, without its sign; null while it can't be computed.</summary>
    public Func<Scenario, double?> LinkW { get; init; } = _ => 0;

    /// <summary>Key of its front end in solved scenarios; empty where it has none on the line.</summary>
    public required string FrontId { get; init; }

    /// <summary>What it is.</summary>
    public required CabinetUnitKind Kind { get; init; }

    /// <summary>Tag and name.</summary>
    public required string Name { get; init; }

    /// <summary>Rating by which it stands in order, kW.</summary>
    public required double RatedKw { get; init; }

    /// <summary>Size.</summary>
    public required UnitSize Size { get; init; }

    /// <summary>Space around it.</summary>
    public required UnitClearance Clearance { get; init; }

    /// <summary>Air of its own fan, m³/h; 0 without one.</summary>
    public required double AirM3PerH { get; init; }

    /// <summary>Short-circuit current that it stands with its devices, kA; null where nothing states it.</summary>
    public required double? ShortCircuitKa { get; init; }

    /// <summary>What it draws from the busbar in a scenario, A; null where that can't be computed.</summary>
    public required Func<Scenario, double?> LineA { get; init; }

    /// <summary>What it loses in a scenario, W; null where that can't be computed.</summary>
    public required Func<Scenario, double?> LossW { get; init; }
}
