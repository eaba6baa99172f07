using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>Layout of the motors' data file.</summary>
internal sealed record MotorSeriesFile(
    string Series,
    string Source,
    string Edition,
    string Interpolation,
    IReadOnlyList<MotorSeriesFile.Supply> Supplies,
    IReadOnlyDictionary<string, IReadOnlyList<MotorSeriesFile.Size>> Sizes,
    IReadOnlyDictionary<string, IReadOnlyList<MotorSeriesFile.EfficiencyRow>> EfficiencyPct,
    MotorSeriesFile.LossRuleSet LossRules,
    IReadOnlyList<MotorSeriesFile.Anchor> Anchors,
    MotorSeriesFile.CageRule Cage,
    IReadOnlyList<MotorSeriesFile.SynchronousRule> Synchronous,
    IReadOnlyList<MotorSeriesFile.DcRule> Dc,
    IReadOnlyList<MotorSeriesFile.SafeSpeed> SafeSpeeds,
    MotorSeriesFile.LimitRule Limits,
    double HysteresisPu,
    double FrictionExponent,
    MotorSeriesFile.ConverterLossRule ConverterLoss)
{
    /// <summary>
    /// Rated loss in parts of rated power: from the table, or by the rules from the class that the table holds; null where the table does
    /// not claim the class. Between the sizes of the table efficiency goes with the logarithm of power.
    /// </summary>
    public double? LossPu(string sizes, int poles, string efficiencyClass, double kw)
    {
        if (EfficiencyPct[sizes].FirstOrDefault(r => r.Poles == poles && r.Class == efficiencyClass) is not { } row)
        {
            return efficiencyClass switch
            {
                "IE5" => LossRules.Ie5OverIe4 * LossPu(sizes, poles, "IE4", kw),
                _ => throw new InvalidDataException($"No efficiency for {poles} poles, {efficiencyClass}."),
            };
        }

        var index = Sizes[sizes].TakeWhile(s => s.Kw < kw - 1e-9).Count();
        return index < row.Values.Count && row.Values[index] is { } pct && Math.Abs(Sizes[sizes][index].Kw - kw) < 1e-9
            ? (100 / pct) - 1
            : Between(row, Sizes[sizes], kw);
    }

    /// <summary>Frame of the 4-pole cage motor of at least so many kW.</summary>
    public string Frame(string sizes, double kw) => (Sizes[sizes].FirstOrDefault(s => s.Kw >= kw - 1e-9) ?? Sizes[sizes][^1]).Frame;

    // A size that another list has, inside the range of this one.
    private static double? Between(EfficiencyRow row, IReadOnlyList<Size> sizes, double kw)
    {
        var high = sizes.TakeWhile(s => s.Kw < kw).Count();
        if (high == 0 || high >= sizes.Count || Math.Abs(sizes[high].Kw - kw) < 1e-9 || row.Values[high - 1] is not { } below
            || row.Values[high] is not { } above)
        {
            return null;
        }

        var part = Math.Log(kw / sizes[high - 1].Kw) / Math.Log(sizes[high].Kw / sizes[high - 1].Kw);
        return (100 / (below + (part * (above - below)))) - 1;
    }

    /// <summary>Frame of the cage motor of a size and pole number.</summary>
    public static string Frame(Size size, int poles) => size.Frames.GetValueOrDefault(poles, size.Frame);

    /// <summary>Safe speed of a cage motor, rpm.</summary>
    public double SafeRpm(string frame, int poles)
    {
        var height = MotorItem.ShaftHeightOf(frame);
        return SafeSpeeds.First(s => height <= s.ToShaftHeightMm).Rpm[poles];
    }

    /// <param name="Kw">Rated power, kW.</param>
    /// <param name="Frame">Frame with 4 poles.</param>
    /// <param name="Frames">Frame with other pole numbers.</param>
    /// <param name="Hp">Rated power in hp where it is rated so.</param>
    internal sealed record Size(double Kw, string Frame, IReadOnlyDictionary<int, string> Frames, double Hp = 0);

    /// <summary>A voltage and frequency for which motors are made.</summary>
    /// <param name="Key">What tells its items apart; empty for 400 V, 50 Hz.</param>
    /// <param name="Series">Name of the series.</param>
    /// <param name="RatedVoltageV">Voltage between lines, V.</param>
    /// <param name="RatedFrequencyHz">Frequency, Hz.</param>
    /// <param name="Sizes">List of sizes.</param>
    /// <param name="FromKw">Smallest, kW.</param>
    /// <param name="ToKw">Largest, kW.</param>
    /// <param name="Classes">Efficiency classes of cage motors; a dash where the tables claim none.</param>
    /// <param name="DoubleVoltageUpToKw">Up to this power the voltage is that of star, above that of delta.</param>
    /// <param name="Synchronous">Whether synchronous motors are made for it.</param>
    /// <param name="Dc">Whether DC motors are listed with it.</param>
    /// <param name="WithstandV">Peak that the winding stands, V.</param>
    /// <param name="IsConnectionFixed">True where the winding is connected inside: neither star nor delta can be chosen.</param>
    internal sealed record Supply(
        string Key,
        string Series,
        double RatedVoltageV,
        double RatedFrequencyHz,
        string Sizes,
        double FromKw,
        double ToKw,
        IReadOnlyList<string> Classes,
        double DoubleVoltageUpToKw,
        bool Synchronous,
        bool Dc,
        double WithstandV,
        bool IsConnectionFixed = false);

    internal sealed record SafeSpeed(double ToShaftHeightMm, IReadOnlyDictionary<int, double> Rpm);

    internal sealed record LimitRule(double RatedRiseK, double StallTimeS, bool ForConverter, string Source)
    {
        public MotorLimits Of(Supply supply) =>
            new() { RatedRiseK = RatedRiseK, StallTimeS = StallTimeS, WithstandV = supply.WithstandV, ForConverter = ForConverter };
    }

    internal sealed record EfficiencyRow(int Poles, string Class, IReadOnlyList<double?> Values);

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

    internal sealed record CageRule(IReadOnlyList<PoleRule> Poles, IReadOnlyList<ClassRule> Classes);

    internal sealed record PoleRule(
        int Poles, double PowerFactorAdd, double PowerFactorAddLarge, double InertiaFactor, double MassFactor, double PriceFactor,
        double SizeExponent, double LockedFactor, double FromKw = 0);

    internal sealed record ClassRule(string Class, double PowerFactorAdd, double InertiaFactor, double MassFactor, double PriceFactor,
        double LockedCurrentFactor);

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
