using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>Lineups to which only one phase is available: <c>single-phase.input-current</c>, <c>single-phase.neutral</c>, and whether the
/// way that was chosen suits the machines.</summary>
internal static class OnePhaseLineupChecks
{
    public const string InputId = "single-phase.input-current";
    private const string NeutralId = "single-phase.neutral";
    private const string Source = "docs/methods/one-phase.md";
    private const double RunningFactor = 1.5;

    public static IEnumerable<Check> Of(SupplyContext supply) =>
        supply.Plant.Lineups.Where(l => l.OnePhase is not null).SelectMany(l => Of(l, supply));

    private static IEnumerable<Check> Of(Lineup lineup, SupplyContext supply)
    {
        var one = lineup.OnePhase!;
        var demand = OnePhaseDemand.Of(lineup, supply);
        List<string> unsettled = [.. supply.Scenarios.SelectMany(s => s.Unsettled).Distinct(StringComparer.Ordinal)];
        foreach (var check in Conductors(lineup, one, demand, unsettled, supply).Append(Way(lineup, one, demand, supply)))
        {
            yield return check.At(lineup.Id);
        }
    }

    private static IEnumerable<Check> Conductors(Lineup lineup, OnePhaseSupply one, IReadOnlyList<OnePhaseDemand> demand,
        List<string> unsettled,
        SupplyContext supply)
    {
        var (inputTitle, neutralTitle) = ($"Current of {lineup.Tag} on one phase", $"Neutral of {lineup.Tag}");
        List<string> missing =
        [
            .. demand.Count > 0 ? unsettled : unsettled.DefaultIfEmpty("a scenario that can be computed"), .. Open(lineup, one, supply),
            .. lineup.DrivePoints.Count == 0 || demand.Count == 0 || demand.Any(d => d.Runs) ? Array.Empty<string>()
                : ["a scenario in which one of its machines runs"],
        ];
        if (missing.Count > 0)
        {
            yield return Check.Lacking(InputId, string.Empty, BoardRow.Plant, inputTitle, missing);
            if (one.ToNeutral)
            {
                yield return Check.Lacking(NeutralId, string.Empty, BoardRow.Plant, neutralTitle, missing);
            }

            yield break;
        }

        var worst = demand.MaxBy(d => d.RmsA)!;
        var supplyV = one.VoltageOn(supply.Plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
        yield return CheckWriter.Judged(
            InputId, string.Empty, BoardRow.Plant, inputTitle, worst.RmsA, one.SupplyA.Value, "A", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: less at once, chokes, a larger supply as agreed with the network operator.",
            new Reason(one.MakesThreePhases()
                ? "|ΣS + idle|/U at the voltage of its bus"
                : "rms of the sum of the solved waves, order by order",
                $"{Text.N(worst.RmsA, 3)} A at {Text.N(supplyV)} "
                    + $"V{(one.MakesThreePhases() ? $", {Text.N(worst.RunningKva, 3)} kVA running, {Text.N(OnePhaseUsual.IdleVa(one).Magnitude / 1e3, 3)} kVA idle" : string.Empty)}; up to 16 A IEC 61000-3-3, up to 75 A 61000-3-11 count for flicker",
                Source, []), worst.Scenario.ScenarioName);
        if (one.ToNeutral)
        {
            yield return Neutral(one, demand, neutralTitle, supply);
        }
    }

    // What its sum would lack: a drive point that is not complete draws nothing in a scenario, and would be counted as nothing.
    private static IEnumerable<string> Open(Lineup lineup, OnePhaseSupply one, SupplyContext supply)
    {
        if (lineup.DrivePoints.Count == 0)
        {
            yield return "drive points: build one of the ways";
        }

        foreach (var open in supply.Incomplete.Where(i => lineup.DrivePoints.Any(p => i.StartsWith(p.Tag + ":", StringComparison.Ordinal))))
        {
            yield return open;
        }

        if (!one.SupplyA.IsKnown)
        {
            yield return "what the supply carries";
        }

        if (one.Means == OnePhaseMeans.Rotary && !one.Rotary.RatedKva.IsKnown)
        {
            yield return "rated power of the rotary converter";
        }
    }

    // One such supply has its whole current in the neutral. Several on one bus stand on different phases and share it.
    private static Check Neutral(OnePhaseSupply one, IReadOnlyList<OnePhaseDemand> demand, string title, SupplyContext supply)
    {
        var worst = demand.MaxBy(d => d.SharedNeutralA)!;
        var figure = worst.SharedNeutralA;
        return CheckWriter.Judged(
            NeutralId, string.Empty, BoardRow.Plant, title, figure, one.SupplyA.Value, "A", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: a neutral of twice the section, chokes, a neutral of its own for each.",
            new Reason("triplen orders of all that stands between phase and neutral of one bus add; √(Σ² + the rest of the fullest²)",
                $"{Text.N(figure, 3)} A{(worst.BesideTriplenA > 0 ? ", what else is on its bus with it" : ", what its phase carries")}; "
                + $"three such as this would leave {Text.N(worst.NeutralOfThreeA, 3)} A, "
                + $"{Text.N(worst.NeutralOfThreeA / Math.Max(worst.RmsA, 1e-9), 3)} times a phase",
                "Symmetrical components; " + Source, []), worst.Scenario.ScenarioName);
    }

    private static Check Way(Lineup lineup, OnePhaseSupply one, IReadOnlyList<OnePhaseDemand> demand, SupplyContext supply)
    {
        var title = $"How {lineup.Tag} is run from one phase";
        if (one.Means == OnePhaseMeans.NotChosen)
        {
            return Check.Lacking(OnePhasePointChecks.ChoiceId, string.Empty, BoardRow.Plant, title, ["by what the machines are run"]);
        }

        var study = OnePhaseStudy.Of(supply.Plant, lineup, supply.Data);
        var option = study.Options.FirstOrDefault(o => o.Means == one.Means);
        if (one.Machines.Count > 0 && option is null)
        {
            return Check.Lacking(OnePhasePointChecks.ChoiceId, string.Empty, BoardRow.Plant, title, study.Missing);
        }

        if (option is { Suits: false })
        {
            return Rule(title, Verdict.Fails,
                $"Relief: {(study.Recommended == OnePhaseMeans.NotChosen ? "another way" : OnePhaseStudy.Word(study.Recommended).ToLowerInvariant())}.",
                string.Join("; ", option.Against));
        }

        if (one.Means != OnePhaseMeans.Rotary)
        {
            return Rule(title, Verdict.Holds, string.Empty, option?.Together ?? "each has its own");
        }

        if (!one.Rotary.RatedKva.IsKnown)
        {
            return Check.Lacking(OnePhasePointChecks.ChoiceId, string.Empty, BoardRow.Plant, title,
                ["rated power of the rotary converter"]);
        }

        var runningKva = demand.Select(d => d.RunningKva).DefaultIfEmpty(0).Max();
        var needed = Math.Max(study.RotaryKva, RunningFactor * runningKva);
        return CheckWriter.Judged(
            OnePhasePointChecks.ChoiceId, string.Empty, BoardRow.Plant, title, one.Rotary.RatedKva.Value, needed, "kVA",
            LimitSense.AtLeast, 0,
            "Relief: a larger rotary converter, less at once, the heaviest start by itself.",
            new Reason("kVA ≥ 1.5·what runs together and ≥ 2·the largest that starts, 4 to 5·where it starts heavily",
                $"list: {Text.N(study.RunningKva, 3)} kVA together, heaviest start {Text.N(study.StartKva, 3)} kVA; computed "
                    + $"{Text.N(runningKva, 3)} kVA together",
                Source, []));
    }

    private static Check Rule(string title, Verdict verdict, string relief, string numbers) => CheckWriter.Rule(
        OnePhasePointChecks.ChoiceId, string.Empty, BoardRow.Plant, title, verdict, relief,
        new Reason("the way suits every machine of the list", numbers, Source, []));
}
