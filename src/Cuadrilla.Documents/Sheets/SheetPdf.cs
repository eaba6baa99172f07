using Cuadrilla.Core.Specification;
using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The specification sheet as PDF, drawn as vectors.</summary>
public static class SheetPdf
{
    private const float PictureWidth = 190;

    /// <summary>Writes the sheet.</summary>
    public static byte[] Write(LineupSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var memory = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata { Title = $"{sheet.Plant}, lineup {sheet.Tag} {sheet.Name}", Creator = "Cuadrilla",
            RasterDpi = 144 };
        using (var document = SKDocument.CreatePdf(memory, metadata))
        using (var pen = new PdfPen(document,
            SheetParts.Joined([sheet.Plant, $"{sheet.Tag} {sheet.Name}", sheet.Date, sheet.Revision, sheet.Catalogue])))
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

            SheetParts.Notes(pen, sheet.Notes, ["prepared by", "reviewed by", "approved by"]);
        }

        return memory.ToArray();
    }

    private static void Head(PdfPen pen, LineupSheet sheet)
    {
        SheetParts.Head(pen, "Lineup specification", $"{sheet.Tag}  {sheet.Name}", [sheet.Plant, sheet.Date, sheet.Revision]);
        SheetParts.Lines(pen, sheet.Supply, PdfPen.Right - PdfPen.Left);
        pen.Y += 6;
        SheetParts.Heading(pen, "Plant checks");
        SheetParts.Checks(pen, sheet.PlantChecks, sheet.Units);
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
        SheetParts.Lines(pen, point.Lines, PdfPen.Right - PdfPen.Left - (point.Torque is null ? 0 : PictureWidth + 16));
        if (point.Torque is { } torque)
        {
            TorquePicture.Draw(pen, torque, units, new SKRect(PdfPen.Right - PictureWidth, top - 8, PdfPen.Right, top + 140));
            pen.Y = Math.Max(pen.Y, top + 160);
        }

        pen.Y += 4;
        SheetParts.Checks(pen, point.Checks, units);
    }

    private static float HeightOf(DrivePointSheet point, UnitSystem units)
    {
        var width = PdfPen.Right - PdfPen.Left - (point.Torque is null ? 0 : PictureWidth + 16);
        var lines = SheetParts.LinesHeight(point.Lines, width);
        return 33 + Math.Max(lines, point.Torque is null ? 0 : 160) + point.Checks.Sum(c => SheetParts.CheckHeight(c, units));
    }
}
