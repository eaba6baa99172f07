namespace Cuadrilla.Core.Assessment.Checks;

/// <summary><c>supply.unbalance</c>.</summary>
internal static class UnbalanceCheck
{
    public static Check Of(SupplyContext supply)
    {
        const string id = "supply.unbalance";
        const string title = "Unbalance of the supply";
        var (plant, defaults) = (supply.Plant, supply.Defaults);
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
}
