using System.Globalization;
using Dapper;

namespace Cuadrilla.Data.Commissioning;

/// <summary>A product's own number of a neutral parameter.</summary>
public sealed record OwnParameter
{
    /// <summary>Neutral key.</summary>
    public string Parameter { get; init; } = string.Empty;

    /// <summary>The product's own number or name.</summary>
    public string OwnNumber { get; init; } = string.Empty;

    /// <summary>Unit that the product shows it in; empty: that of the sheet.</summary>
    public string OwnUnit { get; init; } = string.Empty;

    /// <summary>Value in the product over value on the sheet: 10 for a display without decimals.</summary>
    public double Factor { get; init; } = 1;
}

/// <summary>A parameter sheet as it left.</summary>
public sealed record ParameterIssue
{
    /// <summary>Edit it was made on.</summary>
    public long Edit { get; init; }

    /// <summary>When.</summary>
    public string AtUtc { get; init; } = string.Empty;

    /// <summary>Who.</summary>
    public string Who { get; init; } = string.Empty;
}

/// <summary>Own numbers of products, kept for every project; and which sheets were issued.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
public sealed class ParameterStore(Database database, TimeProvider clock)
{
    /// <summary>Own numbers of a product, by neutral key.</summary>
    public IReadOnlyList<OwnParameter> Of(string product)
    {
        using var connection = database.Open();
        return connection.Query<OwnParameter>(
            "SELECT parameter, own_number, own_unit, factor FROM parameter_number WHERE product = @product ORDER BY parameter",
            new { product }).AsList();
    }

    /// <summary>Keeps own numbers of a product, all or none; one without a number is taken away.</summary>
    public void Keep(string product, IReadOnlyList<OwnParameter> numbers, string who)
    {
        ArgumentNullException.ThrowIfNull(numbers);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction(deferred: false);
        foreach (var number in numbers)
        {
            connection.Execute("DELETE FROM parameter_number WHERE product = @product AND parameter = @Parameter",
                new { product, number.Parameter }, transaction);
            if (number.OwnNumber.Length > 0)
            {
                connection.Execute(
                    "INSERT INTO parameter_number (product, parameter, own_number, own_unit, factor, at_utc, who) VALUES (@product, "
                        + "@Parameter, @OwnNumber, @OwnUnit, @Factor, @at, @who)",
                    new { product, number.Parameter, number.OwnNumber, number.OwnUnit, number.Factor, at = Now(), who }, transaction);
            }
        }

        transaction.Commit();
    }

    /// <summary>Notes that the sheet of a drive point left, made on an edit.</summary>
    public void Issue(string projectId, string pointId, long edit, string who)
    {
        using var connection = database.Open();
        connection.Execute(
            "INSERT INTO parameter_issue (project_id, point_id, edit, at_utc, who) VALUES (@projectId, @pointId, @edit, @at, @who) ON "
                + "CONFLICT DO NOTHING",
            new { projectId, pointId, edit, at = Now(), who });
    }

    /// <summary>The last issue of a drive point's sheet; null without.</summary>
    public ParameterIssue? Last(string projectId, string pointId)
    {
        using var connection = database.Open();
        return connection.QueryFirstOrDefault<ParameterIssue>(
            "SELECT edit, at_utc, who FROM parameter_issue WHERE project_id = @projectId AND point_id = "
                + "@pointId ORDER BY edit DESC LIMIT 1",
            new { projectId, pointId });
    }

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);
}
