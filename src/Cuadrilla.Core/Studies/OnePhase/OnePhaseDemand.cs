using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>What a lineup draws through its two conductors in a scenario.</summary>
/// <param name="Scenario">Which.</param>
/// <param name="RmsA">Rms of the sum of all waves, A.</param>
/// <param name="TriplenA">Rms of its orders 3, 9, 15 …, A.</param>
/// <param name="RunningKva">Apparent power of motors on a made third phase, kVA.</param>
internal sealed record OnePhaseDemand(ScenarioResult Scenario, double RmsA, double TriplenA, double RunningKva)
{
    private const int Triplen = 3;

    /// <summary>Neutral of three such supplies, one on each phase, A.</summary>
    public double NeutralOfThreeA => Triplen * TriplenA;

    public static IReadOnlyList<OnePhaseDemand> Of(Lineup lineup, SupplyContext supply)
    {
        var one = lineup.OnePhase!;
        var supplyV = one.VoltageOn(supply.Plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
        var ids = lineup.DrivePoints.Select(p => p.Id).Concat(lineup.Arrangements.Select(a => a.Id)).ToHashSet(StringComparer.Ordinal);
        return [.. supply.Scenarios.Where(s => s.Network.IsLive(lineup.BusId)).Select(s => In(s, ids, one, lineup.BusId, supplyV))];
    }

    private static OnePhaseDemand In(ScenarioResult scenario, HashSet<string> ids, OnePhaseSupply one, string busId, double supplyV)
    {
        var orders = new Complex[LineCurrent.HighestOrder];
        foreach (var draw in scenario.Drives.Where(d => ids.Contains(d.DrivePointId)).Select(d => d.Front)
            .OfType<RectifierResult.LineDraw>())
        {
            for (var h = 0; h < orders.Length; h++)
            {
                orders[h] += draw.PhaseA.Orders[h];
            }
        }

        // What is on the line is a power: at a lower voltage it draws more.
        var linear = scenario.OnLine.Where(d => ids.Contains(d.DrivePointId)).Aggregate(Complex.Zero, (sum, d) => sum + d.PowerVa);
        var volts = supplyV * scenario.Buses.FirstOrDefault(b => b.BusId == busId)?.VoltagePu ?? supplyV;
        orders[0] += Complex.Conjugate(linear + OnePhaseUsual.IdleVa(one)) / volts;
        double Rms(Func<int, bool> takes) => Math.Sqrt(orders.Select((o, i) => takes(i + 1) ? o.Magnitude * o.Magnitude : 0).Sum());
        return new OnePhaseDemand(scenario, Rms(_ => true), Rms(h => h % Triplen == 0), linear.Magnitude / 1e3);
    }
}
