using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;
using Check = Cuadrilla.Core.Checks.Check;

namespace Cuadrilla.Core.Tests.Motors;

/// <summary>What motors stand by their makers, what the law asks of them, and the columns of the efficiency table.</summary>
public sealed class MotorLimitTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly Assessor Shared = Tests.Assessment.DemoChanges.Assessor;

    [Theory]
    [InlineData(8, "ie2", 0.75, 66.2)]
    [InlineData(6, "ie4", 200, 96.3)]
    [InlineData(8, "ie4", 160, 95.1)]
    [InlineData(2, "ie2", 0.75, 77.4)]
    [InlineData(2, "ie4", 355, 96.5)]
    [InlineData(8, "ie3", 11, 88.6)]
    [InlineData(6, "ie2", 45, 92.7)]
    [InlineData(4, "ie3", 11, 91.4)]
    public void Efficiencies_are_those_of_the_table(int poles, string efficiencyClass, double kw, double pct) =>
        Assert.Equal(pct, 100 * Motor($"cage-{poles}p-{efficiencyClass}-"
            + $"{kw.ToString(System.Globalization.CultureInfo.InvariantCulture)}").Plate.Efficiency, 1e-6);

    [Theory]
    [InlineData("cage-2p-ie3-1.1", "80 M")]
    [InlineData("cage-2p-ie3-18.5", "160 L")]
    [InlineData("cage-2p-ie3-37", "200 L")]
    [InlineData("cage-6p-ie3-2.2", "112 M")]
    [InlineData("cage-6p-ie3-3", "132 S")]
    [InlineData("cage-6p-ie3-160", "315 L")]
    [InlineData("cage-8p-ie3-1.5", "112 M")]
    [InlineData("cage-8p-ie3-4", "160 M")]
    [InlineData("cage-8p-ie3-55", "315 S")]
    public void Frames_follow_the_pole_number(string id, string frame) => Assert.Equal(frame, Motor(id).Frame);

    [Fact]
    public void Efficiency_rises_with_power_and_class_in_every_column()
    {
        foreach (var group in Data.Motors.Values.Where(m => m.Technology == MotorTechnology.CageInduction && m.OwnName.Length == 0)
            .GroupBy(m => (m.Series, m.Poles, m.EfficiencyClass)))
        {
            var rising = group.OrderBy(m => m.Plate.RatedPowerW).Select(m => m.Plate.Efficiency).ToList();
            Assert.Equal(rising.Order(), rising);
        }

        Assert.True(Motor("cage-8p-ie3-200").Plate.PowerFactor >= 0.8);
        Assert.True(Motor("cage-4p-ie3-55").Plate.MaxSpeedRpm <= 2300);
    }

    [Theory]
    [InlineData("cage-2p-ie2-55", "IE2")]
    [InlineData("cage-4p-ie3-90", "IE4")]
    public void A_motor_below_the_least_class_is_not_permitted(string id, string why)
    {
        var against = new LawfulMotor(3, 4).Against(Motor(id));
        Assert.Contains(why, against, StringComparison.Ordinal);
        Assert.Empty(new LawfulMotor(0, 0).Against(Motor(id)));
    }

    [Fact]
    public void What_the_law_forbids_is_never_best()
    {
        var study = Shared.Study(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-02"));
        var motors = CandidateRanking.Motors(study.Model.Input, Data);
        Assert.All(motors.Where(c => c.Fits && !c.IsChosen), c => Assert.DoesNotContain("-ie2-", c.ItemId, StringComparison.Ordinal));
        Assert.Contains(motors, c => c.Reason.StartsWith("Not permitted", StringComparison.Ordinal));
        Assert.All(study.Alternatives.Where(a => !a.HasChosenMotor),
            a => Assert.DoesNotContain("IE2 cage", a.Motor, StringComparison.Ordinal));
    }

    [Fact]
    public void The_duty_counts_before_a_converter_is_chosen()
    {
        var open = Changed("dp-02", p => p with { Converter = new ConverterChoice.NotChosen() });
        var model = Shared.Study(open, open.AllDrivePoints().Single(p => p.Id == "dp-02")).Model;
        var fitting = CandidateRanking.Motors(model.Input, Data).TakeWhile(c => c.Fits).ToList();

        // What no converter of the catalogue carries, and direct current, whose converter is of another kind, have no cost and never lead.
        Assert.All(fitting.Where(c => Data.Motors[c.ItemId].Technology != MotorTechnology.DcSeparatelyExcited && c.RatedKw < 1000),
            c => Assert.NotNull(c.LifetimeCost));
        var priced = fitting.TakeWhile(c => c.LifetimeCost is not null).ToList();
        Assert.True(priced.Count > 20);
        Assert.Equal(priced.OrderBy(c => c.LifetimeCost), priced);
        Assert.DoesNotContain(priced, c =>
            Data.Motors[c.ItemId].Technology is MotorTechnology.DcSeparatelyExcited or MotorTechnology.Servo);

        // By lifetime, not by price: the cheapest to buy is not the first.
        Assert.NotEqual(fitting.MinBy(c => c.PriceIndex)!.ItemId, fitting[0].ItemId);
    }

    [Fact]
    public void A_winding_whose_withstand_is_not_stated_needs_it_where_the_verdict_rests_on_it()
    {
        Check Of(Given withstand, double cableM) => Run(Own() with { WithstandV = withstand }, "motor.insulation", cableM);
        Assert.Equal(Verdict.NeedsData, Of(Given.Unknown, 80).Verdict);
        Assert.Contains("at least", Of(Given.Unknown, 80).Relief, StringComparison.Ordinal);
        Assert.NotEqual(Verdict.NeedsData, Of(Given.Unknown, 0.5).Verdict);
        Assert.Equal(Verdict.Holds, Of(1600, 80).Verdict);
        Assert.Equal(Verdict.Fails, Of(1000, 80).Verdict);
    }

    [Fact]
    public void A_motor_with_explosion_protection_needs_certificate_and_thermistors_on_a_converter()
    {
        Check Of(bool certified, bool thermistors) => Run(
            Own() with { Explosion = ExplosionProtection.Flameproof, CertifiedForConverter = certified }, "motor.explosion-protection", 20,
            thermistors);
        Assert.Equal(Verdict.NeedsData, Of(false, true).Verdict);
        Assert.Equal(Verdict.NeedsData, Of(true, false).Verdict);
        Assert.Equal(Verdict.Holds, Of(true, true).Verdict);
        Assert.Equal(Verdict.NotApplicable, Run(Own(), "motor.explosion-protection", 20).Verdict);
    }

    [Fact]
    public void A_loss_grows_in_a_straight_line_with_the_switching_frequency()
    {
        var item = Data.Converters["six-pulse-choke-22"];
        double Loss(double khz) => new ConverterAtSite(item, OverloadDuty.Light, khz, Demo.Site)
            .LossW(0.9, item.LightCurrentA) - item.StandbyW;
        Assert.Equal(item.Losses.F90I100W - item.StandbyW, Loss(4), 1e-6);
        Assert.Equal(1.25 * Loss(4), Loss(8), 1e-6);
        Assert.Equal(1.125 * Loss(4), Loss(6), 1e-6);
    }

    [Fact]
    public void A_lowered_flux_saves_at_light_load_and_changes_nothing_at_full()
    {
        var plate = Motor("cage-4p-ie3-160").Plate;
        MotorLossModel whole = new(plate), lowered = new(plate, 1, 0.5);
        var rated = plate.RatedTorqueNm;
        Assert.Equal(whole.At(1480, rated, MotorFeed.Converter).LossW, lowered.At(1480, rated, MotorFeed.Converter).LossW, 1e-6);

        // A fan at a quarter of its speed asks for a sixteenth of the torque.
        var n = plate.RatedSpeedRpm / 4;
        MotorPoint a = whole.At(n, rated / 16, MotorFeed.Converter), b = lowered.At(n, rated / 16, MotorFeed.Converter);
        Assert.True(b.Efficiency > a.Efficiency + 0.03, $"{a.Efficiency} {b.Efficiency}");
        Assert.True(b.CurrentA < 0.75 * a.CurrentA);
    }

    [Fact]
    public void Below_five_hertz_an_item_carries_less_for_long()
    {
        var slow = Changed("dp-03", p => p with { Load = new ConstantTorqueLoad(new DriveTrain(1, 1, 0.1, 5), [new(0.05, 2000)], 10, 1450,
            100, 0.05) });
        var model = (LoadedMotor)Shared.Study(slow, slow.AllDrivePoints().Single(p => p.Id == "dp-03")).Model;
        var (_, rpm, _, low) = CurrentDemand.Continuous(model);
        Assert.Equal(0.7, low);
        Assert.True(rpm < 150);
    }

    private static MotorItem Motor(string id) => Data.Motors[id];

    private static OwnMotor Own() => new(
        "own", "plate", MotorTechnology.CageInduction, "IE3", 55, 400, Given.Unknown, 50, 1480, 96.7, 94.6, 0.868, 4, 2.8, Given.Unknown, 7,
        2.4, Given.Unknown, Given.Unknown,
        0.6, 2600, 250, 900, 430, 90, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
        Given.Unknown);

    private static Check Run(OwnMotor motor, string id, double cableM, bool thermistors = false) => Shared.Run(Changed("dp-02", p => p with
    {
        Motor = new MotorChoice.FromCatalogue("own", MotorCooling.OwnFan, ThermalClass.F, MotorConnection.Fitting, true, string.Empty,
            thermistors),
        Cable = p.Cable with { LengthM = cableM },
    }) with
    { Motors = [.. Demo.Motors, motor] }).Checks.Single(c => c.Id == id && c.DrivePointId == "dp-02");

    /// <summary>Sizing passes states from one voltage limit on to another: those that rest on neither are the same there.</summary>
    [Fact]
    public void A_state_below_two_limits_is_the_same_at_both()
    {
        var (same, other) = (0, 0);
        foreach (var motor in ReferenceCatalogue.Data.Motors.Values.Where((_, i) => i % 5 == 0))
        {
            foreach (var (one, two) in new[] { (1.0, 0.95), (0.95, 1.0), (1.0, 0.575), (1.0, 1.73), (0.86, 0.9) })
            {
                var (first, second) = (new MotorLossModel(motor.Plate, one), new MotorLossModel(motor.Plate, two));
                Assert.True(second.IsLike(first));
                for (var speed = 0.05; speed < 1.2; speed += 0.11)
                {
                    for (var torque = -0.5; torque < 1.7; torque += 0.27)
                    {
                        var (rpm, newton) = (speed * motor.Plate.RatedSpeedRpm, torque * motor.Plate.RatedTorqueNm);
                        var known = first.StateAt(rpm, newton);
                        var here = second.StateAt(rpm, newton);
                        if (second.IsSameHere(known, first))
                        {
                            same++;
                            Assert.Equal(here.CurrentA, known.CurrentA, 1e-6 * here.CurrentA);
                            Assert.Equal(here.VoltageV, known.VoltageV, 1e-6 * here.VoltageV);
                        }
                        else if (Math.Abs(here.CurrentA - known.CurrentA) > 1e-3 * here.CurrentA)
                        {
                            other++;
                        }
                    }
                }
            }
        }

        Assert.True(same > 1000 && other > 1000, $"{same} {other}");
        var plate = ReferenceCatalogue.Data.Motors.Values.First().Plate;
        Assert.False(new MotorLossModel(plate, 1, 0.7).IsLike(new MotorLossModel(plate)));
    }
}
