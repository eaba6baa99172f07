using System.Numerics;

namespace Cuadrilla.Core.Plant.Network;

/// <summary>LU factors of a small dense complex matrix with partial pivoting (Doolittle).</summary>
internal sealed class ComplexLu
{
    private readonly Complex[,] lu;
    private readonly int[] rows;

    /// <summary>Factors a square matrix, which is overwritten.</summary>
    /// <exception cref="InvalidOperationException">The matrix is singular.</exception>
    public ComplexLu(Complex[,] matrix)
    {
        lu = matrix;
        var n = matrix.GetLength(0);
        rows = [.. Enumerable.Range(0, n)];
        for (var k = 0; k < n; k++)
        {
            Pivot(k, n);
            for (var i = k + 1; i < n; i++)
            {
                if (lu[i, k] == Complex.Zero)
                {
                    continue;
                }

                var factor = lu[i, k] / lu[k, k];
                lu[i, k] = factor;
                for (var j = k + 1; j < n; j++)
                {
                    lu[i, j] -= factor * lu[k, j];
                }
            }
        }
    }

    /// <summary>Solves for one right-hand side.</summary>
    public Complex[] Solve(IReadOnlyList<Complex> right)
    {
        var n = rows.Length;
        var x = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            x[i] = right[rows[i]];
            for (var j = 0; j < i; j++)
            {
                x[i] -= lu[i, j] * x[j];
            }
        }

        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
            {
                x[i] -= lu[i, j] * x[j];
            }

            x[i] /= lu[i, i];
        }

        return x;
    }

    /// <summary>Solves with the transposed matrix.</summary>
    public Complex[] SolveTransposed(IReadOnlyList<Complex> right)
    {
        var n = rows.Length;
        var x = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            x[i] = right[i];
            for (var j = 0; j < i; j++)
            {
                x[i] -= lu[j, i] * x[j];
            }

            x[i] /= lu[i, i];
        }

        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
            {
                x[i] -= lu[j, i] * x[j];
            }
        }

        var solved = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            solved[rows[i]] = x[i];
        }

        return solved;
    }

    private void Pivot(int k, int n)
    {
        var best = k;
        for (var i = k + 1; i < n; i++)
        {
            if (lu[i, k].Magnitude > lu[best, k].Magnitude)
            {
                best = i;
            }
        }

        if (lu[best, k].Magnitude < 1e-300)
        {
            throw new InvalidOperationException("The network has a node without any connection.");
        }

        if (best == k)
        {
            return;
        }

        (rows[k], rows[best]) = (rows[best], rows[k]);
        for (var j = 0; j < n; j++)
        {
            (lu[k, j], lu[best, j]) = (lu[best, j], lu[k, j]);
        }
    }
}
