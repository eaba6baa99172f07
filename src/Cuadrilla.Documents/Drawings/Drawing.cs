namespace Cuadrilla.Documents.Drawings;

/// <summary>A drawing of rectangles and texts in mm, the origin at the lower left.</summary>
/// <param name="Rectangles">Rectangles.</param>
/// <param name="Labels">Texts.</param>
public sealed record Drawing(IReadOnlyList<DrawnRectangle> Rectangles, IReadOnlyList<DrawnLabel> Labels);

/// <summary>A rectangle.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="LeftMm">Left edge, mm.</param>
/// <param name="BottomMm">Lower edge, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
public readonly record struct DrawnRectangle(string Layer, double LeftMm, double BottomMm, double WidthMm, double HeightMm);

/// <summary>A text.</summary>
/// <param name="Layer">Layer, letters and digits.</param>
/// <param name="LeftMm">Where it begins, mm.</param>
/// <param name="BottomMm">Its base line, mm.</param>
/// <param name="SizeMm">Height of capitals, mm.</param>
/// <param name="Text">What it says.</param>
public readonly record struct DrawnLabel(string Layer, double LeftMm, double BottomMm, double SizeMm, string Text);
