using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>What a drive list says of how a motor is fed.</summary>
public enum ListedFeed
{
    /// <summary>Nothing.</summary>
    NotStated,

    /// <summary>By a converter.</summary>
    Converter,

    /// <summary>Across the line.</summary>
    AcrossTheLine,

    /// <summary>Star-delta.</summary>
    StarDelta,

    /// <summary>By a soft starter.</summary>
    SoftStarter,
}

/// <summary>A row of a drive list, read: what it leaves open stays as it is.</summary>
/// <param name="Tag">Tag; a drive point with it is changed, else one is made.</param>
/// <param name="Name">Name; empty: none stated.</param>
/// <param name="Lineup">Tag or name of the lineup; empty: the first.</param>
/// <param name="Load">The load; unspecified: nothing stated.</param>
/// <param name="MotorKw">Rated power of the motor.</param>
/// <param name="Poles">Number of its poles.</param>
/// <param name="EfficiencyClass">Its class; empty: the least that the project permits.</param>
/// <param name="Feed">How it is fed.</param>
/// <param name="CableLengthM">Length of the motor cable, m.</param>
/// <param name="CrossSectionMm2">Cross-section of the motor cable, mm².</param>
public sealed record DriveListRow(
    string Tag, string Name, string Lineup, Load Load, Given MotorKw, Given Poles, string EfficiencyClass, ListedFeed Feed,
    Given CableLengthM, Given CrossSectionMm2);

/// <summary>
/// Takes a drive list into the plant: drive points with a tag that is known are changed, others are made in their lineups, which are made
/// where they are missing.
/// </summary>
/// <param name="Rows">1 to 1000, no tag twice.</param>
/// <param name="Sized">True to put the best motor where none is listed, and the best converter where none of the other ways is.</param>
public sealed record TakeDriveList(IReadOnlyList<DriveListRow> Rows, bool Sized) : PlantCommand
{
    /// <summary>Most rows.</summary>
    public const int Most = 1000;

    // Sizes of plates and lists are rounded: 75 hp is 56 kW, 18.5 kW is 25 hp.
    private const double SameSize = 0.04;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (Refusal() is { } refusal)
        {
            return refusal;
        }

        var after = plant;
        List<string> created = [];
        List<string> notes = [];
        Dictionary<string, DriveListRow> taken = new(StringComparer.Ordinal);
        foreach (var row in Rows)
        {
            var known = after.AllDrivePoints().FirstOrDefault(p => Same(p.Tag, row.Tag));
            string id;
            if (known is null)
            {
                (after, id) = Made(after, row);
                created.Add(id);
            }
            else
            {
                id = known.Id;
            }

            after = after.Changed([id], p => With(p, row));
            taken[id] = row;
        }

        after = Motors(after, taken, studies.Data, notes);
        after = Starters(after, taken, studies, notes);
        if (Sized)
        {
            after = BestOf(after, [.. taken.Keys], studies, notes);
        }

        return new CommandOutcome.Done(after, CommandOutcome.Shortened(Label(created.Count)), created) { Notes = notes };
    }

    private string Label(int made) =>
        made == 0 ? $"Drive list: {Rows.Count} changed" : made == Rows.Count
            ? $"Drive list: {made} new"
            : $"Drive list: {made} new, {Rows.Count - made} changed";

    private CommandOutcome? Refusal()
    {
        if (Rows.Count is 0 or > Most)
        {
            return CommandOutcome.Not("rows", $"A list has 1 to {Most} rows; this one has {Rows.Count}.");
        }

        var twice = Rows.GroupBy(r => r.Tag.Trim(), StringComparer.OrdinalIgnoreCase)
            .FirstOrDefault(g => g.Count() > 1 || g.Key.Length == 0);
        return twice is null ? null : CommandOutcome.Not("rows",
            twice.Key.Length == 0 ? "A row has no tag." : $"The tag {twice.Key} stands {twice.Count()} times in the list.");
    }

    private static bool Same(string one, string other) => string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);

    private static (PlantSpecification After, string Id) Made(PlantSpecification plant, DriveListRow row)
    {
        var lineup = row.Lineup.Length == 0 ? (plant.Lineups.Count > 0 ? plant.Lineups[0] : null)
            : plant.Lineups.FirstOrDefault(l => Same(l.Tag, row.Lineup) || Same(l.Name, row.Lineup));
        if (lineup is null)
        {
            var number = PlantEdits.Free("l", plant.Lineups.Select(l => l.Id));
            var name = row.Lineup.Length > 0 ? row.Lineup : "Lineup";
            var bus = plant.Lineups.Count > 0 ? plant.Lineups[0].BusId : plant.Distribution.Buses.MinBy(b => b.NominalVoltageV)!.Id;
            lineup = new Lineup($"l-{number}", name.Length <= LongestTag ? name : $"L{plant.Lineups.Count + 1}", name, bus, [], [], [],
                string.Empty, string.Empty, []);
            plant = plant with { Lineups = [.. plant.Lineups, lineup] };
        }

        var (id, _) = DrivePointNames.Next(plant);
        var point = new DrivePoint(
            id, row.Tag.Trim(), row.Tag.Trim(), new Feeder.OnBusbar(), new ConverterChoice.NotChosen(),
            new MotorCable(Given.Unknown, Given.Unknown, 1, ConductorMaterial.Copper, true),
            new MotorChoice.NotChosen(), new UnspecifiedLoad(), [], new HoldingBrake.None());
        return (plant.With(lineup with { DrivePoints = [.. lineup.DrivePoints, point] }), id);
    }

    private const int LongestTag = 12;

    private static DrivePoint With(DrivePoint point, DriveListRow row) => point with
    {
        Name = row.Name.Length > 0 ? row.Name : point.Name,
        Load = row.Load is UnspecifiedLoad ? point.Load : row.Load,
        Cable = point.Cable with
        {
            LengthM = row.CableLengthM.IsKnown ? row.CableLengthM : point.Cable.LengthM,
            CrossSectionMm2 = row.CrossSectionMm2.IsKnown ? row.CrossSectionMm2 : point.Cable.CrossSectionMm2,
        },
    };

    private static PlantSpecification Motors(PlantSpecification plant, Dictionary<string, DriveListRow> taken, EngineeringData data,
        List<string> notes)
    {
        var own = data.With(plant);
        var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides);
        var least = defaults.LeastMotorClass;
        var buses = plant.BusOfDrivePoints();
        return plant.Changed(taken.Keys, p =>
        {
            var row = taken[p.Id];
            if (!row.MotorKw.IsKnown)
            {
                return p;
            }

            // A motor that stands and is of that size stays.
            var standing = p.Motor is MotorChoice.FromCatalogue c ? own.Motors.GetValueOrDefault(c.ItemId) : null;
            var fitting = MadeFor.Motors(own, buses[p.Id].NominalVoltageV, plant.Source.FrequencyHz)
                .Where(m => m is { OwnName.Length: 0, Technology: MotorTechnology.CageInduction } && IsSize(m, row)
                    && (row.EfficiencyClass.Length == 0 ? least.Against(m).Length == 0 : Same(m.EfficiencyClass, row.EfficiencyClass)))
                .ToList();
            if (standing is not null && IsSize(standing, row))
            {
                return p;
            }

            if (fitting.Count == 0)
            {
                notes.Add($"{p.Tag}: no cage motor of {Text.N(row.MotorKw.Value, 3)} "
                    + $"kW{(row.Poles.IsKnown ? $", {Text.N(row.Poles.Value)}-pole" : string.Empty)} in the catalogue at this voltage.");
                return p;
            }

            var rpm = LoadModels.Build(p.Load, defaults.Loads, out _)?.RatedSpeedRpm ?? double.NaN;
            return CandidateRanking.WithMotor(p,
                fitting.MinBy(m => (FarFrom(m, row, rpm, plant.Source.FrequencyHz), m.PriceIndex > 0 ? m.PriceIndex : double.MaxValue))!);
        });
    }

    // Of poles that the list does not name those that turn like the machine are nearest; without its speed, four.
    private static double FarFrom(MotorItem motor, DriveListRow row, double machineRpm, double frequencyHz) =>
        row.Poles.IsKnown || !(machineRpm > 0) ? Math.Abs((row.Poles.IsKnown ? row.Poles.Value : 4) - motor.Poles)
            : Math.Round(Math.Abs(Math.Log(120 * frequencyHz / motor.Poles / machineRpm)), 3);

    /// <summary>True when a motor is of the size and the number of poles that a row names.</summary>
    public static bool IsSize(MotorItem motor, DriveListRow row) =>
        row is null || motor is null
            ? throw new ArgumentNullException(nameof(row))
            : Math.Abs((motor.Plate.RatedPowerW / 1e3 / row.MotorKw.Value) - 1) <= SameSize
                && (!row.Poles.IsKnown || Math.Abs(motor.Poles - row.Poles.Value) < 1);

    private static PlantSpecification Starters(PlantSpecification plant, Dictionary<string, DriveListRow> taken, IPlantStudies studies,
        List<string> notes)
    {
        foreach (var (feed, way) in new[] { (ListedFeed.AcrossTheLine, FeedWay.AcrossTheLine), (ListedFeed.StarDelta, FeedWay.StarDelta),
            (ListedFeed.SoftStarter, FeedWay.SoftStarter) })
        {
            foreach (var id in taken.Where(t => t.Value.Feed == feed).Select(t => t.Key))
            {
                switch (new FeedBy([id], way).On(plant, studies))
                {
                    case CommandOutcome.Done done:
                        plant = done.After;
                        break;
                    case CommandOutcome.Refused refused:
                        notes.Add($"{plant.Tags([id])}: {refused.Why.Message}");
                        break;
                }
            }
        }

        return plant;
    }

    private static PlantSpecification BestOf(PlantSpecification plant, IReadOnlyList<string> ids, IPlantStudies studies, List<string> notes)
    {
        bool OnConverter(DrivePoint p) => p.Converter is ConverterChoice.NotChosen;
        foreach (var (chosen, part) in new (Func<DrivePoint, bool>, SizedPart)[]
        {
            (p => p.Motor is MotorChoice.NotChosen && OnConverter(p), SizedPart.Both),
            (p => p.Motor is MotorChoice.NotChosen && !OnConverter(p), SizedPart.Motor),
            (p => p.Motor is MotorChoice.FromCatalogue && OnConverter(p), SizedPart.Converter),
        })
        {
            List<string> here = [.. ids.Where(id => chosen(plant.Point(id)!) && plant.Point(id)!.Load is not UnspecifiedLoad)];
            if (here.Count == 0)
            {
                continue;
            }

            switch (new SizeBest(here, part).On(plant, studies))
            {
                case CommandOutcome.Done done:
                    plant = done.After;
                    notes.AddRange(done.Notes);
                    break;
                case CommandOutcome.Refused refused:
                    notes.Add(refused.Why.Message);
                    break;
            }
        }

        return plant;
    }
}
