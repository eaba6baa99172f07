using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Entries of source, buses, transformers, links, capacitors and other loads.</summary>
internal static class SupplyValidation
{
    /// <summary>Highest voltage of a bus from which a lineup may hang, V.</summary>
    private const double LowVoltageV = 1000;

    private const int MaxElements = 60;

    public static void Check(PlantSpecification plant, ProblemList p)
    {
        var d = plant.Distribution;
        Source(plant, p);
        p.Require(d.Buses.Count is >= 1 and <= MaxElements, "/distribution/buses", "Number of buses", $"{d.Buses.Count}",
            $"1 to {MaxElements}");
        var ids = new HashSet<string>(StringComparer.Ordinal);
        Each(d.Buses, "/distribution/buses", b => b.Id, ids, p, (_, _, _) => { });
        Each(d.Transformers, "/distribution/transformers", t => t.Id, ids, p, (t, at, list) => Transformer(plant, t, at, list));
        Each(d.Links, "/distribution/links", l => l.Id, ids, p, (l, at, list) => Link(plant, l, at, list));
        Each(d.CapacitorBanks, "/distribution/capacitorBanks", c => c.Id, ids, p,
            (c, at, list) => KnownBus(plant, at + "/busId", c.BusId, list));
        Each(d.ActiveFilters, "/distribution/activeFilters", f => f.Id, ids, p,
            (f, at, list) => KnownBus(plant, at + "/busId", f.BusId, list, lowVoltage: true));
        Each(d.Loads, "/distribution/loads", l => l.Id, ids, p, (l, at, list) => KnownBus(plant, at + "/busId", l.BusId, list));
        KnownBus(plant, "/source/busId", plant.Source.BusId, p);
        KnownBus(plant, "/pcc/busId", plant.Pcc.BusId, p);
    }

    public static void KnownBus(PlantSpecification plant, string pointer, string busId, ProblemList p, bool lowVoltage = false)
    {
        var bus = plant.Distribution.Buses.FirstOrDefault(b => b.Id == busId);
        p.Require(bus is not null, pointer, "Bus", $"'{busId}'", "a bus of this plant");
        if (bus is not null && lowVoltage)
        {
            p.Require(bus.NominalVoltageV <= LowVoltageV, pointer, "Bus of a lineup", $"'{bus.Name}' with {bus.NominalVoltageV} V",
                $"a bus of up to {LowVoltageV} V");
        }
    }

    private static void Each<T>(
        IReadOnlyList<T> items, string at, Func<T, string> key, HashSet<string> ids, ProblemList p, Action<T, string, ProblemList> check)
    {
        p.Require(items.Count <= MaxElements, at, "Number of elements", $"{items.Count}", $"up to {MaxElements}");
        for (var i = 0; i < items.Count; i++)
        {
            p.Unique($"{at}/{i}/id", "Key", key(items[i]), ids);
            check(items[i], $"{at}/{i}", p);
        }
    }

    private static void Source(PlantSpecification plant, ProblemList p)
    {
        switch (plant.Source.Strength)
        {
            case SourceStrength.FaultLevel { ShortCircuitMva: { IsKnown: true } most } fault:
                p.Within<SourceStrength.FaultLevel>("/source/strength", nameof(fault.LeastMva), fault.LeastMva, 0, most.Value);
                break;
            case SourceStrength.Generator { RatedKva: { IsKnown: true } rated } generator:
                p.Within<SourceStrength.Generator>("/source/strength", nameof(generator.RatedKw), generator.RatedKw, 0, rated.Value);
                break;
        }

        Sets((plant.Source.Strength as SourceStrength.Generator)?.Sets, "/source/strength/sets", p);
        if (plant.Standby is { } standby)
        {
            KnownBus(plant, "/standby/busId", standby.BusId, p);
            Sets(standby.Generator.Sets, "/standby/generator/sets", p);
            if (standby.Generator.RatedKva is { IsKnown: true } standbyKva)
            {
                p.Within<SourceStrength.Generator>("/standby/generator", nameof(standby.Generator.RatedKw), standby.Generator.RatedKw, 0,
                    standbyKva.Value);
            }
        }

        p.Require(plant.Standby is not null || !plant.Scenarios.Any(s => s.OnStandby), "/scenarios", "Scenario on the standby generator",
            "given", "none without a standby generator");
        p.Require(plant.Scenarios.Any(s => !s.OnStandby), "/scenarios", "Scenarios on the mains", "none", "at least one");
        if (plant.Source.HighestPct.IsKnown)
        {
            p.Within<Source>("/source", nameof(plant.Source.LowestPct), plant.Source.LowestPct, 0, plant.Source.HighestPct.Value);
        }

        foreach (var (further, i) in plant.Source.FurtherBackground.Select((b, i) => (b, i)))
        {
            var at = $"/source/furtherBackground/{i}";
            p.Require(
                BackgroundOrder.Orders.Contains(further.Order), at + "/order", "Order of the background",
                further.Order.ToString(CultureInfo.InvariantCulture),
                $"one of {string.Join(", ", BackgroundOrder.Orders)}");
            p.Require(
                plant.Source.FurtherBackground.Count(b => b.Order == further.Order) == 1, at + "/order", "Order of the background",
                $"{further.Order} twice", "each order once");
        }
    }

    private static void Sets(Given? sets, string at, ProblemList p) =>
        p.Require(sets is not { IsKnown: true } s || double.IsInteger(s.Value), at, "Sets in parallel",
            sets is { IsKnown: true } n ? n.ToString() : "open", "a whole number");

    private static void Transformer(PlantSpecification plant, Transformer t, string at, ProblemList p)
    {
        KnownBus(plant, at + "/fromBusId", t.FromBusId, p);
        KnownBus(plant, at + "/toBusId", t.ToBusId, p);
        p.Require(t.FromBusId != t.ToBusId, at + "/toBusId", "Fed bus", "the same bus", "another bus");
        p.Within<Transformer>(at, nameof(t.LoadLossKw), t.LoadLossKw, 0, Math.Max(0, t.UkPct / 100 * t.RatedKva * 0.99));
        p.Within<Transformer>(at, nameof(t.NoLoadLossKw), t.NoLoadLossKw, 0, Math.Max(0, 0.05 * t.RatedKva));
    }

    private static void Link(PlantSpecification plant, BusLink link, string at, ProblemList p)
    {
        if (link is BusLink.Cable cable)
        {
            DrivePointValidation.DeviceRelations(cable.Device, at + "/device", p);
        }

        KnownBus(plant, at + "/fromBusId", link.FromBusId, p);
        KnownBus(plant, at + "/toBusId", link.ToBusId, p);
        p.Require(link.FromBusId != link.ToBusId, at + "/toBusId", "Other end", "the same bus", "another bus");
        var from = plant.Distribution.Buses.FirstOrDefault(b => b.Id == link.FromBusId);
        var to = plant.Distribution.Buses.FirstOrDefault(b => b.Id == link.ToBusId);
        if (from is not null && to is not null)
        {
            p.Require(
                from.NominalVoltageV == to.NominalVoltageV, at + "/toBusId", "Voltage at the other end", $"{to.NominalVoltageV} V",
                $"{from.NominalVoltageV} V as at the first");
        }
    }
}
