using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary><c>cable.capacity</c> and <c>cable.short-circuit</c> of cables between buses of low voltage.</summary>
internal static class PlantCableChecks
{
    private const double LowVoltageV = 1000;

    public static IEnumerable<Check> Of(SupplyContext supply) =>
        supply.Plant.Distribution.Links.OfType<BusLink.Cable>().SelectMany(c => Of(c, supply).Select(x => x.At(c.Id)));

    /// <summary>What is asked of a plant cable in its worst scenario; null while it carries nothing in any, or something is
    /// missing.</summary>
    public static (CableTask Task, CableInScenario Load, string Scenario)? TaskOf(BusLink.Cable cable, SupplyContext supply,
        DeviceGates? gates, CableInstallation laid)
    {
        var loads = supply.Scenarios.SelectMany(s => s.Cables.Where(c => c.CableId == cable.Id).Select(c => (s.ScenarioName, Load: c)))
            .ToList();
        if (loads.Count == 0 || !cable.LengthM.IsKnown || !cable.CrossSectionMm2.IsKnown)
        {
            return null;
        }

        var (scenario, load) = loads.MaxBy(l => l.Load.RmsA);
        var us = supply.Plant.Conventions.Installation == InstallationCode.Nfpa70;
        var protects = !us && gates is { ClearsOverload: true }
            ? Math.Max(gates.OverloadA, gates.ConventionalPu * gates.OverloadA / 1.45)
            : 0;
        var near = new[] { cable.FromBusId, cable.ToBusId }.Select(id => supply.ShortCircuits.GetValueOrDefault(id))
            .OfType<BusShortCircuit>().MaxBy(s => s.LargestA);
        return (
            new CableTask
            {
                LengthM = cable.LengthM.Value,
                Parallel = cable.ParallelRuns,
                Material = cable.Material,
                Laid = laid,
                AmbientC = supply.Plant.Site.AmbientMaxC,
                ProtectiveMm2 = Given.Unknown,
                ReactanceOhmPerM = supply.Defaults.CableReactanceOhmPerM,
                Code = supply.Plant.Conventions.Installation,
                NominalVoltageV = supply.Plant.Distribution.Bus(cable.FromBusId).NominalVoltageV,
                SizingA = Math.Max(us ? 1.25 * load.RmsA : load.RmsA, protects),
                ThirdPct = load.ThirdPct,
                ShortCircuit = gates is not null && near is { } fault && double.IsFinite(fault.LargestA)
                    ? new ShortCircuitTask(gates, fault.NominalVoltageV, fault.Factors.Min, fault.LargestA, fault.LeastOhm, fault.LoopOhm)
                    : null,
            },
            load,
            scenario);
    }

    private static IEnumerable<Check> Of(BusLink.Cable cable, SupplyContext supply)
    {
        const string id = "cable.capacity";
        var title = $"Current-carrying capacity, {cable.Name}";
        if (supply.Plant.Distribution.Bus(cable.FromBusId).NominalVoltageV > LowVoltageV)
        {
            yield return Check.NotConcerned(id, string.Empty, BoardRow.Plant, title,
                "a cable of medium voltage: its maker's tables, IEC 60502-2");
            yield break;
        }

        var gates = DeviceGates.Of(cable.Device, supply.Data.GgFuses, supply.Data.Switchgear);
        if (TaskOf(cable, supply, gates, CableInstallation.Hardest[0]) is not var (_, load, scenario))
        {
            if (supply.Plant.Scenarios.Any(s => s.IsClosed(cable.Id, cable.NormallyClosed)))
            {
                yield return Check.Lacking(id, string.Empty, BoardRow.Plant, title,
                    PlantNetwork.Missing(supply.Plant).DefaultIfEmpty("a scenario in which it carries current"));
            }

            yield break;
        }

        if (supply.Scenarios.SelectMany(s => s.Unsettled).FirstOrDefault() is { } unsettled)
        {
            yield return Check.Lacking(id, string.Empty, BoardRow.Plant, title, [unsettled]);
            yield break;
        }

        var laid = cable.Installation ?? supply.Plant.Cables;
        Check Capacity(CableInstallation how) =>
            CapacityOf(cable, supply, TaskOf(cable, supply, gates, how)!.Value.Task, load, scenario, title);
        yield return laid is not null
            ? Capacity(laid)
            : CableChecks.Between(Capacity) ?? Check.Lacking(id, string.Empty, BoardRow.Plant, title, [CableChecks.NotLaid]);

        const string heat = "cable.short-circuit";
        var heatTitle = $"Short-circuit heat, {cable.Name}";
        if (gates is null)
        {
            yield return Check.Lacking(heat, string.Empty, BoardRow.Plant, heatTitle, [$"protective device of {cable.Name}"]);
            yield break;
        }

        Check Heat(CableInstallation how) => HeatOf(cable, supply, TaskOf(cable, supply, gates, how)!.Value.Task, heatTitle);
        yield return laid is not null
            ? Heat(laid)
            : CableChecks.Between(Heat) ?? Check.Lacking(heat, string.Empty, BoardRow.Plant, heatTitle, [CableChecks.NotLaid]);
    }

    private static Check CapacityOf(BusLink.Cable cable, SupplyContext supply, CableTask task, CableInScenario load, string scenario,
        string title)
    {
        var rules = new CableRules(supply.Data);
        if (rules.CapacityA(task, cable.CrossSectionMm2.Value, task.Laid) is not { } capacityA)
        {
            return Check.Lacking("cable.capacity", string.Empty, BoardRow.Plant, title,
                [$"a capacity of {Text.N(cable.CrossSectionMm2.Value)} mm² so laid: the tables have none"]);
        }

        var third = task.Laid.Cores == CableCores.WithNeutral ? task.ThirdPct : 0;
        return CheckWriter.Judged(
            "cable.capacity", string.Empty, BoardRow.Plant, title, CurrentCapacity.SizingA(task.SizingA, third), capacityA, "A",
            LimitSense.AtMost, 0,
            PlantMeans.Relief(rules.Smallest(task) is var (mm2, governs) && mm2 > cable.CrossSectionMm2.Value
                ? $"{Text.N(mm2)} mm² ({GoverningWords.Of(governs)} governs)"
                : null, "cables in parallel", "fewer circuits together")
                + " " + ProtectionChecks.Caution,
            new Reason(
                "max(I_B, I_n, I_2/1.45, 3·k_3·I_B) ≤ I_z = n·I_0·k_θ·k_group·k_harm",
                $"{Text.N(load.RmsA)} A rms{(third > 0 ? $", third order {Text.N(third, 3)} % in the neutral" : string.Empty)}; I_z = "
                    + $"{Text.N(capacityA)} A",
                "IEC 60364-5-52, tables B.52 and annex E; NFPA 70 where that is the code",
                [ReasonInput.Of("fundamental", load.FundamentalA, "A", scenario)]),
            scenario);
    }

    private static Check HeatOf(BusLink.Cable cable, SupplyContext supply, CableTask task, string title)
    {
        if (task.ShortCircuit is not { } fault)
        {
            return Check.Lacking("cable.short-circuit", string.Empty, BoardRow.Plant, title, ["fault level of the source"]);
        }

        var heat = CableRules.HeatA2s(task, fault, cable.CrossSectionMm2.Value);
        return CheckWriter.Judged(
            "cable.short-circuit", string.Empty, BoardRow.Plant, title,
            Math.Sqrt(heat) / (task.Parallel * InsulationLimits.AdiabaticK(task.Laid.Insulation, task.Material)),
            cable.CrossSectionMm2.Value, "mm²",
            LimitSense.AtMost, 0, "Relief: a larger section, a device that clears faster. " + ProtectionChecks.Caution,
            new Reason(
                "S ≥ √(I²t)/k", double.IsInfinity(heat)
                    ? "the least fault at its end is not cleared within 5 s"
                    : $"I²t = {Text.N(heat)} A²s; {DeviceWords.Of(cable.Device)}",
                "IEC 60364-4-43, 434.5.2; IEC 60909-0", [ReasonInput.Of("largest fault", fault.LargestA / 1e3, "kA", "stronger end")]));
    }
}
