using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What one front end adds to the current at the point of common coupling.</summary>
/// <param name="DrivePointId">Drive point, common DC bus or group.</param>
/// <param name="OrdersA">Its part of each order 1…50 in phase A, rms, A; at order 1 zero, since loads share the fundamental.</param>
/// <param name="SharePct">Its part of the whole harmonic current: Σ Re(I_k·I*)/Σ|I|², %; negative for one that cancels others; all
/// together 100.</param>
public sealed record Contribution(string DrivePointId, IReadOnlyList<Complex> OrdersA, double SharePct);

/// <summary>
/// Splits the harmonic current at the point of common coupling by front end: the network is linear at each order, so every front end's
/// injection is sent through it by itself. See <c>docs/methods/contributions.md</c>.
/// </summary>
internal static class Contributions
{
    public static IReadOnlyList<Contribution> Of(PlantSpecification plant, ScenarioResult result)
    {
        plant = StandbyPlant.Of(plant, result.ScenarioId);
        var filters = result.FilterCurrents.ToDictionary(f => f.Key, f => f.Value.AskedA > 0 ? f.Value.GivenA / f.Value.AskedA : 1,
            StringComparer.Ordinal);
        var parts = new List<(string Id, Complex[] Orders)>();
        foreach (var drive in result.Drives.Where(d => d.Front is RectifierResult.LineDraw))
        {
            var alone = new HarmonicSums(plant, result.Loaded, [drive], forcePhases: true, filterParts: filters);
            var current = alone.AtCoupling(plant.Pcc.BusId);
            if (current.Length > 0)
            {
                parts.Add((drive.DrivePointId, [Complex.Zero, .. current[0].CurrentA.Skip(1)]));
            }
        }

        var sums = new Complex[LineCurrent.HighestOrder];
        foreach (var (_, orders) in parts)
        {
            for (var h = 0; h < sums.Length; h++)
            {
                sums[h] += orders[h];
            }
        }

        var square = sums.Sum(s => s.Magnitude * s.Magnitude);
        return
        [
            .. parts.Select(p => new Contribution(p.Id, p.Orders,
                square > 0 ? 100 * p.Orders.Select((o, h) => (o * Complex.Conjugate(sums[h])).Real).Sum() / square : 0))
                .OrderByDescending(c => c.SharePct),
        ];
    }
}
