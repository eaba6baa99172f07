namespace Cuadrilla.Core.Signals;

/// <summary>What control of the usual kind takes at 24 V and from an auxiliary transformer.</summary>
/// <param name="UnitA">From the rating in kW: A of a unit's control.</param>
/// <param name="Coils">From the rating in A: W holding and pulling in of a coil.</param>
/// <param name="CardA">A card of the controller, A.</param>
/// <param name="InrushTimes">Inrush of supplied electronics over its steady current.</param>
/// <param name="FanWPerM3PerH">Power of a section's fan, W per m³/h.</param>
public sealed record ControlDraws(IReadOnlyList<(double FromKw, double A)> UnitA,
    IReadOnlyList<(double FromA, (double HoldW, double PullW) Coil)> Coils, double CardA, double InrushTimes, double FanWPerM3PerH)
{
    /// <summary>Coil of a contactor by its rated current, A: W holding and pulling in.</summary>
    public (double HoldW, double PullW) CoilOf(double ratedA) => Coils.Last(c => c.FromA <= ratedA).Coil;

    /// <summary>Control of a unit by its rating, kW: A at 24 V.</summary>
    public double UnitAOf(double ratedKw) => UnitA.Last(u => u.FromKw <= ratedKw).A;
}
