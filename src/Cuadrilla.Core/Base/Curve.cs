namespace Cuadrilla.Core.Base;

/// <summary>Curves given as points.</summary>
public static class Curve
{
    /// <summary>Linear interpolation, held at the ends.</summary>
    /// <param name="points">Points ascending in x, at least one.</param>
    /// <param name="x">Where.</param>
    public static double At(IReadOnlyList<CurvePoint> points, double x)
    {
        ArgumentNullException.ThrowIfNull(points);
        if (x <= points[0].X)
        {
            return points[0].Y;
        }

        for (var i = 1; i < points.Count; i++)
        {
            if (x <= points[i].X)
            {
                return points[i - 1].Y + ((points[i].Y - points[i - 1].Y) * (x - points[i - 1].X) / (points[i].X - points[i - 1].X));
            }
        }

        return points[^1].Y;
    }
}

/// <summary>A point of a curve.</summary>
public readonly record struct CurvePoint(double X, double Y);
