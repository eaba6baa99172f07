using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Cabinets;

public sealed class CabinetStudyTests
{
    private static readonly Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantSpecification Demo = DemoChanges.WithoutCabinets;
    private static readonly CabinetBuild Fans = CabinetBuild.Open with { FanM3PerH = 1500, RoomMm = 9000 };

    [Fact]
    public void Every_unit_stands_once_with_its_clearances_and_overlaps_none()
    {
        var tried = 0;
        foreach (var plant in Enumerable.Range(60_000, 25).Select(seed => RandomPlant.Of(seed, Data)).Append(Demo))
        {
            foreach (var cooling in new[] { 400, 800, 1200 })
            {
                var built = All(plant, Fans with { SectionMm = cooling, HeightMm = cooling == 400 ? 2400 : 1800 });
                foreach (var study in built.Lineups.Select(l => Assessor.Cabinets(built, l)!))
                {
                    var placed = study.Layout.Sections.SelectMany(s => s.Units).ToList();
                    Assert.Equal(study.Units.Select(u => u.Id).Order(StringComparer.Ordinal),
                        placed.Select(p => p.Unit.Id).Order(StringComparer.Ordinal));
                    Assert.All(study.Layout.Sections.Where(s => s.Kind == SectionKind.Units), s => Stand(study, s));
                    tried += placed.Count;
                }
            }
        }

        Assert.True(tried > 200, $"{tried} units");
    }

    // Largest next to the supply: ratings fall from section to section, converters before starters.
    [Fact]
    public void They_stand_in_the_order_of_the_power()
    {
        var study = Of(Fans);
        Assert.Equal(SectionKind.Incoming, study.Layout.Sections[0].Kind);
        Assert.Equal(SectionKind.Control, study.Layout.Sections[^1].Kind);
        var converters = study.Units.Where(u => u.Kind == CabinetUnitKind.Converter).Select(u => u.RatedKw).ToList();
        Assert.Equal(converters.OrderDescending(), converters);
        Assert.True(study.Units.ToList().FindIndex(u => u.Kind == CabinetUnitKind.Starter)
            > study.Units.ToList().FindLastIndex(u => u.Kind == CabinetUnitKind.Converter));
        Assert.Equal(study.Layout.WidthMm, study.Transports().SelectMany(t => t).Sum(s => s.WidthMm), 9);
        Assert.All(study.Transports(), t => Assert.True(t.Count == 1 || t.Sum(s => s.WidthMm) <= 2400));
    }

    // What the stream carries out is what the units lose, and what they lose stands in the chain of each drive.
    [Fact]
    public void Heat_in_is_heat_out()
    {
        var study = Of(Fans);
        foreach (var section in study.Layout.Sections)
        {
            foreach (var air in study.AirOf(section))
            {
                var carried = (air.TopC!.Value - Demo.Site.AmbientMaxC) * study.FanM3PerH!.Value / 3.1
                    / AirFlow.ThinPu(Demo.Site.AltitudeM);
                Assert.True(carried >= air.LossW * (1 - 1e-9), $"section {section.Number}: {carried} of {air.LossW} W");
            }
        }

        var scenario = Demo.Scenarios[0];
        var lost = Demo.Lineups[0].DrivePoints.Where(p => p.Sun is null && scenario.StateOf(p.Id).Running)
            .Select(p => Assessor.Study(Demo, p).Model).OfType<Core.Studies.Drives.DriveOnConverter>()
            .Sum(m => m.At(scenario.StateOf(m.Id).LevelPu, scenario.StateOf(m.Id).LoadPu) is var at
                ? at.ConverterLossW + at.FrontLossW + (m.StepUp is null ? at.FilterLossW : 0) : 0);
        var off = study.Units.Where(u => u.Kind == CabinetUnitKind.Converter && !scenario.StateOf(u.Id).Running)
            .Sum(u => u.LossW(scenario)!.Value);
        var inside = study.Units.Where(u => u.Kind is CabinetUnitKind.Converter or CabinetUnitKind.Filter)
            .Sum(u => u.LossW(scenario)!.Value);
        Assert.Equal(lost + off, inside, 6);
    }

    // What the units blow beyond the fan comes round again: their inlet is the mixture, by the balance of heat and of air.
    [Fact]
    public void Too_small_a_fan_lets_air_come_round_again()
    {
        var study = Of(Fans with { FanM3PerH = 700, Mats = FilterMats.None });
        var section = study.Layout.Sections.First(s => s.Units.Count == 1 && s.Units[0].Unit.AirM3PerH > 700);
        var unit = section.Units[0].Unit;
        foreach (var air in study.AirOf(section))
        {
            var (inlet, own) = (air.InletC[unit.Id], 3.1 * air.LossW * AirFlow.ThinPu(Demo.Site.AltitudeM) / unit.AirM3PerH);
            Assert.Equal(((700 * Demo.Site.AmbientMaxC) + ((unit.AirM3PerH - 700) * (inlet + own))) / unit.AirM3PerH, inlet, 6);
            Assert.Equal(air.TopC!.Value, inlet + own, 6);
        }

        var free = Of(Fans with { FanM3PerH = 5000 });
        Assert.Equal(Demo.Site.AmbientMaxC, free.InletC(unit.PointId)!.Value, 9);
    }

    // Without its own fan a section is as its engine says, for all of its loss, and the inlet is not above the top.
    [Theory]
    [InlineData(CabinetCooling.Closed, 0.804)]
    [InlineData(CabinetCooling.Vented, 0.715)]
    public void A_still_section_is_as_its_engine_says(CabinetCooling cooling, double exponent)
    {
        var study = Of(CabinetBuild.Open with { Cooling = cooling, FactorK = 0.1, FactorC = 1.3 });
        var section = study.Layout.Sections.First(s => s.Kind == SectionKind.Units);
        var air = study.AirOf(section)[0];
        var loss = section.Units.Sum(u => u.Unit.LossW(air.Scenario)!.Value);
        Assert.Equal(Demo.Site.AmbientMaxC + (1.3 * 0.1 * Math.Pow(loss, exponent)), air.TopC!.Value, 9);
        Assert.All(air.InletC.Values, c => Assert.InRange(c, Demo.Site.AmbientMaxC, air.TopC!.Value));
    }

    // The section's air takes the place of the plant's: crowded it lowers the converter's current, a larger fan gives it back.
    [Fact]
    public void A_crowded_section_is_seen_at_the_converter_and_a_larger_fan_cures_it()
    {
        var point = Demo.Lineups[0].DrivePoints.First(p => p.Converter is ConverterChoice.FromCatalogue && p.Sun is null);
        double At(CabinetBuild build) => Assessor.Study(First(build), First(build).Lineups[0].DrivePoints.First(p => p.Id == point.Id))
            .Model.Converter!.SiteCurrentA;
        var crowded = CabinetBuild.Open with { Cooling = CabinetCooling.Closed, FactorK = 0.25, FactorC = 1.4 };
        Assert.True(At(crowded) < At(Fans with { FanM3PerH = 20_000 }));
        var figure = Assessor.Run(First(crowded)).Checks.Single(c => c.Id == "converter.continuous" && c.DrivePointId == point.Id);
        var free = Assessor.Run(First(Fans with { FanM3PerH = 20_000 })).Checks
            .Single(c => c.Id == "converter.continuous" && c.DrivePointId == point.Id);
        Assert.Equal(figure.Figure.Value, free.Figure.Value, 6);
        Assert.True(figure.Limit.Value < free.Limit.Value, $"{figure.Limit} {free.Limit}");
    }

    [Fact]
    public void What_is_not_entered_is_asked_for_and_changes_no_rating()
    {
        var plant = First(CabinetBuild.Open);
        Assert.All(Checks(plant, "cabinet.heat"), c => Assert.Equal(Verdict.NeedsData, c.Verdict));
        Assert.Equal(Verdict.NeedsData, Assert.Single(Checks(plant, "cabinet.width")).Verdict);
        Assert.Equal(
            Assessor.Run(Demo).Checks.Where(c => c.Id == "converter.continuous").Select(c => c.Limit),
            Assessor.Run(plant).Checks.Where(c => c.Id == "converter.continuous").Select(c => c.Limit));
    }

    [Fact]
    public void A_cooler_is_judged_by_its_watts()
    {
        var small = First(CabinetBuild.Open with { Cooling = CabinetCooling.Cooled, CoolerW = 60, CooledC = 35, HumidityPct = 50 });
        Assert.Contains(Checks(small, "cabinet.heat"), c => c.Verdict == Verdict.Fails);
        var large = First(CabinetBuild.Open with { Cooling = CabinetCooling.Cooled, CoolerW = 20_000, CooledC = 35, HumidityPct = 50 });
        Assert.DoesNotContain(Checks(large, "cabinet.heat"), c => c.Verdict == Verdict.Fails);
        Assert.Equal(35, Assessor.Cabinets(large, large.Lineups[0])!.InletC(Demo.Lineups[0].DrivePoints[0].Id)!.Value, 9);
    }

    [Fact]
    public void By_hand_it_stands_where_it_was_put_or_is_told_not_to_fit()
    {
        var free = Of(Fans);
        var unit = free.Units[^1];
        var put = Of(Fans with { Pins = [new UnitPin(unit.Id, 5)] });
        Assert.Contains(put.Layout.Sections.Single(s => s.Number == 5).Units, u => u.Unit.Id == unit.Id && u.IsByHand);
        var alone = Of(Fans with { HeightMm = 1200, Pins = [new UnitPin(unit.Id, 6)] });
        Assert.Contains(alone.Layout.Sections, s => s.Kind == SectionKind.FreeStanding);
        Assert.Contains(alone.Layout.Sections.Single(s => s.Number == 6).Units, u => u.Unit.Id == unit.Id && u.IsByHand);
        var wrong = First(Fans with { Pins = [new UnitPin(unit.Id, 1)] });
        var check = Assert.Single(Checks(wrong, "cabinet.clearance"));
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("section 1", check.Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Contains(Assessor.Cabinets(wrong, wrong.Lineups[0])!.Layout.Sections.SelectMany(s => s.Units), u => u.Unit.Id == unit.Id);
    }

    [Fact]
    public void A_shallow_section_and_a_short_wall_fail()
    {
        var plant = First(Fans with { DepthMm = 300, RoomMm = 1000 });
        Assert.Equal(Verdict.Fails, Assert.Single(Checks(plant, "cabinet.clearance")).Verdict);
        Assert.Equal(Verdict.Fails, Assert.Single(Checks(plant, "cabinet.width")).Verdict);
    }

    // Heat sinks that reach outside leave a third inside; all of it goes into the room.
    [Fact]
    public void Heat_sinks_outside_take_heat_out_of_the_section_not_out_of_the_room()
    {
        var (inside, outside) = (Of(Fans), Of(Fans with { SinksOutside = true }));
        Assert.Equal(inside.RoomW()!.Value, outside.RoomW()!.Value, 6);
        var section = inside.Layout.Sections.First(s => s.Kind == SectionKind.Units
            && s.Units.All(u => u.Unit.Kind == CabinetUnitKind.Converter));
        var same = outside.Layout.Sections.Single(s => s.Number == section.Number);
        Assert.Equal(0.35 * inside.AirOf(section)[0].LossW, outside.AirOf(same)[0].LossW, 6);
    }

    // The busbar carries in each section what is fed there and beyond, as solved, nothing behind the last unit; no less than the power
    // alone asks for.
    [Fact]
    public void The_busbar_is_judged_by_what_it_carries_in_each_section()
    {
        var plant = First(Fans with { FanM3PerH = 5000 });
        var study = Assessor.Cabinets(plant, plant.Lineups[0])!;
        var busbar = BusbarCurrents.Of(study, Assessor.Run(plant).Scenarios);
        Assert.Empty(busbar.Missing);
        var sections = study.Layout.Sections;
        var volts = plant.Distribution.Bus(plant.Lineups[0].BusId).NominalVoltageV;
        var lineup = plant.Lineups[0].DrivePoints.Where(p => p.Sun is null).Select(p => p.Id).ToHashSet();
        var least = Assessor.Run(plant).Scenarios.Max(s => s.Drives.Where(d => lineup.Contains(d.DrivePointId)).Sum(d => d.Point.LineW))
            / Math.Sqrt(3) / volts;
        Assert.True(busbar.In(sections[0])!.Value > least, $"{busbar.In(sections[0])} {least}");
        Assert.Equal(0, busbar.In(sections[^1])!.Value);
        Assert.All(sections.Zip(sections.Skip(1)), p => Assert.True(busbar.In(p.First) >= busbar.In(p.Second)));
        var whole = busbar.In(sections[0])!.Value;
        Check At(double ampere) => Assert.Single(Checks(First(Fans with { FanM3PerH = 5000, BusbarA = ampere }), "cabinet.busbar"));
        Assert.Equal(30, At(whole).Figure.Value, 3);
        Assert.Equal(Verdict.Holds, At(whole).Verdict);
        Assert.Equal(Verdict.Fails, At(whole / 2).Verdict);
        Assert.Equal(Verdict.NeedsData, Assert.Single(Checks(First(Fans), "cabinet.busbar")).Verdict);
    }

    // What never runs in a scenario loses what it does at rest: of that nobody would say that its section holds.
    [Fact]
    public void Where_nothing_ever_runs_nothing_holds()
    {
        var plant = First(Fans with { FanM3PerH = 5000, BusbarA = 1000 });
        plant = plant with
        {
            Scenarios = [.. plant.Scenarios.Select(s => s with
            {
                States = [.. plant.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))],
            })],
        };
        Assert.Equal(Verdict.NeedsData, Assert.Single(Checks(plant, "cabinet.busbar")).Verdict);
        var study = Assessor.Cabinets(plant, plant.Lineups[0])!;
        Assert.All(Checks(plant, "cabinet.heat").Where(c =>
            study.Layout.Sections.Any(s => s.Units.Count > 0 && c.ElementId == $"l1/{s.Number}")),
            c => Assert.Equal(Verdict.NeedsData, c.Verdict));
    }

    // Above a unit with a fan stands what that unit blew, in closed and cooled sections too.
    [Theory]
    [InlineData(CabinetCooling.Closed)]
    [InlineData(CabinetCooling.Cooled)]
    public void A_unit_above_another_takes_in_its_air_however_the_section_is_cooled(CabinetCooling cooling)
    {
        var study = Of(CabinetBuild.Open with { Cooling = cooling, FactorK = 0.01, FactorC = 1, CoolerW = 50_000, CooledC = 30,
            HumidityPct = 40 });
        var stacked = study.Layout.Sections.SelectMany(s => s.Units.SelectMany(u => s.Units.Where(l => l.TopMm <= u.BottomMm
            && l.LeftMm < u.RightMm && u.LeftMm < l.RightMm && l.Unit.AirM3PerH > 0).Select(l => (Section: s, Upper: u, Lower: l))))
                .ToList();
        Assert.NotEmpty(stacked);
        Assert.All(stacked, p => Assert.All(study.AirOf(p.Section), a => Assert.True(a.InletC[p.Upper.Unit.Id]
            >= a.InletC[p.Lower.Unit.Id] + AirFlow.UnitRiseK(p.Lower.Unit.LossW(a.Scenario)!.Value, p.Lower.Unit.AirM3PerH,
                Demo.Site.AltitudeM) - 1e-9)));
    }

    // About 30 kA at the bus: an assembly of 10 kA fails, one of 50 holds; by the US code the weakest part decides.
    [Fact]
    public void Short_circuits_are_held_by_the_assembly_and_in_the_us_by_its_weakest_part()
    {
        Check Of(PlantSpecification plant) => Assert.Single(Checks(plant, "cabinet.short-circuit"));
        Assert.Equal(Verdict.NeedsData, Of(First(Fans)).Verdict);
        Assert.Equal(Verdict.Fails, Of(First(Fans with { WithstandKa = 10 })).Verdict);
        Assert.Equal(Verdict.Holds, Of(First(Fans with { WithstandKa = 50 })).Verdict);
        var us = First(Fans with { WithstandKa = 100 });
        us = us with { Conventions = us.Conventions with { Installation = InstallationCode.Nfpa70 } };
        Assert.True(Of(us).Limit.Value < 100, Of(us).Reason.WithNumbers);
        var level = Assert.IsType<SourceStrength.FaultLevel>(Demo.Source.Strength);
        var weak = Demo with
        {
            Source = Demo.Source with { Strength = level with { ShortCircuitMva = 6, LeastMva = 5 } },
            Lineups = [Demo.Lineups[^1] with { Cabinets = Fans }],
            Distribution = Demo.Distribution with { Loads = [], CapacitorBanks = [] },
            Scenarios = [Demo.Scenarios[0] with { States = [], LoadStates = [], BankStates = [] }],
            Routes = PlantRoutes.None,
        };
        Assert.Equal(Verdict.Holds, Of(weak).Verdict);
        Assert.Contains("no proof", Of(weak).Reason.WithNumbers, StringComparison.Ordinal);
    }

    private static void Stand(CabinetStudy study, CabinetSection section)
    {
        var series = study.Series;
        foreach (var unit in section.Units)
        {
            Assert.True(unit.LeftMm - unit.Unit.Clearance.BesideMm >= series.SideMm - 1e-6, unit.Unit.Name);
            Assert.True(unit.RightMm + unit.Unit.Clearance.BesideMm <= section.WidthMm - series.SideMm + 1e-6, unit.Unit.Name);
            Assert.True(unit.BottomMm - unit.Unit.Clearance.BelowMm >= series.BottomMm - 1e-6, unit.Unit.Name);
            Assert.True(unit.TopMm + unit.Unit.Clearance.AboveMm <= study.HeightMm - series.TopMm + 1e-6, unit.Unit.Name);
            foreach (var other in section.Units.Where(o => o != unit))
            {
                // The larger of two clearances is between them at least, side by side or one above the other.
                var beside = Math.Max(unit.LeftMm - other.RightMm, other.LeftMm - unit.RightMm);
                var above = Math.Max(unit.BottomMm - other.TopMm, other.BottomMm - unit.TopMm);
                Assert.True(beside >= Math.Max(unit.Unit.Clearance.BesideMm, other.Unit.Clearance.BesideMm) - 1e-6
                    || above >= Math.Max(unit.Unit.Clearance.BelowMm, other.Unit.Clearance.AboveMm) - 1e-6,
                    $"{unit.Unit.Name}, {other.Unit.Name}");
            }
        }
    }

    private static CabinetStudy Of(CabinetBuild build) => Assessor.Cabinets(First(build), First(build).Lineups[0])!;

    private static List<Check> Checks(PlantSpecification plant, string id) => [.. Assessor.Run(plant).Checks.Where(c => c.Id == id)];

    private static PlantSpecification First(CabinetBuild build) =>
        Demo with { Lineups = [Demo.Lineups[0] with { Cabinets = build }, .. Demo.Lineups.Skip(1)] };

    private static PlantSpecification All(PlantSpecification plant, CabinetBuild build) =>
        plant with { Lineups = [.. plant.Lineups.Select(l => l with { Cabinets = build })] };
}
