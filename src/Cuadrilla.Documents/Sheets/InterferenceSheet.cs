using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Interference;
using Cuadrilla.Documents.Assessments;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The sheet that the fitter of a lineup takes along: what this plant asks against interference.</summary>
/// <param name="Plant">Name of the plant.</param>
/// <param name="Tag">Tag of the lineup.</param>
/// <param name="Name">Name of the lineup.</param>
/// <param name="Date">Day of issue, ISO 8601.</param>
/// <param name="Lines">What governs, name and value.</param>
/// <param name="Tables">What is to be done, distances, cables with their ways.</param>
/// <param name="Open">Checks of interference that do not hold yet.</param>
/// <param name="Notes">Cautions.</param>
public sealed record InterferenceSheet(
    string Plant, string Tag, string Name, string Date, IReadOnlyList<SheetLine> Lines, IReadOnlyList<SheetTable> Tables, IReadOnlyList<CheckDocument> Open, IReadOnlyList<string> Notes)
{
    /// <summary>Units of the project.</summary>
    public UnitSystem Units { get; init; }

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
        var own = lineup.DcBuses.Select(b => b.Id).Append(lineup.Id).ToHashSet(StringComparer.Ordinal);
        var open = assessor.Run(plant).Tightest()
            .Where(c => c.Verdict != Verdict.Holds && (c.Id.StartsWith("emc.", StringComparison.Ordinal) || c.Id == "motor.bearings"))
            .Where(c => c.DrivePointId.Length > 0 ? ids.Contains(c.DrivePointId) : IsOfPlant(plant, c) || own.Contains(c.ElementId));
        return new InterferenceSheet(
            plant.Name, lineup.Tag, lineup.Name, date.ToString("yyyy-MM-dd"),
            [.. LinesOf(plant, lineup, assessor).Select(l => l.In(units))],
            [FitterTable.Of(plant, lineup, assessor).In(units), Distances(plant), Cables(plant, ids, assessor)],
            [.. open.Select(c => CheckDocument.Of(c, withReason: false))],
            [
                "Work on cables and earth connections only dead, locked out, discharged and proved so; by licensed people, after local codes and makers' instructions.",
                "A protective conductor that carries leakage is connected first and parted last.",
                "Emission is not computed: the makers' declarations hold for screens, lengths and filters as they state them; a measurement decides.",
            ])
        { Units = units };
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
        yield return new SheetLine("Separation", plant.Conventions.Separation == SeparationRules.House ? "distances of the house" : "by screens and metal between, as for the wiring of machines");
        var (sumMa, unknown) = assessor.Leakage(plant, lineup);
        yield return new SheetLine("Leakage", sumMa is { } ma ? $"up to {Text.N(Math.Ceiling(ma))} mA together, as a bound" : $"not known: {string.Join(", ", unknown)}");
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
                    Words(p.disturbing), Words(p.disturbed), Mm(p.disturbing, p.disturbed, false, false, MetalBetween.None), Mm(p.disturbing, p.disturbed, true, false, MetalBetween.None),
                    Mm(p.disturbing, p.disturbed, true, true, MetalBetween.None), Mm(p.disturbing, p.disturbed, false, false, MetalBetween.Perforated),
                    Mm(p.disturbing, p.disturbed, false, false, MetalBetween.Solid),
                ]),
            ]).In(plant.Conventions.Units);
    }

    private static SheetTable Cables(PlantSpecification plant, HashSet<string> ids, Assessor assessor)
    {
        var places = plant.Routes.Places.ToDictionary(p => p.Id, p => p.Name, StringComparer.Ordinal);
        var cables = (assessor.Routes(plant)?.Cables ?? []).Where(c => ids.Contains(c.PointId) || c.PointId.Length == 0);
        return new SheetTable(
            "Cables and their ways; those of the whole plant that no drive point has among them",
            ["cable", "class", "screen", "from", "to", "length", "over"],
            [
                .. cables.Where(c => c.Way.Count > 0 || c.Missing.Length > 0 && c.FromPlaceId.Length + c.ToPlaceId.Length > 0).Select(c => (IReadOnlyList<string>)
                [
                    c.Runs > 1 ? $"{c.Tag} ({c.Runs} ×)" : c.Tag, Words(c.Class), c.Screen == ReceiverScreen.None ? "none" : "both ends", places.GetValueOrDefault(c.FromPlaceId, "open"),
                    places.GetValueOrDefault(c.ToPlaceId, "open"), c.LengthM is { } m ? $"{Text.N(m)} m" : "open",
                    c.Missing.Length > 0 ? $"lacks {c.Missing}" : string.Join(", ", c.Way.Select(s => s.Name)),
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
        EarthingSystem.TnC => "TN-C: neutral and protective conductor parted before the lineup, else currents of the neutral run in screens",
        EarthingSystem.Tt => "TT",
        EarthingSystem.It => "IT",
        EarthingSystem.CornerEarthed => "corner earthed",
        _ => "not stated",
    };
}
