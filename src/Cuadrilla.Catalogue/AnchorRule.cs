using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>Values of the scaling rules at one rated power.</summary>
/// <param name="File">The series.</param>
/// <param name="Kw">Rated power.</param>
internal sealed record AnchorRule(MotorSeriesFile File, double Kw)
{
    public double Of(Func<MotorSeriesFile.Anchor, double> value) => LogInterpolation.At(File.Anchors, a => a.Kw, value, Kw);

    public double Scaled(Func<MotorSeriesFile.Anchor, double> value) => LogInterpolation.PowerAt(File.Anchors, a => a.Kw, value, Kw);

    /// <summary>Division of the losses, the parts brought to a sum of one.</summary>
    public LossSplit Split(
        Func<MotorSeriesFile.Anchor, double> stator,
        Func<MotorSeriesFile.Anchor, double> iron,
        Func<MotorSeriesFile.Anchor, double> friction,
        Func<MotorSeriesFile.Anchor, double> stray,
        double field = 0)
    {
        var sum = (Of(stator) + Of(iron) + Of(friction) + Of(stray)) / (1 - field);
        return new LossSplit(
            Of(stator) / sum,
            Of(iron) / sum,
            Of(friction) / sum,
            Of(stray) / sum,
            File.HysteresisPu,
            File.FrictionExponent,
            Kw <= File.ConverterLoss.UpToKw ? File.ConverterLoss.SmallPu : File.ConverterLoss.LargePu,
            field);
    }

    /// <summary>Three significant digits.</summary>
    public static double Significant(double value)
    {
        var step = Math.Pow(10, Math.Floor(Math.Log10(value)) - 2);
        return Math.Round(value / step) * step;
    }
}
