using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Stopping;

namespace Cuadrilla.Core.Commands;

/// <summary>The least brake resistor of the catalogue for each drive point that has a chopper and something to brake.</summary>
/// <param name="PointIds">Drive points.</param>
public sealed record SizeResistor(IReadOnlyList<string> PointIds) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        var after = plant;
        List<string> changed = [];
        List<string> notes = [];
        foreach (var id in PointIds.Distinct(StringComparer.Ordinal))
        {
            var (item, why) = For(plant, plant.Point(id)!, studies);
            notes.Add($"{plant.Tags([id])}: {why}.");
            if (item is not null)
            {
                // Window and pulses are those that the item was judged by.
                var braking = new Braking.Resistor(item.ResistanceOhm, item.ContinuousKw) { WindowS = item.WindowS };
                after = after.Changed([id], p => p.Converter is ConverterChoice.FromCatalogue choice
                    ? p with { Converter = choice with { Braking = braking } }
                    : p);
                changed.Add(id);
            }
        }

        return changed.Count == 0
            ? CommandOutcome.Not("pointIds", string.Join(' ', notes.Take(5)))
            : new CommandOutcome.Done(after, CommandOutcome.Shortened($"Brake resistor: {plant.Tags(changed)}"), []) { Notes = notes };
    }

    private static (BrakeResistorItem? Item, string Why) For(PlantSpecification plant, DrivePoint point, IPlantStudies studies)
    {
        var study = studies.Study(plant, point);
        if (study.Model is not DriveOnConverter { Converter.Item: var unit } model)
        {
            return (null, study.Model is { } known && known.Missing().Any()
                ? "needs " + string.Join(", ", known.Missing())
                : "no converter of its own brakes it");
        }

        if (unit.Brake is not { } chopper)
        {
            return (null, unit.FrontEnd.ReturnsToLine ? "its front end returns what comes back" : "its converter has no chopper");
        }

        if (model.Missing().Any())
        {
            return (null, "needs " + string.Join(", ", model.Missing()));
        }

        if (model.Load.StopTimeS.IsKnown && !model.Load.InertiaKgM2.IsKnown)
        {
            return (null, "needs the inertia of the machine");
        }

        var demands = BrakingStudy.All(model);
        if (demands.Count == 0)
        {
            return (null, "nothing comes back to the link");
        }

        return ResistorFit.Of(studies.Data.BrakeResistors, chopper, demands, model.Input.Defaults.TightMarginPct) is { } item
            ? (item, $"{item.Name}, for {Text.N(demands.Max(d => d.PeakW) / 1e3)} kW at most")
            : (null, $"no resistor of the catalogue has at least {Text.N(chopper.LeastOhm, 3)} Ω and takes "
                + $"{Text.N(demands.Max(d => d.PeakW) / 1e3)} kW: a larger converter, gentler braking, a common DC bus");
    }
}

/// <summary>A standard size for a transformer: rating, impedance, losses and cooling.</summary>
/// <param name="ElementId">Which transformer.</param>
/// <param name="Series">Key of the series of sizes.</param>
/// <param name="RatedKva">Size, kVA; open: the smallest that holds in every scenario.</param>
public sealed record UseTransformerSize(string ElementId, string Series, double? RatedKva) : PlantCommand
{
    // Below it there is no load to size by: the least size would hold, and mean nothing.
    private const double LeastKva = 1;

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
                    [$"{transformer.Name}: {Text.N(size.RatedKva)} kVA, {series.Name}, loaded to {Text.N(figure.Value, 3)} % at most."]);
            }
        }

        return CommandOutcome.Not("ratedKva",
            $"No size up to {Text.N(series.Sizes[^1].RatedKva)} kVA carries what hangs on {transformer.Name}: share the load between "
                + "transformers.");
    }

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
