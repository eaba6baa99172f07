using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Protection;

/// <summary>Devices of one's own lists: proposed before the generic series, judged by their own curves, refused where a row lacks what its
/// kind needs.</summary>
public sealed class OwnDeviceTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    private static OwnDevice Device(string id, OwnDeviceKind kind, double ratedA, double voltageV = 690) => new(
        id, id.ToUpperInvariant(), "House list", "2026", kind, ratedA, voltageV, 80, Given.Unknown, TripClass.Class10, 12,
        0.6 * ratedA * ratedA, Given.Unknown, Given.Unknown, Given.Unknown,
        Given.Unknown, Given.Unknown);

    private static CommandOutcome.Done Sized(PlantSpecification plant, string point, DeviceKind kind) =>
        Assert.IsType<CommandOutcome.Done>(new SizeProtection([point], ProtectedPart.Devices, kind).On(plant, Assessor));

    [Fact]
    public void The_smallest_of_the_list_that_carries_the_load_is_proposed()
    {
        var plant = Demo with { Devices = [Device("f-400", OwnDeviceKind.Fuse, 400), Device("f-150", OwnDeviceKind.Fuse, 150),
            Device("f-20", OwnDeviceKind.Fuse, 20), Device("f-100", OwnDeviceKind.Fuse, 100, 230)] };
        var chosen = Sized(plant, "dp-02", DeviceKind.Fuse).After.AllDrivePoints().Single(p => p.Id == "dp-02").Devices.Device;
        Assert.Equal("F-150, House list 2026", chosen.Item);
        Assert.Equal(150, Assert.IsType<ProtectiveDevice.Fuse>(chosen).RatedA);

        // Of another kind the generic series still proposes.
        Assert.Empty(Sized(plant, "dp-02", DeviceKind.CircuitBreaker).After.AllDrivePoints()
            .Single(p => p.Id == "dp-02").Devices.Device.Item);
    }

    [Fact]
    public void Where_none_of_the_list_fits_nothing_of_another_is_slipped_in()
    {
        var plant = Demo with { Devices = [Device("f-20", OwnDeviceKind.Fuse, 20)] };
        Assert.IsType<CommandOutcome.Refused>(new SizeProtection(["dp-01"], ProtectedPart.Devices, DeviceKind.Fuse).On(plant, Assessor));
    }

    [Fact]
    public void A_contactor_of_the_list_is_taken_up_to_its_voltage()
    {
        var gear = ReferenceCatalogue.Data.With(Demo with { Devices = [Device("k-700", OwnDeviceKind.Contactor, 700, 440)] }).Switchgear;
        Assert.Equal(700, gear.ForAc3(600, 400)!.Ac3A);
        Assert.Null(gear.ForAc3(701, 400));
        Assert.Null(gear.ForAc1(701, 400));

        // Above its voltage it is never taken: the series is, as without a list.
        Assert.Equal(ReferenceCatalogue.Data.Switchgear.ForAc3(600, 500), gear.ForAc3(600, 500));
        Assert.Null(gear.ForAc3(600, 500)!.StatedToV);
    }

    [Fact]
    public void A_fuses_own_curve_stands_in_place_of_the_gates()
    {
        var data = ReferenceCatalogue.Data;
        var plain = DeviceGates.Of(new ProtectiveDevice.Fuse(63, 80, string.Empty), data.GgFuses, data.Switchgear)!;
        var own = DeviceGates.Of(new ProtectiveDevice.Fuse(63, 80, string.Empty) { Lasts10SA = 200, Clears5SA = 260, Lasts01SA = 500,
            Clears01SA = 640 }, data.GgFuses, data.Switchgear)!;
        Assert.Equal(320, plain.TripA(5)!.Value, 6);
        Assert.Equal(260, own.TripA(5)!.Value, 6);
        Assert.Equal(640, own.TripA(0.1)!.Value, 6);
    }

    [Fact]
    public void Fuses_for_semiconductors_pass_a_start_by_what_they_carry_and_are_not_judged_without()
    {
        var data = ReferenceCatalogue.Data;
        IReadOnlyList<StartMoment> Flat(double currentA, double timeS)
        {
            var state = new StartState(0, currentA, currentA, 400, 0, 0, 0, 0);
            return [new StartMoment(0, 0, 0, state), new StartMoment(timeS, 0, 0, state)];
        }

        DeviceGates Gates(Given slow, Given quick) =>
            DeviceGates.Of(new ProtectiveDevice.SemiconductorFuse(400, 96_000, 100, string.Empty) { Lasts10SA = slow, Lasts01SA = quick },
                data.GgFuses, data.Switchgear)!;
        Assert.Null(Gates(Given.Unknown, Given.Unknown).StartMarginPu(Flat(900, 10), 1));
        Assert.Equal(800.0 / 900, Gates(800, 1600).StartMarginPu(Flat(900, 10), 1)!.Value, 6);
        Assert.Equal(1600.0 / 1000, Gates(800, 1600).StartMarginPu(Flat(1000, 0.1), 1)!.Value, 6);

        // Longer than stated it carries less, down to its rating.
        Assert.InRange(Gates(800, 1600).StartMarginPu(Flat(500, 600), 1)!.Value, 400.0 / 500, 800.0 / 500);
        Assert.NotEmpty(Gates(800, 1600).Lasts());
        Assert.All(Gates(800, 1600).Clears(), p => Assert.Equal(96_000, p.CurrentA * p.CurrentA * p.TimeS, 1));
    }

    [Fact]
    public void A_device_of_the_list_is_taken_and_its_release_set_to_the_load()
    {
        var plant = Demo with { Devices = [Device("b-160", OwnDeviceKind.CircuitBreaker, 160) with { SettingFromA = 64 }] };
        var after = Assert.IsType<CommandOutcome.Done>(new TakeDevice(["dp-02"], "b-160").On(plant, Assessor)).After;
        var breaker = Assert.IsType<ProtectiveDevice.CircuitBreaker>(after.AllDrivePoints().Single(p => p.Id == "dp-02").Devices.Device);
        Assert.InRange(breaker.OverloadA, 64, 159);
        Assert.NotEqual(Verdict.Fails, Assessor.Run(after).Checks.Single(c =>
            c is { Id: "protection.device", DrivePointId: "dp-02" }).Verdict);
        Assert.IsType<CommandOutcome.Refused>(new TakeDevice(["dp-02"], "none").On(plant, Assessor));
    }

    [Fact]
    public void Rows_that_lack_what_their_kind_needs_are_named()
    {
        OwnDevice[] bad =
        [
            Device("a", OwnDeviceKind.Fuse, 63) with { BreakingKa = Given.Unknown },
            Device("b", OwnDeviceKind.CircuitBreaker, 63) with { MagneticPu = Given.Unknown },
            Device("c", OwnDeviceKind.SemiconductorFuse, 63) with { EnergyA2s = Given.Unknown },
            Device("d", OwnDeviceKind.Fuse, 63) with { Lasts10SA = 100 },
            Device("e", OwnDeviceKind.Fuse, 63) with { Lasts10SA = 400, Clears5SA = 300, Lasts01SA = 500, Clears01SA = 600 },
            Device("f", OwnDeviceKind.CircuitBreaker, 63) with { SettingFromA = 80 },
        ];
        var problems = SpecificationValidation.Problems(Demo with { Devices = [.. bad] }, ReferenceCatalogue.Data);
        Assert.Equal(Enumerable.Range(0, bad.Length),
            problems.Select(p => int.Parse(p.Pointer.Split('/')[2], System.Globalization.CultureInfo.InvariantCulture)).Distinct().Order());
        Assert.Empty(SpecificationValidation.Problems(Demo with { Devices = [Device("k", OwnDeviceKind.Contactor,
            65) with { BreakingKa = Given.Unknown }] }, ReferenceCatalogue.Data));
    }
}
