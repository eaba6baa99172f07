using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>
/// Writes text and lines on PDF pages: A4, points, origin at the top left. Characters that the text face lacks are drawn
/// from the symbol face.
/// </summary>
internal sealed class PdfPen : IDisposable
{
    public const float PageWidth = 595;
    public const float PageHeight = 842;
    public const float Left = 48;
    public const float Right = PageWidth - 48;
    public const float Bottom = PageHeight - 54;

    /// <summary>Height of a page that is written on.</summary>
    public const float Usable = Bottom - 60;

    public static readonly SKColor Ink = SKColor.Parse("#1F1B24");
    public static readonly SKColor Soft = SKColor.Parse("#5F5866");
    public static readonly SKColor Rule = SKColor.Parse("#D8D1C4");
    public static readonly SKColor Plum = SKColor.Parse("#6B2E5F");

    private static readonly SKTypeface Symbols = Face("DejaVuSans-Symbols.ttf");
    private static readonly SKTypeface Regular = Face("AtkinsonHyperlegibleNext-Regular.ttf");
    private static readonly SKTypeface Bold = Face("AtkinsonHyperlegibleNext-Bold.ttf");

    private readonly SKDocument document;
    private readonly string footer;
    private int page;

    public PdfPen(SKDocument document, string footer)
    {
        this.document = document;
        this.footer = footer;
        Canvas = NewPage();
    }

    public SKCanvas Canvas { get; private set; }

    /// <summary>Baseline of the next line of text.</summary>
    public float Y { get; set; }

    /// <summary>Starts a new page unless so much height is left.</summary>
    public void Need(float height)
    {
        if (Y + height > Bottom)
        {
            document.EndPage();
            Canvas = NewPage();
        }
    }

    public void Text(string text, float x, float y, float size, SKColor color, bool bold = false)
    {
        using var paint = new SKPaint { Color = color, IsAntialias = true };
        foreach (var (run, face) in Runs(text, bold))
        {
            using var font = new SKFont(face, size);
            Canvas.DrawText(run, x, y, SKTextAlign.Left, font, paint);
            x += font.MeasureText(run);
        }
    }

    public static float Width(string text, float size, bool bold = false)
    {
        var width = 0f;
        foreach (var (run, face) in Runs(text, bold))
        {
            using var font = new SKFont(face, size);
            width += font.MeasureText(run);
        }

        return width;
    }

    /// <summary>Text broken at spaces to a width; returns how many lines were written. Moves <see cref="Y"/>.</summary>
    public int Paragraph(string text, float x, float width, float size, SKColor color)
    {
        var lines = Wrapped(text, width, size);
        foreach (var line in lines)
        {
            Need(size * 1.35f);
            Text(line, x, Y, size, color);
            Y += size * 1.35f;
        }

        return lines.Count;
    }

    public static IReadOnlyList<string> Wrapped(string text, float width, float size)
    {
        var lines = new List<string>();
        var line = string.Empty;
        foreach (var word in text.Split(' '))
        {
            var longer = line.Length == 0 ? word : line + " " + word;
            if (line.Length > 0 && Width(longer, size) > width)
            {
                lines.Add(line);
                line = word;
            }
            else
            {
                line = longer;
            }
        }

        lines.Add(line);
        return lines;
    }

    public void Line(float x1, float y1, float x2, float y2, SKColor color, float width = 0.7f, float[]? dash = null)
    {
        using var paint = new SKPaint { Color = color, IsAntialias = true, StrokeWidth = width, Style = SKPaintStyle.Stroke };
        paint.PathEffect = dash is null ? null : SKPathEffect.CreateDash(dash, 0);
        Canvas.DrawLine(x1, y1, x2, y2, paint);
    }

    public void Path(IEnumerable<SKPoint> points, SKColor color, float width, float[]? dash = null)
    {
        using var paint = new SKPaint { Color = color, IsAntialias = true, StrokeWidth = width, Style = SKPaintStyle.Stroke };
        paint.PathEffect = dash is null ? null : SKPathEffect.CreateDash(dash, 0);
        using var builder = new SKPath();
        var first = true;
        foreach (var point in points)
        {
            if (first)
            {
                builder.MoveTo(point);
            }
            else
            {
                builder.LineTo(point);
            }

            first = false;
        }

        Canvas.DrawPath(builder, paint);
    }

    public void Dispose() => document.EndPage();

    private SKCanvas NewPage()
    {
        page++;
        Canvas = document.BeginPage(PageWidth, PageHeight);
        Text(footer, Left, PageHeight - 30, 8, Soft);
        var number = FormattableString.Invariant($"page {page}");
        Text(number, Right - Width(number, 8), PageHeight - 30, 8, Soft);
        Y = 60;
        return Canvas;
    }

    private static IEnumerable<(string Run, SKTypeface Face)> Runs(string text, bool bold)
    {
        var face = bold ? Bold : Regular;
        var start = 0;
        var current = face;
        for (var i = 0; i < text.Length; i++)
        {
            var wanted = face.ContainsGlyph(text[i]) || !Symbols.ContainsGlyph(text[i]) ? face : Symbols;
            if (wanted != current && i > start)
            {
                yield return (text[start..i], current);
                start = i;
            }

            current = wanted;
        }

        if (start < text.Length)
        {
            yield return (text[start..], current);
        }
    }

    private static SKTypeface Face(string name)
    {
        using var stream = typeof(PdfPen).Assembly.GetManifestResourceStream(name)
            ?? throw new InvalidDataException($"The font {name} is missing from the program.");
        return SKTypeface.FromStream(stream) ?? throw new InvalidDataException($"The font {name} can't be read.");
    }
}
