using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Lists;

/// <summary>A list for panel builder, programmer and buyer.</summary>
public enum BuildList
{
    /// <summary>Signals of the drive points.</summary>
    Signals,

    /// <summary>Terminals of the units and channels of the controller.</summary>
    Terminals,

    /// <summary>Sections of the cabinets.</summary>
    Sections,

    /// <summary>Parts of the lineups with price index.</summary>
    Parts,
}

/// <summary>Lists as rows: the same for CSV, workbook and paper.</summary>
public static class BuildLists
{
    private const string Nothing = "nothing entered";

    /// <summary>Rows of a list; at least one.</summary>
    public static IReadOnlyList<IReadOnlyDictionary<string, object?>> Rows(BuildList list, PlantSpecification plant, Assessor assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessor);
        var rows = (list switch
        {
            BuildList.Signals => SignalRows(assessor.Signals(plant)),
            BuildList.Terminals => TerminalRows(assessor.Signals(plant)),
            BuildList.Sections => SectionRows(plant, assessor),
            _ => PartRows(plant, assessor),
        }).Select(TableFiles.Guarded).ToList();
        return rows.Count > 0 ? rows : [new Dictionary<string, object?> { ["Lineup"] = Nothing }];
    }

    /// <summary>Name of a list.</summary>
    public static string Name(BuildList list) => list switch
    {
        BuildList.Signals => "Signal list",
        BuildList.Terminals => "Terminal plan",
        BuildList.Sections => "Section list",
        _ => "Parts list",
    };

    private static IEnumerable<Dictionary<string, object?>> SignalRows(SignalStudy study) =>
        from unit in study.Points
        let runs = SignalRuns.Of(unit).ToList()
        from s in unit.Signals
        let ends = unit.Ends(s)
        let run = runs.Find(r => r.Signals.Contains(s))
        select new Dictionary<string, object?>
        {
            ["Lineup"] = unit.Lineup.Tag,
            ["Drive point"] = unit.Point.Tag,
            ["Signal"] = s.Facts.Name,
            ["Way"] = s.Facts.Way switch { Core.Signals.SignalWay.In => "into the unit", Core.Signals.SignalWay.Out => "out of the unit",
                _ => "both" },
            ["Kind"] = KindOf(s),
            ["Terminal"] = s.Terminal?.Name ?? (s.LacksTerminal ? "none left" : null),
            ["Other end"] = SignalWords.Of(s.Wanted.Far),
            ["Channel"] = s.Card is null ? s.LacksChannel ? "none left" : null : s.Channel,
            ["At 0 %"] = ends?.ZeroAt,
            ["At 50 %"] = ends is null ? null : (ends.ZeroAt + ends.FullAt) / 2,
            ["At 100 %"] = ends?.FullAt,
            ["Unit"] = SignalWords.Unit(s.Facts.Quantity),
            ["Wire break"] = ends is null ? null : Core.Signals.SignalScaling.BottomOf(ends.Range) > 0 ? "told" : "not told",
            ["Cable"] = run is null ? "in the cabinet" : $"{Words(run)}, {run.Cores} cores",
        };

    private static string KindOf(PlacedSignal s) => s.UnitRange is { } range ? SignalWords.Of(range)
        : s.Terminal is { } terminal ? SignalWords.Of(terminal.Nature) : "wired outside the unit";

    private static string Words(SignalRun run) => run.Kind switch
    {
        Core.Interference.SignalKind.Control24V => "control",
        Core.Interference.SignalKind.Fieldbus => "fieldbus",
        Core.Interference.SignalKind.Thermistor => "thermistors, screened",
        Core.Interference.SignalKind.Brake => "brake, screened",
        Core.Interference.SignalKind.Encoder => "pulses, screened pairs",
        _ => "analogue, screened pairs",
    };

    private static IEnumerable<Dictionary<string, object?>> TerminalRows(SignalStudy study)
    {
        foreach (var unit in study.Points)
        {
            foreach (var terminal in unit.Terminals ?? [])
            {
                var on = unit.Signals.Where(s => s.Terminal?.Name == terminal.Name).ToList();
                yield return Row(unit.Lineup.Tag, unit.Point.Tag, terminal.Name, SignalWords.Of(terminal.Nature),
                    string.Join(" and ", on.Select(s => s.Facts.Name)),
                    string.Join(" and ", on.Select(s => s.Card is null ? SignalWords.Of(s.Wanted.Far) : s.Channel)));
            }
        }

        foreach (var card in study.Controller.Cards)
        {
            var on = study.On(card);
            for (var number = 1; number <= card.Channels; number++)
            {
                yield return Row(string.Empty, $"{study.Controller.Name}, {card.Name}", $"{number}", SignalWords.Of(card.Kind),
                    string.Join(" and ", on[number].Select(s => s.Facts.Name)),
                    string.Join(" and ", on[number].Select(s => $"{study.Of(s.PointId)!.Point.Tag} {s.Terminal?.Name}".TrimEnd())));
            }
        }

        static Dictionary<string, object?> Row(string lineup, string at, string terminal, string what, string signal, string to) => new()
        {
            ["Lineup"] = lineup, ["At"] = at, ["Terminal"] = terminal, ["What it is"] = what,
            ["Signal"] = signal.Length > 0 ? signal : "spare", ["Goes to"] = to,
        };
    }

    private static IEnumerable<Dictionary<string, object?>> SectionRows(PlantSpecification plant, Assessor assessor)
    {
        var units = plant.Conventions.Units;
        object In(string unit, double value) => UnitTable.Of(unit).Say(units, value);
        var scenarios = assessor.Run(plant).Scenarios;
        foreach (var study in plant.Lineups.Select(l => assessor.Cabinets(plant, l)).OfType<CabinetStudy>())
        {
            var busbar = BusbarCurrents.Of(study, scenarios);
            foreach (var section in study.Layout.Sections)
            {
                var air = study.AirOf(section);
                yield return new Dictionary<string, object?>
                {
                    ["Lineup"] = study.Lineup.Tag,
                    ["Section"] = section.Number,
                    ["Width"] = In("mm", section.WidthMm),
                    ["Height"] = In("mm", study.HeightMm),
                    ["Depth"] = In("mm", study.DepthMm),
                    ["Mass"] = In("kg", study.MassKg(section)),
                    ["Loss inside"] = air.Count > 0 ? In("W", air.Max(a => a.LossW)) : null,
                    ["Under the roof"] = air.Count > 0 && air.Max(a => a.TopC) is { } top ? In("°C", top) : null,
                    ["Busbar"] = busbar.In(section) is { } ampere ? In("A", ampere) : null,
                    ["Moved with"] = string.Join(", ", study.Transports().First(t => t.Contains(section)).Select(s => s.Number)),
                    ["What stands in it"] = section.Units.Count > 0 ? string.Join("; ", section.Units.Select(u => u.Unit.Name))
                        : section.Kind == SectionKind.Incoming ? "incoming" : "control",
                };
            }
        }
    }

    // Units, devices and cables that are specified; what is not chosen stands in no list to buy from.
    private static IEnumerable<Dictionary<string, object?>> PartRows(PlantSpecification plant, Assessor assessor)
    {
        var data = assessor.Data.With(plant);
        var plan = assessor.Protection(plant);
        foreach (var lineup in plant.Lineups)
        {
            foreach (var bus in lineup.DcBuses)
            {
                if (data.SupplyModules.TryGetValue(bus.SupplyModuleId, out var module))
                {
                    yield return Part(lineup.Tag, bus.Name, "supply module", $"{Text.N(module.RatedKw)} kW", 1, module.PriceIndex);
                }
            }

            foreach (var row in lineup.DrivePoints.SelectMany(p => OfPoint(lineup, p, plant, data)))
            {
                yield return row;
            }

            foreach (var device in plan.Devices.Where(d => d.LineupId == lineup.Id && d.Device.Length > 0))
            {
                yield return Part(lineup.Tag, device.Tag, "device", device.Device, 1, null);
            }

            foreach (var cable in plan.Cables.Where(c => c.LineupId == lineup.Id))
            {
                var length = cable.LengthM is { } m
                    ? UnitTable.Of("m").Say(plant.Conventions.Units, m * cable.Count * cable.Parallel)
                    : "length open";
                yield return Part(lineup.Tag, cable.Tag, "cable",
                    $"{cable.Kind}, "
                        + $"{(cable.SectionMm2 is null ? "section open" : Schedules.Schedules.Section(plant.Conventions.Units, cable.SectionMm2))}, {length}",
                    cable.Count * cable.Parallel, null);
            }
        }

        foreach (var card in plant.Controller?.Cards ?? [])
        {
            yield return Part(string.Empty, plant.Controller!.Name, "card", $"{card.Name}: {card.Channels} {SignalWords.Of(card.Kind)}",
                1, null);
        }
    }

    private static IEnumerable<Dictionary<string, object?>> OfPoint(Lineup lineup, DrivePoint point, PlantSpecification plant,
        EngineeringData data)
    {
        var motors = plant.GroupOf(point.Id)?.Members.First(m => m.PointId == point.Id).Count ?? 1;
        if (point.Motor is MotorChoice.FromCatalogue motor && data.Motors.TryGetValue(motor.ItemId, out var m))
        {
            yield return Part(lineup.Tag, point.Tag, "motor",
                $"{Text.N(m.Plate.RatedPowerW / 1e3)} kW, {m.Poles} poles, {m.EfficiencyClass}, frame {m.Frame}", motors,
                Known(m.PriceIndex));
        }

        switch (point.Converter)
        {
            case ConverterChoice.FromCatalogue choice when data.Converters.TryGetValue(choice.ItemId, out var item):
                yield return Part(lineup.Tag, point.Tag, "converter", ItemText.Power(item), choice.Modules, Known(item.PriceIndex));
                if (choice.Braking is Braking.Resistor resistor)
                {
                    yield return Part(lineup.Tag, point.Tag, "brake resistor",
                        resistor is { ResistanceOhm.IsKnown: true, ContinuousKw.IsKnown: true }
                            ? $"{Text.N(resistor.ResistanceOhm.Value)} Ω, {Text.N(resistor.ContinuousKw.Value)} kW" : "not sized", 1, null);
                }

                if (choice.Filter != OutputFilter.None)
                {
                    yield return Part(lineup.Tag, point.Tag, "output filter", "for " + ItemText.Power(item), choice.Modules, null);
                }

                break;
            case ConverterChoice.SoftStarter starter when data.SoftStarters.TryGetValue(starter.ItemId, out var soft):
                yield return Part(lineup.Tag, point.Tag, "soft starter", $"{Text.N(soft.RatedCurrentA)} A", 1, Known(soft.PriceIndex));
                break;
            case ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta:
                yield return Part(lineup.Tag, point.Tag, "contactors",
                    point.Converter is ConverterChoice.StarDelta ? "star-delta" : "across the line",
                    point.Converter is ConverterChoice.StarDelta ? 3 : 1, null);
                break;
        }
    }

    // Items of the engineer's own lists may have no price.
    private static double? Known(double index) => index > 0 ? index : null;

    private static Dictionary<string, object?> Part(string lineup, string tag, string what, string details, int number,
        double? price) => new()
    {
        ["Lineup"] = lineup,
        ["For"] = tag,
        ["Part"] = what,
        ["Details"] = details,
        ["Number"] = number,
        ["Price index each"] = price,
        ["Price index"] = price * number,
    };
}
