using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Every number and text of the specification is described, and its description is what judges it.</summary>
public sealed class FieldTableTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    // Judged against other entries or the catalogue, not by a range of their own: keys of things, defaults of the catalogue, steps of a
    // bank, an order of a list.
    private static readonly HashSet<string> Elsewhere =
    [
        "DefaultOverride.Value", "DefaultOverride.Key", "BankState.StepsOn", "BackgroundOrder.Order", "DrivePointState.DrivePointId",
        "LoadState.LoadId", "SwitchState.ElementId", "BankState.BankId",
    ];

    public static TheoryData<string, string> Entries =>
        new(Records().SelectMany(r => r.GetProperties(BindingFlags.Public | BindingFlags.Instance | BindingFlags.DeclaredOnly)
        .Where(p => p.SetMethod is not null
            && (p.PropertyType == typeof(Given) || p.PropertyType == typeof(double) || p.PropertyType == typeof(int)
                || p.PropertyType == typeof(string)))
        .Select(p => (FieldTable.KeyOf(r), p.Name))));

    [Theory]
    [MemberData(nameof(Entries))]
    public void Every_entry_is_described(string record, string key)
    {
        var known = FieldTable.All.SelectMany(s => s.Fields.Select(f => $"{FieldTable.KeyOf(s.Of)}.{f.Key}"))
            .ToHashSet(StringComparer.Ordinal);
        Assert.True(
            known.Contains($"{record}.{key}") || Elsewhere.Contains($"{record}.{key}") || key.EndsWith("ItemId", StringComparison.Ordinal)
            || key.EndsWith("BusId", StringComparison.Ordinal) || key.EndsWith("PointId", StringComparison.Ordinal)
                || key.EndsWith("ModuleId", StringComparison.Ordinal) || Inherited(record, key),
            $"{record}.{key}");
    }

    [Fact]
    public void Names_and_help_are_whole_sentences_and_units_stand_in_the_key()
    {
        foreach (var field in FieldTable.All.SelectMany(s => s.Fields))
        {
            Assert.InRange(field.Name.Length, 3, 40);
            Assert.Matches("[.…]$", field.Help);
            Assert.True(field is not NumberField number || number.Max > number.Min, field.Key);
        }

        foreach (var number in FieldTable.All.SelectMany(s => s.Fields).OfType<NumberField>())
        {
            var ending = number.Unit switch
            {
                "kW" => "Kw",
                "kVA" => "Kva",
                "MVA" => "Mva",
                "V" => "V",
                "A" => "A",
                "m" => "M",
                "mm" => "Mm",
                "s" => "S",
                "ms" => "Ms",
                "rpm" => "Rpm",
                "Nm" => "Nm",
                "kg" => "Kg",
                "Hz" => "Hz",
                "kHz" => "Khz",
                "%" => "Pct",
                "°C" => "C",
                "K" => "K",
                "Ω" => "Ohm",
                "kvar" => "Kvar",
                "J" => "J",
                "N" => "N",
                "Pa" => "Pa",
                "bar" => "Bar",
                "kg·m²" => "KgM2",
                "m³/s" => "M3PerS",
                _ => "",
            };
            Assert.EndsWith(ending, number.Key.Replace("MPerRev", "MPerRevM", StringComparison.Ordinal), StringComparison.Ordinal);
        }
    }

    // Nobody has to remember to call a check: beyond either end an entry is named, wherever it stands, by its own name.
    [Fact]
    [Trait("speed", "slow")]
    public void What_is_out_of_range_is_named_wherever_it_stands()
    {
        var left = FieldTable.All.SelectMany(s => s.Fields.OfType<NumberField>())
            .ToHashSet<NumberField>(ReferenceEqualityComparer.Instance);
        foreach (var plant in Plants())
        {
            var document = JsonSerializer.SerializeToNode(plant, ProjectJson.Options)!.AsObject();
            foreach (var (pointer, field) in Numbers(document, string.Empty, typeof(PlantSpecification)).Where(n => left.Remove(n.Field))
                .ToList())
            {
                foreach (var beyond in new[] { field.IsAboveMin ? field.Min : field.Min - 1, field.Max + 1 })
                {
                    var changed = document.DeepClone();
                    var parts = pointer.Split('/')[1..];
                    var parent = parts[..^1].Aggregate(changed,
                        (node, part) => node is JsonArray list ? list[int.Parse(part, CultureInfo.InvariantCulture)]! : node[part]!);
                    parent[parts[^1]] = field.IsWhole ? (int)beyond : beyond;
                    var problems = SpecificationValidation.Problems(changed.Deserialize<PlantSpecification>(ProjectJson.Options)!, Data);
                    Assert.True(problems.Any(p => p.Pointer == pointer && p.Message.StartsWith(field.Name, StringComparison.Ordinal)),
                        $"{pointer} = {beyond}");
                }
            }
        }

        Assert.True(left.Count == 0, "Never tried: " + string.Join(", ", left.Select(f => f.Key + " " + f.Name)));
    }

    // The demo, one with what is rare, then random plants until every kind of everything has been there.
    private static IEnumerable<PlantSpecification> Plants()
    {
        var demo = DemoPlant.Read(Data);
        var fan = (FanLoad)demo.Lineups[0].DrivePoints[0].Load;
        var rare = demo.Lineups[0].DrivePoints[0] with
        {
            Load = fan with { Common = fan.Common with { VaneCurve = [new VanePoint(0.2, 0.5), new VanePoint(0.9, 0.8)] } },
            Converter = ((ConverterChoice.FromCatalogue)demo.Lineups[0].DrivePoints[0].Converter) with { Braking = new Braking.Resistor(100,
                2) { Pulses = [new ResistorPulse(5, 6)] } },
            Assumed = [new AssumedValue("cable.length", 30)],
            Signals = SignalPlan.Open with
            {
                Presets = [new PresetSpeed(20)], Wanted = [new WantedSignal("run", SignalFunction.Run, FarEnd.Controller)],
            },
        };
        return
        [
            demo,
            demo with
            {
                Source = demo.Source with { FurtherBackground = [new BackgroundOrder(11, 0.5, 0)] },
                Lineups = [demo.Lineups[0] with { DrivePoints = [rare, .. demo.Lineups[0].DrivePoints.Skip(1)] }, .. demo.Lineups.Skip(1),
                    demo.Lineups[^1] with { Id = "one", DrivePoints = [],
                        OnePhase = OnePhaseSupply.Open with { Machines = [new OnePhaseMachine("m", "Saw")] },
                        Cabinets = CabinetBuild.Open with { Pins = [new UnitPin("u", 2)], Splits = [new TransportSplit(1)] },
                        Control = ControlSupplyBuild.Open with
                        {
                            Branches = [new ControlBranchBuild("b", "branch", ControlBranchUse.Further, BranchProtection.BreakerC)],
                        } }],
                Controller = new PlantController("main", [new ControllerCard("c", "card", CardKind.AnalogueInput, 4)]),
            },
            .. Enumerable.Range(50_000, 60).Select(seed => RandomPlant.Of(seed, Data)),
        ];
    }

    private static IEnumerable<(string Pointer, NumberField Field)> Numbers(JsonNode node, string at, Type type)
    {
        if (node is JsonObject record)
        {
            var kind = (string?)record["kind"];
            var actual = kind is null ? type : ProjectJson.KindsOf(type).GetValueOrDefault(kind, type);
            foreach (var property in actual.GetProperties().Where(p => p.SetMethod is not null))
            {
                var name = char.ToLowerInvariant(property.Name[0]) + property.Name[1..];
                if (record.ContainsKey(name))
                {
                    if (FieldTable.Of(actual).OfType<NumberField>().FirstOrDefault(f => f.Key == property.Name) is { } field)
                    {
                        yield return ($"{at}/{name}", field);
                    }

                    foreach (var inner in record[name] is { } value ? Numbers(value, $"{at}/{name}", property.PropertyType) : [])
                    {
                        yield return inner;
                    }
                }
            }
        }
        else if (node is JsonArray list && type.IsGenericType)
        {
            foreach (var (item, i) in list.Select((x, i) => (x, i)).Where(x => x.x is not null))
            {
                foreach (var inner in Numbers(item!, $"{at}/{i}", type.GetGenericArguments()[0]))
                {
                    yield return inner;
                }
            }
        }
    }

    private static bool Inherited(string record, string key) =>
        Records().First(r => FieldTable.KeyOf(r) == record).BaseType is { } parent && FieldTable.Of(parent).Any(f => f.Key == key);

    // All records that a specification can hold, every kind of each.
    private static HashSet<Type> Records()
    {
        HashSet<Type> found = [];
        void Walk(Type type)
        {
            var item = type.IsGenericType && typeof(System.Collections.IEnumerable).IsAssignableFrom(type)
                ? type.GetGenericArguments()[0]
                : type;
            if (item.Namespace?.StartsWith("Cuadrilla.Core", StringComparison.Ordinal) != true || item.IsEnum || item == typeof(Given)
                || !found.Add(item))
            {
                return;
            }

            foreach (var kind in ProjectJson.KindsOf(item).Values)
            {
                Walk(kind);
            }

            foreach (var property in item.GetProperties().Where(p => p.SetMethod is not null))
            {
                Walk(property.PropertyType);
            }
        }

        Walk(typeof(PlantSpecification));
        return found;
    }
}
