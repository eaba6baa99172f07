using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
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
