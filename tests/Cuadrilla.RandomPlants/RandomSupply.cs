using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.RandomPlants;

/// <summary>Source, distribution, scenarios and project values of a random plant.</summary>
internal static class RandomSupply
{
    public static Source Source(Draw draw, string busId, double frequencyHz) => new(
        busId,
        frequencyHz,
        draw.Whole(0, 9) switch
        {
            0 => new SourceStrength.NotStated(),
            1 => new SourceStrength.AssumedInfinite(),
            2 or 3 => new SourceStrength.Generator(draw.MaybeSize(50, 5000), draw.MaybeEven(8, 25),
                draw.Chance(50) ? Given.Unknown : draw.Even(8, 30), draw.MaybeEven(5, 40)),
            _ => new SourceStrength.FaultLevel(draw.MaybeSize(5, 1000), Given.Unknown, draw.MaybeEven(1, 30)),
        },
        draw.Chance(60) ? Given.Unknown : draw.One([0.0, 1, 2, 3.5, 6]),
        draw.Chance(60) ? Given.Unknown : draw.One([0.0, 1.5, 3, -2]),
        draw.Chance(60) ? Given.Unknown : draw.One([0.0, 1, 2]));

    public static Distribution Distribution(Draw draw)
    {
        var lowV = draw.One(RandomPlant.LowVoltagesV);
        var buses = new List<Bus>();
        var transformers = new List<Transformer>();
        var links = new List<BusLink>();
        if (draw.Chance(20))
        {
            buses.Add(Bus(draw, "bus-0", lowV));
        }
        else
        {
            buses.Add(Bus(draw, "bus-hv", draw.One([4160.0, 10_000, 13_800, 20_000, 33_000])));
            for (var i = 0; i < draw.Whole(1, 2); i++)
            {
                var bus = Bus(draw, $"bus-{i}", draw.Chance(70) ? lowV : draw.One(RandomPlant.LowVoltagesV));
                buses.Add(bus);
                transformers.Add(Transformer(draw, $"t{i}", "bus-hv", bus.Id));
            }
        }

        var first = buses.First(b => b.NominalVoltageV <= 1000);
        if (draw.Chance(40))
        {
            buses.Add(Bus(draw, "bus-board", first.NominalVoltageV));
            links.Add(new BusLink.Cable(
                "cable-board", "cable to the board", first.Id, "bus-board", true, draw.MaybeSize(5, 400),
                draw.Maybe(draw.One([16.0, 50, 95, 240])), draw.Whole(1, 3), draw.One<ConductorMaterial>(),
                draw.One<CableLaying>()));
        }

        var second = buses.LastOrDefault(b => b.NominalVoltageV == first.NominalVoltageV && b.Id != first.Id && b.Id != "bus-board");
        if (second is not null)
        {
            links.Add(new BusLink.Coupler("coupler", "coupler", first.Id, second.Id, false));
        }

        var low = buses.Where(b => b.NominalVoltageV <= 1000).ToList();
        var banks = Enumerable.Range(0, draw.One([0, 0, 1, 2])).Select(i => new CapacitorBank(
            $"bank-{i}", $"bank {i}", draw.One(low).Id, draw.Size(1, 100), draw.Whole(1, 6), draw.Chance(35)
                ? Given.Unknown
                : draw.One([4.0, 100.0 / 9, 5.67, 7, 14, 4.1]))).ToList();
        var loads = Enumerable.Range(0, draw.Whole(0, 3)).Select(i => Load(draw, $"load-{i}", draw.One(low).Id)).ToList();
        return new Distribution([.. buses], [.. transformers], [.. links], [.. banks], [.. loads])
        {
            ActiveFilters = draw.Chance(10) ? [new ActiveFilter("filter-0", "filter", draw.One(low).Id, draw.Size(10, 400))] : [],
        };
    }

    public static ValueList<Scenario> Scenarios(Draw draw, PlantSpecification plant)
    {
        var scenarios = new List<Scenario> { Scenario.AsUsual("usual", "as usual") };
        for (var i = 0; i < draw.Whole(0, 2); i++)
        {
            var nothing = draw.Chance(15);
            var scenario = new Scenario(
                $"scenario-{i}", nothing ? "nothing runs" : $"scenario {i}",
                [.. plant.AllDrivePoints().Select(p =>
                    new DrivePointState(p.Id, !nothing && draw.Chance(75), draw.One([0.05, 0.3, 0.6, 1, 1.2]),
                        draw.One([0.0, 0.5, 1, 1.3])))],
                [.. plant.Distribution.Loads.Select(l => new LoadState(l.Id, nothing ? 0 : draw.One([0.0, 0.4, 1, 2])))],
                [.. plant.Distribution.Links.Where(_ => draw.Chance(40)).Select(l => new SwitchState(l.Id, draw.Chance(50)))],
                [.. plant.Distribution.CapacitorBanks.Select(b => new BankState(b.Id, draw.Whole(0, b.Steps)))]);
            scenarios.Add(SupplyNetwork.PhaseConflicts(plant.Distribution, scenario, plant.Source.BusId).Any()
                ? scenario with { Switches = [] }
                : scenario);
        }

        return [.. scenarios];
    }

    // Defaults that came after the plants of the first seeds were named.
    private static readonly HashSet<string> Later = new(StringComparer.Ordinal) { "eddy-dry-pct", "eddy-oil-pct", "stray-oil-pct",
        "cable-drop-public-pct", "cable-drop-own-pct", "cable-drop-start-pct", "dip-to-ride-ms", "link-low-pu" };

    /// <summary>Project values; those that came later are drawn by themselves.</summary>
    public static ValueList<DefaultOverride> Overrides(Draw draw, EngineeringData data, bool later = false) =>
    [
        .. data.Defaults.Where(d => Later.Contains(d.Key) == later && draw.Chance(4))
        .Select(d => new DefaultOverride(d.Key, draw.One([d.Min, d.Max, (d.Min + d.Max) / 2]), "tried")),
    ];

    private static Bus Bus(Draw draw, string id, double volts) =>
        new(id, $"{id} {volts} V", volts, draw.Chance(50) ? Given.Unknown : draw.One([10.0, 25, 36, 50, 65]));

    private static Transformer Transformer(Draw draw, string id, string from, string to)
    {
        var kva = draw.One([25.0, 100, 250, 630, 1000, 1600, 2500]);
        var uk = draw.Even(3.5, 8);
        return new Transformer(
            id, $"transformer {id}", from, to, kva, uk, Math.Min(0.012 * kva, 0.9 * uk / 100 * kva), 0.0015 * kva, draw.One<VectorGroup>(),
            draw.One<TransformerCooling>(),
            draw.MaybeEven(0, 0.2), draw.MaybeEven(0, 0.2));
    }

    private static BusLoad Load(Draw draw, string id, string busId) => draw.Whole(0, 2) switch
    {
        0 => new BusLoad.Linear(id, id, busId, draw.One([0, draw.Size(1, 400)]), draw.Even(0.5, 1)),
        1 => new BusLoad.LineMotor(
            id, id, busId, draw.Size(0.5, 300), draw.Even(70, 96), draw.Even(0.6, 0.9), draw.Even(0, 110), draw.Even(4, 9),
            draw.MaybeEven(0.15, 0.6), draw.One([0.0, 0.5, 4])),
        _ => new BusLoad.SinglePhaseGroup(id, id, busId, draw.Size(0.5, 80), draw.Even(0.6, 1), draw.MaybeEven(0, 60),
            draw.MaybeEven(0, 70), draw.MaybeSize(5, 400)),
    };
}
