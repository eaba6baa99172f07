using System.Collections.Concurrent;
using System.Reflection;
using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>
/// Every entry of the specification, described once: validation, JSON Schema, OpenAPI and the forms of the app are made from it.
/// </summary>
public static class FieldTable
{
    private static readonly ConcurrentDictionary<Type, IReadOnlyList<FieldSet>> Sets = new();
    private static readonly ConcurrentDictionary<Type, IReadOnlyList<PropertyInfo>> Parts = new();

    // Drive points whose entries are within their ranges: they don't change, and an edit leaves most of a plant's as they are.
    private static readonly ConditionalWeakTable<DrivePoint, string> Faultless = [];

    /// <summary>All records with entries.</summary>
    public static IReadOnlyList<FieldSet> All { get; } = [.. PlantFields.All, .. SupplyFields.All, .. MotorFields.All,
        .. ConverterFields.All, .. LoadFields.All, .. LineupFields.All, .. ProtectionFields.All, .. InterferenceFields.All,
        .. SpecialSupplyFields.All, .. CabinetFields.All, .. SignalFields.All];

    private static readonly Dictionary<Type, FieldSet> Own = All.ToDictionary(s => s.Of);

    /// <summary>Entries of a record, those of the records it is made from first.</summary>
    public static IEnumerable<Field> Of(Type record) => SetsOf(record).SelectMany(s => s.Fields);

    /// <summary>Key of a record in what is generated: <c>Braking.Resistor</c>.</summary>
    public static string KeyOf(Type record)
    {
        ArgumentNullException.ThrowIfNull(record);
        return record.DeclaringType is { } outer ? $"{KeyOf(outer)}.{record.Name}" : record.Name;
    }

    /// <summary>A number's description.</summary>
    /// <exception cref="InvalidOperationException">There is none.</exception>
    public static NumberField Number<T>(string key) => Of(typeof(T)).OfType<NumberField>().First(f => f.Key == key);

    /// <summary>Gathers what is out of range anywhere in a part of a specification.</summary>
    internal static void Check(object part, string at, ProblemList problems)
    {
        if (part is not DrivePoint point)
        {
            CheckAll(part, at, problems);
        }
        else if (!Faultless.TryGetValue(point, out _))
        {
            var before = problems.Items.Count;
            CheckAll(point, at, problems);
            if (problems.Items.Count == before)
            {
                Faultless.AddOrUpdate(point, point.Id);
            }
        }
    }

    private static void CheckAll(object part, string at, ProblemList problems)
    {
        foreach (var set in SetsOf(part.GetType()))
        {
            set.Check(part, at, problems);
        }

        foreach (var property in PartsOf(part.GetType()))
        {
            var here = $"{at}/{FieldSet.JsonName(property.Name)}";
            switch (property.GetValue(part))
            {
                case System.Collections.IEnumerable list:
                    var i = 0;
                    foreach (var item in list)
                    {
                        problems.Require(item is not null, $"{here}/{i}", "Entry of a list", "null", "a value");
                        if (item is not null)
                        {
                            Check(item, $"{here}/{i}", problems);
                        }

                        i++;
                    }

                    break;
                case { } inner:
                    Check(inner, here, problems);
                    break;
            }
        }
    }

    private static IReadOnlyList<FieldSet> SetsOf(Type record) => Sets.GetOrAdd(record, type =>
    {
        List<FieldSet> found = [];
        for (var t = type; t is not null; t = t.BaseType)
        {
            if (Own.TryGetValue(t, out var set))
            {
                found.Insert(0, set);
            }
        }

        return found;
    });

    // Properties that hold further records, one or a list of them.
    private static IReadOnlyList<PropertyInfo> PartsOf(Type record) => Parts.GetOrAdd(record, type =>
    [
        .. type.GetProperties().Where(p => p.GetMethod is { IsStatic: false } && p.GetIndexParameters().Length == 0
            && p.SetMethod is not null && IsRecord(ItemOf(p.PropertyType))),
    ]);

    private static Type ItemOf(Type type) =>
        type.IsGenericType && typeof(System.Collections.IEnumerable).IsAssignableFrom(type) ? type.GetGenericArguments()[0] : type;

    private static bool IsRecord(Type type) =>
        type.IsClass && type != typeof(string) && type.Namespace?.StartsWith("Cuadrilla.Core", StringComparison.Ordinal) == true
        || type is { IsValueType: true, IsEnum: false, IsPrimitive: false } && type != typeof(Given)
            && type.Namespace?.StartsWith("Cuadrilla.Core", StringComparison.Ordinal) == true;
}
