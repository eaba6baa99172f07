using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.category</c> and <c>emc.motor-cable</c> of a drive point, and of the supply module that feeds several.</summary>
internal static class EmcChecks
{
    private const string CategoryId = "emc.category";
    private const string CategoryTitle = "Interference, category";
    private const string CableId = "emc.motor-cable";
    private const string CableTitle = "Longest motor cable";
    private const string Standard = "IEC 61800-3";

    public static IEnumerable<Check> Of(DrivePointModel model, Bus bus, SupplyContext supply)
    {
        if (model.Starter is not null || model.WholeItem is null || model.Input.Group is { IsHead: false })
        {
            yield break;
        }

        var figures = InterferenceFigures.Of(model, bus, supply.Plant);
        if (!model.Input.HasNoLine)
        {
            yield return Category(figures, supply);
        }

        foreach (var check in MotorCable(figures, supply))
        {
            yield return check;
        }
    }

    /// <summary>Supply modules of common DC buses, and the plan that takes the place of limits where drives ask for one.</summary>
    public static IEnumerable<Check> OfPlant(SupplyContext supply, IReadOnlyList<DrivePointModel> models)
    {
        var byId = models.ToDictionary(m => m.Id, StringComparer.Ordinal);
        List<string> planned = [];
        foreach (var lineup in supply.Plant.Lineups)
        {
            var bus = supply.Plant.Distribution.Bus(lineup.BusId);
            planned.AddRange(lineup.DrivePoints.Select(p => byId[p.Id])
                .Where(m => m is { Starter: null, WholeItem: not null, Input.HasNoLine: false, Input.Group: null or { IsHead: true } })
                .Where(m => NeededCategory.Of(supply.Plant, bus, m.WholeItem!.LightCurrentA).ByPlan).Select(m => m.Input.DrivePoint.Tag));
            foreach (var dc in lineup.DcBuses)
            {
                if (supply.Data.SupplyModules.GetValueOrDefault(dc.SupplyModuleId) is { } module)
                {
                    if (NeededCategory.Of(supply.Plant, bus, InputA(module)).ByPlan)
                    {
                        planned.Add(dc.Name);
                    }

                    yield return EarthLeakageCheck.Of(dc, module, bus, supply);
                    if (ItSystemCheck.Of(dc, module, bus) is { } open)
                    {
                        yield return open;
                    }

                    yield return Module(dc, module, bus, supply, [.. dc.MemberIds.Where(byId.ContainsKey).Select(id => byId[id])]);
                }
            }
        }

        foreach (var check in ReceiverChecks.Of(supply, models))
        {
            yield return check;
        }

        if (planned.Count > 0)
        {
            yield return CheckWriter.Rule(
                CategoryId, string.Empty, BoardRow.Plant, "Interference, plan for the plant", Verdict.Tight,
                "Agree a plan for the plant with its operator: zones, filters, cables, receivers nearby.",
                new Reason("IT system, 400 A and more, 1000 V and more: category C4, by a plan", $"C4: {string.Join(", ", planned)}",
                    Standard, [])).At("emc-plan");
        }
    }

    private static double InputA(SupplyModuleItem module) => module.RatedKw * 1e3 / (Math.Sqrt(3) * module.RatedVoltageV);

    private static Check Module(CommonDcBus dc, SupplyModuleItem module, Bus bus, SupplyContext supply,
        IReadOnlyList<DrivePointModel> members)
    {
        var cables = members.Select(m => m.Input.DrivePoint.Cable).ToList();
        double? lengthM = cables.All(c => c.LengthM.IsKnown) ? cables.Sum(c => c.ParallelRuns * c.LengthM.Value) : null;
        var khz = members.Select(m => m.Choice?.SwitchingKhz ?? 0).DefaultIfEmpty(0).Max();
        var title = $"{CategoryTitle}, {dc.Name}";
        return Judged(
            NeededCategory.Of(supply.Plant, bus, InputA(module)), module.Emc.Of(dc.EmcFilter), module.Emc.With(dc.EmcFilter), lengthM,
            cables.All(c => c.Screened), khz, dc.LinksOpen, missing =>
                Check.Lacking(CategoryId, string.Empty, BoardRow.Plant, title, missing),
            why => Check.NotConcerned(CategoryId, string.Empty, BoardRow.Plant, title, why),
            (verdict, relief, words) => CheckWriter.Rule(CategoryId, string.Empty, BoardRow.Plant, title, verdict, relief, new Reason(
                "declared category, with this filter, all motor cables together and switching frequency ≤ category of the site", words,
                $"{Standard}; the maker's declaration",
                [ReasonInput.Of("motor cables together", lengthM is { } m ? Text.N(m) + " m" : "not stated", dc.Name),
                    ReasonInput.Of("highest switching frequency", khz, "kHz", "inverters")]))).At(dc.Id);
    }

    private static Check Category(InterferenceFigures figures, SupplyContext supply)
    {
        var (point, item) = (figures.Point, figures.Item!);
        var needed = NeededCategory.Of(supply.Plant, figures.Bus, item.LightCurrentA);
        return Judged(
            needed, figures.Filter, figures.Declared, figures.Switches ? figures.CableM : 0, point.Cable.Screened || !figures.Switches,
            figures.Choice!.SwitchingKhz,
            point.Interference.LinksOpen, missing => Check.Lacking(CategoryId, point.Id, BoardRow.Converter, CategoryTitle, missing),
            why => Check.NotConcerned(CategoryId, point.Id, BoardRow.Converter, CategoryTitle, why),
            (verdict, relief, words) => CheckWriter.Rule(CategoryId, point.Id, BoardRow.Converter, CategoryTitle, verdict, relief,
                new Reason(
                "declared category, with this filter, length and switching frequency ≤ category of the site", words,
                $"{Standard}; the maker's declaration",
                [ReasonInput.Of("motor cable", figures.CableM is { } m ? Text.N(m) + " m" : "not stated", "drive point"),
                    ReasonInput.Of("switching frequency", figures.Choice!.SwitchingKhz, "kHz", "converter")])));
    }

    internal static Check Judged(
        NeededCategory needed, EmcFilter filter, FilterDeclaration? declared, double? cableM, bool screened, double switchingKhz,
        bool linksOpen,
        Func<IEnumerable<string>, Check> lacking, Func<string, Check> byPlan, Func<Verdict, string, string, Check> rule)
    {
        if (needed.Category is not { } category)
        {
            return lacking([needed.Why]);
        }

        if (needed.ByPlan)
        {
            return byPlan($"{needed.Why}: category C4, limits are set by a plan for the plant and not by a table");
        }

        if (filter == EmcFilter.None || linksOpen)
        {
            return rule(
                Verdict.Fails, "Relief: a filter for " + category + ", its earth links closed.",
                $"{needed.Why}: {category} is asked; {(linksOpen ? "the earth links of the filter are open" : "no filter")}: nothing is "
                    + "declared");
        }

        List<string> missing = [];
        if (declared is null)
        {
            missing.Add("the maker's declaration of category for this converter and filter");
        }
        else
        {
            if (cableM is not { } m)
            {
                missing.Add("length of the motor cable");
            }
            else if (m > declared.MostScreenedM)
            {
                missing.Add($"the maker's declaration for {Text.N(m)} m of motor cable; with this filter it goes to "
                    + $"{Text.N(declared.MostScreenedM)} m");
            }

            if (!screened)
            {
                missing.Add("the maker's declaration for an unscreened motor cable; a screened one is declared");
            }

            if (switchingKhz > declared.MostSwitchingKhz)
            {
                missing.Add($"the maker's declaration for {Text.N(switchingKhz)} kHz; with this filter it goes to "
                    + $"{Text.N(declared.MostSwitchingKhz)} kHz");
            }
        }

        if (missing.Count > 0)
        {
            return lacking(missing);
        }

        var words = $"{needed.Why}: {category} is asked; {declared!.Category} is declared up to {Text.N(declared.MostScreenedM)} m of "
            + $"screened cable and {Text.N(declared.MostSwitchingKhz)} kHz";
        return rule(declared.Category <= category ? Verdict.Holds : Verdict.Fails, $"Relief: a filter for {category}.", words);
    }

    private static IEnumerable<Check> MotorCable(InterferenceFigures figures, SupplyContext supply)
    {
        var (point, item) = (figures.Point, figures.Item!);
        if (!figures.Chops)
        {
            yield break;
        }

        if (figures.CableM is not { } length)
        {
            yield return Check.Lacking(CableId, point.Id, BoardRow.Cable, CableTitle, ["length of the motor cable"]);
            yield break;
        }

        var most = point.Cable.Screened ? item.Emc.MostScreenedM : item.Emc.MostUnscreenedM;
        if (most is not { } mostM)
        {
            yield return Check.Lacking(CableId, point.Id, BoardRow.Cable, CableTitle,
                [$"longest {(point.Cable.Screened ? "screened" : "unscreened")} motor cable that the converter's maker permits"]);
        }
        else
        {
            yield return CheckWriter.Judged(
                CableId, point.Id, BoardRow.Cable, "Longest motor cable", length, mostM, "m", LimitSense.AtMost, 0,
                "Relief: a dv/dt or sine filter as the maker permits, an unscreened cable where interference allows, the converter nearer "
                    + "to its motor.",
                new Reason(
                    "length of all motor cables ≤ longest that the maker permits",
                    $"{Text.N(length)} m {(point.Cable.Screened ? "screened" : "unscreened")} against {Text.N(mostM)} m",
                    "the converter's maker",
                    [ReasonInput.Of("length", length, "m", "motor cable")]));
        }

        if (point.Cable.Screened && figures.Edge is { } edge)
        {
            yield return CheckWriter.Judged(
                CableId, point.Id, BoardRow.Cable, "Charging current of the cable", edge.ChargingA, edge.PermittedA, "A", LimitSense.AtMost,
                supply.Defaults.TightMarginPct,
                "Relief: a lower switching frequency, a larger converter, a shorter or thinner cable, a sine filter.",
                new Reason(
                    "C·U_dc·f_sw ≤ 0.1·I_N of the converter",
                    $"{Text.N(edge.CapacitanceNf)} nF · {Text.N(figures.LinkV!.Value)} V · {Text.N(figures.Choice!.SwitchingKhz)} kHz = "
                        + $"{Text.N(edge.ChargingA, 3)} A; each edge {Text.N(edge.PeakA, 3)} A at most; "
                    + $"loss {Text.N(3 * edge.LossW)} W in all three conductors",
                    "docs/methods/common-mode.md", [ReasonInput.Of("rated current", item.LightCurrentA, "A", item.Id)])).At("charging");
        }
    }
}
