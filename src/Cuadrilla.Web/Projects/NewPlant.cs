using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Lineups;
using Cuadrilla.Core.Plant;
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
        new Source(20_000, 50, new SourceStrength.NotStated(), Given.Unknown, Given.Unknown, Given.Unknown),
        new Transformer(1000, 6, 10, 1.2, Given.Unknown),
        new Bus("400 V bus", 400, 0, 0.9, Given.Unknown),
        PccLocation.Bus,
        [new Scenario("full-production", "full production", 1, [])],
        [new Lineup("l1", "L1", "First lineup", [])],
        [],
        []);
}
