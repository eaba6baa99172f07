using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Studies.Starting;

/// <summary>Starters through the whole assessment.</summary>
[Trait("speed", "slow")]
public sealed class StarterAssessmentTests
{
    [Theory]
    [InlineData("wet mill", 350, null)]
    [InlineData("fan", 350, "/startPresets/0/application")]
    [InlineData("", 350, "/startPresets/0/application")]
    [InlineData("wet mill", 50, "/startPresets/0/settings/currentLimitPct")]
    public void A_project_keeps_presets_of_its_own(string name, double limitPct, string? pointer)
    {
        var settings = DemoChanges.Data.StartPresets[0].Settings with { CurrentLimitPct = limitPct };
        var plant = DemoChanges.Demo with { StartPresets = [new StartPreset(name, settings, TripClass.Class20)] };
        Assert.Equal(pointer, SpecificationValidation.Problems(plant, DemoChanges.Data).Select(p => p.Pointer).SingleOrDefault());
    }

    private static readonly ConverterChoice.SoftStarter Mill = (ConverterChoice.SoftStarter)Demo.AllDrivePoints()
        .Single(p => p.Id == "dp-04").Converter;

    [Fact]
    public void A_higher_limit_cures_the_mill_and_costs_a_deeper_dip()
    {
        var low = Run("dp-04", Mill);
        var high = Run("dp-04", Mill with { Settings = Mill.Settings with { CurrentLimitPct = 600 } });
        Assert.Equal(Verdict.Fails, Of(low, "starter.reaches-speed").Verdict);
        Assert.Contains("sticks at 0 rpm", Of(low, "starter.reaches-speed").Reason.WithNumbers, StringComparison.Ordinal);
        Assert.NotEqual(Verdict.Fails, Of(high, "starter.reaches-speed").Verdict);

        // What never ends has no heat of a start to be judged: it fails, and cured it passes.
        Assert.Equal(Verdict.Fails, Of(low, "starter.thermal-class").Verdict);
        Assert.Equal(Verdict.NotApplicable, Of(low, "starter.starts-per-hour").Verdict);
        Assert.Contains(Of(high, "starter.thermal-class").Verdict, new[] { Verdict.Holds, Verdict.Tight });
        Assert.True(Of(high, "supply.start-dip").Figure.Value > Of(low, "supply.start-dip").Figure.Value);
    }

    [Fact]
    public void Inside_the_delta_a_smaller_starter_does()
    {
        var small = Mill with { ItemId = "soft-250", Settings = Mill.Settings with { CurrentLimitPct = 600 } };
        Assert.Equal(Verdict.Fails, Of(Run("dp-04", small), "starter.settings").Verdict);

        // In the demo's section, above another unit, its air is too warm for it; by itself it does.
        var delta = small with { Settings = small.Settings with { InsideDelta = true } };
        Assert.Equal(Verdict.Fails, Of(Run("dp-04", delta), "starter.settings").Verdict);
        var inside = Of(DemoChanges.Assessor.Run(Changed(DemoChanges.WithoutCabinets, "dp-04", p => p with { Converter = delta })),
            "starter.settings");
        Assert.NotEqual(Verdict.Fails, inside.Verdict);
        Assert.Contains("a winding is live", inside.Reason.WithNumbers, StringComparison.Ordinal);

        // 600 % of 342 A over √3 on a starter of 250 A.
        Assert.Contains("473 % on this starter's scale", inside.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_quick_class_trips_where_a_slow_one_holds()
    {
        double Heat(TripClass trip) => Of(Run("dp-01", new ConverterChoice.AcrossTheLine(trip, 1, string.Empty)), "starter.thermal-class",
            "dp-01").Figure.Value;
        Assert.True(Heat(TripClass.Class10A) > Heat(TripClass.Class10));
        Assert.True(Heat(TripClass.Class10) > Heat(TripClass.Class20));
        Assert.True(Heat(TripClass.Class10A) > 100, "a large fan takes longer than the shortest class allows");
    }

    [Fact]
    public void More_starts_than_the_heat_budget_leaves_fail()
    {
        Verdict Starts(double perHour) =>
            Of(Run("dp-04", Mill with { StartsPerHour = perHour, Settings = Mill.Settings with { CurrentLimitPct = 600 } }),
                "starter.starts-per-hour").Verdict;
        Assert.Equal(Verdict.Holds, Starts(1));
        Assert.Equal(Verdict.Fails, Starts(60));
    }

    [Fact]
    public void Star_delta_needs_a_motor_that_runs_in_delta()
    {
        var star = Changed("dp-12", p => p with { Converter = new ConverterChoice.StarDelta(3, TripClass.Class10, 1, string.Empty) });
        var check = DemoChanges.Assessor.Run(star).Checks.Single(c => c is { Id: "starter.settings", DrivePointId: "dp-12" });
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("linked in delta", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_magnet_motor_on_a_contactor_needs_another_motor()
    {
        var plant = Changed("dp-02", p => p with
        {
            Motor = new MotorChoice.FromCatalogue("pm-ie5-55", MotorCooling.OwnFan, ThermalClass.F, MotorConnection.Fitting, true,
                string.Empty),
            Converter = new ConverterChoice.AcrossTheLine(TripClass.Class10, 1, string.Empty),
        });
        var found = DemoChanges.Assessor.Run(plant);
        Assert.Equal(Verdict.NeedsData, found.Checks.Single(c => c is { Id: "starter.reaches-speed", DrivePointId: "dp-02" }).Verdict);
        Assert.Contains("starts on the line",
            found.Checks.Single(c => c is { Id: "energy.best-alternative", DrivePointId: "dp-02" }).Relief, StringComparison.Ordinal);
    }

    [Fact]
    public void On_the_line_a_motor_draws_no_harmonics_and_its_reactive_current()
    {
        var converter = new ConverterChoice.FromCatalogue("six-pulse-choke-250", OverloadDuty.Heavy, 4, string.Empty,
            new Braking.Nothing());
        PlantAssessment line = Run("dp-04", Mill), converted = Run("dp-04", converter);
        Assert.True(line.Scenarios[0].Pcc.HarmonicA < 0.8 * converted.Scenarios[0].Pcc.HarmonicA);
        Assert.DoesNotContain(line.Scenarios[0].Drives, d => d.DrivePointId == "dp-04");
        var drawn = line.Scenarios[0].OnLine.Single(d => d.DrivePointId == "dp-04");
        Assert.True(drawn.PowerVa.Imaginary > 0.3 * drawn.PowerVa.Real);
    }

    [Theory]
    [InlineData(90, "/converter/settings/currentLimitPct")]
    [InlineData(1100, "/converter/settings/currentLimitPct")]
    public void Bad_settings_are_named(double limit, string pointer)
    {
        var plant = Changed("dp-04", p => p with { Converter = Mill with { Settings = Mill.Settings with { CurrentLimitPct = limit } } });
        Assert.EndsWith(pointer, SpecificationValidation.Problems(plant, Data).Single().Pointer, StringComparison.Ordinal);
    }

    private static Check Of(PlantAssessment found, string id, string point = "dp-04") =>
        found.Checks.Single(c => c.Id == id && c.DrivePointId == point);

    private static PlantAssessment Run(string id, ConverterChoice choice) =>
        DemoChanges.Assessor.Run(Changed(id, p => p with { Converter = choice }));

    [Fact]
    public void The_flux_on_the_line_is_judged_at_the_highest_voltage_also_where_none_is_low()
    {
        var plant = DemoChanges.Demo with { Source = DemoChanges.Demo.Source with { LowestPct = 112, HighestPct = 114 } };
        var found = DemoChanges.Assessor.Run(plant);
        var range = found.Voltages[plant.BusOfDrivePoints()["dp-04"].Id];
        var model = DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == "dp-04")).Model;
        Assert.True(range.LowestPct > 100);
        Assert.Equal(
            range.HighestPct * model.Input.BusVoltageV / model.Fitted!.Connected.LinkedVoltageV,
            found.Checks.Single(c => c.Id == "motor.connection" && c.DrivePointId == "dp-04").Figure.Value, 2);
    }
}
