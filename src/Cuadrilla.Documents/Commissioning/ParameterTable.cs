using System.Globalization;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Sheets;

namespace Cuadrilla.Documents.Commissioning;

/// <summary>A product's own number of a parameter, and what 1 of the sheet is in it.</summary>
/// <param name="Number">Own number or name.</param>
/// <param name="Unit">Own unit; empty: that of the sheet.</param>
/// <param name="Factor">Value in the product over value on the sheet.</param>
public sealed record OwnNumber(string Number, string Unit, double Factor);

/// <summary>A value as it was left in the unit.</summary>
/// <param name="Value">In the product's own unit.</param>
/// <param name="Date">When.</param>
public sealed record LeftValue(string Value, string Date);

/// <summary>Parameter sheets as tables, out and in.</summary>
public static class ParameterTable
{
    /// <summary>Head of the column of neutral keys.</summary>
    public const string Key = "key";

    /// <summary>Head of the column of values as left.</summary>
    public const string AsLeft = "as left";

    /// <summary>Rows of a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="tag">Tag of its drive point.</param>
    /// <param name="edit">Edit it was made on.</param>
    /// <param name="own">Own numbers by neutral key.</param>
    /// <param name="left">Values as left by neutral key.</param>
    /// <param name="changed">Keys that changed since the sheet was last issued.</param>
    public static IReadOnlyList<IReadOnlyDictionary<string, object?>> Rows(ParameterSheet sheet, string tag, long edit,
        IReadOnlyDictionary<string, OwnNumber> own, IReadOnlyDictionary<string, LeftValue> left, IReadOnlySet<string> changed)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(own);
        ArgumentNullException.ThrowIfNull(left);
        ArgumentNullException.ThrowIfNull(changed);
        return sheet.Rows.Select(r => TableFiles.Guarded(new Dictionary<string, object?>
        {
            ["drive point"] = tag,
            [Key] = r.Id,
            ["parameter"] = r.Name,
            ["value"] = r.Number.IsKnown ? Rounded(r.Number.Value) : r.Word,
            ["unit"] = r.Unit,
            ["scaling"] = r.Scaling,
            ["basis"] = Word(r.Basis),
            ["origin"] = r.Reason.WithNumbers,
            ["own number"] = own.GetValueOrDefault(r.Id)?.Number ?? string.Empty,
            ["own value"] = OwnValue(r, own.GetValueOrDefault(r.Id)),
            ["own unit"] = own.GetValueOrDefault(r.Id)?.Unit ?? string.Empty,
            [AsLeft] = left.GetValueOrDefault(r.Id)?.Value ?? string.Empty,
            ["left on"] = left.GetValueOrDefault(r.Id)?.Date ?? string.Empty,
            ["changed since issue"] = changed.Contains(r.Id) ? "changed" : string.Empty,
            ["edit"] = edit,
        })).ToList();
    }

    /// <summary>A sheet on paper: what is set, what the product calls it, a column to write in, the edit it is of.</summary>
    /// <param name="plant">Name of the plant.</param>
    /// <param name="name">Tag and name of the drive point.</param>
    /// <param name="product">Product.</param>
    /// <param name="rows">Rows of <see cref="Rows"/>.</param>
    /// <param name="edit">Edit it was made on.</param>
    /// <param name="date">Date of the print.</param>
    public static byte[] Pdf(string plant, string name, string product, IReadOnlyList<IReadOnlyDictionary<string, object?>> rows, long edit,
        DateOnly date)
    {
        ArgumentNullException.ThrowIfNull(rows);
        string Text(IReadOnlyDictionary<string, object?> row, string column) =>
            Convert.ToString(row[column], CultureInfo.InvariantCulture) is { Length: > 0 } text ? text : "–";
        string[] columns = ["parameter", "value", "unit", "scaling", "basis", "own number", "own value", AsLeft, "changed since issue"];
        return DrawingPdf.Write(
            new DrawingHead("Parameter sheet", name, [plant, product, FormattableString.Invariant($"specification of edit {edit}"),
                date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)]),
            [], [new SheetTable("Parameters", columns, [.. rows.Select(r => (IReadOnlyList<string>)[.. columns.Select(c => Text(r, c))])])],
            ["What is proposed nobody has decided: confirm it before it is set. The maker's instructions decide what a parameter does.",
                "Parameters of safety functions are set and proven by the person responsible for them, and are not on this sheet."]);
    }

    /// <summary>Value in the product's own scaling; empty without a number of it.</summary>
    public static string OwnValue(ParameterRow row, OwnNumber? own)
    {
        ArgumentNullException.ThrowIfNull(row);
        return own is null ? string.Empty
            : row.Number.IsKnown ? Rounded(row.Number.Value * own.Factor).ToString(CultureInfo.InvariantCulture)
            : row.Word;
    }

    /// <summary>What a basis is called.</summary>
    public static string Word(ParameterBasis basis) => basis switch
    {
        ParameterBasis.Specified => "specified",
        ParameterBasis.Computed => "computed",
        ParameterBasis.Proposed => "proposed",
        ParameterBasis.NeedsData => "needs data",
        _ => "on site",
    };

    // Four digits, as the sheet shows it.
    private static double Rounded(double value) => double.Parse(Core.Base.Text.N(value), CultureInfo.InvariantCulture);
}
