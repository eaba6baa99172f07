namespace Cuadrilla.Documents.Tables;

/// <summary>How much of a workbook is read; a list of drives needs a small part of it.</summary>
internal static class WorkbookLimits
{
    public const int Parts = 1_000;
    public const long UnpackedBytes = 64_000_000;
    public const int CharactersInPart = 32_000_000;
    public const int Rows = 20_000;
    public const int Columns = 200;
    public const int Cells = 400_000;
    public const int SharedTexts = 400_000;
    public const int CharactersInCell = 10_000;

    public static readonly TimeSpan Time = TimeSpan.FromSeconds(10);
}
