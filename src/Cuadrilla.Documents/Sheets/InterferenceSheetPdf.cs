using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The interference sheet as PDF.</summary>
public static class InterferenceSheetPdf
{
    /// <summary>Writes the sheet.</summary>
    public static byte[] Write(InterferenceSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var memory = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata { Title = $"{sheet.Plant}, interference, lineup {sheet.Tag} {sheet.Name}",
            Creator = "Cuadrilla", RasterDpi = 144 };
        using (var document = SKDocument.CreatePdf(memory, metadata))
        using (var pen = new PdfPen(document,
            SheetParts.Joined([sheet.Plant, $"interference, {sheet.Tag} {sheet.Name}", sheet.Date, sheet.Revision])))
        {
            SheetParts.Head(pen, "Interference: for the fitter", $"{sheet.Tag}  {sheet.Name}", [sheet.Plant, sheet.Date, sheet.Revision]);
            SheetParts.Lines(pen, sheet.Lines, PdfPen.Right - PdfPen.Left);
            foreach (var table in sheet.Tables.Where(t => t.Rows.Count > 0))
            {
                SheetTablePicture.Draw(pen, table);
            }

            SheetParts.Notes(pen, sheet.Notes, ["fitted by", "checked by"]);
            if (sheet.Cables.Rows.Count > 0)
            {
                pen.Y += 24;
                SheetTablePicture.Draw(pen, sheet.Cables);
            }
        }

        return memory.ToArray();
    }
}
