namespace Cuadrilla.Core.Cabinets;

/// <summary>Walls of one section, which give its heat away; IEC TS 60890; method <c>docs/methods/enclosure-heat.md</c>.</summary>
/// <param name="WidthM">Width, m.</param>
/// <param name="HeightM">Height, m.</param>
/// <param name="DepthM">Depth, m.</param>
/// <param name="TopFree">Nothing lies on its roof.</param>
/// <param name="RearFree">Its rear stands free.</param>
/// <param name="LeftFree">Its left side stands free.</param>
/// <param name="RightFree">Its right side stands free.</param>
public sealed record Enclosure(
    double WidthM, double HeightM, double DepthM, bool TopFree, bool RearFree, bool LeftFree, bool RightFree)
{
    // Weights of the walls (IEC TS 60890, verify): a free roof 1.4, under a roof 0.7; a free wall 0.9, a covered one 0.5.
    private const double FreeTop = 1.4;
    private const double CoveredTop = 0.7;
    private const double FreeWall = 0.9;
    private const double CoveredWall = 0.5;

    /// <summary>Effective surface A_e = ΣA·b, m²; the floor gives nothing away.</summary>
    public double SurfaceM2
    {
        get
        {
            var front = WidthM * HeightM;
            var side = DepthM * HeightM;
            return (WidthM * DepthM * (TopFree ? FreeTop : CoveredTop)) + (front * FreeWall) + (front * Wall(RearFree))
                + (side * (Wall(LeftFree) + Wall(RightFree)));
        }
    }

    private static double Wall(bool free) => free ? FreeWall : CoveredWall;
}
