using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Documents.Units;
using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>Torque over speed on the sheet.</summary>
internal static class TorquePicture
{
    public static void Draw(PdfPen pen, TorqueCurves curves, UnitSystem units, SKRect area)
    {
        var frame = new SKRect(area.Left + 30, area.Top, area.Right, area.Bottom - 22);
        var topSpeed = curves.Points[^1].SpeedRpm;
        var topTorque = 1.1 * Math.Max(curves.Points.Max(p => p.ContinuousNm),
            Math.Max(curves.Points.Max(p => p.PeakNm), curves.Working.Max(w => w.TorqueNm)));
        SKPoint At(double speed, double torque) => new(
            frame.Left + (float)(speed / topSpeed * frame.Width),
            frame.Bottom - (float)(Math.Min(torque, topTorque) / topTorque * frame.Height));

        var torque = UnitTable.Of("Nm");
        Axes(pen, frame, topSpeed, torque.In(units, topTorque),
            (speed, shown) => At(speed, shown * topTorque / torque.In(units, topTorque)));
        pen.Path(curves.Points.Select(p => At(p.SpeedRpm, p.PeakNm)), PdfPen.Soft, 0.8f, [3, 2]);
        pen.Path(curves.Points.Select(p => At(p.SpeedRpm, p.ContinuousNm)), PdfPen.Plum, 1.3f);
        pen.Path(curves.Points.Where(p => p.LoadNm is not null).Select(p => At(p.SpeedRpm, p.LoadNm!.Value)), PdfPen.Ink, 1.1f);
        using var dot = new SKPaint { Color = PdfPen.Ink, IsAntialias = true, Style = SKPaintStyle.Fill };
        foreach (var point in curves.Working)
        {
            pen.Canvas.DrawCircle(At(point.SpeedRpm, point.TorqueNm), 1.8f, dot);
        }

        var y = frame.Bottom + 20;
        pen.Text("— load", frame.Left, y, 7, PdfPen.Ink);
        pen.Text("— continuous", frame.Left + 34, y, 7, PdfPen.Plum);
        pen.Text("- - peak", frame.Left + 88, y, 7, PdfPen.Soft);
        pen.Text($"{torque.UnitIn(units)} over rpm", frame.Left + 122, y, 7, PdfPen.Soft);
    }

    private static void Axes(PdfPen pen, SKRect frame, double topSpeed, double topTorque, Func<double, double, SKPoint> at)
    {
        foreach (var torque in Ticks(topTorque, 4))
        {
            var y = at(0, torque).Y;
            pen.Line(frame.Left, y, frame.Right, y, PdfPen.Rule, 0.5f);
            var label = Text.N(torque, 4);
            pen.Text(label, frame.Left - 4 - PdfPen.Width(label, 7), y + 2.4f, 7, PdfPen.Soft);
        }

        foreach (var speed in Ticks(topSpeed, 5))
        {
            var x = at(speed, 0).X;
            pen.Line(x, frame.Bottom, x, frame.Bottom + 2.5f, PdfPen.Soft, 0.5f);
            var label = Text.N(speed, 4);
            pen.Text(label, x - (PdfPen.Width(label, 7) / 2), frame.Bottom + 10, 7, PdfPen.Soft);
        }

        pen.Line(frame.Left, frame.Bottom, frame.Right, frame.Bottom, PdfPen.Ink, 0.7f);
    }

    // Round steps: 1, 2 or 5 times a power of ten.
    private static IEnumerable<double> Ticks(double top, int about)
    {
        var raw = top / about;
        var power = Math.Pow(10, Math.Floor(Math.Log10(raw)));
        var step = power * (raw / power < 1.5 ? 1 : raw / power < 3.5 ? 2 : raw / power < 7.5 ? 5 : 10);
        for (var value = 0.0; value <= top; value += step)
        {
            yield return value;
        }
    }
}
