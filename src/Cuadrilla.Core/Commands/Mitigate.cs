using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Puts a way of mitigating, as the workbench judged it, on the board.</summary>
/// <param name="Name">What the workbench called it.</param>
/// <param name="Change">What it changes.</param>
public sealed record Mitigate(string Name, MitigationChange Change) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        return CommandOutcome.Of(Change.On(plant, studies.Data.With(plant)), $"Mitigation: {Name}");
    }
}
