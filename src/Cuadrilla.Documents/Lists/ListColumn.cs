using System.Text.RegularExpressions;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Lists;

/// <summary>A column that a drive list may have.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="Kept">Key of its quantity; null for words.</param>
/// <param name="Us">Unit of US customary people where that is not the quantity's own.</param>
/// <param name="Heads">Words that name such a column in lists.</param>
public sealed record ListColumn(string Key, string Name, string? Kept, string Us, Regex Heads)
{
    /// <summary>Columns in the order in which their heads are looked for: the narrow words first.</summary>
    public static IReadOnlyList<ListColumn> All { get; } =
    [
        Of("tag", "Tag", null, @"^(equip\w*\s*)?(tag|item)\b|tag\s*(no|num|#)|equipment\s*(no|num|#|id)|^kks|^pos\b"),
        Of("cableLength", "Motor cable, length", "m", @"(cable|wire|run).*(length|dist)|length.*cable|^length|distance"),
        Of("cableSize", "Motor cable, cross-section", "mm²", @"(cable|wire|conductor).*(size|section|awg|mm)|awg|cross.?section"),
        Of("staticHead", "Static head", "m", "static"),
        Of("class", "Efficiency class", null, @"\bie\s*class|efficiency class|^ie\b|premium"),
        Of("motorPower", "Motor, rated power", "kW",
            @"motor.*(kw|hp|power|rating|size)|(rated|nameplate|installed|nominal).*(kw|hp|power)|^(kw|hp)$|^power|^rating", "hp"),
        Of("shaftPower", "Shaft power", "kW",
            @"(shaft|brake|absorbed|duty|pump|fan|mechanical|load|required).*(kw|hp|power)|^bhp|^bkw", "hp"),
        Of("poles", "Poles", "", @"pole"),
        Of("gear", "Gear ratio", "", @"ratio|gear"),
        Of("speed", "Speed of the machine", "rpm", @"speed|rpm|1/min"),
        Of("flow", "Flow", "m³/s/liquid", @"flow|gpm|cfm|m3/h|m³/h|capacity|caudal"),
        Of("head", "Head", "m", @"head|tdh|lift height|altura"),
        Of("pressure", "Pressure", "Pa", @"pressure|static press|inwc|\bpa\b|presión"),
        Of("efficiency", "Machine efficiency", "%/part", @"eff|η"),
        Of("torque", "Torque at the machine", "Nm", @"torque|\bnm\b|lb.?ft"),
        Of("hours", "Operating hours per year", "h", @"hours|h/a|h/y|hrs"),
        Of("feed", "Starter or converter", null, @"start|feed|vfd|vsd|control|drive type|method"),
        Of("lineup", "Lineup", null, @"line.?up|mcc|panel|section|switchboard|area|bus\b|system"),
        Of("load", "Load", null, @"load|type|machine|kind|application|driven"),
        Of("name", "Name", null, @"name|desc|service|designation|equipment|duty"),
    ];

    /// <summary>The same in the order in which people write lists.</summary>
    public static IReadOnlyList<ListColumn> AsWritten { get; } =
    [
        .. new[]
        {
            "tag", "name", "lineup", "load", "feed", "motorPower", "poles", "class", "shaftPower", "speed", "gear", "torque", "flow",
            "head", "staticHead", "pressure", "efficiency", "hours",
            "cableLength", "cableSize",
        }.Select(key => All.First(c => c.Key == key)),
    ];

    /// <summary>Its quantity; plain for words.</summary>
    public Quantity Quantity => UnitTable.Of(Kept ?? string.Empty);

    /// <summary>The likely columns by their heads, each used once.</summary>
    /// <param name="heads">Heads of a list.</param>
    /// <returns>Position by key; what no head names is absent.</returns>
    public static IReadOnlyDictionary<string, int> Guess(IReadOnlyList<string> heads)
    {
        ArgumentNullException.ThrowIfNull(heads);
        Dictionary<string, int> found = new(StringComparer.Ordinal);
        foreach (var column in All)
        {
            for (var i = 0; i < heads.Count; i++)
            {
                if (!found.ContainsValue(i) && column.Heads.IsMatch(heads[i].Trim().ToLowerInvariant()))
                {
                    found[column.Key] = i;
                    break;
                }
            }
        }

        return found;
    }

    /// <summary>The unit that a head names, in brackets or as its last word; null where it names none of this quantity.</summary>
    public string? UnitIn(string head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var words = Brackets(head)
            .Concat([head.Split([' ', ',', '_'], StringSplitOptions.RemoveEmptyEntries).LastOrDefault() ?? string.Empty, head]);
        return words.Select(w => w.Trim().ToLowerInvariant())
            .FirstOrDefault(w => Quantity.Accepts.ContainsKey(w) || (Kept == "mm²" && w == "awg"));
    }

    /// <summary>
    /// What stands in the brackets of a head like a unit but is none of this quantity, as l/h; null where there is nothing like it. A
    /// bare number under it must not be read in another unit.
    /// </summary>
    public string? StrangeUnitIn(string head) =>
        Quantity.Accepts.Count == 0 || UnitIn(head) is not null
            ? null
            : Brackets(head).FirstOrDefault(w => UnitSigns.IsMatch(w)
                || (w.Length <= 4 && !Qualifiers.Contains(w.TrimEnd('.').ToLowerInvariant())));

    private static readonly Regex UnitSigns = new(@"^\S{1,16}$(?<=[/²³°·^*%0-9].*)", RegexOptions.CultureInvariant);
    private static readonly HashSet<string> Qualifiers = new(["max", "min", "nom", "norm", "typ", "est", "ca", "approx", "tot", "each",
        "avg", "mean", "calc", "duty", "new", "old", "rev", "opt"], StringComparer.Ordinal);

    private static IEnumerable<string> Brackets(string head) =>
        Regex.Matches(head, @"[\(\[]\s*([^\)\]]+?)\s*[\)\]]").Select(m => m.Groups[1].Value.Trim());

    /// <summary>True for text that is a number without a unit.</summary>
    public static bool IsBare(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return double.TryParse(text.Replace(',', '.'), System.Globalization.NumberStyles.Float,
            System.Globalization.CultureInfo.InvariantCulture, out _);
    }

    /// <summary>Reads a cell: with its own unit, else that of the head, else the project's.</summary>
    public double? Read(string text, string? unit, UnitSystem system)
    {
        ArgumentNullException.ThrowIfNull(text);
        var meant = unit ?? (system == UnitSystem.UsCustomary && Us.Length > 0 ? Us : null);
        return Quantity.Read(IsBare(text) && meant is not null ? $"{text} {meant}" : text, system);
    }

    private static ListColumn Of(string key, string name, string? kept, string heads, string us = "") =>
        new(key, name, kept, us, new Regex(heads, RegexOptions.CultureInvariant));
}
