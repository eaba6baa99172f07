using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary>What a drive point drives into its motor cable and leaks to earth. See <c>docs/methods/interference.md</c>.</summary>
public sealed class InterferenceFigures
{
    // Impedance of the common-mode circuit at the edges: the least that is usual, so that the current is the most.
    private const double CommonModeOhm = 20;

    private InterferenceFigures(DrivePointModel model, Bus bus, double frequencyHz)
    {
        var point = model.Input.DrivePoint;
        (Point, Bus, Item, Choice) = (point, bus, model.WholeItem, model.Choice);
        Chops = model.Starter is null && Item is { FrontEnd: not FrontEnd.Thyristor } && model.Filter is not { Sinusoidal: true };
        CableM = point.Cable.LengthM.IsKnown ? point.Cable.LengthM.Value * Math.Max(1, model.Input.Group?.Count ?? 1) : null;
        Filter = Item?.Emc.Of(point.Interference.Filter) ?? EmcFilter.AsDelivered;
        Declared = Item?.Emc.With(point.Interference.Filter);
        LinkV = Item is null ? null : Item.FrontEnd is FrontEnd.DcLink ? Math.Sqrt(2) * bus.NominalVoltageV : Item.FrontEnd.NoLoadLinkPu * bus.NominalVoltageV;
        Edge = Chops && LinkV is { } link && CableM is > 0 and { } length && point.Cable.CrossSectionMm2.IsKnown && model.Converter is not null
            ? CommonMode.Of(new CommonMode.Case(
                length * point.Cable.ParallelRuns, point.Cable.CrossSectionMm2.Value, null, link / 1e3 / (model.Filter?.RiseTimeUs ?? model.Input.Defaults.RiseTimeUs), link, Choice!.SwitchingKhz,
                Item!.LightCurrentA, CommonModeOhm))
            : null;
        Leaks = LeakageOf(Item, point.Interference, bus, frequencyHz);
    }

    /// <summary>The drive point.</summary>
    public DrivePoint Point { get; }

    /// <summary>Bus that feeds it.</summary>
    public Bus Bus { get; }

    /// <summary>Its converter, several modules together; null without.</summary>
    public ConverterItem? Item { get; }

    /// <summary>How that is set; null without.</summary>
    public ConverterChoice.FromCatalogue? Choice { get; }

    /// <summary>True where edges of an inverter reach the motor cable.</summary>
    public bool Chops { get; }

    /// <summary>Length of its motor cables, m; null where not stated.</summary>
    public double? CableM { get; }

    /// <summary>EMC filter that it has; <see cref="EmcFilter.AsDelivered"/> where nobody says.</summary>
    public EmcFilter Filter { get; }

    /// <summary>What its maker declares with that filter; null where that is nothing.</summary>
    public FilterDeclaration? Declared { get; }

    /// <summary>Link voltage at rest, V; null without converter.</summary>
    public double? LinkV { get; }

    /// <summary>Current that each edge drives into the cable; null where there is none, or something of it is not stated.</summary>
    public CommonMode.Result? Edge { get; }

    /// <summary>What leaks to earth; null on a common DC bus, without converter, and where its capacitance is not stated.</summary>
    public FilterLeakage.Currents? Leaks { get; }

    /// <summary>Computes the figures of a drive point.</summary>
    public static InterferenceFigures Of(DrivePointModel model, Bus bus, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(bus);
        return new InterferenceFigures(model, bus, frequencyHz);
    }

    // With open links what is left is what a unit without filter has.
    private static FilterLeakage.Currents? LeakageOf(ConverterItem? item, PointInterference stated, Bus bus, double frequencyHz) =>
        item is null or { FrontEnd: FrontEnd.DcLink } ? null : Leakage(item.Emc, item.FrontEnd.NoLoadLinkPu, stated.Filter, stated.LinksOpen, bus, frequencyHz);

    internal static FilterLeakage.Currents? Leakage(EmcDeclaration emc, double linkPu, EmcFilter chosen, bool linksOpen, Bus bus, double frequencyHz) =>
        emc.CapacitanceUf(linksOpen ? EmcFilter.None : chosen) is { } uf
            ? FilterLeakage.Of(new FilterLeakage.Filter(uf, bus.NominalVoltageV / Math.Sqrt(3), frequencyHz, UnbalancePct, TolerancePct, linkPu * bus.NominalVoltageV))
            : null;

    // Unbalance of the voltages and tolerance of capacitors that are usual.
    private const double UnbalancePct = 2;
    private const double TolerancePct = 10;
}
