using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.CableRoutes;

/// <summary>Ways of cables: shortest by a second reckoning, by hand, and one length wherever it is used.</summary>
public sealed class RoutePlanTests
{
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    // Floyd and Warshall over all places knows nothing of the search that is tested.
    [Fact]
    public void No_way_is_longer_than_the_shortest_by_all_pairs()
    {
        var compared = 0;
        foreach (var seed in Enumerable.Range(61_000, 60))
        {
            var plant = RandomPlant.Of(seed, ReferenceCatalogue.Data);
            var plan = RoutePlan.Of(plant);
            var far = plan.Cables.Select(c => c.Class).Distinct().ToDictionary(c => c, c => AllPairs(plant.Routes, plan, c));
            foreach (var cable in plan.Cables.Where(c => c is { IsByHand: false, FromPlaceId.Length: > 0, ToPlaceId.Length: > 0 }))
            {
                var expected = far[cable.Class][(cable.FromPlaceId, cable.ToPlaceId)];
                Assert.Equal(double.IsFinite(expected), cable.LengthM is not null);
                if (cable.LengthM is { } m)
                {
                    // Of two nearly equal ways the one in a tray of its own class may be a ten-thousandth longer.
                    Assert.InRange(m, expected * (1 - 1e-9), (expected * 1.0001) + 1e-9);
                    Assert.All(cable.Way, s => Assert.True(Takes(s, cable.Class)));
                    compared++;
                }
            }
        }

        Assert.True(compared > 100, $"only {compared} ways were compared");
    }

    [Fact]
    public void A_length_that_is_not_stated_is_that_of_the_way_in_every_study()
    {
        var open = DemoChanges.Changed("dp-01", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        var way = RoutePlan.Of(open).Of("dp-01", RouteRole.Motor)!;
        var stated = DemoChanges.Changed("dp-01", p => p with { Cable = p.Cable with { LengthM = way.LengthM!.Value } });
        var (byWay, byHand) = (new Assessor(ReferenceCatalogue.Data).Run(open), new Assessor(ReferenceCatalogue.Data).Run(stated));
        Assert.Equal(8 + 16 + 14, way.LengthM!.Value, 9);
        Assert.Equal(byHand.Checks.Where(c => c.DrivePointId == "dp-01").Select(c => (c.Id, c.ElementId, c.Verdict, c.Figure)),
            byWay.Checks.Where(c => c.DrivePointId == "dp-01").Select(c => (c.Id, c.ElementId, c.Verdict, c.Figure)));
        var rows = new Assessor(ReferenceCatalogue.Data).Protection(open).Cables;
        Assert.Equal(38, rows.Single(r => r.DrivePointId == "dp-01" && r.Role == Core.Studies.Protection.CableRole.Motor).LengthM);
    }

    [Fact]
    public void Grouping_is_that_of_the_fullest_tray_unless_a_cable_states_its_own()
    {
        // Without the second lineup six cables lie together in the first tray.
        var plant = Demo with { Lineups = [.. Demo.Lineups.Select(l => l.Id == "l2" ? l with { PlaceId = string.Empty } : l)] };
        plant = DemoChanges.Changed(plant, "dp-02", p => p with { Cable = p.Cable with { Installation = null } });
        CableInstallation Of(PlantSpecification laid) =>
            LaidPlant.Of(laid).AllDrivePoints().Single(p => p.Id == "dp-02").Cable.Installation!;
        Assert.Equal(6, Of(plant).Circuits);
        Assert.Equal(CableGrouping.PerforatedTray, Of(plant).Grouping);
        Assert.Equal(InstallationMethod.E, Of(plant).Method);

        // A neighbour of three in parallel is three circuits; its own parallel cables are counted where its capacity is.
        int Circuits(string id) => Of(DemoChanges.Changed(plant, id, p => p with { Cable = p.Cable with { ParallelRuns = 3 } })).Circuits;
        Assert.Equal(8, Circuits("dp-01"));
        Assert.Equal(6, Circuits("dp-02"));
        Assert.Equal(CableInstallation.MostCircuits,
            Of(DemoChanges.Changed(Demo, "dp-02", p => p with { Cable = p.Cable with { Installation = null } })).Circuits);

        // 1.5 kW on 25 mm² never carries 30 % of what that does: its neighbours do not count it, but it counts them.
        var light = DemoChanges.Changed(plant, "dp-03", p => p with
        {
            Motor = ((MotorChoice.FromCatalogue)p.Motor) with { ItemId = "cage-4p-ie3-1.5" },
            Converter = new ConverterChoice.AcrossTheLine(TripClass.Class10, 2, string.Empty),
            Cable = p.Cable with { CrossSectionMm2 = 25, ParallelRuns = 1, Installation = null },
        });
        var laidLight = new Assessor(ReferenceCatalogue.Data).Routes(light)!;
        Assert.True(laidLight.Of("dp-03", RouteRole.Motor)!.IsLight);
        Assert.Equal(5, LaidPlant.Of(light.AllDrivePoints().Single(p => p.Id == "dp-02"), light.Cables,
            laidLight).Cable.Installation!.Circuits);
        Assert.Equal(6, LaidPlant.Of(light.AllDrivePoints().Single(p => p.Id == "dp-03"), light.Cables,
            laidLight).Cable.Installation!.Circuits);
        var thin = DemoChanges.Changed(light, "dp-03", p => p with { Cable = p.Cable with { CrossSectionMm2 = 1.5 } });
        Assert.False(new Assessor(ReferenceCatalogue.Data).Routes(thin)!.Of("dp-03", RouteRole.Motor)!.IsLight);
        var us = light with { Conventions = light.Conventions with { Installation = InstallationCode.Nfpa70 } };
        Assert.False(new Assessor(ReferenceCatalogue.Data).Routes(us)!.Of("dp-03", RouteRole.Motor)!.IsLight);
        var own = new CableInstallation(CableInsulation.Pvc, InstallationMethod.B2, 25, CableGrouping.Bunched, 2, CableCores.ThreePhase);
        var kept = LaidPlant.Of(DemoChanges.Changed("dp-02", p => p with { Cable = p.Cable with { Installation = own } }));
        Assert.Equal(own, kept.AllDrivePoints().Single(p => p.Id == "dp-02").Cable.Installation);
    }

    [Fact]
    public void A_way_by_hand_is_taken_where_it_hangs_together_and_named_where_it_does_not()
    {
        PlantSpecification By(params string[] trays) =>
            Demo with { Routes = Demo.Routes with { Ways = [new CableWay("w-104", [.. trays])] } };
        var found = RoutePlan.Of(By("s4", "s2", "s3")).Cables.Single(c => c.Id == "w-104");
        Assert.True(found is { IsByHand: true, Missing: "", LengthM: 12 + 16 + 22 });
        var broken = RoutePlan.Of(By("s4", "s3")).Cables.Single(c => c.Id == "w-104");
        Assert.Null(broken.LengthM);
        Assert.Contains("hang together from Control room to Body prep., east", broken.Missing, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_trays_nothing_changes()
    {
        var bare = Demo with { Routes = PlantRoutes.None };
        Assert.Same(bare, LaidPlant.Of(bare));
    }

    private static bool Takes(TraySegment segment, CableClass of) => segment.Use switch
    {
        TrayUse.All => true,
        TrayUse.Power => of >= CableClass.Supply,
        _ => of < CableClass.Supply,
    };

    private static Dictionary<(string, string), double> AllPairs(PlantRoutes routes, RoutePlan plan, CableClass of)
    {
        string[] ids = [.. routes.Places.Select(p => p.Id)];
        var far = (from a in ids from b in ids select (a, b)).ToDictionary(k => k, k => k.a == k.b ? 0 : double.PositiveInfinity);
        foreach (var s in routes.Segments.Where(s => Takes(s, of)))
        {
            var m = plan.LengthM(s);
            far[(s.FromPlaceId, s.ToPlaceId)] = Math.Min(far[(s.FromPlaceId, s.ToPlaceId)], m);
            far[(s.ToPlaceId, s.FromPlaceId)] = Math.Min(far[(s.ToPlaceId, s.FromPlaceId)], m);
        }

        foreach (var (k, i, j) in from k in ids from i in ids from j in ids select (k, i, j))
        {
            far[(i, j)] = Math.Min(far[(i, j)], far[(i, k)] + far[(k, j)]);
        }

        return far;
    }
}
