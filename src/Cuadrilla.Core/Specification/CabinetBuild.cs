using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Specification;

/// <summary>How a lineup's cabinets are built. What is open is as usual and said so.</summary>
public sealed record CabinetBuild
{
    /// <summary>Nothing entered.</summary>
    public static CabinetBuild Open { get; } = new();

    /// <summary>How its sections get rid of their heat.</summary>
    public CabinetCooling Cooling { get; init; } = CabinetCooling.Forced;

    /// <summary>Height without plinth, mm; not known: 2000.</summary>
    public Given HeightMm { get; init; }

    /// <summary>Depth, mm; not known: 600.</summary>
    public Given DepthMm { get; init; }

    /// <summary>Width of a section, where its units leave the choice, mm; not known: 800.</summary>
    public Given SectionMm { get; init; }

    /// <summary>Plinth, mm; not known: 100.</summary>
    public Given PlinthMm { get; init; }

    /// <summary>Width that is free where the lineup is to stand, mm.</summary>
    public Given RoomMm { get; init; }

    /// <summary>What the main busbar carries at 35 °C air and 30 K rise, A.</summary>
    public Given BusbarA { get; init; }

    /// <summary>What the busbar of a common DC bus carries at 35 °C air and 30 K rise, A.</summary>
    public Given DcBusbarA { get; init; }

    /// <summary>Short-time withstand current I_cw of the assembly for 1 s, kA.</summary>
    public Given WithstandKa { get; init; }

    /// <summary>Air at the units that they permit, °C; not known: 50.</summary>
    public Given PermittedC { get; init; }

    /// <summary>Air of a section's fan blowing freely, m³/h.</summary>
    public Given FanM3PerH { get; init; }

    /// <summary>Mats in inlet and outlet.</summary>
    public FilterMats Mats { get; init; } = FilterMats.Clean;

    /// <summary>Heat that a section's cooler carries at the room's temperature, W.</summary>
    public Given CoolerW { get; init; }

    /// <summary>Air that the cooler holds inside, °C.</summary>
    public Given CooledC { get; init; }

    /// <summary>Relative humidity of the room's air, %.</summary>
    public Given HumidityPct { get; init; }

    /// <summary>k of IEC TS 60890, K/W^x.</summary>
    public Given FactorK { get; init; }

    /// <summary>d of IEC TS 60890; not known: 1.</summary>
    public Given FactorD { get; init; }

    /// <summary>c of IEC TS 60890.</summary>
    public Given FactorC { get; init; }

    /// <summary>The heat sinks of converters reach outside.</summary>
    public bool SinksOutside { get; init; }

    /// <summary>Cables enter at the top.</summary>
    public bool EntersAtTop { get; init; }

    /// <summary>Free way in front of the doors, mm; not known: 1000.</summary>
    public Given AisleMm { get; init; }

    /// <summary>Units that stand in a section by hand.</summary>
    public ValueList<UnitPin> Pins { get; init; } = [];

    /// <summary>Sections behind which the lineup is parted for transport by hand; empty: by width and mass.</summary>
    public ValueList<TransportSplit> Splits { get; init; } = [];
}

/// <summary>A lineup parted for transport.</summary>
/// <param name="Behind">Number of the section behind which it is parted.</param>
public sealed record TransportSplit(int Behind);

/// <summary>A unit put into a section by hand.</summary>
/// <param name="UnitId">Key of the unit.</param>
/// <param name="Section">Number of the section, 1 first.</param>
public sealed record UnitPin(string UnitId, int Section);

/// <summary>How sections get rid of their heat.</summary>
public enum CabinetCooling
{
    /// <summary>Through their walls.</summary>
    Closed,

    /// <summary>Through openings at bottom and top.</summary>
    Vented,

    /// <summary>By a fan each.</summary>
    Forced,

    /// <summary>By a cooler each.</summary>
    Cooled,
}
