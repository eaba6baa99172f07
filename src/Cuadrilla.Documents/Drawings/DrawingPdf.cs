using Cuadrilla.Documents.Sheets;
using SkiaSharp;

namespace Cuadrilla.Documents.Drawings;

/// <summary>Drawings as PDF, one to a page, as large as the page permits.</summary>
public static class DrawingPdf
{
    private const float Largest = 1.6f;

    /// <summary>Writes them.</summary>
    /// <param name="head">What they are, their title, and what stands under it.</param>
    /// <param name="drawings">Drawings with their names.</param>
    /// <param name="tables">Tables after them.</param>
    /// <param name="notes">Notes at the end.</param>
    public static byte[] Write(DrawingHead head, IReadOnlyList<(string Name, Drawing Drawing)> drawings, IReadOnlyList<SheetTable> tables,
        IReadOnlyList<string> notes)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(drawings);
        ArgumentNullException.ThrowIfNull(tables);
        using var memory = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata { Title = $"{head.Kind}: {head.Title}", Creator = "Cuadrilla", RasterDpi = 144 };
        using (var document = SKDocument.CreatePdf(memory, metadata))
        using (var pen = new PdfPen(document, SheetParts.Joined([head.Kind, head.Title, .. head.Under])))
        {
            SheetParts.Head(pen, head.Kind, head.Title, head.Under);
            foreach (var (name, drawing) in drawings)
            {
                Draw(pen, name, drawing);
            }

            foreach (var table in tables.Where(t => t.Rows.Count > 0))
            {
                SheetTablePicture.Draw(pen, table);
            }

            if (notes.Count > 0)
            {
                SheetParts.Notes(pen, notes, ["drawn by", "checked by"]);
            }
        }

        return memory.ToArray();
    }

    private static void Draw(PdfPen pen, string name, Drawing drawing)
    {
        var (left, bottom, right, top) = drawing.Bounds();
        var width = PdfPen.Right - PdfPen.Left;
        var scale = Math.Min(Largest, Math.Min(width / (float)(right - left), (PdfPen.Usable - 30) / (float)(top - bottom)));
        pen.Need((scale * (float)(top - bottom)) + 30);
        SheetParts.Heading(pen, name);
        var upper = pen.Y;
        float X(double mm) => PdfPen.Left + (scale * (float)(mm - left));
        float Y(double mm) => upper + (scale * (float)(top - mm));
        foreach (var r in drawing.Rectangles)
        {
            var (x1, y1, x2, y2) = (X(r.LeftMm), Y(r.BottomMm), X(r.LeftMm + r.WidthMm), Y(r.BottomMm + r.HeightMm));
            pen.Path([new(x1, y1), new(x2, y1), new(x2, y2), new(x1, y2), new(x1, y1)], PdfPen.Ink, 0.6f);
        }

        foreach (var l in drawing.Lines)
        {
            pen.Line(X(l.FromXMm), Y(l.FromYMm), X(l.ToXMm), Y(l.ToYMm), PdfPen.Ink, 0.6f);
        }

        foreach (var c in drawing.Circles)
        {
            pen.Path(Enumerable.Range(0, 49).Select(i => new SKPoint(X(c.XMm + (c.RadiusMm * Math.Cos(i * Math.PI / 24))),
                Y(c.YMm + (c.RadiusMm * Math.Sin(i * Math.PI / 24))))), PdfPen.Ink, 0.6f);
        }

        foreach (var label in drawing.Labels)
        {
            pen.Text(label.Text, X(label.LeftMm), Y(label.BottomMm), 1.4f * scale * (float)label.SizeMm, PdfPen.Ink);
        }

        pen.Y = upper + (scale * (float)(top - bottom)) + 16;
    }
}

/// <summary>Head of drawings.</summary>
/// <param name="Kind">What they are.</param>
/// <param name="Title">Of what.</param>
/// <param name="Under">Plant, date, revision.</param>
public sealed record DrawingHead(string Kind, string Title, IReadOnlyList<string> Under);
