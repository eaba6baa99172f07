using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Coupled;

/// <summary>
/// Two or three six-pulse bridges behind shifted secondaries on one source and one link, per unit. Bases as for one bridge: peak of the
/// phase EMF, DC load of all, angle of the fundamental.
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
        LeakageReactance = [.. Enumerable.Range(0, Bridges).Select(k => omega * input.LeakageH / ohm * (1 + (input.LeakageMismatchPu * Place(k))))];
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

        Add(5, background.V5, angleRad, ref re, ref im);
        Add(7, background.V7, angleRad, ref re, ref im);
        Add(11, background.V11, angleRad, ref re, ref im);
        Add(13, background.V13, angleRad, ref re, ref im);
    }

    /// <summary>Current drawn from the link.</summary>
    public double LoadCurrent(double voltage) => LoadConductance > 0 ? LoadConductance * voltage : 1 / Math.Max(voltage, ClampVoltage);

    private static void Add(int order, Complex emf, double angleRad, ref double re, ref double im)
    {
        if (emf == default)
        {
            return;
        }

        var (sin, cos) = Math.SinCos(order * angleRad);
        re += (emf.Real * sin) + (emf.Imaginary * cos);
        im -= HarmonicEmf.TurnOf(order) * ((emf.Real * cos) - (emf.Imaginary * sin));
    }

    private double Place(int bridge) => Bridges == 1 ? 0 : 1 - (2.0 * bridge / (Bridges - 1));
}
