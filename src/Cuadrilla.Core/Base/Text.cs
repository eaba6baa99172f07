using System.Globalization;

namespace Cuadrilla.Core.Base;

/// <summary>Numbers in sentences: significant digits, a point for decimals, no zeros at the end, no thousands separator, no
/// exponent.</summary>
public static class Text
{
    private static readonly string[] Fixed = ["F0", "F1", "F2", "F3", "F4", "F5", "F6", "F7", "F8", "F9"];
    private static readonly double[] Powers = [1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9];

    // Up to here a product is within 1e-7 of what it stands for.
    private const double MostScaled = 1e9;
    private const double SureOfRounding = 1e-6;

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
        Span<char> text = stackalloc char[48];

        // Written without detours: each edit of a large plant says tens of thousands of numbers.
        if (Scaled(value, decimals) is var digits and >= 0)
        {
            return Written(text, digits, decimals, value < 0);
        }

        if (!value.TryFormat(text, out var written, Fixed[decimals], CultureInfo.InvariantCulture))
        {
            return value.ToString(Fixed[decimals], CultureInfo.InvariantCulture);
        }

        text = text[..written];
        return new string(decimals == 0 ? text : text.TrimEnd('0').TrimEnd('.'));
    }

    // The number without its sign in units of its last decimal; −1 where a product of doubles does not tell which way it is rounded.
    private static long Scaled(double value, int decimals)
    {
        var scaled = Math.Abs(value) * Powers[decimals];
        var floor = Math.Floor(scaled);
        var rest = scaled - floor;
        return scaled < MostScaled && Math.Abs(rest - 0.5) > SureOfRounding ? (long)floor + (rest > 0.5 ? 1 : 0) : -1;
    }

    private static string Written(Span<char> text, long digits, int decimals, bool isNegative)
    {
        while (decimals > 0 && digits % 10 == 0)
        {
            (digits, decimals) = (digits / 10, decimals - 1);
        }

        var at = text.Length;
        for (var n = 0; digits > 0 || n <= decimals; n++)
        {
            if (n == decimals && decimals > 0)
            {
                text[--at] = '.';
            }

            (digits, text[--at]) = (digits / 10, (char)('0' + (digits % 10)));
        }

        if (isNegative)
        {
            text[--at] = '-';
        }

        return new string(text[at..]);
    }
}
