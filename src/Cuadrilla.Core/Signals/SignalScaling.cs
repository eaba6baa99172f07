namespace Cuadrilla.Core.Signals;

/// <summary>Range of an analogue signal.</summary>
public enum AnalogueRange
{
    /// <summary>0 to 10 V.</summary>
    Volt0To10,

    /// <summary>2 to 10 V, live zero.</summary>
    Volt2To10,

    /// <summary>0 to 20 mA.</summary>
    Milliampere0To20,

    /// <summary>4 to 20 mA, live zero.</summary>
    Milliampere4To20,
}

/// <summary>A quantity of the channel.</summary>
public enum ScaledQuantity
{
    /// <summary>Counts of the controller.</summary>
    Counts,

    /// <summary>The signal, V or mA.</summary>
    Signal,

    /// <summary>Frequency of the converter, Hz.</summary>
    Frequency,

    /// <summary>Synchronous speed of the motor, rpm.</summary>
    Speed,

    /// <summary>Speed at the drum, m/min.</summary>
    LineSpeed,
}

/// <summary>Channel from counts to line speed, straight at every step, both ways; method <c>docs/methods/scaling.md</c>.</summary>
/// <param name="Range">Signal.</param>
/// <param name="Bits">Resolution of the converter of the card over 0 to the top of the signal.</param>
/// <param name="CountsZero">Counts at 0 %.</param>
/// <param name="CountsFull">Counts at 100 %.</param>
/// <param name="FrequencyZeroHz">Frequency at 0 %, Hz.</param>
/// <param name="FrequencyFullHz">Frequency at 100 %, Hz.</param>
/// <param name="Poles">Poles of the motor.</param>
/// <param name="GearRatio">Motor speed over output speed.</param>
/// <param name="DrumM">Diameter at the output, m; null: none.</param>
public sealed record SignalScaling(
    AnalogueRange Range, int Bits, double CountsZero, double CountsFull, double FrequencyZeroHz, double FrequencyFullHz, int Poles,
    double GearRatio, double? DrumM)
{
    // NAMUR NE 43: a broken wire is told below 3.6 mA; 1.8 V is the same part of 2 to 10 V.
    private const double BrokenMa = 3.6;
    private const double BrokenV = 1.8;

    /// <summary>Signal at 0 %, V or mA.</summary>
    public double Bottom => BottomOf(Range);

    /// <summary>Signal at 100 %, V or mA.</summary>
    public double Top => TopOf(Range);

    /// <summary>One step of the card, % of the range.</summary>
    public double StepPct => 100 * Top / Math.Pow(2, Bits) / (Top - Bottom);

    /// <summary>One step, Hz.</summary>
    public double StepHz => StepPct / 100 * Math.Abs(FrequencyFullHz - FrequencyZeroHz);

    /// <summary>Signal of a range at 0 %, V or mA.</summary>
    public static double BottomOf(AnalogueRange range) => range switch
    {
        AnalogueRange.Volt2To10 => 2,
        AnalogueRange.Milliampere4To20 => 4,
        _ => 0,
    };

    /// <summary>Signal of a range at 100 %, V or mA.</summary>
    public static double TopOf(AnalogueRange range) => IsVoltage(range) ? 10 : 20;

    /// <summary>The signal is a voltage.</summary>
    public static bool IsVoltage(AnalogueRange range) => range is AnalogueRange.Volt0To10 or AnalogueRange.Volt2To10;

    /// <summary>Percent of a quantity's value; beyond 0 to 100 % it goes on straight.</summary>
    /// <param name="given">What is given.</param>
    /// <param name="value">In its unit.</param>
    /// <exception cref="InvalidOperationException">A line speed without a drum.</exception>
    public double Percent(ScaledQuantity given, double value) => given switch
    {
        ScaledQuantity.Counts => Part(value, CountsZero, CountsFull),
        ScaledQuantity.Signal => Part(value, Bottom, Top),
        ScaledQuantity.Frequency => Part(value, FrequencyZeroHz, FrequencyFullHz),
        ScaledQuantity.Speed => Part(value * Poles / 120, FrequencyZeroHz, FrequencyFullHz),
        ScaledQuantity.LineSpeed => Part(
            value * GearRatio / (Math.PI * (DrumM ?? throw new InvalidOperationException("There is no drum."))) * Poles / 120,
            FrequencyZeroHz, FrequencyFullHz),
        _ => throw new ArgumentOutOfRangeException(nameof(given)),
    };

    /// <summary>All quantities at a percentage.</summary>
    /// <param name="percent">Of the range.</param>
    public ScaledValue At(double percent)
    {
        var frequency = FrequencyZeroHz + (percent / 100 * (FrequencyFullHz - FrequencyZeroHz));
        var speed = SpeedRpm(frequency);
        var signal = Bottom + (percent / 100 * (Top - Bottom));
        return new ScaledValue(percent, CountsZero + (percent / 100 * (CountsFull - CountsZero)), signal, frequency, speed,
            speed / GearRatio,
            Math.PI * DrumM * speed / GearRatio, Bottom > 0 && signal < (IsVoltage(Range) ? BrokenV : BrokenMa));
    }

    /// <summary>Synchronous speed, rpm: 120·f/p.</summary>
    /// <param name="frequencyHz">Frequency, Hz.</param>
    public double SpeedRpm(double frequencyHz) => 120 * frequencyHz / Poles;

    /// <summary>Error of half a step and an offset, Hz.</summary>
    /// <param name="offsetPct">Offset of both ends, % of the range.</param>
    public double ErrorHz(double offsetPct) => (StepHz / 2) + (offsetPct / 100 * Math.Abs(FrequencyFullHz - FrequencyZeroHz));

    private static double Part(double value, double zero, double full) => 100 * (value - zero) / (full - zero);
}

/// <summary>One point of a channel.</summary>
/// <param name="Percent">Of the range.</param>
/// <param name="Counts">Of the controller, unrounded.</param>
/// <param name="Signal">V or mA.</param>
/// <param name="FrequencyHz">Frequency, Hz.</param>
/// <param name="SpeedRpm">Synchronous speed of the motor, rpm.</param>
/// <param name="OutputRpm">Behind the gear, rpm.</param>
/// <param name="LineMPerMin">At the drum, m/min; null without one.</param>
/// <param name="WireBreak">A live zero is lost: told as a broken wire.</param>
public readonly record struct ScaledValue(double Percent, double Counts, double Signal, double FrequencyHz, double SpeedRpm,
    double OutputRpm, double? LineMPerMin, bool WireBreak);
