namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>Random numbers that follow from a seed and a word, so that one more of them does not move the others.</summary>
/// <param name="seed">The seed.</param>
/// <param name="key">Word, as the key of a drive point.</param>
internal sealed class SeededNumbers(int seed, string key)
{
    private readonly Random random = new(Mixed(seed, key));

    /// <summary>A factor around 1, at most ± this, %.</summary>
    public double Around(double pct) => 1 + (pct / 100 * ((2 * random.NextDouble()) - 1));

    /// <summary>Evenly between two values.</summary>
    public double Between(double least, double most) => least + ((most - least) * random.NextDouble());

    /// <summary>One of so many, from 0.</summary>
    public int OneOf(int count) => random.Next(count);

    /// <summary>A factor of noise with this standard deviation, %; three of them at most.</summary>
    public double Noise(double pct)
    {
        // Box and Muller.
        var normal = Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        return 1 + (pct / 100 * Math.Clamp(normal, -3, 3));
    }

    // FNV-1a: the same on every machine, unlike the hash of a string.
    private static int Mixed(int seed, string key)
    {
        var hash = 2166136261u ^ (uint)seed;
        foreach (var c in key)
        {
            hash = (hash ^ c) * 16777619u;
        }

        return (int)hash;
    }
}
