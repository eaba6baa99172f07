using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Stopping;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Plants;

/// <summary>Alternatives of lineup and plant, reactive energy, yearly losses, ways of stopping.</summary>
public sealed class PlantAlternativeTests
{
    private static readonly EngineeringData Data = DemoChanges.Data;

    [Fact]
    public void The_plant_is_the_sum_of_its_drive_points()
    {
        var studies = Studies();
        var rows = PlantAlternatives.Of(studies, Data);
        var specified = rows.Single(r => r.Way == PlantAlternatives.AsSpecified);
        Assert.Equal(studies.Where(s => s.Model.Input.DrivePoint.Sun is null)
            .Sum(s => s.Alternatives.Single(a => a.IsChosen).Year.EnergyKwh), specified.Year.EnergyKwh, 6);
        Assert.Equal(rows.OrderBy(r => r.Year.LifetimeCost), rows);

        // Nothing is cheaper than the cheapest of each; a way that suits none is not shown.
        Assert.All(rows.Where(r => r.Way != "line" && !r.Way.Contains("bypass", StringComparison.Ordinal)
            && r.Way != PlantAlternatives.Present), r =>
            Assert.True(r.Year.LifetimeCost >= rows.Single(b => b.Way == PlantAlternatives.Best).Year.LifetimeCost - 1e-6));
        Assert.All(rows.Where(r => r.Way != PlantAlternatives.AsSpecified), r => Assert.True(r.Applied > 0));
        Assert.Equal(PlantAlternatives.Present, rows[PlantAlternatives.Reference(rows)].Way);
        Assert.Null(PlantAlternatives.Against(rows, DemoChanges.Demo.Tariff)[PlantAlternatives.Reference(rows)]);
    }

    [Fact]
    public void One_way_changes_only_the_drive_points_it_suits()
    {
        var studies = Studies();
        var row = PlantAlternatives.Of(studies, Data).Single(r => r.Way == "eighteen-pulse");
        var suits = studies.Where(s => s.Alternatives.Any(a => a is { Way: "eighteen-pulse", HasChosenMotor: true })).ToList();
        Assert.Equal(suits.Count, row.Applied);
        var rest = studies.Except(suits).Where(s => s.Alternatives.Count > 0)
            .Sum(s => s.Alternatives.Single(a => a.IsChosen).Year.EnergyKwh);
        Assert.Equal(rest + suits.Sum(s => s.Alternatives.Single(a => a is { Way: "eighteen-pulse", HasChosenMotor: true }).Year.EnergyKwh),
            row.Year.EnergyKwh, 1e-9 * row.Year.EnergyKwh);
        Assert.Empty(PlantAlternatives.Of([], Data));
    }

    [Fact]
    public void Reactive_energy_beyond_the_free_part_is_paid()
    {
        var tariff = new Tariff("EUR", 0.1, 0, 0, 1, 10, 0, 0.02, 0.9);
        var free = Math.Tan(Math.Acos(0.9));
        var year = YearlyEnergy.Of([new EnergyPoint(1, 1000, 10e3, 8e3), new EnergyPoint(0.5, 500, 5e3, 1e3)], 0, tariff);
        Assert.Equal((8 - (10 * free)) * 1000, year.ReactiveKvarh, 9);
        Assert.Equal((12_500 * 0.1) + (year.ReactiveKvarh * 0.02), year.CostPerYear, 9);

        // Break-even still where both cost the same.
        var other = YearlyEnergy.Of([new EnergyPoint(1, 1000, 9e3, 0)], 40, tariff);
        var comparison = Comparison.Of(other, year, tariff);
        var hours = comparison.BreakEvenHoursPu!.Value;
        Assert.Equal(
            40 + (9 * 1000 * hours * 0.1 * 10),
            ((12_500 * 0.1) + (year.ReactiveKvarh * 0.02)) * hours * 10, 6);
    }

    [Theory]
    [InlineData("dp-01")]
    [InlineData("dp-04")]
    [InlineData("dp-06")]
    [InlineData("dp-15")]
    public void Losses_of_a_year_and_shaft_work_make_the_energy_of_the_year(string id)
    {
        var model = Model(id);
        var year = LossYear.Of(model)!;
        double shaft = 0;
        foreach (var d in model.Load.Duty)
        {
            var points = model.Starter is null ? model.Load.PointsAt(d.LevelPu) : [LineShaft.Of(model, d.LevelPu).Shaft];
            shaft += points.Average(p => p.PowerW) * d.HoursPerYear / 1e3;
        }

        var energy = EnergyAlternatives.Of(model).Single(a => a.IsChosen).Year.EnergyKwh;
        Assert.Equal(energy, shaft + year.Links.Sum(l => l.Kwh), energy * 1e-9);
        Assert.Equal(8760 - model.Load.Duty.Sum(d => d.HoursPerYear), year.OtherHours, 9);
    }

    [Fact]
    public void Every_way_of_stopping_is_shown_or_said_to_be_impossible()
    {
        var cases = StopStudy.All(Model("dp-01"));
        Assert.Equal(["coast", "losses", "flux", "direct-current", "resistor", "line"], cases.Select(c => c.Id));
        Assert.All(cases, c => Assert.NotEqual(c.Run is null, c.Impossible.Length == 0));
        Assert.Equal("losses", cases.Single(c => c.IsChosen).Id);
        double Time(string id) => cases.Single(c => c.Id == id).Run!.TimeS;
        Assert.True(Time("resistor") < Time("flux") && Time("flux") < Time("losses") && Time("losses") < Time("coast"));

        // Below the base speed over 1.2 the raised flux loses more; above it there is no voltage for it.
        var motor = Model("dp-01").Motor;
        Assert.Equal(0, motor.ExtraFluxLossW(motor.BaseSpeedRpm * 1.01, 1.2, 3));
        Assert.True(motor.ExtraFluxLossW(0.5 * motor.BaseSpeedRpm, 1.2, 3) > 0);
        Assert.Equal(["coast"], StopStudy.All(Model("dp-04")).Select(c => c.Id));
    }

    [Theory]
    [InlineData("nothing")]
    [InlineData("flux")]
    [InlineData("coast")]
    [InlineData("direct")]
    public void A_wanted_stop_is_judged_by_the_way_that_is_chosen(string way)
    {
        Braking braking = way switch
        {
            "flux" => new Braking.Flux(130),
            "coast" => new Braking.Coast(),
            "direct" => new Braking.DcInjection(150),
            _ => new Braking.Nothing(),
        };
        PlantAssessment At(double stopS) => DemoChanges.Assessor.Run(DemoChanges.Changed("dp-04", p => p with
        {
            Converter = new ConverterChoice.FromCatalogue("six-pulse-choke-250", OverloadDuty.Heavy, 4, string.Empty, braking),
            Load = (HighInertiaLoad)p.Load with { Train = ((HighInertiaLoad)p.Load).Train with { StopTimeS = stopS } },
        }));
        Check Stop(double stopS) => At(stopS).Checks.Single(c => c.Id == "converter.stop-without-braking" && c.DrivePointId == "dp-04");
        var slow = Stop(600);
        var fast = Stop(1);
        Assert.Equal(Verdict.Fails, fast.Verdict);
        Assert.True(slow.MarginPct.Value > fast.MarginPct.Value);
        Assert.Contains(way switch { "flux" => "flux", "coast" => "coasting", "direct" => "direct current", _ => "losses" },
            slow.Reason.WithNumbers, StringComparison.Ordinal);
    }

    private static List<DrivePointStudy> Studies()
    {
        var assessor = DemoChanges.Assessor;
        return [.. DemoChanges.Demo.AllDrivePoints().Select(p => assessor.Study(DemoChanges.Demo, p))];
    }

    private static CompleteDrive Model(string id) =>
        (CompleteDrive)DemoChanges.Assessor.Study(DemoChanges.Demo, DemoChanges.Demo.AllDrivePoints().Single(p => p.Id == id)).Model;
}
