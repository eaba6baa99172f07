using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>Front ends solved at some EMFs, and what is left between them and the network.</summary>
internal sealed class BalancePoint
{
    /// <param name="emfs">EMF of each front end in the frame of the source, per unit.</param>
    /// <param name="answers">What each answers to it.</param>
    /// <param name="residuals">EMFs as the network has them for these answers, less those they were solved at.</param>
    /// <param name="volts">Voltages of the network's places.</param>
    /// <param name="filterParts">Parts of what is asked of each central filter that its current suffices for.</param>
    /// <param name="doubtPu">What the residuals may be wrong by, parts of nominal voltage.</param>
    public BalancePoint(SpaceVector[] emfs, FrontAnswer[] answers, SpaceVector[] residuals, SpaceVector[] volts, double[] filterParts,
        double doubtPu = 0)
    {
        (Emfs, Answers, Residuals, Volts, FilterParts) = (emfs, answers, residuals, volts, filterParts);
        (Order, Worst) = (1, -1);
        for (var i = 0; i < residuals.Length; i++)
        {
            var (size, order) = residuals[i].Largest();
            (ResidualPu, Order, Worst) = !(size <= ResidualPu) ? (size, order, i) : (ResidualPu, Order, Worst);
        }

        ResidualPu += doubtPu;
        Silent = answers.Count(a => a.Front is RectifierResult.NoSteadyState);
    }

    public SpaceVector[] Emfs { get; }

    public FrontAnswer[] Answers { get; }

    public SpaceVector[] Residuals { get; }

    public SpaceVector[] Volts { get; }

    public double[] FilterParts { get; }

    /// <summary>Largest residual of an order, parts of nominal voltage.</summary>
    public double ResidualPu { get; }

    /// <summary>Where it is; negative: turning backwards.</summary>
    public int Order { get; }

    /// <summary>Front end of the largest residual; −1: none.</summary>
    public int Worst { get; }

    /// <summary>Front ends without a current that repeats.</summary>
    public int Silent { get; }

    public bool IsSettled => ResidualPu <= BalanceResult.LimitPu;
}
