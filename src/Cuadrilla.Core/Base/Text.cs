using System.Globalization;

namespace Cuadrilla.Core.Base;

/// <summary>Numbers in sentences: significant digits, a point for decimals, no zeros at the end, no thousands separator, no
/// exponent.</summary>
public static class Text
{
    private static readonly string[] Fixed = ["F0", "F1", "F2", "F3", "F4", "F5", "F6", "F7", "F8", "F9"];

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

        // Written without detours: each edit of a large plant says tens of thousands of numbers.
        var whole = (int)Math.Floor(Math.Log10(Math.Abs(value))) + 1;
        var decimals = Math.Clamp(significant - whole, 0, 9);
        Span<char> text = stackalloc char[48];
        if (!value.TryFormat(text, out var written, Fixed[decimals], CultureInfo.InvariantCulture))
        {
            return value.ToString(Fixed[decimals], CultureInfo.InvariantCulture);
        }

        text = text[..written];
        return new string(decimals == 0 ? text : text.TrimEnd('0').TrimEnd('.'));
    }
}
