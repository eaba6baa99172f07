using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What the sheets of a lineup have in common: head, lines, checks, notes with the signatures.</summary>
internal static class SheetParts
{
    private const float Body = 9.2f;
    private const float NameWidth = 104;
    private const float RowHeight = 12;

    // Columns of the checks, from the left edge: title, figure, key.
    private const float TitleAt = 72;
    private const float FigureAt = 252;
    private const float KeyAt = 396;

    /// <summary>What there is, with dots between.</summary>
    public static string Joined(IEnumerable<string> parts) => string.Join(" · ", parts.Where(p => p.Length > 0));

    public static void Head(PdfPen pen, string kind, string title, IEnumerable<string> under)
    {
        pen.Text(kind, PdfPen.Left, pen.Y, 9, PdfPen.Plum, bold: true);
        pen.Y += 20;
        pen.Text(title, PdfPen.Left, pen.Y, 17, PdfPen.Ink, bold: true);
        pen.Y += 15;
        pen.Text(Joined(under), PdfPen.Left, pen.Y, 10, PdfPen.Soft);
        pen.Y += 20;
    }

    public static float LinesHeight(IReadOnlyList<SheetLine> lines, float width) =>
        lines.Sum(l => RowHeight * Math.Max(PdfPen.Wrapped(l.Name, NameWidth - 6, Body).Count,
            PdfPen.Wrapped(l.Value, width - NameWidth, Body).Count));

    public static void Notes(PdfPen pen, IReadOnlyList<string> notes, IReadOnlyList<string> roles)
    {
        pen.Need(140);
        pen.Y += 10;
        Heading(pen, "Notes and cautions");
        foreach (var note in notes)
        {
            pen.Paragraph("· " + note, PdfPen.Left, PdfPen.Right - PdfPen.Left, Body, PdfPen.Ink);
        }

        pen.Y += 24;
        pen.Need(30);
        foreach (var (role, x) in roles.Select((role, i) => (role, PdfPen.Left + (175 * i))))
        {
            pen.Line(x, pen.Y, x + 145, pen.Y, PdfPen.Soft);
            pen.Text(role, x, pen.Y + 11, 8, PdfPen.Soft);
        }
    }

    public static void Heading(PdfPen pen, string text)
    {
        pen.Need(40);
        pen.Text(text, PdfPen.Left, pen.Y, 10.5f, PdfPen.Ink, bold: true);
        pen.Y += 14;
    }

    public static void Lines(PdfPen pen, IReadOnlyList<SheetLine> lines, float width)
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

    public static void Checks(PdfPen pen, IReadOnlyList<CheckDocument> checks, UnitSystem units)
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

    public static float CheckHeight(CheckDocument check, UnitSystem units)
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
        return $"{Text.N(quantity.In(units, figure), 3)}{between} {Text.N(quantity.In(units, limit), 3)} "
            + $"{quantity.UnitIn(units)}{scenario}";
    }
}
