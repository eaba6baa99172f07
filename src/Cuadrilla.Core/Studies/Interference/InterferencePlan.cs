using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary>A cable with its way.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Tag">What it is called.</param>
/// <param name="Role">What it is.</param>
/// <param name="Class">Its class.</param>
/// <param name="IsScreened">True with a screen.</param>
/// <param name="PointId">Its drive point; empty for cables entered by hand.</param>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
/// <param name="SegmentIds">Pieces of tray in their order.</param>
/// <param name="LengthM">Length of its way, m; null without one.</param>
/// <param name="StatedM">Length that is stated for it, m; null where its way gives it.</param>
/// <param name="IsByHand">True where the way is chosen by hand.</param>
/// <param name="Missing">Why it has no way; empty where it has one.</param>
public sealed record RouteRow(
    string Id, string Tag, RouteRole Role, CableClass Class, bool IsScreened, string PointId, string From, string To,
    IReadOnlyList<string> SegmentIds, double? LengthM, double? StatedM,
    bool IsByHand, string Missing);

/// <summary>A piece of tray with what runs on it.</summary>
/// <param name="SegmentId">Which.</param>
/// <param name="LengthM">Its length, m.</param>
/// <param name="Cables">Cables on it.</param>
/// <param name="LoadedCircuits">Those that carry load current.</param>
/// <param name="Classes">Classes on it.</param>
public sealed record TrayLoad(string SegmentId, double LengthM, int Cables, int LoadedCircuits, IReadOnlyList<CableClass> Classes);

/// <summary>A clash as it is shown.</summary>
/// <param name="DisturbingId">Cable that disturbs.</param>
/// <param name="DisturbedId">The other.</param>
/// <param name="Disturbing">Its name.</param>
/// <param name="Disturbed">The other's.</param>
/// <param name="SegmentIds">Trays where they are too close.</param>
/// <param name="Where">In words.</param>
/// <param name="ParallelM">Length, m.</param>
/// <param name="ApartMm">Least distance, mm; null where it is not stated.</param>
/// <param name="NeededMm">What is needed, mm.</param>
/// <param name="Verdict">What the check makes of it.</param>
/// <param name="VoltageV">Voltage in the disturbed one's loop, V; null where not known.</param>
/// <param name="Steps">Of what its input notices; null likewise.</param>
/// <param name="Cures">What would end it, cheapest first.</param>
public sealed record ClashRow(
    string DisturbingId, string DisturbedId, string Disturbing, string Disturbed, IReadOnlyList<string> SegmentIds, string Where,
    double ParallelM, double? ApartMm, double NeededMm,
    Checks.Verdict Verdict, double? VoltageV, double? Steps, IReadOnlyList<Cure> Cures);

/// <summary>What a drive point emits and leaks.</summary>
/// <param name="PointId">Which.</param>
/// <param name="Filter">EMC filter that it has.</param>
/// <param name="Declared">Category declared with it; null where nothing is.</param>
/// <param name="DeclaredToM">Longest screened cable for that, m.</param>
/// <param name="DeclaredToKhz">Highest switching frequency for that, kHz.</param>
/// <param name="CableM">Its motor cables, m.</param>
/// <param name="EdgeA">Current of each edge at most, A; null without edges.</param>
/// <param name="ChargingA">Charging current, A.</param>
/// <param name="ChargingLossW">Loss of charging, all conductors, W.</param>
/// <param name="LeakageMa">What leaks, as a bound, mA; null where not known, or behind a common DC bus.</param>
public sealed record PointInterferenceRow(
    string PointId, EmcFilter Filter, EmcCategory? Declared, double? DeclaredToM, double? DeclaredToKhz, double? CableM, double? EdgeA,
    double? ChargingA, double? ChargingLossW,
    double? LeakageMa);

/// <summary>Trays, cables, clashes and earth currents of a plant.</summary>
/// <param name="Cables">All cables with their ways.</param>
/// <param name="Trays">All pieces of tray with what runs on them.</param>
/// <param name="Clashes">Pairs too close for too long, worst first; at most the first <see cref="MostClashes"/>.</param>
/// <param name="ClashCount">How many in all.</param>
/// <param name="Points">What each drive point emits and leaks.</param>
public sealed record InterferencePlan(
    IReadOnlyList<RouteRow> Cables, IReadOnlyList<TrayLoad> Trays, IReadOnlyList<ClashRow> Clashes, int ClashCount,
    IReadOnlyList<PointInterferenceRow> Points)
{
    /// <summary>More clashes than this nobody reads one by one.</summary>
    public const int MostClashes = 200;

    internal static InterferencePlan Of(PlantSpecification plant, RoutePlan routes, SeparationStudy? study,
        IEnumerable<InterferenceFigures> figures)
    {
        var places = plant.Routes.Places.ToDictionary(p => p.Id, p => p.Name, StringComparer.Ordinal);
        var points = plant.AllDrivePoints().ToDictionary(p => p.Id, StringComparer.Ordinal);
        return new InterferencePlan(
            [
                .. routes.Cables.Select(c => new RouteRow(
                    c.Id, c.Tag, c.Role, c.Class, c.Screen != ReceiverScreen.None, c.PointId,
                    places.GetValueOrDefault(c.FromPlaceId, string.Empty), places.GetValueOrDefault(c.ToPlaceId, string.Empty),
                    [.. c.Way.Select(s => s.Id)], Digits.Kept(c.LengthM), Stated(c, points), c.IsByHand, c.Missing)),
            ],
            [
                .. plant.Routes.Segments.Select(s => new TrayLoad(
                    s.Id, Digits.Kept(routes.LengthM(s)), routes.On[s.Id].Sum(c => c.Runs), routes.LoadedOn(s),
                    [.. routes.On[s.Id].Select(c => c.Class).Distinct().Order()])),
            ],
            [.. (study?.Clashes ?? []).Take(MostClashes).Select(c => Row(c, study!.Cures(c)))],
            study?.Clashes.Count ?? 0,
            [
                .. figures.Where(f => f.Item is not null).Select(f => new PointInterferenceRow(
                    f.Point.Id, f.Filter, f.Declared?.Category, f.Declared?.MostScreenedM, f.Declared?.MostSwitchingKhz,
                    Digits.Kept(f.CableM), Digits.Kept(f.Edge?.PeakA), Digits.Kept(f.Edge?.ChargingA),
                    Digits.Kept(3 * f.Edge?.LossW), Digits.Kept(f.Leaks?.TotalMa))),
            ]);
    }

    private static ClashRow Row(Clash clash, IReadOnlyList<Cure> cures) => new(
        clash.Disturbing.Id, clash.Disturbed.Id, clash.Disturbing.Tag, clash.Disturbed.Tag,
        [.. clash.Stretches.SelectMany(s => new[] { s.Disturbing.Id, s.Disturbed.Id }).Distinct()],
        string.Join(", ", clash.Stretches.Select(s => s.Disturbing.Id == s.Disturbed.Id
            ? s.Disturbing.Name
            : $"{s.Disturbing.Name} beside {s.Disturbed.Name}").Distinct()),
        Digits.Kept(clash.ParallelM), Digits.Kept(clash.ApartMm), clash.NeededMm,
        clash.ApartMm is null ? Checks.Verdict.NeedsData : clash.IsDispensable ? Checks.Verdict.Tight : Checks.Verdict.Fails,
        Digits.Kept(clash.VoltageV), Digits.Kept(clash.Steps), cures);

    private static double? Stated(RoutedCable cable, Dictionary<string, DrivePoint> points) =>
        !points.TryGetValue(cable.PointId, out var point) ? null : (cable.Role, point) switch
    {
        (RouteRole.Motor, { Cable.LengthM: { IsKnown: true } m }) => m.Value,
        (RouteRole.Feeder, { Feeder: Feeder.ByCable { LengthM: { IsKnown: true } m } }) => m.Value,
        _ => null,
    };
}
