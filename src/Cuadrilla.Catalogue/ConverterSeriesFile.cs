using Cuadrilla.Core.Converters;

namespace Cuadrilla.Catalogue;

/// <summary>The data file of the generic converters, <c>converters.json</c>.</summary>
internal sealed record ConverterSeriesFile(
    string Series,
    string Source,
    string Edition,
    string Interpolation,
    IReadOnlyList<ConverterSeriesFile.Supply> Supplies,
    IReadOnlyList<double> SizesKw,
    IReadOnlyList<double> SizesHp,
    IReadOnlyList<ConverterSeriesFile.Anchor> Anchors,
    double HeavyFactor,
    ConverterSeriesFile.Shape LossShape,
    IReadOnlyDictionary<string, ConverterSeriesFile.OverloadPair> Overload,
    ConverterSeriesFile.DeratingRule Derating,
    ConverterSeriesFile.BrakeRule Brake,
    ConverterSeriesFile.SizeRule Size,
    ConverterSeriesFile.SpectraRule Spectra,
    IReadOnlyList<ConverterSeriesFile.KindRule> Kinds,
    ConverterSeriesFile.SupplyModuleRules SupplyModules)
{
    /// <summary>Sizes for a supply: in kW, or in hp where units are rated so.</summary>
    public IEnumerable<Rating> Ratings(Supply supply) =>
        (supply.Hp ? SizesHp.Select(hp => new Rating(hp * KwPerHp, hp)) : SizesKw.Select(kw => new Rating(kw, 0)))
            .Where(r => r.Kw >= supply.FromKw && r.Kw <= supply.ToKw);

    // Mechanical horsepower, 550 ft·lbf/s.
    private const double KwPerHp = 0.745699872;

    internal readonly record struct Rating(double Kw, double Hp);

    /// <summary>A voltage for which units are made.</summary>
    /// <param name="Key">What tells its items apart; empty for 400 V.</param>
    /// <param name="RatedVoltageV">Voltage between lines, V.</param>
    /// <param name="FromKw">Smallest, kW.</param>
    /// <param name="ToKw">Largest, kW.</param>
    /// <param name="AmpPu">Amperes for a kilowatt over those at 400 V.</param>
    /// <param name="Hp">True where sizes are in hp.</param>
    /// <param name="ShortCircuit">Short-circuit ratings.</param>
    internal sealed record Supply(string Key, double RatedVoltageV, double FromKw, double ToKw, double AmpPu, bool Hp,
        ShortCircuitRule ShortCircuit);

    internal sealed record Anchor(
        double Kw, double AmpPerKw, double LossPu, double StandbyW, double WidthMm, double MassKg, double AirflowM3PerH, double PriceIndex,
        double ChokeLossPu);

    internal sealed record Shape(
        double F0I25, double F0I50, double F0I100, double F50I25, double F50I50, double F50I100, double F90I50, double F90I100);

    internal sealed record OverloadPair(OverloadRating Light, OverloadRating Heavy);

    internal sealed record DeratingRule(
        double AmbientFreeC,
        double AmbientPctPerK,
        double AmbientMaxC,
        double AltitudeFreeM,
        double AltitudePctPer100M,
        double AltitudeMaxM,
        IReadOnlyList<double[]> SwitchingSmall,
        IReadOnlyList<double[]> SwitchingLarge,
        IReadOnlyList<double[]> SwitchingServo,
        double SinglePhaseFeedPu,
        double SmallUpToKw,
        double LowFrequencyHz,
        double LowFrequencyPu,
        double LowFrequencyServoPu,
        IReadOnlyDictionary<string, SwitchingLoss> SwitchingLoss);

    internal sealed record BrakeRule(double ChopperV, double PeakPu);

    /// <param name="SmallUpToKw">Largest small unit, kW.</param>
    /// <param name="SmallKa">Rating of small units with the maker's protection, kA.</param>
    /// <param name="LargeKa">The same of larger ones, kA.</param>
    /// <param name="Plain">Rating without protection of a stated kind: up to so many hp, so many kA; absent where none is
    /// published.</param>
    internal sealed record ShortCircuitRule(double SmallUpToKw, double SmallKa, double LargeKa, IReadOnlyList<double[]>? Plain = null)
    {
        /// <summary>Rating without protection of a stated kind, kA; 0 where none is published.</summary>
        public double PlainKa(double kw) => Plain?.FirstOrDefault(p => kw <= (p[0] * KwPerHp) + 1e-6)?[1] ?? 0;
    }

    internal sealed record SizeRule(double HeightPerWidth, double LeastHeightMm, double DepthFixedMm, double DepthPerRootKw,
        double TerminalMm2PerA);

    internal sealed record SpectraRule(IReadOnlyList<SpectrumRule> Active, IReadOnlyList<SpectrumRule> Direct,
        IReadOnlyList<SpectrumRule> Passive, string Source);

    internal sealed record SpectrumRule(double LoadPu, double ReactivePu, IReadOnlyList<double[]> Orders);

    /// <summary>The front end of a kind; what it does not have is zero.</summary>
    internal abstract record FrontRule
    {
        public required string Key { get; init; }

        public required string Front { get; init; }

        public int Bridges { get; init; }

        public double ChokePct { get; init; }

        public double ChokeLossFactor { get; init; }

        public double ReactorPct { get; init; }

        public double TransformerUkPct { get; init; }

        public double DcFormFactor { get; init; } = 1;

        public double FixedLossPu { get; init; }

        public double LoadLossPu { get; init; }

        public double FilterPct { get; init; }

        public double FilterReactorPct { get; init; }

        public double FilterDampingPct { get; init; }

        public double OutputPu { get; init; }

        public bool HasBypass { get; init; }

        public bool FourQuadrant { get; init; }

        public double LargestDcPu { get; init; }

        public double PriceFactor { get; init; } = 1;

        public double MassFactor { get; init; } = 1;

        public double WidthFactor { get; init; } = 1;
    }

    internal sealed record KindRule : FrontRule
    {
        public required ConverterKind Kind { get; init; }

        public required double FromKw { get; init; }

        public required double ToKw { get; init; }

        public double? RatedVoltageV { get; init; }

        public double? AmpPerKw { get; init; }

        public double CurrentFactor { get; init; } = 1;

        public double? HeavyFactor { get; init; }

        public double CapacitanceUfPerKw { get; init; }

        public required string Overload { get; init; }

        public bool Brake { get; init; }

        public string Switching { get; init; } = string.Empty;

        public double LossFactor { get; init; } = 1;

        public double StandbyFactor { get; init; } = 1;

        public double AirflowFactor { get; init; } = 1;
    }

    internal sealed record ModuleRule : FrontRule
    {
        public required SupplyModuleKind Kind { get; init; }

        public double PeakPu { get; init; }

        public double PeakTimeS { get; init; }

        public double ReturnPu { get; init; }
    }

    internal sealed record SupplyModuleRules(IReadOnlyList<double> SizesKw, double PrechargeUfPerKw, IReadOnlyList<ModuleRule> Kinds);
}
