using System.Globalization;
using Cuadrilla.Core.Studies.Cabinets;

namespace Cuadrilla.Documents.Drawings;

/// <summary>Cabinets of a lineup to scale: front elevation, side section of a column, floor plan with the way in front.</summary>
public static class CabinetDrawing
{
    /// <summary>Free way in front of the doors where none is entered, mm.</summary>
    public const double UsualAisleMm = 1000;

    private const double LabelMm = 45;
    private const double SmallMm = 28;

    /// <summary>Draws it.</summary>
    public static Drawing Of(CabinetStudy study)
    {
        ArgumentNullException.ThrowIfNull(study);
        List<DrawnRectangle> rectangles = [];
        List<DrawnLabel> labels = [];
        var left = 0.0;
        foreach (var section in study.Layout.Sections)
        {
            rectangles.Add(new DrawnRectangle("SECTIONS", left, study.PlinthMm, section.WidthMm, study.HeightMm));
            if (study.PlinthMm > 0)
            {
                rectangles.Add(new DrawnRectangle("PLINTH", left, 0, section.WidthMm, study.PlinthMm));
            }

            labels.Add(new DrawnLabel("TEXT", left + LabelMm, study.PlinthMm + study.HeightMm + LabelMm, LabelMm,
                string.Create(CultureInfo.InvariantCulture, $"{section.Number}: {section.WidthMm:0} mm")));
            foreach (var placed in section.Units)
            {
                var (x, y) = (left + placed.LeftMm, study.PlinthMm + placed.BottomMm);
                rectangles.Add(new DrawnRectangle("UNITS", x, y, placed.Unit.Size.WidthMm, placed.Unit.Size.HeightMm));
                labels.Add(new DrawnLabel("TEXT", x + 5, y + 5, SmallMm, placed.Unit.Name.Split(',')[0]));
            }

            left += section.WidthMm;
        }

        return new Drawing(rectangles, labels);
    }

    /// <summary>Section of a column seen from the side, its front to the left.</summary>
    /// <param name="study">Cabinets.</param>
    /// <param name="number">Number of the section.</param>
    public static Drawing Side(CabinetStudy study, int number)
    {
        ArgumentNullException.ThrowIfNull(study);
        var section = study.Layout.Sections.First(s => s.Number == number);
        List<DrawnRectangle> rectangles =
        [
            new("SECTIONS", 0, study.PlinthMm, study.DepthMm, study.HeightMm),
            .. study.PlinthMm > 0 ? [new DrawnRectangle("PLINTH", 0, 0, study.DepthMm, study.PlinthMm)] : Array.Empty<DrawnRectangle>(),
            .. section.Units.Select(u => new DrawnRectangle("UNITS", FrontOf(study, u.Unit.Size.DepthMm), study.PlinthMm + u.BottomMm,
                u.Unit.Size.DepthMm, u.Unit.Size.HeightMm)),
        ];
        return new Drawing(rectangles, [new DrawnLabel("TEXT", LabelMm, study.PlinthMm + study.HeightMm + LabelMm, LabelMm,
            string.Create(CultureInfo.InvariantCulture, $"section {number}, {study.DepthMm:0} mm deep"))]);
    }

    /// <summary>Floor plan, the doors below, with the way that is to stay free in front of them.</summary>
    public static Drawing Plan(CabinetStudy study)
    {
        ArgumentNullException.ThrowIfNull(study);
        var aisle = study.Build.AisleMm.Or(UsualAisleMm);
        List<DrawnRectangle> rectangles = [new("AISLE", 0, -aisle, study.Layout.WidthMm, aisle)];
        List<DrawnLabel> labels =
        [
            new("TEXT", LabelMm, LabelMm - aisle, LabelMm, string.Create(CultureInfo.InvariantCulture, $"way in front, {aisle:0} mm free")),
        ];
        var left = 0.0;
        foreach (var section in study.Layout.Sections)
        {
            rectangles.Add(new DrawnRectangle("SECTIONS", left, 0, section.WidthMm, study.DepthMm));
            labels.Add(new DrawnLabel("TEXT", left + LabelMm, study.DepthMm + LabelMm, LabelMm,
                section.Number.ToString(CultureInfo.InvariantCulture)));
            rectangles.AddRange(section.Units.Select(u => new DrawnRectangle("UNITS", left + u.LeftMm,
                FrontOf(study, u.Unit.Size.DepthMm), u.Unit.Size.WidthMm, u.Unit.Size.DepthMm)));
            left += section.WidthMm;
        }

        return new Drawing(rectangles, labels);
    }

    /// <summary>All of them, one beside the other.</summary>
    public static Drawing All(CabinetStudy study)
    {
        ArgumentNullException.ThrowIfNull(study);
        const double gap = 600;
        var fullest = study.Layout.Sections.MaxBy(s => s.Units.Count)!.Number;
        return Of(study).With(Side(study, fullest).Moved(study.Layout.WidthMm + gap, 0)).With(Plan(study).Moved(0, -study.DepthMm - gap));
    }

    // Units hang on the mounting plate at the back.
    private static double FrontOf(CabinetStudy study, double depthMm) => Math.Max(0, study.DepthMm - study.Series.BehindMm - depthMm);
}
