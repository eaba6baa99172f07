using System.Globalization;
using Cuadrilla.Core.Commissioning;

namespace Cuadrilla.Catalogue;

/// <summary>What measurements on site are held to, as the data file has it.</summary>
internal sealed record CommissioningFile(string Source, string Edition, InsulationRules Insulation, CommissioningFile.RiseRows Rise,
    CommissioningFile.IdentificationRows Identification, StatisticFactors Statistics, UsualParameters Parameters,
    SiteRules Site)
{
    public CommissioningRules Build() => new(
        Insulation,
        new RiseLimits(Rise.LimitK, [.. Rise.DelayS.Select(r => (r[0], r[1]))]),
        new IdentificationWindows(Window(Identification.NoLoadEstimated), Window(Identification.NoLoadMeasured),
            Window(Identification.Stator), Window(Identification.Inertia),
            Identification.NoLoadPu.ToDictionary(p => int.Parse(p.Key, CultureInfo.InvariantCulture), p => Bands(p.Value)),
            Bands(Identification.StatorPu)),
        Statistics,
        Parameters,
        Site);

    private static DeviationWindow Window(double[] row) => new(row[0], row[1]);

    private static IReadOnlyList<UsualBand> Bands(IReadOnlyList<double[]> rows) =>
        [.. rows.Select(r => new UsualBand(r[0], r[1] == 1, r[2], r[3]))];

    internal sealed record RiseRows(IReadOnlyDictionary<RiseClass, double> LimitK, string DelayColumns, IReadOnlyList<double[]> DelayS);

    internal sealed record IdentificationRows(string WindowColumns, double[] NoLoadEstimated, double[] NoLoadMeasured, double[] Stator,
        double[] Inertia, string BandColumns, IReadOnlyDictionary<string, IReadOnlyList<double[]>> NoLoadPu,
        IReadOnlyList<double[]> StatorPu);
}
