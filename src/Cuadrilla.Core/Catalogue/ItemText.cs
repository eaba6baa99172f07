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
        var name = item.Kind switch
        {
            ConverterKind.SixPulse => "six-pulse, " + item.FrontEnd.SixPulseName,
            ConverterKind.TwelvePulse => "twelve-pulse",
            ConverterKind.EighteenPulse => "eighteen-pulse",
            ConverterKind.ActiveFrontEnd => "active front end",
            ConverterKind.Direct => "direct converter",
            ConverterKind.DirectWithBypass => "direct converter with line bypass",
            ConverterKind.ThyristorOneQuadrant => "thyristor converter, one quadrant",
            ConverterKind.ThyristorFourQuadrant => "thyristor converter, four quadrants",
            ConverterKind.Servo => "servo drive",
            ConverterKind.SinglePhaseInput => "single-phase input",
            ConverterKind.InverterModule => "inverter module",
            _ => throw new InvalidOperationException("Unknown kind of converter."),
        };
        return item.OwnName.Length > 0 ? $"{item.OwnName} ({name})" : name;
    }
}
