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
            MotorTechnology.CageInduction => item.EfficiencyClass == "–" ? "cage" : item.EfficiencyClass + " cage",
            MotorTechnology.SynchronousReluctance => item.EfficiencyClass + " reluctance",
            MotorTechnology.PermanentMagnet => item.EfficiencyClass + " magnet",
            MotorTechnology.Servo => "servo",
            MotorTechnology.DcSeparatelyExcited => "DC",
            _ => throw new InvalidOperationException("Unknown motor technology."),
        };
    }

    /// <summary>Rated power as the motor is rated, kW or hp.</summary>
    public static string Power(MotorItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item.RatedHp > 0
            ? FormattableString.Invariant($"{item.RatedHp:0.###} hp")
            : FormattableString.Invariant($"{item.Plate.RatedPowerW / 1e3:0.##} kW");
    }

    /// <summary>Size as the converter is rated, kW or hp.</summary>
    public static string Power(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item.RatedHp > 0
            ? FormattableString.Invariant($"{item.RatedHp:0.###} hp")
            : FormattableString.Invariant($"{item.RatedKw:0.##} kW");
    }

    /// <summary>Kind of a converter in a few words.</summary>
    public static string Converter(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item.OwnName.Length > 0 ? $"{item.OwnName} ({item.Name})" : item.Name;
    }
}
