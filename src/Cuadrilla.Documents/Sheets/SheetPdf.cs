using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Units;
using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The specification sheet as PDF, drawn as vectors.</summary>
public static class SheetPdf
{
    private const float Body = 9.2f;
    private const float NameWidth = 104;
    private const float PictureWidth = 190;
    private const float RowHeight = 12;

    // Columns of the checks, from the left edge: title, figure, key.
    private const float TitleAt = 72;
    private const float FigureAt = 252;
    private const float KeyAt = 396;

    /// <summary>Writes the sheet.</summary>
    public static byte[] Write(LineupSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var memory = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata { Title = $"{sheet.Plant}, lineup {sheet.Tag} {sheet.Name}", Creator = "Cuadrilla", RasterDpi = 144 };
        using (var document = SKDocument.CreatePdf(memory, metadata))
        using (var pen = new PdfPen(document, $"{sheet.Plant} · {sheet.Tag} {sheet.Name} · {sheet.Date}{(sheet.Revision.Length > 0 ? " · " + sheet.Revision : string.Empty)} · {sheet.Catalogue}"))
        {
            Head(pen, sheet);
            foreach (var point in sheet.DrivePoints)
            {
                DrivePoint(pen, point, sheet.Units);
            }

            foreach (var table in sheet.Schedules.Where(t => t.Rows.Count > 0))
            {
                SheetTablePicture.Draw(pen, table);
            }

            Notes(pen, sheet);
        }

        return memory.ToArray();
    }

    private static void Head(PdfPen pen, LineupSheet sheet)
    {
        pen.Text("Lineup specification", PdfPen.Left, pen.Y, 9, PdfPen.Plum, bold: true);
        pen.Y += 20;
        pen.Text($"{sheet.Tag}  {sheet.Name}", PdfPen.Left, pen.Y, 17, PdfPen.Ink, bold: true);
        pen.Y += 15;
        pen.Text($"{sheet.Plant} · {sheet.Date}{(sheet.Revision.Length > 0 ? " · " + sheet.Revision : string.Empty)}", PdfPen.Left, pen.Y, 10, PdfPen.Soft);
        pen.Y += 20;
        Lines(pen, sheet.Supply, PdfPen.Right - PdfPen.Left);
        pen.Y += 6;
        Heading(pen, "Plant checks");
        Checks(pen, sheet.PlantChecks, sheet.Units);
    }

    private static void DrivePoint(PdfPen pen, DrivePointSheet point, UnitSystem units)
    {
        // A drive point that fits on a page is not broken in two; heading, lines and picture stay together in any case.
        var whole = HeightOf(point, units);
        pen.Need(whole <= PdfPen.Usable ? whole : 230);
        pen.Y += 8;
        pen.Line(PdfPen.Left, pen.Y - 12, PdfPen.Right, pen.Y - 12, PdfPen.Ink, 1.2f);
        pen.Y += 4;
        pen.Text($"{point.Tag}  {point.Name}", PdfPen.Left, pen.Y, 13, PdfPen.Ink, bold: true);
        pen.Y += 17;
        var top = pen.Y;
        Lines(pen, point.Lines, PdfPen.Right - PdfPen.Left - (point.Torque is null ? 0 : PictureWidth + 16));
        if (point.Torque is { } torque)
        {
            TorquePicture.Draw(pen, torque, units, new SKRect(PdfPen.Right - PictureWidth, top - 8, PdfPen.Right, top + 140));
            pen.Y = Math.Max(pen.Y, top + 160);
        }

        pen.Y += 4;
        Checks(pen, point.Checks, units);
    }

    private static float HeightOf(DrivePointSheet point, UnitSystem units)
    {
        var width = PdfPen.Right - PdfPen.Left - (point.Torque is null ? 0 : PictureWidth + 16);
        var lines = point.Lines.Sum(l => RowHeight * Math.Max(PdfPen.Wrapped(l.Name, NameWidth - 6, Body).Count, PdfPen.Wrapped(l.Value, width - NameWidth, Body).Count));
        return 33 + Math.Max(lines, point.Torque is null ? 0 : 160) + point.Checks.Sum(c => CheckHeight(c, units));
    }

    private static void Notes(PdfPen pen, LineupSheet sheet)
    {
        pen.Need(140);
        pen.Y += 10;
        Heading(pen, "Notes and cautions");
        foreach (var note in sheet.Notes)
        {
            pen.Paragraph("· " + note, PdfPen.Left, PdfPen.Right - PdfPen.Left, Body, PdfPen.Ink);
        }

        pen.Y += 24;
        pen.Need(30);
        foreach (var (role, x) in new[] { ("prepared by", PdfPen.Left), ("reviewed by", PdfPen.Left + 175), ("approved by", PdfPen.Left + 350) })
        {
            pen.Line(x, pen.Y, x + 145, pen.Y, PdfPen.Soft);
            pen.Text(role, x, pen.Y + 11, 8, PdfPen.Soft);
        }
    }

    private static void Heading(PdfPen pen, string text)
    {
        pen.Need(40);
        pen.Text(text, PdfPen.Left, pen.Y, 10.5f, PdfPen.Ink, bold: true);
        pen.Y += 14;
    }

    private static void Lines(PdfPen pen, IReadOnlyList<SheetLine> lines, float width)
    {
        foreach (var line in lines)
        {
            var names = PdfPen.Wrapped(line.Name, NameWidth - 6, Body);
            var values = PdfPen.Wrapped(line.Value, width - NameWidth, Body);
            var rows = Math.Max(names.Count, values.Count);
            pen.Need(rows * 12);
            for (var i = 0; i < rows; i++)
            {
                if (i < names.Count)
                {
                    pen.Text(names[i], PdfPen.Left, pen.Y, Body, PdfPen.Soft);
                }

                if (i < values.Count)
                {
                    pen.Text(values[i], PdfPen.Left + NameWidth, pen.Y, Body, PdfPen.Ink);
                }

                pen.Y += 12;
            }
        }
    }

    private static void Checks(PdfPen pen, IReadOnlyList<CheckDocument> checks, UnitSystem units)
    {
        foreach (var check in checks)
        {
            pen.Need(CheckHeight(check, units));
            VerdictMark.Draw(pen, check.Verdict, PdfPen.Left + 4, pen.Y - 3.2f);
            pen.Text(VerdictWords.Of(check.Verdict), PdfPen.Left + 13, pen.Y, Body, PdfPen.Ink, bold: true);
            pen.Text(check.Id, PdfPen.Left + KeyAt, pen.Y, 7.8f, PdfPen.Soft);
            var (titles, figures) = Columns(check, units);
            for (var i = 0; i < Math.Max(titles.Count, figures.Count); i++)
            {
                pen.Text(i < titles.Count ? titles[i] : string.Empty, PdfPen.Left + TitleAt, pen.Y + (i * RowHeight), Body, PdfPen.Ink);
                pen.Text(i < figures.Count ? figures[i] : string.Empty, PdfPen.Left + FigureAt, pen.Y + (i * RowHeight), Body, PdfPen.Ink);
            }

            pen.Y += CheckHeight(check, units);
        }
    }

    private static (IReadOnlyList<string> Titles, IReadOnlyList<string> Figures) Columns(CheckDocument check, UnitSystem units) =>
        (PdfPen.Wrapped(check.Title, FigureAt - TitleAt - 6, Body), PdfPen.Wrapped(Figure(check, units), KeyAt - FigureAt - 6, Body));

    private static float CheckHeight(CheckDocument check, UnitSystem units)
    {
        var (titles, figures) = Columns(check, units);
        return (RowHeight * Math.Max(1, Math.Max(titles.Count, figures.Count))) + 1;
    }

    private static string Figure(CheckDocument check, UnitSystem units)
    {
        if (check.Figure is not { } figure || check.Limit is not { } limit)
        {
            return check.Verdict == Verdict.NeedsData ? "see the board for what is missing" : string.Empty;
        }

        var quantity = UnitTable.Of(check.Unit);
        var scenario = check.Scenario.Length > 0 ? $", {check.Scenario}" : string.Empty;
        var between = check.Sense == LimitSense.AtMost ? " of" : ", at least";
        return $"{Text.N(quantity.In(units, figure), 3)}{between} {Text.N(quantity.In(units, limit), 3)} {quantity.UnitIn(units)}{scenario}";
    }
}
