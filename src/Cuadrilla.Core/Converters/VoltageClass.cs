namespace Cuadrilla.Core.Converters;

/// <summary>Units are made for classes of line voltage: one for 480 V stands no more in its link than one for 400 V.</summary>
public static class VoltageClass
{
    // 200 to 240, 380 to 500 and 525 to 690 V.
    private static readonly (double UpToV, double Pu)[] Classes = [(240, 0.5), (500, 1), (double.PositiveInfinity, 690.0 / 480)];

    /// <summary>Levels of the link of a class over those of the class of 380 to 500 V.</summary>
    /// <param name="lineV">Rated voltage, V.</param>
    public static double LinkPu(double lineV) => Classes.First(c => lineV <= c.UpToV).Pu;
}
