using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>A cable that signals of a drive point ask for.</summary>
/// <param name="PointId">Key of the drive point.</param>
/// <param name="Kind">What it carries.</param>
/// <param name="ToPlaceId">Place of its other end; empty: not stated.</param>
/// <param name="ToController">It ends at the controller.</param>
/// <param name="Signals">What runs in it.</param>
public sealed record SignalRun(
    string PointId, SignalKind Kind, string ToPlaceId, bool ToController, IReadOnlyList<PlacedSignal> Signals)
{
    /// <summary>Cores: two for each signal, one in common for digital ones.</summary>
    public int Cores => Kind switch
    {
        SignalKind.Control24V => Signals.Count + 1,
        SignalKind.Fieldbus => 4,
        SignalKind.Encoder => 8,
        _ => 2 * Signals.Count,
    };
}

/// <summary>Cables by what they carry and where they go.</summary>
public static class SignalRuns
{
    /// <summary>Cables of a plant's signals; what stays in the cabinet has none.</summary>
    public static IEnumerable<SignalRun> Of(SignalStudy study)
    {
        ArgumentNullException.ThrowIfNull(study);
        return study.Points.SelectMany(Of);
    }

    /// <summary>Cables of a drive point's signals.</summary>
    public static IEnumerable<SignalRun> Of(PointSignals unit)
    {
        ArgumentNullException.ThrowIfNull(unit);
        return unit.Signals.Where(s => s.Wanted.Far != FarEnd.Cabinet && !s.LacksTerminal && !s.LacksChannel)
            .GroupBy(s => (Kind: SignalFacts.KindOf(s.Wanted.Function, s.UnitRange), To: ToOf(unit, s),
                Controller: s.Wanted.Far == FarEnd.Controller))
            .Select(g => new SignalRun(unit.Point.Id, g.Key.Kind, g.Key.To, g.Key.Controller, [.. g]));
    }

    private static string ToOf(PointSignals unit, PlacedSignal signal) => signal.Wanted.Far switch
    {
        FarEnd.Controller => signal.Card?.PlaceId ?? string.Empty,
        FarEnd.LocalStation or FarEnd.Machine => unit.Point.Interference.MotorPlaceId,
        _ => string.Empty,
    };
}
