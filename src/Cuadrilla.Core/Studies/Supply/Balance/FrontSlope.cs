using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// How the current of a front end moves with its EMF, real parts and imaginary parts of the orders one after the other: a matrix of twice
/// as many rows as orders, row by row.
/// </summary>
internal static class FrontSlope
{
    /// <summary>Of a circuit, from the matrix of one like it.</summary>
    /// <param name="front">The front end.</param>
    /// <param name="coupling">Matrix of a circuit alike, in the time of its own voltage.</param>
    /// <param name="emf">EMF in the frame of the source.</param>
    /// <param name="orders">Orders of rows and columns.</param>
    public static double[] Of(BalanceFront front, OrderCoupling coupling, SpaceVector emf, IReadOnlyList<int> orders)
    {
        var n = orders.Count;
        var slope = new double[4 * n * n];
        var at = new int[n];
        for (var k = 0; k < n; k++)
        {
            at[k] = IndexOf(coupling.Orders, orders[k]);
        }

        var (turn, ahead) = front.FrameOf(emf);
        var scale = front.CurrentPu / 2;
        Complex[] turns = [.. orders.Select(m => Complex.FromPolarCoordinates(1, m * ahead))];
        var back = Complex.FromPolarCoordinates(scale, -2 * turn);
        for (var r = 0; r < n; r++)
        {
            for (var c = 0; c < n; c++)
            {
                if (at[r] < 0 || at[c] < 0)
                {
                    continue;
                }

                Write(
                    slope, n, r, c,
                    coupling.Direct[at[r], at[c]] * (scale * turns[r] * Complex.Conjugate(turns[c])),
                    coupling.Conjugate[at[r], at[c]] * (back * turns[r] * turns[c]));
            }
        }

        return slope;
    }

    /// <summary>Of a front end of constant power whose orders turn with its voltage and keep their sizes.</summary>
    public static double[] OfConstantPower(SpaceVector current, SpaceVector emf, IReadOnlyList<int> orders)
    {
        var n = orders.Count;
        var slope = new double[4 * n * n];
        var column = IndexOf(orders, 1);
        for (var r = 0; r < n; r++)
        {
            var m = orders[r];
            var direct = m == 1 ? Complex.Zero : m * current[m] / (2 * emf[1]);
            var conjugate = m == 1 ? -current[1] / Complex.Conjugate(emf[1]) : -m * current[m] / (2 * Complex.Conjugate(emf[1]));
            Write(slope, n, r, column, direct, conjugate);
        }

        return slope;
    }

    // δi = P·δs + Q·δs* in real and imaginary parts.
    private static void Write(double[] slope, int n, int r, int c, Complex direct, Complex conjugate)
    {
        Complex sum = direct + conjugate, difference = direct - conjugate;
        slope[(((2 * r) + 0) * 2 * n) + (2 * c)] = sum.Real;
        slope[(((2 * r) + 1) * 2 * n) + (2 * c)] = sum.Imaginary;
        slope[(((2 * r) + 0) * 2 * n) + (2 * c) + 1] = -difference.Imaginary;
        slope[(((2 * r) + 1) * 2 * n) + (2 * c) + 1] = difference.Real;
    }

    private static int IndexOf(IReadOnlyList<int> orders, int order)
    {
        for (var i = 0; i < orders.Count; i++)
        {
            if (orders[i] == order)
            {
                return i;
            }
        }

        return -1;
    }
}
