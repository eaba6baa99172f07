using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>A scenario settled anew without something, to tell what that something does.</summary>
public sealed partial class Assessor
{
    /// <summary>Takes front ends of a scenario out, one at a time.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="result">A scenario of it that was solved.</param>
    /// <param name="frontIds">Which: drive points, common DC buses, groups.</param>
    public IReadOnlyList<Removal> Without(PlantSpecification plant, ScenarioResult result, IReadOnlyList<string> frontIds)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        plant = StandbyPlant.Of(plant, result.ScenarioId);
        var anew = new Anew(this, plant, result);
        return Cores.Map(frontIds, Removed, stop);

        Removal Removed(string id)
        {
            var found = anew.Run(plant, anew.Defaults, m => !anew.IsPartOf(m, id));
            var current = found is { Iteration.IsSettled: true, Unsettled.Count: 0 } ? found.Pcc.HarmonicA : double.NaN;
            return new Removal(id, current, current - result.Pcc.HarmonicA);
        }
    }

    /// <summary>What unbalance, distortion and unequal leakages do to the front ends that matter in a scenario.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="result">A scenario of it that was solved.</param>
    public IReadOnlyList<FrontStory> Spoiled(PlantSpecification plant, ScenarioResult result)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        plant = StandbyPlant.Of(plant, result.ScenarioId);
        var anew = new Anew(this, plant, result);
        var told = FrontStory.Told(Contributions.Of(plant, result).Select(c => result.Drives.First(d => d.DrivePointId == c.DrivePointId)));
        return Cores.Map(told, drive => FrontStory.Of(drive, cause => ThdiPct(drive.DrivePointId, cause)), stop);

        double ThdiPct(string id, SpoilingCause left)
        {
            var isAlone = left.HasFlag(SpoilingCause.Distortion);
            var source = left.HasFlag(SpoilingCause.Unbalance) ? plant.Source with { UnbalancePct = 0 } : plant.Source;
            source = isAlone ? source.Undistorted() : source;
            var defaults = left.HasFlag(SpoilingCause.Mismatch)
                ? anew.Defaults with { Harmonics = anew.Defaults.Harmonics with { LeakageMismatchPu = 0 } }
                : anew.Defaults;
            var found = anew.Run(plant with { Source = source }, defaults, m => !isAlone || anew.IsPartOf(m, id));
            return found is { Iteration.IsSettled: true, Unsettled.Count: 0 }
                && found.Drives.FirstOrDefault(d => d.DrivePointId == id)?.Front is RectifierResult.LineDraw draw
                ? draw.WorstPhase.ThdiPct
                : double.NaN;
        }
    }

    // A scenario of a plant, with all that it takes to settle it anew from where it stands.
    private sealed class Anew
    {
        private readonly Assessor assessor;
        private readonly PlantSpecification plant;
        private readonly Scenario scenario;
        private readonly List<CompleteDrive> models;
        private readonly ScenarioBefore before;

        public Anew(Assessor assessor, PlantSpecification plant, ScenarioResult result)
        {
            (this.assessor, this.plant) = (assessor, plant);
            scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
            models = [.. plant.AllDrivePoints().Select(p => assessor.Study(plant, p).Model).OfType<CompleteDrive>()];
            before = ScenarioBefore.Of(result);
            Defaults = DefaultsInForce.Resolve(assessor.data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
        }

        public DefaultsInForce Defaults { get; }

        /// <summary>True for a drive point that a front end feeds.</summary>
        public bool IsPartOf(DrivePointModel model, string frontId) =>
            model.Id == frontId || plant.DcBusOf(model.Id)?.Id == frontId || model.Input.Group?.GroupId == frontId;

        /// <summary>Settles it with some of the drive points; those on the line by themselves always run.</summary>
        public ScenarioResult? Run(PlantSpecification changed, DefaultsInForce defaults, Func<DrivePointModel, bool> runs)
        {
            var off = models.Where(m => m is DriveOnConverter && !runs(m)).Select(m => m.Id).ToHashSet(StringComparer.Ordinal);
            var states = scenario with
            {
                States = [.. scenario.States.Where(s => !off.Contains(s.DrivePointId)),
                    .. off.Select(m => new DrivePointState(m, false, 1, 1))],
            };
            return ScenarioStudy.Run(changed, states, defaults, models, assessor.data.SupplyModules, before, seeksSecond: false,
                assessor.stop);
        }
    }
}
