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
            foreach (var order in HarmonicEmf.Orders)
            {
                if (Background[order] is var v && v != default)
                {
                    loop += (v * Complex.FromPolarCoordinates(1, order * angleRad)).Imaginary;
                }
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

        if (Background.V5 != default)
        {
            Add(5, Background.V5, angleRad, ref a, ref b, ref c);
        }

        if (Background.V7 != default)
        {
            Add(7, Background.V7, angleRad, ref a, ref b, ref c);
        }

        if (Background.V11 != default)
        {
            Add(11, Background.V11, angleRad, ref a, ref b, ref c);
        }

        if (Background.V13 != default)
        {
            Add(13, Background.V13, angleRad, ref a, ref b, ref c);
        }
    }

    /// <summary>Current drawn from the link at a voltage.</summary>
    public double LoadCurrent(double voltagePu) =>
        LoadConductancePu > 0 ? LoadConductancePu * voltagePu : 1 / Math.Max(voltagePu, ClampVoltagePu);

    // sin h(θ − 120°k): the quadrature comes in with + where the order turns backwards.
    private static void Add(int order, Complex emf, double angleRad, ref double a, ref double b, ref double c)
    {
        var (sin, cos) = Math.SinCos(order * angleRad);
        var direct = (emf.Real * sin) + (emf.Imaginary * cos);
        var across = HalfSqrt3 * -HarmonicEmf.TurnOf(order) * ((emf.Real * cos) - (emf.Imaginary * sin));
        a += direct;
        b += (-0.5 * direct) + across;
        c += (-0.5 * direct) - across;
    }
}
