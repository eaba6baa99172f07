using System.Numerics;
using Cuadrilla.Core.Assessment.Supply.Balance;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>
/// Finds the line currents of a scenario together with the voltages that they leave. Where a capacitor bank without reactor is in service,
/// so that any order may be lifted, all orders are solved together (<see cref="BalancedFronts"/>); elsewhere the orders to 13 are fed back
/// (<see cref="MixedFronts"/>). See <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal static class DriveFronts
{
    /// <summary>Solves them; no drives when the network can't carry the load.</summary>
    public static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Solve(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings) =>
        running.Count > 0 && (settings.AlwaysBalance || HasBareBank(plant, scenario, network))
            ? BalancedFronts.Solve(plant, scenario, network, running, shunts, loads, settings)
            : MixedFronts.Solve(plant, scenario, network, running, shunts, loads, settings);

    private static bool HasBareBank(PlantSpecification plant, Scenario scenario, SupplyNetwork network) => plant.Distribution.CapacitorBanks
        .Any(b => b.DetuningPu == 0 && scenario.StepsOnOf(b) > 0 && network.IsLive(b.BusId) && network.NodeOf(b.BusId) != SupplyNetwork.Reference);
}

/// <summary>What the search for the line currents of a scenario works with.</summary>
/// <param name="LeakageMismatchPu">How far the leakages of phase-shifting transformers differ.</param>
/// <param name="Rectifier">Solver of a front end; told of a result that hardly differs where one is known.</param>
/// <param name="Before">Front ends as the last run of this scenario left them, by key; empty the first time.</param>
internal sealed record FrontSettings(
    double LeakageMismatchPu, Func<RectifierInput, RectifierResult?, RectifierResult> Rectifier, IReadOnlyDictionary<string, DriveInScenario> Before)
{
    /// <summary>True: all orders together in any plant.</summary>
    public bool AlwaysBalance { get; init; }
}
