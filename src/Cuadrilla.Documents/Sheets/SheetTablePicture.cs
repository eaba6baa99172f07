namespace Cuadrilla.Documents.Sheets;

/// <summary>Draws a table on the sheet: columns as wide as their words ask, cells wrapped, heads again on each page.</summary>
internal static class SheetTablePicture
{
    private const float Size = 7.4f;
    private const float RowHeight = 9.6f;
    private const float Gap = 6;
    private const float Widest = 96;

    public static void Draw(PdfPen pen, SheetTable table)
    {
        var widths = Widths(table);
        pen.Need(60);
        pen.Y += 10;
        pen.Text(table.Title, PdfPen.Left, pen.Y, 10.5f, PdfPen.Ink, bold: true);
        pen.Y += 13;
        Heads(pen, table, widths);
        foreach (var row in table.Rows)
        {
            var cells = row.Select((cell, i) => PdfPen.Wrapped(cell, widths[i] - Gap, Size)).ToList();
            var lines = Math.Max(1, cells.Max(c => c.Count));
            if (pen.Y + (lines * RowHeight) > PdfPen.Bottom)
            {
                pen.Need(PdfPen.Usable);
                Heads(pen, table, widths);
            }

            var x = PdfPen.Left;
            for (var i = 0; i < cells.Count; i++)
            {
                for (var k = 0; k < cells[i].Count; k++)
                {
                    pen.Text(cells[i][k], x, pen.Y + (k * RowHeight), Size, PdfPen.Ink);
                }

                x += widths[i];
            }

            pen.Y += (lines * RowHeight) + 2;
            pen.Line(PdfPen.Left, pen.Y - RowHeight + 1, PdfPen.Right, pen.Y - RowHeight + 1, PdfPen.Rule, 0.4f);
        }
    }

    private static void Heads(PdfPen pen, SheetTable table, float[] widths)
    {
        var x = PdfPen.Left;
        for (var i = 0; i < table.Heads.Count; i++)
        {
            pen.Text(table.Heads[i], x, pen.Y, Size, PdfPen.Soft);
            x += widths[i];
        }

        pen.Y += RowHeight + 1;
    }

    // As wide as the longest cell up to a bound; what the page has left goes to cells longer than that, then to all in proportion.
    private static float[] Widths(SheetTable table)
    {
        var wished = table.Heads.Select((head, i) => Math.Max(PdfPen.Width(head, Size), table.Rows.Max(r => PdfPen.Width(r[i], Size)))
            + Gap).ToArray();
        var asked = wished.Select(w => Math.Min(Widest + Gap, w)).ToArray();
        var (page, more) = (PdfPen.Right - PdfPen.Left, wished.Sum() - asked.Sum());
        var given = more > 0 ? Math.Clamp((page - asked.Sum()) / more, 0, 1) : 0;
        var widths = asked.Select((w, i) => w + (given * (wished[i] - w))).ToArray();
        return [.. widths.Select(w => w * page / widths.Sum())];
    }
}
