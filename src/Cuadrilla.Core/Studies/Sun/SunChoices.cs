using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>Ways to connect modules, each against every limit.</summary>
public static class SunChoices
{
    // Array over what the pump takes at rated speed, as practice begins.
    private const double LeastArrayPu = 1.2;
    private const double MostArrayPu = 1.5;
    private const int Shown = 24;

    /// <summary>Ways from the most modules in series that hold downwards, and the first that does not; empty while a limit is
    /// open.</summary>
    /// <param name="feed">The array.</param>
    /// <param name="study">The year of it; null while something is missing.</param>
    /// <param name="pump">The pump, known before there is a string; null while it is not.</param>
    public static IReadOnlyList<StringWay> Of(SunFeed feed, SunStudy? study, SunPump? pump = null)
    {
        ArgumentNullException.ThrowIfNull(feed);
        var pumpKw = study?.Pump.RatedKw ?? pump?.RatedKw;
        if (feed.MostInSeries is not { } most || feed.UmpHotV is null || feed.UocColdV is null)
        {
            return [];
        }

        List<StringWay> ways = [];
        for (var n = most + 1; n >= Math.Max(1, most / 2); n--)
        {
            var stringKw = n * feed.Module.PeakW / 1e3;
            var (low, high) = pumpKw is { } kw
                ? ((int)Math.Max(1, Math.Floor(LeastArrayPu * kw / stringKw)), (int)Math.Max(1, Math.Ceiling(MostArrayPu * kw / stringKw)))
                : (feed.InParallel ?? 1, feed.InParallel ?? 1);
            ways.AddRange(Enumerable.Range(low, high - low + 1).Select(p => One(feed, n, p, pumpKw)));
        }

        if (feed is { InSeries: { } series, InParallel: { } parallel } && !ways.Exists(w => w.IsChosen))
        {
            ways.Add(One(feed, series, parallel, pumpKw));
        }

        return
        [
            .. ways.Select(w => study?.YearOf(w.InSeries, w.InParallel) is { } year && w.Holds
                ? w with { WaterM3 = year.WaterM3, WorstShare = year.WorstShare }
                : w).OrderByDescending(w => w.IsChosen).ThenByDescending(w => w.IsUsual).ThenByDescending(w => w.Holds)
                .ThenByDescending(w => w.InSeries).ThenBy(w => w.InParallel).Take(Shown),
        ];
    }

    private static StringWay One(SunFeed feed, int n, int strings, double? pumpKw)
    {
        var cold = n * feed.UocColdV!.Value;
        var kw = n * strings * feed.Module.PeakW / 1e3;
        var cellC = PvArray.CellC(feed.Module.NoctC, feed.Sun.Place.HottestC.Value, 1000);
        var needs = PvString.NeedsFuses(feed.Module, strings);
        var holds = cold <= feed.LimitV!.Value.V;
        var pu = kw / pumpKw;
        var rpm = feed.FullFluxRpm(cellC, n);
        var carries = (feed.LeastLinkV is not { } link || n * feed.UmpHotV!.Value >= link)
            && (!feed.Sun.Pumping.LeastRpm.IsKnown || rpm is null || rpm >= feed.Sun.Pumping.LeastRpm.Value);
        return new StringWay(n, strings, kw, cold, holds, n * feed.UmpHotV!.Value, feed.Model.Fitted is null ? null : feed.MotorV(cellC, n),
            rpm, needs, needs ? PvString.FuseA(feed.Module) : null, pu,
            holds && carries && pu is >= LeastArrayPu and <= MostArrayPu, n == feed.InSeries && strings == feed.InParallel);
    }
}

/// <summary>One way.</summary>
/// <param name="InSeries">Modules in series.</param>
/// <param name="InParallel">Strings.</param>
/// <param name="ArrayKw">Rated power, kW.</param>
/// <param name="ColdV">Open-circuit voltage on the coldest dawn, V.</param>
/// <param name="Holds">False where that passes a limit: it can't be chosen.</param>
/// <param name="HotV">Voltage at greatest power on the hottest noon, V.</param>
/// <param name="MotorV">At the motor then, V; null without a motor.</param>
/// <param name="FullFluxRpm">Fastest speed with full flux then, rpm; likewise.</param>
/// <param name="NeedsFuses">True where strings need fuses.</param>
/// <param name="FuseA">Their rating, A; null: none is needed or none fits.</param>
/// <param name="ArrayPu">Array over what the pump takes; null while that is not known.</param>
/// <param name="IsUsual">True where that is 1.2 to 1.5, the voltage holds and carries the pump's least speed at noon.</param>
/// <param name="IsChosen">True for the one that is chosen.</param>
public sealed record StringWay(int InSeries, int InParallel, double ArrayKw, double ColdV, bool Holds, double HotV, double? MotorV,
    double? FullFluxRpm, bool NeedsFuses, double? FuseA, double? ArrayPu, bool IsUsual, bool IsChosen)
{
    /// <summary>Water of the year, m³; null while that can't be computed.</summary>
    public double? WaterM3 { get; init; }

    /// <summary>Water over what is wanted in the worst month; null likewise, or where nothing is wanted.</summary>
    public double? WorstShare { get; init; }
}
