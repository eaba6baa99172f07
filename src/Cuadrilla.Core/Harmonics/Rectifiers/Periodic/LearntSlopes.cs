using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// How the end of a repeat angle moves with its start, made better by what each step on the way to an orbit has shown: Broyden's rank-one
/// corrections (C. T. Kelley, Iterative Methods for Linear and Nonlinear Equations, 7.1). They serve the next orbit, which lies near.
/// </summary>
/// <param name="slopes">What is known at first; left as it is.</param>
internal sealed class LearntSlopes(double[,] slopes)
{
    // A shorter step shows rounding.
    private const double ShortestStep = 1e-9;

    // What differs by more is a kink, not a slope.
    private const double MostApart = 0.5;

    private double[,]? learnt;
    private double[]? before;
    private double[]? step;

    /// <summary>The slopes as known now.</summary>
    public double[,] Slopes => learnt ?? slopes;

    /// <summary>Takes how far the end of a repeat angle is from its start.</summary>
    /// <param name="left">End less start.</param>
    /// <param name="learns">False: it is of other slopes than those before.</param>
    public void Note(double[] left, bool learns)
    {
        if (learns && step is not null && before is not null)
        {
            Learn(left, DenseRows.Dot(step, step));
        }

        (before, step) = (left, null);
    }

    /// <summary>Takes the step that is made next.</summary>
    public void Stepped(double[] next) => step = (double[])next.Clone();

    // The end moved by the step and by what the distance grew.
    private void Learn(double[] left, double square)
    {
        var n = step!.Length;
        var apart = new double[n];
        for (var r = 0; r < n; r++)
        {
            apart[r] = step[r] + left[r] - before![r];
            for (var c = 0; c < n; c++)
            {
                apart[r] -= Slopes[r, c] * step[c];
            }
        }

        if (square < ShortestStep * ShortestStep || !(DenseRows.Dot(apart, apart) < MostApart * MostApart * square))
        {
            return;
        }

        learnt ??= (double[,])slopes.Clone();
        for (var r = 0; r < n; r++)
        {
            for (var c = 0; c < n; c++)
            {
                learnt[r, c] += apart[r] * step[c] / square;
            }
        }
    }
}
