using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Both ends of analogue signals and what the unit makes of them: <c>io.scaling</c>.</summary>
internal static class SignalScalingChecks
{
    private const string Id = "io.scaling";
    private const string Title = "Scaling";

    // Below the resolution of any card.
    private const double SamePct = 1e-6;

    public static IEnumerable<Check> Of(PointSignals unit)
    {
        var analogue = unit.Signals.Where(s => s.Facts.IsAnalogue && s.Terminal is not null && !s.LacksChannel).ToList();
        if (analogue.Count == 0)
        {
            yield break;
        }

        List<string> missing = [.. analogue.Where(s => !s.Wanted.FullAt.IsKnown && unit.Motor is null
            && s.Facts.Quantity != SignalQuantity.Percent)
            .Select(s => $"value of {s.Facts.Name} at 100 %, or the motor")];
        List<string> faults = [], holds = [];
        foreach (var signal in analogue)
        {
            if (unit.Ends(signal) is { IsOneKind: true } ends)
            {
                (ends.DifferencePct > SamePct ? faults : holds).Add(Said(unit, signal, ends));
            }
        }

        yield return faults.Count == 0 && missing.Count > 0
            ? SignalChecks.Lacking(Id, unit, Title, missing)
            : SignalChecks.Rule(Id, unit, Title, faults,
                holds.Count > 0 ? string.Join("; ", holds) : "no signal whose ends are of one kind",
                "both ends make the same value of the same signal", "Relief: the same values at 0 and 100 % at both ends, the same "
                    + "live zero.");
    }

    private static string Said(PointSignals unit, PlacedSignal signal, SignalEnds ends)
    {
        var name = SignalWords.Unit(signal.Facts.Quantity);
        var said = $"{signal.Facts.Name}, {SignalWords.Of(ends.Range)}: {Text.N(ends.ZeroAt)} to {Text.N(ends.FullAt)} {name} at the unit"
            + Speed(unit, signal, ends.FullAt);
        if (ends.DifferencePct <= SamePct)
        {
            return said + (signal.Wanted.FarFullAt.IsKnown ? ", the same at the other end" : ", given to the other end by the list");
        }

        var middle = ends.Signal(50);
        return $"{said}, {Text.N(ends.FarZeroAt)} to {Text.N(ends.FarFullAt)} {name} on {SignalWords.Of(ends.FarRange)} at the other end: "
            + $"at {Text.N(middle)} {(SignalScaling.IsVoltage(ends.FarRange) ? "V" : "mA")} the one has "
            + $"{Text.N(ends.UnitValue(middle), 3)} {name}, the other {Text.N(ends.FarValue(middle), 3)} {name}";
    }

    // 3000 rpm at 50 Hz is a two-pole motor only.
    private static string Speed(PointSignals unit, PlacedSignal signal, double full) =>
        unit.Motor is { } motor && signal.Facts.Quantity == SignalQuantity.FrequencyHz
            ? $" (synchronous {Text.N(120 * full / motor.Poles)} rpm with {motor.Poles} poles)"
            : string.Empty;
}
