using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using MiniExcelLibs;

namespace Cuadrilla.Documents.Lists;

/// <summary>Rows with headings as a file of a spreadsheet; every text guarded against being taken for a formula.</summary>
public static class TableFiles
{
    /// <summary>As CSV: UTF-8 with byte-order mark, comma, decimal point.</summary>
    /// <param name="rows">At least one row; all with the same headings.</param>
    public static byte[] Csv(IReadOnlyList<IReadOnlyDictionary<string, object?>> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        using var memory = new MemoryStream();
        using (var writer = new StreamWriter(memory, new UTF8Encoding(encoderShouldEmitUTF8Identifier: true)))
        using (var csv = new CsvWriter(writer, new CsvConfiguration(CultureInfo.InvariantCulture)))
        {
            foreach (var heading in rows[0].Keys)
            {
                csv.WriteField(heading);
            }

            csv.NextRecord();
            foreach (var row in rows)
            {
                foreach (var value in row.Values)
                {
                    csv.WriteField(value is double number ? number.ToString("0.####", CultureInfo.InvariantCulture) : value);
                }

                csv.NextRecord();
            }
        }

        return memory.ToArray();
    }

    /// <summary>As a workbook, a sheet for each table.</summary>
    /// <param name="sheets">Rows by the name of their sheet.</param>
    public static byte[] Xlsx(IReadOnlyDictionary<string, IReadOnlyList<IReadOnlyDictionary<string, object?>>> sheets)
    {
        ArgumentNullException.ThrowIfNull(sheets);
        using var memory = new MemoryStream();
        memory.SaveAs(sheets.ToDictionary(s => s.Key, s => (object)s.Value));
        return memory.ToArray();
    }

    /// <summary>Texts of a row guarded.</summary>
    public static Dictionary<string, object?> Guarded(IEnumerable<KeyValuePair<string, object?>> row) =>
        row.ToDictionary(c => c.Key, c => c.Value is string text ? DriveList.Guarded(text) : c.Value);
}
