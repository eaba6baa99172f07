using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Numerics;

/// <summary>Classical Runge–Kutta of fourth order for y′ = f(t, y). Holds the work space of one integration; not for several
/// threads.</summary>
/// <param name="size">Numbers of the state.</param>
internal sealed class Rk4(int size)
{
    // Where a law changes at an end of a step, the one inside the step holds: the ends are looked at from so far inside, s.
    private const double Hair = 1e-9;

    private readonly double[] k1 = new double[size];
    private readonly double[] k2 = new double[size];
    private readonly double[] k3 = new double[size];
    private readonly double[] k4 = new double[size];
    private readonly double[] at = new double[size];

    /// <summary>Slopes of a state at a time, written into the last argument.</summary>
    public delegate void Slopes(double time, ReadOnlySpan<double> state, Span<double> slopes);

    /// <summary>Moves a state over one step, in place.</summary>
    public void Step(Slopes of, double time, double step, double[] state)
    {
        Leaving.Ask();
        of(time + Math.Min(Hair, step / 2), state, k1);
        of(time + (step / 2), Moved(state, k1, step / 2), k2);
        of(time + (step / 2), Moved(state, k2, step / 2), k3);
        of(time + Math.Max(step - Hair, step / 2), Moved(state, k3, step), k4);
        for (var i = 0; i < state.Length; i++)
        {
            state[i] += step / 6 * (k1[i] + (2 * k2[i]) + (2 * k3[i]) + k4[i]);
        }
    }

    private double[] Moved(double[] state, double[] slopes, double step)
    {
        for (var i = 0; i < at.Length; i++)
        {
            at[i] = state[i] + (step * slopes[i]);
        }

        return at;
    }
}
