using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Thyristors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a front end stands at.</summary>
/// <param name="EmfV">Line-to-line voltage behind the impedance, V.</param>
/// <param name="SeenOhm">Impedance per phase that it sees, feeder included.</param>
/// <param name="FrequencyHz">Frequency, Hz.</param>
/// <param name="UnbalancePu">Negative-sequence EMF, parts of the positive.</param>
/// <param name="Background">Harmonic EMFs in the time of the drive's own voltage.</param>
/// <param name="LeakageMismatchPu">How far the leakages of a phase-shifting transformer differ.</param>
internal readonly record struct FrontPlace(double EmfV, Complex SeenOhm, double FrequencyHz, double UnbalancePu, HarmonicEmf Background,
    double LeakageMismatchPu);

/// <summary>Finds the line current of one converter, by the way that its front end asks for.</summary>
internal static class FrontSolver
{
    // Of the leakage behind it.
    private const double LeastSourcePu = 1e-4;

    /// <summary>Why a thyristor bridge has no current that repeats.</summary>
    public const string CanNotCommutate =
        "The thyristor bridge can't commutate this current at this voltage: lower the armature voltage or the reactance ahead of it.";

    /// <summary>Its current and, where one was solved, the circuit.</summary>
    public static (RectifierResult Front, RectifierInput? Circuit) Solve(
        RunningDrive drive, in FrontPlace place, Func<RectifierInput, RectifierResult> rectifier)
    {
        if (Unbounded(drive, place) is { } none)
        {
            return (none, null);
        }

        return CircuitOf(drive, place) is { } circuit ? (rectifier(circuit), circuit) : (Stated(drive, place), null);
    }

    /// <summary>Why its current has no bound: an ideal voltage on a capacitor. Null where something limits it.</summary>
    public static RectifierResult.NoSteadyState? Unbounded(RunningDrive drive, in FrontPlace place) =>
        drive.Item.FrontEnd is FrontEnd.Diode or FrontEnd.SinglePhase
            && place.SeenOhm.Imaginary + drive.Item.LineSideH(place.FrequencyHz) <= 0
            ? new RectifierResult.NoSteadyState(
                "Nothing limits its line current: an infinite source on its own bus, no reactance in feeder or unit. State the fault "
                    + "level, the feeder or a choke.")
            : null;

    /// <summary>The circuit of a diode front end; null for those told by closed form or catalogue data.</summary>
    public static RectifierInput? CircuitOf(RunningDrive drive, in FrontPlace place)
    {
        var (item, point) = (drive.Item, drive.Point);
        var twoConductors = drive.Feed == SupplyFeed.TwoPhases;
        switch (item.FrontEnd)
        {
            case FrontEnd.Diode { Bridges: 1 } when !twoConductors:
                return Circuit(item, RectifierKind.SixPulse, point, place);
            case FrontEnd.Diode { Bridges: > 1 } diode when !twoConductors:
                // The transformer's losses come through it too.
                return Circuit(item, RectifierKind.SixPulse, point, place) with
                {
                    DcLoadW = point.DcLoadW + item.FrontEnd.LossW(point.DcLoadW, item.RatedKw * 1e3),

                    // The solver wants some inductance ahead of all bridges; on an ideal voltage so little that it changes nothing.
                    SourceInductanceH = Math.Max(place.SeenOhm.Imaginary / (2 * Math.PI * place.FrequencyHz),
                        LeastSourcePu * item.LineSideH(place.FrequencyHz)),
                    Bridges = diode.Bridges,
                    LeakageH = item.LineSideH(place.FrequencyHz),
                    LeakageMismatchPu = place.LeakageMismatchPu,
                };
            case FrontEnd.Diode or FrontEnd.SinglePhase:
                return SinglePhase(item, point, place,
                    drive.LoopPu is { } part ? part * place.EmfV : OutputVoltage.SupplyOf(item, place.EmfV, drive.Feed));
            default:
                return null;
        }
    }

    private static RectifierResult Stated(RunningDrive drive, in FrontPlace place) => drive.Item.FrontEnd switch
    {
        { CatalogueSpectrum: { } spectrum } => FromSpectrum(drive.Item, spectrum, drive.Point, place.EmfV),
        FrontEnd.Thyristor => Thyristor(drive, place),
        _ => throw new InvalidOperationException("This converter has no front end of its own."),
    };

    private static RectifierInput Circuit(ConverterItem item, RectifierKind kind, OperatingPoint point, in FrontPlace place)
    {
        var omega = 2 * Math.PI * place.FrequencyHz;
        return new RectifierInput
        {
            Kind = kind,
            LineVoltageV = place.EmfV,
            FrequencyHz = place.FrequencyHz,
            SourceResistanceOhm = place.SeenOhm.Real,
            SourceInductanceH = (place.SeenOhm.Imaginary / omega) + item.LineSideH(place.FrequencyHz),
            DcChokeH = item.DcChokeH(place.FrequencyHz),
            DcChokeResistanceOhm = item.DcChokeResistanceOhm,
            DcCapacitanceF = item.DcCapacitanceUf * 1e-6,
            DcLoadW = point.DcLoadW,
            LoadModel = DcLoadModel.ConstantPower,
            UnbalancePu = place.UnbalancePu,
            Background = place.Background,
        };
    }

    // Time constant of link capacitors with their equivalent series resistance, s: electrolytics lose tan δ = ω·C·ESR of 0.10 to 0.20 at
    // 100 Hz, the least of which is 160 µs; (verify) two thirds of that, so that currents are rather too large. Pulses that charge a
    // link twice a cycle are damped by little else, and without it choke and link swing in places where no real unit does.
    private const double LinkEsrS = 100e-6;

    // Between two phases the loop holds the impedance of both. Between phase and neutral the zero sequence is taken to be as
    // the positive one, so that the loop is again twice a phase.
    private static RectifierInput SinglePhase(ConverterItem item, OperatingPoint point, in FrontPlace place, double loopV) =>
        Circuit(item, RectifierKind.SinglePhase, point, place) with
        {
            LineVoltageV = loopV,
            SourceResistanceOhm = (2 * place.SeenOhm.Real) + (LinkEsrS / Math.Max(item.DcCapacitanceUf * 1e-6, 1e-6)),
            SourceInductanceH = (2 * place.SeenOhm.Imaginary / (2 * Math.PI * place.FrequencyHz)) + (2 * item.LineSideH(place.FrequencyHz)),
            UnbalancePu = 0,
            Background = default,
        };

    // The fundamental carries the power; harmonics as the catalogue says, in % of the rated fundamental.
    private static RectifierResult.Stated FromSpectrum(ConverterItem item, SourceSpectrum spectrum, OperatingPoint point, double emfV)
    {
        var ratedW = item.RatedKw * 1e3;
        var load = point.LineW / ratedW;
        var ratedA = ratedW / (Math.Sqrt(3) * item.RatedVoltageV);
        var reactive = spectrum.ReactivePu(Math.Abs(load)) * ratedW;
        var orders = new Complex[LineCurrent.HighestOrder];
        orders[0] = new Complex(point.LineW, -reactive) / (Math.Sqrt(3) * emfV);
        for (var h = 2; h <= orders.Length; h++)
        {
            orders[h - 1] = spectrum.Pct(h, Math.Abs(load)) / 100 * ratedA;
        }

        return StatedCurrents.Balanced(orders, 0, "catalogue data");
    }

    /// <summary>The bridge of a thyristor front end at an EMF, and the active power drawn beside it; null where it gives or takes
    /// nothing.</summary>
    public static (ThyristorInput Input, double BesideW, bool FollowsEmf)? ThyristorOf(RunningDrive drive, in FrontPlace place)
    {
        var (item, point) = (drive.Item, drive.Point);
        var reactance = place.SeenOhm.Imaginary + (2 * Math.PI * place.FrequencyHz * item.LineSideH(place.FrequencyHz));
        if (drive.Armature is null)
        {
            // Regenerative thyristors hold the bus a tenth below what diodes would give, so that they can commutate back.
            var volts = 0.9 * item.NoLoadLinkVoltageV * place.EmfV / item.RatedVoltageV;
            return point.LinkW == 0
                ? null
                : (new ThyristorInput(place.EmfV, reactance, Math.CopySign(volts, point.LinkW), Math.Abs(point.LinkW) / volts),
                    point.FrontLossW, true);
        }

        // The field has a supply of its own, whose harmonics are small beside the armature's and left out: it and the reactor's
        // loss add to the active current. The bridge gives the armature's power and the losses on the way to it.
        // Its voltage is that of the armature, on the way back with the other sign; the current follows from the power.
        var motor = point.Motor;
        var armatureW = motor.InputW - motor.RotorW + point.CableLossW + point.ConverterLossW;
        var armatureV = motor.VoltageV;
        return armatureW != 0 && armatureV > 0
            ? (new ThyristorInput(place.EmfV, reactance, Math.CopySign(armatureV, armatureW), Math.Abs(armatureW) / armatureV),
                motor.RotorW + point.FrontLossW, false)
            : null;
    }

    private static RectifierResult Thyristor(RunningDrive drive, in FrontPlace place)
    {
        if (ThyristorOf(drive, place) is not var (input, besideW, _) || ThyristorBridge.Run(input) is not { } result)
        {
            return new RectifierResult.NoSteadyState(CanNotCommutate);
        }

        Complex[] orders = [.. result.Orders];
        var before = orders[0].Magnitude;
        orders[0] += besideW / (Math.Sqrt(3) * place.EmfV);
        var rms = Math.Sqrt((result.RmsA * result.RmsA) - (before * before) + (orders[0].Magnitude * orders[0].Magnitude));
        return StatedCurrents.Balanced(orders, rms, "closed form with overlap, smooth current");
    }
}
