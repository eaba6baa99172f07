using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Plant;

namespace Cuadrilla.Core.Specification;

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
        Supply(plant, problems);
        Scenarios(plant, problems);
        OwnMotorValidation.Check(plant, data, problems);
        Lineups(plant, data, problems);
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
        p.Number("/tariff/discountRatePct", "Discount rate", plant.Tariff.DiscountRatePct, 0, 30, "%");
    }

    private static void Supply(PlantSpecification plant, ProblemList p)
    {
        p.Number("/source/nominalVoltageV", "Source voltage", plant.Source.NominalVoltageV, 100, 69_000, "V");
        p.Number("/source/frequencyHz", "Frequency", plant.Source.FrequencyHz, 45, 65, "Hz");
        if (plant.Source.Strength is SourceStrength.FaultLevel fault)
        {
            p.Number("/source/strength/shortCircuitMva", "Fault level", fault.ShortCircuitMva, 0.01, 100_000, "MVA");
            p.Number("/source/strength/xrRatio", "X/R of the source", fault.XrRatio, 0.1, 100, string.Empty);
        }

        if (plant.Source.Strength is SourceStrength.Generator generator)
        {
            p.Number("/source/strength/ratedKva", "Generator rating", generator.RatedKva, 1, 500_000, "kVA");
            p.Number("/source/strength/subtransientPct", "Subtransient reactance", generator.SubtransientPct, 3, 60, "%");
            p.Number("/source/strength/xrRatio", "X/R of the generator", generator.XrRatio, 0.1, 100, string.Empty);
        }

        p.Number("/source/unbalancePct", "Unbalance", plant.Source.UnbalancePct, 0, 10, "%");
        p.Number("/source/backgroundV5Pct", "Background 5th", plant.Source.BackgroundV5Pct, -15, 15, "%");
        p.Number("/source/backgroundV7Pct", "Background 7th", plant.Source.BackgroundV7Pct, -15, 15, "%");
        var transformer = plant.Transformer;
        p.Number("/transformer/ratedKva", "Transformer rating", transformer.RatedKva, 1, 100_000, "kVA");
        p.Number("/transformer/ukPct", "Short-circuit voltage", transformer.UkPct, 0.5, 25, "%");
        p.Number("/transformer/loadLossKw", "Load loss", transformer.LoadLossKw, 0, Math.Max(0, transformer.UkPct / 100 * transformer.RatedKva * 0.99), "kW");
        p.Number("/transformer/noLoadLossKw", "No-load loss", transformer.NoLoadLossKw, 0, Math.Max(0, 0.05 * transformer.RatedKva), "kW");
        p.Number("/transformer/eddyLossPu", "Eddy-loss share", transformer.EddyLossPu, 0, 0.5, "pu");
        p.Words("/bus/name", "Name of the bus", plant.Bus.Name, 1, 60);
        p.Number("/bus/nominalVoltageV", "Bus voltage", plant.Bus.NominalVoltageV, 100, 1000, "V");
        p.Number("/bus/linearLoadKw", "Linear load", plant.Bus.LinearLoadKw, 0, 100_000, "kW");
        p.Number("/bus/linearLoadPowerFactor", "Power factor of the linear load", plant.Bus.LinearLoadPowerFactor, 0.1, 1, string.Empty);
        p.Number("/bus/maximumDemandKva", "Maximum demand", plant.Bus.MaximumDemandKva, 0, 100_000, "kVA", minExcluded: true);
    }

    private static void Scenarios(PlantSpecification plant, ProblemList p)
    {
        p.Require(plant.Scenarios.Count is >= 1 and <= 20, "/scenarios", "Number of scenarios", $"{plant.Scenarios.Count}", "1 to 20");
        var known = plant.AllDrivePoints().Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
        var ids = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Scenarios.Count; i++)
        {
            var scenario = plant.Scenarios[i];
            var at = $"/scenarios/{i}";
            p.Words(at + "/id", "Scenario key", scenario.Id, 1, 60);
            p.Unique(at + "/id", "Scenario key", scenario.Id, ids);
            p.Words(at + "/name", "Scenario name", scenario.Name, 1, 60);
            p.Number(at + "/linearLoadPu", "Share of linear load", scenario.LinearLoadPu, 0, 2, "pu");
            var seen = new HashSet<string>(StringComparer.Ordinal);
            for (var k = 0; k < scenario.States.Count; k++)
            {
                var state = scenario.States[k];
                p.Require(known.Contains(state.DrivePointId), $"{at}/states/{k}/drivePointId", "Drive point", $"'{state.DrivePointId}'", "a drive point of this plant");
                p.Unique($"{at}/states/{k}/drivePointId", "Drive point", state.DrivePointId, seen);
                p.Number($"{at}/states/{k}/levelPu", "Level", state.LevelPu, 0, 1.2, "of rated", minExcluded: true);
            }
        }
    }

    private static void Lineups(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        var count = plant.AllDrivePoints().Count();
        p.Require(count <= MaxDrivePoints, "/lineups", "Number of drive points", $"{count}", $"up to {MaxDrivePoints}");
        var lineupIds = new HashSet<string>(StringComparer.Ordinal);
        var pointIds = new HashSet<string>(StringComparer.Ordinal);
        var motors = plant.Motors.Select(m => m.Id).ToHashSet(StringComparer.Ordinal);
        motors.UnionWith(data.Motors.Keys);
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            var at = $"/lineups/{i}";
            p.Words(at + "/id", "Lineup key", lineup.Id, 1, 60);
            p.Unique(at + "/id", "Lineup key", lineup.Id, lineupIds);
            p.Words(at + "/tag", "Lineup tag", lineup.Tag, 1, 20);
            p.Words(at + "/name", "Lineup name", lineup.Name, 1, 80);
            for (var k = 0; k < lineup.DrivePoints.Count; k++)
            {
                var point = lineup.DrivePoints[k];
                p.Unique($"{at}/drivePoints/{k}/id", "Drive point key", point.Id, pointIds);
                DrivePointValidation.Check(point, $"{at}/drivePoints/{k}", data, motors, p);
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
