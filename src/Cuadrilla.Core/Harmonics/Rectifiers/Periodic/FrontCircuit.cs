using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// A diode front end as a circuit in per unit: peak of the nominal EMF (single phase: of the loop's), the DC load, the angle of the
/// fundamental. Answers an EMF with the line current that repeats. Several six-pulse front ends on one source may be one circuit.
/// </summary>
internal sealed class FrontCircuit
{
    private const double Degree = Math.PI / 180;
    private const double ClampPu = 0.6 * 0.97;
    private const double LeastOwnPu = 2e-6;
    private readonly SwitchedCircuit made;
    private readonly Lazy<SwitchedCircuit> circuit;

    private FrontCircuit(SwitchedCircuit circuit, RectifierInput input, double voltageBaseV, double currentBaseA) =>
        (made, this.circuit, Input, VoltageBaseV, CurrentBaseA) = (circuit, new Lazy<SwitchedCircuit>(() => KnownCircuits.Same(circuit)),
            input, voltageBaseV, currentBaseA);

    /// <summary>What it was made from.</summary>
    public RectifierInput Input { get; }

    /// <summary>Voltage base, V.</summary>
    public double VoltageBaseV { get; }

    /// <summary>Current base, A.</summary>
    public double CurrentBaseA { get; }

    /// <summary>The circuit.</summary>
    public SwitchedCircuit Circuit => circuit.Value;

    /// <summary>Takes a circuit of the same numbers, with what is worked out for it; another is left alone.</summary>
    public void SameAs(SwitchedCircuit other)
    {
        if (!circuit.IsValueCreated && other.Key() == made.Key())
        {
            KnownCircuits.Same(other, isPreferred: true);
            _ = circuit.Value;
        }
    }

    /// <summary>Angles by which the secondaries of a transformer for several bridges are shifted, degrees.</summary>
    public static double[] ShiftsDeg(int bridges) => bridges switch
    {
        1 => [0],
        2 => [15, -15],
        3 => [20, 0, -20],
        _ => throw new ArgumentOutOfRangeException(nameof(bridges), bridges, "1 to 3 bridges."),
    };

    /// <summary>Builds it.</summary>
    /// <param name="input">Circuit in SI units, validated.</param>
    /// <param name="conductancePu">Conductance of a resistive load; 0: constant power.</param>
    /// <param name="bankOhm">Impedance between EMF and a bank without reactor at its terminals, and the bank's susceptance, S; null:
    /// none.</param>
    public static FrontCircuit Of(RectifierInput input, double conductancePu = 0, (Complex AheadOhm, double SusceptanceS)? bankOhm = null)
    {
        var isSingle = input.Kind == RectifierKind.SinglePhase;
        var volts = input.LineVoltageV * (isSingle ? Math.Sqrt(2) : Math.Sqrt(2.0 / 3));
        var amperes = input.DcLoadW / volts;
        var ohm = volts / amperes;
        var omega = 2 * Math.PI * input.FrequencyHz;
        var (sourceR, sourceX) = (input.SourceResistanceOhm / ohm, omega * input.SourceInductanceH / ohm);
        var shifts = ShiftsDeg(input.Bridges);
        Complex[] axes = isSingle
            ? [0.5, -0.5]
            : [.. shifts.SelectMany(s => Enumerable.Range(0, 3).Select(k => Complex.FromPolarCoordinates(1, ((120 * k) - s) * Degree)))];
        var isShared = input.Bridges > 1;
        var share = isSingle ? 0.5 : 1;
        double Leakage(int bridge) => omega * input.LeakageH / ohm * (1
            + (input.LeakageMismatchPu * (1 - (2.0 * bridge / (input.Bridges - 1)))));
        return new FrontCircuit(
            new SwitchedCircuit
            {
                PhasesOfBridge = isSingle ? 2 : 3,
                Axes = axes,
                CommonR = isShared ? sourceR : 0,
                CommonX = isShared ? sourceX : 0,
                OwnR = [.. axes.Select(_ => isShared ? 0 : share * sourceR)],
                OwnX = [.. axes.Select((_, x) => isShared ? Leakage(x / 3) : share * sourceX)],
                ChokeR = [.. shifts.Select(_ => input.DcChokeResistanceOhm / ohm)],
                ChokeX = [.. shifts.Select(_ => omega * input.DcChokeH / ohm)],
                Links = [new SwitchedLink(omega * input.DcCapacitanceF * ohm, conductancePu > 0 ? 0 : 1, conductancePu)],
                LinkOf = [.. shifts.Select(_ => 0)],
                ClampVoltage = ClampPu * (isSingle ? 1 : Math.Sqrt(3)),
                Bank = Bank(bankOhm, ohm),
            },
            input,
            volts,
            amperes);
    }

    /// <summary>Builds one of several six-pulse front ends behind an impedance that they share; the source of each is its own.</summary>
    /// <param name="inputs">Circuits in SI units, of one voltage and frequency.</param>
    /// <param name="sharedOhm">What they share, per phase.</param>
    /// <param name="bankOhm">As with one.</param>
    public static FrontCircuit OfSeveral(IReadOnlyList<RectifierInput> inputs, Complex sharedOhm,
        (Complex AheadOhm, double SusceptanceS)? bankOhm)
    {
        var volts = inputs[0].LineVoltageV * Math.Sqrt(2.0 / 3);
        var amperes = inputs.Sum(i => i.DcLoadW) / volts;
        var ohm = volts / amperes;
        var omega = 2 * Math.PI * inputs[0].FrequencyHz;
        Complex[] axes = [.. inputs.SelectMany(_ => Enumerable.Range(0, 3).Select(k => Complex.FromPolarCoordinates(1, 120 * k * Degree)))];
        double Own(int phase) => omega * inputs[phase / 3].SourceInductanceH / ohm;

        // Two that nothing keeps apart would share their current at will.
        double Least(int phase) => LeastOwnPu * volts * amperes / inputs[phase / 3].DcLoadW;
        return new FrontCircuit(
            new SwitchedCircuit
            {
                PhasesOfBridge = 3,
                Axes = axes,
                CommonR = sharedOhm.Real / ohm,
                CommonX = sharedOhm.Imaginary / ohm,
                OwnR = [.. axes.Select((_, x) => inputs[x / 3].SourceResistanceOhm / ohm)],
                OwnX = [.. axes.Select((_, x) => Math.Max(Own(x), Least(x)))],
                ChokeR = [.. inputs.Select(i => i.DcChokeResistanceOhm / ohm)],
                ChokeX = [.. inputs.Select(i => omega * i.DcChokeH / ohm)],
                Links = [.. inputs.Select(i => new SwitchedLink(omega * i.DcCapacitanceF * ohm, i.DcLoadW / (volts * amperes), 0))],
                LinkOf = [.. Enumerable.Range(0, inputs.Count)],
                ClampVoltage = ClampPu * Math.Sqrt(3),
                Bank = Bank(bankOhm, ohm),
            },
            inputs[0],
            volts,
            amperes);
    }

    private static BankAhead? Bank((Complex AheadOhm, double SusceptanceS)? bankOhm, double ohm) =>
        bankOhm is var (ahead, susceptance) ? new BankAhead(ahead.Real / ohm, ahead.Imaginary / ohm, susceptance * ohm) : null;

    /// <summary>The EMF that the input itself states, in the time of its own fundamental.</summary>
    public SpaceVector StatedEmf()
    {
        var emf = new SpaceVector();
        if (Input.Kind == RectifierKind.SinglePhase)
        {
            // A loop sees the real part: any vector with it will do.
            foreach (var h in HarmonicEmf.All)
            {
                emf.Set(h, Input.Background[h], Complex.Zero);
            }

            emf.Set(1, Complex.One, Complex.Zero);
            return emf;
        }

        emf.Set(1, Complex.One, Complex.FromPolarCoordinates(Input.UnbalancePu, Input.UnbalanceRad));
        foreach (var h in HarmonicEmf.All)
        {
            var isForward = HarmonicEmf.TurnOf(h) > 0;
            emf.Set(h, isForward ? Input.Background[h] : 0, isForward ? 0 : Input.Background[h]);
        }

        return emf;
    }

    /// <summary>Finds the orbit.</summary>
    /// <param name="emf">EMF in the time of its own fundamental, parts of the base.</param>
    /// <param name="near">Orbit of a circuit that hardly differs; null: none known.</param>
    /// <param name="patient">False: given up sooner.</param>
    /// <param name="precision">How near its start the orbit has to end, in parts of the usual.</param>
    public OrbitResult Orbit(SpaceVector emf, OrbitResult.Settled? near, bool patient = true, double precision = PeriodicOrbit.Finest) =>
        PeriodicOrbit.Solve(Circuit, emf, Math.Max(1, 1 / NoLoad(emf)), NoLoad(emf), near, patient, precision);

    /// <summary>What an orbit says, in SI units.</summary>
    /// <param name="orbit">The orbit.</param>
    /// <param name="emf">EMF it was found at.</param>
    /// <param name="spectrum">What it says of a link and the bridges that feed it.</param>
    /// <param name="link">Which link.</param>
    public RectifierResult.SteadyState Result(OrbitResult.Settled orbit, SpaceVector emf, OrbitSpectrum spectrum, int link = 0)
    {
        var unit = CurrentBaseA;
        var isSingle = Input.Kind == RectifierKind.SinglePhase;

        // A loop's current is all of it in one conductor and back in the other.
        var (count, amperes) = isSingle ? (1, 1.5 * unit) : (3, unit);
        var phases = new LineCurrent[count];
        for (var p = 0; p < count; p++)
        {
            var orders = new Complex[LineCurrent.HighestOrder];
            double square = 0;
            for (var h = 1; h <= SpaceVector.HighestOrder; h += 2)
            {
                orders[h - 1] = spectrum.Line.Phasor(h, p) * (amperes / Math.Sqrt(2));
                var volt = isSingle ? emf.Phasor(h, 0) : emf.Phasor(h, p);
                square += ((volt.Real * volt.Real) + (volt.Imaginary * volt.Imaginary)) / 2;
            }

            var rms = Math.Sqrt(spectrum.Squares[p]);
            phases[p] = new LineCurrent(
                orders,
                rms * amperes,
                spectrum.Peaks[p] * amperes,
                Math.Cos(orders[0].Phase - emf.Phasor(1, p).Phase),
                spectrum.Powers[p] / (Math.Sqrt(square) * rms));
        }

        var power = isSingle ? 1.5 * spectrum.Powers[0] : spectrum.Powers.Sum();
        return new RectifierResult.SteadyState(
            phases,
            power * VoltageBaseV * unit,
            spectrum.LinkMean * VoltageBaseV,
            (spectrum.LinkHigh - spectrum.LinkLow) * VoltageBaseV,
            spectrum.ChokeMean * unit,
            Math.Sqrt(spectrum.ChokeSquare) * unit,
            spectrum.ChokeLow > 0.005 * spectrum.ChokeMean,
            orbit.Multiplier,
            new OrbitWaveform(Circuit, orbit, amperes, VoltageBaseV, link));
    }

    private double NoLoad(SpaceVector emf) =>
        Input.Kind == RectifierKind.SinglePhase ? emf.Phasor(1, 0).Magnitude : Math.Sqrt(3) * (emf[1].Magnitude + emf[-1].Magnitude);
}
