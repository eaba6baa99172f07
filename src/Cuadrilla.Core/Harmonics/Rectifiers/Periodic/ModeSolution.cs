using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// What small changes do while the same diodes conduct, the load taken at the mean link voltage: dx/dθ = A·x + B·e^{jmθ} for each order
/// m, with Π_m = (jm − A)⁻¹·B and, for the Fourier integrals, λ_m = line·(A − jm)⁻¹. A negative order's are those of the positive one,
/// the line's axes apart.
/// </summary>
internal sealed class ModeSolution
{
    private readonly double[] loadSlopes;
    private readonly int[] orders;

    /// <param name="circuit">The bridges.</param>
    /// <param name="mode">Which diodes conduct.</param>
    /// <param name="loadSlopes">How the current of each load moves with its voltage.</param>
    /// <param name="line">How the line current follows from the state.</param>
    /// <param name="orders">Orders.</param>
    public ModeSolution(SwitchedCircuit circuit, SwitchedMode mode, double[] loadSlopes, Complex[] line, int[] orders)
    {
        (Size, Line, this.loadSlopes, this.orders) = (circuit.Size, line, loadSlopes, orders);
        A = new double[Size * Size];
        for (var r = 0; r < Size; r++)
        {
            for (var c = 0; c < Size; c++)
            {
                A[(r * Size) + c] = mode.Equations[r, c];
            }
        }

        for (var l = 0; l < loadSlopes.Length; l++)
        {
            A[(circuit.Link(l) * Size) + circuit.Link(l)] -= loadSlopes[l] / circuit.Links[l].Susceptance;
        }

        Particular = new ComplexRows(orders.Length, Size);
        Lefts = new ComplexRows(orders.Length, Size);
        var drive = new Complex[Size];
        for (var r = 0; r < Size; r++)
        {
            drive[r] = new Complex(mode.Equations[r, Size], -mode.Equations[r, Size + 1]);
        }

        var matrix = new Complex[Size, Size];
        for (var m = 0; m < orders.Length; m++)
        {
            for (var r = 0; r < Size; r++)
            {
                for (var c = 0; c < Size; c++)
                {
                    matrix[r, c] = new Complex(-A[(r * Size) + c], r == c ? orders[m] : 0);
                }
            }

            var lu = DenseLu.Of(matrix);
            var (particular, left) = (lu.Solve(drive), lu.SolveTransposed(line));
            for (var c = 0; c < Size; c++)
            {
                (Particular[m, c], Lefts[m, c]) = (particular[c], -left[c]);
            }
        }
    }

    /// <summary>True when it is of these slopes and orders.</summary>
    public bool IsOf(double[] slopes, int[] ordersAsked) =>
        loadSlopes.AsSpan().SequenceEqual(slopes) && orders.AsSpan().SequenceEqual(ordersAsked);

    /// <summary>Numbers of a state.</summary>
    public int Size { get; }

    /// <summary>How the line current follows from the state.</summary>
    public Complex[] Line { get; }

    /// <summary>A, row by row.</summary>
    public double[] A { get; }

    /// <summary>Π_m, a row for each order.</summary>
    public ComplexRows Particular { get; }

    /// <summary>λ_m, a row for each order.</summary>
    public ComplexRows Lefts { get; }
}
