using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;

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
        p.Require(d.Buses.Count is >= 1 and <= MaxElements, "/distribution/buses", "Number of buses", $"{d.Buses.Count}", $"1 to {MaxElements}");
        var ids = new HashSet<string>(StringComparer.Ordinal);
        Each(d.Buses, "/distribution/buses", b => (b.Id, b.Name), ids, p, Bus);
        Each(d.Transformers, "/distribution/transformers", t => (t.Id, t.Name), ids, p, (t, at, list) => Transformer(plant, t, at, list));
        Each(d.Links, "/distribution/links", l => (l.Id, l.Name), ids, p, (l, at, list) => Link(plant, l, at, list));
        Each(d.CapacitorBanks, "/distribution/capacitorBanks", c => (c.Id, c.Name), ids, p, (c, at, list) => Bank(plant, c, at, list));
        Each(d.ActiveFilters, "/distribution/activeFilters", f => (f.Id, f.Name), ids, p, (f, at, list) => Filter(plant, f, at, list));
        Each(d.Loads, "/distribution/loads", l => (l.Id, l.Name), ids, p, (l, at, list) => Load(plant, l, at, list));
        KnownBus(plant, "/source/busId", plant.Source.BusId, p);
        KnownBus(plant, "/pcc/busId", plant.Pcc.BusId, p);
        p.Number("/pcc/maximumDemandKva", "Maximum demand", plant.Pcc.MaximumDemandKva, 0, 1_000_000, "kVA", minExcluded: true);
    }

    public static void KnownBus(PlantSpecification plant, string pointer, string busId, ProblemList p, bool lowVoltage = false)
    {
        var bus = plant.Distribution.Buses.FirstOrDefault(b => b.Id == busId);
        p.Require(bus is not null, pointer, "Bus", $"'{busId}'", "a bus of this plant");
        if (bus is not null && lowVoltage)
        {
            p.Require(bus.NominalVoltageV <= LowVoltageV, pointer, "Bus of a lineup", $"'{bus.Name}' with {bus.NominalVoltageV} V", $"a bus of up to {LowVoltageV} V");
        }
    }

    private static void Each<T>(
        IReadOnlyList<T> items, string at, Func<T, (string Id, string Name)> named, HashSet<string> ids, ProblemList p, Action<T, string, ProblemList> check)
    {
        p.Require(items.Count <= MaxElements, at, "Number of elements", $"{items.Count}", $"up to {MaxElements}");
        for (var i = 0; i < items.Count; i++)
        {
            var (id, name) = named(items[i]);
            p.Words($"{at}/{i}/id", "Key", id, 1, 60);
            p.Unique($"{at}/{i}/id", "Key", id, ids);
            p.Words($"{at}/{i}/name", "Name", name, 1, 60);
            check(items[i], $"{at}/{i}", p);
        }
    }

    private static void Source(PlantSpecification plant, ProblemList p)
    {
        p.Number("/source/frequencyHz", "Frequency", plant.Source.FrequencyHz, 45, 65, "Hz");
        if (plant.Source.Strength is SourceStrength.FaultLevel fault)
        {
            p.Number("/source/strength/shortCircuitMva", "Fault level", fault.ShortCircuitMva, 0.01, 100_000, "MVA");
            p.Number("/source/strength/leastMva", "Least fault level", fault.LeastMva, 0.01, fault.ShortCircuitMva.IsKnown ? fault.ShortCircuitMva.Value : 100_000, "MVA");
            p.Number("/source/strength/xrRatio", "X/R of the source", fault.XrRatio, 0.1, 100, string.Empty);
        }

        if (plant.Source.Strength is SourceStrength.Generator generator)
        {
            p.Number("/source/strength/ratedKva", "Generator rating", generator.RatedKva, 1, 500_000, "kVA");
            p.Number("/source/strength/subtransientPct", "Subtransient reactance", generator.SubtransientPct, 3, 60, "%");
            p.Number("/source/strength/ratedKw", "Active power of the generator", generator.RatedKw, 0.5, generator.RatedKva.IsKnown ? generator.RatedKva.Value : 500_000, "kW");
            p.Number("/source/strength/transientPct", "Transient reactance", generator.TransientPct, 3, 100, "%");
            p.Number("/source/strength/governingClass", "Governing class", generator.GoverningClass, 1, 3, string.Empty);
            p.Number("/source/strength/negativeSequencePct", "Negative-sequence reactance", generator.NegativeSequencePct, 3, 60, "%");
            p.Number("/source/strength/xrRatio", "X/R of the generator", generator.XrRatio, 0.1, 100, string.Empty);
        }

        p.Number("/source/lowestPct", "Lowest voltage of the source", plant.Source.LowestPct, 70, plant.Source.HighestPct.IsKnown ? plant.Source.HighestPct.Value : 130, "%");
        p.Number("/source/highestPct", "Highest voltage of the source", plant.Source.HighestPct, 70, 130, "%");
        p.Number("/source/unbalancePct", "Unbalance", plant.Source.UnbalancePct, 0, 10, "%");
        p.Number("/source/backgroundV5Pct", "Background 5th", plant.Source.BackgroundV5Pct, -15, 15, "%");
        p.Number("/source/backgroundV7Pct", "Background 7th", plant.Source.BackgroundV7Pct, -15, 15, "%");
        p.Number("/source/backgroundV5Deg", "Angle of the background 5th", plant.Source.BackgroundV5Deg, -360, 360, "°");
        p.Number("/source/backgroundV7Deg", "Angle of the background 7th", plant.Source.BackgroundV7Deg, -360, 360, "°");
        foreach (var (further, i) in plant.Source.FurtherBackground.Select((b, i) => (b, i)))
        {
            var at = $"/source/furtherBackground/{i}";
            p.Require(
                BackgroundOrder.Orders.Contains(further.Order), at + "/order", "Order of the background", further.Order.ToString(CultureInfo.InvariantCulture),
                $"one of {string.Join(", ", BackgroundOrder.Orders)}");
            p.Require(
                plant.Source.FurtherBackground.Count(b => b.Order == further.Order) == 1, at + "/order", "Order of the background", $"{further.Order} twice", "each order once");
            p.Number(at + "/pct", "Background of a further order", further.Pct, -15, 15, "%");
            p.Number(at + "/deg", "Angle of a further order", further.Deg, -360, 360, "°");
        }
    }

    private static void Bus(Bus bus, string at, ProblemList p)
    {
        p.Number(at + "/nominalVoltageV", "Voltage of the bus", bus.NominalVoltageV, 100, 69_000, "V");
        p.Number(at + "/environmentClass", "Class of environment", bus.EnvironmentClass, 1, 3, string.Empty);
        p.Number(at + "/withstandKa", "Withstand of the switchgear", bus.WithstandKa, 0.1, 300, "kA");
    }

    private static void Transformer(PlantSpecification plant, Transformer t, string at, ProblemList p)
    {
        KnownBus(plant, at + "/fromBusId", t.FromBusId, p);
        KnownBus(plant, at + "/toBusId", t.ToBusId, p);
        p.Require(t.FromBusId != t.ToBusId, at + "/toBusId", "Fed bus", "the same bus", "another bus");
        p.Number(at + "/ratedKva", "Transformer rating", t.RatedKva, 1, 100_000, "kVA");
        p.Number(at + "/noLoadSecondaryPct", "No-load voltage", t.NoLoadSecondaryPct, 80, 120, "%");
        p.Number(at + "/ukPct", "Short-circuit voltage", t.UkPct, 0.5, 25, "%");
        p.Number(at + "/loadLossKw", "Load loss", t.LoadLossKw, 0, Math.Max(0, t.UkPct / 100 * t.RatedKva * 0.99), "kW");
        p.Number(at + "/noLoadLossKw", "No-load loss", t.NoLoadLossKw, 0, Math.Max(0, 0.05 * t.RatedKva), "kW");
        p.Number(at + "/eddyLossPu", "Eddy-loss share", t.EddyLossPu, 0, 0.5, "pu");
        p.Number(at + "/otherStrayLossPu", "Other stray loss", t.OtherStrayLossPu, 0, 0.5, "pu");
    }

    private static void Link(PlantSpecification plant, BusLink link, string at, ProblemList p)
    {
        KnownBus(plant, at + "/fromBusId", link.FromBusId, p);
        KnownBus(plant, at + "/toBusId", link.ToBusId, p);
        p.Require(link.FromBusId != link.ToBusId, at + "/toBusId", "Other end", "the same bus", "another bus");
        var from = plant.Distribution.Buses.FirstOrDefault(b => b.Id == link.FromBusId);
        var to = plant.Distribution.Buses.FirstOrDefault(b => b.Id == link.ToBusId);
        if (from is not null && to is not null)
        {
            p.Require(
                from.NominalVoltageV == to.NominalVoltageV, at + "/toBusId", "Voltage at the other end", $"{to.NominalVoltageV} V", $"{from.NominalVoltageV} V as at the first");
        }

        if (link is BusLink.Cable cable)
        {
            p.Number(at + "/lengthM", "Length", cable.LengthM, 0, 20_000, "m", minExcluded: true);
            p.Number(at + "/crossSectionMm2", "Cross-section", cable.CrossSectionMm2, 0.5, 1000, "mm²");
            p.Number(at + "/parallelRuns", "Parallel runs", cable.ParallelRuns, 1, 12, string.Empty);
        }
    }

    private static void Bank(PlantSpecification plant, CapacitorBank bank, string at, ProblemList p)
    {
        KnownBus(plant, at + "/busId", bank.BusId, p);
        p.Number(at + "/stepKvar", "Power of a step", bank.StepKvar, 0, 10_000, "kvar", minExcluded: true);
        p.Number(at + "/steps", "Steps", bank.Steps, 1, 24, string.Empty);
        p.Number(at + "/detuningPct", "Detuning", bank.DetuningPct, 1, 20, "%");
        p.Number(at + "/capacitorRatedV", "Rated voltage of the capacitors", bank.CapacitorRatedV, 100, 69_000, "V");
    }

    private static void Filter(PlantSpecification plant, ActiveFilter filter, string at, ProblemList p)
    {
        KnownBus(plant, at + "/busId", filter.BusId, p, lowVoltage: true);
        p.Number(at + "/ratedCurrentA", "Rated current", filter.RatedCurrentA, 1, 10_000, "A");
    }

    private static void Load(PlantSpecification plant, BusLoad load, string at, ProblemList p)
    {
        KnownBus(plant, at + "/busId", load.BusId, p);
        switch (load)
        {
            case BusLoad.Linear l:
                p.Number(at + "/powerKw", "Linear load", l.PowerKw, 0, 100_000, "kW");
                p.Number(at + "/powerFactor", "Power factor of the linear load", l.PowerFactor, 0.1, 1, string.Empty);
                break;
            case BusLoad.LineMotor m:
                p.Number(at + "/ratedKw", "Rated power", m.RatedKw, 0, 10_000, "kW", minExcluded: true);
                p.Number(at + "/efficiencyPct", "Efficiency", m.EfficiencyPct, 30, 99.5, "%");
                p.Number(at + "/powerFactor", "Power factor", m.PowerFactor, 0.3, 1, string.Empty);
                p.Number(at + "/loadingPct", "Load in service", m.LoadingPct, 0, 120, "%");
                p.Number(at + "/lockedRotorCurrentPu", "Locked-rotor current", m.LockedRotorCurrentPu, 2, 12, "of rated");
                p.Number(at + "/lockedRotorPowerFactor", "Locked-rotor power factor", m.LockedRotorPowerFactor, 0.05, 0.9, string.Empty);
                p.Number(at + "/startsPerHour", "Starts an hour", m.StartsPerHour, 0, 60, "1/h");
                break;
            case BusLoad.SinglePhaseGroup g:
                p.Number(at + "/powerKw", "Single-phase load", g.PowerKw, 0, 10_000, "kW");
                p.Number(at + "/powerFactor", "Power factor", g.PowerFactor, 0.1, 1, string.Empty);
                p.Number(at + "/unevenPct", "Fullest phase above the mean", g.UnevenPct, 0, 200, "%");
                p.Number(at + "/thirdHarmonicPct", "Third harmonic", g.ThirdHarmonicPct, 0, 100, "%");
                p.Number(at + "/neutralA", "Neutral conductor", g.NeutralA, 0, 10_000, "A", minExcluded: true);
                break;
            default:
                throw new InvalidOperationException("Unknown load of a bus.");
        }
    }
}
