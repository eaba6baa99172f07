using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Documents.Projects;

/// <summary>Commands carried out one after the other, as the command line and the server do.</summary>
public static class CommandRun
{
    /// <summary>How many at once.</summary>
    public const int Most = 200;

    /// <summary>The valid plant after all of them.</summary>
    /// <param name="plant">The plant before.</param>
    /// <param name="commands">1 to 200, each on what the one before left.</param>
    /// <param name="studies">Catalogue and studies.</param>
    /// <exception cref="InputException">One can't be done, or leaves a plant that can't be accepted; then none is done.</exception>
    public static CommandOutcome.Done All(PlantSpecification plant, IReadOnlyList<PlantCommand> commands, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(studies);
        Count(commands);
        var done = new CommandOutcome.Done(plant, string.Empty, []);
        for (var i = 0; i < commands.Count; i++)
        {
            done = One(commands[i], i, done.After, studies) switch
            {
                CommandOutcome.Done next => next with { Label = done.Label.Length > 0 ? done.Label : next.Label,
                    CreatedIds = [.. done.CreatedIds, .. next.CreatedIds], Notes = [.. done.Notes, .. next.Notes] },
                CommandOutcome.Refused refused =>
                    throw new InputException(refused.Why with { Pointer = $"/commands/{i}{refused.Why.Pointer}" }),
                _ => throw new InvalidOperationException("Unknown outcome."),
            };
        }

        if (commands.Count > 1)
        {
            done = done with { Label = CommandOutcome.Shortened($"{done.Label} and {commands.Count - 1} more") };
        }

        ProjectFile.Require(done.After, studies.Data, "/specification");
        return done;
    }

    /// <summary>Why each can't be done on a plant as it stands; empty where it can.</summary>
    public static IReadOnlyList<string> Refusals(PlantSpecification plant, IReadOnlyList<PlantCommand> commands, IPlantStudies studies)
    {
        Count(commands);
        return [.. commands.Select((c, i) => One(c, i, plant, studies) is CommandOutcome.Refused refused
            ? refused.Why.Message
            : string.Empty)];
    }

    private static CommandOutcome One(PlantCommand? command, int place, PlantSpecification plant, IPlantStudies studies) =>
        (command ?? throw new InputException(InputProblem.Of($"/commands/{place}", "Command", "null", "an object"))).On(plant, studies);

    private static void Count(IReadOnlyList<PlantCommand> commands)
    {
        ArgumentNullException.ThrowIfNull(commands);
        if (commands.Count is 0 or > Most)
        {
            throw new InputException(InputProblem.Of("/commands", "Commands", $"{commands.Count}", $"1 to {Most}"));
        }
    }
}
