using System.Globalization;
using Cuadrilla.Core.Studies.Cabinets;

namespace Cuadrilla.Documents.Drawings;

/// <summary>Front elevation of a lineup's cabinets to scale.</summary>
public static class CabinetDrawing
{
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
}
