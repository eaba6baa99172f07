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

    private InterferenceFigures(DrivePointModel model, Bus bus, PlantSpecification plant)
    {
        var point = model.Input.DrivePoint;
        (Point, Bus, Item, Choice) = (point, bus, model.WholeItem, model.Choice);
        Switches = model.Starter is null && Item is { FrontEnd: not FrontEnd.Thyristor };
        Chops = Switches && model.Filter is not { Sinusoidal: true };
        var cables = CablesOf(point, model.Input.Group, plant);
        CableM = cables.All(c => c.Cable.LengthM.IsKnown) ? cables.Sum(c => c.Number * c.Cable.LengthM.Value) : null;
        Filter = Item?.Emc.Of(point.Interference.Filter) ?? EmcFilter.AsDelivered;
        Declared = Item?.Emc.With(point.Interference.Filter);
        LinkV = Item is null
            ? null
            : Item.FrontEnd is FrontEnd.DcLink ? Math.Sqrt(2) * bus.NominalVoltageV
            : Item.FrontEnd.NoLoadLinkPu * (model.TwoConductorV ?? bus.NominalVoltageV);
        Edge = Chops && LinkV is { } link && CableM is > 0 and { } length && cables.All(c => c.Cable.CrossSectionMm2.IsKnown)
            && model.Converter is not null
            ? CommonMode.Of(new CommonMode.Case(
                length, point.Cable.CrossSectionMm2.Value,
                cables.Sum(c => c.Number * c.Cable.LengthM.Value * CommonMode.NfPerM(c.Cable.CrossSectionMm2.Value)) / length,
                link / 1e3 / (model.Filter?.RiseTimeUs ?? model.Input.Defaults.RiseTimeUs), link, Choice!.SwitchingKhz, Item!.LightCurrentA,
                CommonModeOhm))
            : null;
        Leaks = LeakageOf(Item, point.Interference, bus, plant.Source.FrequencyHz);
    }

    /// <summary>The drive point.</summary>
    public DrivePoint Point { get; }

    /// <summary>Bus that feeds it.</summary>
    public Bus Bus { get; }

    /// <summary>Its converter, several modules together; null without.</summary>
    public ConverterItem? Item { get; }

    /// <summary>How that is set; null without.</summary>
    public ConverterChoice.FromCatalogue? Choice { get; }

    /// <summary>True for an inverter, whatever stands between it and the motor.</summary>
    public bool Switches { get; }

    /// <summary>True where edges of an inverter reach the motor cable.</summary>
    public bool Chops { get; }

    /// <summary>Length of all motor cables at its converter, those in parallel and of all motors of a group, m; null where one is not
    /// stated.</summary>
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
    /// <param name="model">Its models.</param>
    /// <param name="bus">Bus that feeds it.</param>
    /// <param name="plant">The plant, its cables laid.</param>
    public static InterferenceFigures Of(DrivePointModel model, Bus bus, PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(bus);
        ArgumentNullException.ThrowIfNull(plant);
        return new InterferenceFigures(model, bus, plant);
    }

    // The converter of a group charges the cables of all its motors; of several modules each its own.
    private static List<(double Number, MotorCable Cable)> CablesOf(DrivePoint point, GroupFeed? group, PlantSpecification plant)
    {
        if (group is not { IsHead: true } || plant.GroupOf(point.Id) is not { } all)
        {
            return [(point.Cable.ParallelRuns * (group?.Count ?? 1), point.Cable)];
        }

        var points = plant.AllDrivePoints().ToDictionary(p => p.Id, StringComparer.Ordinal);
        return [.. all.Members.Select(m => ((double)m.Count * points[m.PointId].Cable.ParallelRuns, points[m.PointId].Cable))];
    }

    // With open links what is left is what a unit without filter has.
    private static FilterLeakage.Currents? LeakageOf(ConverterItem? item, PointInterference stated, Bus bus, double frequencyHz) =>
        item is null or { FrontEnd: FrontEnd.DcLink }
            ? null
            : Leakage(item.Emc, item.FrontEnd, stated.Filter, stated.LinksOpen, bus, frequencyHz);

    internal static FilterLeakage.Currents? Leakage(EmcDeclaration emc, FrontEnd front, EmcFilter chosen, bool linksOpen, Bus bus,
        double frequencyHz) =>
        emc.CapacitanceUf(linksOpen ? EmcFilter.None : chosen) is { } uf
            ? FilterLeakage.Of(new FilterLeakage.Filter(uf, bus.NominalVoltageV / Math.Sqrt(3), frequencyHz,
                front is FrontEnd.SinglePhase ? OnePhasePct : UnbalancePct, TolerancePct,
                front.NoLoadLinkPu * bus.NominalVoltageV))
            : null;

    // Unbalance of the voltages and tolerance of capacitors that are usual.
    private const double UnbalancePct = 2;
    private const double TolerancePct = 10;

    // On one phase nothing cancels: the whole of it stands between phase and earth.
    private const double OnePhasePct = 100;
}
