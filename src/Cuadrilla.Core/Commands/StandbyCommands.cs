using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Standby;

namespace Cuadrilla.Core.Commands;

/// <summary>Switches off in the scenarios on the generator what it does not carry, step by step until nothing fails that shedding can
/// mend.</summary>
public sealed record ShedOnGenerator : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (GeneratorFeed.Of(plant) is not { } feed)
        {
            return CommandOutcome.Not("scenarios", "No generator feeds the plant in any scenario.");
        }

        var found = Shedding.Of(feed, studies);
        if (found.Steps.Count == 0)
        {
            return CommandOutcome.Not("scenarios", "There is nothing to shed: nothing fails on the generator that less load would mend.");
        }

        var after = plant with
        {
            Scenarios = [.. plant.Scenarios.Select(s => found.Scenarios.FirstOrDefault(f => f.Id == s.Id) ?? s)],
        };
        return new CommandOutcome.Done(after,
            CommandOutcome.Shortened($"On the generator off: {string.Join(", ", found.Steps.Select(s => s.What))}"), [])
        {
            Notes = [.. found.Left.Select(l => $"Still fails: {l}.")],
        };
    }
}
