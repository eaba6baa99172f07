using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
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
        var name = (item.Kind, item.FrontEnd) switch
        {
            (ConverterKind.SixPulse, FrontEnd.Diode { ChokePct: > 0 } d) => $"six-pulse, DC choke {Text.N(d.ChokePct, 2)} %",
            (ConverterKind.SixPulse, FrontEnd.Diode { ReactorPct: > 0 } d) => $"six-pulse, AC reactor {Text.N(d.ReactorPct, 2)} %",
            (ConverterKind.SixPulse, FrontEnd.Filtered) => "six-pulse, passive filter",
            (ConverterKind.SixPulse, _) => "six-pulse, no choke",
            (ConverterKind.TwelvePulse, _) => "twelve-pulse",
            (ConverterKind.EighteenPulse, _) => "eighteen-pulse",
            (ConverterKind.ActiveFrontEnd, _) => "active front end",
            (ConverterKind.Direct, _) => "direct converter",
            (ConverterKind.DirectWithBypass, _) => "direct converter with line bypass",
            (ConverterKind.ThyristorOneQuadrant, _) => "thyristor converter, one quadrant",
            (ConverterKind.ThyristorFourQuadrant, _) => "thyristor converter, four quadrants",
            (ConverterKind.Servo, _) => "servo drive",
            (ConverterKind.SinglePhaseInput, _) => "single-phase input",
            (ConverterKind.InverterModule, _) => "inverter module",
            _ => throw new InvalidOperationException("Unknown kind of converter."),
        };
        return item.OwnName.Length > 0 ? $"{item.OwnName} ({name})" : name;
    }
}
