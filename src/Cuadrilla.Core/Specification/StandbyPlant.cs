using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Specification;

/// <summary>A plant with a standby generator as the two plants that it is: on the mains, and on the generator.</summary>
public static class StandbyPlant
{
    /// <summary>True where there is a generator and a scenario on it.</summary>
    public static bool Has(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Standby is not null && plant.Scenarios.Any(s => s.OnStandby);
    }

    /// <summary>On the mains: without the scenarios on the generator.</summary>
    public static PlantSpecification OnMains(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant with { Standby = null, Scenarios = [.. plant.Scenarios.Where(s => !s.OnStandby)] };
    }

    /// <summary>On the generator: it is the source, at its bus, without distortion or unbalance of its own; nothing couples to a public
    /// system.</summary>
    /// <exception cref="InvalidOperationException">There is none.</exception>
    public static PlantSpecification OnGenerator(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var standby = plant.Standby ?? throw new InvalidOperationException("There is no standby generator.");
        return plant with
        {
            Standby = null,
            Source = new Source(standby.BusId, plant.Source.FrequencyHz, standby.Generator, 0, 0, 0),
            Pcc = plant.Pcc with { BusId = standby.BusId },
            Scenarios = [.. plant.Scenarios.Where(s => s.OnStandby)],
        };
    }

    /// <summary>The one of the two that a scenario belongs to; the plant itself where there is no generator.</summary>
    public static PlantSpecification Of(PlantSpecification plant, string scenarioId)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return !Has(plant) ? plant
            : plant.Scenarios.FirstOrDefault(s => s.Id == scenarioId)?.OnStandby == true ? OnGenerator(plant) : OnMains(plant);
    }
}
