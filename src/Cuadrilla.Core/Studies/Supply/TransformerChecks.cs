using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>supply.transformer-loading</c> of each transformer, over all scenarios, worst named.</summary>
internal static class TransformerChecks
{
    private const string Id = "supply.transformer-loading";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing) =>
        supply.Plant.Distribution.Transformers.Select(t => Of(t, supply, missing).At(t.Id));

    // Active power of all drives and loads on the buses behind the transformers that feed the same node: a bound from below.
    private static Check? Overload(Transformer transformer, SupplyContext supply)
    {
        (string Name, double Pct, double Kw, double Kva)? worst = null;
        foreach (var result in supply.Scenarios.Where(s => s.Network.Branches.Any(b => b.ElementId == transformer.Id)))
        {
            var scenario = supply.Plant.Scenarios.First(s => s.Id == result.ScenarioId);
            var node = result.Network.NodeOf(transformer.ToBusId);
            bool Behind(string busId) => result.Network.IsLive(busId) && result.Network.NodeOf(busId) == node;
            var watts = result.Running.Where(d => Behind(d.BusId)).Sum(d => Math.Max(0, d.LineW))
                + supply.Plant.Distribution.Loads.Where(l => Behind(l.BusId)).Sum(l => l.PowerVa().Real * scenario.LoadLevelPuOf(l.Id));
            var kva = supply.Plant.Distribution.Transformers.Where(t => result.Network.Branches.Any(b => b.ElementId == t.Id)
                && Behind(t.ToBusId)).Sum(t => t.RatedKva);
            if (kva > 0 && (worst is null || watts / 1e3 / kva * 100 > worst.Value.Pct))
            {
                worst = (result.ScenarioName, watts / 1e3 / kva * 100, watts / 1e3, kva);
            }
        }

        return worst is { } w && w.Pct > supply.Defaults.TransformerLoadingPct
            ? CheckWriter.Judged(
                Id, string.Empty, BoardRow.Plant, $"Loading of {transformer.Name}", w.Pct, supply.Defaults.TransformerLoadingPct, "%",
                LimitSense.AtMost, supply.Defaults.TightMarginPct,
                "Relief: less simultaneous load, another transformer, a larger one.",
                new Reason(
                    "ΣP/ΣS_N of what hangs behind it: the least it can be, harmonics and reactive power left out",
                    $"{Text.N(w.Kw)} kW on {Text.N(w.Kva)} kVA = {Text.N(w.Pct)} %; the currents themselves could not be solved",
                    "Definition", []),
                w.Name)
            : null;
    }

    private static Check Of(Transformer transformer, SupplyContext supply, IReadOnlyList<string> missing)
    {
        var title = $"Loading of {transformer.Name}";
        if (missing.Count > 0)
        {
            // Whatever the harmonics are: what is too much at the fundamental alone fails.
            if (supply.Incomplete.Count == 0 && Overload(transformer, supply) is { } overload)
            {
                return overload;
            }

            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing);
        }

        var cases = supply.Scenarios
            .SelectMany(s => s.Transformers.Where(t => t.TransformerId == transformer.Id).Select(t => (Scenario: s, State: t)))
            .ToList();
        if (cases.Count == 0)
        {
            return Check.NotConcerned(Id, string.Empty, BoardRow.Plant, title, "out of service in every scenario");
        }

        var (scenario, state) = cases.MaxBy(c => c.State.LoadingPct);
        var share = StrayShares.Of(transformer, supply.Defaults.Harmonics);
        string From(Given stated) => stated.IsKnown ? transformer.Name : "assumed, none is stated";
        var oil = transformer.Cooling == TransformerCooling.Oil;
        var reason = new Reason(
            oil
                ? "100·I_rms/(I_rated·I_max), I_max = √((1 + P_EC + P_OSL)/(1 + F_HL·P_EC + F_STR·P_OSL))"
                : "100·I_rms/(I_rated·I_max), I_max = √((1 + P_EC)/(1 + F_HL·P_EC)), F_HL = Σ(h·I_h)²/ΣI_h²",
            $"100·{Text.N(state.RmsA)}/({Text.N(state.RatedA)}·{Text.N(state.Heat?.MaxCurrentPu ?? 1)}) = {Text.N(state.LoadingPct)} %, "
                + $"F_HL = {Text.N(state.Heat?.HarmonicLossFactor ?? 1)}, K = "
                + $"{Text.N(state.KFactor)}{(share.Assumed.Length > 0 ? "; " + share.Assumed : string.Empty)}",
            "IEEE C57.110; all scenarios, worst named",
            [
                ReasonInput.Of("rms current at its fed side", state.RmsA, "A", "drives, loads and capacitors behind it"),
                ReasonInput.Of("rated power", transformer.RatedKva, "kVA", transformer.Name),
                ReasonInput.Of("rated eddy-loss share", share.EddyPu, "pu", From(transformer.EddyLossPu)),
                .. oil ? [ReasonInput.Of("other stray loss", share.OtherPu, "pu", From(transformer.OtherStrayLossPu))]
                    : Array.Empty<ReasonInput>(),
            ]);
        return CheckWriter.Judged(
            Id, string.Empty, BoardRow.Plant, title, state.LoadingPct, supply.Defaults.TransformerLoadingPct, "%", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            PlantMeans.Relief("less simultaneous load", new PlantMeans(supply).Chokes(transformer.ToBusId), "another transformer",
                "a larger one"), reason, scenario.ScenarioName);
    }
}
