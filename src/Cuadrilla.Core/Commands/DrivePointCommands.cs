using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Adds an empty drive point.</summary>
/// <param name="LineupId">Lineup that it joins.</param>
/// <param name="AfterId">Drive point after which it stands; empty: at the end.</param>
public sealed record AddDrivePoint(string LineupId, string AfterId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is not { } lineup)
        {
            return CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
        }

        var (id, tag) = DrivePointNames.Next(plant);
        var point = new DrivePoint(
            id, tag, "New drive point", new Feeder.OnBusbar(), new ConverterChoice.NotChosen(),
            new MotorCable(Given.Unknown, Given.Unknown, 1, ConductorMaterial.Copper, true),
            new MotorChoice.NotChosen(), new UnspecifiedLoad(), [], new HoldingBrake.None());
        return CommandOutcome.Of(plant.With(Insert(lineup, point, AfterId)), $"Add {tag}", id);
    }

    internal static Lineup Insert(Lineup lineup, DrivePoint point, string afterId)
    {
        List<DrivePoint> points = [.. lineup.DrivePoints];
        var place = points.FindIndex(p => p.Id == afterId);
        points.Insert(place < 0 ? points.Count : place + 1, point);
        return lineup with { DrivePoints = [.. points] };
    }
}

/// <summary>Copies a drive point; the copy stands right after it and runs in scenarios as the original does.</summary>
/// <param name="PointId">The original.</param>
public sealed record CopyDrivePoint(string PointId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return Copied(plant, PointId) is var (after, copy)
            ? CommandOutcome.Of(after, $"Copy {plant.Tags([PointId])}", copy.Id)
            : CommandOutcome.Unknown("pointId", "Drive point", PointId);
    }

    internal static (PlantSpecification After, DrivePoint Copy)? Copied(PlantSpecification plant, string id)
    {
        if (plant.Point(id) is not { } original)
        {
            return null;
        }

        var (key, tag) = DrivePointNames.Next(plant);

        // A copy belongs to no group.
        var copy = original with
        {
            Id = key,
            Tag = tag,
            Name = DrivePointNames.Counted(plant, original.Name),
            Converter = original.Converter is ConverterChoice.OfGroup ? new ConverterChoice.NotChosen() : original.Converter,
        };
        var after = plant.With(AddDrivePoint.Insert(plant.LineupOf(id)!, copy, id));
        return (after with
        {
            Scenarios = [.. after.Scenarios.Select(s =>
                s with { States = [.. s.States,
                    .. s.States.Where(x => x.DrivePointId == id).Select(x => x with { DrivePointId = key })] })],
        }, copy);
    }
}

/// <summary>Moves drive points to another lineup; those that share a converter, a shaft or a DC bus leave it first.</summary>
/// <param name="PointIds">Which.</param>
/// <param name="LineupId">Lineup that they join, at its end.</param>
public sealed record MoveDrivePoints(IReadOnlyList<string> PointIds, string LineupId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        if (plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is not { } lineup)
        {
            return CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
        }

        List<DrivePoint> moving = [.. PointIds.Distinct(StringComparer.Ordinal).Where(id => plant.LineupOf(id)!.Id != LineupId)
            .Select(id => plant.Point(id)!)];
        if (moving.Count == 0)
        {
            return CommandOutcome.Not("lineupId", $"They stand in {lineup.Tag} already.");
        }

        var joined = moving.Find(p => plant.DcBusOf(p.Id) is not null
            || plant.LineupOf(p.Id)!.Arrangements.Any(a => a.PointIds().Contains(p.Id)));
        if (joined is not null)
        {
            return CommandOutcome.Not("pointIds",
                $"{joined.Tag} is joined with others of its lineup: take it out of its group, shaft, follower or DC bus first.");
        }

        var ids = moving.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var after = plant with { Lineups = [.. plant.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Where(p => !ids.Contains(p.Id)), .. l.Id == LineupId ? moving : []] })] };
        return CommandOutcome.Of(after, $"Move {plant.Tags(ids)} to {lineup.Tag}");
    }
}

/// <summary>Removes drive points: arrangements that are left too small go, a group passes its converter on, scenarios forget
/// them.</summary>
/// <param name="PointIds">Which.</param>
public sealed record RemoveDrivePoints(IReadOnlyList<string> PointIds) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Missing(PointIds) ?? CommandOutcome.Of(Without(plant, PointIds), $"Remove {plant.Tags(PointIds)}");
    }

    internal static PlantSpecification Without(PlantSpecification plant, IReadOnlyCollection<string> ids) =>
        ForgetGone(plant with { Lineups = [.. plant.Lineups.Select(l => l.DrivePoints.Any(p => ids.Contains(p.Id))
            ? Without(l, ids)
            : l)] });

    /// <summary>Scenarios keep states of drive points on the board or set aside only.</summary>
    internal static PlantSpecification ForgetGone(PlantSpecification plant)
    {
        var left = plant.Lineups.SelectMany(l => l.DrivePoints.Concat(l.SetAside.SelectMany(v => v.DrivePoints))).Select(p => p.Id)
            .ToHashSet(StringComparer.Ordinal);
        return plant with { Scenarios = [.. plant.Scenarios.Select(s =>
            s with { States = [.. s.States.Where(x => left.Contains(x.DrivePointId))] })] };
    }

    private static Lineup Without(Lineup lineup, IReadOnlyCollection<string> ids)
    {
        var points = lineup.DrivePoints.ToDictionary(p => p.Id, StringComparer.Ordinal);
        List<Arrangement> kept = [];
        foreach (var arrangement in lineup.Arrangements)
        {
            switch (arrangement)
            {
                case MotorGroup group when group.Members.Where(m => !ids.Contains(m.PointId)).ToList() is { Count: > 0 } members:
                    points[members[0].PointId] = points[members[0].PointId] with { Converter = points[group.Members[0].PointId].Converter };
                    kept.Add(group with { Members = [.. members] });
                    break;
                case SharedShaft shaft when shaft.Units.Where(u => !ids.Contains(u.PointId)).ToList() is { Count: > 1 } units:
                    kept.Add(shaft with { Units = [.. units] });
                    break;
                case RatioFollower ratio when !ratio.PointIds().Any(ids.Contains):
                    kept.Add(ratio);
                    break;
            }
        }

        return lineup with
        {
            DrivePoints = [.. lineup.DrivePoints.Where(p => !ids.Contains(p.Id)).Select(p => points[p.Id])],
            Arrangements = [.. kept],
            DcBuses = [.. lineup.DcBuses.Select(b => Without(b, ids)).Where(b => b.MemberIds.Count > 0)],
        };
    }

    private static CommonDcBus Without(CommonDcBus bus, IReadOnlyCollection<string> ids) => bus with
    {
        MemberIds = [.. bus.MemberIds.Where(m => !ids.Contains(m))],
        Control = bus.Control is ServoControl.Modular modular
            ? modular with { SafeGroups = [.. modular.SafeGroups.Where((_, i) => i >= bus.MemberIds.Count
                || !ids.Contains(bus.MemberIds[i]))] }
            : bus.Control,
    };
}

/// <summary>Adds an empty lineup on the bus of the last one.</summary>
public sealed record AddLineup : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var busId = plant.Lineups.Count > 0
            ? plant.Lineups[^1].BusId
            : plant.Distribution.Buses.LastOrDefault(b => b.NominalVoltageV <= 1000)?.Id;
        if (busId is null)
        {
            return CommandOutcome.Not("kind", "There is no bus of low voltage that it could hang on.");
        }

        var taken = plant.Lineups.SelectMany(l => new[] { l.Id, l.Tag }).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var number = plant.Lineups.Count + 1;
        while (taken.Contains($"L{number}"))
        {
            number++;
        }

        return CommandOutcome.Of(
            plant with { Lineups = [.. plant.Lineups,
                new Lineup($"l{number}", $"L{number}", "New lineup", busId, [], [], [], string.Empty, string.Empty, [])] },
                    $"Add lineup L{number}", $"l{number}");
    }
}

/// <summary>Removes a lineup with its drive points.</summary>
/// <param name="LineupId">Which.</param>
public sealed record RemoveLineup(string LineupId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is { } lineup
            ? CommandOutcome.Of(RemoveDrivePoints.ForgetGone(plant with { Lineups = [.. plant.Lineups.Where(l => l.Id != LineupId)] }),
                $"Remove lineup {lineup.Tag}")
            : CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
    }
}
