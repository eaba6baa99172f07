using System.Globalization;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Catalogue;

/// <summary>Builds the generic converters and supply modules: every kind in every size, by the scaling rules of the data file.</summary>
internal static class ConverterSeries
{
    public static IEnumerable<ConverterItem> Build(ConverterSeriesFile file) =>
        from supply in file.Supplies
        from rating in file.Ratings(supply)
        from kind in file.Kinds
        where rating.Kw >= kind.FromKw && rating.Kw <= kind.ToKw && (kind.RatedVoltageV is null || supply.Key.Length == 0)
        select Item(file, supply, rating, kind);

    public static IEnumerable<SupplyModuleItem> SupplyModules(ConverterSeriesFile file) =>
        from supply in file.Supplies
        from kw in file.SupplyModules.SizesKw
        from kind in file.SupplyModules.Kinds
        where kw <= supply.ToKw
        select Module(file, supply, kw, kind);

    private static ConverterItem Item(ConverterSeriesFile file, ConverterSeriesFile.Supply supply, ConverterSeriesFile.Rating rating,
        ConverterSeriesFile.KindRule kind)
    {
        var kw = rating.Kw;
        var ratedV = kind.RatedVoltageV ?? supply.RatedVoltageV;
        double Rule(Func<ConverterSeriesFile.Anchor, double> value) => LogInterpolation.At(file.Anchors, a => a.Kw, value, kw);
        var ratedLossW = Rule(a => a.LossPu) * kw * 1e3 * kind.LossFactor;
        var lightA = Tidy((kind.AmpPerKw ?? (Rule(a => a.AmpPerKw) * kind.CurrentFactor)) * supply.AmpPu * kw);
        var chopperV = file.Brake.ChopperV * VoltageClass.LinkPu(ratedV);
        var overload = file.Overload[kind.Overload];
        return new ConverterItem
        {
            Id = string.Create(CultureInfo.InvariantCulture,
                $"{kind.Key}{Suffix(supply)}-{(rating.Hp > 0 ? rating.Hp : kw)}{(rating.Hp > 0 ? "hp" : string.Empty)}"),
            RatedHp = rating.Hp,
            Series = file.Series,
            Kind = kind.Kind,
            FrontEnd = Front(file, kind, Rule(a => a.ChokeLossPu)),
            RatedKw = kw,
            RatedVoltageV = ratedV,
            LightCurrentA = lightA,
            HeavyCurrentA = Tidy((kind.HeavyFactor ?? file.HeavyFactor) * lightA),
            DcCapacitanceUf = Math.Round(kind.CapacitanceUfPerKw * kw * SameEnergy(supply), 0),
            Losses = Losses(file.LossShape, ratedLossW),
            StandbyW = Math.Round(Rule(a => a.StandbyW) * kind.StandbyFactor, 0),
            LightOverload = overload.Light,
            HeavyOverload = overload.Heavy,
            Derating = Derating(file.Derating, kw, kind.Switching),
            ShortCircuitKa = ShortCircuitKa(supply, kw),
            ShortCircuitPlainKa = supply.ShortCircuit.PlainKa(kw),
            Brake = kind.Brake ? new ChopperLimits(Math.Round(chopperV * chopperV / (file.Brake.PeakPu * kw * 1e3), 2), chopperV) : null,
            Size = Size(file, kw, kind.WidthFactor, kind.MassFactor, kind.AirflowFactor, lightA),
            PriceIndex = Price(file, kw, kind.PriceFactor),
            SwitchingLoss = kind.Front == "thyristor"
                ? SwitchingLoss.None
                : file.Derating.SwitchingLoss[kind.Switching == "servo" ? "servo" : kw <= file.Derating.SmallUpToKw ? "small" : "large"],
        };
    }

    private static SupplyModuleItem Module(ConverterSeriesFile file, ConverterSeriesFile.Supply supply, double kw,
        ConverterSeriesFile.ModuleRule kind)
    {
        double Rule(Func<ConverterSeriesFile.Anchor, double> value) => LogInterpolation.At(file.Anchors, a => a.Kw, value, kw);
        return new SupplyModuleItem
        {
            Id = string.Create(CultureInfo.InvariantCulture, $"{kind.Key}{Suffix(supply)}-{kw}"),
            Series = file.Series,
            Kind = kind.Kind,
            FrontEnd = Front(file, kind, Rule(a => a.ChokeLossPu)),
            RatedKw = kw,
            RatedVoltageV = supply.RatedVoltageV,
            PeakPu = kind.PeakPu,
            PeakTimeS = kind.PeakTimeS,
            ReturnPu = kind.ReturnPu,
            PrechargeUf = Math.Round(file.SupplyModules.PrechargeUfPerKw * kw * SameEnergy(supply), 0),
            StandbyW = Math.Round(Rule(a => a.StandbyW), 0),
            ShortCircuitKa = ShortCircuitKa(supply, kw),
            Size = Size(file, kw, kind.WidthFactor, kind.MassFactor, 0.5, Rule(a => a.AmpPerKw) * supply.AmpPu * kw),
            PriceIndex = Price(file, kw, kind.PriceFactor),
            Derating = new SiteDerating(
                file.Derating.AmbientFreeC, file.Derating.AmbientPctPerK, file.Derating.AmbientMaxC,
                file.Derating.AltitudeFreeM, file.Derating.AltitudePctPer100M, file.Derating.AltitudeMaxM),
        };
    }

    private static FrontEnd Front(ConverterSeriesFile file, ConverterSeriesFile.FrontRule rule, double chokeLossPu) => rule.Front switch
    {
        "diode" => new FrontEnd.Diode(
            rule.Bridges, rule.ChokePct, rule.ChokePct > 0 ? chokeLossPu * rule.ChokeLossFactor : 0, rule.ReactorPct, rule.TransformerUkPct,
            rule.DcFormFactor, rule.FixedLossPu, rule.LoadLossPu),
        "single-phase" => new FrontEnd.SinglePhase(rule.ChokePct, rule.ChokePct > 0 ? chokeLossPu * rule.ChokeLossFactor : 0,
            rule.DcFormFactor),
        "active" => new FrontEnd.Active(Filter(rule), Spectrum(file.Spectra.Active), rule.FixedLossPu, rule.LoadLossPu),
        "direct" => new FrontEnd.Direct(rule.OutputPu, rule.HasBypass, Filter(rule), Spectrum(file.Spectra.Direct), rule.FixedLossPu,
            rule.LoadLossPu),
        "filtered" => new FrontEnd.Filtered(Filter(rule), Spectrum(file.Spectra.Passive), rule.OutputPu, rule.DcFormFactor,
            rule.FixedLossPu, rule.LoadLossPu),
        "thyristor" => new FrontEnd.Thyristor(rule.FourQuadrant, rule.ReactorPct, rule.LargestDcPu, rule.LoadLossPu),
        "dc-link" => new FrontEnd.DcLink(),
        _ => throw new InvalidDataException($"Unknown front end '{rule.Front}' in the converter series."),
    };

    private static LineFilter Filter(ConverterSeriesFile.FrontRule rule) =>
        new(rule.FilterPct, rule.FilterReactorPct, rule.FilterDampingPct);

    private static SourceSpectrum Spectrum(IReadOnlyList<ConverterSeriesFile.SpectrumRule> rules) =>
        new([.. rules.Select(r => new SpectrumPoint(r.LoadPu, r.ReactivePu, [.. r.Orders.Select(o => new OrderShare((int)o[0], o[1]))]))]);

    private static ConverterLossPoints Losses(ConverterSeriesFile.Shape shape, double ratedLossW)
    {
        double Loss(double part) => Math.Round(part * ratedLossW, 1);
        return new ConverterLossPoints(
            Loss(shape.F0I25), Loss(shape.F0I50), Loss(shape.F0I100), Loss(shape.F50I25), Loss(shape.F50I50), Loss(shape.F50I100),
            Loss(shape.F90I50), Loss(shape.F90I100));
    }

    private static ConverterSize Size(ConverterSeriesFile file, double kw, double width, double mass, double airflow, double currentA)
    {
        double Scale(Func<ConverterSeriesFile.Anchor, double> value) => LogInterpolation.PowerAt(file.Anchors, a => a.Kw, value, kw);
        var plainMm = LogInterpolation.At(file.Anchors, a => a.Kw, a => a.WidthMm, kw);
        return new ConverterSize(
            To5(plainMm * width),
            To5(Math.Max(file.Size.LeastHeightMm, plainMm * file.Size.HeightPerWidth)),
            To5(file.Size.DepthFixedMm + (file.Size.DepthPerRootKw * Math.Sqrt(kw))),
            Math.Round(mass * Scale(a => a.MassKg), 1),
            Math.Round(airflow * Scale(a => a.AirflowM3PerH), 0),
            CrossSections.First(c => c >= Math.Min(currentA * file.Size.TerminalMm2PerA, CrossSections[^1])));
    }

    private static double Price(ConverterSeriesFile file, double kw, double factor) =>
        Math.Round(factor * LogInterpolation.PowerAt(file.Anchors, a => a.Kw, a => a.PriceIndex, kw), 2);

    private static double ShortCircuitKa(ConverterSeriesFile.Supply supply, double kw) =>
        kw <= supply.ShortCircuit.SmallUpToKw ? supply.ShortCircuit.SmallKa : supply.ShortCircuit.LargeKa;

    private static string Suffix(ConverterSeriesFile.Supply supply) => supply.Key.Length > 0 ? "-" + supply.Key : string.Empty;

    // A kilowatt needs the same energy in the link at any voltage: the levels go by the voltage.
    private static double SameEnergy(ConverterSeriesFile.Supply supply) => Math.Pow(400 / supply.RatedVoltageV, 2);

    private static ConverterDerating Derating(ConverterSeriesFile.DeratingRule rule, double kw, string switching)
    {
        var curve = switching == "servo" ? rule.SwitchingServo : kw <= rule.SmallUpToKw ? rule.SwitchingSmall : rule.SwitchingLarge;
        return new ConverterDerating(
            rule.AmbientFreeC,
            rule.AmbientPctPerK,
            rule.AmbientMaxC,
            rule.AltitudeFreeM,
            rule.AltitudePctPer100M,
            rule.AltitudeMaxM,
            [.. curve.Select(p => new SwitchingFactor(p[0], p[1]))],
            rule.SinglePhaseFeedPu)
        { LowFrequencyHz = rule.LowFrequencyHz, LowFrequencyPu = switching == "servo" ? rule.LowFrequencyServoPu : rule.LowFrequencyPu };
    }

    private static double Tidy(double currentA) =>
        currentA < 10 ? Math.Round(currentA, 1) : currentA < 100 ? Math.Round(currentA * 2) / 2 : Math.Round(currentA);

    private static double To5(double mm) => Math.Round(mm / 5) * 5;

    // Cross-sections of IEC 60228, mm².
    private static readonly double[] CrossSections = [2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120, 150, 185, 240, 300, 400, 500];
}
