using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.DrivePoints;

/// <summary>Loads with a cycle, with diameters and with energy that comes back, through the whole assessment.</summary>
public sealed class CycleAssessmentTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    [Fact]
    public void A_hoist_with_its_own_fan_carries_less_than_with_a_separate_one()
    {
        double Margin(MotorCooling cooling) => Check(
            With("dp-05", p => p with { Motor = ((MotorChoice.FromCatalogue)p.Motor) with { Cooling = cooling } }), "motor.continuous",
            "dp-05").MarginPct.Value;
        Assert.True(Margin(MotorCooling.OwnFan) < Margin(MotorCooling.SeparateFan));
    }

    [Fact]
    public void More_cycles_an_hour_heat_more_and_cost_more()
    {
        PlantSpecification At(double cycles) => With("dp-05", p => p with { Load = ((HoistLoad)p.Load) with { CyclesPerHour = cycles } });
        Assert.True(Check(At(80), "motor.continuous", "dp-05").Figure.Value > Check(At(40), "motor.continuous", "dp-05").Figure.Value);
        Assert.True(Energy(At(80), "dp-05") > Energy(At(40), "dp-05"));
    }

    [Fact]
    public void A_faster_start_raises_the_peak_of_motor_and_converter()
    {
        PlantSpecification At(double seconds) =>
            With("dp-05", p => p with { Load = ((HoistLoad)p.Load) with { Train = ((HoistLoad)p.Load).Train
                with { StartTimeS = seconds } } });
        Assert.True(Check(At(0.5), "motor.peak", "dp-05").Figure.Value > Check(At(3), "motor.peak", "dp-05").Figure.Value);
        Assert.True(Check(At(0.3), "converter.overload", "dp-05").MarginPct.Value < Check(At(3), "converter.overload",
            "dp-05").MarginPct.Value);
    }

    [Fact]
    public void An_unwinder_draws_nothing_and_costs_next_to_nothing()
    {
        var found = DemoChanges.Assessor.Run(DemoChanges.SingleWinders);
        Assert.DoesNotContain(found.Scenarios[0].Drives, d => d.DrivePointId == "dp-14");
        var summary = found.DrivePoints.Single(d => d.DrivePointId == "dp-14");
        Assert.True(summary.Rated!.Value.RegeneratedW > 1000);
        Assert.False(summary.Rated.Value.DrawsFromLine);

        // Nothing but stand-by and the small choke loss of it over the year.
        Assert.InRange(summary.YearKwh!.Value / 3600, 0.01, 0.06);
    }

    [Fact]
    public void A_winder_is_judged_at_the_diameter_that_asks_most()
    {
        var check = Check(Demo, "motor.continuous", "dp-15");
        var load = (WinderLoad)Demo.AllDrivePoints().Single(p => p.Id == "dp-15").Load;
        var full = ((load.TensionN.Value * 0.85 * load.FullDiameterM.Value / 2)
            + load.FrictionNm.Value) / load.Train.GearRatio.Value / load.Train.GearEfficiency.Value;
        Assert.Equal(Digits.Kept(full), check.Figure.Value, 6);
    }

    [Fact]
    public void A_missing_inertia_is_asked_for_by_the_peak_alone()
    {
        var open = With("dp-11", p => p with { Load = ((ConveyorLoad)p.Load)
            with { Train = ((ConveyorLoad)p.Load).Train with { InertiaKgM2 = Given.Unknown } } });
        Assert.Equal(Verdict.NeedsData, Check(open, "motor.peak", "dp-11").Verdict);
        Assert.Contains("inertia", Check(open, "motor.peak", "dp-11").Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.Holds, Check(open, "motor.continuous", "dp-11").Verdict);
    }

    [Fact]
    [Trait("speed", "slow")]
    public void Pictures_and_figures_stand_for_every_load_of_the_demo()
    {
        var assessor = DemoChanges.Assessor;
        var found = assessor.Run(Demo);
        foreach (var point in Demo.AllDrivePoints())
        {
            var study = assessor.Study(Demo, point);
            var drive = found.Scenarios[0].Drives.SingleOrDefault(d => d.DrivePointId == point.Id);
            var figures = DrivePointFigures.Of(study, drive, found.Scenarios[0]);
            Assert.Contains(figures, f => f.Id == "shaft-power");
            Assert.All(figures, f => Assert.True(double.IsFinite(f.Value) && f.Reason.WithNumbers.Length > 0, f.Id));
            Assert.NotNull(TorqueCurves.Of(study.Model));
            Assert.Equal(point.Load is FluidLoad, SystemCurves.Of(study.Model) is not null);
            Assert.Equal(point.Load is WinderLoad, LoadPictures.Winder(study.Model).Count > 0);
            Assert.Equal(point.Load is HoistLoad or ServoAxisLoad, LoadPictures.Cycle(study.Model).Count > 0);
        }
    }

    private static double Energy(PlantSpecification plant, string point) =>
        DemoChanges.Assessor.Run(plant).DrivePoints.Single(d => d.DrivePointId == point).YearKwh!.Value;

    private static Check Check(PlantSpecification plant, string id, string point) =>
        DemoChanges.Assessor.Run(plant).Checks.Single(c => c.Id == id && c.DrivePointId == point);

    private static PlantSpecification With(string id, Func<DrivePoint, DrivePoint> change) => Demo with
    {
        Lineups = [.. Demo.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })],
    };
}
