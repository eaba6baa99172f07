
namespace Cuadrilla.Core.Harmonics.Limits;

/// <summary>
/// Limits at the point of common coupling by the demand-distortion school. The numbers are data of the catalogue, with
/// their edition.
/// </summary>
/// <param name="Source">Standard and table.</param>
/// <param name="Edition">Edition the numbers were taken from.</param>
/// <param name="Current">Tables of current limits by nominal voltage, ascending.</param>
/// <param name="EvenOrdersUpTo">Highest even order to which the even factor applies.</param>
/// <param name="EvenFactorPu">Part of the odd limit that such even orders may reach.</param>
/// <param name="Voltage">Rows by nominal voltage, ascending.</param>
public sealed record HarmonicLimits(
    string Source,
    string Edition,
    IReadOnlyList<CurrentLimitTable> Current,
    int EvenOrdersUpTo,
    double EvenFactorPu,
    IReadOnlyList<VoltageLimitRow> Voltage)
{
    /// <summary>The row for a short-circuit ratio at a nominal voltage.</summary>
    public CurrentLimitRow CurrentRow(double shortCircuitRatio, double nominalVoltageV)
    {
        var rows = Current.First(t => nominalVoltageV <= t.UpToV).Rows;
        return rows.Last(r => shortCircuitRatio >= r.FromRatio || r == rows[0]);
    }

    /// <summary>The row for a nominal voltage.</summary>
    public VoltageLimitRow VoltageRow(double nominalVoltageV) => Voltage.First(r => nominalVoltageV <= r.UpToV);

    /// <summary>Limit of one order of current, per cent of the demand current.</summary>
    public double OrderLimitPct(CurrentLimitRow row, int order)
    {
        ArgumentNullException.ThrowIfNull(row);
        var band = row.Bands.First(b => order < b.BelowOrder);
        return order % 2 == 0 && order <= EvenOrdersUpTo ? EvenFactorPu * band.LimitPct : band.LimitPct;
    }
}

/// <summary>Current limits up to a nominal voltage.</summary>
/// <param name="UpToV">Nominal voltage up to which the table holds, V.</param>
/// <param name="Rows">Rows by short-circuit ratio, ascending.</param>
public sealed record CurrentLimitTable(double UpToV, IReadOnlyList<CurrentLimitRow> Rows);

/// <summary>Current limits from a short-circuit ratio upwards.</summary>
/// <param name="FromRatio">Isc/IL from which the row holds.</param>
/// <param name="Bands">Limits by band of orders, ascending.</param>
/// <param name="TddPct">Limit of the total demand distortion, %.</param>
public sealed record CurrentLimitRow(double FromRatio, IReadOnlyList<OrderBand> Bands, double TddPct);

/// <summary>A limit for the orders below one.</summary>
public sealed record OrderBand(int BelowOrder, double LimitPct);

/// <summary>Voltage limits up to a nominal voltage.</summary>
public sealed record VoltageLimitRow(double UpToV, double EachPct, double ThdPct);
