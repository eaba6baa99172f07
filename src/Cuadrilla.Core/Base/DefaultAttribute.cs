using System.Globalization;
using System.Reflection;

namespace Cuadrilla.Core.Base;

/// <summary>Ties a property to the default of the catalogue that fills it.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class DefaultAttribute(string key) : Attribute
{
    /// <summary>Key of the default.</summary>
    public string Key { get; } = key;

    /// <summary>How many of the unit of the default one of the property holds.</summary>
    public double Divisor { get; set; } = 1;

    /// <summary>Fills every property that a default is tied to; numbers, whole numbers, choices by their number, switches from 0.5
    /// upwards.</summary>
    /// <param name="target">What is filled, not yet seen by anybody.</param>
    /// <param name="of">Value of a key.</param>
    internal static T Fill<T>(T target, Func<string, double> of)
        where T : class
    {
        foreach (var (property, tied) in Tied(typeof(T)))
        {
            property.SetValue(target, Read(property.PropertyType, of(tied.Key) / tied.Divisor));
        }

        return target;
    }

    /// <summary>Properties of a type that a default is tied to.</summary>
    internal static IEnumerable<(PropertyInfo Property, DefaultAttribute Tied)> Tied(Type type) =>
        type.GetProperties().Select(p => (p, p.GetCustomAttribute<DefaultAttribute>()!)).Where(p => p.Item2 is not null);

    private static object Read(Type type, double value) =>
        type == typeof(double) ? value
        : type == typeof(bool) ? value >= 0.5
        : type.IsEnum ? Enum.ToObject(type, (int)Math.Round(value))
        : Convert.ToInt32(Math.Round(value), CultureInfo.InvariantCulture);
}
