using System.Globalization;
using System.Xml.Linq;

namespace Cuadrilla.Documents.Drawings;

/// <summary>A drawing as SVG, a unit for a mm.</summary>
public static class SvgDrawing
{
    private const double MarginPu = 0.02;
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>Writes it.</summary>
    /// <param name="drawing">Drawing.</param>
    /// <param name="title">What it shows.</param>
    public static string Text(Drawing drawing, string title)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        var (left, bottom, right, top) = drawing.Bounds();
        var margin = MarginPu * Math.Max(right - left, top - bottom);
        var stroke = Math.Max(right - left, top - bottom) / 900;
        double X(double mm) => mm - left + margin;
        double Y(double mm) => top - mm + margin;
        var root = new XElement(Svg + "svg",
            new XAttribute("viewBox", Numbers(0, 0, right - left + (2 * margin), top - bottom + (2 * margin))),
            new XAttribute("font-family", "sans-serif"), new XAttribute("role", "img"), new XElement(Svg + "title", title),
            new XElement(Svg + "g", new XAttribute("fill", "none"), new XAttribute("stroke", "#1f1b24"),
                new XAttribute("stroke-width", N(stroke)),
                drawing.Rectangles.Select(r => new XElement(Svg + "rect", new XAttribute("x", N(X(r.LeftMm))),
                    new XAttribute("y", N(Y(r.BottomMm + r.HeightMm))), new XAttribute("width", N(r.WidthMm)),
                    new XAttribute("height", N(r.HeightMm)), new XAttribute("class", r.Layer))),
                drawing.Lines.Select(l => new XElement(Svg + "line", new XAttribute("x1", N(X(l.FromXMm))),
                    new XAttribute("y1", N(Y(l.FromYMm))),
                    new XAttribute("x2", N(X(l.ToXMm))), new XAttribute("y2", N(Y(l.ToYMm))), new XAttribute("class", l.Layer))),
                drawing.Circles.Select(c => new XElement(Svg + "circle", new XAttribute("cx", N(X(c.XMm))),
                    new XAttribute("cy", N(Y(c.YMm))),
                    new XAttribute("r", N(c.RadiusMm)), new XAttribute("class", c.Layer)))),
            new XElement(Svg + "g", new XAttribute("fill", "#1f1b24"), drawing.Labels.Select(l => new XElement(Svg + "text",
                new XAttribute("x", N(X(l.LeftMm))), new XAttribute("y", N(Y(l.BottomMm))), new XAttribute("font-size", N(1.4 * l.SizeMm)),
                l.Text))));
        return root.ToString();
    }

    private static string N(double mm) => mm.ToString("0.##", CultureInfo.InvariantCulture);

    private static string Numbers(params double[] values) => string.Join(' ', values.Select(N));
}
