using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>
/// Changes the units shown. With them go the codes that people of these units use: the installation code and, for US customary units,
/// harmonic limits of the demand at the coupling. Each can be changed alone afterwards, and a project value set by hand stays.
/// </summary>
/// <param name="Units">The units.</param>
public sealed record UseUnits(UnitSystem Units) : PlantCommand
{
    internal const string HarmonicsKey = "harmonics-code";

    private const string Proposed = "Proposed with US customary units";

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var us = Units == UnitSystem.UsCustomary;
        var code = plant.Overrides.FirstOrDefault(o => o.Key == HarmonicsKey);
        ValueList<DefaultOverride> overrides = us && code is null
            ? [.. plant.Overrides, new DefaultOverride(HarmonicsKey, (double)HarmonicsCode.DemandDistortion, Proposed)]
            : !us && code?.Reason == Proposed ? [.. plant.Overrides.Where(o => o.Key != HarmonicsKey)] : plant.Overrides;
        var after = plant with
        {
            Conventions = plant.Conventions with { Units = Units, Installation = us ? InstallationCode.Nfpa70 : InstallationCode.Iec60364 },
            Overrides = overrides,
        };
        return new CommandOutcome.Done(after, us ? "US customary units" : "SI units", [])
        {
            Notes = us
                ? ["Installation code: NFPA 70."
                    + (code is null
                        ? " Harmonics judged by demand distortion at the coupling (IEEE 519)."
                        : " The harmonics code stays as the project has it.")]
                : ["Installation code: IEC 60364."],
        };
    }
}

/// <summary>Sets the least efficiency classes of new motors to the law where the plant stands.</summary>
/// <param name="Region">Key of a region of the catalogue.</param>
public sealed record UseRegion(string Region) : PlantCommand
{
    private static readonly string[] Keys = ["least-motor-ie", "least-motor-ie-75-200-kw"];

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (studies.Data.Regions.FirstOrDefault(r => r.Key == Region) is not { } region)
        {
            return CommandOutcome.Unknown("region", "Region", Region);
        }

        var reason = $"{region.Name}: {region.Source}";
        return CommandOutcome.Of(
            plant with
            {
                Overrides =
                [
                    .. plant.Overrides.Where(o => !Keys.Contains(o.Key)),
                    new DefaultOverride(Keys[0], region.LeastIe, reason),
                    new DefaultOverride(Keys[1], region.LeastLargeIe, reason),
                ],
            },
            $"Efficiency of new motors: {region.Name}");
    }
}
