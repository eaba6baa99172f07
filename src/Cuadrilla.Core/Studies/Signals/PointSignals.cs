using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Signals of one drive point.</summary>
/// <param name="Lineup">Its lineup.</param>
/// <param name="Point">The drive point.</param>
/// <param name="Plan">As entered.</param>
/// <param name="Terminals">Terminals of its unit; null while none is chosen.</param>
/// <param name="Motor">Its motor; null while none is chosen.</param>
/// <param name="Signals">In the order of the list.</param>
public sealed record PointSignals(Lineup Lineup, DrivePoint Point, SignalPlan Plan, IReadOnlyList<UnitTerminal>? Terminals,
    MotorPlate? Motor, IReadOnlyList<PlacedSignal> Signals)
{
    /// <summary>Place of the unit; empty: not stated.</summary>
    public string PlaceId => Point.Interference.PlaceId.Length > 0 ? Point.Interference.PlaceId : Lineup.PlaceId;

    /// <summary>Its converter stands at another drive point.</summary>
    public bool IsOfGroup => Point.Converter is ConverterChoice.OfGroup;

    /// <summary>A brake resistor hangs on its converter.</summary>
    public bool HasResistor => Point.Converter is ConverterChoice.FromCatalogue { Braking: Braking.Resistor };

    /// <summary>Its brake; null without.</summary>
    public HoldingBrake.SpringApplied? Brake => Point.Brake as HoldingBrake.SpringApplied;

    /// <summary>The signal of a function; null without one.</summary>
    public PlacedSignal? Of(SignalFunction function) => Signals.FirstOrDefault(s => s.Wanted.Function == function);

    /// <summary>What a signal is at its ends; null where it is none with values, or data are missing.</summary>
    public SignalEnds? Ends(PlacedSignal signal)
    {
        ArgumentNullException.ThrowIfNull(signal);
        var wanted = signal.Wanted;
        if (signal.UnitRange is not { } range
            || (wanted.FullAt.IsKnown ? wanted.FullAt.Value : UsualFull(signal.Facts.Quantity)) is not { } full)
        {
            return null;
        }

        var zero = wanted.ZeroAt.Or(0);
        return zero == full ? null : new SignalEnds(range, signal.FarRange ?? range, zero, full, wanted.FarZeroAt.Or(zero),
            wanted.FarFullAt.Or(full),
            signal.Terminal?.Bits ?? 0);
    }

    // The rated frequency and twice the rated current of the motor, the whole of a transmitter.
    private double? UsualFull(SignalQuantity quantity) => quantity switch
    {
        SignalQuantity.FrequencyHz => Motor?.RatedFrequencyHz,
        SignalQuantity.CurrentA => 2 * Motor?.RatedCurrentA,
        SignalQuantity.Percent => 100,
        _ => null,
    };
}

/// <summary>An analogue signal at both of its ends.</summary>
/// <param name="Range">At the unit.</param>
/// <param name="FarRange">At the other end.</param>
/// <param name="ZeroAt">Value at 0 % at the unit.</param>
/// <param name="FullAt">Value at 100 % at the unit.</param>
/// <param name="FarZeroAt">Value at 0 % at the other end.</param>
/// <param name="FarFullAt">Value at 100 % at the other end.</param>
/// <param name="Bits">Resolution of the unit's terminal; 0: not known.</param>
public sealed record SignalEnds(AnalogueRange Range, AnalogueRange FarRange, double ZeroAt, double FullAt, double FarZeroAt,
    double FarFullAt, int Bits)
{
    /// <summary>Value at the unit at a signal of V or mA.</summary>
    public double UnitValue(double signal) => Value(signal, Range, ZeroAt, FullAt);

    /// <summary>Value at the other end at a signal of V or mA.</summary>
    public double FarValue(double signal) => Value(signal, FarRange, FarZeroAt, FarFullAt);

    /// <summary>Signal, V or mA, at a part of the other end's range.</summary>
    public double Signal(double percent) =>
        SignalScaling.BottomOf(FarRange) + (percent / 100 * (SignalScaling.TopOf(FarRange) - SignalScaling.BottomOf(FarRange)));

    /// <summary>Both are voltages or both currents.</summary>
    public bool IsOneKind => SignalScaling.IsVoltage(Range) == SignalScaling.IsVoltage(FarRange);

    /// <summary>Largest difference of both ends over the range, in % of the unit's span.</summary>
    public double DifferencePct => new[] { 0.0, 100 }.Max(p => Math.Abs(UnitValue(Signal(p)) - FarValue(Signal(p))))
        / Math.Abs(FullAt - ZeroAt) * 100;

    private static double Value(double signal, AnalogueRange range, double zero, double full)
    {
        var (bottom, top) = (SignalScaling.BottomOf(range), SignalScaling.TopOf(range));
        return zero + ((signal - bottom) / (top - bottom) * (full - zero));
    }
}
