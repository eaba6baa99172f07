using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Arrangements;

/// <summary>All ways of building a lineup beside each other, with a recommendation and its reasons.</summary>
/// <param name="Scores">The way in force first, then those set aside.</param>
/// <param name="BestId">Key of the recommended way; empty for the one in force.</param>
/// <param name="Why">Why it is recommended, and what speaks against it.</param>
public sealed record LineupComparison(IReadOnlyList<LineupScore> Scores, string BestId, IReadOnlyList<string> Why)
{
    /// <summary>Compares them.</summary>
    /// <exception cref="InvalidOperationException">There is no such lineup.</exception>
    public static LineupComparison Of(PlantSpecification plant, string lineupId, IPlantStudies assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessor);
        var lineup = plant.Lineups.First(l => l.Id == lineupId);
        List<LineupScore> scores = [LineupScore.Of(plant, lineupId, string.Empty,
            lineup.VariantName.Length > 0 ? lineup.VariantName : "in force", assessor)];
        scores.AddRange(lineup.SetAside.Select(v => LineupScore.Of(
            plant with { Lineups = [.. plant.Lineups.Select(l => l.Id == lineupId ? l.As(v) : l)] }, lineupId, v.Id, v.Name, assessor)));
        var best = scores.OrderBy(s => s.Fails + s.NeedsData).ThenBy(s => s.Year.LifetimeCost).First();
        return new LineupComparison(scores, best.VariantId,
            scores.Count > 1 ? Reasons(best,
                scores.Where(s => s != best).OrderBy(s => s.Fails + s.NeedsData).ThenBy(s => s.Year.LifetimeCost).First(),
                plant.Tariff.Currency) : []);
    }

    private static List<string> Reasons(LineupScore best, LineupScore other, string currency)
    {
        var why = new List<string>();
        void Say(double a, double b, string less, string more)
        {
            if (Math.Abs(a - b) > 1e-9 * Math.Max(1, Math.Abs(b)))
            {
                why.Add(a < b ? less : more);
            }
        }

        static string Ways(int n) => n == 1 ? "1 check" : $"{n} checks";
        var (open, openOther) = (best.Fails + best.NeedsData, other.Fails + other.NeedsData);
        Say(open, openOther, $"For it: {Ways(open)} failing or open against {openOther} of {other.Name}",
            $"Against it: {Ways(open)} failing or open against {openOther} of {other.Name}");
        var money = best.Year.LifetimeCost - other.Year.LifetimeCost;
        Say(money, 0, $"For it: {Text.N(-money, 3)} {currency} less over the life cycle",
            $"Against it: {Text.N(money, 3)} {currency} more over the life cycle");
        var burnt = best.BurntKwh - other.BurntKwh;
        Say(burnt, 0, $"For it: {Text.N(-burnt, 3)} kWh a year less burnt", $"Against it: {Text.N(burnt, 3)} kWh a year more burnt");
        Say(best.IncomingCables, other.IncomingCables, $"For it: {best.IncomingCables} incoming cables against {other.IncomingCables}",
            $"Against it: {best.IncomingCables} incoming cables against {other.IncomingCables}");
        Say(best.SuppliesKw, other.SuppliesKw,
            $"For it: {Text.N(best.SuppliesKw, 3)} kW of supplies installed against {Text.N(other.SuppliesKw, 3)} kW",
            $"Against it: {Text.N(best.SuppliesKw, 3)} kW of supplies installed against {Text.N(other.SuppliesKw, 3)} kW");
        Say(best.StopsTogether, other.StopsTogether, $"For it: one fault stops {best.StopsTogether} against {other.StopsTogether}",
            $"Against it: one fault stops {best.StopsTogether} against {other.StopsTogether}");
        Say(best.Coordination.Count, other.Coordination.Count, "For it: less to coordinate", "Against it: more to coordinate");
        return why;
    }
}
