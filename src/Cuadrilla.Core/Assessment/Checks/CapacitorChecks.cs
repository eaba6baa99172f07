using Cuadrilla.Core.Assessment.Supply;

namespace Cuadrilla.Core.Assessment.Checks;

/// <summary><c>harmonics.resonance</c> and <c>harmonics.capacitor</c> of each capacitor bank, over all scenarios.</summary>
internal static class CapacitorChecks
{
    private const string Source = "docs/methods/resonance.md";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing)
    {
        foreach (var bank in supply.Plant.Distribution.CapacitorBanks)
        {
            string resonance = $"Resonance of {bank.Name}", loading = $"Load of {bank.Name}";
            if (missing.Count > 0)
            {
                yield return Check.Lacking("harmonics.resonance", string.Empty, BoardRow.Plant, resonance, missing).At(bank.Id);
                yield return Check.Lacking("harmonics.capacitor", string.Empty, BoardRow.Plant, loading, missing).At(bank.Id);
                continue;
            }

            var cases = supply.Scenarios.SelectMany(s => s.Banks.Where(b => b.BankId == bank.Id).Select(b => (s.ScenarioName, Bank: b))).ToList();
            if (cases.Count == 0)
            {
                yield return Check.NotConcerned("harmonics.resonance", string.Empty, BoardRow.Plant, resonance, "the bank is off in every scenario").At(bank.Id);
                yield return Check.NotConcerned("harmonics.capacitor", string.Empty, BoardRow.Plant, loading, "the bank is off in every scenario").At(bank.Id);
                continue;
            }

            yield return Resonance(supply, resonance, cases).At(bank.Id);
            yield return Loading(supply, loading, cases).At(bank.Id);
        }
    }

    private static Check Resonance(SupplyContext supply, string title, List<(string Scenario, BankInScenario Bank)> cases)
    {
        var (scenario, bank) = cases.MaxBy(c => c.Bank.Gain);
        return CheckWriter.Judged(
            "harmonics.resonance", string.Empty, BoardRow.Plant, FormattableString.Invariant($"{title}, order {bank.GainOrder}"), bank.Gain, supply.Defaults.Harmonics.ResonanceGain, "×", LimitSense.AtMost,
            supply.Defaults.TightMarginPct, "Relief: a reactor in front of the capacitors, another number of steps, fewer harmonics at that order.",
            new Reason(
                "|Z_h| with the bank over |Z_h| without it at its bus, largest of the orders that the front ends draw",
                $"order {bank.GainOrder}: {Text.N(bank.Gain, 3)} times; {(double.IsNaN(bank.ResonantOrder) ? "no maximum of the impedance beside the fundamental" : $"the impedance is largest at {Text.N(bank.ResonantOrder, 3)} times the line frequency")}",
                Source, [Text.In("permitted", supply.Defaults.Harmonics.ResonanceGain, "×", "project default")]),
            scenario);
    }

    private static Check Loading(SupplyContext supply, string title, List<(string Scenario, BankInScenario Bank)> cases)
    {
        var limits = supply.Defaults.Harmonics;
        double Current(BankInScenario b) => b.CurrentPu / limits.CapacitorCurrentPu;
        double Voltage(BankInScenario b) => b.VoltagePu / limits.CapacitorVoltagePu;
        var (scenario, bank) = cases.MaxBy(c => Math.Max(Current(c.Bank), Voltage(c.Bank)));
        var byVoltage = Voltage(bank) > Current(bank);
        return CheckWriter.Judged(
            "harmonics.capacitor", string.Empty, BoardRow.Plant, title + (byVoltage ? ", voltage" : ", current"), byVoltage ? bank.VoltagePu : bank.CurrentPu,
            byVoltage ? limits.CapacitorVoltagePu : limits.CapacitorCurrentPu, "of rated", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: a reactor in front of the capacitors, capacitors of a higher voltage, fewer harmonics.",
            new Reason(
                "I = √(V_1² + Σ(B_h/B_1·V_h)²), U_C = √(V_1² + Σ(I_h/h)²), in parts of rated",
                $"current {Text.N(bank.CurrentPu, 3)} of {Text.N(limits.CapacitorCurrentPu)}, voltage {Text.N(bank.VoltagePu, 3)} of {Text.N(limits.CapacitorVoltagePu)}; order {bank.WorstOrder} adds most; the line's own 5th and 7th included",
                Source + "; IEC 60831-1", []),
            scenario);
    }
}
