using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Harmonics.Thyristors;

/// <summary>
/// How the current of a thyristor bridge moves with its EMF, in closed form: the driving voltage itself, the end of each overlap, which
/// moves so that the current taken over stays the output current, and the firing angle, which moves so that the mean output voltage stays
/// what it is.
/// </summary>
internal static class ThyristorCoupling
{
    /// <summary>Of a state.</summary>
    /// <param name="circuit">The bridge.</param>
    /// <param name="state">How it runs.</param>
    /// <param name="emf">EMF that it runs at; no part beside the orders.</param>
    /// <param name="orders">Orders of rows and columns: those three equal phases know, or all.</param>
    public static OrderCoupling Of(ThyristorCircuit circuit, ThyristorState state, SpaceVector emf, IReadOnlyList<int> orders)
    {
        var isSixfold = orders.All(m => (m - 1) % 6 == 0);
        var count = isSixfold ? 1 : ThyristorCircuit.Commutations;
        var stretches = Enumerable.Range(0, count).Select(c => new Stretch(c, state, emf)).ToArray();
        Complex[] scales = [.. orders.Select(n => ThyristorCircuit.Commutations / count / (6 * Math.PI * circuit.X * new Complex(0, n)))];
        Complex[] later = [.. orders.Select((n, r) => scales[r] * stretches.Aggregate(Complex.Zero, (s, k) => s + k.Later(n)))];
        var laterVolts = orders.Select((n, r) => (emf[n] * Complex.Conjugate(later[r])).Real).Sum();
        var (direct, conjugate) = (new Complex[orders.Count, orders.Count], new Complex[orders.Count, orders.Count]);
        for (var c = 0; c < orders.Count; c++)
        {
            var (real, imaginary) = (Moved(orders[c], 1), Moved(orders[c], Complex.ImaginaryOne));
            for (var r = 0; r < orders.Count; r++)
            {
                direct[r, c] = real[r] - (Complex.ImaginaryOne * imaginary[r]);
                conjugate[r, c] = real[r] + (Complex.ImaginaryOne * imaginary[r]);
            }
        }

        return new OrderCoupling(orders, direct, conjugate);

        Complex[] Moved(int order, Complex by)
        {
            // The firing follows the angle of the fundamental.
            var shift = order == 1 ? -(by / emf[1]).Imaginary : 0;
            Complex[] moved = [.. orders.Select((n, r) =>
                scales[r] * stretches.Aggregate(Complex.Zero, (s, k) => s + k.Moved(n, order, by, shift)))];
            var volts = (by * Complex.Conjugate(state.Line[order])).Real
                + orders.Select((n, r) => (emf[n] * Complex.Conjugate(moved[r])).Real).Sum();
            for (var r = 0; r < moved.Length; r++)
            {
                moved[r] -= later[r] * (volts / laterVolts);
            }

            return moved;
        }
    }

    // A commutation: w·∫ f·e^{−jnθ} dθ with f = Re(w*·e) moves with f, its end and its start.
    private sealed class Stretch
    {
        private readonly Complex between;
        private readonly double start;
        private readonly double end;
        private readonly double atStart;
        private readonly double atEnd;
        private readonly Complex[] integrals;

        public Stretch(int commutation, ThyristorState state, SpaceVector emf)
        {
            between = ThyristorCircuit.Between(commutation);
            start = ThyristorCircuit.StartOf(commutation, state.FiringAngleRad, emf);
            end = start + state.OverlapsRad[commutation];
            (atStart, atEnd) = (ThyristorCircuit.Driving(between, start, emf), ThyristorCircuit.Driving(between, end, emf));
            integrals = ThyristorCircuit.Integrals(start, end - start);
        }

        /// <summary>By a firing that comes later.</summary>
        public Complex Later(int n) => between * atStart * (Turn(-n, end) - Turn(-n, start));

        /// <summary>By a change of one order, with a start that is shifted.</summary>
        public Complex Moved(int n, int order, Complex by, double shift)
        {
            var (forward, backward) = (Complex.Conjugate(between) * by, between * Complex.Conjugate(by));
            var inside = ((forward * integrals[((order - n) / 2) + SpaceVector.HighestOrder])
                + (backward * integrals[((-order - n) / 2) + SpaceVector.HighestOrder])) / 2;
            var more = (forward * (Turn(order, end) - Turn(order, start)) / new Complex(0, order)).Real;

            // f(end)·δend, so that what is taken over stays.
            var atItsEnd = (atStart * shift) - more;
            return between * (inside + (Turn(-n, end) * atItsEnd) - (Turn(-n, start) * atStart * shift));
        }

        private static Complex Turn(int order, double angle) => Complex.FromPolarCoordinates(1, order * angle);
    }
}
