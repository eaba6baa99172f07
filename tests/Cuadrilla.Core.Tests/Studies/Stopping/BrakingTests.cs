using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Stopping;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Studies.Stopping;

public sealed class BrakingTests
{
    [Fact]
    public void What_a_hoist_returns_is_the_mechanical_energy_less_every_loss()
    {
        var model = Model("dp-05", p => p);
        var demand = BrakingStudy.All(model)[0];
        var cycle = model.Load.Cycle!;

        // By the parts: shaft power of each moment, and what motor, cable and converter take of it.
        double energy = 0, mechanical = 0;
        foreach (var s in cycle.Slices(model.Motor.Plate.InertiaKgM2).Where(s => !s.Rests))
        {
            var motor = model.Motor.At(Math.Abs(s.SpeedRpm), s.SpeedRpm < 0 ? -s.TorqueNm : s.TorqueNm, MotorFeed.Converter);
            var taken = motor.LossW + (3 * model.CableOhm.Real * motor.CurrentA * motor.CurrentA)
                + model.Converter.LossW(motor.FrequencyHz / 50, motor.CurrentA);
            energy += Math.Max(0, -motor.ShaftW - taken) * s.DurationS;
            mechanical += Math.Max(0, -motor.ShaftW) * s.DurationS;
        }

        Assert.Equal(energy, demand.EnergyJ, energy * 1e-9);
        Assert.InRange(demand.EnergyJ / mechanical, 0.5, 0.95);
        Assert.Equal(demand.EnergyJ / cycle.DurationS, demand.MeanW, 6);
    }

    [Fact]
    public void A_stop_without_a_path_grows_in_proportion_to_the_masses()
    {
        DriveOnConverter With(double inertia) => Model("dp-04", p => p with
        {
            Converter = new ConverterChoice.FromCatalogue("six-pulse-choke-250", OverloadDuty.Heavy, 4, string.Empty,
                new Braking.Nothing()),
            Load = ((HighInertiaLoad)p.Load) with { Train = ((HighInertiaLoad)p.Load).Train with { InertiaKgM2 = inertia } },
        });
        DriveOnConverter one = With(52_000), two = With(104_000);
        double Masses(DriveOnConverter m) => m.Load.InertiaKgM2.Value + m.Motor.Plate.InertiaKgM2;
        Assert.Equal(Masses(two) / Masses(one), StopStudy.ShortestS(two, 1) / StopStudy.ShortestS(one, 1), 1);

        // What the capacitor takes beside the losses is the same for both, so the lighter one gains a little more from it.
        Assert.True(StopStudy.ShortestS(two, 1) / StopStudy.ShortestS(one, 1) > Masses(two) / Masses(one));

        // It is shorter than coasting against the load alone.
        var omega = one.Load.RatedSpeedRpm * 2 * Math.PI / 60;
        Assert.True(StopStudy.ShortestS(one, 1) < Masses(one) * omega / one.Load.RatedTorqueNm);
    }

    [Theory]
    [InlineData(40, 2, Verdict.Holds)]
    [InlineData(60, 2, Verdict.Fails)]
    [InlineData(5, 2, Verdict.Fails)]
    [InlineData(40, 1.3, Verdict.Fails)]
    public void A_resistor_is_judged_by_both_ends_of_its_range_and_the_heat_of_the_rated_load_let_down(double ohm, double kw,
        Verdict verdict)
    {
        var check = Braking("dp-05", new Braking.Resistor(ohm, kw));
        Assert.Equal(verdict, check.Verdict);
        Assert.True(verdict == Verdict.Holds || check.Relief.Contains("instructions", StringComparison.Ordinal));
    }

    [Fact]
    public void Energy_without_a_path_fails_and_an_open_resistor_says_its_range()
    {
        Assert.Equal(Verdict.Fails, Braking("dp-05", new Braking.Nothing()).Verdict);
        var open = Braking("dp-05", new Braking.Resistor(Given.Unknown, Given.Unknown));
        Assert.Equal(Verdict.NeedsData, open.Verdict);
        Assert.Contains("Ω", open.Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.NotApplicable, Braking("dp-01", new Braking.Nothing()).Verdict);
    }

    [Fact]
    public void A_wanted_stop_is_held_against_the_shortest()
    {
        Check Stop(double seconds) => DemoChanges.Assessor.Run(Changed("dp-04", p => p with
        {
            Converter = new ConverterChoice.FromCatalogue("six-pulse-choke-250", OverloadDuty.Heavy, 4, string.Empty,
                new Braking.Nothing()),
            Load = (HighInertiaLoad)p.Load with { Train = ((HighInertiaLoad)p.Load).Train with { StopTimeS = seconds } },
        })).Checks.Single(c => c is { Id: "converter.stop-without-braking", DrivePointId: "dp-04" });
        Assert.Equal(Verdict.Holds, Stop(90).Verdict);
        Assert.Equal(Verdict.Fails, Stop(0.5).Verdict);
    }

    private static Check Braking(string id, Braking braking) => DemoChanges.Assessor.Run(Changed(id, p => p with
    {
        Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Braking = braking },
    })).Checks.Single(c => c.Id == "converter.braking" && c.DrivePointId == id);

    private static DriveOnConverter Model(string id, Func<DrivePoint, DrivePoint> change)
    {
        var plant = Changed(id, change);
        return (DriveOnConverter)DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == id)).Model;
    }
}
