namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>Gauss–Legendre quadrature with four points on the interval from 0 to 1: exact for polynomials up to the seventh
/// degree.</summary>
internal static class FourPointQuadrature
{
    public static readonly double[] Nodes = [0.06943184420297371, 0.33000947820757187, 0.66999052179242813, 0.93056815579702629];

    public static readonly double[] Weights = [0.17392742256872693, 0.32607257743127307, 0.32607257743127307, 0.17392742256872693];
}
