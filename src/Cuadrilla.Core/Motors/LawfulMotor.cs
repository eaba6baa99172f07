using System.Globalization;

namespace Cuadrilla.Core.Motors;

/// <summary>
/// Least efficiency classes of new cage motors: a project's setting, proposed as EU 2019/1781 has them (IE3 from 0.75 kW; IE4 from 75 to
/// 200 kW with 2 to 6 poles). A motor that stands already may stay; a new one below the class is not permitted and never best.
/// </summary>
/// <param name="LeastIe">Least class from 0.75 kW.</param>
/// <param name="LeastLargeIe">Least class from 75 to 200 kW with 2 to 6 poles.</param>
public readonly record struct LawfulMotor(int LeastIe, int LeastLargeIe)
{
    // IEC 60034-30-1 and the laws made on it.
    private const double LeastKw = 0.75;
    private const double MostKw = 1000;

    // NEMA MG 1 table 12-12, premium efficiency, is IE3 at 60 Hz.
    private const string Premium = "Premium";
    private const int PremiumAsIe = 3;

    private static int? ClassOf(MotorItem item) =>
        item.EfficiencyClass == Premium ? PremiumAsIe
        : item.EfficiencyClass.StartsWith("IE", StringComparison.Ordinal)
            && int.TryParse(item.EfficiencyClass[2..], CultureInfo.InvariantCulture, out var found) ? found
        : null;

    /// <summary>Why a motor may not be put to use; empty when it may.</summary>
    public string Against(MotorItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        var kw = item.Plate.RatedPowerW / 1e3;
        if (item.Technology != MotorTechnology.CageInduction || kw is < LeastKw or > MostKw || ClassOf(item) is not { } found)
        {
            return string.Empty;
        }

        var least = kw is >= 75 and <= 200 && item.Poles <= 6 ? Math.Max(LeastIe, LeastLargeIe) : LeastIe;
        return found >= least
            ? string.Empty
            : FormattableString.Invariant($"{item.EfficiencyClass}, and the project asks for IE{least} at least");
    }
}
