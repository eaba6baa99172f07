using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>A machine as it is compared: what is entered, and what the catalogue's motor of its size adds.</summary>
/// <param name="Id">Its key in the list.</param>
/// <param name="Motor">Motor of the catalogue; empty where none has its size.</param>
/// <param name="Figures">What is compared; null while something is missing.</param>
/// <param name="FromCatalogue">Names of what was taken from that motor.</param>
/// <param name="Missing">What is missing.</param>
public sealed record ComparedMachine(string Id, string Motor, SingleMachine? Figures, IReadOnlyList<string> FromCatalogue,
    IReadOnlyList<string> Missing)
{
    /// <summary>All machines of a lineup's list.</summary>
    public static IReadOnlyList<ComparedMachine> Of(PlantSpecification plant, Lineup lineup, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(data);
        var one = lineup.OnePhase ?? OnePhaseSupply.Open;
        var supplyV = one.VoltageOn(plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
        return [.. one.Machines.Select(m => ResolvedMachine.Of(m, supplyV, plant.Source.FrequencyHz, data)).Select(m =>
            new ComparedMachine(m.Machine.Id,
                m.Motor is null ? string.Empty : $"{ItemText.Motor(m.Motor)} {ItemText.Power(m.Motor)}, {m.Motor.Poles}-pole", m.Figures,
                m.FromCatalogue, m.Missing))];
    }
}
