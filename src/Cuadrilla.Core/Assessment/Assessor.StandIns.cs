using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.StandIns;

namespace Cuadrilla.Core.Assessment;

/// <summary>Simulated drive points.</summary>
public sealed partial class Assessor
{
    /// <summary>A drive point of a plant that answers like the real one.</summary>
    /// <param name="plant">The plant as specified.</param>
    /// <param name="point">Its drive point.</param>
    /// <param name="settings">Seed of tolerances and what is wrong.</param>
    /// <exception cref="ArgumentException">That fault can't be there, or the motor is not chosen.</exception>
    public StandInDrive StandIn(PlantSpecification plant, DrivePoint point, StandInSettings settings)
    {
        ArgumentNullException.ThrowIfNull(settings);
        var source = SiteOf(plant, point);
        if (HiddenFaults.WhyNot(source, settings.Fault) is { } why)
        {
            throw new ArgumentException($"{HiddenFaults.Word(settings.Fault)}, at {point.Tag}: {why}", nameof(settings));
        }

        // A limit in per cent means another current there: the plant as it is in truth has another limit.
        if (point.Converter is not ConverterChoice.SoftStarter { Settings.CurrentLimitPct: > 0 } soft)
        {
            return new StandInDrive(source, settings);
        }

        var plate = source.Model.Fitted!.Connected.Plate;
        var set = settings.Fault == HiddenFault.WrongBase
            ? source.Model.Starter?.Item?.RatedCurrentA ?? plate.RatedCurrentA
            : StandInDrive.TypedCurrentA(source, settings);
        if (set == plate.RatedCurrentA)
        {
            return new StandInDrive(source, settings);
        }

        var asItIs = point with
        {
            Converter = soft with
            {
                Settings = soft.Settings with { CurrentLimitPct = soft.Settings.CurrentLimitPct * set / plate.RatedCurrentA },
            },
        };
        var truth = plant with
        {
            Lineups = [.. plant.Lineups.Select(l => l with
            {
                DrivePoints = [.. l.DrivePoints.Select(p => p.Id == point.Id ? asItIs : p)],
            })],
        };
        return new StandInDrive(SiteOf(truth, asItIs), settings);
    }
}
