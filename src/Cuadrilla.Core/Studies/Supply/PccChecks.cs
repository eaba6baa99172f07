using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>The three <c>harmonics.pcc-*</c>, over all scenarios, worst named.</summary>
internal static class PccChecks
{
    private const string TddId = "harmonics.pcc-tdd";
    private const string TddTitle = "TDD at the PCC";
    private const string OrdersId = "harmonics.pcc-orders";
    private const string OrdersTitle = "PCC current";
    private const string VoltageId = "harmonics.pcc-voltage";
    private const string VoltageTitle = "PCC voltage";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> lacking)
    {
        var (plant, data, defaults, scenarios, demand, _) = supply;
        List<string> missing = [.. lacking];
        if (missing.Count == 0 && demand is null)
        {
            missing.Add("a load, or the maximum demand");
        }

        if (missing.Count == 0 && double.IsInfinity(demand!.FaultA))
        {
            missing.Add("fault level of the source: with an infinite source nothing can be judged at its own bus");
        }

        if (missing.Count > 0)
        {
            yield return Check.Lacking(TddId, string.Empty, BoardRow.Plant, TddTitle, missing);
            yield return Check.Lacking(OrdersId, string.Empty, BoardRow.Plant, OrdersTitle, missing);
            yield return Check.Lacking(VoltageId, string.Empty, BoardRow.Plant, VoltageTitle, missing);
            yield break;
        }

        Check Doubted(Check check) => demand!.IsStated ? check : check.AtBestTight(
            "the maximum demand is not stated and taken from the largest scenario: with less demand the limit is nearer",
            "Relief: state the maximum demand of the installation (15 or 30 min).");
        yield return Doubted(Tdd(plant, data.PccLimits, defaults, scenarios, demand!));
        yield return Doubted(Orders(plant, data.PccLimits, defaults, scenarios, demand!));
        yield return Voltage(plant, data.PccLimits, defaults, scenarios);
    }

    private static Check Tdd(PlantSpecification plant, HarmonicLimits limits, DefaultsInForce defaults,
        IReadOnlyList<ScenarioResult> scenarios, PccDemand demand)
    {
        var row = limits.CurrentRow(demand.Ratio, plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV);
        var worst = scenarios.MaxBy(s => s.Pcc.HarmonicA)!;
        var tdd = worst.Pcc.TddPct(demand.CurrentA);
        var reason = new Reason(
            "TDD = 100·√(ΣI_h²)/I_L, h = 2…50, phasors of all rectifiers added",
            $"100·{Text.N(worst.Pcc.HarmonicA)}/{Text.N(demand.CurrentA)} = {Text.N(tdd)} % (THDi of the present current: "
                + $"{Text.N(worst.Pcc.ThdiPct)} %, another ratio); limit for Isc/IL = {Text.N(demand.Ratio)}",
            $"{limits.Source}, {limits.Edition}",
            demand.Inputs());
        return CheckWriter.Judged(
            TddId, string.Empty, BoardRow.Plant, TddTitle, tdd, row.TddPct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: " + Resonances(plant, worst) + "converters with choke, especially the largest without one.", reason,
            worst.ScenarioName);
    }

    private static Check Orders(PlantSpecification plant, HarmonicLimits limits, DefaultsInForce defaults,
        IReadOnlyList<ScenarioResult> scenarios, PccDemand demand)
    {
        var row = limits.CurrentRow(demand.Ratio, plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV);
        var (scenario, order, pct, limit) = scenarios
            .SelectMany(s => Enumerable.Range(2, 49).Select(h => (
                Scenario: s, Order: h, Pct: 100 * Largest(s, h) / demand.CurrentA, Limit: limits.OrderLimitPct(row, h))))
            .MaxBy(x => x.Pct / x.Limit);
        var reason = new Reason(
            "100·I_h/I_L for each order against its band; the nearest is shown",
            $"order {order}: 100·{Text.N(Largest(scenario, order))}/{Text.N(demand.CurrentA)} = {Text.N(pct)} %, limit {Text.N(limit)} % "
                + $"for Isc/IL = {Text.N(demand.Ratio)}",
            $"{limits.Source}, {limits.Edition}",
            demand.Inputs());
        return CheckWriter.Judged(
            OrdersId, string.Empty, BoardRow.Plant, FormattableString.Invariant($"{OrdersTitle}, order {order}"), pct, limit, "%",
            LimitSense.AtMost,
            defaults.TightMarginPct, "Relief: " + Resonances(plant, scenario) + "converters with choke.", reason, scenario.ScenarioName);
    }

    // A bank without reactor and the reactance behind its bus: h = √(X_C/X).
    private static string Resonances(PlantSpecification plant, ScenarioResult result)
    {
        var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
        var found = plant.Distribution.CapacitorBanks
            .Where(b => !b.DetuningPct.IsKnown && scenario.StepsOnOf(b) > 0 && result.Network.IsLive(b.BusId))
            .Select(b => (b.Name, Order: Math.Sqrt(b.CapacitorOhm(scenario.StepsOnOf(b),
                result.Network.VoltageV(b.BusId)) / result.Network.ImpedanceOhm(b.BusId).Imaginary)))
            .Where(b => b.Order < 25)
            .Select(b => $"a reactor for {b.Name}, which resonates near order {Text.N(b.Order, 2)}, ");
        return string.Concat(found);
    }

    private static double Largest(ScenarioResult scenario, int order) => scenario.PccPhases.Max(p => p.CurrentA[order - 1].Magnitude);

    private static Check Voltage(
        PlantSpecification plant, HarmonicLimits limits, DefaultsInForce defaults, IReadOnlyList<ScenarioResult> scenarios)
    {
        var nominal = plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV;
        var row = limits.VoltageRow(nominal);
        var worst = scenarios.MaxBy(s => s.PccPhases.Max(p => p.ThdvPct))!;
        var thdv = worst.PccPhases.Max(p => p.ThdvPct);
        var order = Enumerable.Range(2, 49).MaxBy(h => worst.PccPhases.Max(p => p.VoltagePct[h - 1]));
        var single = worst.PccPhases.Max(p => p.VoltagePct[order - 1]);
        var bySingle = single / row.EachPct > thdv / row.ThdPct;
        var reason = new Reason(
            "Y_h·V_h = −I_h on the network of each order, THDv = √(ΣV_h²)/V_1; each order and the total have a limit, the nearer is shown",
            $"THDv {Text.N(thdv)} % (limit {Text.N(row.ThdPct)} %); largest order {order}: {Text.N(single)} % (limit "
                + $"{Text.N(row.EachPct)} %)",
            $"{limits.Source}, {limits.Edition}",
            [
                ReasonInput.Of("nominal voltage at the PCC", nominal, "V", "plant"),
                ReasonInput.Of("impedance behind the PCC", 1e3 * worst.Network.ImpedanceOhm(plant.Pcc.BusId).Magnitude, "mΩ", "network"),
                ReasonInput.Of("source", worst.Network.AssumedInfinite ? "assumed infinite: optimistic" : "fault level stated", "plant"),
            ]);
        return CheckWriter.Judged(
            VoltageId, string.Empty, BoardRow.Plant, bySingle
                ? FormattableString.Invariant($"{VoltageTitle}, order {order}")
                : VoltageTitle + " distortion",
            bySingle ? single : thdv, bySingle ? row.EachPct : row.ThdPct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: " + Resonances(plant, worst) + "converters with choke, a stronger supply.", reason, worst.ScenarioName);
    }
}
