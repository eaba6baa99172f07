using System.Numerics;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Every kind of converter through the whole assessment of the demo plant.</summary>
[Trait("speed", "slow")]
public sealed class FrontEndAssessmentTests
{
    private static readonly EngineeringData Data = DemoChanges.Data;

    public static TheoryData<string> Families =>
        [.. Data.Converters.Values.Select(c => c.Family).Distinct().Where(f => f is not ("inverter-module" or "single-phase" or "servo"))];

    [Theory]
    [MemberData(nameof(Families))]
    public void Every_kind_is_assessed_to_the_end_and_its_losses_add_up(string family)
    {
        var (plant, drive) = With(family);
        Assert.Empty(SpecificationValidation.Problems(plant, Data));
        var result = DemoChanges.Assessor.Run(plant);
        var summary = result.DrivePoints.Single(d => d.DrivePointId == drive);
        var rated = Assert.NotNull(summary.Rated);
        Assert.Equal(rated.Shaft.PowerW + rated.Motor.LossW + rated.CableLossW + rated.FilterLossW + rated.ConverterLossW + rated.FrontLossW
            + rated.FeederLossW, rated.LineW, 6);
        var found = result.Scenarios[0].Drives.Single(d => d.DrivePointId == drive);
        var draw = Assert.IsAssignableFrom<RectifierResult.LineDraw>(found.Front);

        // Power of the fundamental at the terminals against the loss chain: within what skipped feeder drop and block current leave.
        var watt = draw.Phases.Sum(p => found.EmfV / Math.Sqrt(3) * p.FundamentalA * p.DisplacementPowerFactor);
        Assert.Equal(rated.LineW, watt, rated.LineW * 0.02);
    }

    [Theory]
    [InlineData("dp-01")]
    [InlineData("dp-14")]
    public void A_longer_motor_cable_adds_its_heat_to_what_the_link_gives(string id)
    {
        var assessor = DemoChanges.Assessor;
        OperatingPoint At(double lengthM)
        {
            var plant = DemoChanges.Changed(DemoChanges.Demo, id, p => p with { Cable = p.Cable with { LengthM = lengthM } });
            return assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == id)).Complete!.At(1);
        }

        var (near, far) = (At(0), At(100));
        Assert.Equal((0, near.Motor.InputW + near.FilterLossW + near.ConverterLossW), (near.CableLossW, near.LinkW));
        Assert.True(far.CableLossW > 0);
        Assert.Equal(far.CableLossW, far.LinkW - far.Motor.InputW - far.FilterLossW - far.ConverterLossW, 6);
    }

    [Fact]
    public void Distortion_falls_from_six_to_eighteen_pulses_and_to_an_active_front_end()
    {
        double[] thdi = [.. new[] { "six-pulse-plain", "six-pulse-choke", "twelve-pulse", "eighteen-pulse", "active" }.Select(f =>
        {
            var (plant, drive) = With(f);
            return DemoChanges.Assessor.Run(plant with { Source = plant.Source with { UnbalancePct = 0, BackgroundV5Pct = 0,
                BackgroundV7Pct = 0 } }).DrivePoints.Single(d => d.DrivePointId == drive).ThdiPct!.Value;
        })];
        Assert.True(thdi[0] > thdi[1] && thdi[1] > thdi[2] && thdi[2] > thdi[3], string.Join(", ", thdi));

        // The neighbours' distortion on the bus brings a little of the fifth and seventh back to eighteen pulses.
        Assert.True(thdi[2] < 12 && thdi[3] < 7 && thdi[4] < 6, string.Join(", ", thdi));
    }

    [Fact]
    public void A_multi_pulse_unit_loses_most_in_comparison_at_light_load()
    {
        double Loss(string family, double part)
        {
            var item = Data.Converters[$"{family}-110"];
            return item.FrontLossW(part * 110e3) / (part * 110e3);
        }

        Assert.True(Loss("eighteen-pulse", 0.25) > 1.2 * Loss("eighteen-pulse", 1));
        Assert.True(Loss("six-pulse-choke", 0.25) < Loss("six-pulse-choke", 1));
    }

    [Fact]
    public void A_front_end_that_returns_power_gives_a_hoist_back_what_motor_and_converter_leave()
    {
        DriveOnConverter On(string item, Braking braking) =>
            Model(DemoChanges.Changed("dp-05",
                p => p with { Converter = new ConverterChoice.FromCatalogue(item, OverloadDuty.Heavy, 4, string.Empty, braking) }),
                    "dp-05");
        var resistor = On("six-pulse-choke-45", new Braking.Resistor(30, 2.5));
        var active = On("active-45", new Braking.ToLine());
        var burnt = Chosen(resistor);
        var returned = Chosen(active);
        Assert.True(burnt.Returned.BurntKwh > 1000 && burnt.Returned.ToLineKwh == 0);
        Assert.Equal(0, returned.Returned.BurntKwh);

        // What returns is the mechanical energy less what motor, cable, converter, front end and feeder keep.
        var cycle = active.Load.Cycle!;
        double mechanical = 0, line = 0;
        foreach (var s in cycle.Slices(active.Motor.Plate.InertiaKgM2))
        {
            var shaft = s.Shaft(1);
            if (shaft.PowerW < 0)
            {
                var point = active.PointOf(shaft);
                mechanical -= shaft.PowerW * s.DurationS;
                line += (-shaft.PowerW - point.Motor.LossW - point.CableLossW - point.ConverterLossW - point.FrontLossW - point.FeederLossW)
                    * s.DurationS;
            }
        }

        var hours = active.Load.Duty.Sum(d => d.HoursPerYear * d.LevelPu);
        Assert.Equal(line / cycle.DurationS * hours / 1e3, returned.Returned.ToLineKwh, returned.Returned.ToLineKwh * 0.02);
        Assert.InRange(line / mechanical, 0.6, 0.95);
        Assert.True(returned.Year.EnergyKwh < burnt.Year.EnergyKwh);
    }

    [Fact]
    public void Braking_back_to_the_line_is_held_against_the_converter_and_diodes_refuse_it()
    {
        Check Braking(string item, Braking braking, OverloadDuty duty = OverloadDuty.Heavy) =>
            DemoChanges.Assessor.Run(DemoChanges.Changed("dp-05", p => p with
        {
            Converter = new ConverterChoice.FromCatalogue(item, duty, 4, string.Empty, braking),
            Load = ((HoistLoad)p.Load) with { MassKg = 2600, ReturnMassKg = 900 },
        })).Checks.Single(c => c.Id == "converter.braking" && c.DrivePointId == "dp-05");
        Assert.Equal(Verdict.Holds, Braking("active-45", new Braking.ToLine()).Verdict);
        Assert.Equal(Verdict.Fails, Braking("active-7.5", new Braking.ToLine(), OverloadDuty.Light).Verdict);
        Assert.Equal(Verdict.Fails, Braking("six-pulse-choke-45", new Braking.ToLine()).Verdict);
        Assert.Contains("no chopper", Braking("single-phase-4", new Braking.Resistor(30, 2)).Reason.WithNumbers
            + Braking("single-phase-4", new Braking.Nothing()).Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_winder_that_brakes_on_an_active_front_end_turns_the_current_round()
    {
        var plant = DemoChanges.Changed(DemoChanges.SingleWinders, "dp-14",
            p => p with { Converter = new ConverterChoice.FromCatalogue("active-18.5", OverloadDuty.Heavy, 4, string.Empty,
                new Braking.ToLine()) });
        var drive = DemoChanges.Assessor.Run(plant).Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-14");
        Assert.True(drive.Point.LineW < 0);
        Assert.True(((RectifierResult.LineDraw)drive.Front).PhaseA.Orders[0].Real < 0);
    }

    [Fact]
    public void A_single_phase_input_or_a_servo_drive_never_leads_unless_one_is_chosen()
    {
        List<string> Families(string id)
        {
            var input = Model(DemoChanges.Demo, id).Input;
            return [.. CandidateRanking.Converters(input, Data).Where(c => c.Fits).Select(c => Data.Converters[c.ItemId].Family)];
        }

        var glazing = Families("dp-11");
        var first = glazing.FindIndex(f => f is "single-phase" or "servo");
        Assert.True(first > 0 && glazing.Skip(first).All(f => f is "single-phase" or "servo"));
        Assert.Contains("single-phase", Families("dp-17"));
        Assert.Equal("inverter-module", Families("dp-15").Distinct().Single());

        // Thyristors feed DC motors only.
        Assert.DoesNotContain("thyristor-4q", Families("dp-01"));
    }

    [Fact]
    public void Two_phases_halve_the_rating_and_load_the_phases_unevenly()
    {
        PlantSpecification Fed(SupplyFeed feed) => DemoChanges.Changed("dp-12", p => p with
        {
            Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = "six-pulse-plain-2.2", Feed = feed },
        });
        var three = DemoChanges.Assessor.Run(Fed(SupplyFeed.ThreePhase));
        var two = DemoChanges.Assessor.Run(Fed(SupplyFeed.TwoPhases));
        double Site(PlantAssessment a) => a.DrivePoints.Single(d => d.DrivePointId == "dp-12").SiteCurrentA!.Value;
        Assert.Equal(Site(three) / 2, Site(two), 9);
        var draw = (RectifierResult.LineDraw)two.Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-12").Front;
        Assert.Single(draw.Phases);
        Assert.True(draw.PhaseA.Orders[2].Magnitude > 0.3 * draw.PhaseA.FundamentalA, "a two-conductor bridge has a third harmonic");
        Assert.Equal(3, two.Scenarios[0].PccPhases.Count);
    }

    [Fact]
    public void A_DC_motor_runs_on_thyristors_and_on_nothing_else()
    {
        PlantSpecification On(string item) => DemoChanges.Changed("dp-11", p => p with
        {
            Motor = new MotorChoice.FromCatalogue("dc-5.5", MotorCooling.SeparateFan, ThermalClass.F, MotorConnection.Fitting, false,
                string.Empty),
            Converter = new ConverterChoice.FromCatalogue(item, OverloadDuty.Light, 4, string.Empty, new Braking.Nothing()),
        });
        var thyristor = DemoChanges.Assessor.Run(On("thyristor-4q-7.5"));
        var drive = thyristor.Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-11");
        var draw = Assert.IsType<RectifierResult.Stated>(drive.Front);
        Assert.InRange(draw.PhaseA.DisplacementPowerFactor, 0.1, 0.95);
        Assert.InRange(100 * draw.PhaseA.Orders[4].Magnitude / draw.PhaseA.FundamentalA, 12, 21);
        Assert.Equal(Verdict.NeedsData,
            DemoChanges.Assessor.Run(On("six-pulse-choke-7.5")).Checks.Single(c => c.Id == "converter.output-voltage"
                && c.DrivePointId == "dp-11").Verdict);
        Assert.Equal(Verdict.Fails, DemoChanges.Assessor.Run(On("six-pulse-choke-7.5")).Checks.Single(c => c.Id == "motor.technology-rule"
            && c.DrivePointId == "dp-11").Verdict);
    }

    [Fact]
    public void An_inverter_module_asks_for_its_bus()
    {
        var plant = DemoChanges.Changed("dp-11",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = "inverter-module-5.5" } });
        var check = DemoChanges.Assessor.Run(plant).Checks.Single(c => c.Id == "converter.output-voltage" && c.DrivePointId == "dp-11");
        Assert.Equal(Verdict.NeedsData, check.Verdict);
        Assert.Contains("common DC bus", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void Lost_volts_are_front_end_filter_and_cable_by_hand()
    {
        var model = Model(DemoChanges.Changed("dp-06", p => p with
        {
            StepUp = null, Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = OutputFilter.DvDt },
        }), "dp-06");
        var voltage = model.Voltage;
        var plate = model.Connected.Plate;
        var cable = model.CableOhm;
        var sine = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
        Assert.Equal(4, voltage.FilterV, 9);
        Assert.Equal(400 * ((FrontEnd.Diode)model.Converter.Item.FrontEnd).ChokeLossPu, voltage.FrontV, 9);
        Assert.Equal(Math.Sqrt(3) * plate.RatedCurrentA * ((cable.Real * plate.PowerFactor) + (cable.Imaginary * sine)), voltage.CableV, 9);
        Assert.Equal(plate.RatedSpeedRpm * voltage.AtMotorV / 400, model.Motor.BaseSpeedRpm, 6);

        // The same by the drop of phasors over a length of 480 m, within the neglected square term.
        var phase = new Complex(plate.PowerFactor, -sine) * plate.RatedCurrentA;
        var source = (400 / Math.Sqrt(3)) + (phase * cable);
        Assert.Equal((source.Magnitude * Math.Sqrt(3)) - 400, voltage.CableV, 0.3);
    }

    [Fact]
    public void A_sine_filter_spares_the_motor_the_converters_addition_and_asks_for_its_frequency()
    {
        PlantSpecification With(OutputFilter filter, double khz) =>
            DemoChanges.Changed("dp-06", p =>
                p with
                {
                    StepUp = null, Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = filter, SwitchingKhz = khz },
                });
        Assert.Equal(0, Model(With(OutputFilter.Sine, 4), "dp-06").At(1).Motor.HarmonicW);
        Assert.True(Model(With(OutputFilter.None, 4), "dp-06").At(1).Motor.HarmonicW > 0);
        Check Voltage(OutputFilter filter, double khz) =>
            DemoChanges.Assessor.Run(With(filter, khz)).Checks.Single(c => c.Id == "converter.output-voltage" && c.DrivePointId == "dp-06");
        Assert.Contains("filter", Voltage(OutputFilter.Sine, 2).Title, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fails, Voltage(OutputFilter.DvDt, 8).Verdict);
        Assert.Equal("%", Voltage(OutputFilter.Sine, 4).Unit);

        // A slower edge no longer doubles on a cable shorter than its own length.
        Check Peak(OutputFilter filter) =>
            DemoChanges.Assessor.Run(With(filter, 4)).Checks.Single(c => c.Id == "motor.insulation" && c.DrivePointId == "dp-06");
        Assert.Equal(Digits.Kept(Math.Sqrt(2) * 1.1 * 400), Peak(OutputFilter.Sine).Figure.Value, 6);
    }

    [Fact]
    public void A_converter_of_another_voltage_is_refused()
    {
        var plant = DemoChanges.Changed("dp-11",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = "single-phase-4" } });
        var at230 = DemoChanges.Assessor.Run(plant).Checks.Single(c => c.Id == "converter.output-voltage" && c.DrivePointId == "dp-11");
        Assert.NotEqual(Verdict.NeedsData, at230.Verdict);
        Assert.Equal(400 / Math.Sqrt(3), Model(plant, "dp-11").Voltage.SupplyV, 6);
    }

    [Fact]
    public void The_class_of_a_drive_is_its_losses_over_the_references()
    {
        var check = DemoChanges.Assessor.Run(DemoChanges.Demo).Checks.Single(c => c.Id == "energy.system-class"
            && c.DrivePointId == "dp-11");
        Assert.Equal(Verdict.Holds, check.Verdict);

        // 4 kW: reference module 374 W of the standard's table, reference motor IE2 with the addition for converters.
        var ie2 = Data.Motors["cage-4p-ie2-4"].Plate;
        var reference = new MotorLossModel(ie2).At(ie2.RatedSpeedRpm, ie2.RatedTorqueNm, MotorFeed.Converter).LossW + 374;
        var own = Model(DemoChanges.Demo, "dp-11");
        var motor = new MotorLossModel(own.MotorItem.Plate)
            .At(own.MotorItem.Plate.RatedSpeedRpm, own.MotorItem.Plate.RatedTorqueNm, MotorFeed.Converter);
        var module = own.Converter.LossW(1, motor.CurrentA) + own.Converter.Item.FrontLossW(motor.InputW);
        Assert.Equal(Digits.Kept(100 * (motor.LossW + module) / reference), check.Figure.Value, 6);
        var strict = DemoChanges.Assessor.Run(DemoChanges.Demo with { Overrides = [new DefaultOverride("least-ies", 2, "tender")] });
        Assert.Equal(80, strict.Checks.Single(c => c.Id == "energy.system-class" && c.DrivePointId == "dp-11").Limit.Value);
    }

    private static (PlantSpecification Plant, string Drive) With(string family)
    {
        // The spray-dryer fan carries every family that has its size; DC needs a DC motor.
        var item = MadeFor.Converters(Data, 400).Where(c => c.Family == family && c.RatedKw >= 160).MinBy(c => c.RatedKw)!;
        var plant = DemoChanges.Changed("dp-01", p => p with
        {
            Motor = item.FrontEnd is FrontEnd.Thyristor ? ((MotorChoice.FromCatalogue)p.Motor) with { ItemId = "dc-160" } : p.Motor,
            Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = item.Id },
        });
        return (plant, "dp-01");
    }

    private static EnergyAlternative Chosen(DriveOnConverter model) => EnergyAlternatives.Of(model).Single(a => a.IsChosen);

    private static DriveOnConverter Model(PlantSpecification plant, string id) =>
        (DriveOnConverter)DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == id)).Model;
}
