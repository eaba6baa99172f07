using Cuadrilla.Core.Harmonics;

namespace Cuadrilla.Catalogue;

/// <summary>Layout of the file of limits at the PCC.</summary>
internal sealed record PccLimitsFile(
    string Source,
    string Edition,
    double MaxVoltageV,
    IReadOnlyList<int> BandsBelowOrder,
    IReadOnlyList<PccLimitsFile.Row> Current,
    int EvenOrdersUpTo,
    double EvenFactorPu,
    IReadOnlyList<PccLimitsFile.VoltageRow> Voltage)
{
    public static HarmonicLimits Build(PccLimitsFile file) => new(
        file.Source,
        file.Edition,
        file.MaxVoltageV,
        [.. file.Current.Select(row => new CurrentLimitRow(
            row.FromRatio, [.. file.BandsBelowOrder.Zip(row.Odd, (below, limit) => new OrderBand(below, limit))], row.Tdd))],
        file.EvenOrdersUpTo,
        file.EvenFactorPu,
        [.. file.Voltage.Select(v => new VoltageLimitRow(v.UpToV, v.Each, v.Thd))]);

    internal sealed record Row(double FromRatio, IReadOnlyList<double> Odd, double Tdd);

    internal sealed record VoltageRow(double UpToV, double Each, double Thd);
}
