using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Catalogue;

/// <summary>Capacities of cables as the data file has them.</summary>
internal sealed record CableCapacityFile(
    string Source, string Edition, string Columns, IReadOnlyList<IReadOnlyList<System.Text.Json.JsonElement>> Rows,
    IReadOnlyDictionary<CableGrouping, IReadOnlyList<double>> GroupPu, double AluminiumPu, double AluminiumFromMm2,
    IReadOnlyList<double> DuctPu,
    IReadOnlyList<double[]> SoilPu)
{
    public CableTables Build() => new([.. Rows.Select(r => new CapacityRow(r[0].GetDouble(), Amperes(r[1]), Amperes(r[2])))], GroupPu,
        AluminiumPu, AluminiumFromMm2, DuctPu,
        [.. SoilPu.Select(s => (s[0], s[1]))]);

    private static IReadOnlyList<double?> Amperes(System.Text.Json.JsonElement list) =>
        [.. list.EnumerateArray().Select(v => v.ValueKind == System.Text.Json.JsonValueKind.Null ? (double?)null : v.GetDouble())];
}

/// <summary>gG fuses as the data file has them.</summary>
internal sealed record GgFuseFile(string Source, string Edition, IReadOnlyList<double> StandardA, string Columns,
    IReadOnlyList<double[]> Gates)
{
    public GgFuses Build() => new(StandardA, [.. Gates.Select(g => new GgFuse(g[0], g[1], g[2], g[3], g[4]))]);
}
