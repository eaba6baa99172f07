using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks what is entered of signals, the controller and control supplies.</summary>
internal static class SignalValidation
{
    private const int MostSignals = 60;
    private const int MostPresets = 7;
    private const int MostCards = 200;
    private const int MostBranches = 60;

    /// <summary>The controller of a plant.</summary>
    public static void Controller(PlantSpecification plant, ProblemList p)
    {
        var places = plant.Routes.Places.Select(l => l.Id).ToHashSet(StringComparer.Ordinal);
        if (plant.Controller is { } controller)
        {
            const string at = "/controller/cards";
            p.Require(controller.Cards.Count <= MostCards, at, "Number of cards", $"{controller.Cards.Count}", $"up to {MostCards}");
            HashSet<string> keys = new(StringComparer.Ordinal);
            for (var i = 0; i < controller.Cards.Count; i++)
            {
                var card = controller.Cards[i];
                p.Unique($"{at}/{i}/id", "Card key", card.Id, keys);
                p.Require(!card.Id.Contains('/', StringComparison.Ordinal), $"{at}/{i}/id", "Card key", $"'{card.Id}'", "a key without "
                    + "a slash");
                p.Require(card.PlaceId.Length == 0 || places.Contains(card.PlaceId), $"{at}/{i}/placeId", "Place of the card",
                    $"'{card.PlaceId}'", "a place of the plan, or none");
            }
        }
    }

    /// <summary>Signals and control supplies of the lineups of a plant as they stand.</summary>
    public static void Lineups(PlantSpecification plant, ProblemList p)
    {
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            if (lineup.Control is { } control)
            {
                Keys(control.Branches, b => b.Id, $"/lineups/{i}/control/branches", "Branch key", MostBranches, p);
            }

            for (var j = 0; j < lineup.DrivePoints.Count; j++)
            {
                if (lineup.DrivePoints[j].Signals is { } plan)
                {
                    var at = $"/lineups/{i}/drivePoints/{j}/signals";
                    Keys(plan.Wanted, w => w.Id, at + "/wanted", "Signal key", MostSignals, p);
                    p.Require(plan.Presets.Count <= MostPresets, at + "/presets", "Preset speeds", $"{plan.Presets.Count}",
                        $"up to {MostPresets}");
                    Ends(plan, at, p);
                }
            }
        }
    }

    // A scale of one value has no way back.
    private static void Ends(SignalPlan plan, string at, ProblemList p)
    {
        for (var i = 0; i < plan.Wanted.Count; i++)
        {
            var wanted = plan.Wanted[i];
            var zero = wanted.ZeroAt.Or(0);
            p.Require(!wanted.FullAt.IsKnown || wanted.FullAt.Value != zero, $"{at}/wanted/{i}/fullAt", "Unit, at 100 %",
                $"{wanted.FullAt.Or(0)}", "another value than at 0 %");
            p.Require(!wanted.FarFullAt.IsKnown || wanted.FarFullAt.Value != wanted.FarZeroAt.Or(zero), $"{at}/wanted/{i}/farFullAt",
                "Other end, at 100 %", $"{wanted.FarFullAt.Or(0)}", "another value than at 0 %");
        }
    }

    private static void Keys<T>(IReadOnlyList<T> items, Func<T, string> key, string at, string name, int most, ProblemList p)
    {
        p.Require(items.Count <= most, at, name + "s", $"{items.Count}", $"up to {most}");
        HashSet<string> keys = new(StringComparer.Ordinal);
        for (var i = 0; i < items.Count; i++)
        {
            p.Unique($"{at}/{i}/id", name, key(items[i]), keys);
        }
    }
}
