using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>One way of driving many drive points.</summary>
/// <param name="Way">Stable key: <c>as-specified</c>, <c>best</c>, <c>present</c>, <c>line</c>, a family of converters, or <c>motor:</c>
/// and a kind of motor.</param>
/// <param name="Name">What it is.</param>
/// <param name="Applied">Drive points to which it applies; the others stay as specified.</param>
/// <param name="Year">Sums of energy and cost; the demand is the sum of each one's largest power.</param>
/// <param name="Returned">What becomes of energy that comes back.</param>
public sealed record PlantWay(string Way, string Name, int Applied, YearlyEnergy Year, ReturnedEnergy Returned);

/// <summary>
/// The same way of driving for every drive point of a lineup or plant that it suits, at equal delivered work. See
/// <c>docs/methods/alternatives.md</c>.
/// </summary>
public static class PlantAlternatives
{
    /// <summary>Key of what is specified.</summary>
    public const string AsSpecified = "as-specified";

    /// <summary>Key of what runs today.</summary>
    public const string Present = "present";

    /// <summary>Key of the cheapest for each drive point.</summary>
    public const string Best = "best";

    /// <summary>Ways, lowest life-cycle cost first; empty without complete drive points.</summary>
    /// <param name="studies">Studies of the drive points; incomplete ones are left out.</param>
    /// <param name="data">The catalogue, for names.</param>
    public static IReadOnlyList<PlantWay> Of(IReadOnlyList<DrivePointStudy> studies, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(studies);
        ArgumentNullException.ThrowIfNull(data);
        var complete = studies.Where(s => s.Alternatives.Any(a => a.IsChosen)).ToList();
        if (complete.Count == 0)
        {
            return [];
        }

        var names = data.Converters.Values.GroupBy(c => c.Family)
            .ToDictionary(g => g.Key, g => ItemText.Converter(g.First()), StringComparer.Ordinal);
        var ways = complete.SelectMany(s => s.Alternatives).Where(a => a.HasChosenMotor).Select(a => a.Way)
            .Distinct(StringComparer.Ordinal);
        var motors = complete.SelectMany(s => s.Alternatives.Where(a => !a.HasChosenMotor).Select(a => a.Motor))
            .Distinct(StringComparer.Ordinal);
        List<PlantWay> rows =
        [
            Sum(complete, AsSpecified, "as specified", _ => null),
            Sum(complete, Best, "the cheapest of each", s => s.Alternatives.FirstOrDefault(a => !a.RunsOnLine || a.IsChosen)),
            .. ways.Select(w => Sum(complete, w, NameOf(w, names),
                s => s.Alternatives.FirstOrDefault(a => a.HasChosenMotor && a.Way == w))),
            .. motors.Select(m => Sum(complete, "motor:" + m, $"{m} motors, converters as specified",
                s => s.Alternatives.FirstOrDefault(a =>
                !a.HasChosenMotor && a.Motor == m && a.Way == s.Alternatives.First(c => c.IsChosen).Way))),
        ];
        return [.. rows.Where(r => r.Applied > 0 || r.Way == AsSpecified).OrderBy(r => r.Year.LifetimeCost)
            .ThenBy(r => r.Way, StringComparer.Ordinal)];
    }

    private static string NameOf(string way, Dictionary<string, string> names)
    {
        const string bypass = "+bypass";
        string Named(string family) => names.GetValueOrDefault(family, family);
        return way switch
        {
            Present => "as today",
            "line" => "across the line or on a starter",
            _ when way.EndsWith(bypass, StringComparison.Ordinal) => Named(way[..^bypass.Length]) + ", bypassed at full level",
            _ => Named(way),
        };
    }

    private static PlantWay Sum(IReadOnlyList<DrivePointStudy> studies, string way, string name,
        Func<DrivePointStudy, EnergyAlternative?> pick)
    {
        var applied = 0;
        var year = new YearlyEnergy(0, 0, 0, 0, 0, 0);
        double burnt = 0, toLine = 0;
        foreach (var study in studies)
        {
            var picked = pick(study);
            applied += picked is null ? 0 : 1;
            var alternative = picked ?? study.Alternatives.First(a => a.IsChosen);
            var y = alternative.Year;
            year = new YearlyEnergy(
                year.EnergyKwh + y.EnergyKwh, year.DemandKw + y.DemandKw, year.CostPerYear + y.CostPerYear,
                year.EquipmentCost + y.EquipmentCost,
                year.LifetimeCost + y.LifetimeCost, year.Co2Kg + y.Co2Kg, year.ReactiveKvarh + y.ReactiveKvarh);
            burnt += alternative.Returned.BurntKwh;
            toLine += alternative.Returned.ToLineKwh;
        }

        return new PlantWay(way, name, applied, year, new ReturnedEnergy(burnt, toLine));
    }

    /// <summary>Index of the row that the others are compared with: what runs today where it is stated, else what is specified.</summary>
    public static int Reference(IReadOnlyList<PlantWay> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        var list = rows.ToList();
        var present = list.FindIndex(r => r.Way == Present);
        return present >= 0 ? present : list.FindIndex(r => r.Way == AsSpecified);
    }

    /// <summary>Every row against the reference; null for itself.</summary>
    public static IReadOnlyList<Comparison?> Against(IReadOnlyList<PlantWay> rows, Tariff tariff)
    {
        ArgumentNullException.ThrowIfNull(rows);
        var reference = Reference(rows);
        return [.. rows.Select((r, i) => i == reference ? null : Comparison.Of(r.Year, rows[reference].Year, tariff))];
    }
}
