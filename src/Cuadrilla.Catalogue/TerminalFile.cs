using System.Text.Json;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Catalogue;

/// <summary>Usual terminals of units, and what control takes, as the data file has them.</summary>
internal sealed record TerminalFile(
    string Source, string Edition, string Columns, IReadOnlyDictionary<string, IReadOnlyList<JsonElement[]>> Units,
    IReadOnlyList<JsonElement[]> Extension, double InputMa, string UnitColumns, IReadOnlyList<double[]> UnitA, string CoilColumns,
    IReadOnlyList<double[]> Coils, double CardA, double InrushTimes, double FanWPerM3PerH)
{
    public TerminalSeries Build() => new(Units.ToDictionary(u => u.Key, u => Rows(u.Value), StringComparer.Ordinal), Rows(Extension),
        InputMa)
    {
        Draws = new ControlDraws([.. UnitA.Select(r => (r[0], r[1]))], [.. Coils.Select(r => (r[0], (r[1], r[2])))], CardA, InrushTimes,
            FanWPerM3PerH),
    };

    private static IReadOnlyList<UnitTerminal> Rows(IReadOnlyList<JsonElement[]> rows) =>
    [
        .. rows.Select(r => new UnitTerminal(r[0].GetString()!, Enum.Parse<TerminalNature>(r[1].GetString()!, ignoreCase: true),
            r[2].GetDouble(), r[3].GetDouble(), r[4].GetInt32(),
            r.Length > 5 ? Enum.Parse<SignalFunction>(r[5].GetString()!, ignoreCase: true) : null)),
    ];
}
