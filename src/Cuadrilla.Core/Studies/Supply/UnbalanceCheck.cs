using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

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
            PlantMeans.Relief(new PlantMeans(supply).Spread() ?? "ask the network operator for its cause",
                "diode front ends with choke: they stand unbalance better than those without"),
            new Reason(
                "U_2/U_1 ≤ limit",
                $"{Text.N(unbalance)} % against {Text.N(defaults.UnbalancePct)} %; each front end is solved with it, the worst phase is "
                    + "judged",
                "IEC 61000-2-4; motors on the line: IEC 60034-26",
                [ReasonInput.Of("negative-sequence voltage", unbalance, "%", "source")]));
    }

    /// <summary>Each motor on the line: its load against what the unbalance leaves.</summary>
    public static IEnumerable<Check> OfMotors(SupplyContext supply)
    {
        if (!supply.Plant.Source.UnbalancePct.IsKnown)
        {
            yield break;
        }

        var unbalance = supply.Plant.Source.UnbalancePct.Value;
        foreach (var motor in supply.Plant.Distribution.Loads.OfType<BusLoad.LineMotor>())
        {
            var permitted = unbalance > supply.Data.UnbalanceDerating[^1].X ? 0 : 100 * Curve.At(supply.Data.UnbalanceDerating, unbalance);
            yield return CheckWriter.Judged(
                "supply.unbalance", string.Empty, BoardRow.Plant, $"Load of {motor.Name} under unbalance", motor.LoadingPct, permitted, "%",
                LimitSense.AtMost,
                supply.Defaults.TightMarginPct,
                PlantMeans.Relief(new PlantMeans(supply).Spread(), "a larger motor") + " Above 5 % unbalance no motor runs on the line.",
                new Reason(
                    "load ≤ derating(U_2/U_1)",
                    $"{Text.N(motor.LoadingPct)} % against {Text.N(permitted)} % at {Text.N(unbalance)} % unbalance",
                    "IEC 60034-26, NEMA MG 1",
                    [ReasonInput.Of("load in service", motor.LoadingPct, "%", motor.Name),
                        ReasonInput.Of("negative-sequence voltage", unbalance, "%", "source")])).At(motor.Id);
        }
    }
}
