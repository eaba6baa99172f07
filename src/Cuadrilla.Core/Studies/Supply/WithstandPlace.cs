using System.Numerics;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Largest fault current of a bus over all scenarios, and the bus as one impedance behind c_max·U.</summary>
/// <param name="Scenario">Scenario with the most.</param>
/// <param name="FaultA">Fault current, A; infinite behind an infinite source.</param>
/// <param name="MotorsA">Part of it from motors on the line, A.</param>
/// <param name="Ohm">Impedance, Ω: what motors add makes it smaller.</param>
internal sealed record WithstandPlace(string Scenario, double FaultA, double MotorsA, Complex Ohm)
{
    /// <summary>Of a bus; null where no scenario feeds it.</summary>
    public static WithstandPlace? Of(string busId, PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios)
    {
        var cases = scenarios.Where(s => s.Strongest.IsLive(busId)).Select(s => (Scenario: s, Fault: WithstandCurrents.At(plant, s, busId)))
            .ToList();
        if (cases.Count == 0)
        {
            return null;
        }

        var (worst, fault) = cases.MaxBy(c => c.Fault.Ampere);
        var ohm = worst.ForWithstand.ImpedanceOhm(busId);
        return new WithstandPlace(
            worst.ScenarioName, fault.Ampere, fault.MotorsA, fault.Ampere > 0 && double.IsFinite(fault.Ampere)
                ? ohm * ((fault.Ampere - fault.MotorsA) / fault.Ampere)
                : ohm);
    }
}
