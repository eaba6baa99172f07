using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>
/// Lineups, or a single drive point, that could hang from a bus whose vector group turns the 5th and the 7th the other way: drives on odd
/// and on even clock hours cancel these orders.
/// </summary>
internal static class VectorGroupMoves
{
    // Each costs an assessment of the plant.
    private const int MostMoves = 2;

    /// <summary>The moves, those with the largest rectifier load first.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="pointIds">Drive points looked at.</param>
    /// <param name="assessment">The plant as it is.</param>
    public static IReadOnlyList<(MitigationMove Move, string Name)> Of(
        PlantSpecification plant, IReadOnlyCollection<string> pointIds, PlantAssessment assessment)
    {
        if (assessment.Scenarios.Count == 0)
        {
            return [];
        }

        var network = assessment.Scenarios[0].Network;
        bool Crosses(string from, string to) => network.IsLive(from) && network.IsLive(to)
            && network.ClockHour(from) % 2 != network.ClockHour(to) % 2
            && Math.Abs((network.VoltageV(from) / network.VoltageV(to)) - 1) < 0.01;
        double Load(IEnumerable<string> ids) =>
            assessment.Scenarios.Max(s => s.Drives.Where(d => ids.Contains(d.DrivePointId)).Sum(d => d.Point.DcLoadW));
        var moves = new List<(double LoadW, MitigationMove Move, string Name)>();
        foreach (var lineup in plant.Lineups.Where(l => l.DrivePoints.Count > 0))
        {
            var ids = lineup.DrivePoints.Select(p => p.Id).ToList();
            if (ids.TrueForAll(pointIds.Contains))
            {
                moves.AddRange(plant.Distribution.Buses.Where(b => Crosses(lineup.BusId, b.Id)).Select(b => (
                    Load([.. ids, .. lineup.DcBuses.Select(d => d.Id), .. lineup.Arrangements.Select(a => a.Id)]),
                    new MitigationMove(lineup.Id, b.Id, string.Empty, string.Empty),
                    $"{lineup.Tag} {lineup.Name} moved to {b.Name}")));
            }
            else if (pointIds.Count == 1 && lineup.DrivePoints.FirstOrDefault(p => pointIds.Contains(p.Id)) is { } point
                && IsFree(lineup, point.Id))
            {
                moves.AddRange(plant.Lineups.Where(l => Crosses(lineup.BusId, l.BusId)).Select(to => (
                    Load([point.Id]),
                    new MitigationMove(string.Empty, to.BusId, point.Id, to.Id),
                    $"{point.Tag} moved into {to.Tag} {to.Name}, at {plant.Distribution.Bus(to.BusId).Name}")));
            }
        }

        return [.. moves.Where(m => m.LoadW > 0).OrderByDescending(m => m.LoadW).Take(MostMoves).Select(m => (m.Move, m.Name))];
    }

    // What is coupled with others of its lineup can't leave it.
    private static bool IsFree(Lineup lineup, string pointId) =>
        lineup.DrivePoints.Count > 1
        && lineup.DcBuses.All(b => !b.MemberIds.Contains(pointId))
        && lineup.Arrangements.All(a => !a.PointIds().Contains(pointId));
}
