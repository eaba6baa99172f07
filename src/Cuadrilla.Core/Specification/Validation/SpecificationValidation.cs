using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;

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
        problems.Words("/name", "Name of the plant", plant.Name, 1, 120);
        SiteAndTariff(plant, problems);
        SupplyValidation.Check(plant, problems);
        ScenarioValidation.Check(plant, problems);
        OwnMotorValidation.Check(plant, data, problems);
        OwnConverterValidation.Check(plant, data, problems);
        StarterValidation.Presets(plant, data, problems);
        Lineups(plant, data, problems);
        DcBusValidation.Check(plant, data, problems);
        ArrangementValidation.Check(plant, problems);
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
        DrivePointValidation.CheckLoad(load, at, problems);
        return problems.Items;
    }

    private static void SiteAndTariff(PlantSpecification plant, ProblemList p)
    {
        p.Number("/site/altitudeM", "Altitude", plant.Site.AltitudeM, -400, 5000, "m");
        p.Number("/site/ambientMaxC", "Ambient temperature", plant.Site.AmbientMaxC, -40, 60, "°C");
        p.Number("/site/cabinetAirRiseK", "Cabinet air rise", plant.Site.CabinetAirRiseK, 0, 30, "K");
        p.Words("/tariff/currency", "Currency", plant.Tariff.Currency, 1, 4);
        p.Number("/tariff/energyPerKwh", "Energy price", plant.Tariff.EnergyPerKwh, 0, 100, "per kWh");
        p.Number("/tariff/demandPerKwYear", "Demand price", plant.Tariff.DemandPerKwYear, 0, 100_000, "per kW and year");
        p.Number("/tariff/co2KgPerKwh", "Emission factor", plant.Tariff.Co2KgPerKwh, 0, 5, "kg/kWh");
        p.Number("/tariff/currencyPerIndexPoint", "Money per index point", plant.Tariff.CurrencyPerIndexPoint, 0, 1e6, "per point");
        p.Number("/tariff/years", "Years", plant.Tariff.Years, 1, 40, "a");
        p.Number("/tariff/reactivePerKvarh", "Price of reactive energy", plant.Tariff.ReactivePerKvarh, 0, 10, "per kvarh");
        p.Number("/tariff/freePowerFactor", "Free power factor", plant.Tariff.FreePowerFactor, 0.5, 1, string.Empty);
        p.Number("/tariff/discountRatePct", "Discount rate", plant.Tariff.DiscountRatePct, 0, 30, "%");
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
            p.Words(at + "/id", "Lineup key", lineup.Id, 1, 60);
            p.Unique(at + "/id", "Lineup key", lineup.Id, lineupIds);
            p.Words(at + "/tag", "Lineup tag", lineup.Tag, 1, 20);
            p.Words(at + "/name", "Lineup name", lineup.Name, 1, 80);
            p.Words(at + "/variantName", "Name of the way in force", lineup.VariantName, 0, 60);
            p.Words(at + "/reason", "Reason", lineup.Reason, 0, 300);
            SupplyValidation.KnownBus(plant, at + "/busId", lineup.BusId, p, lowVoltage: true);
            for (var k = 0; k < lineup.DrivePoints.Count; k++)
            {
                var point = lineup.DrivePoints[k];
                p.Unique($"{at}/drivePoints/{k}/id", "Drive point key", point.Id, pointIds);
                DrivePointValidation.Check(point, $"{at}/drivePoints/{k}", data, motors, converters, p);
            }
        }
    }

    private static void Overrides(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Overrides.Count; i++)
        {
            var entry = plant.Overrides[i];
            var at = $"/overrides/{i}";
            p.Unique(at + "/key", "Default", entry.Key, seen);
            p.Words(at + "/reason", "Reason", entry.Reason, 0, 300);
            var known = data.Defaults.FirstOrDefault(d => d.Key == entry.Key);
            p.Require(known is not null, at + "/key", "Default", $"'{entry.Key}'", "a key of the catalogue's defaults");
            if (known is not null)
            {
                p.Number(at + "/value", known.Name, entry.Value, known.Min, known.Max, known.Unit);
            }
        }
    }
}
