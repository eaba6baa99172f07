using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

// Circuits of several front ends that find no state: one of them that has none must not silence those beside it.
internal sealed partial class BalancedFronts
{
    // Solved each by itself, the ill show themselves, and the others are put together without them. Where none is ill by itself the
    // circuit is tried again at the voltages that they leave, and what it says there holds: that each would come to rest beside voltages
    // that stand still does not prove that they do beside each other.
    private BalanceResult FoundApart(Complex[] voltages, BalanceResult found)
    {
        var ill = new HashSet<int>();
        var tried = new HashSet<BalanceUnit>();
        while (SilentClusters(found, tried) is { Count: > 0 } silent)
        {
            units = [.. units.SelectMany(u => silent.Contains(u) ? u.Members.Select(m => BalanceUnit.Of(fronts[m.Front], m.Front)) : [u])];
            var apart = Found(voltages);
            var illNow = IllAlone(apart).Intersect(silent.SelectMany(u => u.Members).Select(m => m.Front)).ToList();
            if (illNow.Count > 0)
            {
                ill.UnionWith(illNow);
                units = clusters.Units(ill);
                found = Found(voltages);
            }
            else
            {
                var (start, near) = Joined(apart, silent);
                found = new HarmonicBalance(orders, units, Filters, settings.Stop).Run(start, near);
                tried.UnionWith(silent);
            }
        }

        return found;
    }

    private List<BalanceUnit> SilentClusters(BalanceResult found, HashSet<BalanceUnit> but) =>
        [.. units.Where((unit, u) => unit.Members.Count > 1 && IsSilent(found.Answers[u]) && !but.Contains(unit))];

    private IEnumerable<int> IllAlone(BalanceResult apart) =>
        units.Where((unit, u) => unit.Members.Count == 1 && IsSilent(apart.Answers[u])).Select(unit => unit.Members[0].Front);

    private static bool IsSilent(FrontAnswer answer) => answer.Front is RectifierResult.NoSteadyState;

    // Where the search for the circuits begins when their front ends have settled each by itself.
    private (SpaceVector[] Start, FrontSearch?[] Near) Joined(BalanceResult apart, List<BalanceUnit> silent)
    {
        var drawn = Enumerable.Repeat(new SpaceVector(), fronts.Length).ToArray();
        var known = new Dictionary<int, FrontSearch>();
        for (var u = 0; u < units.Count; u++)
        {
            var (unit, emf, answer) = (units[u], apart.Emfs[u], apart.Answers[u]);
            known[unit.Members[0].Front] = new FrontSearch(emf, unit.Front.Circuit?.Circuit, answer, new UnevenAnswer(emf, answer, answer), null);
            foreach (var member in unit.Members.Where(_ => answer.Parts.Length > 0))
            {
                drawn[member.Front] = drawn[member.Front].Plus(answer.Parts[member.Kind], member.Share);
            }
        }

        var silentFronts = silent.SelectMany(u => u.Members).Select(m => m.Front).ToHashSet();
        units = [.. units.Where(u => !silentFronts.Contains(u.Members[0].Front)), .. silent];
        SpaceVector Behind(BalanceUnit unit)
        {
            var emf = new SpaceVector();
            foreach (var m in orders.Orders)
            {
                var current = unit.Members.Aggregate(Complex.Zero, (sum, x) => sum + drawn[x.Front][m]);
                emf[m] = (unit.Front.Held.GainAt(m) * apart.Volts[unit.Front.Place][m]) + (unit.Front.Held.SeenAt(m) * current);
            }

            return emf;
        }

        return (
            [.. units.Select(u => silent.Contains(u) ? Behind(u) : known[u.Members[0].Front].Emf)],
            [.. units.Select(u => silent.Contains(u) ? null : known[u.Members[0].Front])]);
    }
}
