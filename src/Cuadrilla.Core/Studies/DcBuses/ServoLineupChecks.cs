using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DcBuses;

/// <summary>
/// <c>lineup.axis-count</c>, <c>lineup.control-supply</c>, <c>lineup.cable-total</c>, <c>lineup.link-capacity</c> and
/// <c>lineup.module-order</c> of a modular servo lineup: a common DC bus with one control unit.
/// </summary>
internal static class ServoLineupChecks
{
    private const string Source = "docs/methods/servo-lineup.md";

    public static IEnumerable<Check> Of(DcBusModel model, SupplyContext supply) => model.Bus.Control is ServoControl.Modular control
        ? [Axes(model, control, supply), ControlSupply(model, control, supply), Cables(model, control, supply),
            Capacity(model, control, supply), Order(model)]
        : [];

    private static Check Axes(DcBusModel model, ServoControl.Modular control, SupplyContext supply) => Judged(
        model, supply, "lineup.axis-count", "Axes of the control unit", model.Bus.MemberIds.Count, control.LargestAxes, string.Empty,
        "axes that the control unit computes",
        "Relief: a second control unit, fewer axes on this one.", "axes ≤ what the control unit computes",
        $"{model.Bus.MemberIds.Count} axes");

    private static Check ControlSupply(DcBusModel model, ServoControl.Modular control, SupplyContext supply)
    {
        const string id = "lineup.control-supply";
        List<string> missing = [];
        void Need(Given value, string name)
        {
            if (!value.IsKnown)
            {
                missing.Add(name);
            }
        }

        Need(control.ControlUnit24A, "24 V current of the control unit");
        Need(control.SupplyModule24A, "24 V current of the supply module");
        Need(control.AxisModule24A, "24 V current of an axis module");
        var brakes = model.Members.Select(BrakeModel.Of).OfType<BrakeModel>().ToList();
        if (control.BrakesOn24V && brakes.Any(b => b.CoilA is null))
        {
            missing.Add("voltage and power of the brakes' coils");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(id, string.Empty, BoardRow.Plant, Title("24 V supply", model), missing);
        }

        var coils = control.BrakesOn24V ? brakes.Sum(b => b.CoilA!.Value) : 0;
        var sum = control.ControlUnit24A.Value + control.SupplyModule24A.Value + (model.Bus.MemberIds.Count * control.AxisModule24A.Value)
            + coils;
        return Judged(
            model, supply, id, "24 V supply", sum, control.Supply24A, "A", "rated current of the 24 V supply",
            "Relief: a larger 24 V supply, a second one for the brakes.",
            "ΣI of control unit, supply module, axis modules and brakes ≤ rated current",
            $"{Text.N(control.ControlUnit24A.Value)} + {Text.N(control.SupplyModule24A.Value)} + "
                + $"{model.Bus.MemberIds.Count}·{Text.N(control.AxisModule24A.Value)} + {Text.N(coils)} (brakes) = {Text.N(sum)} A");
    }

    private static Check Cables(DcBusModel model, ServoControl.Modular control, SupplyContext supply)
    {
        const string id = "lineup.cable-total";
        var open = model.Members.Where(m => !m.Input.DrivePoint.Cable.LengthM.IsKnown)
            .Select(m => $"{m.Input.DrivePoint.Tag}: length of the motor cable").ToList();
        if (open.Count > 0)
        {
            return Check.Lacking(id, string.Empty, BoardRow.Plant, Title("Sum of motor cables", model), open);
        }

        var sum = model.Members.Sum(m => m.Input.DrivePoint.Cable.LengthM.Value * m.Input.DrivePoint.Cable.ParallelRuns);
        return Judged(
            model, supply, id, "Sum of motor cables", sum, control.LargestCableM, "m",
            "largest sum of motor cables behind the supply module", "Relief: shorter cables, a larger filter, a second supply module.",
            "Σl of all axes ≤ what supply module and filter stand",
            $"{string.Join(" + ", model.Members.Select(m => Text.N(m.Input.DrivePoint.Cable.LengthM.Value)))} = {Text.N(sum)} m");
    }

    private static Check Capacity(DcBusModel model, ServoControl.Modular control, SupplyContext supply) =>
        control.LargestCapacitanceUf.IsKnown
        ? Judged(
            model, supply, "lineup.link-capacity", "Capacity of the DC link", 1e6 * model.CapacitanceF, control.LargestCapacitanceUf, "µF",
            "largest link capacitance", "Relief: axes on a second link.",
            "ΣC ≤ what the link's connections and pre-charge are made for",
            $"{Text.N(1e6 * model.CapacitanceF)} µF of {model.Members.Count} axes")
        : Check.NotConcerned("lineup.link-capacity", string.Empty, BoardRow.Plant, Title("Capacity of the DC link", model),
            "no limit beside the supply module's pre-charge is stated");

    private static Check Order(DcBusModel model)
    {
        var sizes = model.Members.Select(m => m.Converter.Item.RatedKw).ToList();
        var sorted = sizes.Zip(sizes.Skip(1)).All(p => p.First >= p.Second);
        return CheckWriter.Rule(
            "lineup.module-order", string.Empty, BoardRow.Plant, Title("Order of the modules", model), sorted
                ? Verdict.Holds
                : Verdict.Fails, "Relief: the largest module next to the supply module.",
            new Reason(
                "sizes fall from the supply module on, so that each section of the link carries the least",
                string.Join(", ", model.Members.Select(m => $"{m.Input.DrivePoint.Tag} {Text.N(m.Converter.Item.RatedKw)} kW")),
                Source, []));
    }

    private static Check Judged(
        DcBusModel model, SupplyContext supply, string id, string title, double figure, Given limit, string unit, string limitName,
        string relief, string formula, string numbers) => limit.IsKnown
        ? CheckWriter.Judged(
            id, string.Empty, BoardRow.Plant, Title(title, model), figure, limit.Value, unit, LimitSense.AtMost,
            supply.Defaults.TightMarginPct, relief,
            new Reason(formula, $"{numbers} against {Text.N(limit.Value)} {unit}", Source,
                [ReasonInput.Of(limitName, limit.Value, unit, "control of the lineup")]))
        : Check.Lacking(id, string.Empty, BoardRow.Plant, Title(title, model), [limitName]);

    private static string Title(string title, DcBusModel model) => $"{title}, {model.Bus.Name}";
}
