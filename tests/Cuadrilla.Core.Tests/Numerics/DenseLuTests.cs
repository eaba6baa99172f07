using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Numerics;

/// <summary>Dense factors, real and complex by the same text: products come back, transposes and many columns too; singular ones are
/// noticed at any scale.</summary>
public sealed class DenseLuTests
{
    public static TheoryData<int> Sizes => [1, 2, 3, 5, 8, 17, 40, 101];

    [Theory]
    [MemberData(nameof(Sizes))]
    public void What_is_solved_gives_back_the_right_side(int n)
    {
        var random = new Random(n);
        double Draw() => random.NextDouble() - 0.5;
        Check(n, Draw, (v, w) => Math.Abs(v - w));
        Check(n, () => new Complex(Draw(), Draw()), (v, w) => (v - w).Magnitude);
    }

    // Each row with its own unit, twelve decades apart.
    [Fact]
    public void Rows_of_different_units_are_solved_alike()
    {
        double[] matrix = [2e-9, 1e-9, 0, 1e6, 3e6, 1e6, 0, 1, 4];
        double[] x = [1, -2, 3];
        double[] right = [0, 1e6 - 6e6 + 3e6, -2 + 12];
        Assert.All(DenseLu<double>.Of(matrix, 3).Solve(right).Zip(x), p => Assert.Equal(p.Second, p.First, 12));
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(1e-200)]
    [InlineData(1e200)]
    public void A_singular_matrix_is_noticed_at_any_scale(double scale)
    {
        double[] real = [1 * scale, 2 * scale, 3 * scale, 4 * scale, 5 * scale, 6 * scale, 7 * scale, 8 * scale, 9 * scale];
        Assert.Null(DenseLu<double>.OrNull([.. real], 3));
        Assert.Null(DenseLu<Complex>.OrNull([.. real.Select(v => new Complex(v, -v))], 3));
        Assert.Throws<SingularMatrixException>(() => DenseLu<double>.Of([0], 1));
        Assert.Null(DenseLu<double>.OrNull([double.NaN, 1, 1, 2], 2));
    }

    private static void Check<T>(int n, Func<T> draw, Func<T, T, double> apart)
        where T : struct, INumberBase<T>
    {
        T[] matrix = [.. Enumerable.Range(0, n * n).Select(_ => draw())];
        T[] right = [.. Enumerable.Range(0, n).Select(_ => draw())];
        var factors = DenseLu<T>.Of([.. matrix], n);
        T Row(T[] x, int r, bool transposed) =>
            Enumerable.Range(0, n).Aggregate(T.Zero, (s, c) => s + (matrix[transposed ? (c * n) + r : (r * n) + c] * x[c]));
        var (x, transposed) = (factors.Solve(right), factors.SolveTransposed(right));
        T[] two = [.. right.SelectMany(v => new[] { v, v + v })];
        factors.SolveInPlace(two, 2);
        for (var r = 0; r < n; r++)
        {
            Assert.True(apart(Row(x, r, false), right[r]) < 1e-9, $"row {r}");
            Assert.True(apart(Row(transposed, r, true), right[r]) < 1e-9, $"column {r}");
            Assert.True(apart(two[2 * r], x[r]) < 1e-9 && apart(two[(2 * r) + 1], x[r] + x[r]) < 1e-9, $"columns {r}");
        }
    }
}
