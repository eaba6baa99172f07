namespace Cuadrilla.Core.Supplies;

/// <summary>Temperature of a cable that hangs in a well: the ground's, straight from the surface to the depth, and its own
/// heating.</summary>
/// <param name="SurfaceC">At the surface, °C.</param>
/// <param name="GradientKPerKm">Rise with depth, K/km.</param>
/// <param name="DepthM">Setting depth, m, which is the cable's length too.</param>
/// <param name="HeatingK">Rise by its own loss at its current-carrying capacity, K.</param>
/// <param name="CapacityA">That capacity, A; null: its own heating is not reckoned with.</param>
public sealed record DepthProfile(double SurfaceC, double GradientKPerKm, double DepthM, double HeatingK, double? CapacityA)
{
    /// <summary>At the setting depth without current, °C.</summary>
    public double BottomC => SurfaceC + (GradientKPerKm * DepthM / 1e3);

    /// <summary>At a depth, °C.</summary>
    public double AtC(double depthM, double currentA) => SurfaceC + (GradientKPerKm * depthM / 1e3) + OwnK(currentA);

    /// <summary>Mean over the depth, °C: resistance is linear in temperature, so it is that of the mean.</summary>
    public double MeanC(double currentA) => AtC(DepthM / 2, currentA);

    private double OwnK(double currentA) => CapacityA is { } capacity ? HeatingK * Math.Pow(currentA / capacity, 2) : 0;
}
