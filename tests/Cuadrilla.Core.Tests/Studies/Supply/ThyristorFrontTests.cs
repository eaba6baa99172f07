using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Harmonics.Thyristors;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Studies.Supply.Balance;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Thyristor front ends settle with the network and with diode bridges beside them, on all orders.</summary>
public sealed class ThyristorFrontTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    // The spray dryer's fan by a DC motor.
    private static readonly PlantSpecification Plant = DemoChanges.Changed("dp-01", p => p with
    {
        Motor = ((MotorChoice.FromCatalogue)p.Motor) with { ItemId = "dc-160" },
        Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = Data.Converters.Values.Where(c =>
            c.Family == "thyristor-4q" && c.RatedKw >= 160).MinBy(c => c.RatedKw)!.Id },
    });

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void How_its_current_moves_is_what_moved_EMFs_show(bool followsEmf)
    {
        var front = new ThyristorFront(new ThyristorInput(400, 0.04, 380, 300), 6e3, followsEmf);
        var emf = new SpaceVector();
        (emf[1], emf[-5], emf[7]) = (-0.97 * Complex.ImaginaryOne, new Complex(0.03, 0.01), new Complex(0.01, -0.02));
        var coupling = front.Coupling(emf, SpaceVector.Sixfold)!;
        foreach (var (c, m) in SpaceVector.Sixfold.Select((m, c) => (c, m)))
        {
            foreach (var by in new Complex[] { 1, Complex.ImaginaryOne })
            {
                const double little = 1e-5;
                var (up, down) = (emf.Copy(), emf.Copy());
                (up[m], down[m]) = (up[m] + (little * by), down[m] - (little * by));
                var moved = front.At(up)!.Value.Line.Plus(front.At(down)!.Value.Line, -1);
                foreach (var (r, n) in SpaceVector.Sixfold.Select((n, r) => (r, n)))
                {
                    var expected = ((coupling.Direct[r, c] * by) + (coupling.Conjugate[r, c] * Complex.Conjugate(by))) / 2;
                    Assert.Equal(0, ((moved[n] / (2 * little)) - expected).Magnitude, 1e-4);
                }
            }
        }
    }

    [Fact]
    public void What_stands_beside_the_bridge_draws_its_power_at_any_voltage()
    {
        var emf = new SpaceVector();
        emf[1] = Complex.FromPolarCoordinates(0.9, -Math.PI / 2);
        double Power(double besideW)
        {
            var front = new ThyristorFront(new ThyristorInput(400, 0.04, 380, 300), besideW, false);
            var (line, _) = front.At(emf)!.Value;
            return 1.5 * (emf[1] * Complex.Conjugate(line[1])).Real * 400 * Math.Sqrt(2.0 / 3) * 300;
        }

        Assert.Equal(380 * 300, Power(0), 1e-3);
        Assert.Equal((380 * 300) + 6e3, Power(6e3), 1e-3);
    }

    [Fact]
    [Trait("speed", "slow")]
    public void In_a_plant_it_settles_and_answers_the_distortion_of_its_bus()
    {
        var assessor = new Assessor(Data);
        var plant = Plant with { Name = "thyristor in the demo" };
        var found = assessor.Run(plant).Scenarios[0];
        Assert.True(found.Iteration.IsSettled, found.Iteration.ToString());
        Assert.Empty(found.Unsettled);
        var drive = found.Drives.Single(d => d.DrivePointId == "dp-01");
        var draw = Assert.IsType<RectifierResult.Stated>(drive.Front);
        Assert.True(drive.OwnEmf.Parts().Where(p => Math.Abs(p.M) > 1).Max(p => p.Part.Magnitude) > 0.01);

        // The power of all orders is what the closed form of a sine takes for the same output.
        var running = RunningDrive.Of((DriveOnConverter)assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == "dp-01")).Model,
            drive.Point, drive.BusId);
        var watts = draw.Phases.Select((p, k) => Enumerable.Range(0, 25).Sum(i =>
        {
            var volts = drive.OwnEmf.Phasor((2 * i) + 1, k) * (400 / Math.Sqrt(3));
            return (volts * Complex.Conjugate(p.Orders[2 * i])).Real;
        })).Sum();
        var sine = FrontSolver.ThyristorOf(running, new FrontPlace(400, new Complex(0, 0.01), 50, 0, default, 0))!.Value;
        Assert.Equal((sine.Input.DcVoltageV * sine.Input.DcCurrentA) + sine.BesideW, watts, 2e-3 * watts);
    }

    [Fact]
    [Trait("speed", "slow")]
    public void The_same_state_is_found_after_other_loads()
    {
        var plant = Plant with { Name = "thyristor, balanced", Source = Plant.Source with { UnbalancePct = 0 } };
        var found = new Assessor(Data).Run(plant).Scenarios[0];
        Assert.True(found.Iteration.IsSettled, found.Iteration.ToString());

        var assessor = new Assessor(Data);
        var named = plant with { Name = "thyristor, from elsewhere" };
        assessor.Run(named with { Scenarios = [.. named.Scenarios.Select(s =>
            s with { States = [.. s.States, new DrivePointState("dp-02", true, 0.7, 1)] })] });
        var again = assessor.Run(named).Scenarios[0];
        foreach (var (one, other) in found.Drives.Zip(again.Drives))
        {
            Assert.All(SpaceVector.All, m => Assert.InRange((one.Search!.Emf[m] - other.Search!.Emf[m]).Magnitude, 0, 1e-6));
        }
    }
}
