using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>
/// The first of the ranking, found without the costs of all: a lifetime costs at least its price and the energy that leaves the shaft, so
/// what is dearer than the best so far by that alone needs no further reckoning. What is far too small is not judged.
/// </summary>
public static class BestCandidate
{
    // A motor or converter of less than this part of what is asked for long fails.
    private const double LeastPart = 0.5;

    /// <summary>The best motor, alone; the whole ranking where none fits, or only one of a kind that never leads.</summary>
    public static IReadOnlyList<Candidate> Motors(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        if (CandidateRanking.Build(input, data, input.DrivePoint).Load is not { Cycle: null, RatedPowerW: > 0 } load)
        {
            return CandidateRanking.Motors(input, data);
        }

        var current = input.DrivePoint.Motor as MotorChoice.FromCatalogue;
        var usual = CandidateRanking.Usual(input, data);
        return Cheapest(
            CandidateRanking.MotorsFor(input, data).Where(m => m.OwnName.Length > 0 || m.Plate.RatedPowerW >= LeastPart * load.RatedPowerW)
                .Where(m => !CandidateRanking.IsSpecial(m, data, current)),
            m => m.PriceIndex, m => CandidateRanking.MotorOf(input, data, m, usual), input, load) ?? CandidateRanking.Motors(input, data);
    }

    /// <summary>The best converter likewise.</summary>
    public static IReadOnlyList<Candidate> Converters(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        var now = CandidateRanking.Build(input, data, input.DrivePoint);
        if (now is not { Load: { Cycle: null, RatedPowerW: > 0 } load, Fitted.Item.Plate.RatedCurrentA: > 0 and var ratedA }
            || input.Group is not null)
        {
            return CandidateRanking.Converters(input, data);
        }

        var current = input.DrivePoint.Converter as ConverterChoice.FromCatalogue;
        var leastA = LeastPart * load.RatedPowerW / now.Fitted.Item.Plate.RatedPowerW * ratedA / Math.Max(1, current?.Modules ?? 1);
        return Cheapest(
            CandidateRanking.ConvertersFor(input, data).Where(c => c.OwnName.Length > 0 || c.LightCurrentA >= leastA)
                .Where(c => !CandidateRanking.IsSpecial(c, data, current, input.OnePhase)),
            c => c.PriceIndex, c => CandidateRanking.ConverterOf(input, data, c), input, load) ?? CandidateRanking.Converters(input, data);
    }

    private static IReadOnlyList<Candidate>? Cheapest<T>(
        IEnumerable<T> items, Func<T, double> priceIndex, Func<T, Candidate> judge, DrivePointInput input, Loads.LoadModel load)
    {
        List<EnergyPoint> shaft = [.. load.Duty.Where(d => d.HoursPerYear > 0)
            .Select(d => new EnergyPoint(d.LevelPu, d.HoursPerYear, load.At(d.LevelPu).PowerW))];
        var bounded = shaft.TrueForAll(p => p.LineW > 0);
        Candidate? best = null;
        foreach (var item in items.OrderBy(priceIndex))
        {
            if (bounded && best is not null && Dearer(priceIndex(item), best, shaft, input))
            {
                continue;
            }

            if (judge(item) is { Fits: true } candidate && (best is null || Before(candidate, best)))
            {
                best = candidate;
            }
        }

        return best is null ? null : [best];
    }

    // By its price and the energy of the shaft alone; without hours by its price.
    private static bool Dearer(double priceIndex, Candidate best, List<EnergyPoint> shaft, DrivePointInput input) =>
        best.LifetimeCost is { } least
        ? YearlyEnergy.Of(shaft, priceIndex, input.Tariff).LifetimeCost > least
        : shaft.Count == 0 && priceIndex > best.PriceIndex;

    // What has no cost never leads what has; else the lower cost, then the lower price, then the key.
    private static bool Before(Candidate one, Candidate other) => (one.LifetimeCost, other.LifetimeCost) switch
    {
        ({ } a, { } b) when Math.Abs(a - b) > 0 => a < b,
        ({ }, null) => true,
        (null, { }) => false,
        (null, null) when Math.Abs(one.PriceIndex - other.PriceIndex) > 0 => one.PriceIndex < other.PriceIndex,
        _ => string.CompareOrdinal(one.ItemId, other.ItemId) < 0,
    };
}
