using System.IO.Compression;
using System.Xml;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;
using DocumentFormat.OpenXml.Packaging;

namespace Cuadrilla.Documents.Tables;

/// <summary>
/// Reads the first sheet of a workbook as rows of text, from what stands in it: dimensions that it states of itself are not believed, and
/// cells, rows, columns, unpacked bytes and time are bounded.
/// </summary>
public static class Workbook
{
    /// <summary>Rows of the first sheet; cells that are absent are empty, rows end at their last cell.</summary>
    /// <param name="file">The file, which can be sought in.</param>
    /// <param name="stop">Stops the reading.</param>
    /// <exception cref="InputException">No workbook, or one larger than what is read; says which limit.</exception>
    public static IReadOnlyList<IReadOnlyList<string>> Read(Stream file, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(file);
        try
        {
            RequireSize(file);
            file.Position = 0;
            using var document = SpreadsheetDocument.Open(file, false,
                new OpenSettings { MaxCharactersInPart = WorkbookLimits.CharactersInPart });
            return new SheetReader(document, stop).Rows();
        }
        catch (Exception problem) when (problem is InvalidDataException or OpenXmlPackageException or XmlException or FormatException
            or FileFormatException
            or IOException or InvalidOperationException or ArgumentException or KeyNotFoundException or NotSupportedException)
        {
            throw Refused("Workbook", "no readable .xlsx", "a workbook with a sheet of rows");
        }
    }

    internal static InputException Refused(string name, string value, string allowed) =>
        new(InputProblem.Of(string.Empty, name, value, allowed));

    // What a packed part says of its length is the most that is unpacked of it.
    private static void RequireSize(Stream file)
    {
        using var zip = new ZipArchive(file, ZipArchiveMode.Read, leaveOpen: true);
        if (zip.Entries.Count > WorkbookLimits.Parts)
        {
            throw Refused("Workbook", $"{zip.Entries.Count} parts", $"at most {WorkbookLimits.Parts} parts");
        }

        if (zip.Entries.Sum(e => (double)e.Length) > WorkbookLimits.UnpackedBytes)
        {
            throw Refused("Workbook", "more than 64 MB unpacked", "at most 64 MB unpacked");
        }
    }
}
