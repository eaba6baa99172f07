using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.earth-leakage</c>: what leaks against what its protective conductor is.</summary>
internal static class EarthLeakageCheck
{
    public const string Id = "emc.earth-leakage";
    public const string Title = "Leakage and protective conductor";

    public static IEnumerable<Check> Of(DrivePointModel model, Bus bus, SupplyContext supply)
    {
        if (model.Starter is not null || model.WholeItem is not { } item || model.Input.HasNoLine || model.Input.Group is { IsHead: false })
        {
            yield break;
        }

        var figures = InterferenceFigures.Of(model, bus, supply.Plant);
        var point = figures.Point;
        if (figures.Leaks is not { } leaks)
        {
            yield return Check.Lacking(Id, point.Id, BoardRow.Supply, Title, ["capacitance to earth of the converter with its filter"]);
            yield break;
        }

        yield return Judged(
            point.Feeder, leaks, point.Interference.EarthDouble, point.Interference.EarthMonitored,
            missing => Check.Lacking(Id, point.Id, BoardRow.Supply, Title, missing),
            why => Check.NotConcerned(Id, point.Id, BoardRow.Supply, Title, why),
            (verdict, relief, words) => CheckWriter.Rule(Id, point.Id, BoardRow.Supply, Title, verdict, relief,
                ReasonOf(words, point.Interference, item)));
    }

    /// <summary>The same of a supply module of a common DC bus.</summary>
    public static Check Of(CommonDcBus dc, SupplyModuleItem module, Bus bus, SupplyContext supply)
    {
        var title = $"{Title}, {dc.Name}";
        return (InterferenceFigures.Leakage(module.Emc, module.FrontEnd, dc.EmcFilter, dc.LinksOpen, bus,
            supply.Plant.Source.FrequencyHz) is not { } leaks
            ? Check.Lacking(Id, string.Empty, BoardRow.Plant, title, ["capacitance to earth of the supply module with its filter"])
            : Judged(
                dc.Feeder, leaks, isDouble: false, isMonitored: false,
                missing => Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing),
                why => Check.NotConcerned(Id, string.Empty, BoardRow.Plant, title, why),
                (verdict, relief, words) => CheckWriter.Rule(Id, string.Empty, BoardRow.Plant, title, verdict, relief,
                    new Reason(Rule, words, Source, [])))).At(dc.Id);
    }

    private const string Rule = "above 3.5 mA: fixed connection, and ≥ 10 mm² Cu or 16 mm² Al, a second equal conductor, or disconnection "
        + "on its loss";
    private const string Source = "IEC 61800-5-1; docs/methods/leakage.md";

    private static Reason ReasonOf(string words, PointInterference stated, ConverterItem item) => new(
        Rule, words, Source, [ReasonInput.Of("capacitance to earth",
            item.Emc.CapacitanceUf(stated.LinksOpen ? EmcFilter.None : stated.Filter) ?? 0, "µF", item.Id)]);

    private static Check Judged(
        Feeder feeder, FilterLeakage.Currents leaks, bool isDouble, bool isMonitored, Func<IEnumerable<string>, Check> lacking,
        Func<string, Check> apart,
        Func<Verdict, string, string, Check> rule)
    {
        if (feeder is not Feeder.ByCable cable)
        {
            return apart($"leaks {Text.N(leaks.TotalMa)} mA; it stands on the busbar, whose protective "
                + "bar its builder proves (IEC 61439-1)");
        }

        double? section = cable.ProtectiveMm2.IsKnown
            ? cable.ProtectiveMm2.Value
            : cable.CrossSectionMm2.IsKnown ? ProtectiveConductor.ByTableMm2(cable.CrossSectionMm2.Value) : null;
        var earth = new EarthConnection(section, cable.Material, isDouble || cable.ParallelRuns > 1, isMonitored);
        var words = $"{Text.N(leaks.LineMa)} mA at line frequency and {Text.N(leaks.TripleMa)} mA at three times it: "
            + $"{Text.N(leaks.TotalMa)} mA as a bound, {Text.N(leaks.PhaseLostMa)} mA with a phase lost; "
            + "protective conductor "
            + $"{(section is { } mm2 ? Text.N(mm2) + " mm²" : "not stated")}{(earth.IsDouble ? ", a second one" : string.Empty)}"
            + $"{(earth.IsMonitored ? ", its loss disconnects" : string.Empty)}";
        if (FilterLeakage.EarthHolds(leaks, earth) is not { } holds)
        {
            return lacking(["section of the protective conductor"]);
        }

        return rule(
            holds ? Verdict.Holds : Verdict.Fails,
            "Relief: 10 mm² copper or 16 mm² aluminium all the way, a second protective conductor of the same section, or disconnection "
                + "on its loss. "
            + "Connect it before anything else, part it last.",
            words);
    }
}
