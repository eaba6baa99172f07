using System.Diagnostics;
using System.Globalization;
using System.Text;
using System.Xml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;

namespace Cuadrilla.Documents.Tables;

/// <summary>Walks the first sheet of an open workbook, element by element: nothing larger than a cell is held that is not wanted.</summary>
internal sealed class SheetReader(SpreadsheetDocument document, CancellationToken stop)
{
    private readonly Stopwatch clock = Stopwatch.StartNew();
    private int cells;
    private int steps;

    /// <summary>Its rows.</summary>
    public List<IReadOnlyList<string>> Rows()
    {
        var workbook = document.WorkbookPart ?? throw new InvalidDataException("no workbook");
        var id = workbook.Workbook?.Sheets?.Elements<Sheet>().FirstOrDefault()?.Id?.Value ?? throw new InvalidDataException("no sheet");
        var shared = Shared(workbook.SharedStringTablePart);
        List<IReadOnlyList<string>> rows = [];
        using var reader = Open(workbook.GetPartById(id) as WorksheetPart ?? throw new InvalidDataException("no worksheet"));
        while (Next(reader))
        {
            if (reader is { NodeType: XmlNodeType.Element, LocalName: "row" })
            {
                var stated = reader.GetAttribute("r");
                var number = stated is null
                    ? rows.Count + 1
                    : long.TryParse(stated, NumberStyles.None, CultureInfo.InvariantCulture, out var r) ? r : 0;
                if (number > WorkbookLimits.Rows || number <= rows.Count)
                {
                    throw Workbook.Refused("Row", $"{Short(stated ?? "the next")} after {rows.Count}",
                        $"ascending, at most {WorkbookLimits.Rows} rows");
                }

                while (rows.Count < number - 1)
                {
                    rows.Add([]);
                }

                rows.Add(Cells(reader, shared));
            }
        }

        return rows;
    }

    private List<string> Cells(XmlReader reader, List<string> shared)
    {
        List<string> row = [];
        if (reader.IsEmptyElement)
        {
            return row;
        }

        while (Next(reader) && reader is not { NodeType: XmlNodeType.EndElement, LocalName: "row" })
        {
            if (reader is not { NodeType: XmlNodeType.Element, LocalName: "c" })
            {
                continue;
            }

            if (++cells > WorkbookLimits.Cells)
            {
                throw Workbook.Refused("Workbook", $"more than {WorkbookLimits.Cells} cells", $"at most {WorkbookLimits.Cells} cells");
            }

            var place = reader.GetAttribute("r");
            var column = place is null ? row.Count : ColumnOf(place);
            if (column >= WorkbookLimits.Columns || column < row.Count)
            {
                throw Workbook.Refused("Cell", Short(place ?? $"column {column + 1}"),
                    $"ascending, at most {WorkbookLimits.Columns} columns");
            }

            while (row.Count < column)
            {
                row.Add(string.Empty);
            }

            row.Add(TextOf(reader, Short(place ?? $"column {column + 1}"), shared));
        }

        return row;
    }

    private string TextOf(XmlReader reader, string place, List<string> shared)
    {
        var kind = reader.GetAttribute("t") ?? "n";
        var text = Content(reader, "c", kind == "inlineStr" ? "t" : "v", place);
        return kind switch
        {
            "s" => int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var index) && index < shared.Count
                ? shared[index]
                : throw Workbook.Refused($"Cell {place}", $"shared text {Short(text)}", $"0 to {shared.Count - 1}"),
            "b" => text == "1" ? "true" : "false",
            "n" when text.Length > 0 => double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
                && double.IsFinite(number)
                ? number.ToString("R", CultureInfo.InvariantCulture)
                : throw Workbook.Refused($"Cell {place}", Short(text), "a finite number"),
            _ => text,
        };
    }

    private List<string> Shared(SharedStringTablePart? part)
    {
        List<string> texts = [];
        if (part is null)
        {
            return texts;
        }

        using var reader = Open(part);
        while (Next(reader))
        {
            if (reader is { NodeType: XmlNodeType.Element, LocalName: "si" })
            {
                texts.Add(Content(reader, "si", "t", $"shared text {texts.Count}"));
                if (texts.Count > WorkbookLimits.SharedTexts)
                {
                    throw Workbook.Refused("Workbook", $"more than {WorkbookLimits.SharedTexts} texts",
                        $"at most {WorkbookLimits.SharedTexts} texts");
                }
            }
        }

        return texts;
    }

    // The text within all elements of one name inside another; how words are to be spoken is left out.
    private string Content(XmlReader reader, string outer, string inner, string place)
    {
        var text = new StringBuilder();
        if (reader.IsEmptyElement)
        {
            return string.Empty;
        }

        var depth = reader.Depth;
        var (isInside, isSpoken) = (false, false);
        while (Next(reader) && !(reader.NodeType == XmlNodeType.EndElement && reader.Depth == depth && reader.LocalName == outer))
        {
            if (reader.NodeType is XmlNodeType.Element or XmlNodeType.EndElement)
            {
                var begins = reader.NodeType == XmlNodeType.Element && !reader.IsEmptyElement;
                isSpoken = reader.LocalName == "rPh" ? begins : isSpoken;
                isInside = begins && reader.LocalName == inner;
            }
            else if (isInside && !isSpoken
                && reader.NodeType is XmlNodeType.Text or XmlNodeType.CDATA or XmlNodeType.SignificantWhitespace or XmlNodeType.Whitespace)
            {
                text.Append(reader.Value);
                if (text.Length > WorkbookLimits.CharactersInCell)
                {
                    throw Workbook.Refused($"Cell {place}", $"more than {WorkbookLimits.CharactersInCell} characters",
                        $"at most {WorkbookLimits.CharactersInCell} characters");
                }
            }
        }

        return text.ToString();
    }

    private bool Next(XmlReader reader)
    {
        if (++steps % 1024 == 0)
        {
            stop.ThrowIfCancellationRequested();
            if (clock.Elapsed > WorkbookLimits.Time)
            {
                throw Workbook.Refused("Workbook", "not read within 10 s", "a smaller workbook");
            }
        }

        return reader.Read();
    }

    private static XmlReader Open(OpenXmlPart part) => XmlReader.Create(
        part.GetStream(FileMode.Open, FileAccess.Read),
        new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null,
            MaxCharactersInDocument = WorkbookLimits.CharactersInPart, CloseInput = true });

    private static int ColumnOf(string reference)
    {
        var column = 0;
        foreach (var letter in reference.TakeWhile(char.IsAsciiLetter).Take(4))
        {
            column = (column * 26) + char.ToUpperInvariant(letter) - 'A' + 1;
        }

        return column - 1;
    }

    private static string Short(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
