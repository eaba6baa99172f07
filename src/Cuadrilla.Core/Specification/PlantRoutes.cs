using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;

namespace Cuadrilla.Core.Specification;

/// <summary>A room, panel or machine where cables begin, end or meet.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="RightM">To the right on the plan, m.</param>
/// <param name="DownM">Down on the plan, m.</param>
public sealed record Place(string Id, string Name, double RightM, double DownM);

/// <summary>What a tray is made of.</summary>
public enum TrayKind
{
    /// <summary>Wire basket or ladder of metal.</summary>
    OpenMetal,

    /// <summary>Perforated metal.</summary>
    Perforated,

    /// <summary>Closed or solid metal.</summary>
    SolidMetal,

    /// <summary>Plastic, or no tray.</summary>
    NoMetal,
}

/// <summary>Which cables a tray takes.</summary>
public enum TrayUse
{
    /// <summary>All.</summary>
    All,

    /// <summary>Supply and motor cables.</summary>
    Power,

    /// <summary>Signals.</summary>
    Signals,
}

/// <summary>A straight piece of a cable tray between two places.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="FromPlaceId">One end.</param>
/// <param name="ToPlaceId">The other end.</param>
/// <param name="LengthM">Length, m; not known: straight between its places.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="Kind">What it is made of.</param>
/// <param name="Use">Which cables it takes.</param>
/// <param name="Divider">True where a metal divider parts signals from the rest.</param>
/// <param name="HeightMm">Height of its cables over the bonding plane, mm; the tray itself where it is metal and bonded.</param>
/// <param name="BesideId">Next tray beside or below; empty: none.</param>
/// <param name="GapMm">Free distance to it, mm.</param>
public sealed record TraySegment(
    string Id, string Name, string FromPlaceId, string ToPlaceId, Given LengthM, Given WidthMm, TrayKind Kind, TrayUse Use, bool Divider,
    Given HeightMm, string BesideId, Given GapMm);

/// <summary>A cable entered by hand: a signal, a bus, an auxiliary supply.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Tag">What it is called.</param>
/// <param name="Kind">What it carries.</param>
/// <param name="Screen">Its screen.</param>
/// <param name="FromPlaceId">Where it begins.</param>
/// <param name="ToPlaceId">Where it ends.</param>
public sealed record SignalCable(string Id, string Tag, SignalKind Kind, ReceiverScreen Screen, string FromPlaceId, string ToPlaceId);

/// <summary>The way of a cable where it is chosen by hand.</summary>
/// <param name="CableId">Key of the cable: of one entered by hand, or drive point and role.</param>
/// <param name="SegmentIds">Pieces of tray in their order.</param>
public sealed record CableWay(string CableId, ValueList<string> SegmentIds);

/// <summary>What listens near a plant and is disturbed by its drives.</summary>
public enum ReceiverKind
{
    /// <summary>Radio, broadcast or train radio reception.</summary>
    Radio,

    /// <summary>Weighing cells and strain gauges.</summary>
    Weighing,

    /// <summary>Medical equipment.</summary>
    Medical,

    /// <summary>Measuring and laboratory instruments.</summary>
    Instruments,

    /// <summary>Sound systems and hearing loops.</summary>
    Sound,
}

/// <summary>Something that listens near a plant.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="DistanceM">Distance to the nearest converter or motor cable, m.</param>
public sealed record NearbyReceiver(string Id, string Name, ReceiverKind Kind, Given DistanceM);

/// <summary>Trays of a plant and the cables on them.</summary>
/// <param name="Places">Where cables begin, end or meet.</param>
/// <param name="Segments">Pieces of tray between places.</param>
/// <param name="Cables">Cables entered by hand.</param>
/// <param name="Ways">Ways chosen by hand.</param>
public sealed record PlantRoutes(ValueList<Place> Places, ValueList<TraySegment> Segments, ValueList<SignalCable> Cables,
    ValueList<CableWay> Ways)
{
    /// <summary>None.</summary>
    public static PlantRoutes None { get; } = new([], [], [], []);

    /// <summary>What listens near the plant.</summary>
    public ValueList<NearbyReceiver> Receivers { get; init; } = [];
}
