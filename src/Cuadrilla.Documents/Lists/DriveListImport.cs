using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Lists;

/// <summary>What becomes of a row.</summary>
public enum RowOutcome
{
    /// <summary>A drive point is made.</summary>
    New,

    /// <summary>The drive point with its tag is changed.</summary>
    Changes,

    /// <summary>It says nothing new.</summary>
    Same,

    /// <summary>It is not taken.</summary>
    Refused,

    /// <summary>It holds nothing.</summary>
    Empty,
}

/// <summary>A row as it was judged.</summary>
/// <param name="Number">Its number in the file, the heads being 1.</param>
/// <param name="Tag">Its tag.</param>
/// <param name="Name">Its name.</param>
/// <param name="Load">Kind of load that was recognised.</param>
/// <param name="Outcome">What becomes of it.</param>
/// <param name="Problems">Why it is refused.</param>
/// <param name="Assumed">What is assumed, to be replaced.</param>
/// <param name="Changes">What changes in the drive point.</param>
public sealed record JudgedRow(int Number, string Tag, string Name, string Load, RowOutcome Outcome, IReadOnlyList<string> Problems,
    IReadOnlyList<string> Assumed, IReadOnlyList<string> Changes);

/// <summary>Reads drive lists: which column is which, every row judged by itself, by the same rules before and at the taking.</summary>
public static class DriveListImport
{
    private const int LongestName = 80;
    private const int LongestTag = 20;

    /// <summary>Judges the rows of a list.</summary>
    /// <param name="plant">The plant that they go into.</param>
    /// <param name="data">Catalogue.</param>
    /// <param name="heads">Heads of the columns.</param>
    /// <param name="rows">Cells of each row.</param>
    /// <param name="columns">Position of each column by its key.</param>
    public static IReadOnlyList<(JudgedRow Judged, DriveListRow? Row)> Judge(
        PlantSpecification plant, EngineeringData data, IReadOnlyList<string> heads, IReadOnlyList<IReadOnlyList<string>> rows,
        IReadOnlyDictionary<string, int> columns)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(rows);
        var motors = data.With(plant).Motors;
        var points = plant.AllDrivePoints().GroupBy(p => p.Tag.Trim(), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.First(), StringComparer.OrdinalIgnoreCase);
        HashSet<string> seen = new(StringComparer.OrdinalIgnoreCase);
        return [.. rows.Select((cells, i) => One(new Reader(plant, heads, cells, columns), i + 2, points, motors, seen))];
    }

    private static (JudgedRow Judged, DriveListRow? Row) One(Reader read, int number, Dictionary<string, DrivePoint> points,
        IReadOnlyDictionary<string, MotorItem> motors, HashSet<string> seen)
    {
        if (read.IsEmpty)
        {
            return (new JudgedRow(number, string.Empty, string.Empty, string.Empty, RowOutcome.Empty, [], [], []), null);
        }

        var tag = read.Words("tag", LongestTag);
        if (tag.Length == 0)
        {
            read.Problems.Add("It has no tag.");
        }
        else if (!seen.Add(tag))
        {
            read.Problems.Add($"The tag {tag} stands in the list before.");
        }

        var before = points.GetValueOrDefault(tag);
        List<string> assumed = [];
        var load = read.Load(before?.Load ?? new UnspecifiedLoad(), assumed);
        var row = new DriveListRow(
            tag, read.Words("name", LongestName), read.Words("lineup", LongestName), load,
            read.Number("motorPower", FieldTable.Number<OwnMotor>(nameof(OwnMotor.RatedPowerKw))), read.Poles(),
            read.Class(), read.Feed(), read.Number("cableLength", FieldTable.Number<MotorCable>(nameof(MotorCable.LengthM))),
            read.Number("cableSize", FieldTable.Number<MotorCable>(nameof(MotorCable.CrossSectionMm2))));
        var kind = load is UnspecifiedLoad ? before?.Load.InWords() ?? string.Empty : load.InWords();
        if (read.Problems.Count > 0)
        {
            return (new JudgedRow(number, tag, row.Name, kind, RowOutcome.Refused, read.Problems, [], []), null);
        }

        IReadOnlyList<string> changes = before is null ? [] : Differences(before, row, motors);
        var outcome = before is null ? RowOutcome.New : changes.Count > 0 ? RowOutcome.Changes : RowOutcome.Same;
        return (new JudgedRow(number, tag, row.Name, kind, outcome, [], assumed, changes), row);
    }

    // What differs between the drive point and what the row makes of it, field by field.
    private static List<string> Differences(DrivePoint before, DriveListRow row, IReadOnlyDictionary<string, MotorItem> motors)
    {
        List<string> found = [];
        if (row.Name.Length > 0 && row.Name != before.Name)
        {
            found.Add($"name: {before.Name} → {row.Name}");
        }

        if (row.Load is not UnspecifiedLoad && row.Load != before.Load)
        {
            if (row.Load.GetType() != before.Load.GetType())
            {
                found.Add($"load: {before.Load.InWords()} → {row.Load.InWords()}");
            }
            else
            {
                Compare(JsonSerializer.SerializeToNode(before.Load, ProjectJson.Options),
                    JsonSerializer.SerializeToNode(row.Load, ProjectJson.Options), string.Empty, Names(row.Load), found);
            }
        }

        Add("cable length, m", before.Cable.LengthM, row.CableLengthM, found);
        Add("cable cross-section, mm²", before.Cable.CrossSectionMm2, row.CrossSectionMm2, found);
        if (row.MotorKw.IsKnown)
        {
            var item = before.Motor is MotorChoice.FromCatalogue chosen ? motors.GetValueOrDefault(chosen.ItemId) : null;
            if (item is null || !TakeDriveList.IsSize(item, row))
            {
                found.Add($"motor: {(item is null ? "not chosen" : ItemText.Motor(item) + " " + ItemText.Power(item))} → "
                    + $"{Text.N(row.MotorKw.Value, 4)} kW{(row.Poles.IsKnown ? $", {Text.N(row.Poles.Value)}-pole" : string.Empty)}");
            }
        }

        if (row.Feed != ListedFeed.NotStated && !IsFedSo(before, row.Feed))
        {
            found.Add($"fed: {JsonNamingPolicy.KebabCaseLower.ConvertName(row.Feed.ToString()).Replace('-', ' ')}");
        }

        return found;
    }

    private static bool IsFedSo(DrivePoint point, ListedFeed feed) => feed switch
    {
        ListedFeed.AcrossTheLine => point.Converter is ConverterChoice.AcrossTheLine,
        ListedFeed.StarDelta => point.Converter is ConverterChoice.StarDelta,
        ListedFeed.SoftStarter => point.Converter is ConverterChoice.SoftStarter,
        _ => point.Converter is ConverterChoice.FromCatalogue or ConverterChoice.OfGroup,
    };

    private static void Add(string name, Given before, Given after, List<string> found)
    {
        if (after.IsKnown && (!before.IsKnown || Math.Abs(before.Value - after.Value) > 1e-9))
        {
            found.Add($"{name}: {(before.IsKnown ? Text.N(before.Value) : "open")} → {Text.N(after.Value)}");
        }
    }

    private static Dictionary<string, string> Names(Load load) => FieldTable.Of(load.GetType())
        .Concat(load is FluidLoad ? FieldTable.Of(typeof(FluidMachine)) : FieldTable.Of(typeof(DriveTrain)))
        .ToDictionary(f => JsonNamingPolicy.CamelCase.ConvertName(f.Key), f => f.Name, StringComparer.Ordinal);

    private static void Compare(JsonNode? before, JsonNode? after, string key, Dictionary<string, string> names, List<string> found)
    {
        if (before is JsonObject a && after is JsonObject b)
        {
            foreach (var (name, value) in b)
            {
                Compare(a[name], value, name, names, found);
            }
        }
        else if (!JsonNode.DeepEquals(before, after))
        {
            found.Add($"{names.GetValueOrDefault(key, key)}: {Say(before)} → {Say(after)}");
        }
    }

    private static string Say(JsonNode? node) => node switch
    {
        null => "open",
        JsonValue value when value.TryGetValue<double>(out var number) => Text.N(number),
        JsonArray list => $"{list.Count} entries",
        _ => node.ToString(),
    };

    // Cells of a row by the key of their column.
    private sealed class Reader(PlantSpecification plant, IReadOnlyList<string> heads, IReadOnlyList<string> cells,
        IReadOnlyDictionary<string, int> columns)
    {
        public List<string> Problems { get; } = [];

        public bool IsEmpty => cells.All(string.IsNullOrWhiteSpace);

        public string Words(string key, int most)
        {
            var text = Cell(key);
            if (text.Length > most || PlainWords.FirstStrange(text) is not null)
            {
                Problems.Add($"{Column(key).Name}: {text.Length} characters; allowed: up to {most} on one line, none that controls or "
                    + "turns the direction.");
            }

            return text;
        }

        /// <summary>A number within the range of the entry that it goes to.</summary>
        public Given Number(string key, NumberField? range = null)
        {
            var text = Cell(key);
            if (text.Length == 0 || text is "-" or "–" or "n/a" or "N/A" or "?")
            {
                return Given.Unknown;
            }

            var column = Column(key);
            var at = columns[key];
            if (ListColumn.IsBare(text) && at < heads.Count && column.StrangeUnitIn(heads[at]) is { } strange)
            {
                Problems.Add($"{column.Name}: its head says ({strange}), which is not known here; known: "
                    + $"{string.Join(", ", column.Quantity.Accepts.Keys.Take(12))}.");
                return Given.Unknown;
            }

            if (column.Read(text, at < heads.Count ? column.UnitIn(heads[at]) : null, plant.Conventions.Units) is not { } value)
            {
                Problems.Add($"{column.Name}: “{text}” is no "
                    + $"number{(column.Quantity.Accepts.Count > 0 ? $" with a unit such as {column.Quantity.Shown}" : string.Empty)}.");
                return Given.Unknown;
            }

            if (range is not null && (value < range.Min || value > range.Max || (range.IsAboveMin && value <= range.Min)))
            {
                Problems.Add(FormattableString.Invariant($"{column.Name}: {text}; allowed: {(range.IsAboveMin ? "above " : string.Empty)}")
                    + FormattableString.Invariant($"{range.Min} to {range.Max} {range.Unit}."));
                return Given.Unknown;
            }

            return Given.Of(Math.Round(value, 9));
        }

        public Given Poles()
        {
            var poles = Number("poles");
            if (poles.IsKnown && (poles.Value % 2 != 0 || poles.Value is < 2 or > 16))
            {
                Problems.Add($"Poles: {Cell("poles")}; allowed: an even number from 2 to 16.");
                return Given.Unknown;
            }

            return poles;
        }

        public string Class()
        {
            var text = Cell("class");
            return text.Length == 0 ? string.Empty
                : text.Contains("premium", StringComparison.OrdinalIgnoreCase) ? "Premium"
                : text.Replace(" ", string.Empty, StringComparison.Ordinal).ToUpperInvariant() is { Length: 3 } ie
                    && ie.StartsWith("IE", StringComparison.Ordinal) ? ie
                : text.Length == 1 && char.IsAsciiDigit(text[0]) ? "IE" + text : string.Empty;
        }

        public ListedFeed Feed()
        {
            var text = Cell("feed");
            if (text.Length == 0)
            {
                return ListedFeed.NotStated;
            }

            if (ListWords.Feed(text) is { } found)
            {
                return found;
            }

            Problems.Add($"Starter or converter: “{text}” is not known; allowed: converter, soft starter, star-delta, across the line.");
            return ListedFeed.NotStated;
        }

        public Load Load(Load before, List<string> assumed)
        {
            var text = Cell("load");

            // A list that does not name the machine goes by the one that stands, then by the words of the name.
            var standing = before is UnspecifiedLoad ? null : ListWords.Kinds.First(k => k.Value == before.GetType()).Key;
            var kind = text.Length > 0 ? ListWords.Kind(text) : standing ?? ListWords.Kind(Cell("name"));
            var poles = Poles();
            var fan = FieldTable.Number<FanLoad>(nameof(FanLoad.RatedPressurePa));
            var said = new ListedLoad(
                kind ?? string.Empty,
                Number("shaftPower", FieldTable.Number<FluidMachine>(nameof(FluidMachine.RatedShaftKw))),
                Number("speed", FieldTable.Number<ConstantTorqueLoad>(nameof(ConstantTorqueLoad.RatedSpeedRpm))),
                SpeedOf(poles.IsKnown ? poles.Value : 4),
                Number("gear", FieldTable.Number<DriveTrain>(nameof(DriveTrain.GearRatio))),
                Number("flow", FieldTable.Number<FluidMachine>(nameof(FluidMachine.RatedFlowM3PerS))),
                Number("head", FieldTable.Number<PumpLoad>(nameof(PumpLoad.RatedHeadM))),
                Number("pressure", fan),
                Number("staticHead", FieldTable.Number<PumpLoad>(nameof(PumpLoad.StaticHeadM))),
                Number("efficiency", FieldTable.Number<FluidMachine>(nameof(FluidMachine.RatedEfficiency))),
                Number("torque", FieldTable.Number<ConstantTorqueLoad>(nameof(ConstantTorqueLoad.TorqueNm))),
                Number("hours", FieldTable.Number<DutyPoint>(nameof(DutyPoint.HoursPerYear))));
            if (text.Length > 0 && kind is null)
            {
                Problems.Add($"Load: “{text}” is no kind of machine that is known; allowed: "
                    + $"{string.Join(", ", ListWords.Kinds.Keys.Where(k => k != "unspecified"))}.");
            }

            if (kind is null)
            {
                return new UnspecifiedLoad();
            }

            // Without a power and without what it follows from, the motor's is all that the list says of the machine.
            var known = said.ShaftKw.IsKnown || said.TorqueNm.IsKnown
                || (said.FlowM3PerS.IsKnown && (said.HeadM.IsKnown || said.PressurePa.IsKnown) && said.Efficiency.IsKnown);
            if (!known && before is UnspecifiedLoad && kind is ("fan" or "pump" or "constant-torque" or "high-inertia")
                && Number("motorPower") is { IsKnown: true } motorKw)
            {
                const double usualLoad = 0.85;
                assumed.Add("shaft power 85 % of the motor's");
                said = said with { ShaftKw = Math.Round(usualLoad * motorKw.Value, 4) };
            }

            return said.On(before, assumed);
        }

        // Full load takes a few per cent of a cage motor's speed.
        private double SpeedOf(double poles) => Math.Round(0.985 * 120 * plant.Source.FrequencyHz / poles);

        private string Cell(string key) =>
            columns.TryGetValue(key, out var at) && at >= 0 && at < cells.Count ? cells[at].Trim() : string.Empty;

        private static ListColumn Column(string key) => ListColumn.All.First(c => c.Key == key);
    }
}
