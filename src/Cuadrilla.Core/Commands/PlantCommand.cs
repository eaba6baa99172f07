using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>A change of a specification that asks for engineering: which size, which share, what has to follow.</summary>
public abstract record PlantCommand
{
    private protected PlantCommand()
    {
    }

    /// <summary>The plant after it, or why it can't be done. Nothing is changed by asking.</summary>
    /// <param name="plant">A valid specification.</param>
    /// <param name="studies">Catalogue and studies.</param>
    public abstract CommandOutcome On(PlantSpecification plant, IPlantStudies studies);
}

/// <summary>What became of a command.</summary>
public abstract record CommandOutcome
{
    private CommandOutcome()
    {
    }

    /// <summary>It is done.</summary>
    /// <param name="After">The plant after it.</param>
    /// <param name="Label">What was done, for the history; 1 to 120 characters.</param>
    /// <param name="CreatedIds">Keys of what it created: drive points, buses, arrangements, elements.</param>
    public sealed record Done(PlantSpecification After, string Label, IReadOnlyList<string> CreatedIds) : CommandOutcome
    {
        /// <summary>What was not done, and why: a sentence each.</summary>
        public IReadOnlyList<string> Notes { get; init; } = [];
    }

    /// <summary>It can't be done; nothing is changed.</summary>
    /// <param name="Why">What stands against it; the pointer is into the command.</param>
    public sealed record Refused(InputProblem Why) : CommandOutcome;

    private const int MostOfLabel = 120;
    private const int MostReasons = 4;

    /// <summary>A label that is not too long for the history.</summary>
    public static string Shortened(string label)
    {
        ArgumentNullException.ThrowIfNull(label);
        return label.Length > MostOfLabel ? label[..(MostOfLabel - 1)] + "…" : label;
    }

    internal static CommandOutcome Of(PlantSpecification after, string label, params IReadOnlyList<string> created) =>
        new Done(after, Shortened(label), created);

    internal static CommandOutcome Not(string field, string why) =>
        new Refused(new InputProblem("/" + field, string.Empty, string.Empty, why));

    /// <summary>Nothing could be done, for many reasons: the first of them, and how many more.</summary>
    internal static CommandOutcome Not(string field, IReadOnlyList<string> reasons) => Not(field,
        string.Join(" ", reasons.Take(MostReasons))
        + (reasons.Count > MostReasons ? $" And {reasons.Count - MostReasons} more." : string.Empty));

    internal static CommandOutcome Unknown(string field, string what, string? key) =>
        new Refused(InputProblem.Of("/" + field, what, key is null ? "absent" : $"'{key}'", "a key of this plant"));
}
