using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>harmonics.resonance</c> and <c>harmonics.capacitor</c> of each capacitor bank, over all scenarios.</summary>
internal static class CapacitorChecks
{
    private const string Source = "docs/methods/resonance.md";
    private const double ContactorPu = 1.3 * 1.1;

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing)
    {
        foreach (var bank in supply.Plant.Distribution.CapacitorBanks)
        {
            string resonance = $"Resonance of {bank.Name}", loading = $"Load of {bank.Name}";
            if (missing.Count > 0)
            {
                yield return Check.Lacking("harmonics.resonance", string.Empty, BoardRow.Plant, resonance, missing).At(bank.Id);
                yield return Check.Lacking("harmonics.capacitor", string.Empty, BoardRow.Plant, loading, missing).At(bank.Id);
                if (bank.ContactorA.IsKnown)
                {
                    yield return Check.Lacking("contactor.duty", string.Empty, BoardRow.Plant, ContactorTitle(bank), missing).At(bank.Id);
                }

                continue;
            }

            var cases = supply.Scenarios.SelectMany(s => s.Banks.Where(b => b.BankId == bank.Id).Select(b => (s.ScenarioName, Bank: b)))
                .ToList();
            if (cases.Count == 0)
            {
                yield return Check.NotConcerned("harmonics.resonance", string.Empty, BoardRow.Plant, resonance,
                    "the bank is off in every scenario").At(bank.Id);
                yield return Check.NotConcerned("harmonics.capacitor", string.Empty, BoardRow.Plant, loading,
                    "the bank is off in every scenario").At(bank.Id);
                continue;
            }

            yield return Resonance(supply, resonance, cases).At(bank.Id);
            yield return Loading(supply, loading, cases).At(bank.Id);
            if (bank.ContactorA.IsKnown)
            {
                yield return Contactor(bank, supply, cases).At(bank.Id);
            }
        }
    }

    private static Check Resonance(SupplyContext supply, string title, List<(string Scenario, BankInScenario Bank)> cases)
    {
        var (scenario, bank) = cases.MaxBy(c => c.Bank.Gain);
        var element = supply.Plant.Distribution.CapacitorBanks.First(b => b.Id == bank.BankId);
        return CheckWriter.Judged(
            "harmonics.resonance", string.Empty, BoardRow.Plant, FormattableString.Invariant($"{title}, order {bank.GainOrder}"), bank.Gain,
            supply.Defaults.Harmonics.ResonanceGain, "×", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            PlantMeans.Relief(element.DetuningPu > 0 ? "another detuning" : "a reactor in front of the capacitors",
                element.Steps > 1 ? "another number of steps" : null, "fewer harmonics at that order"),
            new Reason(
                "|Z_h| with the bank over |Z_h| without it at its bus, largest of the orders that the front ends draw",
                $"order {bank.GainOrder}: {Text.N(bank.Gain, 3)} times; "
                    + $"{(double.IsNaN(bank.ResonantOrder) ? "no maximum of the impedance beside the fundamental" : $"the impedance is largest at {Text.N(bank.ResonantOrder, 3)} times the line frequency")}",
                Source, [ReasonInput.Of("permitted", supply.Defaults.Harmonics.ResonanceGain, "×", "project default")]),
            scenario);
    }

    private static Check Loading(SupplyContext supply, string title, List<(string Scenario, BankInScenario Bank)> cases)
    {
        var limits = supply.Defaults.Harmonics;
        var element = supply.Plant.Distribution.CapacitorBanks.First(b => b.Id == cases[0].Bank.BankId);
        var nominalV = supply.Plant.Distribution.Bus(element.BusId).NominalVoltageV;

        // Behind a reactor the capacitors carry U/(1 − p) at the fundamental; without one they are taken to be made for their bus.
        var carriedV = nominalV / (1 - element.DetuningPu);
        var isStated = element.CapacitorRatedV.IsKnown || element.DetuningPu == 0;
        var ratedV = element.CapacitorRatedV.IsKnown ? element.CapacitorRatedV.Value : nominalV;
        double Current(BankInScenario b) => b.CurrentPu * carriedV / ratedV;
        double Voltage(BankInScenario b) => b.VoltagePu * carriedV / ratedV;
        double Use(BankInScenario b) => Math.Max(Current(b) / limits.CapacitorCurrentPu,
            isStated ? Voltage(b) / limits.CapacitorVoltagePu : 0);
        var (scenario, bank) = cases.MaxBy(c => Use(c.Bank));
        if (!isStated && bank.CurrentPu <= limits.CapacitorCurrentPu)
        {
            return Check.Lacking("harmonics.capacitor", string.Empty, BoardRow.Plant, title,
                [FormattableString.Invariant($"rated voltage of the capacitors of {element.Name}: behind {element.DetuningPct.Value:0.##} ")
                    + FormattableString.Invariant($"% they carry {carriedV:0} V at {nominalV:0} V")]);
        }

        var (current, voltage) = isStated ? (Current(bank), Voltage(bank)) : (bank.CurrentPu, 0);
        var byVoltage = voltage / limits.CapacitorVoltagePu > current / limits.CapacitorCurrentPu;
        return CheckWriter.Judged(
            "harmonics.capacitor", string.Empty, BoardRow.Plant, title + (byVoltage ? ", voltage" : ", current"), byVoltage
                ? voltage
                : current,
            byVoltage ? limits.CapacitorVoltagePu : limits.CapacitorCurrentPu, "pu", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            byVoltage ? "Relief: capacitors of a higher rated voltage, fewer harmonics."
                : "Relief: a reactor in front of the capacitors, capacitors of a higher rated voltage, fewer harmonics.",
            new Reason(
                "I = √(V_1² + Σ(|Y_h|/|Y_1|·V_h)²)·I_1, U_C = √(V_1² + Σ(I_h/h)²)·U/(1 − p), in parts of the capacitors' rated current "
                    + "and voltage",
                $"current {Text.N(current, 3)} pu (limit "
                    + $"{Text.N(limits.CapacitorCurrentPu)}){(isStated ? $", voltage {Text.N(voltage, 3)} pu (limit {Text.N(limits.CapacitorVoltagePu)}): {Text.N(carriedV)} V carried at {Text.N(nominalV)} V, {Text.N(ratedV)} V rated{(element.CapacitorRatedV.IsKnown ? string.Empty : " (not stated: taken as its bus's)")}" : ", rated voltage of the capacitors not stated")}; order {bank.WorstOrder} adds most; the line's own 5th and 7th included",
                Source + "; IEC 60831-1",
                [ReasonInput.Of("rated voltage of the capacitors", ratedV, "V",
                    element.CapacitorRatedV.IsKnown ? element.Name : "nominal voltage of the bus")]),
            scenario);
    }

    private static string ContactorTitle(CapacitorBank bank) => $"Contactor of a step of {bank.Name}, AC-6b";

    private static double NominalA(CapacitorBank bank, PlantSpecification plant) =>
        bank.StepKvar * 1e3 / (Math.Sqrt(3) * plant.Distribution.Bus(bank.BusId).NominalVoltageV);

    /// <summary>What the contactor of a step is asked to carry for ever, A.</summary>
    /// <param name="bank">The bank.</param>
    /// <param name="plant">Its plant.</param>
    /// <param name="currentPu">Largest solved current of the bank, parts of its rated current.</param>
    public static double AskedA(CapacitorBank bank, PlantSpecification plant, double currentPu) =>
        NominalA(bank, plant) * Math.Max(ContactorPu, currentPu);

    // Capacitors stand 1.3 times their current and may be a tenth above their capacitance: what switches them carries that for ever.
    private static Check Contactor(CapacitorBank bank, SupplyContext supply, List<(string Scenario, BankInScenario Bank)> cases)
    {
        var (scenario, worst) = cases.MaxBy(c => c.Bank.CurrentPu);
        var nominalA = NominalA(bank, supply.Plant);
        var asked = AskedA(bank, supply.Plant, worst.CurrentPu);
        var fits = supply.Data.Switchgear.CapacitorContactorA.FirstOrDefault(a => a >= asked) is > 0 and var ratedA
            ? $"{Text.N(ratedA)} A in AC-6b, with early-make resistors"
            : "smaller steps";
        return CheckWriter.Judged(
            "contactor.duty", string.Empty, BoardRow.Plant, ContactorTitle(bank), asked, bank.ContactorA.Value, "A", LimitSense.AtMost, 0,
            $"Relief: {fits}, or a reactor ahead. Capacitors stay charged: wait, prove the absence of voltage, short them.",
            new Reason(
                "max(1.3·1.1, I_rms/I_1)·Q_step/(√3·U)",
                $"{Text.N(nominalA)} A a step at its rating, × {Text.N(asked / nominalA, 3)}; {Text.N(bank.ContactorA.Value)} A in AC-6b",
                "IEC 60947-4-1, AC-6b; IEC 60831-1, 1.3 times the current and the tolerance of the capacitance (verify)",
                [ReasonInput.Of("solved current of the bank", worst.CurrentPu, "pu", scenario)]),
            scenario);
    }
}
