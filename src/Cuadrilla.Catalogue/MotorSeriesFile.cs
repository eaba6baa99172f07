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
            "IE4" => LossRules.Ie4OverIe3 * LossPu(poles, "IE3", kw),
            "IE2" => LossRules.Ie2OverIe3 * LossPu(poles, "IE3", kw),
            "IE3" when poles == 8 => LossRules.EightPolesOverSix * LossPu(6, "IE3", kw),
            _ => throw new InvalidDataException($"No efficiency for {poles} poles, {efficiencyClass}."),
        };
    }

    /// <summary>Frame of the 4-pole cage motor of at least so many kW.</summary>
    public string Frame(double kw) => (Sizes.FirstOrDefault(s => s.Kw >= kw - 1e-9) ?? Sizes[^1]).Frame;

    internal sealed record Size(double Kw, string Frame);

    internal sealed record EfficiencyRow(int Poles, string Class, IReadOnlyList<double> Values);

    internal sealed record LossRuleSet(double Ie2OverIe3, double Ie4OverIe3, double Ie5OverIe4, double EightPolesOverSix, string Source);

    internal sealed record Anchor(
        double Kw,
        double LockedCurrentPu,
        double LockedTorquePu,
        double PowerFactor,
        double BreakdownPu,
        double InertiaKgM2,
        double MassKg,
        double PriceIndex,
        double MaxSpeedRpm,
        double RotorShare,
        double Stator,
        double Iron,
        double Friction,
        double Stray,
        double LengthMm);

    internal sealed record CageRule(double DoubleVoltageUpToKw, IReadOnlyList<PoleRule> Poles, IReadOnlyList<ClassRule> Classes);

    internal sealed record PoleRule(
        int Poles, double PowerFactorAdd, double InertiaFactor, double MassFactor, double PriceFactor, double MaxSpeedRpm, double SizeExponent, double LockedFactor);

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
        double BackEmfPu,
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
