using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>One item of the catalogue judged for a drive point.</summary>
/// <param name="ItemId">Catalogue key.</param>
/// <param name="Name">What it is, in short.</param>
/// <param name="RatedKw">Nominal size, kW.</param>
/// <param name="RatedCurrentA">Rated current, A.</param>
/// <param name="Fits">True when every judged check holds or is tight.</param>
/// <param name="NeedsData">True when nothing fails, but its size can't be judged yet.</param>
/// <param name="Reason">Why it fits or not, the nearest limit first.</param>
/// <param name="UsagePct">Use of the nearest limit, %.</param>
/// <param name="YearKwh">Energy of a year, kWh; null when the duty or the rest of the chain is missing.</param>
/// <param name="LifetimeCost">Lifetime cost of motor and converter, currency; null likewise.</param>
/// <param name="PriceIndex">Price in index points.</param>
/// <param name="IsChosen">True for the engineer's choice.</param>
/// <param name="Motor">The choice that was judged, for a motor; what choosing it puts in place.</param>
/// <param name="Converter">The choice that was judged, for a converter.</param>
public sealed record Candidate(
    string ItemId,
    string Name,
    double RatedKw,
    double RatedCurrentA,
    bool Fits,
    bool NeedsData,
    string Reason,
    double UsagePct,
    double? YearKwh,
    double? LifetimeCost,
    double PriceIndex,
    bool IsChosen,
    MotorChoice? Motor,
    ConverterChoice? Converter);
