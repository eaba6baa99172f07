using System.Globalization;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Units;

/// <summary>A kind of quantity: the unit in which it is kept, those in which it is shown, and all that are understood.</summary>
/// <param name="Kept">Key: the unit in which it is kept; after a stroke what tells it from others kept in that unit
/// (<c>m³/s/liquid</c>).</param>
/// <param name="Shown">Unit shown in SI.</param>
/// <param name="Us">Unit shown in US customary units; the same where engineers there use it too.</param>
/// <param name="Accepts">Units understood: kept = (typed + offset)·factor; by their name in lower case.</param>
/// <param name="Names">Sizes that have names, kept value each: conductors by AWG.</param>
public sealed partial record Quantity(
    string Kept, string Shown, string Us, IReadOnlyDictionary<string, (double Factor, double Offset)> Accepts,
    IReadOnlyDictionary<string, double> Names)
{
    // A named size stands for what lies so near it.
    private const double NameWithin = 0.015;

    private const int Digits = 4;

    /// <summary>Unit in which a project shows it; empty where the value brings its own name or is a plain number.</summary>
    public string UnitIn(UnitSystem system) => system == UnitSystem.UsCustomary && Names.Count == 0 ? Us : Shown;

    /// <summary>A kept value in the unit shown.</summary>
    public double In(UnitSystem system, double kept)
    {
        var unit = UnitIn(system);
        return unit.Length > 0 && Accepts.TryGetValue(Normal(unit), out var by) ? (kept / by.Factor) - by.Offset : kept;
    }

    /// <summary>A kept value with its unit, as people of these units write it.</summary>
    public string Say(UnitSystem system, double kept, int digits = Digits)
    {
        if (system == UnitSystem.UsCustomary && Names.Where(n => Math.Abs(n.Value - kept) <= NameWithin * n.Value).Select(n => n.Key)
            .FirstOrDefault() is { } name)
        {
            return name;
        }

        var unit = UnitIn(system);
        return unit.Length > 0 ? $"{Text.N(In(system, kept), digits)} {unit}" : Text.N(kept, digits);
    }

    /// <summary>Reads "75", "75 kW", "100 hp", "1,5 mm2", "4/0 AWG"; null when it is no number, or of no unit known here.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="system">Units meant where none is typed.</param>
    public double? Read(string text, UnitSystem system = UnitSystem.Si)
    {
        var typed = Normal(text);
        if (Named(typed) is { } size)
        {
            return size;
        }

        if (Typed().Match(typed) is not { Success: true } match
            || !double.TryParse(match.Groups[1].Value.Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
                || !double.IsFinite(number))
        {
            return null;
        }

        if (match.Groups[2].Value.Length == 0 && system == UnitSystem.UsCustomary && Names.Count > 0)
        {
            // 12 is 12 AWG to one and 12 mm² to another.
            return null;
        }

        var unit = match.Groups[2].Value.Length > 0 ? match.Groups[2].Value : Normal(UnitIn(system));
        return unit.Length == 0 ? number : Accepts.TryGetValue(unit, out var by) ? (number + by.Offset) * by.Factor : null;
    }

    private double? Named(string typed)
    {
        if (Names.Count == 0)
        {
            return null;
        }

        var plain = typed.Replace("#", string.Empty, StringComparison.Ordinal).Replace("no. ", string.Empty, StringComparison.Ordinal);
        return Names.Where(n => Normal(n.Key) == plain || Normal(n.Key) == AwgSpacing().Replace(plain, " awg")
            || (typed.StartsWith('#') || plain.Contains('/')) && Normal(n.Key) == plain + " awg")
            .Select(n => (double?)n.Value).FirstOrDefault();
    }

    internal static string Normal(string unit) => Spaces().Replace(unit, " ").Trim().ToLowerInvariant();

    [GeneratedRegex(@"^([-+]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[-+]?\d+)?)\s*(.*?)$")]
    private static partial Regex Typed();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"\s*awg$")]
    private static partial Regex AwgSpacing();
}
