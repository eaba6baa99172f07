using System.Globalization;
using System.Text;

namespace Cuadrilla.Documents.Drawings;

/// <summary>A drawing in the exchange form of release 12, plain text: what every layout program reads.</summary>
public static class DxfDrawing
{
    /// <summary>Writes it, in mm.</summary>
    public static string Text(Drawing drawing)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        var text = new StringBuilder();
        var layers = drawing.Rectangles.Select(r => r.Layer).Concat(drawing.Labels.Select(l => l.Layer))
            .Concat(drawing.Lines.Select(l => l.Layer)).Concat(drawing.Circles.Select(c => c.Layer)).Distinct(StringComparer.Ordinal)
            .ToList();
        Write(text, 0, "SECTION", 2, "HEADER", 9, "$ACADVER", 1, "AC1009", 0, "ENDSEC");
        Write(text, 0, "SECTION", 2, "TABLES", 0, "TABLE", 2, "LAYER", 70, layers.Count);
        foreach (var (layer, i) in layers.Select((l, i) => (l, i)))
        {
            Write(text, 0, "LAYER", 2, layer, 70, 0, 62, (i % 6) + 1, 6, "CONTINUOUS");
        }

        Write(text, 0, "ENDTAB", 0, "ENDSEC", 0, "SECTION", 2, "ENTITIES");
        foreach (var r in drawing.Rectangles)
        {
            var (right, top) = (r.LeftMm + r.WidthMm, r.BottomMm + r.HeightMm);
            Line(text, r.Layer, r.LeftMm, r.BottomMm, right, r.BottomMm);
            Line(text, r.Layer, right, r.BottomMm, right, top);
            Line(text, r.Layer, right, top, r.LeftMm, top);
            Line(text, r.Layer, r.LeftMm, top, r.LeftMm, r.BottomMm);
        }

        foreach (var l in drawing.Lines)
        {
            Line(text, l.Layer, l.FromXMm, l.FromYMm, l.ToXMm, l.ToYMm);
        }

        foreach (var c in drawing.Circles)
        {
            Write(text, 0, "CIRCLE", 8, c.Layer, 10, c.XMm, 20, c.YMm, 30, 0.0, 40, c.RadiusMm);
        }

        foreach (var l in drawing.Labels)
        {
            Write(text, 0, "TEXT", 8, l.Layer, 10, l.LeftMm, 20, l.BottomMm, 30, 0.0, 40, l.SizeMm, 1, Plain(l.Text));
        }

        Write(text, 0, "ENDSEC", 0, "EOF");
        return text.ToString();
    }

    private static void Line(StringBuilder text, string layer, double x1, double y1, double x2, double y2) =>
        Write(text, 0, "LINE", 8, layer, 10, x1, 20, y1, 30, 0.0, 11, x2, 21, y2, 31, 0.0);

    // Group codes and values in turn, a line each.
    private static void Write(StringBuilder text, params object[] pairs)
    {
        for (var i = 0; i < pairs.Length; i += 2)
        {
            text.Append(CultureInfo.InvariantCulture, $"{pairs[i],3}\r\n");
            text.Append(pairs[i + 1] is double number
                ? number.ToString("0.0###", CultureInfo.InvariantCulture)
                : Convert.ToString(pairs[i + 1], CultureInfo.InvariantCulture)).Append("\r\n");
        }
    }

    // One line of the release's characters; others as it writes them, by their number.
    private static string Plain(string text) => string.Concat(text.Select(c => c switch
    {
        < ' ' => " ",
        > '~' => string.Create(CultureInfo.InvariantCulture, $"\\U+{(int)c:X4}"),
        _ => c.ToString(),
    }));
}
