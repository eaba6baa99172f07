using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>Mean powers of a drive at a level of its duty.</summary>
/// <param name="LineW">At the busbar, W; negative when more returns than is drawn.</param>
/// <param name="LineVar">Reactive power of the fundamental, var; negative when supplied.</param>
/// <param name="BurntW">What comes back and can't return to the line, W.</param>
/// <param name="ToLineW">What returns to the line, W.</param>
public readonly record struct MeanPower(double LineW, double LineVar, double BurntW, double ToLineW)
{
    // Displacement of a diode front end with a link lies between 0.93 and 0.99.
    private const double DiodeDisplacement = 0.96;

    private static readonly double DiodeTangent = Math.Tan(Math.Acos(DiodeDisplacement));

    /// <summary>As specified: on the chosen converter or starter of a complete drive point.</summary>
    internal static MeanPower Of(CompleteDrive drive, double levelPu) => drive switch
    {
        DriveOnConverter on => OnConverter(on, on.Motor, on.Converter, levelPu),
        DriveOnLine on => OnLine(on, levelPu, on.Starter.RunningLossW),
        _ => throw new InvalidOperationException("Unknown drive."),
    };

    /// <summary>
    /// On a converter: over all diameters of a winder, over the cycle where there is one. Fewer cycles per hour leave the drive
    /// standing in between.
    /// </summary>
    internal static MeanPower OnConverter(CabledMotor model, MotorLossModel motor, ConverterAtSite converter, double levelPu)
    {
        var load = model.Load;
        if (load.Cycle is { } cycle)
        {
            var (moving, standing) = OfCycle(model, cycle, null, motor, converter);
            return default(MeanPower).Plus(moving, levelPu).Plus(standing, Math.Max(0, 1 - levelPu));
        }

        var points = load.PointsAt(levelPu);
        return points.Aggregate(default(MeanPower),
            (sum, p) => sum.Plus(At(model.PointOf(p, motor, converter), converter.Item), 1.0 / points.Count));
    }

    /// <summary>Mean over a cycle, and while the drive stands between cycles.</summary>
    /// <param name="model">The drive point.</param>
    /// <param name="cycle">Its cycle.</param>
    /// <param name="points">The motor in each slice; null: worked out here.</param>
    /// <param name="motor">The motor.</param>
    /// <param name="converter">The converter.</param>
    internal static (MeanPower Moving, MeanPower Standing) OfCycle(
        CabledMotor model, LoadCycle cycle, MotorPoint[]? points, MotorLossModel motor, ConverterAtSite converter)
    {
        var standing = Standing(converter.Item);
        var sum = default(MeanPower);
        var index = 0;
        foreach (var s in cycle.Slices(motor.Plate.InertiaKgM2))
        {
            var moving = s.Rests
                ? default
                : points is null ? model.PointOf(s.Shaft(1), motor, converter) : model.PointOf(s.Shaft(1), points[index], motor, converter);
            sum = sum.Plus(s.Rests ? standing : At(moving, converter.Item), s.DurationS / cycle.DurationS);
            index++;
        }

        return (sum, standing);
    }

    /// <summary>On the line, converter or starter bypassed.</summary>
    internal static MeanPower OnLine(CompleteDrive model, double levelPu, double bypassW) =>
        LineShaft.Of(model, levelPu) is var (shaft, motor) ? OnLine(model, motor, shaft, bypassW) : default;

    /// <summary>The same with the points of machine and motor known.</summary>
    internal static MeanPower OnLine(CompleteDrive model, in MotorPoint motor, ShaftPoint shaft, double bypassW)
    {
        var point = model.OnLine(shaft, motor, bypassW);
        return new MeanPower(point.LineW, point.Motor.InputW * Math.Tan(Math.Acos(Math.Clamp(point.Motor.PowerFactor, 0.01, 1))), 0, 0);
    }

    /// <summary>At an operating point of a converter.</summary>
    public static MeanPower At(OperatingPoint point, ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        var ratedW = item.RatedKw * 1e3;
        var reactive = item.FrontEnd switch
        {
            FrontEnd.Diode or FrontEnd.SinglePhase => DiodeTangent * point.DcLoadW,
            { CatalogueSpectrum: { } spectrum } => spectrum.ReactivePu(Math.Abs(point.DcLoadW) / ratedW) * ratedW,
            FrontEnd.Thyristor => ThyristorVar(point, item),
            _ => 0,
        };
        return new MeanPower(point.LineW, reactive, point.RegeneratedW, Math.Max(0, -point.LineW));
    }

    /// <summary>Sum with another that lasts a part of the time.</summary>
    public MeanPower Plus(MeanPower other, double part) => new(
        LineW + (part * other.LineW), LineVar + (part * other.LineVar), BurntW + (part * other.BurntW), ToLineW + (part * other.ToLineW));

    private static MeanPower Standing(ConverterItem item) => new(item.StandbyW + item.FrontEnd.LossW(0, item.RatedKw * 1e3), 0, 0, 0);

    // Q = U_d0·I_d·√(1 − (U_d/U_d0)²), overlap neglected.
    private static double ThyristorVar(OperatingPoint point, ConverterItem item)
    {
        var noLoad = item.NoLoadLinkVoltageV;
        var ratio = Math.Min(1, Math.Abs(point.Motor.VoltageV) / noLoad);
        return noLoad * point.Motor.CurrentA * Math.Sqrt(1 - (ratio * ratio));
    }
}
