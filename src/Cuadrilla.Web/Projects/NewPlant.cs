using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Web.Projects;

/// <summary>
/// An empty plant on one of the catalogue's usual supplies. What can stay open is open (fault level, eddy-loss share, demand); the rest
/// are starting values that the plant page shows first.
/// </summary>
internal static class NewPlant
{
    public static PlantSpecification Named(string name, UsualSupply on, Assessor studies)
    {
        var plant = new PlantSpecification(
            name,
            new Site(0, 40, 5),
            new Tariff(on.Currency, on.EnergyPerKwh, 0, 0.25, 100, 10, 6),
            new Source("bus-mv", on.FrequencyHz, new SourceStrength.NotStated(), Given.Unknown, Given.Unknown,
                Given.Unknown) { LowestPct = 95, HighestPct = 105 },
            new Distribution(
                [new Bus("bus-mv", $"{Text.N(on.MediumV / 1e3)} kV connection", on.MediumV, Given.Unknown),
                    new Bus("bus-1", $"{Text.N(on.LowV)} V bus", on.LowV, Given.Unknown)],
                [
                    new Transformer(
                        "t1", "transformer 1", "bus-mv", "bus-1", on.RatedKva, on.UkPct, on.LoadLossKw, on.NoLoadLossKw, on.VectorGroup,
                        TransformerCooling.Dry, Given.Unknown, Given.Unknown)
                    { NoLoadSecondaryPct = on.NoLoadSecondaryPct },
                ],
                [],
                [],
                []),
            new CommonCoupling("bus-1", Given.Unknown),
            [Scenario.AsUsual("full-production", "full production")],
            [new Lineup("l1", "L1", "First lineup", "bus-1", [], [], [], string.Empty, string.Empty, [])],
            [],
            [],
            [],
            []);
        PlantCommand[] customs = [.. on.Us ? new PlantCommand[] { new UseUnits(UnitSystem.UsCustomary) } : [],
            .. on.Region != "eu" ? new PlantCommand[] { new UseRegion(on.Region) } : []];
        return customs.Aggregate(plant, (p, command) => command.On(p, studies) is CommandOutcome.Done done ? done.After : p);
    }
}
