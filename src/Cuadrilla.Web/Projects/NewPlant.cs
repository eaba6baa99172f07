using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Web.Projects;

/// <summary>
/// An empty plant. What can stay open is open (fault level, eddy-loss share, demand); the rest are starting values that the
/// plant page shows first.
/// </summary>
internal static class NewPlant
{
    public static PlantSpecification Named(string name) => new(
        name,
        new Site(0, 40, 5),
        new Tariff("EUR", 0.12, 0, 0.25, 100, 10, 6),
        new Source("bus-mv", 50, new SourceStrength.NotStated(), Given.Unknown, Given.Unknown, Given.Unknown) { LowestPct = 95, HighestPct = 105 },
        new Distribution(
            [new Bus("bus-mv", "20 kV connection", 20_000, Given.Unknown), new Bus("bus-1", "400 V bus", 400, Given.Unknown)],
            [
                new Transformer(
                    "t1", "transformer 1", "bus-mv", "bus-1", 1000, 6, 10, 1.2, VectorGroup.Dyn11, TransformerCooling.Dry, Given.Unknown, Given.Unknown) { NoLoadSecondaryPct = 105 },
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
}
