using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Documents.Sheets;

/// <summary>Signals of a lineup, and its control supply, on its sheet.</summary>
internal static class SignalSheet
{
    public static IEnumerable<SheetTable> Signals(Lineup lineup, SignalStudy study)
    {
        var units = study.Points.Where(p => p.Lineup.Id == lineup.Id).ToList();
        if (units.Count > 0)
        {
            yield return new SheetTable("Signals", ["at", "signal", "kind", "terminal", "other end", "0 to 100 %"],
                [.. units.SelectMany(u => u.Signals.Select(s => Row(u, s)))]);
        }
    }

    public static IEnumerable<SheetLine> Control(ControlSupplyStudy? study)
    {
        if (study is not null)
        {
            yield return new SheetLine("Control supply", study.Budget is { } budget
                ? $"24 V, {Text.N(budget.Source.RatedA)} A; {Text.N(budget.SteadyA, 3)} A steady, {Text.N(budget.InrushA, 3)} A for "
                    + "moments; "
                    + string.Join("; ", study.Branches.Select(b => $"{b.Build.Name} {Text.N(b.SteadyA, 3)} A behind "
                    + $"{Text.N(b.Build.ProtectionA.Value)} A"))
                : "not stated in full");
        }
    }

    private static IReadOnlyList<string> Row(PointSignals unit, PlacedSignal s)
    {
        var ends = unit.Ends(s);
        return
        [
            unit.Point.Tag, s.Facts.Name,
            s.UnitRange is { } range
                ? SignalWords.Of(range)
                : s.Terminal is { } terminal ? SignalWords.Of(terminal.Nature) : "outside the unit",
            s.Terminal?.Name ?? (s.LacksTerminal ? "none left" : "–"),
            s.Card is null ? s.LacksChannel ? "no channel left" : SignalWords.Of(s.Wanted.Far) : s.Channel,
            ends is null ? "–" : $"{Text.N(ends.ZeroAt)} to {Text.N(ends.FullAt)} {SignalWords.Unit(s.Facts.Quantity)}",
        ];
    }
}
