using System.Collections.Concurrent;
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
    // Two hundred drive points ask for their own among two hundred drives of each scenario.
    private readonly Lazy<ILookup<string, (ScenarioResult Scenario, DriveInScenario Drive)>> drives =
        new(() => Scenarios.SelectMany(s => s.Drives.Select(d => (Scenario: s, Drive: d)))
            .ToLookup(d => d.Drive.DrivePointId, StringComparer.Ordinal));

    private readonly Lazy<ILookup<string, (ScenarioResult Scenario, LineDrive Drive)>> onLine =
        new(() => Scenarios.SelectMany(s => s.OnLine.Select(d => (Scenario: s, Drive: d)))
            .ToLookup(d => d.Drive.DrivePointId, StringComparer.Ordinal));

    private readonly Lazy<IReadOnlyList<string>> missingOfNetwork = new(() => [.. PlantNetwork.Missing(Plant)]);
    private readonly ConcurrentDictionary<string, WithstandPlace?> withstand = new(StringComparer.Ordinal);

    /// <summary>What the network lacks to be computed.</summary>
    public IReadOnlyList<string> MissingOfNetwork => missingOfNetwork.Value;

    /// <summary>Steady voltage of each live bus.</summary>
    public IReadOnlyDictionary<string, BusVoltageRange> Voltages { get; init; } = new Dictionary<string, BusVoltageRange>();

    /// <summary>Fault currents of each live bus.</summary>
    public IReadOnlyDictionary<string, BusShortCircuit> ShortCircuits { get; init; } = new Dictionary<string, BusShortCircuit>();

    /// <summary>Voltage lost up to each bus with a lineup from where its installation begins, % of nominal.</summary>
    public IReadOnlyDictionary<string, double> BusDropsPct { get; init; } = new Dictionary<string, double>();

    /// <summary>A front end, by the key of its drive point, group or DC bus, in each scenario in which it runs.</summary>
    public IEnumerable<(ScenarioResult Scenario, DriveInScenario Drive)> DrivesOf(string id) => drives.Value[id];

    /// <summary>A motor on the line in each scenario in which it runs.</summary>
    public IEnumerable<(ScenarioResult Scenario, LineDrive Drive)> OnLineOf(string drivePointId) => onLine.Value[drivePointId];

    /// <summary>Largest fault current of a bus, source at its strongest; null where no scenario feeds it.</summary>
    public WithstandPlace? WithstandOf(string busId) => withstand.GetOrAdd(busId, id => WithstandPlace.Of(id, Plant, Scenarios));

    /// <summary>What threw on the way: where a scenario or a drive is missing, nothing that rests on all of them holds.</summary>
    public IReadOnlyList<Fault> Faults { get; init; } = [];
}
