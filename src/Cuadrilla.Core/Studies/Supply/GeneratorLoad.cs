using System.Numerics;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a plant asks of its source.</summary>
public static class GeneratorLoad
{
    /// <summary>P + jQ of everything that runs in a scenario, losses of transformers with it, VA; negative Q leads, negative P comes
    /// back.</summary>
    public static Complex OnSource(PlantSpecification plant, ScenarioResult result)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        var standing = StandingLoads.Beside(plant, result, string.Empty);
        var sum = standing.PowersPu.Aggregate(Complex.Zero, (a, b) => a + b)
            + Complex.Conjugate(standing.ShuntsPu.Aggregate(Complex.Zero, (a, b) => a + b));
        return (sum * SupplyNetwork.BaseVa) + result.Transformers.Sum(t => t.WindingLossW);
    }

    /// <summary>What a generator's regulator adds to all voltages of a scenario, parts of nominal: it holds the terminals, behind whose
    /// reactance they were solved; 0 for other sources.</summary>
    public static double HeldPu(PlantSpecification plant, ScenarioResult result)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        return plant.Source.Strength is SourceStrength.Generator
            && result.Buses.FirstOrDefault(b => b.BusId == plant.Source.BusId) is { } terminals ? 1 - terminals.VoltagePu : 0;
    }

    /// <summary>Largest apparent power with locked rotor of what starts across the line, VA; 0 where nothing does.</summary>
    public static double LargestStartVa(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(scenarios);
        return scenarios.SelectMany(s => s.OnLine.Select(d => d.LockedRotorVa).Concat(plant.Distribution.Loads.OfType<BusLoad.LineMotor>()
                .Where(m => s.Network.IsLive(m.BusId)).Select(m => m.LockedRotorVa())))
            .DefaultIfEmpty(0).Max();
    }
}
