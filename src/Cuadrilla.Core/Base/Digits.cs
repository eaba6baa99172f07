namespace Cuadrilla.Core.Base;

/// <summary>
/// Figures leave Core with six significant digits: solutions end within 1e-9 of nominal voltage of each other wherever their search
/// began, so that the same specification gives the same digits, at most one unit of the sixth apart.
/// </summary>
public static class Digits
{
    private const int Significant = 6;

    // Powers of ten up to this one are exact.
    private const int LargestExactPower = 22;

    /// <summary>A number rounded to six significant digits; what is not finite, or smaller than 1e-17, as it is.</summary>
    public static double Kept(double value)
    {
        if (value == 0 || !double.IsFinite(value))
        {
            return value;
        }

        var decimals = Significant - 1 - (int)Math.Floor(Math.Log10(Math.Abs(value)));
        return decimals switch
        {
            < 0 => Math.Round(value / Math.Pow(10, -decimals)) * Math.Pow(10, -decimals),
            <= LargestExactPower => Math.Round(value * Math.Pow(10, decimals)) / Math.Pow(10, decimals),
            _ => value,
        };
    }

    /// <summary>The same of an entry.</summary>
    public static double? Kept(double? value) => value is { } known ? Kept(known) : null;

    /// <summary>The same of what may not be known.</summary>
    public static Given Kept(Given value) => value.IsKnown ? Given.Of(Kept(value.Value)) : value;
}
