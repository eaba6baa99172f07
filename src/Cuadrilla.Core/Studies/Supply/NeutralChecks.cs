using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>supply.neutral</c> of each group of single-phase loads: unevenness and triplen orders in the neutral.</summary>
internal static class NeutralChecks
{
    private const string Id = "supply.neutral";

    public static IEnumerable<Check> Of(SupplyContext supply) =>
        supply.Plant.Distribution.Loads.OfType<BusLoad.SinglePhaseGroup>().Select(g => Of(g, supply).At(g.Id));

    private static Check Of(BusLoad.SinglePhaseGroup group, SupplyContext supply)
    {
        var title = $"Neutral of {group.Name}";
        var missing = new List<string>();
        if (!group.UnevenPct.IsKnown)
        {
            missing.Add($"by how much the fullest phase of {group.Name} exceeds the mean");
        }

        if (!group.ThirdHarmonicPct.IsKnown)
        {
            missing.Add($"third harmonic of {group.Name}");
        }

        if (!group.NeutralA.IsKnown)
        {
            missing.Add($"current that the neutral of {group.Name} carries");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing);
        }

        var worst = supply.Plant.Scenarios.MaxBy(s => s.LoadLevelPuOf(group.Id))!;
        var voltage = supply.Plant.Distribution.Bus(group.BusId).NominalVoltageV;
        var phaseA = group.PowerVa().Magnitude * worst.LoadLevelPuOf(group.Id) / (Math.Sqrt(3) * voltage);
        double uneven = group.UnevenPct.Value / 100, third = group.ThirdHarmonicPct.Value / 100;
        var neutral = NeutralCurrent.Of(phaseA, uneven, third);
        return CheckWriter.Judged(
            Id, string.Empty, BoardRow.Plant, title, neutral, group.NeutralA.Value, "A", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: spread the phases, a neutral of full or double cross-section, fewer capacitor-input loads on one neutral.",
            new Reason(
                "I_N = I·√(f(u)² + (3·k_3)²), f = 3·u with two phases as full and the third as empty as they can be",
                $"{Text.N(phaseA)} A, u = {Text.N(uneven)}, k_3 = {Text.N(third)}: {Text.N(neutral)} A",
                "Symmetrical components; IEC 60364-5-52 annex E for the conductors",
                [
                    ReasonInput.Of("mean fundamental of the phases", phaseA, "A", group.Name),
                    ReasonInput.Of("fullest phase above the mean", group.UnevenPct.Value, "%", group.Name),
                    ReasonInput.Of("third harmonic", group.ThirdHarmonicPct.Value, "%", group.Name),
                ]),
            worst.Name);
    }
}
