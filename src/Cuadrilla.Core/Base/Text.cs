using System.Globalization;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Base;

/// <summary>Numbers in reasons: significant digits, a point for decimals, no zeros at the end, no thousands separator, no exponent.</summary>
public static class Text
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
            (ConverterKind.SixPulse, FrontEnd.Diode { ChokePct: > 0 } d) => $"six-pulse, DC choke {N(d.ChokePct, 2)} %",
            (ConverterKind.SixPulse, FrontEnd.Diode { ReactorPct: > 0 } d) => $"six-pulse, AC reactor {N(d.ReactorPct, 2)} %",
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

    /// <summary>A number with so many significant digits.</summary>
    public static string N(double value, int significant = 4)
    {
        if (double.IsInfinity(value))
        {
            return value > 0 ? "∞" : "−∞";
        }

        if (value == 0 || double.IsNaN(value))
        {
            return value.ToString(CultureInfo.InvariantCulture);
        }

        var whole = (int)Math.Floor(Math.Log10(Math.Abs(value))) + 1;
        var decimals = Math.Clamp(significant - whole, 0, 9);
        var text = value.ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
        return decimals == 0 ? text : text.TrimEnd('0').TrimEnd('.');
    }

    /// <summary>An input of a reason.</summary>
    public static ReasonInput In(string name, double value, string unit, string origin) => new(name, N(value), unit, origin);

    /// <summary>An input of a reason that is a word.</summary>
    public static ReasonInput In(string name, string value, string origin) => new(name, value, string.Empty, origin);
}
