using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// Whether a plant has a second state that repeats beside the one found: near a resonance the voltage that the front ends make may hold
/// them in another way of conducting. Looked for from the same fundamental with all harmonics reversed.
/// </summary>
internal static class SecondStates
{
    // So many times its inductance alone an impedance must be lifted.
    private const double LeastRise = 2;

    // An ideal rectangular current (1/h of the fundamental) must leave so much voltage there: the way back from less is too weak to hold
    // another state.
    private const double LeastVoltagePu = 0.08;

    // Nearer ones differ in no verdict.
    private const double SamePu = 1e-3;

    /// <summary>True where the network lifts some order at some place, and the currents drawn can leave much of it there.</summary>
    /// <param name="networks">The network by order.</param>
    /// <param name="fundamentalPu">Fundamental currents of the front ends by place.</param>
    public static bool AreLikely(OrderNetworks networks, double[] fundamentalPu)
    {
        var first = Enumerable.Range(0, networks.Orders.Count).First(k => networks.Orders[k] == 1);
        for (var p = 0; p < networks.Nodes.Count; p++)
        {
            var plain = networks.Impedance(first, p, p).Magnitude;
            for (var k = 0; k < networks.Orders.Count; k++)
            {
                var order = Math.Abs(networks.Orders[k]);
                if (networks.Impedance(k, p, p).Magnitude > LeastRise * order * plain
                    && LeftPu(networks, k, p, fundamentalPu) > LeastVoltagePu)
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static double LeftPu(OrderNetworks networks, int k, int p, double[] fundamentalPu)
    {
        var left = 0.0;
        for (var q = 0; q < fundamentalPu.Length; q++)
        {
            left += networks.Impedance(k, p, q).Magnitude * fundamentalPu[q] / Math.Abs(networks.Orders[k]);
        }

        return left;
    }

    /// <summary>True where EMFs are so near that the state is the same.</summary>
    public static bool AreNear(SpaceVector[] emfs, SpaceVector[] found)
    {
        for (var u = 0; u < emfs.Length; u++)
        {
            if (emfs[u].Plus(found[u], -1).Largest().Size > SamePu)
            {
                return false;
            }
        }

        return true;
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
            ? new SecondState(idOf(apart.Unit), apart.Apart.Size, apart.Apart.Order, Thdi(found.Answers[apart.Unit]),
                Thdi(other.Answers[apart.Unit]))
            : null;
    }

    private static double Thdi(FrontAnswer answer) => answer.Front is RectifierResult.LineDraw draw ? draw.WorstPhase.ThdiPct : double.NaN;
}
