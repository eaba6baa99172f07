using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks every entry of a specification against its range.</summary>
public static class SpecificationValidation
{
    private const int MaxDrivePoints = 2000;

    /// <summary>All problems; empty when the specification may be saved and assessed.</summary>
    public static IReadOnlyList<InputProblem> Problems(PlantSpecification plant, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(data);
        var problems = new ProblemList();
        FieldTable.Check(plant, string.Empty, problems);
        SupplyValidation.Check(plant, problems);
        ScenarioValidation.Check(plant, problems);
        OwnMotorValidation.Check(plant, data, problems);
        OwnConverterValidation.Check(plant, data, problems);
        OwnDeviceValidation.Check(plant, problems);
        RouteValidation.Check(plant, problems);
        StarterValidation.Presets(plant, data, problems);
        Lineups(plant, data, problems);
        DcBusValidation.Check(plant, data, problems);
        ArrangementValidation.Check(plant, problems);
        SignalValidation.Controller(plant, problems);
        VariantValidation.Check(plant, data, problems);
        Overrides(plant, data, problems);
        return problems.Items;
    }

    /// <summary>Problems of a load by itself.</summary>
    /// <param name="load">The load.</param>
    /// <param name="at">Pointer to it.</param>
    public static IReadOnlyList<InputProblem> Problems(Load load, string at)
    {
        ArgumentNullException.ThrowIfNull(load);
        var problems = new ProblemList();
        FieldTable.Check(load, at, problems);
        DrivePointValidation.CheckLoad(load, at, problems);
        return problems.Items;
    }

    /// <summary>The lineups of a plant as they stand.</summary>
    internal static void Lineups(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        var count = plant.AllDrivePoints().Count();
        p.Require(count <= MaxDrivePoints, "/lineups", "Number of drive points", $"{count}", $"up to {MaxDrivePoints}");
        var lineupIds = new HashSet<string>(StringComparer.Ordinal);
        var pointIds = new HashSet<string>(StringComparer.Ordinal);
        var motors = plant.Motors.Select(m => m.Id).ToHashSet(StringComparer.Ordinal);
        motors.UnionWith(data.Motors.Keys);
        var converters = plant.Converters.Select(c => c.Id).Concat(data.Converters.Keys).ToHashSet(StringComparer.Ordinal);
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            var at = $"/lineups/{i}";
            p.Unique(at + "/id", "Lineup key", lineup.Id, lineupIds);
            SupplyValidation.KnownBus(plant, at + "/busId", lineup.BusId, p, lowVoltage: true);
            OnePhaseValidation.Check(lineup, at, p);
            CabinetValidation.Check(lineup, at, p);
            for (var k = 0; k < lineup.DrivePoints.Count; k++)
            {
                var point = lineup.DrivePoints[k];
                p.Unique($"{at}/drivePoints/{k}/id", "Drive point key", point.Id, pointIds);
                DrivePointValidation.Check(point, $"{at}/drivePoints/{k}", data, motors, converters, p);
                p.Require((point.Sun is null && point.StepUp is null) || !point.Converter.IsOnLine(), $"{at}/drivePoints/{k}/converter",
                    "Converter", "a starter", "a converter, where the sun or a step-up transformer is the supply");
                p.Require(point.Sun is null || point.StepUp is null, $"{at}/drivePoints/{k}/stepUp", "Step-up transformer", "given",
                    "none on the sun");
                p.Require(point.StepUp is null || plant.GroupOf(point.Id) is null, $"{at}/drivePoints/{k}/stepUp", "Step-up transformer",
                    "given", "none in a group of motors");
                p.Require(point.Sun is null || (plant.DcBusOf(point.Id) is null && plant.GroupOf(point.Id) is null),
                    $"{at}/drivePoints/{k}/sun", "Sun instead of mains", "given", "none on a common DC bus or in a group");
            }
        }

        SignalValidation.Lineups(plant, p);
    }

    private static void Overrides(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Overrides.Count; i++)
        {
            var entry = plant.Overrides[i];
            var at = $"/overrides/{i}";
            p.Unique(at + "/key", "Default", entry.Key, seen);
            var known = data.Defaults.FirstOrDefault(d => d.Key == entry.Key);
            p.Require(known is not null, at + "/key", "Default", $"'{entry.Key}'", "a key of the catalogue's defaults");
            if (known is not null)
            {
                p.Number(at + "/value", known.Name, entry.Value, known.Min, known.Max, known.Unit);
            }
        }
    }
}
