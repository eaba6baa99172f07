using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Data.Commissioning;

namespace Cuadrilla.Web.Commissioning;

/// <summary>A row of a parameter sheet.</summary>
/// <param name="Id">Neutral key.</param>
/// <param name="Group">Part of the sheet.</param>
/// <param name="Name">Neutral name.</param>
/// <param name="Value">Its value as text; empty where there is none.</param>
/// <param name="Number">The same as a number; null where it is a word, or none.</param>
/// <param name="Unit">Unit of a number.</param>
/// <param name="Scaling">What 100 % of it is.</param>
/// <param name="Basis">Where it is from.</param>
/// <param name="Row">Band of the board that it leads to.</param>
/// <param name="Reason">Formula, numbers, source.</param>
/// <param name="OwnNumber">The product's own number; empty: not kept yet.</param>
/// <param name="OwnValue">Value in the product's scaling.</param>
/// <param name="OwnUnit">Unit there.</param>
/// <param name="Factor">Value in the product over value on the sheet.</param>
/// <param name="Left">Value as left; empty without.</param>
/// <param name="LeftOn">When.</param>
/// <param name="Was">Value on the sheet that was last issued, where it is another; null where nothing changed.</param>
internal sealed record ParameterRowDocument(string Id, ParameterGroup Group, string Name, string Value, double? Number, string Unit,
    string Scaling,
    ParameterBasis Basis, BoardRow Row, Reason Reason, string OwnNumber, string OwnValue, string OwnUnit, double Factor, string Left,
    string LeftOn, string? Was);

/// <summary>A parameter sheet.</summary>
/// <param name="PointId">Drive point.</param>
/// <param name="Product">Products of one name share their own numbers.</param>
/// <param name="Edit">Edit it is of.</param>
/// <param name="Issue">When it was last issued; null: never.</param>
/// <param name="Rows">Its rows.</param>
/// <param name="Gone">Rows of the issued sheet that are no longer on it.</param>
internal sealed record ParameterSheetDocument(string PointId, string Product, long Edit, ParameterIssue? Issue,
    IReadOnlyList<ParameterRowDocument> Rows, IReadOnlyList<ParameterChange> Gone);

/// <summary>A parameter over all drive points.</summary>
/// <param name="Id">Neutral key.</param>
/// <param name="Name">Neutral name.</param>
/// <param name="Values">Value with its unit by drive point; absent where it is not on its sheet.</param>
internal sealed record ParameterOverview(string Id, string Name, IReadOnlyDictionary<string, string> Values);

/// <summary>Own numbers of a product to be kept.</summary>
/// <param name="Who">Who keeps them.</param>
/// <param name="Product">The product.</param>
/// <param name="Numbers">Own numbers; an empty one is taken away.</param>
internal sealed record KeepNumbersRequest(string Who, string Product, IReadOnlyList<OwnParameter> Numbers);

/// <summary>That a sheet leaves.</summary>
/// <param name="Who">Who issues it.</param>
internal sealed record IssueRequest(string Who);

/// <summary>Values as left, as a table.</summary>
/// <param name="Who">Who left them so.</param>
/// <param name="Heads">Heads of the columns: key, as left; own number, left on are taken too.</param>
/// <param name="Rows">Cells of each row.</param>
internal sealed record LeftRequest(string Who, IReadOnlyList<string> Heads, IReadOnlyList<IReadOnlyList<string>> Rows);

/// <summary>A refused row.</summary>
/// <param name="Row">Its number, 1 first.</param>
/// <param name="Why">Why it was not taken.</param>
internal sealed record RefusedRow(int Row, string Why);

/// <summary>What became of values as left.</summary>
/// <param name="Taken">Rows taken.</param>
/// <param name="Refused">Rows not taken.</param>
/// <param name="Sheet">The sheet now.</param>
internal sealed record LeftDocument(int Taken, IReadOnlyList<RefusedRow> Refused, ParameterSheetDocument Sheet);
