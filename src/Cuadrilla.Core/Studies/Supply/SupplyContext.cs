using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What the checks of the supply look at.</summary>
/// <param name="Plant">The plant.</param>
/// <param name="Data">The catalogue.</param>
/// <param name="Defaults">Defaults in force.</param>
/// <param name="Scenarios">Each scenario; empty while the supply is not stated.</param>
/// <param name="Demand">Demand at the PCC; null when not known.</param>
/// <param name="Incomplete">Drive points whose currents can't be known yet, with what they lack.</param>
internal sealed record SupplyContext(
    PlantSpecification Plant,
    EngineeringData Data,
    DefaultsInForce Defaults,
    IReadOnlyList<ScenarioResult> Scenarios,
    PccDemand? Demand,
    IReadOnlyList<string> Incomplete)
{
    /// <summary>Steady voltage of each live bus.</summary>
    public IReadOnlyDictionary<string, BusVoltageRange> Voltages { get; init; } = new Dictionary<string, BusVoltageRange>();

    /// <summary>Fault currents of each live bus.</summary>
    public IReadOnlyDictionary<string, BusShortCircuit> ShortCircuits { get; init; } = new Dictionary<string, BusShortCircuit>();

    /// <summary>Voltage lost up to each bus with a lineup from where its installation begins, % of nominal.</summary>
    public IReadOnlyDictionary<string, double> BusDropsPct { get; init; } = new Dictionary<string, double>();

    /// <summary>What threw on the way: where a scenario or a drive is missing, nothing that rests on all of them holds.</summary>
    public IReadOnlyList<Fault> Faults { get; init; } = [];
}
