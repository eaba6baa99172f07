using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.category</c> of what listens nearby: as far from the drives as the category that they declare asks. See
/// <c>docs/methods/interference.md</c>.</summary>
internal static class ReceiverChecks
{
    private const string Id = "emc.category";

    // Limits of radiation hold at 10 m; those of C3 lie 10 dB above C2, what a distance three times as large takes away (IEC 61800-3;
    // verify).
    private const double LimitM = 10;
    private const double LimitC3M = 30;

    // Further away than this nobody asks what is declared (verify).
    private const double FarM = 300;

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<DrivePointModel> models)
    {
        if (supply.Plant.Routes.Receivers.Count == 0)
        {
            yield break;
        }

        var emitters = Emitters(supply, models).ToList();
        var open = Open(supply, models).ToList();
        foreach (var receiver in supply.Plant.Routes.Receivers)
        {
            yield return Of(receiver, emitters, open).At(receiver.Id);
        }
    }

    private static Check Of(NearbyReceiver receiver, List<(string Tag, EmcCategory? Category)> emitters,
        List<string> open)
    {
        var title = $"Interference, {receiver.Name} nearby";
        // What is not chosen yet may be anything; only far away nobody asks.
        if (open.Count > 0 && !(receiver.DistanceM.IsKnown && receiver.DistanceM.Value >= FarM))
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, [$"converter or supply module of {Listed(open)}"]);
        }

        if (emitters.Count == 0)
        {
            return Check.NotConcerned(Id, string.Empty, BoardRow.Plant, title, "no converter that switches fast");
        }

        if (!receiver.DistanceM.IsKnown)
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title,
                [$"distance of {receiver.Name} to the nearest converter or motor cable"]);
        }

        var undeclared = emitters.Where(e => e.Category is null or EmcCategory.C4).Select(e => e.Tag).ToList();
        var worst = emitters.Max(e => e.Category) ?? EmcCategory.C4;
        var neededM = undeclared.Count > 0 ? FarM : worst == EmcCategory.C3 ? LimitC3M : LimitM;
        var distanceM = receiver.DistanceM.Value;
        var drives = undeclared.Count > 0
            ? $"{Listed(undeclared)} declare{(undeclared.Count == 1 ? "s" : string.Empty)} no category up to C3: {Text.N(FarM)} m"
            : $"all drives declare {worst} or better: {Text.N(neededM)} m";
        return CheckWriter.Rule(
            Id, string.Empty, BoardRow.Plant, title, distanceM >= neededM ? Verdict.Holds : Verdict.Tight,
            $"Relief: {ReceiverWords.ReliefOf(receiver.Kind)}.",
            new Reason(
                "distance ≥ 10 m with C1 and C2, 30 m with C3: limits of radiation hold at 10 m, and those of C3 are 10 dB higher",
                $"{receiver.Name} stands {Text.N(distanceM)} m away; {drives}", "IEC 61800-3; docs/methods/interference.md",
                [ReasonInput.Of("distance", distanceM, "m", receiver.Name)]));
    }

    // Each converter with what it declares as it stands: outside the declared cable or switching frequency, nothing.
    private static IEnumerable<(string Tag, EmcCategory? Category)> Emitters(SupplyContext supply, IReadOnlyList<DrivePointModel> models)
    {
        var byId = models.ToDictionary(m => m.Id, StringComparer.Ordinal);
        foreach (var lineup in supply.Plant.Lineups)
        {
            var bus = supply.Plant.Distribution.Bus(lineup.BusId);
            foreach (var model in lineup.DrivePoints.Select(p => byId[p.Id])
                .Where(m => m is { Starter: null, WholeItem: not null, Input.OnDcBus: false, Input.Group: null or { IsHead: true } }))
            {
                var figures = InterferenceFigures.Of(model, bus, supply.Plant);
                if (figures.Switches)
                {
                    var kept = figures.Declared is { } declared && figures.Point.Cable.Screened && !figures.Point.Interference.LinksOpen
                        && figures.CableM <= declared.MostScreenedM
                        && figures.Choice!.SwitchingKhz <= declared.MostSwitchingKhz;
                    yield return (figures.Point.Tag, kept ? figures.Declared!.Category : null);
                }
            }

            foreach (var dc in lineup.DcBuses.Where(d => d.MemberIds.Count > 0 && supply.Data.SupplyModules.ContainsKey(d.SupplyModuleId)))
            {
                var declared = supply.Data.SupplyModules[dc.SupplyModuleId].Emc.With(dc.EmcFilter);
                var members = dc.MemberIds.Where(byId.ContainsKey).Select(id => byId[id]).ToList();
                var cables = members.Select(m => m.Input.DrivePoint.Cable).ToList();
                var kept = declared is not null && !dc.LinksOpen && cables.All(c => c.Screened && c.LengthM.IsKnown)
                    && cables.Sum(c => c.ParallelRuns * c.LengthM.Value) <= declared.MostScreenedM
                    && members.All(m => m.Choice?.SwitchingKhz <= declared.MostSwitchingKhz);
                yield return (dc.Name, kept ? declared!.Category : null);
            }
        }
    }

    private static IEnumerable<string> Open(SupplyContext supply, IReadOnlyList<DrivePointModel> models) => models
        .Where(m => m is { Starter: null, WholeItem: null, Input.Group: null or { IsHead: true } }).Select(m => m.Input.DrivePoint.Tag)
        .Concat(supply.Plant.Lineups.SelectMany(l => l.DcBuses)
            .Where(d => d.MemberIds.Count > 0 && !supply.Data.SupplyModules.ContainsKey(d.SupplyModuleId)).Select(d => d.Name));

    private static string Listed(List<string> tags) =>
        tags.Count <= 3 ? string.Join(", ", tags) : $"{string.Join(", ", tags.Take(3))} and {tags.Count - 3} more";
}
