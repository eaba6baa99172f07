using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>A lineup: single drives, a group, a common DC bus, a shared shaft or a follower.</summary>
internal static class RandomLineup
{
    public static Lineup Of(Draw draw, RandomChoices choices, EngineeringData data, int index, int firstPoint, int count, Bus bus)
    {
        var points = Enumerable.Range(firstPoint, count).Select(i => Point(draw, choices, i)).ToList();
        var lineup = new Lineup($"l{index}", $"L{index + 1}", $"Lineup {index + 1}", bus.Id, [.. points], [], [], string.Empty,
            string.Empty, []);
        if (count < 2)
        {
            return lineup;
        }

        return draw.Whole(0, 7) switch
        {
            0 => Group(draw, choices, lineup),
            1 or 2 => DcBus(draw, choices, data, lineup),
            3 => lineup with { Arrangements = [Shaft(draw, lineup)] },
            4 => lineup with { Arrangements = [Follower(draw, lineup)] },
            _ => lineup,
        };
    }

    private static DrivePoint Point(Draw draw, RandomChoices choices, int i)
    {
        var (motor, kw, rpm) = choices.Motor();
        return new DrivePoint(
            $"p{i}", $"P-{i:00}", $"Point {i}",
            draw.Chance(50)
                ? new Feeder.OnBusbar()
                : new Feeder.ByCable(draw.MaybeSize(1, 200), draw.Maybe(draw.One([1.5, 6, 25, 95, 240])), draw.Whole(1, 2),
                    draw.One<ConductorMaterial>()),
            choices.Converter(kw),
            new MotorCable(draw.MaybeSize(1, 300), draw.Maybe(draw.One([1.5, 4, 16, 70, 240])), draw.Whole(1, 2),
                draw.One<ConductorMaterial>(), draw.Chance(60)),
            motor,
            RandomLoads.Of(draw, kw, rpm),
            draw.Chance(90) ? [] : [new SkipBand(0.4 * rpm, 0.6 * rpm)],
            draw.Chance(80) ? new HoldingBrake.None() : Brake(draw, kw, rpm));
    }

    private static HoldingBrake.SpringApplied Brake(Draw draw, double kw, double rpm) => new(
        draw.Maybe(Math.Max(0.01, draw.One([0.3, 1.5, 3]) * kw * 1e3 / (2 * Math.PI * rpm / 60))), draw.MaybeSize(10, 500),
        draw.MaybeSize(10, 500), draw.MaybeSize(100, 1e6), draw.MaybeSize(10, 1e5),
        new BrakeCoil(draw.Maybe(draw.One([24.0, 103, 190])), draw.MaybeSize(5, 300), draw.MaybeSize(5, 200), draw.MaybeEven(0.5, 10),
            draw.One<CoilSuppression>()),
        new BrakeControl(
            draw.One<BrakeCommand>(), draw.MaybeEven(0, 120), draw.MaybeSize(10, 800), draw.MaybeEven(0.5, 10), draw.Chance(50)
                ? Given.Unknown
                : draw.Size(0.05, 5), draw.MaybeSize(10, 800), draw.Chance(50),
            draw.Chance(50)));

    private static Lineup Group(Draw draw, RandomChoices choices, Lineup lineup)
    {
        var members = lineup.DrivePoints.Select((p, i) =>
        {
            var (motor, kw, _) = choices.Motor(cage: draw.Chance(90));
            ConverterChoice converter = i > 0
                ? new ConverterChoice.OfGroup()
                : draw.Chance(10) ? new ConverterChoice.NotChosen()
                    : choices.FromCatalogue(choices.Near(4 * kw, c => c.Kind == ConverterKind.SixPulse).Id);
            return p with { Motor = motor, Converter = converter };
        }).ToList();
        var group = new MotorGroup(
            $"{lineup.Id}-group", "Group",
            [.. members.Select(m => new GroupMember(m.Id, draw.Whole(1, 12), draw.One<MotorProtection>(), draw.One<TripClass>(),
                draw.Chance(60), draw.Chance(40)))],
            draw.Chance(50) ? Given.Unknown : draw.Even(30, 100), string.Empty);
        return lineup with { DrivePoints = [.. members], Arrangements = [group] };
    }

    private static Lineup DcBus(Draw draw, RandomChoices choices, EngineeringData data, Lineup lineup)
    {
        var points = lineup.DrivePoints.Select(p => draw.Chance(10)
            ? p
            : p with { Converter = choices.FromCatalogue(choices.Near(15, c => c.Kind == ConverterKind.InverterModule).Id) }).ToList();
        ServoControl control = draw.Chance(70)
            ? new ServoControl.None()
            : new ServoControl.Modular(
                draw.Maybe(6), draw.Chance(50), draw.Maybe(20), draw.Maybe(1), draw.Maybe(1), draw.Maybe(0.5), draw.Chance(50),
                draw.Chance(50) ? Given.Unknown : 5000, draw.Maybe(300),
                [.. points.Select(_ => draw.Whole(0, 2))], string.Empty);
        var bus = new CommonDcBus(
            $"{lineup.Id}-dc", "DC bus", [.. points.Select(p => p.Id)], draw.Chance(10)
                ? string.Empty
                : draw.One([.. data.SupplyModules.Values.Where(m => m.RatedVoltageV == 400 && m.RatedKw <= 500).Select(m => m.Id)]),
                draw.Chance(40) ? Given.Unknown : draw.Size(1, 100),
            draw.Chance(40)
                ? Given.Unknown
                : draw.Size(0.1, 20), draw.Maybe(draw.One([50.0, 200, 800])), draw.Chance(40) ? Given.Unknown : draw.Size(0.1, 30),
                string.Empty, control);
        return lineup with { DrivePoints = [.. points], DcBuses = [bus] };
    }

    private static SharedShaft Shaft(Draw draw, Lineup lineup) => new(
        $"{lineup.Id}-shaft", "Shaft",
        [.. lineup.DrivePoints.Take(8).Select(p => new ShaftUnit(p.Id, draw.MaybeEven(0.5, 8), draw.MaybeEven(-1, 1)))],
        draw.Whole(0, 3) switch
        {
            0 => new SharingMethod.Droop(),
            1 => new SharingMethod.TorqueFollower(draw.MaybeEven(0, 10), draw.MaybeEven(1, 20)),
            2 => new SharingMethod.SpeedFollower(),
            _ => new SharingMethod.SpeedTrim(draw.MaybeEven(0.5, 5), draw.MaybeEven(50, 200)),
        },
        draw.Chance(50) ? new ShaftCoupling.Rigid() : new ShaftCoupling.Elastic(draw.MaybeSize(1, 1e5), draw.MaybeSize(0.01, 100)),
        draw.Chance(50) ? Given.Unknown : draw.Size(1, 1000), string.Empty);

    private static RatioFollower Follower(Draw draw, Lineup lineup)
    {
        RatioAxis Axis(string id) => new(id, draw.Maybe(draw.One([1.0, 60, 1024])), draw.MaybeEven(0.5, 50), draw.MaybeSize(0.01, 100), "L",
            draw.Maybe(draw.One([0.0, 100])), draw.Maybe(1500));
        return new RatioFollower(
            $"{lineup.Id}-ratio", "Follower", Axis(lineup.DrivePoints[0].Id), Axis(lineup.DrivePoints[1].Id), draw.MaybeSize(0.001, 100),
            draw.Whole(0, 4), draw.Maybe(9999), draw.MaybeSize(100, 1e5),
            draw.MaybeSize(0.01, 2), draw.Chance(50)
                ? Given.Unknown
                : draw.Size(0.1, 30), draw.Chance(50) ? Given.Unknown : draw.Size(0.1, 30), string.Empty);
    }
}
