using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Checks;

/// <summary><c>supply.transformer-loading</c> and the three <c>harmonics.pcc-*</c>, over all scenarios, worst named.</summary>
internal static class PlantChecks
{
    private const string LoadingId = "supply.transformer-loading";
    private const string LoadingTitle = "Transformer loading";
    private const string TddId = "harmonics.pcc-tdd";
    private const string TddTitle = "TDD at the PCC";
    private const string OrdersId = "harmonics.pcc-orders";
    private const string OrdersTitle = "PCC current";
    private const string VoltageId = "harmonics.pcc-voltage";
    private const string VoltageTitle = "PCC voltage";

    public static IEnumerable<Check> Of(
        PlantSpecification plant,
        EngineeringData data,
        DefaultsInForce defaults,
        BusNetwork? network,
        IReadOnlyList<ScenarioResult> scenarios,
        PccDemand? demand,
        IReadOnlyList<string> incomplete)
    {
        yield return Unbalance(plant, defaults);
        List<string> missing = [.. BusNetwork.Missing(plant), .. incomplete, .. scenarios.SelectMany(s => s.Unsettled).Distinct()];
        yield return missing.Count > 0
            ? Check.Lacking(LoadingId, string.Empty, BoardRow.Plant, LoadingTitle, missing)
            : Loading(plant, defaults, scenarios);
        if (missing.Count == 0 && plant.Source.NominalVoltageV > data.PccLimits.MaxVoltageV)
        {
            missing.Add(FormattableString.Invariant($"limits above {data.PccLimits.MaxVoltageV} V, which the catalogue does not hold"));
        }

        if (missing.Count == 0 && demand is null)
        {
            missing.Add("a load, or the maximum demand");
        }

        if (missing.Count == 0 && plant.Pcc == PccLocation.TransformerPrimary && network!.AssumedInfinite)
        {
            missing.Add("fault level of the source: with an infinite source nothing can be judged at the primary");
        }

        if (missing.Count > 0)
        {
            yield return Check.Lacking(TddId, string.Empty, BoardRow.Plant, TddTitle, missing);
            yield return Check.Lacking(OrdersId, string.Empty, BoardRow.Plant, OrdersTitle, missing);
            yield return Check.Lacking(VoltageId, string.Empty, BoardRow.Plant, VoltageTitle, missing);
            yield break;
        }

        yield return Tdd(data.PccLimits, defaults, scenarios, demand!);
        yield return Orders(data.PccLimits, defaults, scenarios, demand!);
        yield return Voltage(plant, data.PccLimits, defaults, network!, scenarios);
    }

    private static Check Unbalance(PlantSpecification plant, DefaultsInForce defaults)
    {
        const string id = "supply.unbalance";
        const string title = "Unbalance of the supply";
        if (!plant.Source.UnbalancePct.IsKnown)
        {
            return Check.NotConcerned(id, string.Empty, BoardRow.Plant, title, "no unbalance has been stated; none is reckoned with");
        }

        var unbalance = plant.Source.UnbalancePct.Value;
        return CheckWriter.Judged(
            id, string.Empty, BoardRow.Plant, title, unbalance, defaults.UnbalancePct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: spread the single-phase loads; diode front ends with choke stand unbalance better than those without.",
            new Reason(
                "U_2/U_1 ≤ limit",
                $"{Text.N(unbalance)} % against {Text.N(defaults.UnbalancePct)} %; each front end is solved with it, the worst phase is judged",
                "IEC 61000-2-4; motors on the line: IEC 60034-26",
                [Text.In("negative-sequence voltage", unbalance, "%", "source")]));
    }

    private static Check Loading(PlantSpecification plant, DefaultsInForce defaults, IReadOnlyList<ScenarioResult> scenarios)
    {
        var ratedA = plant.Transformer.RatedKva * 1e3 / (Math.Sqrt(3) * plant.Bus.NominalVoltageV);
        var worst = scenarios.MaxBy(s => s.BusRmsA / (s.Heat?.MaxCurrentPu ?? 1))!;
        var permitted = worst.Heat?.MaxCurrentPu ?? 1;
        if (!plant.Transformer.EddyLossPu.IsKnown)
        {
            return Check.Lacking(LoadingId, string.Empty, BoardRow.Plant, LoadingTitle, ["rated eddy-loss share of the transformer"]);
        }

        var loading = 100 * worst.BusRmsA / (ratedA * permitted);
        var reason = new Reason(
            "100·I_rms/(I_rated·I_max), I_max = √((1 + P_EC)/(1 + F_HL·P_EC)), F_HL = Σ(h·I_h)²/ΣI_h²",
            $"100·{Text.N(worst.BusRmsA)}/({Text.N(ratedA)}·{Text.N(permitted)}) = {Text.N(loading)} %, F_HL = {Text.N(worst.Heat?.HarmonicLossFactor ?? 1)}",
            "IEEE C57.110; all scenarios, worst named",
            [
                Text.In("rms current at the bus", worst.BusRmsA, "A", "sum of rectifiers and linear load"),
                Text.In("rated power", plant.Transformer.RatedKva, "kVA", "transformer"),
                Text.In("rated eddy-loss share", plant.Transformer.EddyLossPu.Value, "pu", "transformer"),
                Text.In("linear load", plant.Bus.LinearLoadKw, "kW", "bus"),
            ]);
        return CheckWriter.Judged(
            LoadingId, string.Empty, BoardRow.Plant, LoadingTitle, loading, defaults.TransformerLoadingPct, "%", LimitSense.AtMost,
            defaults.TightMarginPct, "Relief: less simultaneous load, converters with choke, a larger transformer.", reason, worst.ScenarioName);
    }

    private static Check Tdd(HarmonicLimits limits, DefaultsInForce defaults, IReadOnlyList<ScenarioResult> scenarios, PccDemand demand)
    {
        var row = limits.CurrentRow(demand.Ratio);
        var worst = scenarios.MaxBy(s => s.Pcc.HarmonicA)!;
        var tdd = worst.Pcc.TddPct(demand.CurrentA);
        var reason = new Reason(
            "TDD = 100·√(ΣI_h²)/I_L, h = 2…50, phasors of all rectifiers added",
            $"100·{Text.N(worst.Pcc.HarmonicA)}/{Text.N(demand.CurrentA)} = {Text.N(tdd)} % (THDi of the present current: {Text.N(worst.Pcc.ThdiPct)} %, another ratio); limit for Isc/IL = {Text.N(demand.Ratio)}",
            $"{limits.Source}, {limits.Edition}",
            demand.Inputs());
        return CheckWriter.Judged(
            TddId, string.Empty, BoardRow.Plant, TddTitle, tdd, row.TddPct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: converters with choke, especially the largest without one.", reason, worst.ScenarioName);
    }

    private static Check Orders(HarmonicLimits limits, DefaultsInForce defaults, IReadOnlyList<ScenarioResult> scenarios, PccDemand demand)
    {
        var row = limits.CurrentRow(demand.Ratio);
        var (scenario, order, pct, limit) = scenarios
            .SelectMany(s => Enumerable.Range(2, 49).Select(h => (
                Scenario: s, Order: h, Pct: 100 * Largest(s, h) / demand.CurrentA, Limit: limits.OrderLimitPct(row, h))))
            .MaxBy(x => x.Pct / x.Limit);
        var reason = new Reason(
            "100·I_h/I_L for each order against its band; the nearest is shown",
            $"order {order}: 100·{Text.N(Largest(scenario, order))}/{Text.N(demand.CurrentA)} = {Text.N(pct)} %, limit {Text.N(limit)} % for Isc/IL = {Text.N(demand.Ratio)}",
            $"{limits.Source}, {limits.Edition}",
            demand.Inputs());
        return CheckWriter.Judged(
            OrdersId, string.Empty, BoardRow.Plant, FormattableString.Invariant($"{OrdersTitle}, order {order}"), pct, limit, "%", LimitSense.AtMost,
            defaults.TightMarginPct, "Relief: converters with choke.", reason, scenario.ScenarioName);
    }

    private static double Largest(ScenarioResult scenario, int order) => scenario.PccPhases.Max(p => p.CurrentA[order - 1].Magnitude);

    private static Check Voltage(
        PlantSpecification plant, HarmonicLimits limits, DefaultsInForce defaults, BusNetwork network, IReadOnlyList<ScenarioResult> scenarios)
    {
        var nominal = plant.Pcc == PccLocation.TransformerPrimary ? plant.Source.NominalVoltageV : plant.Bus.NominalVoltageV;
        var row = limits.VoltageRow(nominal);
        var worst = scenarios.MaxBy(s => s.PccPhases.Max(p => p.ThdvPct))!;
        var thdv = worst.PccPhases.Max(p => p.ThdvPct);
        var order = Enumerable.Range(2, 49).MaxBy(h => worst.PccPhases.Max(p => p.VoltagePct[h - 1]));
        var single = worst.PccPhases.Max(p => p.VoltagePct[order - 1]);
        var bySingle = single / row.EachPct > thdv / row.ThdPct;
        var reason = new Reason(
            "V_h = I_h·|R + j·h·X|, THDv = √(ΣV_h²)/V_1; each order and the total have a limit, the nearer is shown",
            $"THDv {Text.N(thdv)} % (limit {Text.N(row.ThdPct)} %); largest order {order}: {Text.N(single)} % (limit {Text.N(row.EachPct)} %)",
            $"{limits.Source}, {limits.Edition}",
            [
                Text.In("nominal voltage at the PCC", nominal, "V", "plant"),
                Text.In("impedance behind the bus", 1e3 * network.BusOhm.Magnitude, "mΩ", "source and transformer"),
                Text.In("source", network.AssumedInfinite ? "assumed infinite: optimistic" : "fault level stated", "plant"),
            ]);
        return CheckWriter.Judged(
            VoltageId, string.Empty, BoardRow.Plant, bySingle ? FormattableString.Invariant($"{VoltageTitle}, order {order}") : VoltageTitle + " distortion",
            bySingle ? single : thdv, bySingle ? row.EachPct : row.ThdPct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: converters with choke, a stronger supply.", reason, worst.ScenarioName);
    }
}

/// <summary>Demand current at the PCC and the short-circuit ratio that follows.</summary>
/// <param name="CurrentA">I_L, A at PCC voltage.</param>
/// <param name="FaultA">I_sc at the PCC, A.</param>
/// <param name="Origin">Where I_L comes from.</param>
public sealed record PccDemand(double CurrentA, double FaultA, string Origin)
{
    /// <summary>Isc/IL.</summary>
    public double Ratio => FaultA / CurrentA;

    internal IReadOnlyList<ReasonInput> Inputs() =>
    [
        Text.In("maximum demand current I_L", CurrentA, "A", Origin),
        Text.In("fault current Isc", FaultA, "A", "source and transformer"),
    ];
}
