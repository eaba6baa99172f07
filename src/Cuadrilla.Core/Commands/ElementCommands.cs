using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Kinds of elements between source and lineups.</summary>
public enum ElementKind
{
    /// <summary>A bus.</summary>
    Bus,

    /// <summary>A transformer.</summary>
    Transformer,

    /// <summary>A cable between buses.</summary>
    Cable,

    /// <summary>A coupler between buses.</summary>
    Coupler,

    /// <summary>A capacitor bank.</summary>
    CapacitorBank,

    /// <summary>A central active filter.</summary>
    ActiveFilter,

    /// <summary>A linear load.</summary>
    Linear,

    /// <summary>A motor on the line.</summary>
    LineMotor,

    /// <summary>Loads between phases and neutral.</summary>
    SinglePhaseGroup,
}

/// <summary>Adds an element to the supply where it can stand, with values to start from that its table shows and the engineer
/// replaces.</summary>
/// <param name="Element">Which kind.</param>
public sealed record AddElement(ElementKind Element) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var n = plant.Distribution;
        var lastBus = n.Buses.Count > 0 ? n.Buses[^1] : null;
        if (lastBus is null && Element != ElementKind.Bus)
        {
            return CommandOutcome.Not("element", "There is no bus that it could hang on.");
        }

        string Id(string stem) => $"{stem}-{PlantEdits.Free(stem, Keys(n))}";
        CommandOutcome Added(string id, string name, Distribution with) =>
            CommandOutcome.Of(plant with { Distribution = with }, $"Add {name}", id);
        switch (Element)
        {
            case ElementKind.Bus:
                var bus = new Bus(Id("bus"), "bus " + Id("bus")[4..], lastBus?.NominalVoltageV ?? 400, Given.Unknown);
                return Added(bus.Id, bus.Name, n with { Buses = [.. n.Buses, bus] });
            case ElementKind.Transformer:
                return NewTransformer(plant, Id("transformer")) is { } transformer
                    ? Added(transformer.Id, transformer.Name, n with { Transformers = [.. n.Transformers, transformer] })
                    : CommandOutcome.Not("element", "A transformer needs a bus of a lower voltage than the source's: add that bus first.");
            case ElementKind.Cable or ElementKind.Coupler:
                return NewLink(n, Id(Element == ElementKind.Cable ? "cable" : "coupler")) is { } link
                    ? Added(link.Id, link.Name, n with { Links = [.. n.Links, link] })
                    : CommandOutcome.Not("element", "A link needs two buses of one voltage: add the second first.");
            case ElementKind.CapacitorBank:
                var bank = new CapacitorBank(Id("capacitors"), Named(Id("capacitors")), lastBus!.Id, 25, 4, 7);
                return Added(bank.Id, bank.Name, n with { CapacitorBanks = [.. n.CapacitorBanks, bank] });
            case ElementKind.ActiveFilter:
                var filter = new ActiveFilter(Id("filter"), "active " + Named(Id("filter")), lastBus!.Id, 100);
                return Added(filter.Id, filter.Name, n with { ActiveFilters = [.. n.ActiveFilters, filter] });
            default:
                var load = NewLoad(Id("load"), lastBus!.Id);
                return Added(load.Id, load.Name, n with { Loads = [.. n.Loads, load] });
        }
    }

    private static string Named(string id) => id.Replace('-', ' ');

    private static IEnumerable<string> Keys(Distribution n) =>
    [
        .. n.Buses.Select(b => b.Id), .. n.Transformers.Select(t => t.Id), .. n.Links.Select(l => l.Id),
        .. n.CapacitorBanks.Select(b => b.Id), .. n.ActiveFilters.Select(f => f.Id), .. n.Loads.Select(l => l.Id),
    ];

    // From the source's bus to the last one of a lower voltage, with the vector group of what feeds it already: side by side no other may
    // stand.
    private static Transformer? NewTransformer(PlantSpecification plant, string id)
    {
        var from = plant.Distribution.Buses.FirstOrDefault(b => b.Id == plant.Source.BusId);
        var to = plant.Distribution.Buses.LastOrDefault(b => b.NominalVoltageV < from?.NominalVoltageV);
        return from is null || to is null ? null : new Transformer(
            id, Named(id), from.Id, to.Id, 1000, 6, 10, 1.2,
            plant.Distribution.Transformers.FirstOrDefault(t => t.ToBusId == to.Id)?.VectorGroup ?? VectorGroup.Dyn11,
            TransformerCooling.Dry, Given.Unknown, Given.Unknown)
        { NoLoadSecondaryPct = 105 };
    }

    // Between the last two buses of one voltage, open, so that nothing changes until its entries stand.
    private BusLink? NewLink(Distribution n, string id)
    {
        var to = n.Buses.LastOrDefault(b => n.Buses.Any(o => o.Id != b.Id && o.NominalVoltageV == b.NominalVoltageV));
        var from = n.Buses.LastOrDefault(b => b.Id != to?.Id && b.NominalVoltageV == to?.NominalVoltageV);
        return from is null || to is null ? null : Element == ElementKind.Coupler
            ? new BusLink.Coupler(id, Named(id), from.Id, to.Id, false)
            : new BusLink.Cable(id, Named(id), from.Id, to.Id, false, Given.Unknown, Given.Unknown, 1, ConductorMaterial.Copper,
                CableLaying.Trefoil);
    }

    private BusLoad NewLoad(string id, string busId) => Element switch
    {
        ElementKind.Linear => new BusLoad.Linear(id, Named(id), busId, 0, 0.9),
        ElementKind.LineMotor => new BusLoad.LineMotor(id, Named(id), busId, 15, 92, 0.85, 80, 7, Given.Unknown, 1),
        ElementKind.SinglePhaseGroup => new BusLoad.SinglePhaseGroup(id, Named(id), busId, 0, 0.95, Given.Unknown, Given.Unknown,
            Given.Unknown),
        _ => throw new InvalidOperationException("Unknown kind of element."),
    };
}
