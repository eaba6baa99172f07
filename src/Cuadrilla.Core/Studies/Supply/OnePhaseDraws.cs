using System.Numerics;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// What rotary and static converters draw through two conductors of three. The positive sequence of it stands among the loads as their
/// power; what is left is a negative sequence of the same size, and between phase and neutral a zero sequence that stays in the neutral.
/// </summary>
internal static class OnePhaseDraws
{
    private const double Across = Math.PI / 6;
    private const double Hour = Math.PI / 6;

    /// <summary>Power by bus and pair of conductors, VA; what idles with it.</summary>
    public static IReadOnlyList<(string BusId, bool ToNeutral, Complex Va)> Of(PlantSpecification plant, IReadOnlyList<LineDrive> onLine,
        SupplyNetwork network) =>
    [
        .. onLine.Where(d => d.FromOnePhase).Select(d => (d.BusId, d.ToNeutral, d.PowerVa)),
        .. plant.Lineups.Where(l => l.OnePhase is not null && network.IsLive(l.BusId))
            .Select(l => (l.BusId, l.OnePhase!.ToNeutral, OnePhaseUsual.IdleVa(l.OnePhase))).Where(l => l.Item3 != Complex.Zero),
    ];

    /// <summary>Negative sequence of a power at nominal voltage, per unit, in the frame of the source.</summary>
    public static Sequences Negative(string busId, bool toNeutral, Complex va, SupplyNetwork network)
    {
        var shift = -network.ClockHour(busId) * Hour;
        var line = Math.Sqrt(3) * Complex.Conjugate(va) / SupplyNetwork.BaseVa;
        var current = toNeutral ? Math.Sqrt(3) * line : line;
        var ahead = current * Complex.FromPolarCoordinates(1, Across);
        var all = toNeutral ? Sequences.Of(current, Complex.Zero, Complex.Zero) : Sequences.Of(ahead, -ahead, Complex.Zero);
        return new Sequences(Complex.Zero, all.ToSource(1, shift, shift).Negative);
    }
}
