using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.LongCable;

public sealed class LongCableTests
{
    private const string Well = "dp-06";
    private static readonly LongCableStudy Demo = Of(DemoChanges.Demo);

    // Source, transformer and cable as impedances on the high side, the motor as one: the motor's voltage by plain complex arithmetic.
    [Fact]
    public void With_the_tap_that_is_needed_the_motor_gets_its_voltage()
    {
        var step = Demo.StepUp;
        var transformer = step.Entered.Transformer;
        var needed = Demo.TapNeededV();
        var root3 = Math.Sqrt(3);
        var motor = Polar(step.Plate.RatedVoltageV / root3 / Demo.RatedA, Math.Acos(step.Plate.PowerFactor));
        var z = Math.Pow(transformer.TapV.Value, 2) / (1e3 * transformer.RatedKva.Value);
        var r = transformer.LoadLossKw.Value / transformer.RatedKva.Value;
        var x = Math.Sqrt(Math.Pow(transformer.UkPct.Value / 100, 2) - (r * r));
        var leakage = new System.Numerics.Complex(r * z, x * z);
        var openV = Demo.GreatestLowSideV() * needed / transformer.PrimaryV.Value;
        var atMotor = openV * (motor / (motor + step.CableOhm + leakage)).Magnitude;

        // The drop of the transformer is taken along the voltage, so that a little is left: within 1 %, and not less.
        Assert.InRange(atMotor / step.Plate.RatedVoltageV, 0.999, 1.01);
    }

    [Fact]
    public void A_ratio_of_one_without_losses_is_no_transformer()
    {
        var plain = DemoChanges.Changed(Well, p => p with { StepUp = null, Cable = p.Cable with { LengthM = 1 } });
        var unity = DemoChanges.Changed(Well, p => p with
        {
            Cable = p.Cable with { LengthM = 1 },
            StepUp = p.StepUp! with
            {
                Transformer = p.StepUp.Transformer with
                {
                    PrimaryV = 400, TapV = 400, TapsV = [400], UkPct = 0.5, LoadLossKw = 0, NoLoadLossKw = 0, MagnetisingPct = 0,
                    RatedKva = 10_000,
                },
                Filter = p.StepUp.Filter with { CurrentPct = 0 },
            },
        });
        var (a, b) = ((DriveOnConverter)Study(plain).Model, (DriveOnConverter)Study(unity).Model);
        Assert.Equal(1, b.StepUp!.CurrentPu, 9);
        Assert.Equal(a.At(1).LineW, b.At(1).LineW, 0.002 * a.At(1).LineW);
        Assert.Equal(a.Converter.SiteCurrentA, b.Converter.SiteCurrentA, 9);
        Assert.Equal(1, b.Voltage.AtMotorV / a.Voltage.AtMotorV, 3);
    }

    [Fact]
    public void The_converter_carries_so_many_times_the_motors_current_and_its_power_is_the_motors_with_all_losses()
    {
        var drive = (DriveOnConverter)Demo.Model;
        Assert.Equal(drive.WholeItem.LightCurrentA, drive.Converter.RatedCurrentA * drive.StepUp!.CurrentPu, 9);
        Assert.True(drive.StepUp.CurrentPu >= drive.StepUp.Ratio);
        var point = drive.At(1);
        Assert.Equal(point.LinkW, point.Motor.InputW + point.CableLossW + point.FilterLossW + point.ConverterLossW, 6);
        Assert.True(point.FilterLossW > drive.StepUp.LossW * Math.Pow(point.Motor.CurrentA / drive.StepUp.Plate.RatedCurrentA, 2));

        // The line sees the converter as it is, not as the motor's side does.
        var front = DemoChanges.Assessor.Run(DemoChanges.Demo).Scenarios[0].Drives.Single(d => d.DrivePointId == Well);
        Assert.Equal(drive.WholeItem.RatedVoltageV, front.Item!.RatedVoltageV);
    }

    [Theory]
    [InlineData(6, 120, Verdict.Fails)]
    [InlineData(12, 120, Verdict.Holds)]
    [InlineData(6, 60, Verdict.Holds)]
    public void A_start_too_low_saturates_the_transformer(double hz, double currentPct, Verdict verdict) => Assert.Equal(
        verdict, VerdictOf("long-cable.flux", s => s with { Start = s.Start with { StartHz = hz, StartCurrentPct = currentPct } }));

    [Fact]
    public void A_transformer_designed_for_less_frequency_carries_more()
    {
        Assert.Equal(Verdict.Holds, VerdictOf("long-cable.flux", s => s with { Transformer = s.Transformer with { DesignHz = 40 } }));
        var from = Demo.LeastHz(Demo.StartA!.Value, 1.1)!.Value;
        Assert.Equal(1.1, Demo.FluxPu(from, Demo.StartA.Value), 9);
    }

    [Theory]
    [InlineData(445, Verdict.Fails)]
    [InlineData(470, Verdict.Holds)]
    [InlineData(565, Verdict.Tight)]
    [InlineData(471, Verdict.Fails)]
    public void A_tap_is_one_of_the_list_and_reaches(double tapV, Verdict verdict) => Assert.Equal(
        verdict, VerdictOf("long-cable.tap", s => s with { Transformer = s.Transformer with { TapV = tapV } }));

    [Theory]
    [InlineData(0.615, 0.615, 0.615, Verdict.Holds)]
    [InlineData(0.612, 0.634, 0.618, Verdict.Tight)]
    [InlineData(0.6, 0.64, 0.62, Verdict.Tight)]
    [InlineData(0.55, 0.64, 0.62, Verdict.Fails)]
    [InlineData(0.3, 0.3, 0.3, Verdict.Fails)]
    public void Readings_that_differ_or_leave_nothing_for_the_motor_are_said(double uv, double vw, double wu, Verdict verdict) =>
        Assert.Equal(
        verdict, VerdictOf("long-cable.spread", s => s with { Readings = new SurfaceReadings { UvOhm = uv, VwOhm = vw, WuOhm = wu } }));

    [Theory]
    [InlineData(MotorIdentification.DirectAtRest, Verdict.Fails)]
    [InlineData(MotorIdentification.AtSpeed, Verdict.Holds)]
    [InlineData(MotorIdentification.NotStated, Verdict.NeedsData)]
    public void Direct_current_does_not_pass(MotorIdentification way, Verdict verdict) => Assert.Equal(
        verdict, VerdictOf("long-cable.identification", s => s with { Start = s.Start with { Identification = way } }));

    [Theory]
    [InlineData(BackSpinGuard.WaitingTime, 30, Verdict.Holds)]
    [InlineData(BackSpinGuard.WaitingTime, 10, Verdict.Fails)]
    [InlineData(BackSpinGuard.SpeedProven, 0, Verdict.Holds)]
    [InlineData(BackSpinGuard.NotStated, 30, Verdict.NeedsData)]
    public void A_pump_that_turns_back_is_waited_for(BackSpinGuard guard, double minutes, Verdict verdict) => Assert.Equal(
        verdict, VerdictOf("long-cable.back-spin", s => s with { Start = s.Start with { BackSpin = guard, BackSpinMin = minutes } }));

    [Fact]
    public void Filter_size_and_cable_are_judged()
    {
        Assert.Equal(Verdict.Fails, VerdictOf("long-cable.filter", s => s with { Filter = s.Filter with { CapacitanceUf = 200 } }));
        Assert.Equal(Verdict.Tight, VerdictOf("long-cable.filter", s => s with { Filter = s.Filter with { PermitsTransformer = false } }));
        Assert.Equal(Verdict.Fails, VerdictOf("long-cable.transformer-kva",
            s => s with { Transformer = s.Transformer with { RatedKva = 40 } }));
        Assert.Equal(Verdict.Tight,
            VerdictOf("long-cable.transformer-kva", s => s with { Transformer = s.Transformer with { ForConverters = false } }));
        Assert.Equal(Verdict.Fails, VerdictOf("long-cable.surface-voltage", s => s with { Well = s.Well with { RatedV = 460 } }));
        Assert.Equal(Verdict.Fails, VerdictOf("long-cable.start", s => s with { Start = s.Start with { RampS = 0.5 } }));
        var slow = DemoChanges.Changed(Well,
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { SwitchingKhz = 2 } });
        Assert.Equal(Verdict.Fails, Study(slow).Checks.Single(c => c.Id == "long-cable.filter").Verdict);
        var bare = DemoChanges.Changed(Well,
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = OutputFilter.None } });
        Assert.Equal(Verdict.Fails, Study(bare).Checks.Single(c => c.Id == "long-cable.filter").Verdict);
    }

    [Fact]
    public void What_is_missing_is_named_and_the_converter_is_not_judged_without_it()
    {
        var open = Study(DemoChanges.Changed(Well, p => p with { StepUp = StepUpSupply.Open }));
        Assert.False(open.IsComplete);
        Assert.Contains("its tap in use", open.Model.Missing());
        Assert.All(open.Checks.Where(c => c.Id.StartsWith("long-cable.", StringComparison.Ordinal) || c.Id == "converter.continuous"),
            c => Assert.Equal(Verdict.NeedsData, c.Verdict));
    }

    [Fact]
    public void At_the_lowest_voltage_of_the_bus_a_tap_has_to_reach_too()
    {
        var low = DemoChanges.Demo with { Source = DemoChanges.Demo.Source with { LowestPct = 90 } };
        var check = DemoChanges.Assessor.Run(low).Checks.Single(c => c.Id == "long-cable.output-voltage");
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.NotEmpty(check.Scenario);
        Assert.Equal(Verdict.Fails, DemoChanges.Assessor.Run(low).Checks.Single(c => c.Id == "long-cable.tap").Verdict);

        // The command takes the next tap for it.
        var sized = Assert.IsType<CommandOutcome.Done>(new SizeStepUp(Well).On(low, DemoChanges.Assessor)).After;
        Assert.True(sized.AllDrivePoints().Single(p => p.Id == Well).StepUp!.Transformer.TapV.Value > 470);
        Assert.NotEqual(Verdict.Fails, DemoChanges.Assessor.Run(sized).Checks.Single(c => c.Id == "long-cable.tap").Verdict);
    }

    [Fact]
    public void A_transformer_is_proposed_from_nothing_and_refused_without_a_motor()
    {
        var open = DemoChanges.Changed(Well, p => p with
        {
            StepUp = StepUpSupply.Open with { Well = p.StepUp!.Well, Filter = p.StepUp.Filter },
        });
        var done = Assert.IsType<CommandOutcome.Done>(new SizeStepUp(Well).On(open, DemoChanges.Assessor)).After;
        var transformer = done.AllDrivePoints().Single(p => p.Id == Well).StepUp!.Transformer;
        Assert.Equal((50, 8), (transformer.RatedKva.Value, transformer.TapsV.Count));
        Assert.Contains(transformer.TapV.Value, transformer.TapsV);
        Assert.IsType<CommandOutcome.Refused>(new SizeStepUp("dp-01").On(open, DemoChanges.Assessor));
        Assert.IsType<CommandOutcome.Refused>(new UseStepUp("dp-22").On(open, DemoChanges.Assessor));
        var without = Assert.IsType<CommandOutcome.Done>(new UseStepUp(Well, true).On(open, DemoChanges.Assessor)).After;
        Assert.Null(without.AllDrivePoints().Single(p => p.Id == Well).StepUp);
    }

    [Fact]
    public void A_converter_of_another_voltage_fails()
    {
        var id = DemoChanges.Data.Converters.Values.First(c => c.IsUsual && c.RatedVoltageV > 600 && c.RatedKw >= 37).Id;
        var other = DemoChanges.Changed(Well,
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = id } });
        Assert.Equal(Verdict.Fails, Study(other).Checks.Single(c => c.Id == "long-cable.output-voltage").Verdict);
    }

    [Fact]
    public void Runs_with_direct_current_are_never_possible()
    {
        Assert.All(IdentificationRuns.Of(Demo.Model),
            r => Assert.Equal(!r.Name.StartsWith("Direct", StringComparison.Ordinal), r.Possible));
        Assert.Equal("Resistances at the surface", IdentificationRuns.Of(Demo.Model)[0].Name);
    }

    [Fact]
    public void Data_that_are_not_entered_say_how_they_are_got()
    {
        var all = NeededData.Of(Demo.Model);
        Assert.All(all, d => Assert.NotEmpty(d.How));
        Assert.Equal(["resistance of the cable by its maker", "frequency down to which the transformer is designed"],
            all.Where(d => !d.Known).Select(d => d.Name));
        var open = Study(DemoChanges.Changed(Well, p => p with { StepUp = StepUpSupply.Open })).Model;
        Assert.True(NeededData.Of(open).Count(d => !d.Known) > 5);
    }

    [Fact]
    public void Over_frequency_the_chain_ends_where_it_is_rated()
    {
        var full = Demo.At(Demo.RatedHz);
        Assert.True(full.SurfaceV <= Demo.SurfaceV);
        Assert.True(Demo.At(10).FluxPu < Demo.At(10).StartFluxPu);
        Assert.Equal(["bus", "converter", "low side", "high side, no load", "surface", "motor"], Demo.Along().Select(a => a.Where));
        Assert.True(full.AvailableNm > full.LoadNm);
    }

    private static System.Numerics.Complex Polar(double ohm, double angle) => System.Numerics.Complex.FromPolarCoordinates(ohm, angle);

    private static LongCableStudy Of(PlantSpecification plant) => LongCableStudy.Of(Study(plant).Model)!;

    private static Core.Studies.DrivePoints.DrivePointStudy Study(PlantSpecification plant) =>
        DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == Well));

    private static Verdict VerdictOf(string check, Func<StepUpSupply, StepUpSupply> change) =>
        Study(DemoChanges.Changed(Well, p => p with { StepUp = change(p.StepUp!) })).Checks.Single(c => c.Id == check).Verdict;
}
