using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Ways of feeding a motor, as chosen first.</summary>
public enum FeedWay
{
    /// <summary>A converter, to be chosen.</summary>
    Converter,

    /// <summary>A contactor.</summary>
    AcrossTheLine,

    /// <summary>Star, then delta.</summary>
    StarDelta,

    /// <summary>A soft starter.</summary>
    SoftStarter,
}

/// <summary>Feeds motors another way, with values to start from: each the smallest soft starter that carries its motor at this
/// site.</summary>
/// <param name="PointIds">Which.</param>
/// <param name="Way">How.</param>
public sealed record FeedBy(IReadOnlyList<string> PointIds, FeedWay Way) : PlantCommand
{
    // Values to start from: two starts per hour are what makers of cage motors usually permit; five seconds in star.
    private const double UsualStartsPerHour = 2;
    private const double UsualChangeOverS = 5;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        foreach (var point in PointIds.Select(id => plant.Point(id)!))
        {
            if (point.Converter is ConverterChoice.OfGroup || plant.GroupOf(point.Id) is not null
                || (Way != FeedWay.Converter && plant.DcBusOf(point.Id) is not null))
            {
                return CommandOutcome.Not("pointIds", $"{point.Tag} shares its supply: take it out of its group or DC bus first.");
            }
        }

        var data = studies.Data.With(plant);
        if (Way == FeedWay.SoftStarter && (data.SoftStarters.Count == 0 || data.StartPresets.Count == 0))
        {
            return CommandOutcome.Not("way", "The catalogue has no soft starter.");
        }

        if (Way == FeedWay.SoftStarter && PointIds.Select(id => plant.Point(id)!)
            .FirstOrDefault(p => FamilySizes.MotorCurrentA(p, data) is null) is { } open)
        {
            return CommandOutcome.Not("pointIds", $"{open.Tag} has no motor yet: a soft starter is taken for its motor's current.");
        }

        return CommandOutcome.Of(plant.Changed([.. PointIds], p => p with { Converter = First(p, plant.Site, data) }),
            $"{plant.Tags(PointIds)}: fed by {Name}");
    }

    private string Name => Way switch
    {
        FeedWay.Converter => "converter",
        FeedWay.AcrossTheLine => "contactor, across the line",
        FeedWay.StarDelta => "star-delta",
        FeedWay.SoftStarter => "soft starter",
        _ => throw new InvalidOperationException("Unknown way of feeding."),
    };

    private ConverterChoice First(DrivePoint point, Site site, EngineeringData data)
    {
        switch (Way)
        {
            case FeedWay.AcrossTheLine:
                return new ConverterChoice.AcrossTheLine(TripClass.Class10, UsualStartsPerHour, string.Empty);
            case FeedWay.StarDelta:
                return new ConverterChoice.StarDelta(UsualChangeOverS, TripClass.Class10, UsualStartsPerHour, string.Empty);
            case FeedWay.SoftStarter:
                var sizes = data.SoftStarters.Values.OrderBy(s => s.RatedCurrentA).ToList();
                var currentA = FamilySizes.MotorCurrentA(point, data)!.Value;
                var item = sizes.Find(s => s.RatedCurrentA * s.Derating.FactorPu(site) >= currentA) ?? sizes[^1];
                var preset = data.StartPresets.FirstOrDefault(p => p.Application == point.Load.StartApplication()) ?? data.StartPresets[0];
                return new ConverterChoice.SoftStarter(item.Id, preset.Settings, preset.Trip, UsualStartsPerHour, string.Empty);
            default:
                return new ConverterChoice.NotChosen();
        }
    }
}

/// <summary>Another way of braking a drive on a converter, with values to start from.</summary>
/// <param name="PointIds">Which; those without a converter of their own stay as they are.</param>
/// <param name="Way">How.</param>
public sealed record BrakeBy(IReadOnlyList<string> PointIds, BrakingWay Way) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        Braking braking = Way switch
        {
            BrakingWay.Nothing => new Braking.Nothing(),
            BrakingWay.Coast => new Braking.Coast(),
            BrakingWay.Flux => new Braking.Flux(120),
            BrakingWay.DcInjection => new Braking.DcInjection(100),
            BrakingWay.Resistor => new Braking.Resistor(Given.Unknown, Given.Unknown),
            BrakingWay.ToLine => new Braking.ToLine(),
            _ => throw new InvalidOperationException("Unknown way of braking."),
        };
        return CommandOutcome.Of(
            plant.Changed([.. PointIds], p => p.Converter is ConverterChoice.FromCatalogue choice
                ? p with { Converter = choice with { Braking = braking } }
                : p),
            $"{plant.Tags(PointIds)}: braking");
    }
}

/// <summary>Ways of braking.</summary>
public enum BrakingWay
{
    /// <summary>By losses, slower.</summary>
    Nothing,

    /// <summary>Not: it coasts.</summary>
    Coast,

    /// <summary>By raised flux.</summary>
    Flux,

    /// <summary>By direct current.</summary>
    DcInjection,

    /// <summary>Chopper and resistor.</summary>
    Resistor,

    /// <summary>Back to the line.</summary>
    ToLine,
}

/// <summary>Adds a holding brake of which nothing is known yet but the usual order of things.</summary>
/// <param name="PointId">Where.</param>
public sealed record AddHoldingBrake(string PointId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Point(PointId) is not { } point)
        {
            return CommandOutcome.Unknown("pointId", "Drive point", PointId);
        }

        if (point.Brake is not HoldingBrake.None)
        {
            return CommandOutcome.Not("pointId", $"{point.Tag} has a holding brake.");
        }

        var presets = studies.Data.BrakePresets;
        var preset = presets.FirstOrDefault(p => p.Application == point.Load.BrakeApplication()) ?? presets[^1];
        var brake = new HoldingBrake.SpringApplied(
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            new BrakeCoil(Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, preset.Suppression),
            preset.Control);
        return CommandOutcome.Of(plant.Changed([PointId], p => p with { Brake = brake }),
            $"{point.Tag}: holding brake, settings of: {preset.Application}");
    }
}

/// <summary>Sets the commands of a holding brake as for a kind of machine; torque, times and coil stay.</summary>
/// <param name="PointId">Which drive point.</param>
/// <param name="Application">Name of the preset, for example hoist.</param>
public sealed record UseBrakePreset(string PointId, string Application) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Point(PointId) is not { } point)
        {
            return CommandOutcome.Unknown("pointId", "Drive point", PointId);
        }

        if (point.Brake is not HoldingBrake.SpringApplied brake)
        {
            return CommandOutcome.Not("pointId", $"{point.Tag} has no holding brake.");
        }

        if (studies.Data.BrakePresets.FirstOrDefault(p => p.Application == Application) is not { } preset)
        {
            return new CommandOutcome.Refused(InputProblem.Of("/application", "Preset", $"'{Application}'",
                string.Join(", ", studies.Data.BrakePresets.Select(p => p.Application))));
        }

        // Who commands it is the plant's way, not the machine's.
        var after = brake with { Control = preset.Control with { By = brake.Control.By },
            Coil = brake.Coil with { Suppression = preset.Suppression } };
        return CommandOutcome.Of(plant.Changed([PointId], p => p with { Brake = after }),
            $"{point.Tag}: brake settings of: {preset.Application}");
    }
}
