using System.Globalization;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Tests.Base;

/// <summary>Numbers in sentences are rounded as the runtime rounds them exactly, however they are written.</summary>
public sealed class TextTests
{
    [Theory]
    [InlineData(0, "0")]
    [InlineData(1234567, "1234567")]
    [InlineData(999.96, "1000")]
    [InlineData(1.005, "1.005")]
    [InlineData(-0.05, "-0.05")]
    [InlineData(12.30, "12.3")]
    [InlineData(0.00012356, "0.0001236")]
    [InlineData(1e-12, "0")]
    [InlineData(3e15, "3000000000000000")]
    [InlineData(double.NegativeInfinity, "−∞")]
    [InlineData(double.NaN, "NaN")]
    public void A_number_is_written_with_four_significant_digits(double value, string text) => Assert.Equal(text, Text.N(value));

    [Fact]
    public void Random_numbers_halves_and_their_neighbours_are_written_as_the_runtime_writes_them()
    {
        var random = new Random(7);
        for (var i = 0; i < 100_000; i++)
        {
            var significant = random.Next(1, 8);
            var value = (random.NextDouble() - 0.5) * Math.Pow(10, random.Next(-11, 13));
            Same(value, significant);

            // Halves of the last digit, which doubles hold exactly, just miss or just pass.
            var half = (random.Next(1, 20_000) + 0.5) * Math.Pow(10, random.Next(-6, 3));
            Same(half, significant);
            Same(Math.BitIncrement(half), significant);
            Same(Math.BitDecrement(half), significant);
        }
    }

    private static void Same(double value, int significant)
    {
        var whole = (int)Math.Floor(Math.Log10(Math.Abs(value))) + 1;
        var text = value.ToString("F" + Math.Clamp(significant - whole, 0, 9), CultureInfo.InvariantCulture);
        Assert.Equal(text.Contains('.', StringComparison.Ordinal) ? text.TrimEnd('0').TrimEnd('.') : text, Text.N(value, significant));
    }
}
