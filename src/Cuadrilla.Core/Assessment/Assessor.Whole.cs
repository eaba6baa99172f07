using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Interference;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

// The whole plant: drive points, scenarios, and all checks of both.
public sealed partial class Assessor
{
    private PlantAssessment Assessed(Laying laying)
    {
        var plant = laying.Plant;
        var (supply, studies) = Supplied(plant, true);
        var (scenarios, demand, buses) = (supply.Scenarios, supply.Demand, plant.BusOfDrivePoints());
        List<Check> checks = [.. PlantChecks.Of(supply), .. PlantChecks.OfArrangements(supply, studies)];
        var models = studies.Select(s => s.Model).ToList();
        checks.AddRange(CabinetChecksOf(supply));
        checks.AddRange(ControlChecksOf(supply));
        checks.AddRange(SignalChecksOf(supply));
        checks.AddRange(Judging.All("emc.rcd", string.Empty, BoardRow.Plant, "Residual-current devices of lineups",
            () => ResidualChecks.OfLineups(supply, models)));
        checks.AddRange(Judging.All("emc.category", string.Empty, BoardRow.Plant, "Interference of supply modules",
            () => EmcChecks.OfPlant(supply, models)));
        if (laying.Routes is { } routes)
        {
            checks.AddRange(Judging.All("emc.separation", string.Empty, BoardRow.Plant, "Separation of cables",
                () => SeparationChecks.Of(routes, SeparationOf(plant, routes, models))));
        }

        checks.AddRange(Cores.Map(studies, s => (List<Check>)
            [.. InThePlant(s, supply, buses[s.Model.Id]), .. s.Checks.Select(c => AtLowest(c, s.Model, supply, buses[s.Model.Id]))], stop)
                .SelectMany(c => c));

        var firsts = FirstCurrents.Of(scenarios);
        return new PlantAssessment(
            data.Version,
            [.. studies.Select(s => DrivePointSummaries.Of(s, firsts))],
            checks,
            scenarios,
            demand,
            demand is null ? null : data.PccLimits.CurrentRow(demand.Ratio, plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV))
        {
            Voltages = supply.Voltages,
            ShortCircuits = supply.ShortCircuits,
            Faults = [.. supply.Faults, .. checks.Select(c => c.Fault).OfType<Fault>()],
        };
    }

    // The models of the drive points, the scenarios, and what both say of the supply.
    private (SupplyContext Supply, IReadOnlyList<DrivePointStudy> Studies) Supplied(PlantSpecification plant, bool areJudged)
    {
        var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
        var buses = plant.BusOfDrivePoints();
        var studies = Cores.Map([.. plant.AllDrivePoints()],
            p => drivePoints.Get(InputOf(plant, p, buses[p.Id].NominalVoltageV, defaults)), stop);
        var complete = studies.Select(s => s.Model).OfType<CompleteDrive>().ToList();
        var incomplete = studies.Where(s => !s.IsComplete && s.Model.Input.DrivePoint.Sun is null)
            .Select(s => $"{s.Model.Input.DrivePoint.Tag}: {string.Join(", ", s.Model.Missing())}")
            .ToList();
        var solved = Solved(plant, defaults, complete, areJudged ? studies : []);
        var scenarios = solved.Select(s => s.Result).OfType<ScenarioResult>().ToList();
        List<Fault> faults = [.. studies.Select(s => s.Model.Fault).OfType<Fault>(), .. solved.Select(s => s.Fault).OfType<Fault>(),
            .. scenarios.SelectMany(s => s.Faults)];
        incomplete.AddRange(plant.Lineups.SelectMany(l => l.DcBuses).SelectMany(b => DcBusModel.OpenSupply(b, data, defaults)));
        incomplete.AddRange(solved.Select(s => s.Fault).OfType<Fault>().Select(f => $"not judged: {f.Where}: {f.What}"));
        var supply = new SupplyContext(plant, data.With(plant), defaults, scenarios, PccDemand.Of(plant, scenarios), incomplete)
        {
            Faults = faults,
            Voltages = BusVoltages.Of(plant, scenarios),
            ShortCircuits = BusShortCircuits.Of(plant, scenarios, defaults),
            BusDropsPct = BusDrops.Pct(plant, scenarios),
        };
        return (supply, studies);
    }

    /// <inheritdoc/>
    public HarmonicDraft HarmonicsOf(PlantSpecification plant, bool seeksSecond)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var assessor = new Assessor(this, stop, seeksSecond);
        var laid = LaidWith(plant).Plant;
        var (supply, studies) = assessor.Supplied(laid, false);
        var buses = laid.BusOfDrivePoints();
        return new HarmonicDraft(supply.Scenarios,
        [
            .. PlantChecks.Harmonics(supply),
            .. studies.SelectMany(s => EquipmentChecksOf(s.Model, supply, buses[s.Model.Id])).Select(c => c.Doubted(supply.Faults)),
        ]);
    }

    // Scenarios wait for nothing but the models: the drive points are judged beside them.
    private (ScenarioResult? Result, Fault? Fault)[] Solved(PlantSpecification plant, DefaultsInForce defaults,
        IReadOnlyList<CompleteDrive> complete, IReadOnlyList<DrivePointStudy> studies)
    {
        var solved = new (ScenarioResult? Result, Fault? Fault)[plant.Scenarios.Count];
        var open = studies.Where(s => !s.IsJudged).ToList();
        Cores.InOrder(solved.Length + open.Count, i =>
        {
            if (i < solved.Length)
            {
                solved[i] = Scenario(plant, plant.Scenarios[i], defaults, complete);
            }
            else
            {
                open[i - solved.Length].BeJudged();
            }
        }, stop);
        return solved;
    }

    // Judged at the nominal voltage while nothing else is known; in the plant at the lowest of its bus.
    private static Check AtLowest(Check check, DrivePointModel model, SupplyContext supply, Bus bus)
    {
        if (check.Fault is not null || check.Verdict is Verdict.NeedsData or Verdict.NotApplicable
            || supply.Voltages.GetValueOrDefault(bus.Id) is not { } range)
        {
            return check;
        }

        // Where the currents of a scenario are not known nobody knows its voltages: what holds at the nominal one may fail there. One
        // front end without a state of its own leaves them to be known.
        var isAtBus = model.Starter is not null
            ? check.Id is "motor.peak" or "motor.connection"
            : check.Id is "converter.output-voltage" or LongCableChecks.OutputId
            or LongCableChecks.TapId
            && !model.Input.HasNoLine;
        List<string> unsettled = isAtBus && check.Verdict != Verdict.Fails
            ? [.. supply.Scenarios.Where(s => !s.Iteration.IsSettled || s.Faults.Count > 0 || s.Drives.Count == 0)
                .SelectMany(s => s.Unsettled).Distinct()]
            : [];
        if (unsettled.Count > 0)
        {
            return Check.Lacking(check.Id, model.Id, check.Row, check.Title, unsettled);
        }

        // Too much voltage counts for the flux alone; torque and output voltage never count on more than the nominal.
        return check.Id switch
        {
            "converter.output-voltage" when range.LowestPct < 100 && !model.Input.HasNoLine =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => OutputVoltageCheck.Of(model, range.LowestPct / 100, range.LowestScenario)),
            LongCableChecks.OutputId when range.LowestPct < 100 && LongCableStudy.Of(model) is { } study =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => LongCableChecks.Output(study, range.LowestPct / 100, range.LowestScenario)),
            LongCableChecks.TapId when range.LowestPct < 100 && LongCableStudy.Of(model) is { } study =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => LongCableChecks.Tap(study, range.LowestPct / 100, range.LowestScenario)),
            "motor.peak" when range.LowestPct < 100 && model.Starter is not null =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => MotorChecks.Peak(model, range.LowestPct / 100, range.LowestScenario)),
            "motor.connection" when model.Starter is not null =>
                Judging.One(check.Id, model.Id, check.Row, check.Title, () => MotorRuleChecks.Connection(model, range)),
            _ => check,
        };
    }

    // What a drive point's checks ask of the plant around it.
    private IEnumerable<Check> InThePlant(DrivePointStudy study, SupplyContext supply, Bus bus)
    {
        var model = study.Model;
        List<Check> checks = [Judging.One("supply.data", model.Id, BoardRow.Supply, "Supply data",
            () => SupplyDataCheck.Of(model, supply.Plant))];
        if (model.Input.Group is null or { IsHead: true })
        {
            checks.Add(Judging.One(FaultLevelChecks.ConverterId, model.Id, BoardRow.Supply, "Fault level at the converter",
                () => FaultLevelChecks.OfConverter(model, bus, supply)));
        }

        checks.AddRange(Judging.All("emc.category", model.Id, BoardRow.Converter, "Interference", () => EmcChecks.Of(model, bus, supply)));
        checks.AddRange(Judging.All(EarthLeakageCheck.Id, model.Id, BoardRow.Supply, EarthLeakageCheck.Title,
            () => EarthLeakageCheck.Of(model, bus, supply)));
        checks.AddRange(Judging.All("emc.rcd", model.Id, BoardRow.Supply, "Residual-current device",
            () => ResidualChecks.Of(model, bus, supply)));
        checks.AddRange(Judging.All(ItSystemCheck.Id, model.Id, BoardRow.Converter, ItSystemCheck.Title,
            () => ItSystemCheck.Of(model, bus)));
        checks.AddRange(Judging.All(AltitudeCheck.Id, model.Id, BoardRow.Converter, AltitudeCheck.Title,
            () => AltitudeCheck.Of(model, supply.Plant.Site, bus)));
        checks.AddRange(Judging.All(TwoConductorChecks.RippleId, model.Id, BoardRow.Converter, "Two conductors",
            () => TwoConductorChecks.Of(model, supply, bus)));
        checks.AddRange(EquipmentChecksOf(model, supply, bus));
        if (model.Starter is not null)
        {
            checks.AddRange(Judging.All("starter.reaches-speed", model.Id, BoardRow.Converter, "Start reaches speed", () =>
                StarterChecks.Of(model, StartPlaces.Of(supply.Plant, supply.Scenarios, model, bus), supply, key => starts.Get(key))
                    .Select(c => OnePhasePointChecks.BehindStatic(model, c))));
        }

        checks.AddRange(Judging.All("cable.capacity", model.Id, BoardRow.Cable, "Cables and protection",
            () => ProtectionChecks.Of(Feeder(model, supply, bus))));
        return checks.Select(c => c.Doubted(supply.Faults));
    }

    private static IReadOnlyList<Check> EquipmentChecksOf(DrivePointModel model, SupplyContext supply, Bus bus) => Judging.All(
        EquipmentChecks.EquipmentId, model.Id, BoardRow.Supply, "Current on a public system", () => EquipmentChecks.Of(model, supply, bus));

    private (ScenarioResult? Result, Fault? Fault) Scenario(PlantSpecification plant, Scenario scenario, DefaultsInForce defaults,
        IReadOnlyList<CompleteDrive> complete)
    {
        try
        {
            var result = ScenarioStudy.Run(plant, scenario, defaults, complete, data.SupplyModules,
                fronts?.Of(plant.Name, scenario.Id) ?? ScenarioBefore.Nothing, seeksSecond, stop);
            if (result is not null)
            {
                fronts?.Keep(plant.Name, result);
            }

            return (result, null);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return (null, Fault.Of($"scenario '{scenario.Name}'", problem));
        }
    }
}
