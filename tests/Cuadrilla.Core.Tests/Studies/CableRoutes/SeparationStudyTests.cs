using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.CableRoutes;

/// <summary>Clashes of the example, what ends them, and that whatever is offered does.</summary>
public sealed class SeparationStudyTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    [Fact]
    public void The_three_places_of_the_example_where_cables_run_too_close_are_found()
    {
        var clashes = Assessor.Separation(Demo)!.Clashes.Where(c => !c.IsDispensable).ToList();
        Assert.Equal(["DP-05 encoder", "DP-07 encoder", "W101 dryer pressure", "W105 glaze control"],
            clashes.Select(c => c.Disturbed.Tag).Distinct().Order(StringComparer.Ordinal));
        var dryer = clashes.First(c => c.Disturbing.Id == "dp-01:motor");
        Assert.Equal(14 + 16, dryer.ParallelM, 9);
        Assert.Equal(0, dryer.ApartMm);
        Assert.Equal(150, dryer.NeededMm, 9);

        // 14 m that touch and 16 m at 120 mm between centres, a tenth of 27 A, over 20 mm of height at 1 MHz.
        double Volts(double m, double distanceM) =>
            2 * Math.PI * 1e6 * 1e-7 * Math.Log(1 + (4 * 0.02 * 0.02 / (distanceM * distanceM))) * m * 2.7;
        Assert.Equal(Volts(14, 0.02) + Volts(16, 0.12), dryer.VoltageV!.Value, 0.03);
    }

    [Fact]
    public void A_wrong_gap_is_asked_for_and_never_taken_as_wide()
    {
        var open = Demo with { Routes = Demo.Routes with { Segments = [.. Demo.Routes.Segments.Select(s => s.Id == "t2"
            ? s with { GapMm = Given.Unknown }
            : s)] } };
        Assert.Contains(Assessor.Separation(open)!.Clashes, c => c.ApartMm is null);
        var check = Assessor.Run(open).Checks.Single(c => c is { Id: "emc.separation", ElementId: "w-104" });
        Assert.Equal(Verdict.NeedsData, check.Verdict);
        var apart = Demo with { Routes = Demo.Routes with { Segments = [.. Demo.Routes.Segments.Select(s => s.Id == "t2"
            ? s with { BesideId = string.Empty }
            : s)] } };
        Assert.Equal(Verdict.NeedsData, Assessor.Run(apart).Checks.Single(c => c is { Id: "emc.separation", ElementId: "w-104" }).Verdict);
    }

    [Fact]
    public void Whatever_is_offered_ends_its_clash()
    {
        int tried = 0;
        HashSet<CureKind> kinds = [];
        foreach (var plant in Enumerable.Range(62_000, 40).Select(s => RandomPlant.Of(s, ReferenceCatalogue.Data)).Prepend(Demo))
        {
            var study = Assessor.Separation(plant);
            foreach (var clash in (study?.Clashes ?? []).Take(6))
            {
                foreach (var cure in study!.Cures(clash))
                {
                    var done = Assert.IsType<CommandOutcome.Done>(new CureClash(clash.Disturbing.Id, clash.Disturbed.Id, cure.Kind,
                        cure.And?.Kind).On(plant, Assessor));
                    Assert.DoesNotContain(
                        Assessor.Separation(done.After)!.Clashes, c =>
                            c.Disturbing.Id == clash.Disturbing.Id && c.Disturbed.Id == clash.Disturbed.Id && !c.IsDispensable);
                    tried++;
                    kinds.UnionWith([cure.Kind, cure.And?.Kind ?? cure.Kind]);
                }
            }
        }

        Assert.True(tried > 20, $"only {tried} cures were tried");
        Assert.Equal(Enum.GetValues<CureKind>(), kinds.Order());
    }

    [Fact]
    public void Where_no_single_change_ends_a_clash_two_together_do()
    {
        // One tray of the machine's rules, neither cable screened: a screen alone leaves 50 mm to be kept, both do.
        var one = new TraySegment("t", "T", "a", "b", 30, 300, TrayKind.Perforated, TrayUse.All, false, Given.Unknown, string.Empty,
            Given.Unknown);
        var plant = Demo with
        {
            Conventions = Demo.Conventions with { Separation = SeparationRules.Machine },
            Routes = new PlantRoutes(
                [new Place("a", "A", 0, 0), new Place("b", "B", 30, 0)], [one],
                [new SignalCable("n", "N", SignalKind.BrakeResistor, ReceiverScreen.None, "a", "b"),
                    new SignalCable("s", "S", SignalKind.Supply, ReceiverScreen.None, "a", "b"),
                    new SignalCable("v", "V", SignalKind.Voltage, ReceiverScreen.None, "a", "b")], []),
        };
        plant = plant with { Lineups = [.. plant.Lineups.Select(l =>
            l with { PlaceId = string.Empty,
                DrivePoints = [.. l.DrivePoints.Select(p =>
                    p with { Interference = p.Interference with { PlaceId = string.Empty, MotorPlaceId = string.Empty } })],
                        SetAside = [] })] };
        var study = Assessor.Separation(plant)!;
        var clash = study.Clashes.Single(c => c.Disturbing.Id == "n" && c.Disturbed.Id == "v");
        Assert.Equal([(CureKind.Divider, (CureKind?)null)], study.Cures(clash).Select(c => (c.Kind, c.And?.Kind)));
        Assert.IsType<CommandOutcome.Refused>(new CureClash("n", "v", CureKind.ScreenDisturbing).On(plant, Assessor));

        // Signals beside power in trays whose gap nobody states: a divider parts nothing there, and each screen alone leaves a distance to
        // be kept.
        var beside = plant with
        {
            Routes = plant.Routes with { Segments = [one with { Kind = TrayKind.NoMetal, Use = TrayUse.Signals },
                one with { Id = "u", Name = "U", Use = TrayUse.Power }] },
        };
        study = Assessor.Separation(beside)!;
        clash = study.Clashes.Single(c => c.Disturbing.Id == "n" && c.Disturbed.Id == "v");
        Assert.Equal([(CureKind.ScreenDisturbing, (CureKind?)CureKind.ScreenDisturbed)],
            study.Cures(clash).Select(c => (c.Kind, c.And?.Kind)));
        Assert.IsType<CommandOutcome.Refused>(new CureClash("n", "v", CureKind.ScreenDisturbing).On(beside, Assessor));
        var done = Assert.IsType<CommandOutcome.Done>(new CureClash("n", "v", CureKind.ScreenDisturbing, CureKind.ScreenDisturbed)
            .On(beside, Assessor));
        Assert.Equal([ReceiverScreen.Braid, ReceiverScreen.None, ReceiverScreen.Braid], done.After.Routes.Cables.Select(c => c.Screen));
        Assert.DoesNotContain(Assessor.Separation(done.After)!.Clashes,
            c => c is { Disturbing.Id: "n", Disturbed.Id: "v", IsDispensable: false });
    }

    [Fact]
    public void Cures_stand_cheapest_first_and_what_ends_nothing_is_refused()
    {
        var study = Assessor.Separation(Demo)!;
        var glaze = study.Clashes.First(c => c.Disturbed.Id == "w-105");
        var cures = study.Cures(glaze);
        Assert.Equal([CureKind.MoveDisturbed, CureKind.ScreenDisturbed, CureKind.Divider], cures.Select(c => c.Kind));
        Assert.Equal(cures.Select(c => c.Cost).Order(), cures.Select(c => c.Cost));
        Assert.IsType<CommandOutcome.Refused>(new CureClash(glaze.Disturbing.Id, glaze.Disturbed.Id, CureKind.MoveDisturbing)
            .On(Demo, Assessor));
        Assert.IsType<CommandOutcome.Refused>(new CureClash("none", "w-105", CureKind.Divider).On(Demo, Assessor));
    }

    [Fact]
    public void By_the_rules_of_machines_screens_at_both_ask_for_nothing()
    {
        var machine = Demo with { Conventions = Demo.Conventions with { Separation = SeparationRules.Machine } };
        Assert.All(Assessor.Separation(machine)!.Clashes,
            c => Assert.False(c.Disturbing.Screen != ReceiverScreen.None && c.Disturbed.Screen != ReceiverScreen.None));
        Assert.Contains(Assessor.Separation(machine)!.Clashes, c => c.Disturbed.Id == "w-101");
    }

    [Fact]
    public void More_distance_never_couples_more_and_a_longer_way_never_passes_where_a_shorter_failed()
    {
        PlantSpecification With(Func<TraySegment, TraySegment> change) =>
            Demo with { Routes = Demo.Routes with { Segments = [.. Demo.Routes.Segments.Select(s => s.Id == "t2" ? change(s) : s)] } };
        Clash? Of(PlantSpecification plant) =>
            Assessor.Separation(plant)!.Clashes.FirstOrDefault(c => c is { Disturbing.Id: "dp-03:motor", Disturbed.Id: "w-101" });
        var coupled = new[] { 0.0, 20, 60, 100, 149 }.Select(mm => Of(With(s => s with { GapMm = mm }))!.VoltageV!.Value).ToList();
        Assert.Equal(coupled.OrderDescending(), coupled);
        var failed = false;
        foreach (var m in new[] { 2.0, 5, 7, 9, 12, 40 })
        {
            var clash = Of(With(s => s with { LengthM = m }));
            Assert.False(failed && clash is null, $"{m} m passes where less failed");
            failed |= clash is not null;
        }

        Assert.True(failed);
    }

    [Fact]
    public void One_more_converter_never_lowers_what_leaks_ahead_of_a_lineup()
    {
        var guarded = Demo with { Lineups = [.. Demo.Lineups.Select(l => l.Id == "l1"
            ? l with { Residual = new ResidualDevice(ResidualKind.MonitorB, 1000) }
            : l)] };
        double Sum(PlantSpecification plant) =>
            Assessor.Run(plant).Checks.Single(c => c is { Id: "emc.rcd", ElementId: "l1" }).Figure.Value;
        var more = Assert.IsType<CommandOutcome.Done>(new CopyDrivePoint("dp-03").On(guarded, Assessor)).After;
        Assert.True(Sum(more) > Sum(guarded));
    }

    [Fact]
    public void A_clash_that_is_certain_stands_whatever_gap_is_open()
    {
        var open = Demo with { Routes = Demo.Routes with { Segments = [.. Demo.Routes.Segments.Select(s => s.Id == "t2"
            ? s with { GapMm = Given.Unknown }
            : s)] } };
        Assert.Equal(Verdict.Fails, Assessor.Run(open).Checks.Single(c => c is { Id: "emc.separation", ElementId: "w-101" }).Verdict);
    }

    [Fact]
    public void A_length_that_a_way_gives_is_not_filled_with_a_usual_one()
    {
        var open = DemoChanges.Changed("dp-01", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        Assert.IsType<CommandOutcome.Refused>(new AcceptUsual(["dp-01"], ["cable.length"]).On(open, Assessor));
        Assert.IsType<CommandOutcome.Done>(new AcceptUsual(["dp-01"], ["cable.length"])
            .On(open with { Routes = PlantRoutes.None }, Assessor));
    }

    [Fact]
    public void A_way_set_aside_keeps_to_the_places_of_the_plan()
    {
        var aside = Assert.IsType<CommandOutcome.Done>(new SetWayAside("l1", "as now").On(Demo, Assessor)).After;
        var lost = aside with
        {
            Lineups = [.. aside.Lineups.Select(l => l.Id == "l1"
                ? l with { SetAside = [.. l.SetAside.Select(v =>
                    v with { DrivePoints = [.. v.DrivePoints.Select(d =>
                        d with { Interference = d.Interference with { MotorPlaceId = "gone" } })] })] }
                : l)],
        };
        Assert.Empty(Core.Specification.Validation.SpecificationValidation.Problems(aside, ReferenceCatalogue.Data));
        Assert.Contains(Core.Specification.Validation.SpecificationValidation.Problems(lost, ReferenceCatalogue.Data),
            p => p.Pointer.Contains("/setAside/", StringComparison.Ordinal));
    }
}
