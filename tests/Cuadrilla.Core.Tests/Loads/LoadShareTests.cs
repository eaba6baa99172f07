using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Loads;

/// <summary>The part of a load that one of two motors drives.</summary>
public sealed class LoadShareTests
{
    private static readonly DriveTrain Train = new(10, 0.9, 4, 2);

    // Divided: by name. Every other entry stays, whatever kinds are added.
    private static readonly HashSet<string> Divided =
    [
        "RatedFlowM3PerS", "InertiaKgM2", "TorqueNm", "RunningTorqueNm", "MassFlowKgPerS", "RollerKgPerM", "BeltKgPerM", "TorqueEachNm",
        "DisplacementCm3PerRev",
        "TensionN", "WebWidthM", "FrictionNm", "MassKg", "ReturnMassKg", "CounterweightKg", "FrictionN",
    ];

    public static TheoryData<Load> Loads =>
    [
        new FanLoad(Machine, 2000),
        new PumpLoad(Machine, 30, 1000),
        new ConstantTorqueLoad(Train, [], 90, 30, 150, 0.2),
        new HighInertiaLoad(Train, [], 80, 20, 120),
        new ConveyorLoad(Train, [], 9, 50, 3, 1.2, 0.02, 1.5, 4, 2, 0.4, 150),
        new RollerGroupLoad(Train, [], 8, 10, 60, 50, 150),
        new DosingPumpLoad(Train, [], 90, 12, 0.8, 200, 130),
        new WinderLoad(Train, [], false, 3, 800, 20, 0.1, 1, 1, 900, 2),
        new HoistLoad(Train, [], 2600, 900, Given.Unknown, 90, 1, 12, 20, 2, 0.5, 0.95),
        new ServoAxisLoad(Train, [], MoveShape.Trapezoid, 80, 0.02, 0.4, 0.5, 1, 50, 0),
    ];

    private static FluidMachine Machine => new(10, 0.7, 1480, 0.2, 1.3, 6, 4, [], PresentControl.NotStated, new ParallelPath.Own(), []);

    [Theory]
    [MemberData(nameof(Loads))]
    public void Forces_masses_torques_and_inertia_are_divided_and_nothing_else(Load load)
    {
        var divided = 0;
        foreach (var (name, whole, half) in Entries(load).Zip(Entries(load.Part(0.5)), (w, h) => (w.Name, w.Value, h.Value)))
        {
            if (Divided.Contains(name) && whole.IsKnown)
            {
                divided++;
                Assert.Equal(whole.Value / 2, half.Value, 9);
            }
            else
            {
                Assert.Equal(whole, half);
            }
        }

        Assert.True(divided >= 2, $"{divided}");
    }

    [Fact]
    public void A_profile_has_half_of_each_torque_and_what_is_unknown_stays_so()
    {
        var half = Assert.IsType<ProfileLoad>(new ProfileLoad(Train, [], [new ProfilePoint(0, 5, 8), new ProfilePoint(2, 6, -4)])
            .Part(0.5));
        Assert.Equal([new ProfilePoint(0, 5, 4), new ProfilePoint(2, 6, -2)], half.Points);
        Assert.IsType<UnspecifiedLoad>(new UnspecifiedLoad().Part(0.5));
    }

    private static IEnumerable<(string Name, Given Value)> Entries(object of) => of.GetType().GetProperties()
        .SelectMany(p => p.GetValue(of) switch
        {
            Given value => [(p.Name, value)],
            DriveTrain or FluidMachine => Entries(p.GetValue(of)!),
            _ => Array.Empty<(string, Given)>(),
        });
}
