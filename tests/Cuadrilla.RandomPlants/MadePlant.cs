using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>A made plant of any size: the demo's supply, every drive point different in load, cable and choke.</summary>
public static class MadePlant
{
    private static readonly double Golden = (Math.Sqrt(5) - 1) / 2;

    /// <summary>One bus, the demo's others beside it.</summary>
    /// <param name="demo">The demo plant.</param>
    /// <param name="drivePoints">How many.</param>
    public static PlantSpecification Of(PlantSpecification demo, int drivePoints)
    {
        ArgumentNullException.ThrowIfNull(demo);
        var fan = (FanLoad)demo.Lineups[0].DrivePoints[0].Load;
        var points = Enumerable.Range(0, drivePoints).Select(i => Point(demo.Lineups[0].DrivePoints[0], fan, i)).ToList();
        return demo with
        {
            Name = $"Made plant of {drivePoints}",
            Scenarios = [Scenario.AsUsual("all", "all running")],
            Distribution = demo.Distribution with
            {
                Transformers = [.. demo.Distribution.Transformers.Select(t =>
                    t with { RatedKva = 40.0 * drivePoints, LoadLossKw = 0.35 * drivePoints })],
            },
            Lineups = [.. points.Chunk(20).Select((chunk, i) =>
                new Lineup($"l{i}", $"L{i + 1}", $"Lineup {i + 1}", "bus-a", [.. chunk], [], [], string.Empty, string.Empty, []))],
        };
    }

    /// <summary>
    /// A plant of many buses: two transformers of different hour for every 50 drive points, distribution boards on cables behind them, a
    /// detuned bank, and scenarios that switch lineups off and levels down.
    /// </summary>
    /// <param name="demo">The demo plant.</param>
    /// <param name="drivePoints">How many.</param>
    /// <param name="boards">Buses of low voltage.</param>
    /// <param name="scenarios">Scenarios.</param>
    public static PlantSpecification OfManyBuses(PlantSpecification demo, int drivePoints, int boards, int scenarios)
    {
        var plant = Of(demo, drivePoints);
        var pattern = demo.Distribution;
        var lowVoltage = pattern.Buses.First(b => b.Id == "bus-a");
        var transformer = pattern.Transformers[0];
        var cable = pattern.Links.OfType<BusLink.Cable>().First();
        var transformers = Math.Max(2, drivePoints / 25);
        var mains = Enumerable.Range(0, transformers).Select(i => lowVoltage with { Id = $"main-{i}", Name = $"Main {i + 1}" }).ToList();
        var others = Enumerable.Range(0, Math.Max(0, boards - transformers))
            .Select(i => lowVoltage with { Id = $"board-{i}", Name = $"Board {i + 1}" }).ToList();
        List<Bus> low = [.. mains, .. others];
        var chunks = plant.AllDrivePoints().Chunk(Math.Max(1, drivePoints / low.Count)).ToList();
        return plant with
        {
            Name = $"Made plant of {drivePoints} on {low.Count} buses",
            Distribution = pattern with
            {
                Buses = [.. pattern.Buses.Where(b => b.NominalVoltageV > 1000), .. low],
                Transformers =
                [
                    .. mains.Select((m, i) => transformer with
                    {
                        Id = $"t-{i}", Name = $"T{i + 1}", ToBusId = m.Id, RatedKva = 40.0 * 25, VectorGroup = i % 2 == 0
                            ? VectorGroup.Dyn11
                            : VectorGroup.Dd0, LoadLossKw = 9,
                    }),
                ],
                Links = [.. others.Select((o, i) =>
                    cable with { Id = $"c-{i}", Name = $"Cable {i + 1}", FromBusId = mains[i % transformers].Id, ToBusId = o.Id,
                        LengthM = 30 + i })],
                CapacitorBanks = [pattern.CapacitorBanks[0] with { BusId = "main-0", DetuningPct = 7 }],
                Loads = [],
                ActiveFilters = [],
            },
            Pcc = demo.Pcc,
            Scenarios =
            [
                .. Enumerable.Range(0, scenarios).Select(k => Scenario.AsUsual($"s{k}", $"Scenario {k + 1}") with
                {
                    States = [.. plant.AllDrivePoints().Where((_, i) => k > 0 && i % (k + 1) == 0)
                        .Select(p => new DrivePointState(p.Id, false, 1, 1))],
                }),
            ],
            Lineups = [.. chunks.Select((chunk, i) =>
                new Lineup($"l{i}", $"L{i + 1}", $"Lineup {i + 1}", low[i % low.Count].Id, [.. chunk], [], [], string.Empty,
                    string.Empty, []))],
        };
    }

    private static DrivePoint Point(DrivePoint pattern, FanLoad fan, int i)
    {
        var kw = new[] { 7.5, 11, 15, 22, 30, 37, 45, 55 }[i % 8];

        // Never twice the same, and spread alike however many there are.
        var spread = i * Golden % 1;
        var key = kw.ToString(System.Globalization.CultureInfo.InvariantCulture);
        var common = fan.Common with
        {
            RatedFlowM3PerS = kw * (0.78 + (0.12 * spread)) * 1e3 * 0.835 / 2900,
            StaticFraction = 0.05 + (0.2 * spread),
            InertiaKgM2 = 0.05 * kw,
        };
        return pattern with
        {
            Id = $"p{i}",
            Tag = $"DP-{i + 1:000}",
            Name = $"Fan {i + 1}",
            Cable = pattern.Cable with { LengthM = 20 + (200 * spread) },
            Motor = new MotorChoice.FromCatalogue($"cage-4p-ie{3 + (i % 2)}-{key}", MotorCooling.OwnFan, ThermalClass.F,
                MotorConnection.Fitting, false, string.Empty),
            Converter = new ConverterChoice.FromCatalogue($"six-pulse-{(i % 3 == 0 ? "plain" : "choke")}-{key}", OverloadDuty.Light, 4,
                string.Empty, new Braking.Nothing()),
            Load = fan with { Common = common },
        };
    }
}
