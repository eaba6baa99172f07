using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>How cables lie, what protects them, gearboxes and dips: put on a plant that was made before.</summary>
internal static class RandomProtection
{
    public static PlantSpecification On(PlantSpecification plant, Draw draw) => plant with
    {
        Cables = draw.Chance(70) ? Installation(draw) : null,
        Source = plant.Source with { EarthLoopOhm = draw.Chance(50) ? draw.Size(0.01, 5) : Given.Unknown },
        Distribution = plant.Distribution with
        {
            Buses = [.. plant.Distribution.Buses.Select(b => b with { Earthing = draw.One<EarthingSystem>() })],
            Transformers = [.. plant.Distribution.Transformers.Select(t =>
                t with { ZeroSequencePu = draw.Chance(40) ? draw.Even(0.05, 3) : Given.Unknown })],
            Links = [.. plant.Distribution.Links.Select(l => l is BusLink.Cable c
                ? c with { Installation = draw.Chance(30) ? Installation(draw) : null, Device = Device(draw) } : l)],
        },
        Converters = [.. plant.Converters.Select(c =>
            c with { LargestFuseA = draw.Chance(50) ? draw.One([50.0, 200, 630]) : Given.Unknown })],
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => Point(p, draw))] })],
    };

    private static DrivePoint Point(DrivePoint point, Draw draw) => point with
    {
        Devices = new SwitchingDevices(Device(draw), draw.Chance(50) ? draw.Size(9, 800) : Given.Unknown, draw.One<CoordinationType>()),
        Feeder = point.Feeder is Feeder.ByCable f
            ? f with { Installation = draw.Chance(30) ? Installation(draw) : null,
                ProtectiveMm2 = draw.Chance(30) ? draw.One([1.5, 6, 16, 95]) : Given.Unknown }
            : point.Feeder,
        Cable = point.Cable with { Installation = draw.Chance(30) ? Installation(draw) : null,
            ProtectiveMm2 = draw.Chance(30) ? draw.One([1.5, 6, 16, 95]) : Given.Unknown },
        Converter = point.Converter is ConverterChoice.FromCatalogue c
            ? c with { InDip = draw.One<DipBehaviour>(), RestartOrder = draw.Chance(40) ? draw.Whole(1, 20) : Given.Unknown }
            : point.Converter,
        Load = point.Load is MechanicalLoad m && draw.Chance(50)
            ? m with { Train = m.Train with { GearTorqueNm = draw.Size(5, 20_000), ServiceFactor = draw.Even(0.8, 2.5),
                GearThermalKw = draw.Chance(60) ? draw.Size(0.5, 300) : Given.Unknown } }
            : point.Load,
    };

    private static CableInstallation Installation(Draw draw) => new(
        draw.One<CableInsulation>(), draw.One<InstallationMethod>(), draw.Chance(40) ? Given.Unknown : draw.One([-10.0, 25, 40, 60]),
        draw.One<CableGrouping>(), draw.Whole(1, 9), draw.One<CableCores>());

    private static ProtectiveDevice Device(Draw draw)
    {
        var ratedA = draw.One([6.0, 16, 35, 63, 100, 160, 250, 400, 630, 1250]);
        var breakingKa = draw.One([6.0, 25, 50, 100]);
        return draw.Whole(0, 5) switch
        {
            0 => new ProtectiveDevice.NotChosen(),
            1 => new ProtectiveDevice.SemiconductorFuse(ratedA, 0.6 * ratedA * ratedA, breakingKa, string.Empty),
            2 => new ProtectiveDevice.CircuitBreaker(ratedA, draw.Even(0.4, 1) * ratedA, draw.One([5.0, 10, 13]), breakingKa,
                draw.Chance(50) ? 5000 * ratedA : Given.Unknown, string.Empty),
            3 => new ProtectiveDevice.MotorBreaker(ratedA, draw.Even(0.6, 1) * ratedA, draw.One<TripClass>(), 13, breakingKa,
                draw.Chance(50) ? 3000 * ratedA : Given.Unknown, string.Empty),
            _ => new ProtectiveDevice.Fuse(ratedA, breakingKa, string.Empty),
        };
    }
}
