using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Shafts;

/// <summary><c>share.method</c>, <c>share.balance</c> and <c>share.unit-lost</c> of each shared shaft, over all scenarios.</summary>
internal static class SharingChecks
{
    private const string Source = "docs/methods/sharing.md";
    private const string Caution = "The shaft turns as long as any unit drives it: all of them are locked out before work on it.";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies) => supply.Plant.Lineups
        .SelectMany(l => l.Arrangements).OfType<SharedShaft>()
        .SelectMany(s => Of(SharedShaftModel.Of(s, studies), supply));

    private static IEnumerable<Check> Of(SharedShaftModel model, SupplyContext supply)
    {
        var missing = model.Missing.ToList();
        var works = supply.Plant.Scenarios.Where(s => model.RunningIn(s).Count >= 2)
            .Select(s => (Scenario: s, Load: model.LoadIn(s), Share: model.SteadyIn(s)))
            .Where(w => w.Share is not null).Select(w =>
                new Work(w.Scenario.Name, w.Load!.Value.TorqueNm, w.Load.Value.Rpm, [.. model.RunningIn(w.Scenario)], w.Share!)).ToList();
        if (missing.Count == 0 && works.Count == 0)
        {
            missing.Add("a scenario in which two of its units run");
        }

        IEnumerable<Check> checks = missing.Count > 0
            ? new[] { ("share.method", "Way of sharing"), ("share.balance", "Balance of the shaft"), ("share.unit-lost", "Loss of a unit") }
                .Select(c => Check.Lacking(c.Item1, string.Empty, BoardRow.Plant, Title(c.Item2, model), missing))
            : [Method(model, works), Balance(model, works, supply), Lost(model, works, supply)];
        return checks.Select(c => c.At(model.Shaft.Id));
    }

    private static Check Method(SharedShaftModel model, List<Work> works)
    {
        var worst = works.MaxBy(w => w.Share.CirculatingNm)!;
        var scalar = model.Units.Where(u => u.Choice is { Control: MotorControl.Scalar }).Select(u => u.Input.DrivePoint.Tag).ToList();
        var blind = model.Units.Where(u => u.Choice is not { Control: MotorControl.VectorWithEncoder }).Select(u => u.Input.DrivePoint.Tag)
            .ToList();
        var hangs = model.Units.Any(u => u.Load.Hanging is not null);
        var rigid = model.Shaft.Coupling is ShaftCoupling.Rigid;
        var (verdict, why, relief) = model.Kind switch
        {
            SharingKind.SpeedFollower => (
                Verdict.Fails,
                "each keeps its own speed without droop on one shaft: the smallest difference of their references winds their "
                    + $"controllers up against each other, here to {string.Join(", ", worst.Share.TorquesNm.Select(t => Text.N(t, 3)))} "
                    + $"Nm; {Text.N(worst.Share.CirculatingNm, 3)} Nm circulate",
                "Relief: speed droop, or followers that take the leader's torque reference."),
            SharingKind.TorqueFollower when scalar.Count > 0 =>
                (Verdict.Fails, $"{string.Join(", ", scalar)} under scalar control can't take a torque reference",
                    "Relief: vector control, or speed droop."),
            SharingKind.TorqueFollower when !rigid =>
                (Verdict.Fails, "torque followers need a rigid coupling: over a belt or long shaft nothing keeps a follower's speed",
                    "Relief: speed trim with a torque limit."),
            SharingKind.SpeedTrim when rigid =>
                (Verdict.Fails, "trimmed speeds need an elastic coupling: on one mass the controllers meet before the trim does",
                    "Relief: speed droop, or torque followers."),
            _ when hangs && blind.Count > 0 =>
                (Verdict.Fails, $"the load hangs on the shaft and {string.Join(", ", blind)} has no encoder: no full torque at standstill",
                    "Relief: vector control with encoder on every unit."),
            SharingKind.Droop => (Verdict.Holds,
                "no link but start and reference; the speed sags with the load; the loss of a unit is survived", string.Empty),
            SharingKind.TorqueFollower => (Verdict.Holds,
                "the leader's torque reference reaches every follower, a speed window guards against slip or breakage; without its leader "
                    + "the shaft runs to the window", string.Empty),
            _ => (Verdict.Holds, "each keeps its speed, trims bring the torques together, limits guard the coupling", string.Empty),
        };
        return CheckWriter.Rule(
            "share.method", string.Empty, BoardRow.Plant, Title("Way of sharing", model), verdict, $"{relief} {Caution}",
            new Reason("the way of sharing fits coupling, control and load", why, Source, []), worst.Scenario);
    }

    private static Check Balance(SharedShaftModel model, List<Work> works, SupplyContext supply)
    {
        var worst = works.MaxBy(w => w.Share.ImbalancePct)!;
        var formula = model.Kind switch
        {
            SharingKind.Droop => "n = n_ref·(1 + e_i) − d_i·(T_i/T_N,i)·n_N on one shaft, ΣT_i = T",
            SharingKind.TorqueFollower => "T_i = (T_1/T_N,1 ± accuracy)·T_N,i, ΣT_i = T",
            SharingKind.SpeedTrim => "the trim cancels the error of the references: T_i/T_N,i equal; else the limits decide",
            _ => "integral controllers with unequal references run to their limits",
        };
        return CheckWriter.Judged(
            "share.balance", string.Empty, BoardRow.Plant, Title("Balance of the shaft", model), worst.Share.ImbalancePct,
            supply.Defaults.Lineups.ShareImbalancePct, "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            model.Kind == SharingKind.Droop
                ? "Relief: a larger droop, references closer together."
                : "Relief: a more exact torque, another way of sharing.",
            new Reason(
                formula + "; largest deviation of a unit from the mean, % of rated torque",
                $"{Text.N(worst.TorqueNm)} Nm: "
                    + $"{string.Join(", ", worst.Running.Select((i, k) => $"{model.Units[i].Input.DrivePoint.Tag} {Text.N(worst.Share.TorquesNm[k])} Nm"))} at {Text.N(100 * worst.Share.SpeedPu)} % speed",
                Source,
                [ReasonInput.Of("largest deviation", supply.Defaults.Lineups.ShareImbalancePct, "%", "project default")]),
            worst.Scenario);
    }

    private static Check Lost(SharedShaftModel model, List<Work> works, SupplyContext supply)
    {
        var title = Title("Loss of a unit", model);
        var cases = works.SelectMany(w => w.Running.Select(lost => Rest(model, w, lost))).ToList();
        var worst = cases.MinBy(c => c.TimeS)!;
        var wanted = model.Shaft.RunOnS;
        var reason = new Reason(
            "the rest carries T·T_N,i/ΣT_N; for ever up to rated current, above it (k² − 1)·t as overload and heat allow",
            $"without {worst.LostTag} {worst.Tag} gives {Text.N(worst.TorqueNm)} Nm and takes {Text.N(worst.CurrentA)} A: "
                + $"{(double.IsInfinity(worst.TimeS) ? "for ever" : worst.TimeS <= 0 ? $"not at all, beyond {worst.By}" : $"for {Text.N(worst.TimeS, 3)} s by {worst.By}")}",
            Source + "; overload curve of the converter; IEC 60034-1 for the motor",
            [wanted.IsKnown
                ? ReasonInput.Of("run on", wanted.Value, "s", "shared shaft")
                : ReasonInput.Of("run on", "for ever", "shared shaft")]);
        var relief = "Relief: larger units, a shorter time to stop in order, less load while one is out. " + Caution;
        return wanted.IsKnown && !double.IsInfinity(worst.TimeS)
            ? CheckWriter.Judged("share.unit-lost", string.Empty, BoardRow.Plant, title, worst.TimeS, wanted.Value, "s", LimitSense.AtLeast,
                supply.Defaults.TightMarginPct, relief, reason, worst.Scenario)
            : CheckWriter.Judged("share.unit-lost", string.Empty, BoardRow.Plant, title, worst.LoadPct, 100, "%", LimitSense.AtMost,
                supply.Defaults.TightMarginPct, relief, reason, worst.Scenario);
    }

    private static RestCase Rest(SharedShaftModel model, Work work, int lost)
    {
        List<int> rest = [.. work.Running.Where(i => i != lost)];
        var rated = rest.Sum(i => model.Units[i].Motor.Plate.RatedTorqueNm);
        return rest.Select(i =>
        {
            var unit = model.Units[i];
            var torque = work.TorqueNm * unit.Motor.Plate.RatedTorqueNm / rated;
            var (time, current, by) = UnitLimits.PermittedS(unit, work.Rpm, torque);
            var load = 100 * Math.Max(current / unit.Converter.SiteCurrentA, current / unit.Motor.Plate.RatedCurrentA);
            return new RestCase(work.Scenario, model.Units[lost].Input.DrivePoint.Tag, unit.Input.DrivePoint.Tag, torque, current, time,
                by, load);
        }).MinBy(c => (c.TimeS, -c.LoadPct))!;
    }

    private static string Title(string title, SharedShaftModel model) => $"{title}, {model.Shaft.Name}";

    private sealed record Work(string Scenario, double TorqueNm, double Rpm, List<int> Running, SteadyShare Share);

    private sealed record RestCase(string Scenario, string LostTag, string Tag, double TorqueNm, double CurrentA, double TimeS, string By,
        double LoadPct);
}
