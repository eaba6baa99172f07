using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// The bridge in per unit, the key under which solutions are kept. Voltage base: peak of the phase EMF (single phase: of
/// the loop EMF); power base: the DC load; time: the angle of the fundamental in radians.
/// </summary>
/// <param name="PhaseCount">3, or 2 for a single-phase loop split into two equal halves.</param>
/// <param name="ResistancePu">Resistance per phase.</param>
/// <param name="ReactancePu">Reactance per phase at the fundamental.</param>
/// <param name="ChokeReactancePu">Reactance of the DC choke at the fundamental.</param>
/// <param name="ChokeResistancePu">Resistance of the DC choke.</param>
/// <param name="SusceptancePu">Susceptance of the link capacitor at the fundamental.</param>
/// <param name="LoadConductancePu">Conductance of a resistive load; 0 means constant power of one per unit.</param>
/// <param name="UnbalancePu">Negative-sequence EMF.</param>
/// <param name="Background">Harmonic EMFs.</param>
/// <param name="UnbalanceRad">Angle of the negative sequence in phase A.</param>
internal readonly record struct BridgeCircuit(
    int PhaseCount,
    double ResistancePu,
    double ReactancePu,
    double ChokeReactancePu,
    double ChokeResistancePu,
    double SusceptancePu,
    double LoadConductancePu,
    double UnbalancePu,
    HarmonicEmf Background,
    double UnbalanceRad = 0)
{
    private const double HalfSqrt3 = 0.86602540378443864676;

    private readonly bool hasBackground = !Background.IsZero;

    /// <summary>
    /// Voltage below which a constant-power load stops drawing more current. It acts only while a search starts far
    /// from the answer, never in a reported cycle.
    /// </summary>
    public double ClampVoltagePu => 0.6 * 0.97 * (PhaseCount == 3 ? Math.Sqrt(3) : 1);

    /// <summary>Peak of the rectified EMF without load.</summary>
    public double NoLoadVoltagePu => PhaseCount == 3 ? Math.Sqrt(3) * (1 + UnbalancePu) : 1;

    /// <summary>
    /// The angle after which the circuit repeats itself with the phases renamed: a sixth of a cycle when the three
    /// phases are alike, otherwise half a cycle (all orders present are odd).
    /// </summary>
    public double RepeatAngleRad => IsSixfold ? Math.PI / 3 : Math.PI;

    /// <summary>True when a sixth of a cycle describes the whole.</summary>
    public bool IsSixfold => PhaseCount == 3 && UnbalancePu == 0;

    /// <summary>EMFs of the phases at an angle.</summary>
    public void Emf(double angleRad, out double a, out double b, out double c)
    {
        var (sin, cos) = Math.SinCos(angleRad);
        if (PhaseCount == 2)
        {
            var loop = sin;
            if (hasBackground)
            {
                var (alongB, alongC) = (0.0, 0.0);
                AddBackground(sin, cos, ref loop, ref alongB, ref alongC);
            }

            a = 0.5 * loop;
            b = -a;
            c = 0;
            return;
        }

        var half = -0.5 * sin;
        var quadrature = HalfSqrt3 * cos;
        var inPhase = UnbalanceRad == 0 ? UnbalancePu : UnbalancePu * Math.Cos(UnbalanceRad);
        var direct = 1 + inPhase;
        var inverse = 1 - inPhase;
        a = direct * sin;
        b = (direct * half) - (inverse * quadrature);
        c = (direct * half) + (inverse * quadrature);
        if (UnbalanceRad != 0)
        {
            var across = UnbalancePu * Math.Sin(UnbalanceRad);
            a += across * cos;
            b -= across * ((0.5 * cos) + (HalfSqrt3 * sin));
            c -= across * ((0.5 * cos) - (HalfSqrt3 * sin));
        }

        if (hasBackground)
        {
            AddBackground(sin, cos, ref a, ref b, ref c);
        }
    }

    /// <summary>Current drawn from the link at a voltage.</summary>
    public double LoadCurrent(double voltagePu) =>
        LoadConductancePu > 0 ? LoadConductancePu * voltagePu : 1 / Math.Max(voltagePu, ClampVoltagePu);

    // Multiples of the angle by products: sines are dear where they are asked for by the ten thousand.
    private void AddBackground(double sin, double cos, ref double a, ref double b, ref double c)
    {
        var one = new Complex(cos, sin);
        var two = one * one;
        var four = two * two;
        var five = four * one;
        var seven = five * two;
        Add(five * Background.V5, -1, ref a, ref b, ref c);
        Add(seven * Background.V7, 1, ref a, ref b, ref c);
        if (Background.V11 != default || Background.V13 != default)
        {
            var eleven = seven * four;
            Add(eleven * Background.V11, -1, ref a, ref b, ref c);
            Add(eleven * two * Background.V13, 1, ref a, ref b, ref c);
        }
    }

    // Im of the turning phasor in phase A; in B and C 120° away on either side, by the sense in which the order turns.
    private static void Add(Complex turned, int sense, ref double a, ref double b, ref double c)
    {
        var across = HalfSqrt3 * sense * turned.Real;
        a += turned.Imaginary;
        b += (-0.5 * turned.Imaginary) - across;
        c += (-0.5 * turned.Imaginary) + across;
    }
}
