using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>What of a lineup stands in its cabinets, in the order of the power: supply modules, then converters with their filters by
/// falling rating, then starters.</summary>
internal static class CabinetUnits
{
    /// <summary>Units, and what is missing before all of them are known.</summary>
    public static (IReadOnlyList<CabinetUnit> Units, IReadOnlyList<string> Missing) Of(
        Lineup lineup, IReadOnlyList<DrivePointModel> models, EngineeringData data, double busV)
    {
        // Line current of a power, before the scenario is solved.
        double AmpereOf(double lineW) => Math.Max(0, lineW) / (Math.Sqrt(3) * busV * data.Cabinets.IncomingPowerFactor);
        List<CabinetUnit> units = [];
        List<string> missing = [];
        foreach (var bus in lineup.DcBuses)
        {
            if (data.SupplyModules.TryGetValue(bus.SupplyModuleId, out var module))
            {
                units.Add(Module(bus, module, models, data.Cabinets, AmpereOf));
            }
            else
            {
                missing.Add($"supply module of {bus.Name}");
            }
        }

        foreach (var model in models.Where(StandsHere))
        {
            if (model.Input.Group is { IsHead: false })
            {
                continue;
            }

            if (model.WholeItem is { } item)
            {
                units.Add(Converter(model, item, models, data.Cabinets, AmpereOf));
                if (model.Filter is { } filter && model.StepUp is null)
                {
                    units.Add(Filter(model, item, filter, data.Cabinets));
                }
            }
            else if (model.Starter is { } starter && model.Fitted is { } motor)
            {
                units.Add(Starter(model, starter, motor.Connected.Plate.RatedCurrentA, data.Cabinets));
            }
            else
            {
                missing.Add($"{model.Input.DrivePoint.Tag}: converter or starter, motor");
            }
        }

        var rank = units.Where(u => u.Kind != CabinetUnitKind.Filter).ToDictionary(u => u.Id, u => (u.Kind, -u.RatedKw));
        return ([.. units.OrderBy(u => rank[Of(u)]).ThenBy(u => Of(u), StringComparer.Ordinal).ThenBy(u => u.Kind)], missing);

        // A filter stands with its converter.
        static string Of(CabinetUnit unit) => unit.Kind == CabinetUnitKind.Filter ? unit.PointId : unit.Id;
    }

    // What runs from the sun, or whose converter has a place of its own, stands elsewhere.
    private static bool StandsHere(DrivePointModel model) =>
        model.Input.DrivePoint is { Sun: null, Interference.PlaceId.Length: 0 };

    private static CabinetUnit Module(CommonDcBus bus, SupplyModuleItem module, IReadOnlyList<DrivePointModel> models, CabinetSeries series,
        Func<double, double> ampereOf)
    {
        var members = models.Where(m => bus.MemberIds.Contains(m.Id)).ToList();
        var whole = module.AsFront(members.Sum(m => m.Converter?.Item.DcCapacitanceUf ?? 0) * 1e-6);
        return new CabinetUnit
        {
            Id = bus.Id,
            PointId = string.Empty,
            Feeds = bus.MemberIds,
            FrontId = bus.Id,
            Kind = CabinetUnitKind.SupplyModule,
            Name = $"{bus.Name}, supply module {Base.Text.N(module.RatedKw)} kW",
            RatedKw = module.RatedKw,
            Size = SizeOf(module.Size),
            Clearance = CabinetSeries.From(series.ConverterClear, module.RatedKw),
            AirM3PerH = module.Size.AirflowM3PerH,
            ShortCircuitKa = module.ShortCircuitKa,
            LineA = scenario => Taken(scenario) is { } taken ? ampereOf(taken.LineW) : null,
            LossW = scenario => module.StandbyW + Taken(scenario)?.FrontLossW,
        };

        OperatingPoint? Taken(Scenario scenario)
        {
            var points = members.ConvertAll(m => PointOf(m, scenario));
            return points.TrueForAll(p => p.IsKnown)
                ? OperatingPoint.OfBus(points.Sum(p => p.Point?.LinkW ?? p.StandbyW), whole)
                : null;
        }
    }

    private static CabinetUnit Converter(DrivePointModel model, ConverterItem item, IReadOnlyList<DrivePointModel> models,
        CabinetSeries series, Func<double, double> ampereOf)
    {
        var fed = model.Input.Group is { } group ? models.Where(m => m.Input.Group?.GroupId == group.GroupId).ToList() : [model];
        var point = model.Input.DrivePoint;
        return new CabinetUnit
        {
            Id = model.Id,
            PointId = model.Id,
            Feeds = fed.ConvertAll(m => m.Id),
            FrontId = model.Input.OnDcBus ? string.Empty : model.Input.Group?.GroupId ?? model.Id,
            Kind = CabinetUnitKind.Converter,
            Name = $"{point.Tag} {point.Name}, converter {ItemText.Power(item)}",
            RatedKw = item.RatedKw,
            Size = SizeOf(item.Size),
            Clearance = CabinetSeries.From(series.ConverterClear, item.RatedKw),
            AirM3PerH = item.Size.AirflowM3PerH,
            ShortCircuitKa = model.Input.OnDcBus ? null : item.ShortCircuitKa,
            LineA = scenario => model.Input.OnDcBus ? 0 : Sum(scenario, p => ampereOf(p.LineW), _ => 0),
            LinkW = scenario => model.Input.OnDcBus ? Sum(scenario, p => Math.Abs(p.LinkW), standbyW => standbyW) : 0,
            LossW = scenario => Sum(scenario, p => p.ConverterLossW + (model.Input.OnDcBus ? 0 : p.FrontLossW), standbyW => standbyW),
        };

        // Over all that it feeds, running or not; null where one can't be computed.
        double? Sum(Scenario scenario, Func<OperatingPoint, double> running, Func<double, double> still)
        {
            var points = fed.ConvertAll(m => (Of: PointOf(m, scenario), m.Input.Group?.Count ?? 1));
            return points.TrueForAll(p => p.Of.IsKnown)
                ? points.Sum(p => p.Item2 * (p.Of.Point is { } run ? running(run) : still(p.Of.StandbyW)))
                : null;
        }
    }

    private static CabinetUnit Filter(DrivePointModel model, ConverterItem item, OutputFilterItem filter, CabinetSeries series)
    {
        var size = CabinetSeries.From(series.SineFilters, item.RatedKw);
        var pu = filter.Sinusoidal ? 1 : series.SlopeFilterPu;
        return new CabinetUnit
        {
            Id = model.Id + "/filter",
            PointId = model.Id,
            Feeds = [model.Id],
            FrontId = string.Empty,
            Kind = CabinetUnitKind.Filter,
            Name = $"{model.Input.DrivePoint.Tag} {filter.Name}",
            RatedKw = item.RatedKw,
            Size = new UnitSize(size.WidthMm * pu, size.HeightMm * pu, size.DepthMm * pu, size.MassKg * pu * pu * pu),
            Clearance = new UnitClearance(series.FilterClearMm, series.FilterClearMm, 0),
            AirM3PerH = 0,
            ShortCircuitKa = null,
            LineA = _ => 0,
            LossW = scenario => PointOf(model, scenario) is { IsKnown: true } at ? at.Point?.FilterLossW ?? 0 : null,
        };
    }

    private static CabinetUnit Starter(DrivePointModel model, StarterAtSite starter, double ratedA, CabinetSeries series)
    {
        var point = model.Input.DrivePoint;
        var size = starter.Item is { } item
            ? new UnitSize(item.WidthMm, item.WidthMm * series.StarterHeightPerWidth, item.WidthMm * series.StarterDepthPerWidth,
                item.MassKg)
            : Contactors(starter, CabinetSeries.From(series.Contactors, ratedA));
        return new CabinetUnit
        {
            Id = model.Id,
            PointId = model.Id,
            Feeds = [model.Id],
            FrontId = string.Empty,
            Kind = CabinetUnitKind.Starter,
            Name = $"{point.Tag} {point.Name}, {starter.Name}",
            RatedKw = model.Fitted!.Connected.Plate.RatedPowerW / 1e3,
            Size = size,
            Clearance = new UnitClearance(series.StarterClearMm, series.StarterClearMm, 0),
            AirM3PerH = 0,
            ShortCircuitKa = starter.Item?.ShortCircuitKa,
            LineA = scenario => PointOf(model, scenario) is { IsKnown: true } at ? at.Point?.Motor.CurrentA ?? 0 : null,
            LossW = scenario => PointOf(model, scenario) is not { IsKnown: true } at ? null
                : at.Point is not { } run ? 0
                : starter.RunningLossW + (run.Motor.CurrentA * series.ContactorLossWPerA),
        };
    }

    private static UnitSize Contactors(StarterAtSite starter, UnitSize one)
    {
        var number = starter.Choice is ConverterChoice.StarDelta ? 3 : 1;
        return one with { WidthMm = number * one.WidthMm, MassKg = number * one.MassKg };
    }

    private static UnitSize SizeOf(ConverterSize size) => new(size.WidthMm, size.HeightMm, size.DepthMm, size.MassKg);

    // A drive in a scenario: its point, none while it is off, or not known.
    private static (bool IsKnown, OperatingPoint? Point, double StandbyW) PointOf(DrivePointModel model, Scenario scenario)
    {
        var state = scenario.StateOf(model.Id);
        var standby = model.Converter?.Item.StandbyW ?? 0;
        return !state.Running ? (true, null, standby)
            : model is CompleteDrive drive ? (true, drive.At(state.LevelPu, state.LoadPu), standby)
            : (false, null, standby);
    }
}
