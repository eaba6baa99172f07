using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Interference;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Lists;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The sheet that the fitter of a lineup takes along: what this plant asks against interference.</summary>
/// <param name="Plant">Name of the plant.</param>
/// <param name="Tag">Tag of the lineup.</param>
/// <param name="Name">Name of the lineup.</param>
/// <param name="Date">Day of issue, ISO 8601.</param>
/// <param name="Lines">What governs, name and value.</param>
/// <param name="Tables">What is not settled yet, what is to be done, distances.</param>
/// <param name="Cables">Cables with their ways.</param>
/// <param name="Notes">Cautions.</param>
public sealed record InterferenceSheet(
    string Plant, string Tag, string Name, string Date, IReadOnlyList<SheetLine> Lines, IReadOnlyList<SheetTable> Tables, SheetTable Cables,
    IReadOnlyList<string> Notes)
{
    /// <summary>State of the project that it was made of; empty where a file has none.</summary>
    public string Revision { get; init; } = string.Empty;

    /// <summary>Builds the sheet.</summary>
    public static InterferenceSheet Of(PlantSpecification plant, Lineup lineup, Assessor assessor, DateOnly date)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(assessor);
        var units = plant.Conventions.Units;
        var ids = lineup.DrivePoints.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        return new InterferenceSheet(
            plant.Name, lineup.Tag, lineup.Name, date.ToString("yyyy-MM-dd"),
            [.. LinesOf(plant, lineup, assessor).Select(l => l.In(units))],
            [Open(plant, lineup, assessor.Run(plant)), FitterTable.Of(plant, lineup, assessor).In(units), Distances(plant)],
            CablesOf(plant, ids, assessor),
            [
                "Work on cables and earth connections only dead, locked out, discharged and proved so; by licensed people, after local "
                    + "codes and makers' instructions.",
                "A protective conductor that carries leakage is connected first and parted last.",
                "Emission is not computed: the makers' declarations hold for screens, lengths and filters as they state them; a "
                    + "measurement decides.",
            ]);
    }

    // Checks of interference that do not hold, but for separation: what is too close stands among what is to be done.
    private static SheetTable Open(PlantSpecification plant, Lineup lineup, PlantAssessment assessment)
    {
        var tags = lineup.DrivePoints.ToDictionary(p => p.Id, p => p.Tag, StringComparer.Ordinal);
        var own = lineup.DcBuses.Select(b => b.Id).Append(lineup.Id).ToHashSet(StringComparer.Ordinal);
        var open = assessment.Tightest()
            .Where(c => c.Verdict != Verdict.Holds && c.Id != "emc.separation"
                && (c.Id.StartsWith("emc.", StringComparison.Ordinal) || c.Id == "motor.bearings"))
            .Where(c => c.DrivePointId.Length > 0 ? tags.ContainsKey(c.DrivePointId) : IsOfPlant(plant, c) || own.Contains(c.ElementId));
        return new SheetTable(
            "Not settled yet",
            ["verdict", "what", "why", "where"],
            [
                .. open.GroupBy(c => (c.Verdict, c.Title, Why: c.Reason.WithNumbers)).Select(g => (IReadOnlyList<string>)
                [
                    VerdictWords.Of(g.Key.Verdict), g.Key.Title, g.Key.Why,
                    string.Join(", ", g.Select(c => tags.GetValueOrDefault(c.DrivePointId, "plant")).Distinct()),
                ]),
            ]).In(plant.Conventions.Units);
    }

    // Of the plant, not of another lineup: what listens nearby, the plan, cables entered by hand.
    private static bool IsOfPlant(PlantSpecification plant, Check check) =>
        !plant.Lineups.Any(l => l.Id == check.ElementId || l.DcBuses.Any(b => b.Id == check.ElementId));

    private static IEnumerable<SheetLine> LinesOf(PlantSpecification plant, Lineup lineup, Assessor assessor)
    {
        var bus = plant.Distribution.Bus(lineup.BusId);
        var (environment, taken) = NeededCategory.Environment(plant);
        yield return new SheetLine("Environment", environment switch
        {
            EmcEnvironment.First => $"first: category C2 is asked{taken}",
            EmcEnvironment.Second => $"second: category C3 is asked, C4 by a plan from 400 A and on IT systems{taken}",
            _ => "not stated: say first or second",
        });
        yield return new SheetLine("Earthing", $"{bus.Name}: {Earthing(bus.Earthing)}");
        yield return new SheetLine("Separation",
            plant.Conventions.Separation == SeparationRules.House
                ? "distances of the house"
                : "by screens and metal between, as for the wiring of machines");
        var (sumMa, unknown) = assessor.Leakage(plant, lineup);
        yield return new SheetLine("Leakage",
            sumMa is { } ma ? $"up to {Text.N(Math.Ceiling(ma))} mA together, as a bound" : $"not known: {string.Join(", ", unknown)}");
        foreach (var receiver in plant.Routes.Receivers)
        {
            var distance = receiver.DistanceM.IsKnown ? $"{Text.N(receiver.DistanceM.Value)} m away" : "distance not stated";
            yield return new SheetLine("Nearby", $"{receiver.Name}, {distance}: {ReceiverWords.ReliefOf(receiver.Kind)}");
        }
    }

    private static SheetTable Distances(PlantSpecification plant)
    {
        var rules = plant.Conventions.Separation;
        string Mm(CableClass disturbing, CableClass disturbed, bool one, bool other, MetalBetween between) =>
            $"{Text.N(Separation.NeededMm(rules, new Separation.Pair(disturbing, disturbed, one, other, double.MaxValue), between))} mm";
        var pairs = from disturbing in new[] { CableClass.Noisy, CableClass.Supply }
                    from disturbed in new[] { CableClass.VerySensitive, CableClass.Sensitive, CableClass.Supply }
                    where Separation.Concerns(rules, disturbing, disturbed)
                    select (disturbing, disturbed);
        return new SheetTable(
            "Distances from 10 m side by side; below in proportion, crossing at right angles free",
            ["from", "to", "no screen", "first one screened", "both screened", "perforated metal between", "solid metal between"],
            [
                .. pairs.Select(p => (IReadOnlyList<string>)
                [
                    Words(p.disturbing), Words(p.disturbed), Mm(p.disturbing, p.disturbed, false, false, MetalBetween.None),
                    Mm(p.disturbing, p.disturbed, true, false, MetalBetween.None),
                    Mm(p.disturbing, p.disturbed, true, true, MetalBetween.None),
                    Mm(p.disturbing, p.disturbed, false, false, MetalBetween.Perforated),
                    Mm(p.disturbing, p.disturbed, false, false, MetalBetween.Solid),
                ]),
            ]).In(plant.Conventions.Units);
    }

    private static SheetTable CablesOf(PlantSpecification plant, HashSet<string> ids, Assessor assessor)
    {
        var places = plant.Routes.Places.ToDictionary(p => p.Id, p => p.Name, StringComparer.Ordinal);
        var cables = (assessor.Routes(plant)?.Cables ?? []).Where(c => ids.Contains(c.PointId) || c.PointId.Length == 0);
        return new SheetTable(
            "Cables and their ways; those of the whole plant that no drive point has among them",
            ["cable", "class", "screen", "from", "to", "length", "over"],
            [
                .. cables.Where(c => c.Way.Count > 0 || (c.Missing.Length > 0 && c.FromPlaceId.Length + c.ToPlaceId.Length > 0))
                    .GroupBy(c => (
                        Class: Words(c.Class), Screen: c.Screen == ReceiverScreen.None ? "none" : "both ends",
                        From: places.GetValueOrDefault(c.FromPlaceId, "open"),
                        To: places.GetValueOrDefault(c.ToPlaceId, "open"), Length: c.LengthM is { } m ? $"{Text.N(m)} m" : "open",
                        Over: c.Missing.Length > 0 ? $"lacks {c.Missing}" : string.Join(", ", c.Way.Select(s => s.Name))))
                    .Select(g => (IReadOnlyList<string>)
                    [
                        string.Join(", ", g.Select(c => c.Runs > 1 ? $"{c.Tag} ({c.Runs} ×)" : c.Tag)), g.Key.Class, g.Key.Screen,
                        g.Key.From, g.Key.To, g.Key.Length, g.Key.Over,
                    ]),
            ]).In(plant.Conventions.Units);
    }

    private static string Words(CableClass of) => of switch
    {
        CableClass.VerySensitive => "very sensitive",
        CableClass.Sensitive => "sensitive",
        CableClass.Supply => "supply",
        _ => "noisy",
    };

    private static string Earthing(EarthingSystem of) => of switch
    {
        EarthingSystem.TnS => "TN-S",
        EarthingSystem.TnCS => "TN-C-S",
        EarthingSystem.TnC => "TN-C: neutral and protective conductor parted before the lineup, else "
            + "currents of the neutral run in screens",
        EarthingSystem.Tt => "TT",
        EarthingSystem.It => "IT",
        EarthingSystem.CornerEarthed => "corner earthed",
        _ => "not stated",
    };
}
