using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Sun;

public sealed class SunStudyTests
{
    private static readonly SunStudy Pond = Of(DemoChanges.Demo);

    [Fact]
    public void Hours_of_a_year_give_the_energy_of_twelve_typical_days()
    {
        var place = DemoChanges.Demo.AllDrivePoints().Single(p => p.Sun is not null).Sun!.Place;
        var months = PvYear.Of(
            new PvYear.Site(place.LatitudeDeg.Value, place.TiltDeg.Value, [.. place.Months.Select(m => m.MeanC.Value)], place.SwingK.Value,
                [.. place.Months.Select(m => m.Clearness.Value)], place.Albedo.Value), Pond.Feed.Array!, null);
        var year = Pond.Year();
        Assert.InRange(year.EnergyKwh / months.Sum(m => m.EnergyKwh), 0.97, 1.03);
        Assert.All(Enumerable.Range(0, 12), m => Assert.InRange(year.Months[m].EnergyKwhPerDay / months[m].EnergyKwhPerDay, 0.95, 1.05));
    }

    // Without static head flow is as speed and shaft power as its cube: the speed of each hour is sought anew, by halving, from the drive.
    [Fact]
    public void Without_static_head_water_follows_the_cube_law()
    {
        var study = Of(Changed(p => p with
        {
            Load = ((PumpLoad)p.Load) with { StaticHeadM = 0 },
            Sun = p.Sun! with { Pumping = p.Sun.Pumping with { LeastRpm = 10 } },
        }));
        var drive = (DriveOnConverter)study.Feed.Model;
        var rated = drive.Load.At(1);
        double PowerKw(double part) => drive.PointOf(new ShaftPoint(part, part * rated.SpeedRpm, part * part * rated.TorqueNm)).LinkW / 1e3;
        var (water, on) = (0.0, false);
        for (var i = 0; i < SunHours.Count; i++)
        {
            var kw = study.Feed.Array!.PowerKw(study.Hours.WPerM2[i], study.Hours.AirC[i]);
            var (low, high) = (0.0, 1.0);
            for (var k = 0; k < 40; k++)
            {
                var middle = (low + high) / 2;
                (low, high) = PowerKw(middle) <= kw ? (middle, high) : (low, middle);
            }

            var cellC = PvArray.CellC(45, study.Hours.AirC[i], study.Hours.WPerM2[i]);
            var fastest = study.Feed.FullFluxRpm(cellC, study.Feed.InSeries!.Value)!.Value / rated.SpeedRpm;
            on = kw >= (on ? 1 : 1.1) * PowerKw(10 / rated.SpeedRpm);
            water += on ? Math.Min(low, fastest) * 0.0105 * 3600 : 0;
        }

        Assert.Equal(1, study.Year().WaterM3 / water, 2);
    }

    [Fact]
    public void What_the_pump_uses_is_never_more_than_the_array_gives_and_more_array_never_gives_less_water()
    {
        var before = 0.0;
        foreach (var kw in new[] { 4.0, 8, 12, 18.9, 30 })
        {
            var year = Pond.YearOf(kw, Pond.Pump);
            Assert.All(year.Months, m => Assert.True(m.UsedKwhPerDay <= m.EnergyKwhPerDay + 1e-9));
            Assert.True(year.WaterM3 >= before);
            before = year.WaterM3;
        }
    }

    [Fact]
    public void Water_and_power_rise_with_speed_and_each_power_has_its_speed()
    {
        var pump = Pond.Pump;
        var speeds = Enumerable.Range(0, 100).Select(k => pump.FlowBeginsRpm + ((pump.RatedRpm - pump.FlowBeginsRpm) * k / 99)).ToList();
        Assert.True(speeds.Zip(speeds.Skip(1)).All(s =>
            pump.FlowAtM3PerH(s.Second) > pump.FlowAtM3PerH(s.First) && pump.PowerAtKw(s.Second) > pump.PowerAtKw(s.First)));
        Assert.All(speeds, s => Assert.Equal(s, pump.SpeedForRpm(pump.PowerAtKw(s)), 6));
        Assert.Equal(0, pump.FlowAtM3PerH(pump.FlowBeginsRpm - 1));
        Assert.Equal(0.0105 * 3600, pump.RatedM3PerH, 6);
    }

    [Fact]
    public void A_pump_of_size_one_is_the_pump_and_a_larger_one_gives_more_for_more()
    {
        Assert.Equal(Pond.Pump.RatedKw, Pond.PumpOf(1).RatedKw, 12);
        var large = Pond.PumpOf(1.5);
        Assert.True(large.RatedKw > Pond.Pump.RatedKw && large.RatedM3PerH > Pond.Pump.RatedM3PerH);

        // In the same pipe a pump half as large again gives less than half as much again.
        Assert.True(large.RatedM3PerH < 1.5 * Pond.Pump.RatedM3PerH);
        Assert.Equal(Pond.Pump.FlowBeginsRpm, large.FlowBeginsRpm, 9);
    }

    [Fact]
    public void A_tank_bridges_days_and_never_makes_more_of_them_short()
    {
        static SunYear.Result With(double tankM3) => Of(Changed(p => p with
        {
            Sun = p.Sun! with { Pumping = p.Sun.Pumping with { TankM3 = tankM3 } },
        })).Year();
        Assert.True(With(5000).ShortDays < With(120).ShortDays);
        Assert.Equal(With(0).WaterM3, With(5000).WaterM3, 9);

        // December gives less than is wanted each day: all its days are short but those that the full tank of autumn bridges.
        Assert.InRange(With(0).ShortDays!.Value, 31, 90);
    }

    [Fact]
    public void A_year_by_hours_takes_the_place_of_months()
    {
        var place = DemoChanges.Demo.AllDrivePoints().Single(p => p.Sun is not null).Sun!.Place;
        var ground = new double[SunHours.Count];
        for (var i = 0; i < ground.Length; i++)
        {
            ground[i] = 0.7 * Sky.ClearWPerM2(Core.Supplies.Sun.Direction(place.LatitudeDeg.Value, (i / 24) + 1, (i % 24) + 0.5).Up);
        }

        PlantSpecification Hourly(double part) => Changed(p => p with
        {
            Sun = p.Sun! with
            {
                Place = place with { HourlyWPerM2 = [.. ground.Select(g => part * g)], HourlyC = [.. Enumerable.Repeat(15.0, 8760)] },
            },
        });
        var months = Of(Changed(p => p with
        {
            Sun = p.Sun! with
            {
                Place = place with { SwingK = 0, Months = [.. place.Months.Select(m => m with { Clearness = 0.7, MeanC = 15 })] },
            },
        })).Year();
        Assert.Equal(months.WaterM3, Of(Hourly(1)).Year().WaterM3, 6);
        Assert.Equal(0, Of(Hourly(0)).Year().WaterM3);
    }

    [Fact]
    public void The_sweep_finds_the_smallest_array_that_is_enough()
    {
        var sweep = SunSweep.Of(Pond, 12, 5);
        Assert.Equal(60, sweep.Pairs.Count);
        var enough = sweep.Pairs.Where(p => p.WorstShare >= 1).ToList();
        Assert.Equal(enough.Count == 0 ? null : enough.Min(p => p.ArrayKw), sweep.Best?.ArrayKw);
        Assert.All(sweep.Pairs.GroupBy(p => p.PumpPu), g =>
            Assert.Equal(g.OrderBy(p => p.ArrayKw).Select(p => p.WaterM3), g.Select(p => p.WaterM3).Order()));
    }

    [Fact]
    public void Missing_entries_are_named_and_nothing_is_guessed()
    {
        var open = DemoChanges.Assessor.Study(Changed(p => p with { Sun = SunSupply.Open }),
            Point(Changed(p => p with { Sun = SunSupply.Open })));
        Assert.Null(SunStudy.Of(open.Model, out var missing));
        Assert.Contains("latitude", missing);
        Assert.Contains("clearness and mean temperature of all months", missing);
        Assert.All(open.Checks.Where(c => c.Id.StartsWith("pv.", StringComparison.Ordinal)),
            c => Assert.Equal(Core.Checks.Verdict.NeedsData, c.Verdict));
    }

    internal static PlantSpecification Changed(Func<DrivePoint, DrivePoint> change) => DemoChanges.Demo with
    {
        Lineups =
        [
            .. DemoChanges.Demo.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Sun is null ? p : change(p))] }),
        ],
    };

    internal static DrivePoint Point(PlantSpecification plant) => plant.AllDrivePoints().Single(p => p.Sun is not null);

    private static SunStudy Of(PlantSpecification plant)
    {
        var study = SunStudy.Of(DemoChanges.Assessor.Study(plant, Point(plant)).Model, out var missing);
        Assert.Empty(missing);
        return study!;
    }
}
