using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Stopping;

namespace Cuadrilla.Core.Studies.DcBuses;

/// <summary>What happens on a common DC bus.</summary>
public enum BusEvent
{
    /// <summary>The process, every member at its level of the scenario.</summary>
    Process,

    /// <summary>All members stop together in the wanted time.</summary>
    EmergencyStop,

    /// <summary>The line is gone and the members go on as before.</summary>
    MainsLoss,

    /// <summary>The line is gone and all members stop together.</summary>
    MainsLossStop,
}

/// <summary>A common DC bus resolved against the catalogue.</summary>
public sealed class DcBusModel
{
    // A steady member is looked at for so long; a stop leaves the members standing as long again.
    private const double SteadyS = 60;

    // Inverters switch off when the bus has fallen to about two thirds of its rest voltage.
    private const double UndervoltagePu = 0.65;

    private DcBusModel(CommonDcBus bus, SupplyModuleItem? module, IReadOnlyList<DriveOnConverter> members, IReadOnlyList<string> missing,
        DefaultsInForce defaults, Bus line, Site site)
    {
        SitePu = module?.Derating.FactorPu(site) ?? 1;
        Bus = bus;
        Module = module;
        Members = members;
        Missing = missing;
        Defaults = defaults;
        LineV = line.NominalVoltageV;
        BusId = line.Id;
    }

    /// <summary>What is specified.</summary>
    public CommonDcBus Bus { get; }

    /// <summary>Its supply module, or null.</summary>
    public SupplyModuleItem? Module { get; }

    /// <summary>Members that are complete, in their order.</summary>
    public IReadOnlyList<DriveOnConverter> Members { get; }

    /// <summary>What is missing before it can be computed.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>Defaults in force.</summary>
    public DefaultsInForce Defaults { get; }

    /// <summary>What is left of the supply module's powers at the site.</summary>
    public double SitePu { get; }

    /// <summary>Bus that its supply module hangs from.</summary>
    public string BusId { get; }

    /// <summary>Line voltage, V.</summary>
    public double LineV { get; }

    /// <summary>Bus voltage with the line on and hardly loaded, V; an active module keeps it above that.</summary>
    public double RestV => Math.Sqrt(2) * LineV * (Module?.Kind == SupplyModuleKind.Active ? Defaults.Links.BoostPu : 1);

    /// <summary>Lowest mean bus voltage, V: mean of the bridge with the line a tenth low.</summary>
    public double LowestV => Module?.Kind == SupplyModuleKind.Active ? RestV : 0.9 * 3 * Math.Sqrt(2) / Math.PI * LineV;

    /// <summary>Capacitance of all members, F.</summary>
    public double CapacitanceF => Members.Sum(m => m.Converter.Item.DcCapacitanceUf) * 1e-6;

    /// <summary>Resolves a bus.</summary>
    public static DcBusModel Of(PlantSpecification plant, Lineup lineup, CommonDcBus bus, IReadOnlyList<DrivePointStudy> studies,
        EngineeringData data, DefaultsInForce defaults)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(bus);
        ArgumentNullException.ThrowIfNull(data);
        var all = bus.MemberIds.Select(id => studies.First(s => s.Model.Id == id)).ToList();
        var missing = all.Where(s => !s.IsComplete).Select(s => $"{s.Model.Input.DrivePoint.Tag}: {string.Join(", ", s.Model.Missing())}")
            .ToList();
        missing.AddRange(all.Where(s => s.Model is DriveOnLine).Select(s => $"{s.Model.Input.DrivePoint.Tag}: a converter on the bus"));
        var module = data.SupplyModules.GetValueOrDefault(bus.SupplyModuleId);
        if (module is null)
        {
            missing.Add($"a supply module for {bus.Name}");
        }

        return new DcBusModel(bus, module, [.. all.Select(s => s.Model).OfType<DriveOnConverter>()], missing, defaults,
            plant.Distribution.Bus(lineup.BusId), Warmest(plant.Site, all));
    }

    // In cabinets the members' air is at least as warm as what their supply module takes in.
    private static Site Warmest(Site site, IReadOnlyList<DrivePointStudy> members) => site with
    {
        CabinetAirRiseK = members.Select(m => m.Model.Input.Site.CabinetAirRiseK).DefaultIfEmpty(site.CabinetAirRiseK).Max(),
    };

    /// <summary>What is missing of a bus before its current from the line can be known, beside its members.</summary>
    internal static IEnumerable<string> OpenSupply(CommonDcBus bus, EngineeringData data, DefaultsInForce defaults)
    {
        if (!data.SupplyModules.ContainsKey(bus.SupplyModuleId))
        {
            yield return $"{bus.Name}: supply module";
        }

        if (DrivePointModel.ImpedanceOf(bus.Feeder, defaults) is null)
        {
            yield return $"{bus.Name}: length and cross-section of the feeder of its supply module";
        }
    }

    /// <summary>Runs an event; null while something is missing or, for a stop, no time is stated.</summary>
    /// <param name="scenario">The scenario, which says who runs at which level.</param>
    /// <param name="what">The event.</param>
    public CommonBusResult? Run(Scenario scenario, BusEvent what)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        var stops = what is BusEvent.EmergencyStop or BusEvent.MainsLossStop;

        // Whoever runs in a scenario, all of them may have to stop.
        var running = stops ? [.. Members] : Members.Where(m => scenario.StateOf(m.Id).Running).ToList();
        if (Missing.Count > 0 || running.Count == 0 || (stops && !Bus.StopTimeS.IsKnown))
        {
            return null;
        }

        var members = running
            .Select(m => new BusMember(m.Id, stops ? Stop(m, Bus.StopTimeS.Value) : Process(m, scenario.StateOf(m.Id)),
                m.Converter.Item.DcCapacitanceUf * 1e-6) { Repeats = !stops })
            .ToList();
        return CommonBusStudy.Run(members, Supply(what is BusEvent.MainsLoss or BusEvent.MainsLossStop));
    }

    /// <summary>The process of each scenario in which a member runs; none while something is missing.</summary>
    public IEnumerable<(Scenario Scenario, CommonBusResult Run)> Processes(IEnumerable<Scenario> scenarios) =>
        scenarios.Select(s => (Scenario: s, Run: Run(s, BusEvent.Process))).Where(r => r.Run is not null).Select(r => (r.Scenario, r.Run!));

    /// <summary>Largest rms and largest power of each member over the processes in which it runs, W; without those that never do.</summary>
    /// <param name="runs">Process of each scenario.</param>
    public IReadOnlyDictionary<string, (double RmsW, double PeakW)> MembersW(IEnumerable<(Scenario Scenario, CommonBusResult Run)> runs)
    {
        ArgumentNullException.ThrowIfNull(runs);
        Dictionary<string, (double RmsW, double PeakW)> found = new(StringComparer.Ordinal);
        foreach (var (scenario, run) in runs)
        {
            var running = Members.Where(m => scenario.StateOf(m.Id).Running).ToList();
            for (var k = 0; k < running.Count; k++)
            {
                var (rmsW, peakW) = found.GetValueOrDefault(running[k].Id);
                found[running[k].Id] = (Math.Max(rmsW, run.MemberRmsW(k)), Math.Max(peakW, run.MemberPeakW(k)));
            }
        }

        return found;
    }

    /// <summary>What feeds the bus.</summary>
    /// <param name="mainsOff">True when the line is gone.</param>
    public BusSupply Supply(bool mainsOff)
    {
        var ratedW = (Module?.RatedKw ?? 0) * 1e3 * SitePu;
        var chopperV = Defaults.Links.ChopperV(LineV);
        return new BusSupply(
            ratedW, ratedW * (Module?.PeakPu ?? 0), ratedW * (Module?.ReturnPu ?? 0),
            Bus.ResistorOhm.IsKnown ? chopperV * chopperV / Bus.ResistorOhm.Value : 0,
            RestV, Math.Max(RestV, chopperV), Math.Max(RestV, Defaults.Links.RatingV(LineV)), UndervoltagePu * RestV, mainsOff);
    }

    private static IReadOnlyList<BusPower> Process(DriveOnConverter model, DrivePointState state)
    {
        if (model.Load.Cycle is not { } cycle)
        {
            return [new BusPower(SteadyS, model.At(state.LevelPu, state.LoadPu).LinkW)];
        }

        return
        [
            .. cycle.Slices(model.Motor.Plate.InertiaKgM2).Select(s => new BusPower(
                s.DurationS, s.Rests
                    ? model.Converter.Item.StandbyW
                    : model.PointOf(s.Shaft(1) with { TorqueNm = s.Shaft(1).TorqueNm * state.LoadPu }).LinkW)),
        ];
    }

    // Each from its worst speed and load; what stands then draws its stand-by power.
    private static IReadOnlyList<BusPower> Stop(DriveOnConverter model, double stopS)
    {
        var standby = model.Converter.Item.StandbyW;
        if (StopStudy.Missing(model).Any())
        {
            return [new BusPower(2 * stopS, standby)];
        }

        var moments = StopStudy.Unhindered(model, stopS).Moments;
        var powers = new List<BusPower>();
        for (var i = 1; i < moments.Count; i++)
        {
            var width = moments[i].TimeS - moments[i - 1].TimeS;
            if (width > 1e-6)
            {
                powers.Add(new BusPower(width, moments[i - 1].BrakingNm > 0 ? -moments[i - 1].ReturnedW : standby));
            }
        }

        var rest = (2 * stopS) - powers.Sum(p => p.DurationS);
        return rest > 1e-6 ? [.. powers, new BusPower(rest, standby)] : powers;
    }
}
