using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>One item of the catalogue judged for a drive point.</summary>
public sealed record Candidate
{
    /// <summary>Catalogue key.</summary>
    public required string ItemId { get; init; }

    /// <summary>What it is, in short.</summary>
    public required string Name { get; init; }

    /// <summary>Nominal size, kW.</summary>
    public required double RatedKw { get; init; }

    /// <summary>Rated current, A.</summary>
    public required double RatedCurrentA { get; init; }

    /// <summary>True when every judged check holds or is tight.</summary>
    public required bool Fits { get; init; }

    /// <summary>True when nothing fails, but its size can't be judged yet.</summary>
    public required bool NeedsData { get; init; }

    // Whatever its size: not lawful here, or not made for what it would feed. It is the nearest to nothing.
    internal bool IsRefused { get; init; }

    /// <summary>Why it fits or not, the nearest limit first.</summary>
    public required string Reason { get; init; }

    /// <summary>Use of the nearest limit, %.</summary>
    public required double UsagePct { get; init; }

    /// <summary>Energy of a year, kWh; null when the duty or the rest of the chain is missing.</summary>
    public required double? YearKwh { get; init; }

    /// <summary>Life-cycle cost of motor and converter, currency; null likewise.</summary>
    public required double? LifetimeCost { get; init; }

    /// <summary>Price in index points.</summary>
    public required double PriceIndex { get; init; }

    /// <summary>True for the engineer's choice.</summary>
    public required bool IsChosen { get; init; }

    /// <summary>The choice that was judged, for a motor; what choosing it puts in place.</summary>
    public required MotorChoice? Motor { get; init; }

    /// <summary>The choice that was judged, for a converter.</summary>
    public required ConverterChoice? Converter { get; init; }
}
