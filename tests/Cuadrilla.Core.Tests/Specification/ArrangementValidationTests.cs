using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Entries of arrangements that can't be accepted are named with field, value and what is allowed.</summary>
public sealed class ArrangementValidationTests
{
    [Fact]
    public void The_demo_has_none() => Assert.Empty(SpecificationValidation.Problems(Demo, Data));

    [Theory]
    [InlineData("count", "/lineups/2/arrangements/0/members/0/count")]
    [InlineData("stranger", "/lineups/2/arrangements/0/members/1/pointId")]
    [InlineData("twice", "/lineups/2/arrangements/0/members/1/pointId")]
    [InlineData("on-bus", "/lineups/2/arrangements/0/members/1/pointId")]
    [InlineData("own-converter", "/lineups/2/drivePoints/1/converter")]
    [InlineData("no-group", "/lineups/2/drivePoints/1/converter")]
    public void Groups(string what, string pointer)
    {
        var group = Demo.GroupOf("dp-21")!;
        MotorGroup Second(string id) => group with { Members = [group.Members[0], group.Members[1] with { PointId = id }] };
        var plant = what switch
        {
            "count" => Arranged(2, group with { Members = [group.Members[0] with { Count = 0 }, group.Members[1]] }),
            "stranger" => Arranged(2, Second("dp-01")),
            "twice" => Arranged(2, Second("dp-21")),
            "on-bus" => Arranged(2, Second("dp-23")),
            "own-converter" => Changed("dp-22", p => p with { Converter = new ConverterChoice.NotChosen() }),
            _ => Demo with { Lineups = [.. Demo.Lineups.Select((l, i) => i == 2 ? l with { Arrangements = [] } : l)] },
        };
        Assert.Contains(pointer, Pointers(plant));
    }

    [Theory]
    [InlineData("one-unit", "/lineups/0/arrangements/0/units")]
    [InlineData("droop", "/lineups/0/arrangements/0/units/0/droopPct")]
    [InlineData("window", "/lineups/0/arrangements/0/method/speedWindowPct")]
    [InlineData("limit", "/lineups/0/arrangements/0/method/torqueLimitPct")]
    [InlineData("stiffness", "/lineups/0/arrangements/0/coupling/stiffnessNmPerRad")]
    public void Shafts(string what, string pointer)
    {
        var shaft = (SharedShaft)Demo.Lineups[0].Arrangements[0];
        Assert.Contains(pointer, Pointers(Arranged(0, what switch
        {
            "one-unit" => shaft with { Units = [shaft.Units[0]] },
            "droop" => shaft with { Units = [shaft.Units[0] with { DroopPct = 0 }, shaft.Units[1]] },
            "window" => shaft with { Method = new SharingMethod.TorqueFollower(3, 80) },
            "limit" => shaft with { Method = new SharingMethod.SpeedTrim(2, 900) },
            _ => shaft with { Coupling = new ShaftCoupling.Elastic(0, 1) },
        })));
    }

    [Theory]
    [InlineData("itself", "/lineups/1/arrangements/0/follower/pointId")]
    [InlineData("speeds", "/lineups/1/arrangements/0/leader/largestRpm")]
    [InlineData("pulses", "/lineups/1/arrangements/0/follower/pulsesPerTurn")]
    [InlineData("decimals", "/lineups/1/arrangements/0/impliedDecimals")]
    public void Followers(string what, string pointer)
    {
        var ratio = (RatioFollower)Demo.Lineups[1].Arrangements[0];
        Assert.Contains(pointer, Pointers(Arranged(1, what switch
        {
            "itself" => ratio with { Follower = ratio.Follower with { PointId = ratio.Leader.PointId } },
            "speeds" => ratio with { Leader = ratio.Leader with { LargestRpm = 300 } },
            "pulses" => ratio with { Follower = ratio.Follower with { PulsesPerTurn = 0 } },
            _ => ratio with { ImpliedDecimals = 9 },
        })));
    }

    [Fact]
    public void Brakes_modules_and_servo_control()
    {
        var plant = Changed("dp-05", p => p with
        {
            Brake = ((HoldingBrake.SpringApplied)p.Brake) with { CloseMs = 0, Coil = new BrakeCoil(1, 130, 60, 2, CoilSuppression.Diode) },
            Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Modules = 9 },
        });
        var found = Pointers(plant);
        Assert.Contains("/lineups/0/drivePoints/4/brake/closeMs", found);
        Assert.Contains("/lineups/0/drivePoints/4/brake/coil/voltageV", found);
        Assert.Contains("/lineups/0/drivePoints/4/converter/modules", found);
        var groups = Demo with
        {
            Lineups = [.. Demo.Lineups.Select(l =>
                l with { DcBuses = [.. l.DcBuses.Select(b => b.Control is ServoControl.Modular c
                    ? b with { Control = c with { SafeGroups = [1] } }
                    : b)] })],
        };
        Assert.Contains("/lineups/2/dcBuses/0/control/safeGroups", Pointers(groups));
    }

    [Fact]
    public void Ways_set_aside_are_checked_as_if_they_were_in_force()
    {
        var aside = Demo.Lineups[1].SetAside[0];
        var wrong = aside with { DrivePoints = [.. aside.DrivePoints.Select(p => p.Id == "dp-14" ? p with { Tag = string.Empty } : p)] };
        var plant = Demo with { Lineups = [.. Demo.Lineups.Select((l, i) => i == 1 ? l with { SetAside = [wrong, wrong] } : l)] };
        var found = Pointers(plant);
        Assert.Contains("/lineups/1/setAside/0/drivePoints/3/tag", found);
        Assert.Contains("/lineups/1/setAside/1/id", found);
    }

    private static PlantSpecification Arranged(int lineup, Arrangement arrangement) => Demo with
    {
        Lineups = [.. Demo.Lineups.Select((l, i) => i == lineup ? l with { Arrangements = [arrangement] } : l)],
    };

    private static IReadOnlyList<string> Pointers(PlantSpecification plant) =>
        [.. SpecificationValidation.Problems(plant, Data).Select(p => p.Pointer)];
}
