using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Plant;

/// <summary>A capacitor bank for the power factor.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="BusId">Its bus.</param>
/// <param name="StepKvar">Reactive power of a step at nominal voltage, with its reactor, kvar.</param>
/// <param name="Steps">Number of steps, all on unless a scenario says otherwise.</param>
/// <param name="DetuningPct">Reactor in per cent of the capacitor's reactance; unknown: no reactor.</param>
public sealed record CapacitorBank(string Id, string Name, string BusId, double StepKvar, int Steps, Given DetuningPct)
{
    /// <summary>
    /// Admittance of one order in siemens on a voltage base: B = Q·(1 − p)/U²·h/(1 − p·h²), from X_C = U²/(Q·(1 − p)) and
    /// X_L = p·X_C. Negative where the reactor outweighs the capacitor.
    /// </summary>
    /// <param name="order">Order, at least 1.</param>
    /// <param name="stepsOn">Steps that are on.</param>
    /// <param name="voltageV">Nominal line-to-line voltage, V.</param>
    public double SusceptanceS(double order, int stepsOn, double voltageV)
    {
        var detuning = DetuningPct.IsKnown ? DetuningPct.Value / 100 : 0;
        var capacitive = StepKvar * 1e3 * stepsOn * (1 - detuning) / (voltageV * voltageV);
        return capacitive * order / (1 - (detuning * order * order));
    }
}
