using Cuadrilla.Core.Base;

namespace Cuadrilla.RandomPlants;

/// <summary>Draws values from a seed: the same seed gives the same plant on every machine.</summary>
/// <param name="seed">The seed.</param>
/// <param name="missingPct">How often an entry that may stay open does, %.</param>
public sealed class Draw(int seed, double missingPct)
{
    private readonly Random random = new(seed);

    /// <summary>True so many times in a hundred.</summary>
    public bool Chance(double pct) => random.NextDouble() * 100 < pct;

    /// <summary>A whole number, both ends included.</summary>
    public int Whole(int from, int to) => random.Next(from, to + 1);

    /// <summary>Evenly between two values.</summary>
    public double Even(double from, double to) => from + ((to - from) * random.NextDouble());

    /// <summary>Evenly on a logarithmic scale, so that every size is as likely; rounded to four digits as people type.</summary>
    public double Size(double from, double to)
    {
        var value = Math.Exp(Even(Math.Log(from), Math.Log(to)));
        var step = Math.Pow(10, Math.Floor(Math.Log10(value)) - 3);
        return Math.Clamp(Math.Round(value / step) * step, from, to);
    }

    /// <summary>One of some.</summary>
    public T One<T>(IReadOnlyList<T> items)
    {
        ArgumentNullException.ThrowIfNull(items);
        return items[random.Next(items.Count)];
    }

    /// <summary>One of an enumeration.</summary>
    public T One<T>()
        where T : struct, Enum => One(Enum.GetValues<T>());

    /// <summary>The value, or now and then nothing.</summary>
    public Given Maybe(double value) => Chance(missingPct) ? Given.Unknown : Given.Of(value);

    /// <summary>An entry of any size, or now and then nothing.</summary>
    public Given MaybeSize(double from, double to) => Maybe(Size(from, to));

    /// <summary>An entry between two values, or now and then nothing.</summary>
    public Given MaybeEven(double from, double to) => Maybe(Even(from, to));
}
