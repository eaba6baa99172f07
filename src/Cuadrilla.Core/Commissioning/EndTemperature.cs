namespace Cuadrilla.Core.Commissioning;

/// <summary>A temperature of a run.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="TemperatureC">Temperature, °C.</param>
public readonly record struct TemperaturePoint(double TimeS, double TemperatureC);

/// <summary>Where a temperature run will end: T = A + B·e^(−(t − t_first)/τ), smallest sum of squares; method
/// <c>docs/methods/end-temperature.md</c>.</summary>
/// <param name="EndC">A, °C.</param>
/// <param name="TimeConstantS">τ, s.</param>
/// <param name="ResidualK">√(sum of squares/n), K.</param>
public sealed record EndTemperature(double EndC, double TimeConstantS, double ResidualK)
{
    /// <summary>Fewest points that a curve of three unknowns is laid through.</summary>
    public const int FewestPoints = 4;

    private const double ShortestSpan = 1.0 / 100;
    private const double LongestSpan = 10;
    private const int Steps = 240;
    private const int Rounds = 80;

    // Nearer to its border than this the best time constant is the border.
    private const double AtBorder = 1e-6;

    private const double StableS = 1800;
    private const double StableK = 1;
    private static readonly double Golden = (Math.Sqrt(5) - 1) / 2;

    /// <summary>Lays the curve; null where it does not settle: the best time constant is at a border, or it does not rise.</summary>
    /// <param name="points">At least <see cref="FewestPoints"/>, times rising.</param>
    public static EndTemperature? Of(IReadOnlyList<TemperaturePoint> points)
    {
        ArgumentNullException.ThrowIfNull(points);
        var span = points[^1].TimeS - points[0].TimeS;
        var (low, high) = (Math.Log(ShortestSpan * span), Math.Log(LongestSpan * span));
        double At(int i) => low + ((high - low) * i / Steps);
        var best = Enumerable.Range(0, Steps + 1).MinBy(i => Fit(points, Math.Exp(At(i))).Sum);
        var found = Smallest(x => Fit(points, Math.Exp(x)).Sum, At(Math.Max(best - 1, 0)), At(Math.Min(best + 1, Steps)));
        var (end, step, sum) = Fit(points, Math.Exp(found));
        return found - low < AtBorder || high - found < AtBorder || !(step < 0)
            ? null
            : new(end, Math.Exp(found), Math.Sqrt(sum / points.Count));
    }

    /// <summary>Those of the last half hour lie within 1 K, and the run is at least as long.</summary>
    /// <param name="points">All of a run.</param>
    public static bool IsStable(IReadOnlyList<TemperaturePoint> points)
    {
        ArgumentNullException.ThrowIfNull(points);
        var last = points[^1].TimeS;
        var late = points.Where(p => p.TimeS >= last - StableS).Select(p => p.TemperatureC).ToList();
        return points[0].TimeS <= last - StableS && Bound.AtMost(late.Max() - late.Min(), StableK);
    }

    // A, B and the sum of squares at a time constant, about the means: the columns are all but parallel for a long one.
    private static (double EndC, double StepK, double Sum) Fit(IReadOnlyList<TemperaturePoint> points, double timeConstantS)
    {
        var shape = points.Select(p => Math.Exp(-(p.TimeS - points[0].TimeS) / timeConstantS)).ToArray();
        var (meanShape, meanC) = (shape.Average(), points.Average(p => p.TemperatureC));
        double spread = 0, both = 0;
        for (var i = 0; i < shape.Length; i++)
        {
            spread += (shape[i] - meanShape) * (shape[i] - meanShape);
            both += (shape[i] - meanShape) * (points[i].TemperatureC - meanC);
        }

        var step = spread > 0 ? both / spread : 0;
        var end = meanC - (step * meanShape);
        var sum = points.Select((p, i) => p.TemperatureC - end - (step * shape[i])).Sum(d => d * d);
        return (end, step, sum);
    }

    private static double Smallest(Func<double, double> of, double low, double high)
    {
        var (left, right) = (high - (Golden * (high - low)), low + (Golden * (high - low)));
        var (atLeft, atRight) = (of(left), of(right));
        for (var i = 0; i < Rounds && high - low > AtBorder / 10; i++)
        {
            if (atLeft <= atRight)
            {
                (high, right, atRight) = (right, left, atLeft);
                left = high - (Golden * (high - low));
                atLeft = of(left);
            }
            else
            {
                (low, left, atLeft) = (left, right, atRight);
                right = low + (Golden * (high - low));
                atRight = of(right);
            }
        }

        return (low + high) / 2;
    }
}
