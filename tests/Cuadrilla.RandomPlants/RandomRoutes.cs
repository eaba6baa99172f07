using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>Own devices, trays, places, filters and residual-current devices: put on a plant that was made before.</summary>
internal static class RandomRoutes
{
    public static PlantSpecification On(PlantSpecification plant, Draw draw)
    {
        var places = Enumerable.Range(0, draw.Whole(2, 7))
            .Select(i => new Place($"place-{i}", $"place {i}", draw.Even(-50, 50), draw.Even(-50, 50))).ToList();
        var segments = new List<TraySegment>();
        foreach (var i in Enumerable.Range(0, draw.Whole(0, 9)))
        {
            var from = draw.Whole(0, places.Count - 1);
            var to = (from + draw.Whole(1, places.Count - 1)) % places.Count;
            segments.Add(new TraySegment(
                $"tray-{i}", $"tray {i}", places[from].Id, places[to].Id, draw.Chance(60) ? draw.Size(1, 200) : Given.Unknown,
                draw.Chance(50) ? 300 : Given.Unknown, draw.One<TrayKind>(),
                draw.One<TrayUse>(), draw.Chance(20), draw.Chance(40)
                    ? draw.Size(10, 500)
                    : Given.Unknown, i > 0 && draw.Chance(40) ? $"tray-{draw.Whole(0, i - 1)}" : string.Empty,
                draw.Chance(70) ? draw.Even(0, 500) : Given.Unknown));
        }

        string Somewhere() => draw.Chance(70) ? draw.One(places).Id : string.Empty;
        ResidualDevice Residual() => draw.Chance(60)
            ? ResidualDevice.NotStated
            : new ResidualDevice(draw.One<ResidualKind>(), draw.Chance(70) ? draw.One([30.0, 300, 1000]) : Given.Unknown);
        var cables = Enumerable.Range(0, draw.Whole(0, 8))
            .Select(i => new SignalCable($"cable-{i}", $"W{i}", draw.One<SignalKind>(), draw.One<ReceiverScreen>(), Somewhere(),
                Somewhere())).ToList();
        List<CableWay> ways = [.. cables.Where(_ => segments.Count > 0 && draw.Chance(25))
            .Select(c => new CableWay(c.Id, [draw.One(segments).Id]))];
        return plant with
        {
            Devices = [.. Enumerable.Range(0, draw.Whole(0, 6)).Select(i => Device(draw, i))],
            Conventions = plant.Conventions with { Environment = draw.One<EmcEnvironment>(), Separation = draw.One<SeparationRules>() },
            Routes = new PlantRoutes([.. places], [.. segments], [.. cables], [.. ways]),
            Distribution = plant.Distribution with { Buses = [.. plant.Distribution.Buses.Select(b =>
                b with { InsulationMonitored = draw.Chance(50) })] },
            Lineups =
            [
                .. plant.Lineups.Select(l => l with
                {
                    PlaceId = Somewhere(),
                    Residual = Residual(),
                    DcBuses = [.. l.DcBuses.Select(b => b with { EmcFilter = draw.One<EmcFilter>(), LinksOpen = draw.Chance(30) })],
                    DrivePoints =
                    [
                        .. l.DrivePoints.Select(p => p with
                        {
                            Interference = new PointInterference(
                                draw.One<EmcFilter>(), draw.Chance(30), Residual(), draw.Chance(30), draw.Chance(30), draw.Chance(30),
                                draw.Chance(30), draw.Chance(30), Somewhere(), Somewhere()),
                        }),
                    ],
                }),
            ],
        };
    }

    private static OwnDevice Device(Draw draw, int i)
    {
        var kind = draw.One<OwnDeviceKind>();
        var ratedA = draw.One([10.0, 63, 160, 400]);
        var (fuse, curve) = (kind == OwnDeviceKind.Fuse, kind is OwnDeviceKind.Fuse or OwnDeviceKind.SemiconductorFuse && draw.Chance(50));
        Given Curve(bool has, double pu) => curve && has ? pu * ratedA : Given.Unknown;
        return new OwnDevice(
            $"own-device-{i}", $"device {i}", "drawn", "1", kind, ratedA, draw.One([400.0, 690]), 50, draw.Chance(50)
                ? 0.5 * ratedA
                : Given.Unknown, draw.One<TripClass>(), 12,
            0.7 * ratedA * ratedA, Curve(true, 3), Curve(fuse, 6), Curve(true, 7), Curve(fuse, 14), draw.Chance(50)
                ? 1.3 * ratedA
                : Given.Unknown);
    }
}
