using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Groups;

/// <summary>
/// <c>group.motor-kind</c>, <c>group.control-mode</c>, <c>group.current</c>, <c>group.motor-protection</c> and <c>group.late-start</c> of
/// each group of motors on one converter, over all scenarios.
/// </summary>
internal static class GroupChecks
{
    private const string Source = "docs/methods/motor-group.md";
    private const string Caution = "A motor whose isolator is open still hangs on a live converter through the others: lock out at the "
        + "converter before work on a branch.";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies) => supply.Plant.Lineups
        .SelectMany(l => l.Arrangements).OfType<MotorGroup>()
        .SelectMany(g => Of(GroupModel.Of(g, studies), supply));

    private static IEnumerable<Check> Of(GroupModel model, SupplyContext supply)
    {
        List<GroupAtWork> works = [.. supply.Plant.Scenarios.Select(model.At).OfType<GroupAtWork>()];
        Check[] checks = [Kind(model), Control(model), Current(model, works, supply), Protection(model, works),
            LateStart(model, works, supply)];
        return checks.Select(c => c.At(model.Group.Id));
    }

    private static Check Kind(GroupModel model)
    {
        const string title = "Motors on one converter";
        if (model.Members.Any(m => m.Model.Fitted is null))
        {
            return Check.Lacking("group.motor-kind", string.Empty, BoardRow.Plant, Title(title, model),
                model.Members.Where(m => m.Model.Fitted is null).Select(m => m.Model.Input.DrivePoint.Tag + ": motor"));
        }

        var wrong = model.Members.Where(m => m.Model.Fitted?.Item.Technology != MotorTechnology.CageInduction)
            .Select(m => m.Model.Input.DrivePoint.Tag).ToList();
        return CheckWriter.Rule(
            "group.motor-kind", string.Empty, BoardRow.Plant, Title(title, model), wrong.Count == 0 ? Verdict.Holds : Verdict.Fails,
            "Relief: cage induction motors, or a converter for each of the others.",
            new Reason(
                "only cage induction motors may hang side by side on one converter",
                wrong.Count == 0
                    ? $"{model.Members.Sum(m => m.Member.Count)} cage motors"
                    : $"not cage induction: {string.Join(", ", wrong)}; a synchronous rotor needs a converter that knows its position",
                Source, []));
    }

    private static Check Control(GroupModel model)
    {
        const string title = "Control of the group";
        if (model.Members[0].Model.Choice is not { } choice)
        {
            return Check.Lacking("group.control-mode", string.Empty, BoardRow.Plant, Title(title, model), ["converter of the group"]);
        }

        return CheckWriter.Rule(
            "group.control-mode", string.Empty, BoardRow.Plant, Title(title, model), choice.Control == MotorControl.Scalar
                ? Verdict.Holds
                : Verdict.Fails, "Relief: voltage over frequency (scalar) control.",
            new Reason(
                "scalar control only: a model of one motor cannot stand for many",
                choice.Control switch
                {
                    MotorControl.Scalar => "scalar",
                    MotorControl.Vector => "set to vector control without encoder",
                    _ => "set to vector control with encoder",
                },
                Source, []));
    }

    private static Check Current(GroupModel model, List<GroupAtWork> works, SupplyContext supply)
    {
        const string title = "Converter current of the group";
        if (Lacking(model, works) is { Count: > 0 } missing)
        {
            return Check.Lacking("group.current", string.Empty, BoardRow.Plant, Title(title, model), missing);
        }

        var worst = works.MaxBy(w => w.Current.WantedA)!;
        var whole = model.Whole!;
        var cable = model.CableM ?? 0;
        return CheckWriter.Judged(
            "group.current", string.Empty, BoardRow.Plant, Title(title, model), worst.Current.WantedA, whole.SiteCurrentA, "A",
            LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: a converter of at least "
                + FormattableString.Invariant($"{Math.Ceiling(worst.Current.WantedA * whole.RatedCurrentA / Math.Max(whole.SiteCurrentA, 1e-9))} A, fewer motors on ")
                + "it.",
            new Reason(
                "I_converter ≥ k·ΣI_N",
                $"{Text.N(supply.Defaults.Lineups.GroupCurrentFactor)}·("
                    + $"{string.Join(" + ", worst.Motors.Select(m => $"{m.Member.Count}·{Text.N(m.Model.Motor.Plate.RatedCurrentA)}"))}) = "
                    + $"{Text.N(worst.Current.WantedA)} A against {Text.N(whole.SiteCurrentA)} A at the site; they take "
                    + $"{Text.N(worst.Motors.Sum(m => m.Member.Count * m.CurrentA))} A now; speeds within {Text.N(worst.SpreadPct, 2)} % "
                    + $"by slip; {Text.N(cable)} m of motor cable in all branches, "
                    + $"{Text.N(1e9 * cable * supply.Defaults.CableCapacitanceFPerM)} nF to charge with every pulse",
                Source,
                [ReasonInput.Of("factor on the sum", supply.Defaults.Lineups.GroupCurrentFactor, string.Empty, "project default"),
                    ReasonInput.Of("cables of all branches", cable, "m", "motor cables")]),
            worst.ScenarioName);
    }

    private static Check Protection(GroupModel model, List<GroupAtWork> works)
    {
        const string title = "Protection of each motor";
        var bare = model.Members.Where(m => m.Member.Protection == MotorProtection.None).Select(m => m.Model.Input.DrivePoint.Tag).ToList();
        var thin = model.Members.Where(m => !m.Member.BranchFuse).Select(m => m.Model.Input.DrivePoint.Tag).ToList();
        var jams = works.SelectMany(w => w.Motors).Where(m => m.JamTripS is not null)
            .Select(m => $"{m.Model.Input.DrivePoint.Tag} jammed: {Text.N(m.JamA, 3)} A, relay at "
                + $"{Text.N(m.Model.Motor.Plate.RatedCurrentA, 3)} A "
                + $"{(double.IsInfinity(m.JamTripS!.Value) ? "never trips" : $"trips in {Text.N(m.JamTripS.Value, 2)} s warm to {Text.N(m.JamTripLongestS!.Value, 2)} s cold, the range of the class")}").Distinct().ToList();
        var never = works.SelectMany(w => w.Motors).Any(m => m.JamTripS is { } s && double.IsInfinity(s));
        List<string> faults = [.. bare.Select(t => $"{t} has no overload protection of its own"),
            .. thin.Select(t => $"the branch to {t} is neither fused nor rated for the converter's trip")];
        return CheckWriter.Rule(
            "group.motor-protection", string.Empty, BoardRow.Plant, Title(title, model), faults.Count > 0 || never
                ? Verdict.Fails
                : Verdict.Holds,
            "Relief: an overload relay or thermistor and an isolator for each motor, a fuse for each branch. " + Caution,
            new Reason(
                "the converter sees the sum only: each motor has its own overload protection, each branch its own short-circuit protection",
                string.Join("; ", faults.Concat(jams).DefaultIfEmpty("thermistors and fused branches")),
                Source + "; IEC 60947-4-1 for trip classes", []));
    }

    private static Check LateStart(GroupModel model, List<GroupAtWork> works, SupplyContext supply)
    {
        const string id = "group.late-start";
        var title = Title("Motor switched onto the running converter", model);
        if (model.Members.All(m => !m.Member.SwitchedLate))
        {
            return Check.NotConcerned(id, string.Empty, BoardRow.Plant, title, "all motors start with the converter");
        }

        if (Lacking(model, works) is { Count: > 0 } missing)
        {
            return Check.Lacking(id, string.Empty, BoardRow.Plant, title, missing);
        }

        var late = works.Where(w => w.Current.LateIndex >= 0).ToList();
        if (late.Count == 0)
        {
            return Check.NotConcerned(id, string.Empty, BoardRow.Plant, title, "no such motor runs in any scenario");
        }

        var whole = model.Whole!;
        double Allowed(GroupAtWork w) => supply.Defaults.Lineups.LateStartOnOverload
            ? whole.SiteCurrentA * whole.Overload.AllowedPu(w.Motors[w.Current.LateIndex].LateStartS)
            : whole.SiteCurrentA;
        var worst = late.MaxBy(w => w.Current.LateStartA / Allowed(w))!;
        var motor = worst.Motors[worst.Current.LateIndex];
        return CheckWriter.Judged(
            id, string.Empty, BoardRow.Plant, title, worst.Current.LateStartA, Allowed(worst), "A", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: start it together with the others, an interlock, a larger converter, a converter of its own.",
            new Reason(
                "s·Σ(I_N of the others) + I_standing(f) ≤ what the converter gives for the time of the start",
                $"{motor.Model.Input.DrivePoint.Tag} takes {Text.N(motor.JamA)} A standing at {Text.N(100 * worst.FrequencyPu, 3)} % "
                    + $"frequency for about {Text.N(motor.LateStartS, 2)} s; with the others {Text.N(worst.Current.LateStartA)} A against "
                    + $"{Text.N(Allowed(worst))} A "
                    + $"({(supply.Defaults.Lineups.LateStartOnOverload ? "overload for that time" : "continuous")})",
                Source,
                [ReasonInput.Of("simultaneity", model.Group.SimultaneityPct.IsKnown ? model.Group.SimultaneityPct.Value : 100, "%",
                    "group")]),
            worst.ScenarioName);
    }

    private static List<string> Lacking(GroupModel model, List<GroupAtWork> works)
    {
        var missing = model.Missing.ToList();
        if (missing.Count == 0 && works.Count == 0)
        {
            missing.Add("a scenario in which cage motors of the group run");
        }

        return missing;
    }

    private static string Title(string title, GroupModel model) => $"{title}, {model.Group.Name}";
}
