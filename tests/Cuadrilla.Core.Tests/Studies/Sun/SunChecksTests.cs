using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Sun;

public sealed class SunChecksTests
{
    [Theory]
    [InlineData(15, Verdict.Holds)]
    [InlineData(16, Verdict.Fails)]
    public void A_string_is_judged_when_cold(int inSeries, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.string-voltage", s => s with { Strings = s.Strings with { InSeries = inSeries } }));

    [Fact]
    public void What_is_refused_as_a_choice_is_taken_as_an_entry()
    {
        var plant = DemoChanges.Demo;
        var id = SunStudyTests.Point(plant).Id;
        var refused = Assert.IsType<CommandOutcome.Refused>(new ChooseString(id, 16, 2).On(plant, DemoChanges.Assessor));
        Assert.Contains("at most 15", refused.Why.Message, StringComparison.Ordinal);
        var done = Assert.IsType<CommandOutcome.Done>(new ChooseString(id, 15, 3).On(plant, DemoChanges.Assessor)).After;
        var strings = SunStudyTests.Point(done).Sun!.Strings;
        Assert.Equal((15, 3, 20), (strings.InSeries.Value, strings.InParallel.Value, strings.FuseA.Value));
        Assert.IsType<CommandOutcome.Refused>(new ChooseString(id, 0, 3).On(plant, DemoChanges.Assessor));
        Assert.IsType<CommandOutcome.Refused>(new ChooseString("dp-01", 5, 3).On(plant, DemoChanges.Assessor));
    }

    [Theory]
    [InlineData(1, null, Verdict.Holds)]
    [InlineData(3, null, Verdict.Fails)]
    [InlineData(3, 20.0, Verdict.Holds)]
    [InlineData(3, 16.0, Verdict.Fails)]
    [InlineData(1, 32.0, Verdict.Fails)]
    public void Fuses_are_there_where_strings_need_them_and_fit(int strings, double? fuseA, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.string-fuse", s => s with
        {
            Strings = s.Strings with { InParallel = strings, FuseA = fuseA is { } a ? a : Given.Unknown },
        }));

    [Theory]
    [InlineData(1000, 63, true, true, Verdict.Holds)]
    [InlineData(700, 63, true, true, Verdict.Fails)]
    [InlineData(1000, 32, true, true, Verdict.Fails)]
    [InlineData(1000, 63, false, true, Verdict.Fails)]
    [InlineData(1000, 63, true, false, Verdict.Fails)]
    public void The_switch_is_made_for_arrays_and_within_reach(double volts, double amps, bool isPv2, bool isNear, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.isolator", s => s with
        {
            Strings = s.Strings with { IsolatorV = volts, IsolatorA = amps, IsolatorPv2 = isPv2, IsolatorNear = isNear },
        }));

    [Theory]
    [InlineData(14, 2420, Verdict.Tight)]
    [InlineData(14, 2450, Verdict.Fails)]
    [InlineData(13, 2420, Verdict.Fails)]
    public void Hot_strings_carry_at_least_the_least_speed(int inSeries, double leastRpm, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.motor-voltage", s => s with
        {
            Strings = s.Strings with { InSeries = inSeries }, Pumping = s.Pumping with { LeastRpm = leastRpm },
        }));

    [Theory]
    [InlineData(2300, true, Verdict.Fails)]
    [InlineData(2360, true, Verdict.Tight)]
    [InlineData(2420, true, Verdict.Holds)]
    [InlineData(2420, false, Verdict.Tight)]
    public void Below_where_water_begins_no_pump_is_held(double rpm, bool guard, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.minimum-speed",
            s => s with { Pumping = s.Pumping with { LeastRpm = rpm, DryRunGuard = guard } }));

    [Theory]
    [InlineData(10, Verdict.Holds)]
    [InlineData(2, Verdict.Fails)]
    public void Clouds_can_start_it_as_often_as_the_pause_lets_them(double pauseMin, Verdict verdict) =>
        Assert.Equal(verdict, VerdictOf("pv.starts-per-day", s => s with { Pumping = s.Pumping with { RestartMin = pauseMin } }));

    [Fact]
    public void Cable_surge_and_insulation_are_judged()
    {
        Assert.Equal(Verdict.Fails, VerdictOf("pv.dc-cable", s => s with { Strings = s.Strings with { CableMm2 = 4 } }));
        Assert.Equal(Verdict.Tight, VerdictOf("pv.dc-cable", s => s with { Strings = s.Strings with { CableM = 900 } }));
        Assert.Equal(Verdict.Fails, VerdictOf("pv.surge-protection", s => s with { Strings = s.Strings with { SurgeV = 800 } }));
        Assert.Equal(Verdict.Fails, VerdictOf("pv.insulation", s => s with { Strings = s.Strings with { InsulationKohm = 25 } }));
        Assert.Equal(Verdict.NeedsData,
            VerdictOf("pv.insulation", s => s with { Strings = s.Strings with { InsulationKohm = Given.Unknown } }));
    }

    [Fact]
    public void On_the_sun_nothing_is_drawn_from_the_line_and_no_check_of_it_remains()
    {
        var found = DemoChanges.Assessor.Run(DemoChanges.Demo);
        var id = SunStudyTests.Point(DemoChanges.Demo).Id;
        Assert.All(found.Scenarios, s => Assert.DoesNotContain(s.Drives, d => d.DrivePointId == id));
        Assert.All(found.Checks.Where(c => c.DrivePointId == id && (c.Id.StartsWith("emc.rcd", StringComparison.Ordinal)
            || c.Id is "supply.data" or "converter.short-circuit-rating" or "energy.best-alternative")),
            c => Assert.Equal(Verdict.NotApplicable, c.Verdict));

        // Back on its lineup it draws again.
        var back = Assert.IsType<CommandOutcome.Done>(new FeedFromSun(id, true).On(DemoChanges.Demo, DemoChanges.Assessor)).After;
        Assert.Contains(DemoChanges.Assessor.Run(back).Scenarios[0].Drives, d => d.DrivePointId == id);
        Assert.DoesNotContain(DemoChanges.Assessor.Run(back).Checks, c => c.Id.StartsWith("pv.", StringComparison.Ordinal));
    }

    [Fact]
    public void Only_pumps_by_themselves_are_fed_from_the_sun()
    {
        CommandOutcome On(string id) => new FeedFromSun(id).On(DemoChanges.Demo, DemoChanges.Assessor);
        Assert.IsType<CommandOutcome.Refused>(On("dp-01"));
        Assert.IsType<CommandOutcome.Refused>(On("nobody"));
        var fed = Assert.IsType<CommandOutcome.Done>(On("dp-03")).After;
        Assert.Equal(12, fed.AllDrivePoints().Single(p => p.Id == "dp-03").Sun!.Place.Months.Count);
    }

    [Theory]
    [InlineData(200.0, Verdict.Holds)]
    [InlineData(30.0, Verdict.Tight)]
    [InlineData(null, Verdict.Tight)]
    public void Means_of_a_month_want_a_tank_for_dark_days(double? tankM3, Verdict verdict) => Assert.Equal(
        verdict, VerdictOf("pv.daily-water", s => s with
        {
            Place = s.Place with { Months = [.. s.Place.Months.Select((m, i) => m with { DemandM3PerDay = i == 11 ? 30 : 50 })] },
            Pumping = s.Pumping with { TankM3 = tankM3 is { } v ? v : Given.Unknown },
        }));

    [Fact]
    public void Few_modules_leave_the_converter_without_link_voltage()
    {
        PlantSpecification plant = SunStudyTests.Changed(p =>
            p with { Sun = p.Sun! with { Strings = p.Sun.Strings with { InSeries = 11 } } });
        var check = DemoChanges.Assessor.Study(plant, SunStudyTests.Point(plant)).Checks.Single(c => c.Id == "pv.motor-voltage");
        Assert.Equal((Verdict.Fails, "Link voltage on a hot noon"), (check.Verdict, check.Title));
    }

    [Fact]
    public void Sun_starters_and_step_up_transformers_do_not_go_together()
    {
        var id = SunStudyTests.Point(DemoChanges.Demo).Id;
        Assert.IsType<CommandOutcome.Refused>(new UseStepUp(id).On(DemoChanges.Demo, DemoChanges.Assessor));
        Assert.IsType<CommandOutcome.Refused>(new FeedFromSun("dp-06").On(DemoChanges.Demo, DemoChanges.Assessor));
        Assert.IsType<CommandOutcome.Refused>(new UseStepUp("dp-04").On(DemoChanges.Demo, DemoChanges.Assessor));
        var both = SunStudyTests.Changed(p => p with { StepUp = StepUpSupply.Open });
        Assert.Contains(Core.Specification.Validation.SpecificationValidation.Problems(both, DemoChanges.Data),
            p => p.Pointer.EndsWith("/stepUp", StringComparison.Ordinal));
    }

    [Fact]
    public void Ways_to_connect_modules_end_with_the_first_that_passes_the_limit()
    {
        var model = DemoChanges.Assessor.Study(DemoChanges.Demo, SunStudyTests.Point(DemoChanges.Demo)).Model;
        var study = SunStudy.Of(model, out _)!;
        var ways = SunChoices.Of(study.Feed, study);
        Assert.Equal(15, study.Feed.MostInSeries);
        Assert.All(ways, w => Assert.Equal(w.InSeries <= 15, w.Holds));
        Assert.All(ways.Where(w => w.IsUsual), w => Assert.True(w is { ArrayPu: >= 1.2 and <= 1.5, Holds: true }));
        Assert.Single(ways, w => w.IsChosen);
        Assert.All(ways.Where(w => w.Holds), w => Assert.NotNull(w.WorstShare));
    }

    private static Verdict VerdictOf(string check, Func<SunSupply, SunSupply> change)
    {
        PlantSpecification plant = SunStudyTests.Changed(p => p with { Sun = change(p.Sun!) });
        return DemoChanges.Assessor.Study(plant, SunStudyTests.Point(plant)).Checks.Single(c => c.Id == check).Verdict;
    }
}
