using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>A stretch where two cables run beside each other.</summary>
/// <param name="Disturbing">Tray of the one.</param>
/// <param name="Disturbed">Tray of the other.</param>
/// <param name="LengthM">Length, m.</param>
/// <param name="ApartMm">Free distance, mm; null where that is not stated.</param>
/// <param name="Between">Metal between.</param>
public sealed record Stretch(TraySegment Disturbing, TraySegment Disturbed, double LengthM, double? ApartMm, MetalBetween Between);

/// <summary>Two cables too close for too long.</summary>
/// <param name="Disturbing">The one that disturbs.</param>
/// <param name="Disturbed">The other.</param>
/// <param name="Stretches">Where, the closest first.</param>
/// <param name="ParallelM">Length over all of them, m.</param>
/// <param name="ApartMm">Least distance, mm; null where that is not stated.</param>
/// <param name="NeededMm">Distance that is needed there, mm.</param>
public sealed record Clash(RoutedCable Disturbing, RoutedCable Disturbed, IReadOnlyList<Stretch> Stretches, double ParallelM,
    double? ApartMm, double NeededMm)
{
    /// <summary>True where screens around both and a short way may do without the distance.</summary>
    public bool IsDispensable { get; init; }

    /// <summary>Voltage that the edges of the one leave in the loop of the other, V; null where a figure of it is not known.</summary>
    public double? VoltageV { get; init; }

    /// <summary>What its input reads of that, in steps of what it notices; null likewise.</summary>
    public double? Steps { get; init; }

    /// <summary>What would end it, cheapest first.</summary>
    public IReadOnlyList<Cure> Cures { get; init; } = [];
}

/// <summary>Ways to end a clash.</summary>
public enum CureKind
{
    /// <summary>A divider in the trays that both use.</summary>
    Divider,

    /// <summary>A screen around the one that disturbs.</summary>
    ScreenDisturbing,

    /// <summary>A screen around the other.</summary>
    ScreenDisturbed,

    /// <summary>Another way for the one that disturbs.</summary>
    MoveDisturbing,

    /// <summary>Another way for the other.</summary>
    MoveDisturbed,

    /// <summary>Trays further apart.</summary>
    WidenGap,
}

/// <summary>A way to end a clash.</summary>
/// <param name="Kind">What is done.</param>
/// <param name="Words">In words.</param>
/// <param name="Cost">What it costs, in metres of plain cable.</param>
/// <param name="SegmentIds">Trays that get a divider or another gap, or the new way.</param>
public sealed record Cure(CureKind Kind, string Words, double Cost, IReadOnlyList<string> SegmentIds)
{
    /// <summary>Free distance that trays get, mm; 0 where none is changed.</summary>
    public double GapMm { get; init; }

    /// <summary>What is done besides where one change is not enough; null where it is.</summary>
    public Cure? And { get; init; }
}
