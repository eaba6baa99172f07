using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>
/// One six-pulse bridge, or two or three behind shifted secondaries, on one source and one link, per unit. Bases as for one bridge: peak
/// of the phase EMF, DC load of all, angle of the fundamental.
/// </summary>
internal sealed class CoupledCircuit
{
    private readonly HarmonicEmf background;
    private readonly Complex unbalance;

    public CoupledCircuit(RectifierInput input, IReadOnlyList<double> shiftRad, double loadConductancePu)
    {
        VoltageBaseV = Math.Sqrt(2.0 / 3) * input.LineVoltageV;
        CurrentBaseA = input.DcLoadW / VoltageBaseV;
        var ohm = VoltageBaseV / CurrentBaseA;
        var omega = 2 * Math.PI * input.FrequencyHz;
        Bridges = shiftRad.Count;
        SourceResistance = input.SourceResistanceOhm / ohm;
        SourceReactance = omega * input.SourceInductanceH / ohm;
        LeakageReactance = [.. Enumerable.Range(0, Bridges)
            .Select(k => omega * input.LeakageH / ohm * (1 + (input.LeakageMismatchPu * Place(k))))];
        ChokeReactance = omega * input.DcChokeH / ohm;
        ChokeResistance = input.DcChokeResistanceOhm / ohm;
        Susceptance = omega * input.DcCapacitanceF * ohm;
        LoadConductance = loadConductancePu;
        background = input.Background;
        unbalance = Complex.FromPolarCoordinates(input.UnbalancePu, input.UnbalanceRad);
        AxisCos = new double[3 * Bridges];
        AxisSin = new double[3 * Bridges];
        for (var x = 0; x < AxisCos.Length; x++)
        {
            // The axis of a phase on the primary: its own less the shift of its bridge.
            (AxisSin[x], AxisCos[x]) = Math.SinCos((x % 3 * 2 * Math.PI / 3) - shiftRad[x / 3]);
        }
    }

    public double VoltageBaseV { get; }

    public double CurrentBaseA { get; }

    public int Bridges { get; }

    public int Phases => 3 * Bridges;

    public double SourceResistance { get; }

    public double SourceReactance { get; }

    public double[] LeakageReactance { get; }

    public double ChokeReactance { get; }

    public double ChokeResistance { get; }

    public double Susceptance { get; }

    /// <summary>Conductance of a resistive load; 0 means constant power of one per unit.</summary>
    public double LoadConductance { get; }

    /// <summary>
    /// The angle after which the circuit repeats itself with the phases renamed: a sixth of a cycle where one bridge sees three phases
    /// alike, otherwise half a cycle.
    /// </summary>
    public double RepeatRad => IsSixfold ? Math.PI / 3 : Math.PI;

    /// <summary>True when a sixth of a cycle describes the whole.</summary>
    public bool IsSixfold => Bridges == 1 && unbalance == default;

    /// <summary>Axes of the phases on the primary.</summary>
    public double[] AxisCos { get; }

    public double[] AxisSin { get; }

    /// <summary>Below it a constant-power load draws no more: it acts only while a search starts far from the answer.</summary>
    public static double ClampVoltage => 0.6 * 0.97 * Math.Sqrt(3);

    /// <summary>Rectified EMF without load.</summary>
    public double NoLoadVoltage => Math.Sqrt(3) * (1 + unbalance.Magnitude);

    /// <summary>Cosine of the angle between the axes of two phases.</summary>
    public double Between(int x, int y) => (AxisCos[x] * AxisCos[y]) + (AxisSin[x] * AxisSin[y]);

    /// <summary>EMF as a space vector: the phase on the axis φ sees re·cos φ + im·sin φ.</summary>
    public void Emf(double angleRad, out double re, out double im)
    {
        var (sin, cos) = Math.SinCos(angleRad);
        (re, im) = (sin, -cos);
        if (unbalance != default)
        {
            re += (unbalance.Real * sin) + (unbalance.Imaginary * cos);
            im += (unbalance.Real * cos) - (unbalance.Imaginary * sin);
        }

        if (background.IsZero)
        {
            return;
        }

        // Multiples of the angle by products: sines are dear where they are asked for by the ten thousand.
        var one = new Complex(cos, sin);
        var two = one * one;
        var four = two * two;
        var five = four * one;
        var seven = five * two;
        var eleven = seven * four;
        Add(five * background.V5, -1, ref re, ref im);
        Add(seven * background.V7, 1, ref re, ref im);
        Add(eleven * background.V11, -1, ref re, ref im);
        Add(eleven * two * background.V13, 1, ref re, ref im);
    }

    /// <summary>Current drawn from the link.</summary>
    public double LoadCurrent(double voltage) => LoadConductance > 0 ? LoadConductance * voltage : 1 / Math.Max(voltage, ClampVoltage);

    private static void Add(Complex turned, int sense, ref double re, ref double im)
    {
        re += turned.Imaginary;
        im -= sense * turned.Real;
    }

    private double Place(int bridge) => Bridges == 1 ? 0 : 1 - (2.0 * bridge / (Bridges - 1));
}
