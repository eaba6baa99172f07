using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>The whole chain on the demo plant: what it finds, and that every entry moves what it should.</summary>
public sealed class DemoAssessmentTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly PlantAssessment Found = DemoChanges.Assessor.Run(Demo);

    [Theory]
    [InlineData("motor.continuous", "dp-02", Verdict.Fails)]
    [InlineData("motor.match", "dp-03", Verdict.Fails)]
    [InlineData("harmonics.pcc-tdd", "", Verdict.Fails)]
    [InlineData("harmonics.pcc-voltage", "", Verdict.Holds)]
    [InlineData("supply.feed", "", Verdict.Holds)]
    [InlineData("converter.short-circuit-rating", "dp-12", Verdict.Holds)]
    [InlineData("converter.short-circuit-rating", "dp-23", Verdict.NotApplicable)]
    [InlineData("converter.short-circuit-rating", "dp-01", Verdict.Holds)]
    [InlineData("converter.continuous", "dp-01", Verdict.Holds)]
    [InlineData("motor.continuous", "dp-01", Verdict.Holds)]
    [InlineData("motor.continuous", "dp-15", Verdict.Fails)]
    [InlineData("motor.continuous", "dp-05", Verdict.Holds)]
    [InlineData("motor.bearings", "dp-01", Verdict.Fails)]
    [InlineData("motor.bearings", "dp-04", Verdict.NotApplicable)]
    [InlineData("starter.reaches-speed", "dp-04", Verdict.Fails)]
    [InlineData("starter.thermal-class", "dp-04", Verdict.Fails)]
    [InlineData("starter.settings", "dp-04", Verdict.NotApplicable)]
    [InlineData("supply.start-dip", "dp-04", Verdict.Holds)]
    [InlineData("converter.continuous", "dp-04", Verdict.NotApplicable)]
    [InlineData("motor.technology-rule", "dp-13", Verdict.Holds)]
    [InlineData("motor.insulation", "dp-01", Verdict.Holds)]
    [InlineData("motor.speed", "dp-01", Verdict.Holds)]
    [InlineData("energy.best-alternative", "dp-13", Verdict.Holds)]
    [InlineData("energy.best-alternative", "dp-05", Verdict.Tight)]
    public void Verdicts(string id, string point, Verdict verdict) => Assert.Equal(verdict, Check(Found, id, point).Verdict);

    [Fact]
    public void Every_check_of_the_work_is_there_with_source_and_reason()
    {
        foreach (var id in new[] { "motor.continuous", "motor.peak", "motor.match", "converter.continuous", "converter.overload",
            "energy.best-alternative", "supply.data" })
        {
            Assert.Equal(Demo.AllDrivePoints().Count(), Found.Checks.Count(c => c.Id == id));
        }

        // The bank and the one transformer left come near the seventh: that is the worst state of this plant.
        foreach (var id in new[] { "harmonics.pcc-tdd", "harmonics.pcc-orders", "harmonics.pcc-voltage" })
        {
            Assert.Equal("transformer 2 out", Check(Found, id, string.Empty).Scenario);
        }

        foreach (var (id, element, verdict) in new[]
        {
            ("supply.transformer-loading", "t1", Verdict.Fails), ("supply.transformer-loading", "t2", Verdict.Holds),
            ("supply.start-dip", "compressor", Verdict.Holds),
            ("supply.neutral", "lighting", Verdict.Tight), ("supply.fault-level", "bus-mv", Verdict.Holds),
            ("supply.fault-level", "bus-w", Verdict.Holds),
        })
        {
            Assert.Equal(verdict, Found.Checks.Single(c => c.Id == id && c.ElementId == element).Verdict);
        }

        Assert.All(Found.Checks, c =>
        {
            Assert.NotEmpty(c.Reason.Formula);
            Assert.NotEmpty(c.Reason.WithNumbers);
            Assert.NotEmpty(c.Reason.Source);
            Assert.True(c.Verdict is Verdict.Holds or Verdict.NotApplicable || c.Relief.Length > 0, c.Id);
        });
    }

    [Fact]
    public void The_converter_ladder_by_hand()
    {
        // At the foot of its section it takes in the room's 38 °C: 300 A · 1 · 1 · 0.96.
        Assert.Equal(300 * 0.96, Check(Found, "converter.continuous", "dp-01").Limit.Value, 9);

        // Without cabinets 5 K above the room: 300 A · (1 − 3 K · 1.5 %) · 1 · 0.96.
        var open = DemoChanges.Assessor.Run(DemoChanges.WithoutCabinets);
        Assert.Equal(300 * 0.955 * 0.96, Check(open, "converter.continuous", "dp-01").Limit.Value, 9);
    }

    [Fact]
    public void Tightest_comes_first()
    {
        var list = Found.Tightest().ToList();
        var fails = list.TakeWhile(c => c.Verdict == Verdict.Fails).ToList();
        Assert.Equal(list.Count(c => c.Verdict == Verdict.Fails), fails.Count);
        Assert.Equal(fails.Select(c => CheckWeights.Of(c.Id)).Order(), fails.Select(c => CheckWeights.Of(c.Id)));
        Assert.All(fails.GroupBy(c => CheckWeights.Of(c.Id)),
            g => Assert.Equal(g.OrderBy(c => c.MarginPct.IsKnown ? c.MarginPct.Value : double.MaxValue).Select(c => c.Id),
                g.Select(c => c.Id)));

        // A brake that closes on a turning shaft before a resonance, that before the demand distortion, life-cycle cost last.
        Assert.Equal("brake.sequence", list[0].Id);
        var order = fails.Select(c => c.Id).ToList();
        Assert.True(order.IndexOf("harmonics.resonance") < order.IndexOf("harmonics.plant-voltage")
            || !order.Contains("harmonics.plant-voltage"));
        Assert.Equal("rpm", list[0].Unit);
        Assert.All(Enum.GetValues<CheckWeight>(), w => Assert.Contains(Found.Checks, c => CheckWeights.Of(c.Id) == w));
    }

    [Fact]
    public void Loss_chain_accounts_for_every_watt()
    {
        var assessor = DemoChanges.Assessor;
        foreach (var point in Demo.AllDrivePoints())
        {
            var study = assessor.Study(Demo, point);
            var drive = Found.Scenarios[0].Drives.SingleOrDefault(d => d.DrivePointId == point.Id);
            var onLine = Found.Scenarios[0].OnLine.SingleOrDefault(d => d.DrivePointId == point.Id);
            if (drive is null && onLine is null)
            {
                // Winders and servo axes draw through the module of their bus, the exit rollers through their common converter, the pond
                // pump from the sun.
                Assert.True(point.Sun is not null || Demo.DcBusOf(point.Id) is not null || Demo.GroupOf(point.Id) is not null, point.Id);
                continue;
            }

            var chain = study.Model is DriveOnLine line
                ? LossChain.Of(line, onLine!, Found.Scenarios[0])
                : LossChain.Of((DriveOnConverter)study.Model, drive!, Found.Scenarios[0]);
            foreach (var (from, to) in chain.Zip(chain.Skip(1)))
            {
                Assert.Equal(from.OutputW, to.InputW, 6);
            }

            Assert.Equal((drive?.Point ?? onLine!.Point).Shaft.PowerW, chain[^1].OutputW, 6);
            Assert.All(chain, l => Assert.True(l.LossW >= 0));
        }
    }

    [Fact]
    public void Present_damper_against_adjusted_speed_by_hand()
    {
        var study = DemoChanges.Assessor.Study(Demo, Point("dp-01"));
        var present = study.Alternatives.Single(a => a.Id == "present");
        var chosen = study.Alternatives.Single(a => a.IsChosen);
        Assert.Equal(6900, present.Points.Sum(p => p.HoursPerYear), 9);
        Assert.Equal(present.Points.Sum(p => p.LineW * p.HoursPerYear / 1e3), present.Year.EnergyKwh, 6);
        Assert.True(present.Year.EnergyKwh > chosen.Year.EnergyKwh);

        // Annuity of 10 years at 6 % is 7.3601.
        Assert.Equal(7.3601, Demo.Tariff.AnnuityFactor, 4);
        Assert.Equal(chosen.Year.EquipmentCost + (7.36009 * chosen.Year.CostPerYear), chosen.Year.LifetimeCost, 1.0);
    }

    [Fact]
    public void Warmer_air_costs_converter_current()
    {
        var warmer = DemoChanges.Assessor.Run(Demo with { Site = Demo.Site with { AmbientMaxC = 44 } });
        Assert.True(Check(warmer, "converter.continuous", "dp-01").Limit.Value < Check(Found, "converter.continuous", "dp-01").Limit.Value);

        // A motor used to class F has room before warmer air takes rated torque from it.
        var hot = DemoChanges.Assessor.Run(Demo with { Site = Demo.Site with { AmbientMaxC = 60 } });
        Assert.True(Check(hot, "motor.continuous", "dp-01").Limit.Value < Check(Found, "motor.continuous", "dp-01").Limit.Value);
    }

    [Fact]
    public void A_missing_entry_is_named_and_nothing_is_guessed()
    {
        var open = With("dp-01", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } }) with { Routes = PlantRoutes.None };
        var result = DemoChanges.Assessor.Run(open);
        Assert.Equal(Verdict.NeedsData, Check(result, "harmonics.pcc-tdd", string.Empty).Verdict);
        Assert.Contains("DP-01", Check(result, "harmonics.pcc-tdd", string.Empty).Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData, Check(result, "energy.best-alternative", "dp-01").Verdict);
        Assert.Equal(Verdict.Holds, Check(result, "motor.continuous", "dp-01").Verdict);
    }

    [Fact]
    public void Each_rule_of_motors_can_fail()
    {
        Verdict Of(PlantSpecification plant, string id, string point) => Check(DemoChanges.Assessor.Run(plant), id, point).Verdict;
        PlantSpecification Motor(string point, string item, MotorConnection connection = MotorConnection.Fitting) => With(
            point, p => p with { Motor = new MotorChoice.FromCatalogue(item, MotorCooling.SeparateFan, ThermalClass.F, connection, true,
                string.Empty) });
        Assert.Equal(Verdict.Fails, Of(Motor("dp-13", "pm-ie5-5.5"), "motor.technology-rule", "dp-13"));
        Assert.Equal(Verdict.Fails, Of(Motor("dp-01", "dc-160"), "motor.technology-rule", "dp-01"));
        Assert.Equal(Verdict.NeedsData, Of(Motor("dp-01", "dc-160"), "energy.best-alternative", "dp-01"));
        var fast = With("dp-02", p => p with { Load = ((FanLoad)p.Load)
            with { Common = ((FanLoad)p.Load).Common with { RatedSpeedRpm = 2200 } } });
        Assert.Equal(Verdict.Holds, Of(fast, "motor.speed", "dp-02"));
        fast = With("dp-02", p => p with { Load = ((FanLoad)p.Load) with { Common = ((FanLoad)p.Load).Common
            with { RatedSpeedRpm = 3900 } } });
        Assert.Equal(Verdict.Fails, Of(fast, "motor.speed", "dp-02"));
        Assert.Equal(Verdict.Fails, Of(Motor("dp-02", "cage-4p-ie3-55", MotorConnection.Star), "motor.connection", "dp-02"));
        Assert.Equal(Verdict.Holds, Of(Motor("dp-02", "cage-4p-ie3-55"), "motor.connection", "dp-02"));

        // The hoist's chopper lifts the link to 760 V; a long cable then asks for more than the winding stands.
        var steep = Demo with { Overrides = [new DefaultOverride("reflection-pu", 1.2, "test")] };
        Assert.Equal(Verdict.Fails, Of(steep, "motor.insulation", "dp-05"));
        Assert.Equal(Verdict.Holds, Of(Demo, "motor.insulation", "dp-01"));
        var link = Demo with { Overrides = [new DefaultOverride("link-rating-v", 300, "test")] };
        Assert.Equal(Verdict.Fails, Of(link with { Lineups = Motor("dp-02", "pm-ie5-55").Lineups }, "motor.speed", "dp-02"));
    }

    [Fact]
    public void A_fans_own_curve_with_inlet_vanes_replaces_the_catalogues()
    {
        double Present(params VanePoint[] curve) => DemoChanges.Assessor.Study(
            With("dp-01", p => p with { Load = ((FanLoad)p.Load) with { Common = ((FanLoad)p.Load).Common
                with { PresentControl = PresentControl.InletVanes, VaneCurve = [.. curve] } } }), Point("dp-01")
                    with { Load = ((FanLoad)Point("dp-01").Load) with { Common = ((FanLoad)Point("dp-01").Load).Common
                        with { PresentControl = PresentControl.InletVanes, VaneCurve = [.. curve] } } })
            .Alternatives.Single(a => a.Id == "present").Year.EnergyKwh;
        var own = Data.InletVanes.Select(p => new VanePoint(p.X, p.Y)).ToArray();
        Assert.Equal(Present(), Present(own), 6);
        Assert.True(Present([.. own.Select(p => p with { PowerPu = 0.8 * p.PowerPu })]) < 0.85 * Present());
        var falling = With("dp-01", p => p with { Load = ((FanLoad)p.Load)
            with { Common = ((FanLoad)p.Load).Common with { VaneCurve = [new VanePoint(0.5, 0.5), new VanePoint(0.4, 0.6)] } } });
        Assert.EndsWith("/vaneCurve/1/flowPu", SpecificationValidation.Problems(falling, Data).Single().Pointer, StringComparison.Ordinal);
    }

    [Fact]
    public void A_point_of_the_duty_inside_a_skip_band_fails_by_name()
    {
        Check Of(params SkipBand[] bands) =>
            Check(DemoChanges.Assessor.Run(With("dp-01", p => p with { SkipBands = [.. bands] })), "motor.skip-band", "dp-01");
        Assert.Equal(Verdict.NotApplicable, Of().Verdict);
        Assert.Equal(Verdict.Holds, Of(new SkipBand(300, 400)).Verdict);
        var hit = Of(new SkipBand(300, 400), new SkipBand(1400, 1490));
        Assert.Equal(Verdict.Fails, hit.Verdict);
        Assert.Contains("1480 rpm at 100 % flow", hit.Reason.WithNumbers, StringComparison.Ordinal);
        var bad = SpecificationValidation.Problems(With("dp-01", p => p with { SkipBands = [new SkipBand(800, 700)] }), Data).Single();
        Assert.Equal("/lineups/0/drivePoints/0/skipBands/0/toRpm", bad.Pointer);
    }

    [Fact]
    public void Switching_faster_is_quieter_costs_current_and_disturbs_more()
    {
        var picture = SwitchingPicture.Of(DemoChanges.Assessor.Study(Demo, Point("dp-01")).Model);
        Assert.Contains(picture, p => p.SwitchingKhz == 4 && p.SiteCurrentA == 300 * 0.96);
        foreach (var (slow, fast) in picture.Zip(picture.Skip(1)))
        {
            Assert.True(fast.NoiseRiseDb < slow.NoiseRiseDb && fast.SiteCurrentA <= slow.SiteCurrentA
                && fast.EarthCurrentMa > slow.EarthCurrentMa);
            Assert.True(fast.MostCableM < slow.MostCableM);
        }

        // What charges the cable at the frequency in force is what the check judges; the filter's declaration ends at 4 kHz.
        var now = picture.Single(p => p.SwitchingKhz == 4);
        var check = DemoChanges.Assessor.Run(Demo).Checks.Single(c =>
            c is { Id: "emc.motor-cable", DrivePointId: "dp-01", ElementId: "charging" });
        Assert.Equal(3e3 * check.Figure.Value, now.EarthCurrentMa!.Value, 0.01);
        Assert.Equal(62 * check.Limit.Value / check.Figure.Value, now.MostCableM!.Value, 2.0);
        Assert.All(picture, p => Assert.Equal(p.SwitchingKhz <= 4, p.FilterHolds));
    }

    [Fact]
    public void An_override_moves_its_check_and_nothing_else()
    {
        var result = DemoChanges.Assessor.Run(Demo with { Overrides = [new DefaultOverride("match-current-pct", 20,
            "agreed with the maker"), new DefaultOverride("match-magnetising-pct", 5, string.Empty)] });
        Assert.Equal(Verdict.Holds, Check(result, "motor.match", "dp-03").Verdict);
        Assert.Equal(Check(Found, "motor.continuous", "dp-02").Figure, Check(result, "motor.continuous", "dp-02").Figure);
    }

    [Fact]
    public void Candidates_are_judged_and_the_best_is_the_cheapest_that_fits()
    {
        var study = DemoChanges.Assessor.Study(Demo, Point("dp-02"));
        var motors = CandidateRanking.Motors(study.Model.Input, Data);
        Assert.Equal(MadeFor.Motors(Data, 400, 50).Select(m => m.Id).Order(), motors.Select(c => c.ItemId).Order());
        Assert.Contains("-55", motors[0].ItemId, StringComparison.Ordinal);
        Assert.Contains(motors, c => c.ItemId == "dc-55" && !c.Fits && c.Reason.Contains("thyristor converter", StringComparison.Ordinal));
        var fitting = motors.TakeWhile(c => c.Fits).ToList();
        Assert.Equal(fitting.OrderBy(c => c.LifetimeCost), fitting);
        Assert.DoesNotContain(motors.Skip(fitting.Count), c => c.Fits);
        var chosen = motors.Single(c => c.IsChosen);
        Assert.False(chosen.Fits);
        Assert.Contains("continuous torque", chosen.Reason, StringComparison.Ordinal);
        var converters = CandidateRanking.Converters(study.Model.Input, Data);
        Assert.Equal(MadeFor.Converters(Data, 400).Count, converters.Count);
        Assert.All(converters, c => Assert.NotEmpty(c.Reason));
    }

    [Fact]
    public void A_choice_beyond_the_permitted_cost_stands_with_a_reason()
    {
        var dear = Demo with { Overrides = [new DefaultOverride("best-alternative-pct", 0, string.Empty)] };
        Assert.Equal(Verdict.Tight, Check(DemoChanges.Assessor.Run(dear), "energy.best-alternative", "dp-02").Verdict);
        var reasoned = With(dear, "dp-02",
            p => p with { Motor = new MotorChoice.FromCatalogue("cage-4p-ie3-45", MotorCooling.OwnFan, ThermalClass.B,
                MotorConnection.Fitting, false, "in store") });
        Assert.Equal(Verdict.Holds, Check(DemoChanges.Assessor.Run(reasoned), "energy.best-alternative", "dp-02").Verdict);
    }

    [Fact]
    public void Remembered_results_equal_fresh_ones()
    {
        var assessor = DemoChanges.Assessor;
        assessor.Run(Demo);
        var changed = With("dp-01", p => p with { Load = ((FanLoad)p.Load) with { RatedPressurePa = 2700 } });
        var after = assessor.Run(changed).Checks;
        var fresh = DemoChanges.Assessor.Run(changed).Checks;
        Assert.Equal(fresh.Select(c => (c.Id, c.DrivePointId, c.Verdict)), after.Select(c => (c.Id, c.DrivePointId, c.Verdict)));
        Assert.All(fresh.Zip(after).Where(x => x.First.Limit.IsKnown),
            x => Assert.Equal(x.First.Limit.Value, x.Second.Limit.Value, 2e-6 * Math.Abs(x.First.Limit.Value)));
        foreach (var (a, b) in fresh.Zip(after).Where(x => x.First.Figure.IsKnown))
        {
            Assert.Equal(a.Figure.Value, b.Figure.Value,
                2e-6 * Math.Max(Math.Abs(a.Figure.Value), a.Limit.IsKnown ? Math.Abs(a.Limit.Value) : 0));
        }
    }

    private static Check Check(PlantAssessment assessment, string id, string point) =>
        assessment.Checks.Single(c => c.Id == id && c.DrivePointId == point && c.ElementId.Length == 0);

    private static DrivePoint Point(string id) => Demo.AllDrivePoints().Single(p => p.Id == id);

    private static PlantSpecification With(string id, Func<DrivePoint, DrivePoint> change) => With(Demo, id, change);

    private static PlantSpecification With(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) =>
        DemoChanges.Changed(plant, id, change);
}
