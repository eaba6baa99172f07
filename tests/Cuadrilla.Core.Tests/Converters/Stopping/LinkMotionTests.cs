using CsCheck;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Studies.DcBuses;

namespace Cuadrilla.Core.Tests.Converters.Stopping;

/// <summary>The DC link against an integration in tiny steps and against closed forms.</summary>
public sealed class LinkMotionTests
{
    private static readonly LinkLimits Link = new(5e-3, 566, 760, null, 820, 0, 0, false);

    [Fact]
    public void A_link_without_resistor_trips_when_its_energy_is_full()
    {
        var motion = LinkMotion.Of(Link, 566, 20e3, 10);
        var full = 0.5 * 5e-3 * ((820.0 * 820) - (566.0 * 566)) / 20e3;
        Assert.True(motion.Trips);
        Assert.Equal(full, motion.ElapsedS, full * 1e-9);
        Assert.Equal(820, motion.HighestV, 9);
    }

    [Fact]
    public void Above_the_chopper_the_voltage_runs_to_the_root_of_power_times_resistance()
    {
        // P·R = 640 000 V²: 800 V, below the trip; a weaker resistor reaches the trip at the instant of the exponential.
        var held = LinkMotion.Of(Link with { ResistorOhm = 32 }, 760, 20e3, 60);
        Assert.False(held.Trips);
        Assert.Equal(800, held.VoltageV, 6);
        var end = 20e3 * 40.0;
        var instant = -40 * 5e-3 / 2 * Math.Log(((820.0 * 820) - end) / ((760.0 * 760) - end));
        var trips = LinkMotion.Of(Link with { ResistorOhm = 40 }, 760, 20e3, 60);
        Assert.True(trips.Trips);
        Assert.Equal(instant, trips.ElapsedS, instant * 1e-9);
    }

    [Fact]
    public void Random_powers_agree_with_tiny_steps_and_lose_no_energy() =>
        Gen.Select(Gen.Double[-30e3, 30e3], Gen.Double[0.02, 0.5], Gen.Double[15, 60], Gen.Double[0, 8e3], Gen.Double[566, 810])
        .Sample((power, time, ohm, returned, start) =>
        {
            var limits = Link with { ResistorOhm = ohm, ReturnW = returned };
            var motion = LinkMotion.Of(limits, start, power, time);
            var balance = (power * motion.ElapsedS) + motion.FromLineJ - motion.ToLineJ - motion.BurntJ
                - (0.5 * 5e-3 * ((motion.VoltageV * motion.VoltageV) - (start * start)));
            Assert.Equal(0, balance, 1e-6 * Math.Max(1, Math.Abs(power * time)));
            Assert.Equal(Tiny(limits, start, power, motion.ElapsedS), motion.VoltageV, 1.0);
            Assert.InRange(motion.HighestV, 566 - 1e-6, 820 + 1e-6);
        }, iter: 200);

    [Fact]
    public void A_stop_happens_once_while_a_process_goes_on()
    {
        BusMember stop = new("stop", [new(1, -5e3), new(1, 100)], 1e-3) { Repeats = false };
        BusMember process = new("process", [new(20, 3e3)], 1e-3);
        var run = CommonBusStudy.Run([stop, process], new BusSupply(20e3, 30e3, 10e3, 0, 566, 760, 820));
        Assert.Equal(20, run.SpanS, 9);
        Assert.Equal(5e3, run.GivenJ, 1e-6);
        Assert.Equal(0, run.RestPu, 1e-9);
    }

    // Explicit steps of a fraction of the time constant, the chopper switching at its voltage.
    private static double Tiny(LinkLimits limits, double start, double power, double time)
    {
        const int Steps = 200_000;
        double square = start * start, width = time / Steps;
        for (var i = 0; i < Steps; i++)
        {
            var rest = limits.RestV * limits.RestV;
            var line = square > rest ? -limits.ReturnW : Math.Max(-power, -limits.ReturnW);
            var burnt = square >= limits.ChopperV * limits.ChopperV ? square / limits.ResistorOhm!.Value : 0;
            square = Math.Max(rest, square + (2 / limits.CapacitanceF * (power + line - burnt) * width));
        }

        return Math.Sqrt(square);
    }
}
