using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>What is kept from one edit to the next changes no answer: random plants, edited one load after the other.</summary>
public sealed class EditAgainstFreshTests
{
    // Steady voltages are balanced to a few millionths of nominal; what rests on their differences moves more than they do.
    private const double Within = 1e-4;

    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    [Theory]
    [Trait("speed", "slow")]
    [InlineData(20_100)]
    [InlineData(20_124)]
    [InlineData(20_328)]
    [InlineData(20_400)]
    [InlineData(22_221)]
    public void An_edit_is_judged_like_a_plant_that_was_never_seen(int from)
    {
        var edits = 0;
        foreach (var seed in Enumerable.Range(from, 4))
        {
            var plant = RandomPlant.Of(seed, Data);
            var kept = new Assessor(Data);
            kept.Run(plant);
            foreach (var point in plant.AllDrivePoints().Where(IsKnown).Take(2).ToList())
            {
                plant = Harder(plant, point.Id);
                Same(new Assessor(Data).Run(plant with { Name = plant.Name + " again" }), kept.Run(plant), seed);
                edits++;
            }
        }

        Assert.True(edits >= 4, $"{edits}");
    }

    private static void Same(PlantAssessment fresh, PlantAssessment edited, int seed)
    {
        Assert.Equal(fresh.Scenarios.Select(s => (s.ScenarioId, s.Iteration.IsSettled, s.Iteration.Second is null)),
            edited.Scenarios.Select(s => (s.ScenarioId, s.Iteration.IsSettled, s.Iteration.Second is null)));
        Assert.Equal(fresh.Checks.Count, edited.Checks.Count);
        foreach (var (one, other) in fresh.Checks.Zip(edited.Checks))
        {
            var which = $"{seed}: {one.Id} {one.DrivePointId}{one.ElementId}";
            Assert.Equal((one.Id, one.DrivePointId, one.ElementId), (other.Id, other.DrivePointId, other.ElementId));
            Assert.True(one.Verdict == other.Verdict, $"{which}: {one.Verdict} {one.Figure}, edited {other.Verdict} {other.Figure}");
            if (one.Figure.IsKnown && double.IsFinite(one.Figure.Value))
            {
                var scale = Math.Max(Math.Abs(one.Figure.Value), one.Limit.IsKnown ? Math.Abs(one.Limit.Value) : 0);
                Assert.True(Math.Abs(one.Figure.Value - other.Figure.Value) <= Within * Math.Max(scale, 1e-9),
                    $"{which}: {one.Figure}, edited {other.Figure}");
            }
        }
    }

    private static bool IsKnown(DrivePoint point) => point.Load is FanLoad { RatedPressurePa.IsKnown: true }
        or PumpLoad { RatedHeadM.IsKnown: true } or ConstantTorqueLoad { TorqueNm.IsKnown: true };

    private static PlantSpecification Harder(PlantSpecification plant, string id) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? p with
        {
            Load = p.Load switch
            {
                FanLoad fan => fan with { RatedPressurePa = 1.07 * fan.RatedPressurePa.Value },
                PumpLoad pump => pump with { RatedHeadM = 1.07 * pump.RatedHeadM.Value },
                ConstantTorqueLoad torque => torque with { TorqueNm = 1.07 * torque.TorqueNm.Value },
                var other => other,
            },
        } : p)] })],
    };
}
