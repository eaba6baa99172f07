using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// A space vector that repeats with alternating sign each half cycle: x(θ) = Σ x_m·e^{jmθ} over the odd m from −49 to 49. What a negative m
/// stands for turns against the fundamental. Even orders do not exist; zero sequence is not part of it.
/// </summary>
internal readonly struct SpaceVector
{
    /// <summary>Highest order, with either sign.</summary>
    public const int HighestOrder = 49;

    /// <summary>Number of parts.</summary>
    public const int Count = HighestOrder + 1;

    private readonly Complex[] parts;

    /// <summary>Nothing yet.</summary>
    public SpaceVector() => parts = new Complex[Count];

    private SpaceVector(Complex[] parts) => this.parts = parts;

    /// <summary>Part of an odd order, −49 to 49.</summary>
    public Complex this[int m]
    {
        get => parts[Index(m)];
        set => parts[Index(m)] = value;
    }

    /// <summary>Place of an order among the parts.</summary>
    public static int Index(int m) => (m + HighestOrder) >> 1;

    /// <summary>Order at a place.</summary>
    public static int OrderAt(int index) => (2 * index) - HighestOrder;

    /// <summary>Orders that three equal phases know: 1, −5, 7, −11 … by ascending m.</summary>
    public static IReadOnlyList<int> Sixfold { get; } = [.. Enumerable.Range(-8, 17).Select(k => (6 * k) + 1)];

    /// <summary>All odd orders.</summary>
    public static IReadOnlyList<int> All { get; } = [.. Enumerable.Range(0, Count).Select(OrderAt)];

    /// <summary>True when nothing but <see cref="Sixfold"/> is there.</summary>
    public bool IsSixfold => Parts().All(p => (p.M - 1) % 6 == 0);

    /// <summary>Parts that are not zero.</summary>
    public IEnumerable<(int M, Complex Part)> Parts()
    {
        for (var i = 0; i < Count; i++)
        {
            if (parts[i] != Complex.Zero)
            {
                yield return (OrderAt(i), parts[i]);
            }
        }
    }

    /// <summary>The same in a time that runs ahead by an angle, turned by another: x_m·e^{j(turn − m·ahead)}, times a factor.</summary>
    public SpaceVector Turned(double turnRad, double aheadRad, double factor = 1)
    {
        var turned = new Complex[Count];
        for (var i = 0; i < Count; i++)
        {
            turned[i] = parts[i] == Complex.Zero
                ? Complex.Zero
                : parts[i] * Complex.FromPolarCoordinates(factor, turnRad - (OrderAt(i) * aheadRad));
        }

        return new SpaceVector(turned);
    }

    /// <summary>True for one that was never made.</summary>
    public bool IsEmpty => parts is null;

    /// <summary>This and a multiple of another.</summary>
    public SpaceVector Plus(SpaceVector other, double factor)
    {
        var sum = (Complex[])parts.Clone();
        for (var i = 0; i < Count; i++)
        {
            sum[i] += factor * other.parts[i];
        }

        return new SpaceVector(sum);
    }

    /// <summary>Sum of the squares of its parts.</summary>
    public double Square()
    {
        double square = 0;
        foreach (var part in parts)
        {
            square += (part.Real * part.Real) + (part.Imaginary * part.Imaginary);
        }

        return square;
    }

    /// <summary>Product with another, real and imaginary parts as numbers of their own.</summary>
    public double Dot(SpaceVector other)
    {
        double sum = 0;
        for (var i = 0; i < parts.Length; i++)
        {
            sum += (parts[i].Real * other.parts[i].Real) + (parts[i].Imaginary * other.parts[i].Imaginary);
        }

        return sum;
    }

    /// <summary>Largest size of a part, and its order.</summary>
    public (double Size, int Order) Largest()
    {
        var (size, order) = (0.0, 1);
        for (var i = 0; i < Count; i++)
        {
            (size, order) = parts[i].Magnitude > size ? (parts[i].Magnitude, OrderAt(i)) : (size, order);
        }

        return (size, order);
    }

    /// <summary>A copy that can be changed by itself.</summary>
    public SpaceVector Copy() => new((Complex[])parts.Clone());

    /// <summary>Phasor (sines, same scale) of an order in a phase: 0, 1 or 2.</summary>
    public Complex Phasor(int order, int phase)
    {
        var lag = Complex.FromPolarCoordinates(1, -phase * 2 * Math.PI / 3);
        return Complex.ImaginaryOne * ((this[order] * lag) + Complex.Conjugate(this[-order] * lag));
    }

    /// <summary>From the phasors (sines) of the sequences of each odd order.</summary>
    public void Set(int order, Complex positive, Complex negative)
    {
        this[order] = -Complex.ImaginaryOne * positive;
        this[-order] = Complex.ImaginaryOne * Complex.Conjugate(negative);
    }
}
