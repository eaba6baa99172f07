using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Rows of the cable and device schedules.</summary>
internal static class ProtectionPlans
{
    public static ProtectionPlan Of(SupplyContext supply, IReadOnlyList<FeederStudy> feeders, IReadOnlyList<ModuleFeederStudy> modules,
        IReadOnlyList<Check> checks)
    {
        var verdicts = checks.Where(c => IsOurs(c.Id)).ToLookup(c => (c.DrivePointId, c.ElementId));
        var buses = supply.Plant.Distribution.Buses.ToDictionary(b => b.Id, b => b.Name, StringComparer.Ordinal);
        var lineups = supply.Plant.Lineups.SelectMany(l => l.DrivePoints.Select(p => (p.Id, Lineup: l)))
            .ToDictionary(x => x.Id, x => x.Lineup, StringComparer.Ordinal);
        var plantCables = supply.Plant.Distribution.Links.OfType<BusLink.Cable>().ToList();
        return new ProtectionPlan(
            [
                .. plantCables.Select(c => PlantCable(c, supply, buses, verdicts)),
                .. feeders.SelectMany(f => Cables(f, lineups[f.Point.Id], verdicts)),
                .. modules.SelectMany(m => ModuleCable(m, verdicts)),
            ],
            [
                .. plantCables.Select(c => PlantDevice(c, supply, buses, verdicts)),
                .. feeders.Where(f => f.HasFeeder).Select(f => Device(f, lineups[f.Point.Id], verdicts)),
                .. modules.Select(m => ModuleDevice(m, verdicts)),
                .. feeders.Where(f => f.Model.Input.OnDcBus).Select(f => DcFuses(f, lineups[f.Point.Id], verdicts)),
            ],
            [.. PlantNetwork.Missing(supply.Plant)]);
    }

    private static bool IsOurs(string id) =>
        id.StartsWith("cable.", StringComparison.Ordinal) || id.StartsWith("protection.", StringComparison.Ordinal)
            || id == "contactor.duty";

    private static Verdict Gravest(IEnumerable<Check> checks) => checks.Select(c => c.Verdict).Where(v => v != Verdict.NotApplicable)
        .DefaultIfEmpty(Verdict.NotApplicable).MinBy(v =>
            v switch { Verdict.Fails => 0, Verdict.NeedsData => 1, Verdict.Tight => 2, _ => 3 });

    private static CableRow PlantCable(BusLink.Cable cable, SupplyContext supply, Dictionary<string, string> buses,
        ILookup<(string, string), Check> verdicts)
    {
        var laid = cable.Installation ?? supply.Plant.Cables;
        var gates = DeviceGates.Of(cable.Device, supply.Data.GgFuses, supply.Data.Switchgear);
        var found = laid is null ? null : PlantCableChecks.TaskOf(cable, supply, gates, laid);
        var rules = new CableRules(supply.Data);
        var proposed = found is { } f ? rules.Smallest(f.Task) : null;
        return new CableRow(string.Empty, string.Empty, cable.Id, CableRole.Plant, cable.Name, buses[cable.FromBusId], buses[cable.ToBusId])
        {
            LengthM = Plain(cable.LengthM),
            SectionMm2 = Plain(cable.CrossSectionMm2),
            ProtectiveMm2 = cable.CrossSectionMm2.IsKnown ? ProtectiveConductor.ByTableMm2(cable.CrossSectionMm2.Value) : null,
            Parallel = cable.ParallelRuns,
            Kind = Kind(cable.Material, laid, false),
            Laid = Laid(laid, supply.Plant),
            DesignA = supply.Scenarios.SelectMany(s => s.Cables.Where(c => c.CableId == cable.Id)).Select(c => (double?)c.RmsA).Max(),
            Device = DeviceWords.Of(cable.Device),
            CapacityA = found is { } capacity && cable.CrossSectionMm2.IsKnown
                ? rules.CapacityA(capacity.Task, cable.CrossSectionMm2.Value, laid!)
                : null,
            LargestFaultKa = Finite(supply.ShortCircuits.GetValueOrDefault(cable.FromBusId)?.LargestA / 1e3),
            LeastFaultKa = Finite(supply.ShortCircuits.GetValueOrDefault(cable.ToBusId)?.PhaseToPhaseA / 1e3),
            ProposedMm2 = proposed?.SectionMm2,
            Governs = proposed is { } p ? GoverningWords.Of(p.Governs) : string.Empty,
            Verdict = Gravest(verdicts[(string.Empty, cable.Id)]),
        };
    }

    private static DeviceRow PlantDevice(BusLink.Cable cable, SupplyContext supply, Dictionary<string, string> buses,
        ILookup<(string, string), Check> verdicts) =>
        Filled(new DeviceRow(string.Empty, string.Empty, cable.Id, cable.Name, buses[cable.FromBusId]), cable.Device,
            supply.ShortCircuits.GetValueOrDefault(cable.FromBusId)) with
        {
            DesignA = supply.Scenarios.SelectMany(s => s.Cables.Where(c => c.CableId == cable.Id)).Select(c => (double?)c.RmsA).Max(),
            Verdict = Gravest(verdicts[(string.Empty, cable.Id)]),
        };

    private static string LineupOf(ModuleFeederStudy module) =>
        module.Supply.Plant.Lineups.First(l => l.DcBuses.Contains(module.Model.Bus)).Id;

    private static IEnumerable<CableRow> ModuleCable(ModuleFeederStudy module, ILookup<(string, string), Check> verdicts)
    {
        if (module.Feeder is not Feeder.ByCable cable)
        {
            yield break;
        }

        var (bus, laid) = (module.Model.Bus, module.Laid(cable.Installation));
        yield return Filled(
            new CableRow(LineupOf(module), string.Empty, bus.Id, CableRole.Feeder, $"{bus.Name} W1", module.Bus.Name,
                $"{bus.Name}, supply module"), module,
            laid is null ? null : module.FeederTask(module.Gates, laid), cable.CrossSectionMm2, cable.ProtectiveMm2, laid) with
        {
            LengthM = Plain(cable.LengthM),
            Parallel = cable.ParallelRuns,
            Kind = Kind(cable.Material, laid, false),
            DesignA = module.FeederCurrent?.CurrentA,
            Device = DeviceWords.Of(module.Chosen),
            LargestFaultKa = Finite(module.Short?.LargestA / 1e3),
            Reason = cable.Reason,
            Verdict = Gravest(verdicts[(string.Empty, bus.Id)].Where(c => c.Id.StartsWith("cable.", StringComparison.Ordinal))),
        };
    }

    private static DeviceRow ModuleDevice(ModuleFeederStudy module, ILookup<(string, string), Check> verdicts) => Filled(
        new DeviceRow(LineupOf(module), string.Empty, module.Model.Bus.Id, module.Model.Bus.Name, module.Bus.Name), module.Chosen,
        module.Short) with
        {
            DesignA = module.FeederCurrent?.CurrentA,
            Proposed = module.Proposed is { } proposed ? DeviceWords.Of(proposed) : string.Empty,
            Verdict = Gravest(verdicts[(string.Empty, module.Model.Bus.Id)]
                .Where(c => c.Id.StartsWith("protection.", StringComparison.Ordinal))),
        };

    private static DeviceRow DcFuses(FeederStudy feeder, Lineup lineup, ILookup<(string, string), Check> verdicts)
    {
        var (point, devices) = (feeder.Point, feeder.Point.Devices);
        return new DeviceRow(lineup.Id, point.Id, DcFuseChecks.Element, point.Tag,
            lineup.DcBuses.First(b => b.MemberIds.Contains(point.Id)).Name)
        {
            Device = devices is { DcFuseA.IsKnown: true, DcFuseV.IsKnown: true }
                ? $"fuses aR {Text.N(devices.DcFuseA.Value)} A, {Text.N(devices.DcFuseV.Value)} V DC"
                : string.Empty,
            RatedA = Plain(devices.DcFuseA),
            Verdict = Gravest(verdicts[(point.Id, DcFuseChecks.Element)]),
        };
    }

    private static IEnumerable<CableRow> Cables(FeederStudy feeder, Lineup lineup, ILookup<(string, string), Check> verdicts)
    {
        var point = feeder.Point;
        var gates = feeder.Gates;
        var fedBy = feeder.Model.Starter?.Name ?? "converter";
        if (feeder.HasFeeder && point.Feeder is Feeder.ByCable cable)
        {
            var laid = feeder.Laid(cable.Installation);
            yield return Filled(
                new CableRow(lineup.Id, point.Id, CableChecks.FeederElement, CableRole.Feeder, $"{point.Tag}-W1", feeder.Bus.Name,
                    $"{point.Tag} {fedBy}"), feeder, laid is null ? null : feeder.FeederTask(gates, laid),
                cable.CrossSectionMm2, cable.ProtectiveMm2, laid) with
            {
                LengthM = Plain(cable.LengthM),
                Parallel = cable.ParallelRuns,
                Kind = Kind(cable.Material, laid, false),
                DesignA = feeder.FeederCurrent?.CurrentA,
                Device = DeviceWords.Of(feeder.Chosen),
                LargestFaultKa = Finite(feeder.Short?.LargestA / 1e3),
                Reason = cable.Reason,
                Verdict = Gravest(verdicts[(point.Id, CableChecks.FeederElement)]),
            };
        }

        var motor = feeder.Model.Fitted is null ? "motor" : $"{point.Tag} motor";
        var motorLaid = feeder.Laid(point.Cable.Installation);
        yield return Filled(
            new CableRow(lineup.Id, point.Id, string.Empty, CableRole.Motor, $"{point.Tag}-W2", $"{point.Tag} {fedBy}", motor), feeder,
            motorLaid is null ? null : feeder.MotorTask(gates, motorLaid),
            point.Cable.CrossSectionMm2, point.Cable.ProtectiveMm2, motorLaid) with
        {
            Count = feeder.Model.Input.Group?.Count ?? 1,
            LengthM = Plain(point.Cable.LengthM),
            Parallel = point.Cable.ParallelRuns * (DesignCurrents.SixConductors(feeder.Model) ? 2 : 1),
            Kind = Kind(point.Cable.Material, motorLaid, point.Cable.Screened),
            DesignA = feeder.MotorCurrent?.CurrentA,
            Device = feeder.IsOnLine ? DeviceWords.Of(feeder.Chosen) : "electronic protection of the converter",
            Reason = point.Cable.Reason,
            Verdict = Gravest(verdicts[(point.Id, string.Empty)].Where(c => c.Row == BoardRow.Cable)),
        };
    }

    private static CableRow Filled(CableRow row, FeedStudy feeder, CableTask? task, Given section, Given protective,
        CableInstallation? laid)
    {
        var proposed = task is null ? null : feeder.Rules.Smallest(task);
        var drop = task?.Drop ?? task?.Start;
        return row with
        {
            SectionMm2 = Plain(section),
            ProtectiveMm2 = section.IsKnown ? ProtectiveConductor.Mm2(protective, section.Value) : null,
            Laid = Laid(laid, feeder.Supply.Plant),
            CapacityA = task is not null && section.IsKnown ? feeder.Rules.CapacityA(task, section.Value, laid!) : null,
            DropPct = task is not null && drop is not null && section.IsKnown ? CableRules.DropPct(task, drop, section.Value) : null,
            LeastFaultKa = task?.ShortCircuit is { } fault && section.IsKnown
                ? Finite(CableRules.LeastAtEndA(task, fault, section.Value) / 1e3)
                : null,
            ProposedMm2 = proposed?.SectionMm2,
            Governs = proposed is { } p ? GoverningWords.Of(p.Governs) : string.Empty,
        };
    }

    private static DeviceRow Device(FeederStudy feeder, Lineup lineup, ILookup<(string, string), Check> verdicts)
    {
        var point = feeder.Point;
        return Filled(new DeviceRow(lineup.Id, point.Id, string.Empty, point.Tag, feeder.Bus.Name), feeder.Chosen, feeder.Short) with
        {
            DesignA = feeder.FeederCurrent?.CurrentA,
            ContactorA = Plain(point.Devices.ContactorA),
            Contactors = feeder.IsOnLine || point.Devices.ContactorA.IsKnown
                ? ContactorCheck.Asked(feeder)?.Words ?? string.Empty
                : string.Empty,
            TripClass = feeder.Model.Starter is { } starter ? starter.Trip.ToString()["Class".Length..] : string.Empty,
            Coordination = feeder.IsOnLine ? point.Devices.Coordination == CoordinationType.One ? "type 1" : "type 2" : string.Empty,
            Proposed = feeder.Proposed is { } proposed ? DeviceWords.Of(proposed) : string.Empty,
            Verdict = Gravest(verdicts[(point.Id, string.Empty)]
                .Where(c => c.Id.StartsWith("protection.", StringComparison.Ordinal) || c.Id == "contactor.duty")),
        };
    }

    private static DeviceRow Filled(DeviceRow row, ProtectiveDevice device, BusShortCircuit? fault)
    {
        row = row with { Device = DeviceWords.Of(device), LargestFaultKa = Finite(fault?.LargestA / 1e3),
            PeakKa = Finite(fault?.PeakA / 1e3) };
        return device switch
        {
            ProtectiveDevice.Fuse f => row with { RatedA = f.RatedA, BreakingKa = f.BreakingKa },
            ProtectiveDevice.SemiconductorFuse s => row with { RatedA = s.RatedA, BreakingKa = s.BreakingKa },
            ProtectiveDevice.CircuitBreaker b => row with { RatedA = b.RatedA, SettingA = b.OverloadA, BreakingKa = b.BreakingKa },
            ProtectiveDevice.MotorBreaker m => row with { RatedA = m.RatedA, SettingA = m.OverloadA, BreakingKa = m.BreakingKa },
            _ => row,
        };
    }

    private static string Kind(ConductorMaterial material, CableInstallation? laid, bool screened) =>
        $"{(material == ConductorMaterial.Copper ? "Cu" : "Al")}"
            + $"{(laid is null ? string.Empty : laid.Insulation == CableInsulation.Pvc ? " PVC" : " XLPE")}"
        + $"{(laid?.Cores == CableCores.WithNeutral ? ", 3 + N + PE" : ", 3 + PE")}{(screened ? ", screened" : string.Empty)}";

    private static string Laid(CableInstallation? laid, PlantSpecification plant) => laid is null ? string.Empty
        : plant.Conventions.Installation == InstallationCode.Nfpa70
            ? $"{laid.Circuits} {(laid.Circuits == 1 ? "circuit" : "circuits")}, {Text.N(laid.SurroundC(plant.Site.AmbientMaxC))} °C"
        : $"{laid.Method}, "
            + $"{(laid.Grouping switch { CableGrouping.Bunched => "bunched", CableGrouping.PerforatedTray => "perforated tray", _ => "ladder" })}, {laid.Circuits} together, "
            + $"{Text.N(laid.SurroundC(plant.Site.AmbientMaxC))} °C";

    private static double? Plain(Given value) => value.IsKnown ? value.Value : null;

    private static double? Finite(double? value) => value is { } number && double.IsFinite(number) ? number : null;
}
