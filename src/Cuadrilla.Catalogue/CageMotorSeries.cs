using System.Globalization;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>
/// Builds the generic cage induction series. Rated speed follows from the rotor's share of the losses (slip = rotor loss
/// over air-gap power), current from power, efficiency and power factor.
/// </summary>
internal static class CageMotorSeries
{
    public static IEnumerable<MotorItem> Build(File file)
    {
        foreach (var size in file.Sizes)
        {
            foreach (var efficiencyClass in file.Classes)
            {
                yield return Item(file, size, efficiencyClass);
            }
        }
    }

    private static MotorItem Item(File file, Size size, EfficiencyClass efficiencyClass)
    {
        double Rule(Func<Anchor, double> value) => LogInterpolation.At(file.Anchors, a => a.Kw, value, size.Kw);
        double Scale(Func<Anchor, double> value) => LogInterpolation.PowerAt(file.Anchors, a => a.Kw, value, size.Kw);
        var powerW = size.Kw * 1e3;
        var efficiency = (efficiencyClass.Class == "IE3" ? size.Ie3 : size.Ie4) / 100;
        var powerFactor = Math.Round(Rule(a => a.PowerFactor) + efficiencyClass.PowerFactorAdd, 3);
        var lossW = powerW * ((1 / efficiency) - 1);
        var rotorW = Rule(a => a.RotorShare) * lossW;
        var synchronousRpm = 120 * file.RatedFrequencyHz / file.Poles;
        var speedRpm = Math.Round(synchronousRpm * (1 - (rotorW / (powerW + rotorW))), 0);
        var currentA = powerW / (Math.Sqrt(3) * file.RatedVoltageV * efficiency * powerFactor);
        var sum = Rule(a => a.Stator) + Rule(a => a.Iron) + Rule(a => a.Friction) + Rule(a => a.Stray);
        var split = new LossSplit(
            Rule(a => a.Stator) / sum,
            Rule(a => a.Iron) / sum,
            Rule(a => a.Friction) / sum,
            Rule(a => a.Stray) / sum,
            file.HysteresisPu,
            file.FrictionExponent,
            size.Kw <= file.ConverterLoss.UpToKw ? file.ConverterLoss.SmallPu : file.ConverterLoss.LargePu);
        var plate = new MotorPlate(
            powerW,
            file.RatedVoltageV,
            file.RatedFrequencyHz,
            speedRpm,
            currentA,
            efficiency,
            powerFactor,
            file.Poles,
            Math.Round(Rule(a => a.BreakdownPu), 2),
            Significant(efficiencyClass.InertiaFactor * Scale(a => a.InertiaKgM2)),
            Rule(a => a.MaxSpeedRpm),
            split);
        return new MotorItem(
            string.Create(CultureInfo.InvariantCulture, $"cage-4p-{efficiencyClass.Class.ToLowerInvariant()}-{size.Kw}"),
            file.Series,
            efficiencyClass.Class,
            file.Poles,
            size.Frame,
            Significant(efficiencyClass.MassFactor * Scale(a => a.MassKg)),
            Significant(efficiencyClass.PriceFactor * Scale(a => a.PriceIndex)),
            plate);
    }

    private static double Significant(double value)
    {
        var step = Math.Pow(10, Math.Floor(Math.Log10(value)) - 2);
        return Math.Round(value / step) * step;
    }

    internal sealed record File(
        string Series,
        string Source,
        string Edition,
        int Poles,
        double RatedVoltageV,
        double RatedFrequencyHz,
        string Interpolation,
        IReadOnlyList<Size> Sizes,
        IReadOnlyList<Anchor> Anchors,
        IReadOnlyList<EfficiencyClass> Classes,
        double HysteresisPu,
        double FrictionExponent,
        ConverterLossRule ConverterLoss);

    internal sealed record Size(double Kw, string Frame, double Ie3, double Ie4);

    internal sealed record Anchor(
        double Kw,
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
        double Stray);

    internal sealed record EfficiencyClass(string Class, double PowerFactorAdd, double InertiaFactor, double MassFactor, double PriceFactor);

    internal sealed record ConverterLossRule(double UpToKw, double SmallPu, double LargePu, string Source);
}
