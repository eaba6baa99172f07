namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// How the state at the start of an orbit's section moves with the EMF: δx = Re Σ_m x_m·δs_m, so that the orbit at an EMF near is begun
/// next to where it begins, and going round once proves it.
/// </summary>
/// <param name="Orders">Orders m of the EMF.</param>
/// <param name="ConductionKey">Which diodes conduct at the start; with others the free numbers are others.</param>
/// <param name="Rows">A row for each free number of the state: real and imaginary parts of x_m, one order after the other.</param>
internal sealed record StartSlopes(IReadOnlyList<int> Orders, long ConductionKey, double[,] Rows)
{
    /// <summary>How far the free numbers move.</summary>
    /// <param name="change">Change of the EMF, in the time of its own voltage.</param>
    public double[] Step(SpaceVector change)
    {
        var step = new double[Rows.GetLength(0)];
        for (var r = 0; r < step.Length; r++)
        {
            for (var m = 0; m < Orders.Count; m++)
            {
                var by = change[Orders[m]];
                step[r] += (Rows[r, 2 * m] * by.Real) - (Rows[r, (2 * m) + 1] * by.Imaginary);
            }
        }

        return step;
    }

    /// <summary>Made right along a change by what it was wrong by there.</summary>
    /// <param name="change">Change of the EMF.</param>
    /// <param name="wrong">How much further the free numbers moved.</param>
    public StartSlopes Learnt(SpaceVector change, double[] wrong)
    {
        var rows = (double[,])Rows.Clone();
        var square = Orders.Sum(m => (change[m].Real * change[m].Real) + (change[m].Imaginary * change[m].Imaginary));
        for (var r = 0; r < wrong.Length; r++)
        {
            for (var m = 0; m < Orders.Count; m++)
            {
                var by = change[Orders[m]] * (wrong[r] / square);
                rows[r, 2 * m] += by.Real;
                rows[r, (2 * m) + 1] -= by.Imaginary;
            }
        }

        return this with { Rows = rows };
    }
}
