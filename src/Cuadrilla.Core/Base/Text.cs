using System.Globalization;

namespace Cuadrilla.Core.Base;

/// <summary>Numbers in sentences: significant digits, a point for decimals, no zeros at the end, no thousands separator, no exponent.</summary>
public static class Text
{
    /// <summary>A number with so many significant digits.</summary>
    public static string N(double value, int significant = 4)
    {
        if (double.IsInfinity(value))
        {
            return value > 0 ? "∞" : "−∞";
        }

        if (value == 0 || double.IsNaN(value))
        {
            return value.ToString(CultureInfo.InvariantCulture);
        }

        var whole = (int)Math.Floor(Math.Log10(Math.Abs(value))) + 1;
        var decimals = Math.Clamp(significant - whole, 0, 9);
        var text = value.ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
        return decimals == 0 ? text : text.TrimEnd('0').TrimEnd('.');
    }
}
