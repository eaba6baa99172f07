using Cuadrilla.Core.Checks;
using SkiaSharp;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The shape of a verdict: disc, triangle, crossed square, dashed ring. The word always stands beside it.</summary>
internal static class VerdictMark
{
    private const float Radius = 3.4f;

    public static void Draw(PdfPen pen, Verdict verdict, float x, float y)
    {
        using var fill = new SKPaint { IsAntialias = true, Style = SKPaintStyle.Fill };
        using var stroke = new SKPaint { IsAntialias = true, Style = SKPaintStyle.Stroke, StrokeWidth = 1 };
        switch (verdict)
        {
            case Verdict.Holds:
                fill.Color = SKColor.Parse("#33638F");
                pen.Canvas.DrawCircle(x, y, Radius, fill);
                break;
            case Verdict.Tight:
                fill.Color = SKColor.Parse("#B27A12");
                using (var path = new SKPath())
                {
                    path.MoveTo(x, y - Radius - 0.6f);
                    path.LineTo(x + Radius + 0.6f, y + Radius);
                    path.LineTo(x - Radius - 0.6f, y + Radius);
                    path.Close();
                    pen.Canvas.DrawPath(path, fill);
                }

                break;
            case Verdict.Fails:
                fill.Color = SKColor.Parse("#B0352B");
                pen.Canvas.DrawRect(x - Radius, y - Radius, 2 * Radius, 2 * Radius, fill);
                stroke.Color = SKColors.White;
                pen.Canvas.DrawLine(x - 1.8f, y - 1.8f, x + 1.8f, y + 1.8f, stroke);
                pen.Canvas.DrawLine(x + 1.8f, y - 1.8f, x - 1.8f, y + 1.8f, stroke);
                break;
            default:
                stroke.Color = PdfPen.Soft;
                stroke.PathEffect = SKPathEffect.CreateDash([1.8f, 1.4f], 0);
                pen.Canvas.DrawCircle(x, y, Radius, stroke);
                break;
        }
    }
}
