using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Recorded cycles of a line current beside the study's.</summary>
public sealed class WaveComparisonTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(17)]
    [InlineData(200)]
    public void A_square_wave_is_told_by_its_series_wherever_the_record_begins(int begin)
    {
        const int N = 256;
        var samples = Enumerable.Range(begin, N).Select(n => n % N < N / 2 ? 10.0 : -10.0).ToList();
        var found = WaveComparison.Of(samples, null);
        Assert.Equal(10, found.RmsA, 1e-9);
        Assert.Equal(40 / Math.PI / Math.Sqrt(2), found.FundamentalA, 0.001);

        // Odd orders to 49 of 1/h each; the sampling adds a few thousandths.
        var thd = 100 * Math.Sqrt(Enumerable.Range(1, 24).Sum(k => 1.0 / ((2 * k) + 1) / ((2 * k) + 1)));
        Assert.Equal(thd, found.ThdiPct, 0.5);
        Assert.Null(found.Spectrum);

        // From the rising zero on: half a cycle above, half below.
        Assert.All(found.Instants, i => Assert.Equal(i.AngleDeg is > 1 and < 179 ? 10 : i.AngleDeg is > 181 and < 359 ? -10 : i.MeasuredA,
            i.MeasuredA));
        Assert.Equal(found.Instants.Select(i => i.AngleDeg).Order(), found.Instants.Select(i => i.AngleDeg));
        Assert.All(found.Instants, i => Assert.InRange(i.AngleDeg, 0, 360));
    }

    [Fact]
    public void The_studys_own_cycle_lies_on_it_at_any_load_and_from_any_instant()
    {
        var orders = new Complex[50];
        (orders[0], orders[4], orders[6], orders[48]) = (Complex.FromPolarCoordinates(40, -0.3), Complex.FromPolarCoordinates(13, 2),
            Complex.FromPolarCoordinates(6, -2.8), Complex.FromPolarCoordinates(0.4, 1));
        double Study(double angle) => orders.Select((o, i) => Math.Sqrt(2) * o.Magnitude * Math.Sin(((i + 1) * angle) + o.Phase)).Sum();
        var recorded = Enumerable.Range(0, 300).Select(n => 0.6 * Study((2 * Math.PI * n / 300) + 1.234)).ToList();
        var found = WaveComparison.Of(recorded, orders);
        Assert.All(found.Instants, i => Assert.Equal(i.ComputedA!.Value, i.MeasuredA, 1e-9));
        Assert.Equal(24, found.FundamentalA, 1e-9);
        Assert.Equal(found.Spectrum!.ComputedThdPct, found.ThdiPct, 1e-9);
        Assert.Equal(100 * Math.Sqrt((13 * 13) + (6 * 6) + (0.4 * 0.4)) / 40, found.ThdiPct, 1e-9);

        // One order that is not the study's shows at its place.
        var other = recorded.Select((a, n) => a + (2 * Math.Sqrt(2) * Math.Sin(2 * Math.PI * 11 * n / 300))).ToList();
        Assert.Equal(11, WaveComparison.Of(other, orders).Spectrum!.WorstOrder);
    }

    [Fact]
    public void Without_a_fundamental_there_is_nothing_to_compare_by() =>
        Assert.Throws<UnfitDataException>(() => WaveComparison.Of(new double[64], null));

    [Theory]
    [InlineData(HiddenFault.None)]
    [InlineData(HiddenFault.BankNearOrder)]
    public void The_analyser_of_a_stand_in_records_the_orders_that_it_reads(HiddenFault fault)
    {
        var point = DemoChanges.Demo.AllDrivePoints().First(p => p.Id == "dp-01");
        var drive = DemoChanges.Assessor.StandIn(DemoChanges.Demo, point, new(3, fault) { NoisePct = 0 });
        Assert.Null(StandInWave.Of(drive));
        Assert.Null(drive.Do(new(StandInOrder.Start, 50)));
        drive.Go(60);
        var wave = StandInWave.Of(drive)!;
        Assert.Equal(20, wave.PeriodMs);
        var found = WaveComparison.Of(wave.SamplesA, DemoChanges.Assessor.SiteOf(DemoChanges.Demo, point).LineOrdersA);
        var readings = drive.Read().ToDictionary(r => r.Name, r => r.Value);
        Assert.Equal(readings["line.h1"]!.Value, found.FundamentalA, 2e-3 * found.FundamentalA);
        foreach (var order in new[] { 5, 7, 11, 13 })
        {
            Assert.Equal(readings[$"line.h{order}"]!.Value, found.Spectrum!.Orders[order - 2].Measured, 2e-3 * found.FundamentalA);
        }

        Assert.Equal(readings["line.thd"]!.Value, found.ThdiPct, 0.3);
        Assert.Equal(fault == HiddenFault.None, Math.Abs(found.ThdiPct - found.Spectrum!.ComputedThdPct) < 0.1 * found.ThdiPct);
    }
}
