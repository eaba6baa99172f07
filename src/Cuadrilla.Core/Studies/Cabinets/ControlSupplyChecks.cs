using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Control supply of a lineup: <c>cabinet.control-supply</c> for the supply, each branch and the auxiliary transformer.</summary>
internal static class ControlSupplyChecks
{
    public const string Id = "cabinet.control-supply";
    private const double LeastBreakerCTimes = 5;
    private const double ElectronicTimes = 1.25;
    private const string Source = "docs/methods/control-supply.md";

    public static IEnumerable<Check> Of(ControlSupplyStudy study, double tightPct)
    {
        yield return Supply(study, tightPct).At(study.Lineup.Id);
        for (var i = 0; i < study.Branches.Count; i++)
        {
            yield return Branch(study, i, tightPct).At($"{study.Lineup.Id}/control/{study.Branches[i].Build.Id}");
        }

        if (study.Build.TransformerVa.IsKnown)
        {
            yield return Transformer(study, tightPct).At($"{study.Lineup.Id}/transformer");
        }
    }

    private static Check Supply(ControlSupplyStudy study, double tightPct)
    {
        var title = $"24 V supply of {study.Lineup.Tag}";
        List<string> missing = [.. study.Loads.Missing, .. study.Branches.SelectMany(b => b.Missing),
            .. study.WithoutBranch.Select(u => $"a branch for {Words(u)}")];
        if (!study.Build.RatedA.IsKnown)
        {
            missing.Add("rated current of the supply");
        }

        if (missing.Count > 0 || study.Budget is not { } budget)
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing.Distinct());
        }

        var reason = new Reason("Σ steady ≤ 80 % of the rated current; Σ steady with the largest inrush ≤ peak",
            $"{Text.N(budget.SteadyA, 3)} A of {Text.N(budget.Source.RatedA)} A steady, {Text.N(budget.InrushA, 3)} A of "
                + $"{Text.N(budget.Source.PeakA)} A for moments",
            Source, []);
        const string relief = "Relief: a larger supply, a second one, brakes on a supply of their own.";
        return budget.InrushA > budget.Source.PeakA
            ? CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, budget.InrushA, budget.Source.PeakA, "A", LimitSense.AtMost,
                tightPct,
                relief, reason)
            : CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, budget.SteadyPct, 100 * ControlBudget.LargestPart, "%",
                LimitSense.AtMost, tightPct, relief, reason);
    }

    private static Check Branch(ControlSupplyStudy study, int i, double tightPct)
    {
        var branch = study.Branches[i];
        var title = $"24 V branch {branch.Build.Name} of {study.Lineup.Tag}";
        if (study.Budget is not { } budget || study.Loads.Missing.Count > 0)
        {
            List<string> missing = [.. branch.Missing, .. study.Loads.Missing];
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing.DefaultIfEmpty("the supply, and all of its branches"));
        }

        var result = budget.Branches[i];
        if (!result.Trips)
        {
            return CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, result.FaultA, result.TripNeedsA, "A", LimitSense.AtLeast,
                tightPct, "Relief: electronic protection, a smaller rating, a larger section, a supply with a larger peak.",
                new Reason("what the supply gives into a short circuit at the end ≥ current at which the device trips at once",
                    $"loop {Text.N(result.LoopOhm, 3)} Ω: {Text.N(result.FaultA, 3)} A, the device needs {Text.N(result.TripNeedsA, 3)} "
                        + "A: it never trips",
                    Source, []));
        }

        if (branch.SteadyA > branch.Build.ProtectionA.Value)
        {
            return CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, branch.SteadyA, branch.Build.ProtectionA.Value, "A",
                LimitSense.AtMost, tightPct, "Relief: a larger device, another branch.",
                new Reason("steady current ≤ rating of the device", string.Join("; ", branch.Items), Source, []));
        }

        // A C characteristic may act from five times its rating on; an electronic one from where it trips.
        var actsA = branch.Build.ProtectionA.Value * (branch.Build.Protection == BranchProtection.BreakerC
            ? LeastBreakerCTimes
            : ElectronicTimes);
        if (branch.InrushA > actsA && result.VoltageHolds)
        {
            return CheckWriter.Rule(Id, string.Empty, BoardRow.Plant, title, Verdict.Tight,
                "Relief: a larger device, units switched on in turn, a device whose maker permits this inrush.",
                new Reason("inrush ≤ current at which the device may act",
                    $"{Text.N(branch.InrushA, 3)} A for moments, the device may act from "
                        + $"{Text.N(actsA, 3)} A on: its maker's curve decides",
                    Source, []));
        }

        // Judged by what may be lost on the way: a few volts are all there is between supply and load.
        var reason = new Reason("I·R of the loop ≤ lowest voltage of the supply − what the load needs",
            $"{Text.N(budget.Source.LowestV)} V − {Text.N(branch.InrushA, 3)} A · {Text.N(result.LoopOhm, 3)} Ω = "
                + $"{Text.N(result.InrushV, 3)} V, {Text.N(result.LeastV)} V needed; a short circuit gives {Text.N(result.FaultA, 3)} A, "
                + $"{Text.N(result.TripNeedsA, 3)} A trip it",
            Source, []);
        const string relief = "Relief: a larger section, a shorter cable, a supply nearby.";
        var loss = budget.Source.LowestV - result.LeastV;
        return loss > 0
            ? CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, budget.Source.LowestV - result.InrushV, loss, "V",
                LimitSense.AtMost,
                tightPct, relief, reason)
            : CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, result.InrushV, result.LeastV, "V", LimitSense.AtLeast, tightPct,
                relief, reason);
    }

    private static Check Transformer(ControlSupplyStudy study, double tightPct)
    {
        var title = $"Auxiliary transformer of {study.Lineup.Tag}";
        return study.TransformerVa is not { } va || study.Loads.Missing.Count > 0
            ? Check.Lacking(Id, string.Empty, BoardRow.Plant, title, study.Loads.Missing.DefaultIfEmpty("the 24 V supply and its branches"))
            : CheckWriter.Judged(Id, string.Empty, BoardRow.Plant, title, va,
                ControlBudget.LargestPart * study.Build.TransformerVa.Value, "VA",
                LimitSense.AtMost, tightPct, "Relief: a larger transformer, brakes on one of their own.",
                new Reason("fans + brakes of other voltages + heaters + 24 V supply ≤ 80 % of the rating",
                    $"{Text.N(study.OtherW, 3)} W beside {Text.N(study.Budget!.SteadyA, 3)} A at 24 V", Source, []));
    }

    internal static string Words(ControlBranchUse use) => use switch
    {
        ControlBranchUse.Units => "cards of units",
        ControlBranchUse.Coils => "coils",
        ControlBranchUse.Brakes => "brakes",
        ControlBranchUse.Controller => "controller cards",
        _ => "further loads",
    };
}
