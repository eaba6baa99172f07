using System.Numerics;
using Cuadrilla.Core.Assessment.Supply.Balance;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>
/// Finds the line currents of a scenario together with the voltages that they leave: where the project says so all orders together
/// (<see cref="BalancedFronts"/>), else with the orders to 13 fed back (<see cref="MixedFronts"/>). See <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal static class DriveFronts
{
    /// <summary>Solves them; no drives when the network can't carry the load.</summary>
    public static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Solve(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings) =>
        running.Count > 0 && settings.AllOrders
            ? BalancedFronts.Solve(plant, scenario, network, running, shunts, loads, settings)
            : MixedFronts.Solve(plant, scenario, network, running, shunts, loads, settings);
}

/// <summary>What the search for the line currents of a scenario works with.</summary>
/// <param name="LeakageMismatchPu">How far the leakages of phase-shifting transformers differ.</param>
/// <param name="Rectifier">Solver of a front end; told of a result that hardly differs where one is known.</param>
/// <param name="Before">Front ends as the last run of this scenario left them, by key; empty the first time.</param>
internal sealed record FrontSettings(
    double LeakageMismatchPu, Func<RectifierInput, RectifierResult?, RectifierResult> Rectifier, IReadOnlyDictionary<string, DriveInScenario> Before)
{
    /// <summary>True: all orders together.</summary>
    public bool AllOrders { get; init; }

    /// <summary>Unbalance up to which the orders that only it makes are drawn but do not come back to the front ends, %.</summary>
    public double LittleUnbalancePct { get; init; } = 1;
}
