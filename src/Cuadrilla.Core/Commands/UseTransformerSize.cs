using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>A standard size for a transformer: rating, impedance, losses and cooling.</summary>
/// <param name="ElementId">Which transformer.</param>
/// <param name="Series">Key of the series of sizes.</param>
/// <param name="RatedKva">Size, kVA; open: the smallest that carries its load in every scenario; what a larger one
/// would mend, and bring, is told.</param>
public sealed record UseTransformerSize(string ElementId, string Series, double? RatedKva) : PlantCommand
{
    // Below it there is no load to size by: the least size would hold, and mean nothing.
    private const double LeastKva = 1;

    // Sizes beyond the one that carries the load that are looked at for what else they would mend.
    private const int MostLarger = 4;
    private const int MostNamed = 3;

    private static readonly string[] OfWeakSupply =
        ["supply.start-dip", "supply.voltage", "starter.reaches-speed", "harmonics.plant-voltage", "supply.ride-through"];

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Distribution.Transformers.FirstOrDefault(t => t.Id == ElementId) is not { } transformer)
        {
            return CommandOutcome.Unknown("elementId", "Transformer", ElementId);
        }

        if (studies.Data.Transformers.FirstOrDefault(s => s.Key == Series) is not { } series)
        {
            return new CommandOutcome.Refused(InputProblem.Of("/series", "Series", $"'{Series}'",
                string.Join(", ", studies.Data.Transformers.Select(s => s.Key))));
        }

        if (RatedKva is { } wanted)
        {
            return series.Sizes.FirstOrDefault(s => Math.Abs(s.RatedKva - wanted) < 1e-9) is { } size
                ? Done(plant, transformer, series, size, [])
                : new CommandOutcome.Refused(InputProblem.Of("/ratedKva", "Rated power", $"{Text.N(wanted)} kVA",
                    string.Join(", ", series.Sizes.Select(s => Text.N(s.RatedKva)))));
        }

        return Smallest(plant, transformer, series, studies);
    }

    private static CommandOutcome Smallest(PlantSpecification plant, Transformer transformer, TransformerSeries series,
        IPlantStudies studies)
    {
        var now = Loading(plant, transformer.Id, studies);
        if (now is not { Figure.IsKnown: true })
        {
            return CommandOutcome.Not("ratedKva",
                $"{transformer.Name} can't be sized yet. {(now is null ? "Its loading is not judged." : now.Relief)}");
        }

        // The load itself moves with the impedance: what is a third too small by today's figure is not tried.
        var loadKva = now.Figure.Value / 100 * transformer.RatedKva;
        if (loadKva < LeastKva)
        {
            return CommandOutcome.Not("ratedKva", $"{transformer.Name} can't be sized yet. Nothing runs behind it in any scenario.");
        }

        foreach (var size in series.Sizes.Where(s => s.RatedKva >= 0.67 * loadKva))
        {
            var after = With(plant, transformer, series, size);
            if (Loading(after, transformer.Id, studies) is { Verdict: Verdict.Holds, Figure: var figure })
            {
                return Done(plant, transformer, series, size,
                [
                    $"{transformer.Name}: {Text.N(size.RatedKva)} kVA, {series.Name}, loaded to {Text.N(figure.Value, 3)} % at most.",
                    .. Stiffer(plant, transformer, series, size, studies),
                ]);
            }
        }

        return CommandOutcome.Not("ratedKva",
            $"No size up to {Text.N(series.Sizes[^1].RatedKva)} kVA carries what hangs on {transformer.Name}: share the load between "
                + "transformers.");
    }

    // What fails behind it for want of a stiffer supply, the first larger size with which some of it holds, and what fails with that: a
    // larger one feeds faults better too.
    private static IEnumerable<string> Stiffer(PlantSpecification plant, Transformer transformer, TransformerSeries series,
        TransformerSize chosen, IPlantStudies studies)
    {
        var now = studies.Run(With(plant, transformer, series, chosen)).Checks;
        List<Check> fails = [.. now.Where(c => c.Verdict == Verdict.Fails && OfWeakSupply.Contains(c.Id))];
        foreach (var size in series.Sizes.Where(s => s.RatedKva > chosen.RatedKva).Take(fails.Count == 0 ? 0 : MostLarger))
        {
            var then = studies.Run(With(plant, transformer, series, size)).Checks;
            var held = then.Where(c => c.Verdict is Verdict.Holds or Verdict.Tight).Select(KeyOf).ToHashSet();
            List<Check> ended = [.. fails.Where(f => held.Contains(KeyOf(f)))];
            if (ended.Count > 0)
            {
                var failed = now.Where(c => c.Verdict == Verdict.Fails).Select(KeyOf).ToHashSet();
                List<Check> brought = [.. then.Where(c => c.Verdict == Verdict.Fails && !failed.Contains(KeyOf(c)))];
                yield return $"{Text.N(size.RatedKva)} kVA would also end: {Named(ended, plant)}."
                    + (brought.Count > 0 ? $" It would bring: {Named(brought, plant)}." : string.Empty);
                yield break;
            }
        }
    }

    private static string Named(List<Check> checks, PlantSpecification plant) => string.Join("; ", checks.Take(MostNamed)
        .Select(c => c.DrivePointId.Length == 0 ? c.Title : $"{c.Title}, {plant.Tags([c.DrivePointId])}"))
        + (checks.Count > MostNamed ? $"; and {checks.Count - MostNamed} more" : string.Empty);

    private static (string, string, string) KeyOf(Check check) => (check.Id, check.DrivePointId, check.ElementId);

    private static Check? Loading(PlantSpecification plant, string id, IPlantStudies studies) =>
        studies.Run(plant).Checks.FirstOrDefault(c => c.Id == "supply.transformer-loading" && c.ElementId == id);

    private static PlantSpecification With(PlantSpecification plant, Transformer transformer, TransformerSeries series,
        TransformerSize size) => plant with
    {
        Distribution = plant.Distribution with
        {
            Transformers =
            [
                .. plant.Distribution.Transformers.Select(t => t.Id != transformer.Id
                    ? t
                    : t with { RatedKva = size.RatedKva, UkPct = size.UkPct, LoadLossKw = size.LoadLossKw, NoLoadLossKw = size.NoLoadLossKw,
                        Cooling = series.Cooling }),
            ],
        },
    };

    private static CommandOutcome Done(PlantSpecification plant, Transformer transformer, TransformerSeries series, TransformerSize size,
        IReadOnlyList<string> notes) =>
        new CommandOutcome.Done(With(plant, transformer, series, size),
            CommandOutcome.Shortened($"{transformer.Name}: {Text.N(size.RatedKva)} kVA"), []) { Notes = notes };
}
