using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>
/// Whether a plant has a second state that repeats beside the one found: near a resonance the voltage that the front ends make may hold them in
/// another way of conducting. Looked for from the same fundamental with all harmonics reversed.
/// </summary>
internal static class SecondStates
{
    // So many times its inductance alone an impedance must be lifted.
    private const double LeastRise = 2;

    // The search ends a thousand times nearer.
    private const double SamePu = 1e-6;

    /// <summary>True where the network lifts some order at some place.</summary>
    public static bool AreLikely(OrderNetworks networks)
    {
        var first = Enumerable.Range(0, networks.Orders.Count).First(k => networks.Orders[k] == 1);
        for (var p = 0; p < networks.Nodes.Count; p++)
        {
            var plain = networks.Impedance(first, p, p).Magnitude;
            for (var k = 0; k < networks.Orders.Count; k++)
            {
                if (networks.Impedance(k, p, p).Magnitude > LeastRise * Math.Abs(networks.Orders[k]) * plain)
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>EMFs with their harmonics reversed.</summary>
    public static SpaceVector[] Mirrored(SpaceVector[] emfs) => Array.ConvertAll(emfs, emf =>
    {
        var mirrored = emf.Turned(0, 0, -1);
        mirrored[1] = emf[1];
        return mirrored;
    });

    /// <summary>What tells two ends of a search apart; null where they are the same, or the other is none.</summary>
    /// <param name="found">Where the search ended.</param>
    /// <param name="other">Where it ended from another start.</param>
    /// <param name="idOf">Key of a circuit's first front end.</param>
    public static SecondState? Of(BalanceResult found, BalanceResult other, Func<int, string> idOf)
    {
        if (!other.IsSettled || Array.Exists(other.Answers, a => a.Front is not RectifierResult.LineDraw))
        {
            return null;
        }

        var apart = found.Emfs.Select((emf, u) => (Unit: u, Apart: emf.Plus(other.Emfs[u], -1).Largest())).MaxBy(a => a.Apart.Size);
        return apart.Apart.Size > SamePu
            ? new SecondState(idOf(apart.Unit), apart.Apart.Size, apart.Apart.Order, Thdi(found.Answers[apart.Unit]), Thdi(other.Answers[apart.Unit]))
            : null;
    }

    private static double Thdi(FrontAnswer answer) => answer.Front is RectifierResult.LineDraw draw ? draw.WorstPhase.ThdiPct : double.NaN;
}
