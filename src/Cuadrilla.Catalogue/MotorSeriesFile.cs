using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>Layout of the motors' data file.</summary>
internal sealed record MotorSeriesFile(
    string Series,
    string Source,
    string Edition,
    double RatedVoltageV,
    double RatedFrequencyHz,
    string Interpolation,
    IReadOnlyList<MotorSeriesFile.Size> Sizes,
    IReadOnlyList<MotorSeriesFile.EfficiencyRow> EfficiencyPct,
    MotorSeriesFile.LossRuleSet LossRules,
    IReadOnlyList<MotorSeriesFile.Anchor> Anchors,
    MotorSeriesFile.CageRule Cage,
    IReadOnlyList<MotorSeriesFile.SynchronousRule> Synchronous,
    MotorSeriesFile.DcRule Dc,
    IReadOnlyList<MotorSeriesFile.SafeSpeed> SafeSpeeds,
    MotorSeriesFile.LimitRule Limits,
    double HysteresisPu,
    double FrictionExponent,
    MotorSeriesFile.ConverterLossRule ConverterLoss)
{
    /// <summary>Rated loss in parts of rated power: from the table, or by the rules from the class that the table holds.</summary>
    public double LossPu(int poles, string efficiencyClass, double kw)
    {
        if (EfficiencyPct.FirstOrDefault(r => r.Poles == poles && r.Class == efficiencyClass) is { } row)
        {
            var index = Sizes.TakeWhile(s => s.Kw < kw).Count();
            return (100 / row.Values[index]) - 1;
        }

        return efficiencyClass switch
        {
            "IE5" => LossRules.Ie5OverIe4 * LossPu(poles, "IE4", kw),
            _ => throw new InvalidDataException($"No efficiency for {poles} poles, {efficiencyClass}."),
        };
    }

    /// <summary>Frame of the 4-pole cage motor of at least so many kW.</summary>
    public string Frame(double kw) => (Sizes.FirstOrDefault(s => s.Kw >= kw - 1e-9) ?? Sizes[^1]).Frame;

    /// <summary>Frame of the cage motor of a size and pole number.</summary>
    public static string Frame(Size size, int poles) => size.Frames.GetValueOrDefault(poles, size.Frame);

    /// <summary>Safe speed of a cage motor, rpm.</summary>
    public double SafeRpm(string frame, int poles)
    {
        var height = double.Parse(frame.Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
        return SafeSpeeds.First(s => height <= s.ToShaftHeightMm).Rpm[poles];
    }

    /// <param name="Kw">Rated power, kW.</param>
    /// <param name="Frame">Frame with 4 poles.</param>
    /// <param name="Frames">Frame with other pole numbers.</param>
    internal sealed record Size(double Kw, string Frame, IReadOnlyDictionary<int, string> Frames);

    internal sealed record SafeSpeed(double ToShaftHeightMm, IReadOnlyDictionary<int, double> Rpm);

    internal sealed record LimitRule(double RatedRiseK, double StallTimeS, double WithstandV, bool ForConverter, string Source)
    {
        public MotorLimits Limits => new() { RatedRiseK = RatedRiseK, StallTimeS = StallTimeS, WithstandV = WithstandV, ForConverter = ForConverter };
    }

    internal sealed record EfficiencyRow(int Poles, string Class, IReadOnlyList<double> Values);

    internal sealed record LossRuleSet(double Ie5OverIe4, string Source);

    internal sealed record Anchor(
        double Kw,
        double LockedCurrentPu,
        double LockedTorquePu,
        double PowerFactor,
        double BreakdownPu,
        double InertiaKgM2,
        double MassKg,
        double PriceIndex,
        double RotorShare,
        double Stator,
        double Iron,
        double Friction,
        double Stray,
        double LengthMm);

    internal sealed record CageRule(double DoubleVoltageUpToKw, IReadOnlyList<PoleRule> Poles, IReadOnlyList<ClassRule> Classes);

    internal sealed record PoleRule(
        int Poles, double PowerFactorAdd, double PowerFactorAddLarge, double InertiaFactor, double MassFactor, double PriceFactor, double SizeExponent, double LockedFactor);

    internal sealed record ClassRule(string Class, double PowerFactorAdd, double InertiaFactor, double MassFactor, double PriceFactor, double LockedCurrentFactor);

    internal sealed record SynchronousRule(
        string Key,
        MotorTechnology Technology,
        int Poles,
        double SpeedRpm,
        double FromKw,
        double ToKw,
        IReadOnlyList<string> Classes,
        double PowerFactor,
        double BreakdownPu,
        double MagnetisingPu,
        double SaliencyPu,
        double InertiaFactor,
        double MassFactor,
        double PriceFactor,
        double LengthFactor,
        double SizeExponent,
        double MaxSpeedPu,
        double Stator,
        double Iron,
        double Friction,
        double Stray,
        string Source);

    internal sealed record DcRule(
        string Key,
        int Poles,
        double SpeedRpm,
        double FromKw,
        double ToKw,
        double ArmatureVoltageV,
        double LossOverIe2,
        double BreakdownPu,
        double FieldShare,
        double InertiaFactor,
        double MassFactor,
        double PriceFactor,
        double LengthFactor,
        double MaxSpeedPu,
        double Stator,
        double Iron,
        double Friction,
        double Stray,
        string Source);

    internal sealed record ConverterLossRule(double UpToKw, double SmallPu, double LargePu, string Source);
}
