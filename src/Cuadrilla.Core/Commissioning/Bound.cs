namespace Cuadrilla.Core.Commissioning;

/// <summary>Comparison with a limit: a value that is the limit by the digits it was written with reaches it.</summary>
internal static class Bound
{
    // Rounding of a division, far below anything measured.
    private const double Part = 1e-9;

    public static bool AtMost(double value, double limit) => value <= limit + (Part * Math.Abs(limit));

    public static bool AtLeast(double value, double limit) => value >= limit - (Part * Math.Abs(limit));
}
