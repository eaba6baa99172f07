namespace Cuadrilla.Documents.Drawings;

/// <summary>A drawing in mm, the origin at the lower left.</summary>
/// <param name="Rectangles">Rectangles.</param>
/// <param name="Labels">Texts.</param>
public sealed record Drawing(IReadOnlyList<DrawnRectangle> Rectangles, IReadOnlyList<DrawnLabel> Labels)
{
    /// <summary>Straight lines.</summary>
    public IReadOnlyList<DrawnLine> Lines { get; init; } = [];

    /// <summary>Circles.</summary>
    public IReadOnlyList<DrawnCircle> Circles { get; init; } = [];

    /// <summary>Left, lower, right and upper edge of all, mm; texts by a usual width of their letters.</summary>
    public (double Left, double Bottom, double Right, double Top) Bounds()
    {
        List<(double X, double Y)> corners =
        [
            .. Rectangles.SelectMany(r => new[] { (r.LeftMm, r.BottomMm), (r.LeftMm + r.WidthMm, r.BottomMm + r.HeightMm) }),
            .. Lines.SelectMany(l => new[] { (l.FromXMm, l.FromYMm), (l.ToXMm, l.ToYMm) }),
            .. Circles.SelectMany(c => new[] { (c.XMm - c.RadiusMm, c.YMm - c.RadiusMm), (c.XMm + c.RadiusMm, c.YMm + c.RadiusMm) }),
            .. Labels.SelectMany(l => new[] { (l.LeftMm, l.BottomMm), (l.LeftMm + l.WidthMm, l.BottomMm + l.SizeMm) }),
        ];
        return corners.Count == 0 ? (0, 0, 1, 1)
            : (corners.Min(c => c.X), corners.Min(c => c.Y), corners.Max(c => c.X), corners.Max(c => c.Y));
    }

    /// <summary>The same elsewhere.</summary>
    public Drawing Moved(double rightMm, double upMm) => new(
        [.. Rectangles.Select(r => r with { LeftMm = r.LeftMm + rightMm, BottomMm = r.BottomMm + upMm })],
        [.. Labels.Select(l => l with { LeftMm = l.LeftMm + rightMm, BottomMm = l.BottomMm + upMm })])
    {
        Lines = [.. Lines.Select(l => l with { FromXMm = l.FromXMm + rightMm, ToXMm = l.ToXMm + rightMm, FromYMm = l.FromYMm + upMm,
            ToYMm = l.ToYMm + upMm })],
        Circles = [.. Circles.Select(c => c with { XMm = c.XMm + rightMm, YMm = c.YMm + upMm })],
    };

    /// <summary>Both on one sheet.</summary>
    public Drawing With(Drawing other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new Drawing([.. Rectangles, .. other.Rectangles], [.. Labels, .. other.Labels])
        {
            Lines = [.. Lines, .. other.Lines],
            Circles = [.. Circles, .. other.Circles],
        };
    }
}

/// <summary>A rectangle.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="LeftMm">Left edge, mm.</param>
/// <param name="BottomMm">Lower edge, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
public readonly record struct DrawnRectangle(string Layer, double LeftMm, double BottomMm, double WidthMm, double HeightMm);

/// <summary>A text.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="LeftMm">Where it begins, mm.</param>
/// <param name="BottomMm">Its base line, mm.</param>
/// <param name="SizeMm">Height of capitals, mm.</param>
/// <param name="Text">What it says.</param>
public readonly record struct DrawnLabel(string Layer, double LeftMm, double BottomMm, double SizeMm, string Text)
{
    // Letters of a plain face are about three quarters as wide as capitals are high.
    private const double WidthPu = 0.78;

    /// <summary>About how wide it is, mm.</summary>
    public double WidthMm => WidthPu * SizeMm * Text.Length;
}

/// <summary>A straight line.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="FromXMm">One end, to the right, mm.</param>
/// <param name="FromYMm">One end, up, mm.</param>
/// <param name="ToXMm">The other end, to the right, mm.</param>
/// <param name="ToYMm">The other end, up, mm.</param>
public readonly record struct DrawnLine(string Layer, double FromXMm, double FromYMm, double ToXMm, double ToYMm);

/// <summary>A circle.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="XMm">Centre, to the right, mm.</param>
/// <param name="YMm">Centre, up, mm.</param>
/// <param name="RadiusMm">Radius, mm.</param>
public readonly record struct DrawnCircle(string Layer, double XMm, double YMm, double RadiusMm);
