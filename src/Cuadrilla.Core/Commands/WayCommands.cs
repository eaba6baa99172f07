using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Ways to build a lineup, kept beside the one in force.</summary>
internal static class Ways
{
    private const int Most = 3;

    public static bool IsFull(Lineup lineup) => lineup.SetAside.Count >= Most;

    public static CommandOutcome Full =>
        CommandOutcome.Not("lineupId", $"At most {Most} ways are kept beside the one in force: drop one first.");

    public static Lineup Beside(Lineup lineup, string name, Lineup way) =>
        lineup with { SetAside = [.. lineup.SetAside,
            new LineupVariant($"way-{FreeKey(lineup)}", name, way.DrivePoints, way.DcBuses, way.Arrangements)] };

    /// <summary>A way on the board; the one in force takes its place. Null where there is none of that key.</summary>
    public static Lineup? Exchanged(Lineup lineup, string variantId) =>
        lineup.SetAside.FirstOrDefault(v => v.Id == variantId) is not { } chosen ? null : lineup with
    {
        DrivePoints = chosen.DrivePoints,
        DcBuses = chosen.DcBuses,
        Arrangements = chosen.Arrangements,
        VariantName = chosen.Name,
        SetAside =
        [
            .. lineup.SetAside.Select(v => v.Id == variantId
                ? new LineupVariant(v.Id, lineup.VariantName.Length > 0 ? lineup.VariantName : "before", lineup.DrivePoints, lineup.DcBuses,
                    lineup.Arrangements)
                : v),
        ],
    };

    private static int FreeKey(Lineup lineup) => PlantEdits.Free("way", lineup.SetAside.Select(v => v.Id));
}

/// <summary>A change of the ways of one lineup.</summary>
/// <param name="LineupId">Which.</param>
public abstract record WayCommand(string LineupId) : PlantCommand
{
    /// <inheritdoc/>
    public sealed override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is { } lineup
            ? On(plant, lineup)
            : CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
    }

    private protected abstract CommandOutcome On(PlantSpecification plant, Lineup lineup);

    private protected static CommandOutcome NoWay(string? variantId) => CommandOutcome.Unknown("variantId", "Way", variantId);
}

/// <summary>Keeps the way a lineup is built now beside it, so that it can be changed and compared.</summary>
/// <param name="LineupId">Which.</param>
/// <param name="Name">Name of that way, 1 to 60 characters.</param>
public sealed record SetWayAside(string LineupId, string Name) : WayCommand(LineupId)
{
    private protected override CommandOutcome On(PlantSpecification plant, Lineup lineup) =>
        Ways.IsFull(lineup)
            ? Ways.Full
            : CommandOutcome.Of(plant.With(Ways.Beside(lineup, Name, lineup)), $"{lineup.Tag}: set aside {Name}");
}

/// <summary>Puts a way that was set aside on the board; the one in force takes its place.</summary>
/// <param name="LineupId">Which lineup.</param>
/// <param name="VariantId">Which way.</param>
public sealed record PutOnBoard(string LineupId, string VariantId) : WayCommand(LineupId)
{
    private protected override CommandOutcome On(PlantSpecification plant, Lineup lineup) =>
        Ways.Exchanged(lineup, VariantId) is { } exchanged
            ? CommandOutcome.Of(plant.With(exchanged), $"{lineup.Tag}: {exchanged.VariantName} on the board")
            : NoWay(VariantId);
}

/// <summary>Adopts a way with a reason; the others go, and scenarios forget drive points that are gone.</summary>
/// <param name="LineupId">Which lineup.</param>
/// <param name="VariantId">Which way; empty for the one in force.</param>
/// <param name="Reason">Why.</param>
public sealed record AdoptWay(string LineupId, string VariantId, string Reason) : WayCommand(LineupId)
{
    private protected override CommandOutcome On(PlantSpecification plant, Lineup lineup)
    {
        var chosen = VariantId.Length == 0 ? lineup : Ways.Exchanged(lineup, VariantId);
        return chosen is null ? NoWay(VariantId) : CommandOutcome.Of(
            RemoveDrivePoints.ForgetGone(plant.With(chosen with { SetAside = [], Reason = Reason })),
            $"{lineup.Tag}: adopt {(chosen.VariantName.Length > 0 ? chosen.VariantName : "the way on the board")}");
    }
}

/// <summary>Drops a way that was set aside.</summary>
/// <param name="LineupId">Which lineup.</param>
/// <param name="VariantId">Which way.</param>
public sealed record DropWay(string LineupId, string VariantId) : WayCommand(LineupId)
{
    private protected override CommandOutcome On(PlantSpecification plant, Lineup lineup) =>
        lineup.SetAside.FirstOrDefault(v => v.Id == VariantId) is { } way
        ? CommandOutcome.Of(plant.With(lineup with { SetAside = [.. lineup.SetAside.Where(v => v.Id != VariantId)] }),
            $"{lineup.Tag}: drop {way.Name}")
        : NoWay(VariantId);
}
