using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>Complex numbers in rows, real and imaginary parts apart.</summary>
internal sealed class ComplexRows
{
    private readonly int width;
    private readonly double[] re;
    private readonly double[] im;

    /// <summary>Zeros.</summary>
    public ComplexRows(int rows, int width)
        : this(width, new double[rows * width], new double[rows * width])
    {
    }

    private ComplexRows(int width, double[] re, double[] im) => (this.width, this.re, this.im) = (width, re, im);

    /// <summary>One of them.</summary>
    public Complex this[int row, int column]
    {
        get => new(re[(row * width) + column], im[(row * width) + column]);
        set => (re[(row * width) + column], im[(row * width) + column]) = (value.Real, value.Imaginary);
    }

    /// <summary>Real parts of a row.</summary>
    public Span<double> Re(int row) => re.AsSpan(row * width, width);

    /// <summary>Imaginary parts of a row.</summary>
    public Span<double> Im(int row) => im.AsSpan(row * width, width);

    /// <summary>The same numbers anew.</summary>
    public ComplexRows Copy() => new(width, (double[])re.Clone(), (double[])im.Clone());
}
