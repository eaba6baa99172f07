using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Thyristors;

/// <summary>How a thyristor bridge runs at an EMF.</summary>
/// <param name="FiringAngleRad">Firing angle from natural commutation of the fundamental.</param>
/// <param name="OverlapsRad">Overlaps of the six commutations.</param>
/// <param name="Line">Line current as a space vector, in parts of the output current.</param>
/// <param name="Squares">Mean square of each phase's current, in parts of the output current squared.</param>
internal sealed record ThyristorState(double FiringAngleRad, double[] OverlapsRad, SpaceVector Line, double[] Squares);

/// <summary>
/// A line-commutated six-pulse thyristor bridge with smooth output current behind a reactance, at an EMF of any odd orders of both
/// sequences, per unit of the crest of the phase voltage and of the output current. It fires every sixth of a cycle, at the angle from
/// natural commutation of the fundamental at which the mean output voltage is the one asked for. While phase x takes over from y,
/// 2·X·di/dθ = e_x − e_y until i is the output current; in space vectors i' = w·Re(w*·e)/(3·X), w = a_x − a_y, and nothing moves between.
/// The orders follow from those stretches in closed form. Valid for overlaps below 60° and a current that does not pulse; resistance is
/// left out. See <c>docs/methods/thyristor.md</c>.
/// </summary>
internal sealed class ThyristorCircuit
{
    /// <summary>Commutations of a cycle.</summary>
    public const int Commutations = 6;

    private const int MostSteps = 60;
    private const double LeastX = 1e-7;
    private const double Same = 1e-13;
    private const double Third = 2 * Math.PI / 3;
    private const double Sixth = Math.PI / 3;

    // Which phase takes over from which, top and bottom in turn.
    private static readonly (int In, int Out)[] Pairs = [(0, 2), (2, 1), (1, 0), (0, 2), (2, 1), (1, 0)];
    private static readonly Complex[] Axes = [.. Enumerable.Range(0, 3).Select(k => Complex.FromPolarCoordinates(1, k * Third))];

    private readonly double x;
    private readonly double dcVoltage;

    /// <param name="reactancePu">Reactance ahead of the bridge, per phase, ≥ 0.</param>
    /// <param name="dcVoltagePu">Mean output voltage that it is driven to; negative when power returns.</param>
    public ThyristorCircuit(double reactancePu, double dcVoltagePu) => (x, dcVoltage) = (Math.Max(reactancePu, LeastX), dcVoltagePu);

    /// <summary>Solves it; null where it can't commutate.</summary>
    /// <param name="emf">EMF in the time of its fundamental: its part 1 is about −j.</param>
    public ThyristorState? At(SpaceVector emf)
    {
        // The angle of a sine is where the search begins; the regulator then takes what harmonics do to the mean.
        var noLoad = 3 * Math.Sqrt(3) / Math.PI * emf[1].Magnitude;
        var cosine = (dcVoltage + (3 * x / Math.PI)) / noLoad;
        if (!(Math.Abs(cosine) <= 1))
        {
            return null;
        }

        var (alpha, last, lastError) = (Math.Acos(cosine), double.NaN, double.NaN);
        for (var i = 0; i < MostSteps; i++)
        {
            if (Fired(alpha, emf) is not { } state)
            {
                return null;
            }

            var error = OutputVoltage(emf, state.Line) - dcVoltage;
            if (Math.Abs(error) < Same * noLoad || (i > 2 && alpha == last))
            {
                return alpha is >= 0 and <= Math.PI ? WithSquares(state, emf) : null;
            }

            var slope = i == 0 ? -noLoad * Math.Max(Math.Sin(alpha), 0.05) : (error - lastError) / (alpha - last);
            if (slope == 0 || !double.IsFinite(slope))
            {
                return WithSquares(state, emf);
            }

            (last, lastError) = (alpha, error);
            alpha -= Math.Clamp(error / slope, -0.2, 0.2);
        }

        return null;
    }

    /// <summary>Reactance ahead of the bridge, per phase.</summary>
    public double X => x;

    /// <summary>Where a commutation begins.</summary>
    public static double StartOf(int commutation, double alpha, SpaceVector emf) =>
        alpha + (Math.PI / 6) + (commutation * Sixth) - (Complex.ImaginaryOne * emf[1]).Phase;

    /// <summary>Axis of the phase that takes over less that of the one that gives up.</summary>
    public static Complex Between(int commutation) => Axes[Pairs[commutation].In] - Axes[Pairs[commutation].Out];

    /// <summary>Voltage that drives a commutation, at an angle.</summary>
    public static double Driving(Complex between, double angle, SpaceVector emf)
    {
        double sum = 0;
        foreach (var (m, part) in emf.Parts())
        {
            sum += (Complex.Conjugate(between) * part * Complex.FromPolarCoordinates(1, m * angle)).Real;
        }

        return sum;
    }

    /// <summary>∫ e^{jkθ} dθ over a commutation for the even k from −98 to 98.</summary>
    public static Complex[] Integrals(double start, double overlap)
    {
        var integrals = new Complex[(2 * SpaceVector.HighestOrder) + 1];
        for (var i = 0; i < integrals.Length; i++)
        {
            var k = 2 * (i - SpaceVector.HighestOrder);
            integrals[i] = k == 0
                ? overlap
                : (Complex.FromPolarCoordinates(1, k * (start + overlap)) - Complex.FromPolarCoordinates(1, k * start)) / new Complex(0, k);
        }

        return integrals;
    }

    // P = 3/2·Σ Re(e·i*): the reactance takes none, and the output current is one.
    private static double OutputVoltage(SpaceVector emf, SpaceVector line) =>
        1.5 * emf.Parts().Sum(p => (p.Part * Complex.Conjugate(line[p.M])).Real);

    private ThyristorState? Fired(double alpha, SpaceVector emf)
    {
        var line = new SpaceVector();
        var overlaps = new double[Commutations];
        var isSixfold = emf.IsSixfold;
        var (count, orders) = isSixfold ? (1, SpaceVector.Sixfold) : (Commutations, SpaceVector.All);
        for (var c = 0; c < count; c++)
        {
            var start = StartOf(c, alpha, emf);
            if (Overlap(c, start, emf) is not { } overlap)
            {
                return null;
            }

            overlaps[c] = overlap;
            AddOrders(Between(c), start, overlap, emf, orders, Commutations / count, line);
        }

        if (isSixfold)
        {
            Array.Fill(overlaps, overlaps[0]);
        }

        return new ThyristorState(alpha, overlaps, line, []);
    }

    // The bottom commutates with the other sign.
    private static int Sign(int commutation) => commutation % 2 == 0 ? 1 : -1;

    // Newton's method on the share of the current that is taken over, within what halving keeps.
    private double? Overlap(int commutation, double start, SpaceVector emf)
    {
        var (between, sign) = (Between(commutation), Sign(commutation));
        double Rate(double at) => sign * Driving(between, start + at, emf) / (2 * x);
        double Taken(double at) => sign * (Integral(between, start + at, emf) - Integral(between, start, emf)) / (2 * x);
        if (!(Rate(0) > 0) || Taken(Sixth) < 1)
        {
            return null;
        }

        var (low, high) = (0.0, Sixth);
        var at = Math.Min(1 / Rate(0), Sixth / 2);
        for (var i = 0; i < MostSteps; i++)
        {
            var miss = Taken(at) - 1;
            (low, high) = miss < 0 ? (at, high) : (low, at);
            var next = at - (miss / Rate(at));
            next = next > low && next < high ? next : (low + high) / 2;
            if (Math.Abs(next - at) < Same)
            {
                return next;
            }

            at = next;
        }

        return at;
    }

    private static double Integral(Complex between, double angle, SpaceVector emf)
    {
        double sum = 0;
        foreach (var (m, part) in emf.Parts())
        {
            sum += (Complex.Conjugate(between) * part * Complex.FromPolarCoordinates(1, m * angle) / new Complex(0, m)).Real;
        }

        return sum;
    }

    // i_n = 1/(2π·jn)·∫ i'·e^{−jnθ} dθ over the commutation.
    private void AddOrders(Complex between, double start, double overlap, SpaceVector emf, IReadOnlyList<int> orders, int times,
        SpaceVector line)
    {
        var integrals = Integrals(start, overlap);
        var parts = emf.Parts().ToArray();
        foreach (var n in orders)
        {
            var sum = Complex.Zero;
            foreach (var (m, part) in parts)
            {
                sum += Complex.Conjugate(between) * part * integrals[((m - n) / 2) + SpaceVector.HighestOrder];
                sum += between * Complex.Conjugate(part) * integrals[((-m - n) / 2) + SpaceVector.HighestOrder];
            }

            line[n] += times * between * sum / (6 * x * 2 * Math.PI * new Complex(0, n));
        }
    }

    // Each phase carries on top from its own commutation to the next, and at the bottom likewise.
    private ThyristorState WithSquares(ThyristorState state, SpaceVector emf)
    {
        var squares = new double[3];
        for (var c = 0; c < Commutations; c++)
        {
            // Two commutations later the same side is taken over.
            var (phase, next) = (Pairs[c].In, (c + 2) % Commutations);
            squares[phase] += Ramp(c, state, emf, rises: true) + Ramp(next, state, emf, rises: false) + Third - state.OverlapsRad[c];
        }

        return state with { Squares = Array.ConvertAll(squares, s => s / (2 * Math.PI)) };
    }

    // Square of a ramp.
    private double Ramp(int commutation, ThyristorState state, SpaceVector emf, bool rises)
    {
        const int panels = 32;
        var (start, overlap, between) = (StartOf(commutation, state.FiringAngleRad, emf), state.OverlapsRad[commutation],
            Between(commutation));
        var first = Integral(between, start, emf);
        double Square(double theta)
        {
            var taken = Sign(commutation) * (Integral(between, theta, emf) - first) / (2 * x);
            var value = rises ? taken : 1 - taken;
            return value * value;
        }

        return Quadrature.Simpson(Square, start, start + overlap, panels);
    }
}
