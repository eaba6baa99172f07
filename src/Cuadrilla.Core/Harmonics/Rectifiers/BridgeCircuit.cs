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
/// <param name="Background5Pu">Fifth-order EMF.</param>
/// <param name="Background7Pu">Seventh-order EMF.</param>
/// <param name="UnbalanceRad">Angle of the negative sequence in phase A.</param>
/// <param name="BackgroundRad">Angle of both background orders.</param>
internal readonly record struct BridgeCircuit(
    int PhaseCount,
    double ResistancePu,
    double ReactancePu,
    double ChokeReactancePu,
    double ChokeResistancePu,
    double SusceptancePu,
    double LoadConductancePu,
    double UnbalancePu,
    double Background5Pu,
    double Background7Pu,
    double UnbalanceRad = 0,
    double BackgroundRad = 0)
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
            if (Background5Pu != 0 || Background7Pu != 0)
            {
                loop += (Background5Pu * Math.Sin((5 * angleRad) + BackgroundRad)) + (Background7Pu * Math.Sin((7 * angleRad) + BackgroundRad));
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

        if (Background5Pu != 0)
        {
            Add(5, Background5Pu, angleRad, +1, ref a, ref b, ref c);
        }

        if (Background7Pu != 0)
        {
            Add(7, Background7Pu, angleRad, -1, ref a, ref b, ref c);
        }
    }

    /// <summary>Current drawn from the link at a voltage.</summary>
    public double LoadCurrent(double voltagePu) =>
        LoadConductancePu > 0 ? LoadConductancePu * voltagePu : 1 / Math.Max(voltagePu, ClampVoltagePu);

    // sin h(θ − 120°k): the 5th turns backwards (sign +1 on the quadrature of phase B), the 7th forwards (−1).
    private void Add(int order, double sizePu, double angleRad, int sign, ref double a, ref double b, ref double c)
    {
        var (sin, cos) = Math.SinCos((order * angleRad) + BackgroundRad);
        a += sizePu * sin;
        b += sizePu * ((-0.5 * sin) + (sign * HalfSqrt3 * cos));
        c += sizePu * ((-0.5 * sin) - (sign * HalfSqrt3 * cos));
    }
}
