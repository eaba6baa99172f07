using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>
/// Finds the fixed point of a map that is dear to evaluate: the next guess is the mixture of the last few that would have the least residual
/// if the map were linear (D. G. Anderson, J. ACM 12, 1965).
/// </summary>
/// <param name="depth">How many earlier guesses are mixed.</param>
internal sealed class AndersonMixing(int depth)
{
    private readonly List<(double[] Guess, double[] Residual)> history = [];

    /// <summary>The next guess after a guess and its residual, map less guess.</summary>
    public double[] Next(double[] guess, double[] residual)
    {
        history.Add((guess, residual));
        if (history.Count > depth + 1)
        {
            history.RemoveAt(0);
        }

        var next = new double[guess.Length];
        for (var i = 0; i < next.Length; i++)
        {
            next[i] = guess[i] + residual[i];
        }

        var m = history.Count - 1;
        if (m == 0)
        {
            return next;
        }

        double Step(int j, int i) => history[j + 1].Residual[i] - history[j].Residual[i];
        var normal = new double[m, m];
        var right = new double[m];
        for (var a = 0; a < m; a++)
        {
            for (var i = 0; i < next.Length; i++)
            {
                right[a] += Step(a, i) * residual[i];
                for (var b = 0; b < m; b++)
                {
                    normal[a, b] += Step(a, i) * Step(b, i);
                }
            }
        }

        // A little of the identity keeps directions that hardly differ from being mixed by large factors.
        double trace = 0;
        for (var a = 0; a < m; a++)
        {
            trace += normal[a, a];
        }

        for (var a = 0; a < m; a++)
        {
            normal[a, a] += (1e-8 * trace) + 1e-300;
        }

        if (SmallLinearSystem.Solve(normal, right) is not { } weights)
        {
            return next;
        }

        for (var j = 0; j < m; j++)
        {
            for (var i = 0; i < next.Length; i++)
            {
                next[i] -= weights[j] * (history[j + 1].Guess[i] - history[j].Guess[i] + Step(j, i));
            }
        }

        return next;
    }
}
