using System.Runtime.CompilerServices;
using System.Runtime.Intrinsics;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>
/// Up to nine phase currents and the link voltage, then two places for the EMF of the moment: twelve numbers kept as three vectors, because
/// the integrator adds and multiplies such states by the hundred thousand. Also used for slopes.
/// </summary>
internal struct CoupledState
{
    public const int Length = 12;

    private Vector256<double> first;
    private Vector256<double> second;
    private Vector256<double> third;

    private CoupledState(Vector256<double> first, Vector256<double> second, Vector256<double> third) =>
        (this.first, this.second, this.third) = (first, second, third);

    public double this[int index]
    {
        readonly get => Unsafe.Add(ref Unsafe.As<CoupledState, double>(ref Unsafe.AsRef(in this)), index);
        set => Unsafe.Add(ref Unsafe.As<CoupledState, double>(ref this), index) = value;
    }

    public readonly CoupledState Plus(double factor, in CoupledState slope)
    {
        var f = Vector256.Create(factor);
        return new(first + (f * slope.first), second + (f * slope.second), third + (f * slope.third));
    }

    /// <summary>Matrix, column by column, times this state.</summary>
    public readonly CoupledState Through(CoupledState[] columns)
    {
        Vector256<double> a = default, b = default, c = default;
        for (var i = 0; i < columns.Length; i++)
        {
            ref readonly var column = ref columns[i];
            var f = Vector256.Create(this[i]);
            a += f * column.first;
            b += f * column.second;
            c += f * column.third;
        }

        return new(a, b, c);
    }

    /// <summary>Largest of the absolute values among the first so many.</summary>
    public readonly double Largest(int count)
    {
        var worst = 0.0;
        for (var i = 0; i < count; i++)
        {
            worst = Math.Max(worst, Math.Abs(this[i]));
        }

        return worst;
    }

    /// <summary>Cubic Hermite value at a fraction of a step.</summary>
    public static CoupledState Between(in CoupledState start, in CoupledState startSlope, in CoupledState end, in CoupledState endSlope,
        double width, double u)
    {
        var v = 1 - u;
        return default(CoupledState)
            .Plus(v * v * (1 + (2 * u)), start)
            .Plus(u * u * (3 - (2 * u)), end)
            .Plus(width * u * v * v, startSlope)
            .Plus(-width * u * u * v, endSlope);
    }
}
