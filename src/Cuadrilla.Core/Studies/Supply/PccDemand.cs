using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Demand current at the PCC and the short-circuit ratio that follows.</summary>
/// <param name="CurrentA">I_L, A at PCC voltage.</param>
/// <param name="FaultA">I_sc at the PCC, A: the largest of all scenarios, the source at its strongest.</param>
/// <param name="Origin">Where I_L comes from.</param>
public sealed record PccDemand(double CurrentA, double FaultA, string Origin)
{
    /// <summary>True when the demand is stated, not taken from a scenario.</summary>
    public bool IsStated { get; init; }

    /// <summary>Isc/IL.</summary>
    public double Ratio => FaultA / CurrentA;

    /// <summary>I_L is the largest demand of the installation: as stated, or the largest scenario. Null without either, or without fault
    /// level.</summary>
    internal static PccDemand? Of(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios)
    {
        var live = scenarios.Where(s => s.Network.IsLive(plant.Pcc.BusId)).ToList();
        if (live.Count == 0)
        {
            return null;
        }

        var fault = live.Max(s => s.Strongest.FaultA(plant.Pcc.BusId));
        if (plant.Pcc.MaximumDemandKva.IsKnown)
        {
            var voltage = plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV;
            return new PccDemand(plant.Pcc.MaximumDemandKva.Value * 1e3 / (Math.Sqrt(3) * voltage), fault,
                "maximum demand as stated") { IsStated = true };
        }

        var largest = live.MaxBy(s => s.Pcc.FundamentalA)!;
        return largest.Pcc.FundamentalA > 0
            ? new PccDemand(largest.Pcc.FundamentalA, fault, $"largest scenario: {largest.ScenarioName}")
            : null;
    }

    internal IReadOnlyList<ReasonInput> Inputs() =>
    [
        ReasonInput.Of("maximum demand current I_L", CurrentA, "A", Origin),
        ReasonInput.Of("fault current Isc", FaultA, "A", "network behind the PCC"),
    ];
}
