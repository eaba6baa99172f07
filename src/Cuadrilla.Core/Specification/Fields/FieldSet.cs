using System.Reflection;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>The entries of one record, and how they are read from it.</summary>
public sealed class FieldSet
{
    private readonly List<(Field Field, PropertyInfo Property)> entries;

    private FieldSet(Type of, IEnumerable<Field> fields)
    {
        Of = of;
        entries = [.. fields.Select(f => (f,
            of.GetProperty(f.Key) ?? throw new InvalidOperationException($"{of.Name} has no property {f.Key}.")))];
        entries = [.. entries.Select(e => (Typed(e.Field, e.Property), e.Property))];
        Fields = [.. entries.Select(e => e.Field)];
    }

    /// <summary>The record.</summary>
    public Type Of { get; }

    /// <summary>Its entries in the order of its form.</summary>
    public IReadOnlyList<Field> Fields { get; }

    /// <summary>The entries of a record.</summary>
    public static FieldSet For<T>(params Field[] fields) => new(typeof(T), fields);

    /// <summary>A number with its range.</summary>
    internal static NumberField Number(
        string key, string name, double min, double max, string unit, string help, bool above = false, string shown = "", string open = "",
        bool hint = false, string us = "") =>
        new(key, name, help, min, max, unit) { IsAboveMin = above, Shown = shown, WhenOpen = open, IsHelpShown = hint, Us = us };

    /// <summary>A text with its length.</summary>
    internal static TextField Words(string key, string name, int least, int most, string help) => new(key, name, help, least, most);

    /// <summary>A switch.</summary>
    internal static SwitchField Switch(string key, string name, string help, bool hint = false) =>
        new(key, name, help) { IsHelpShown = hint };

    /// <summary>One of the values of an enumeration, each with its words.</summary>
    internal static ChoiceField Choice<T>(string key, string name, string help, params (T Value, string Words)[] options)
        where T : struct, Enum
    {
        // A query would be compiled anew for each kind of choice, fifty times at each start.
        var named = new Option[options.Length];
        for (var i = 0; i < named.Length; i++)
        {
            named[i] = new Option(options[i].Value.ToString(), options[i].Words);
        }

        return new ChoiceField(key, name, help, [.. named]);
    }

    /// <summary>Trip class of an overload protection.</summary>
    internal static ChoiceField Trips(string key) => Choice(
        key, "Trip class", "Trip class of the overload protection (IEC 60947-4-1).",
        (TripClass.Class5, "5"), (TripClass.Class10A, "10 A"), (TripClass.Class10, "10"), (TripClass.Class20, "20"),
        (TripClass.Class30, "30"));

    /// <summary>Gathers what is out of range in a record.</summary>
    internal void Check(object record, string at, ProblemList problems)
    {
        foreach (var (field, property) in entries)
        {
            var pointer = $"{at}/{JsonName(field.Key)}";
            switch (field, property.GetValue(record))
            {
                case (NumberField number, Given given):
                    problems.Number(pointer, number, given);
                    break;
                case (NumberField number, double value):
                    problems.Number(pointer, number, value);
                    break;
                case (NumberField number, int value):
                    problems.Number(pointer, number, (double)value);
                    break;
                case (TextField text, string words):
                    problems.Words(pointer, text.Name, words, text.Least, text.Most);
                    break;
            }
        }
    }

    /// <summary>Name of a property in files.</summary>
    internal static string JsonName(string key) => char.ToLowerInvariant(key[0]) + key[1..];

    private static Field Typed(Field field, PropertyInfo property) => field switch
    {
        NumberField number when property.PropertyType == typeof(Given) => number with { IsOptional = true },
        NumberField number when property.PropertyType == typeof(int) => number with { IsWhole = true },
        NumberField when property.PropertyType == typeof(double) => field,
        TextField text when property.PropertyType == typeof(string) => text with { IsOptional = text.Least == 0 },
        SwitchField when property.PropertyType == typeof(bool) => field,
        ChoiceField choice when property.PropertyType.IsEnum
            && Enum.GetNames(property.PropertyType).ToHashSet().SetEquals(choice.Options.Select(o => o.Value)) => field,
        _ => throw new InvalidOperationException($"{property.DeclaringType?.Name}.{property.Name} is no such entry."),
    };
}
