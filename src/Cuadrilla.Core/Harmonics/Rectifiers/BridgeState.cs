using System.Runtime.Intrinsics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Phase currents, link voltage and choke current, per unit; also used for their derivatives. The third phase carries
/// what the other two leave, since the star point floats. Kept as one vector: the integrator adds such states by the
/// hundred thousand.
/// </summary>
internal readonly struct BridgeState
{
    private readonly Vector256<double> values;

    public BridgeState(double a, double b, double voltage, double choke) => values = Vector256.Create(a, b, voltage, choke);

    private BridgeState(Vector256<double> values) => this.values = values;

    public double A => values[0];

    public double B => values[1];

    public double C => -(values[0] + values[1]);

    public double Voltage => values[2];

    public double Choke => values[3];

    public double PositiveSum => Math.Max(A, 0) + Math.Max(B, 0) + Math.Max(C, 0);

    public BridgeState Plus(double factor, in BridgeState slope) =>
        new(Vector256.FusedMultiplyAdd(Vector256.Create(factor), slope.values, values));

    public BridgeState With(double voltage, double choke) => new(A, B, voltage, choke);

    /// <summary>Largest of the four absolute values.</summary>
    public double Largest()
    {
        var size = Vector256.Abs(values);
        return Math.Max(Math.Max(size[0], size[1]), Math.Max(size[2], size[3]));
    }

    /// <summary>Cubic Hermite value at fraction <paramref name="u"/> of a step.</summary>
    public static BridgeState Between(in BridgeStep step, double u)
    {
        var v = 1 - u;
        return default(BridgeState)
            .Plus(v * v * (1 + (2 * u)), step.Start)
            .Plus(u * u * (3 - (2 * u)), step.End)
            .Plus(step.WidthRad * u * v * v, step.StartSlope)
            .Plus(-step.WidthRad * u * u * v, step.EndSlope);
    }
}

/// <summary>One accepted step of the integration, enough to interpolate inside it.</summary>
internal struct BridgeStep
{
    public double StartAngleRad;
    public double WidthRad;
    public BridgeState Start;
    public BridgeState End;
    public BridgeState StartSlope;
    public BridgeState EndSlope;
}
