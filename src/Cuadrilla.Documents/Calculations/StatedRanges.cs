using System.Collections;
using System.Collections.Concurrent;
using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Documents.Calculations;

/// <summary>What the records of an engine's input state of their values: by attributes, or by the field table where the specification has
/// them.</summary>
internal static class StatedRanges
{
    private static readonly ConcurrentDictionary<Type, IReadOnlyList<Part>> Known = new();

    /// <summary>What is out of range anywhere in an input: its path, its value, what is allowed.</summary>
    public static IEnumerable<(string Path, string Value, string Allowed)> Broken(object input, string at) =>
        PartsOf(input.GetType()).SelectMany(part =>
            Broken(part.Property.GetValue(input), $"{at}{JsonNamingPolicy.CamelCase.ConvertName(part.Property.Name)}", part));

    /// <summary>Writes what is stated of a property into its schema.</summary>
    public static void Describe(JsonObject schema, JsonPropertyInfo property)
    {
        var stated = property.AttributeProvider is PropertyInfo info ? Stated(info) : [];
        if (stated.OfType<LengthAttribute>().FirstOrDefault() is { } length)
        {
            schema["minItems"] = length.MinimumLength;
            schema["maxItems"] = length.MaximumLength;
        }

        if (stated.OfType<MinLengthAttribute>().FirstOrDefault() is { } least)
        {
            schema["minItems"] = least.Length;
        }

        if (stated.OfType<RangeAttribute>().FirstOrDefault() is { } range)
        {
            var described = schema["items"] as JsonObject ?? schema;
            described[range.MinimumIsExclusive ? "exclusiveMinimum" : "minimum"] = Number(range.Minimum);
            described[range.MaximumIsExclusive ? "exclusiveMaximum" : "maximum"] = Number(range.Maximum);
        }
    }

    private static IEnumerable<(string Path, string Value, string Allowed)> Broken(object? value, string path, Part part)
    {
        switch (value)
        {
            case null or string:
                break;
            case double or int:
                var number = Number(value);
                if (part.Range is { } r && !r.Has(number))
                {
                    yield return (path, Text(number), r.Words);
                }

                break;
            case IEnumerable list:
                var i = 0;
                foreach (var problem in list.Cast<object?>().SelectMany(item => Broken(item, $"{path}/{i++}", part)))
                {
                    yield return problem;
                }

                if (i < part.LeastItems || i > part.MostItems)
                {
                    yield return (path, $"{i} entries",
                        part.MostItems < int.MaxValue
                            ? $"{part.LeastItems} to {part.MostItems} entries"
                            : $"at least {part.LeastItems} entries");
                }

                break;
            default:
                foreach (var problem in Broken(value, path + "/"))
                {
                    yield return problem;
                }

                break;
        }
    }

    private static IReadOnlyList<Part> PartsOf(Type type) => Known.GetOrAdd(type, static of =>
    {
        if (of.Assembly != typeof(FieldTable).Assembly && of.Assembly != typeof(StatedRanges).Assembly || of.IsEnum)
        {
            return [];
        }

        return
        [
            .. of.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.SetMethod is not null && p.GetIndexParameters().Length == 0)
                .Select(p => Part.Of(p, Stated(p), FieldTable.Of(of).OfType<NumberField>().FirstOrDefault(f => f.Key == p.Name))),
        ];
    });

    // Of the property itself, or of the parameter of the constructor that fills it.
    private static IReadOnlyList<ValidationAttribute> Stated(PropertyInfo property) =>
    [
        .. property.GetCustomAttributes<ValidationAttribute>(),
        .. property.DeclaringType!.GetConstructors().MaxBy(c => c.GetParameters().Length)?.GetParameters()
        .FirstOrDefault(p => p.Name == property.Name)?
            .GetCustomAttributes<ValidationAttribute>() ?? [],
    ];

    private static double Number(object value) => Convert.ToDouble(value, CultureInfo.InvariantCulture);

    private static string Text(double value) => value.ToString(CultureInfo.InvariantCulture);

    private sealed record Limits(double Min, double Max, bool IsAboveMin, bool IsBelowMax)
    {
        public string Words => $"{(IsAboveMin ? "above " : string.Empty)}{Text(Min)} to "
            + $"{(IsBelowMax ? "below " : string.Empty)}{Text(Max)}";

        public bool Has(double number) =>
            (IsAboveMin ? number > Min : number >= Min) && (IsBelowMax ? number < Max : number <= Max);
    }

    private sealed record Part(PropertyInfo Property, Limits? Range, int LeastItems, int MostItems)
    {
        public static Part Of(PropertyInfo property, IReadOnlyList<ValidationAttribute> stated, NumberField? field)
        {
            var length = stated.OfType<LengthAttribute>().FirstOrDefault();
            Limits? range = stated.OfType<RangeAttribute>().FirstOrDefault() is { } r
                ? new(Number(r.Minimum), Number(r.Maximum), r.MinimumIsExclusive, r.MaximumIsExclusive)
                : field is not null ? new(field.Min, field.Max, field.IsAboveMin, false) : null;
            return new Part(property, range, length?.MinimumLength ?? stated.OfType<MinLengthAttribute>().FirstOrDefault()?.Length ?? 0,
                length?.MaximumLength ?? int.MaxValue);
        }
    }
}
