using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>
/// Plants that nobody would draw: every low voltage from 208 to 690 V, both frequencies, every kind of source, load, motor,
/// converter, starter and arrangement, entries missing, hours of zero, nothing running. All are valid; none may break a study.
/// </summary>
public static class RandomPlant
{
    /// <summary>Low voltages in use somewhere, V.</summary>
    public static IReadOnlyList<double> LowVoltagesV { get; } = [208, 220, 230, 240, 380, 400, 415, 440, 460, 475, 480, 500, 525, 575, 600,
        660, 690];

    /// <summary>First seed whose plants have units, pump curves and stated shaft powers: those below stay what tests name them
    /// for.</summary>
    public const int WithUnitsAndCurves = 40_000;

    /// <summary>Makes one.</summary>
    /// <param name="seed">Seed; states the plant completely.</param>
    /// <param name="data">Catalogue it chooses from.</param>
    /// <param name="mostDrivePoints">Largest number of drive points.</param>
    public static PlantSpecification Of(int seed, EngineeringData data, int mostDrivePoints = 12)
    {
        ArgumentNullException.ThrowIfNull(data);
        var style = new Draw(seed, 0);
        var draw = new Draw(unchecked((seed * 7919) + 1), style.One([0.0, 0.0, 3.0, 15.0]));
        var frequencyHz = draw.One([50.0, 60.0]);
        var distribution = RandomSupply.Distribution(draw);
        var low = distribution.Buses.Where(b => b.NominalVoltageV <= 1000).ToList();
        var motors = Enumerable.Range(0, draw.Whole(0, 2))
            .Select(i => RandomItems.Motor(draw, $"own-motor-{i}", low[0].NominalVoltageV, frequencyHz)).ToList();
        var converters = Enumerable.Range(0, draw.Whole(0, 2))
            .Select(i => RandomItems.Converter(draw, $"own-converter-{i}", low[0].NominalVoltageV)).ToList();
        var choices = new RandomChoices(draw, data, motors, converters);
        var count = draw.Whole(0, mostDrivePoints);
        var lineups = new List<Lineup>();
        var made = 0;
        for (var i = 0; made < count || lineups.Count == 0; i++)
        {
            var here = Math.Min(count - made, draw.Whole(1, 6));
            lineups.Add(RandomLineup.Of(draw, choices, data, i, made, here, draw.One(low)));
            made += here;
        }

        var plant = new PlantSpecification(
            $"Random plant {seed}",
            new Site(draw.One([0.0, 0, 800, 1800, 2600, 4500]), draw.One([20.0, 40, 40, 50, 58]), draw.One([0.0, 5, 12])),
            new Tariff("EUR", draw.One([0, 0.12, 0.4]), draw.One([0.0, 60]), 0.25, draw.One([0.0, 100]), draw.Whole(1, 20),
                draw.One([0.0, 6]), draw.One([0.0, 0.02]), 0.95),
            RandomSupply.Source(draw, distribution.Buses[0].Id, frequencyHz),
            distribution,
            new CommonCoupling(draw.One(distribution.Buses).Id, draw.Chance(50) ? Given.Unknown : draw.Size(20, 5000)),
            [],
            [.. lineups],
            [.. motors],
            [.. converters],
            [],
            RandomSupply.Overrides(draw, data));
        plant = plant with { Scenarios = RandomSupply.Scenarios(draw, plant) };

        if (seed < WithUnitsAndCurves)
        {
            return plant;
        }

        // Drawn from numbers of their own: what came later leaves the rest of a seed's plant as it was.
        var later = new Draw(unchecked((seed * 104_729) + 7), 0);
        plant = plant with
        {
            Overrides = [.. plant.Overrides, .. RandomSupply.Overrides(later, data, later: true)],
            Conventions = new Conventions(later.One<UnitSystem>(), later.One<InstallationCode>()),
            Lineups = [.. plant.Lineups.Select(l =>
                l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Load is FluidLoad fluid
                    ? p with { Load = RandomLoads.WithPower(later, fluid is PumpLoad pump ? RandomLoads.WithCurve(later, pump) : fluid,
                        later.Size(0.2, 200)) } : p)] })],
        };
        plant = RandomProtection.On(plant, new Draw(unchecked((seed * 15_485_863) + 11), 0));
        return RandomRoutes.On(plant, new Draw(unchecked((seed * 32_452_843) + 13), 0));
    }
}
