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
/// <param name="Runs">True where one of its machines runs.</param>
/// <param name="BesideTriplenA">Triplen orders of what else of its bus stands between phase and neutral, A.</param>
/// <param name="BesideRestA">What is left of that, A.</param>
internal sealed record OnePhaseDemand(ScenarioResult Scenario, double RmsA, double TriplenA, double RunningKva, bool Runs,
    double BesideTriplenA, double BesideRestA)
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

    /// <summary>Neutral that it shares with what else of its bus stands between phase and neutral: triplen orders of all phases add, of the
    /// rest that of the fullest stays, A.</summary>
    public double SharedNeutralA
    {
        get
        {
            var rest = Math.Max(Math.Sqrt(Math.Max(0, (RmsA * RmsA) - (TriplenA * TriplenA))), BesideRestA);
            var triplen = TriplenA + BesideTriplenA;
            return Math.Sqrt((triplen * triplen) + (rest * rest));
        }
    }

    private static OnePhaseDemand In(ScenarioResult scenario, HashSet<string> ids, OnePhaseSupply one, string busId, double supplyV)
    {
        var orders = SumOf(scenario.Drives.Where(d => ids.Contains(d.DrivePointId)));
        var beside = SumOf(scenario.Drives.Where(d => d.IsToNeutral && d.BusId == busId && !ids.Contains(d.DrivePointId)));

        // What is on the line is a power: at a lower voltage it draws more.
        List<LineDrive> onLine = [.. scenario.OnLine.Where(d => ids.Contains(d.DrivePointId))];
        var linear = onLine.Aggregate(Complex.Zero, (sum, d) => sum + d.PowerVa);
        var volts = supplyV * (scenario.Buses.FirstOrDefault(b => b.BusId == busId)?.VoltagePu ?? 1);
        orders[0] += Complex.Conjugate(linear + OnePhaseUsual.IdleVa(one)) / volts;
        return new OnePhaseDemand(scenario, Rms(orders, _ => true), Rms(orders, IsTriplen), linear.Magnitude / 1e3,
            onLine.Count > 0 || scenario.Drives.Any(d => ids.Contains(d.DrivePointId)), Rms(beside, IsTriplen),
            Rms(beside, h => !IsTriplen(h)));
    }

    private static Complex[] SumOf(IEnumerable<DriveInScenario> drives)
    {
        var orders = new Complex[LineCurrent.HighestOrder];
        foreach (var draw in drives.Select(d => d.Front).OfType<RectifierResult.LineDraw>())
        {
            for (var h = 0; h < orders.Length; h++)
            {
                orders[h] += draw.PhaseA.Orders[h];
            }
        }

        return orders;
    }

    private static bool IsTriplen(int order) => order % Triplen == 0;

    private static double Rms(Complex[] orders, Func<int, bool> takes) =>
        Math.Sqrt(orders.Select((o, i) => takes(i + 1) ? o.Magnitude * o.Magnitude : 0).Sum());
}
