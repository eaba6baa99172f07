using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>From the plate rating of a converter to what it carries at its site.</summary>
public static class DeratingLadder
{
    /// <summary>Rung by rung.</summary>
    /// <param name="converter">The converter.</param>
    /// <param name="airC">Air at it, °C.</param>
    /// <param name="altitudeM">Altitude of the site, m.</param>
    public static IReadOnlyList<LadderRung> Of(ConverterAtSite converter, double airC, double altitudeM)
    {
        ArgumentNullException.ThrowIfNull(converter);
        var derating = converter.Item.Derating;
        var rungs = new List<LadderRung>
        {
            new($"rated, {(converter.Duty == OverloadDuty.Light ? "light" : "heavy")} overload", 1, converter.RatedCurrentA,
                ItemText.Converter(converter.Item)),
        };
        void Add(string name, double factor, string source) => rungs.Add(new LadderRung(name, factor, rungs[^1].CurrentA * factor, source));
        Add(
            FormattableString.Invariant($"air at converter {airC:0.#} °C"), converter.AmbientPu,
            FormattableString.Invariant($"{derating.AmbientPctPerK:0.##} %/K above {derating.AmbientFreeC:0.#} °C, ")
                + FormattableString.Invariant($"up to {derating.AmbientMaxC:0.#} °C"));
        Add(
            FormattableString.Invariant($"altitude {altitudeM:0} m"), converter.AltitudePu,
            FormattableString.Invariant($"{derating.AltitudePctPer100M:0.##} %/100 m above {derating.AltitudeFreeM:0} m, up to ")
                + FormattableString.Invariant($"{derating.AltitudeMaxM:0} m; above 2000 m check insulation and earthing too"));
        Add(FormattableString.Invariant($"switching {converter.SwitchingKhz:0.#} kHz"), converter.SwitchingPu,
            "switching curve of the item");
        if (converter.FeedPu < 1)
        {
            Add("fed by two phases", converter.FeedPu, "a three-phase unit on two conductors, unless the item states its own");
        }

        return rungs;
    }
}

/// <summary>A rung of the ladder from plate rating to site rating.</summary>
/// <param name="Name">What is taken off.</param>
/// <param name="Factor">Factor of this rung.</param>
/// <param name="CurrentA">Current after it, A.</param>
/// <param name="Source">Where the factor comes from.</param>
public sealed record LadderRung(string Name, double Factor, double CurrentA, string Source);
