using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Motors and converters in a few words.</summary>
public static class ItemText
{
    /// <summary>Class and kind of a motor in a few words.</summary>
    public static string Motor(MotorItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item.OwnName.Length > 0 ? item.OwnName + "," : item.Technology switch
        {
            MotorTechnology.CageInduction => item.EfficiencyClass + " cage",
            MotorTechnology.SynchronousReluctance => item.EfficiencyClass + " reluctance",
            MotorTechnology.PermanentMagnet => item.EfficiencyClass + " magnet",
            MotorTechnology.Servo => "servo",
            MotorTechnology.DcSeparatelyExcited => "DC",
            _ => throw new InvalidOperationException("Unknown motor technology."),
        };
    }

    /// <summary>Kind of a converter in a few words.</summary>
    public static string Converter(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item.OwnName.Length > 0 ? $"{item.OwnName} ({item.Name})" : item.Name;
    }
}
