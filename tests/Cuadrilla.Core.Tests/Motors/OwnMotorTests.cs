using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Motors;

/// <summary>Real motors: their plates, what is assumed, how they stand among the others.</summary>
public sealed class OwnMotorTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    [Fact]
    public void The_plate_is_reproduced_to_a_hundredth_of_a_per_cent()
    {
        var own = Own();
        var point = new MotorLossModel(own.Item(Data.Motors.Values).Plate)
            .At(own.RatedSpeedRpm, own.RatedPowerKw * 1e3 / (2 * Math.PI * own.RatedSpeedRpm / 60), MotorFeed.Line);
        Assert.Equal(own.RatedCurrentA, point.CurrentA, 1e-4 * own.RatedCurrentA);
        Assert.Equal(own.EfficiencyPct, 100 * point.Efficiency, 1e-4 * own.EfficiencyPct);
        Assert.Equal(own.RatedVoltageV, point.VoltageV, 1e-4 * own.RatedVoltageV);
        Assert.Equal(own.ImpliedPowerFactor, point.PowerFactor, 1e-4);
    }

    [Fact]
    public void A_measured_no_load_current_replaces_the_estimate()
    {
        var model = new MotorLossModel((Own() with { NoLoadCurrentA = 31 }).Item(Data.Motors.Values).Plate);
        Assert.Equal(31, model.OnLine(50, model.Plate.RatedVoltageV, 0).CurrentA, 6);

        // Without load the flux is a little more than at rated load, and the iron nearer to saturation.
        Assert.InRange(model.MagnetisingCurrentA, 26, 31);
    }

    [Fact]
    public void What_the_plate_leaves_open_is_named_and_taken_from_the_generic_motor_next_in_size()
    {
        var own = Own();
        Assert.Contains("breakdown torque", own.Assumed());
        Assert.DoesNotContain("breakdown torque", (own with { BreakdownTorquePu = 2.4 }).Assumed());
        Assert.Equal(Data.Motors["cage-4p-ie3-55"].Plate.BreakdownTorquePu, own.Item(Data.Motors.Values).Plate.BreakdownTorquePu);
        Assert.Equal(2.4, (own with { BreakdownTorquePu = 2.4 }).Item(Data.Motors.Values).Plate.BreakdownTorquePu);
    }

    [Theory]
    [InlineData(0.99, 1482, "/motors/0/powerFactor", "about 0.868")]
    [InlineData(0.87, 1510, "/motors/0/ratedSpeedRpm", "synchronous 1500")]
    [InlineData(0.87, 5, "/motors/0/ratedSpeedRpm", "10 to 30000")]
    public void A_plate_that_contradicts_itself_is_refused(double powerFactor, double speedRpm, string pointer, string allowed)
    {
        var problem = SpecificationValidation.Problems(Demo with { Motors = [Own() with { PowerFactor = powerFactor,
            RatedSpeedRpm = speedRpm }] }, Data)[0];
        Assert.Equal(pointer, problem.Pointer);
        Assert.Contains(allowed, problem.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Keys_are_unique_and_not_the_catalogues()
    {
        Assert.Equal("/motors/1/id", SpecificationValidation.Problems(Demo with { Motors = [Own(), Own()] }, Data).Single().Pointer);
        Assert.Equal("/motors/0/id", SpecificationValidation.Problems(Demo with { Motors = [Own() with { Id = "cage-4p-ie3-45" }] }, Data)
            .Single().Pointer);
    }

    [Fact]
    public void An_own_motor_is_judged_with_the_others_and_can_be_chosen()
    {
        var plant = Demo with { Motors = [Own() with { RatedRiseK = 80 }] };
        var point = plant.AllDrivePoints().Single(p => p.Id == "dp-02");
        var ranked = CandidateRanking.Motors(DemoChanges.Assessor.Study(plant, point).Model.Input, Data.With(plant));
        var candidate = ranked.Single(c => c.ItemId == "own-1");
        Assert.True(candidate.Fits);
        Assert.StartsWith("Mill spare", candidate.Name, StringComparison.Ordinal);
        var chosen = With(plant, p => p with { Motor = candidate.Motor! });
        Assert.Empty(SpecificationValidation.Problems(chosen, Data));
        var check = DemoChanges.Assessor.Run(chosen).Checks.Single(c => c.Id == "motor.continuous" && c.DrivePointId == "dp-02");
        Assert.NotEqual(Verdict.Fails, check.Verdict);
        Assert.NotEqual(Verdict.NeedsData,
            DemoChanges.Assessor.Run(chosen).Checks.Single(c => c.Id == "energy.best-alternative" && c.DrivePointId == "dp-02").Verdict);

        // Without the motor the choice can't stand.
        Assert.Contains(SpecificationValidation.Problems(chosen with { Motors = [] }, Data),
            p => p.Pointer.EndsWith("/motor/itemId", StringComparison.Ordinal));
    }

    [Fact]
    public void An_edit_of_an_own_motor_is_not_answered_from_memory()
    {
        var plant = With(Demo with { Motors = [Own()] },
            p => p with { Motor = new MotorChoice.FromCatalogue("own-1", MotorCooling.OwnFan, ThermalClass.B, MotorConnection.Fitting, true,
                string.Empty) });
        var assessor = DemoChanges.Assessor;
        double Current(PlantSpecification s) =>
            assessor.Run(s).DrivePoints.Single(d => d.DrivePointId == "dp-02").Rated!.Value.Motor.CurrentA;
        var before = Current(plant);
        Assert.NotEqual(before, Current(plant with { Motors = [Own() with { RatedCurrentA = 100, PowerFactor = 0.85 }] }));
        Assert.Equal(before, Current(plant));
    }

    [Fact]
    public void A_measured_power_factor_at_half_load_is_met_and_the_plate_stays()
    {
        foreach (var measured in new[] { 0.70, 0.76, 0.82 })
        {
            var plate = (Own() with { HalfLoadPowerFactor = measured }).Item(Data.Motors.Values).Plate;
            var model = new MotorLossModel(plate);
            Assert.Equal(measured, model.OnLine(50, plate.RatedVoltageV, plate.RatedTorqueNm / 2).PowerFactor, 3);
            Assert.Equal(96.7, model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line).CurrentA, 6);
        }

        // A measured no-load current goes before it.
        var both = (Own() with { HalfLoadPowerFactor = 0.7, NoLoadCurrentA = 30 }).Item(Data.Motors.Values).Plate;
        Assert.Equal(30, new MotorLossModel(both).OnLine(50, both.RatedVoltageV, 0).CurrentA, 0.3);
    }

    [Fact]
    public void Seven_measured_losses_are_met_at_their_points_and_every_watt_is_accounted_for()
    {
        double[] losses = [3100, 2500, 2300, 1500, 1050, 700, 560];
        var own = Own() with
        {
            LossN90T100W = losses[0],
            LossN50T100W = losses[1],
            LossN25T100W = losses[2],
            LossN90T50W = losses[3],
            LossN50T50W = losses[4],
            LossN50T25W = losses[5],
            LossN25T25W = losses[6],
        };
        var plate = own.Item(Data.Motors.Values).Plate;
        var model = new MotorLossModel(plate);
        for (var i = 0; i < losses.Length; i++)
        {
            var (speed, torque) = SevenPointLosses.Points[i];
            var point = model.At(speed * plate.RatedSpeedRpm, torque * plate.RatedTorqueNm, MotorFeed.Converter);
            Assert.Equal(losses[i], point.LossW, 6);
            Assert.Equal(point.InputW, point.ShaftW + point.LossW, 6);
        }

        // Across the line they are not valid: there the plate decides.
        Assert.Equal(plate.RatedLossW, model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line).LossW, 6);
        var problem = SpecificationValidation.Problems(Demo with { Motors = [own with { LossN25T25W = Given.Unknown }] }, Data).Single();
        Assert.Equal("6 of seven", problem.Value);
    }

    [Fact]
    public void The_polynomial_of_seven_points_is_the_one_it_was_made_from()
    {
        double Law(double n, double t) => 40 + (90 * n) + (70 * n * n) + (50 * n * t * t) + (30 * n * n * t * t) + (60 * t) + (400 * t * t);
        var made = new SevenPointLosses([.. SevenPointLosses.Points.Select(p => Law(p.SpeedPu, p.TorquePu))]);
        Assert.Equal(Law(0.7, 0.8), made.At(0.7, 0.8), 8);
        Assert.Equal(Law(1, 1), made.At(1, -1), 8);
        Assert.Throws<UnfitDataException>(() => new SevenPointLosses([1, 2]));
    }

    private static OwnMotor Own() => new(
        "own-1", "Mill spare 7", MotorTechnology.CageInduction, "IE3", 55, 400, Given.Unknown, 50, 1482, 96.7, 94.6, 0.87, 4,
        Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
        Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
        Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown);

    private static PlantSpecification With(PlantSpecification plant, Func<DrivePoint, DrivePoint> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == "dp-02" ? change(p) : p)] })],
    };
}
