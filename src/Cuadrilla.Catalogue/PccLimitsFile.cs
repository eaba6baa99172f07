using Cuadrilla.Core.Harmonics.Limits;

namespace Cuadrilla.Catalogue;

/// <summary>Layout of the file of limits at the PCC.</summary>
internal sealed record PccLimitsFile(
    string Source,
    string Edition,
    double MaxVoltageV,
    IReadOnlyList<int> BandsBelowOrder,
    IReadOnlyList<PccLimitsFile.Row> Current,
    IReadOnlyList<PccLimitsFile.Row> CurrentUpTo161kV,
    IReadOnlyList<PccLimitsFile.Row> CurrentAbove161kV,
    int EvenOrdersUpTo,
    double EvenFactorPu,
    IReadOnlyList<PccLimitsFile.VoltageRow> Voltage)
{
    public static HarmonicLimits Build(PccLimitsFile file) => new(
        file.Source,
        file.Edition,
        [
            new CurrentLimitTable(file.MaxVoltageV, Rows(file, file.Current)),
            new CurrentLimitTable(161_000, Rows(file, file.CurrentUpTo161kV)),
            new CurrentLimitTable(double.PositiveInfinity, Rows(file, file.CurrentAbove161kV)),
        ],
        file.EvenOrdersUpTo,
        file.EvenFactorPu,
        [.. file.Voltage.Select(v => new VoltageLimitRow(v.UpToV, v.Each, v.Thd))]);

    private static IReadOnlyList<CurrentLimitRow> Rows(PccLimitsFile file, IReadOnlyList<Row> rows) =>
    [
        .. rows.Select(row => new CurrentLimitRow(
            row.FromRatio, [.. file.BandsBelowOrder.Zip(row.Odd, (below, limit) => new OrderBand(below, limit))], row.Tdd)),
    ];

    internal sealed record Row(double FromRatio, IReadOnlyList<double> Odd, double Tdd);

    internal sealed record VoltageRow(double UpToV, double Each, double Thd);
}
