using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Circuits of several front ends that find no state at first: who is ill alone, and who must be judged together.</summary>
public sealed class FrontsApartTests
{
    // Each of the three is at rest beside voltages that stand still; beside each other a disturbance of that state grows by 1.02 a repeat,
    // while another attracts.
    [Fact]
    public void Front_ends_at_rest_by_themselves_are_judged_together()
    {
        var scenario = Assert.Single(Assessed(RandomPlant.Of(22_223, ReferenceCatalogue.Data)));
        Assert.True(scenario.Iteration.IsSettled);
        foreach (var id in new[] { "p0", "p3", "p5" })
        {
            Assert.Equal(3, One(scenario, id).Search!.Kinds.Count);
            Assert.InRange(Assert.IsType<RectifierResult.SteadyState>(One(scenario, id).Front).Multiplier, 0, 1);
        }
    }

    [Theory]
    [InlineData(21_145, "p0", "p1", 2)]
    [InlineData(22_289, "p5", "p6", 3)]
    public void Beside_one_that_has_no_state_the_others_are_solved_as_if_it_were_not_there(int seed, string ill, string other, int kinds)
    {
        var plant = RandomPlant.Of(seed, ReferenceCatalogue.Data);
        var with = Assessed(plant)[0];
        var without = Assessed(plant with
        {
            Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Where(p => p.Id != ill)] })],
        })[0];
        Assert.IsType<RectifierResult.NoSteadyState>(One(with, ill).Front);
        Assert.DoesNotContain(without.Drives, d => d.DrivePointId == ill);
        Assert.Equal(kinds, One(with, other).Search!.Kinds.Count);
        var drawn = without.Drives.Where(d => d.Front is RectifierResult.LineDraw).ToList();
        Assert.True(drawn.Count >= kinds, $"{drawn.Count}");
        foreach (var drive in drawn)
        {
            var (one, same) = ((RectifierResult.LineDraw)drive.Front, (RectifierResult.LineDraw)One(with, drive.DrivePointId).Front);
            Assert.Equal(one.PhaseA.RmsA, same.PhaseA.RmsA, 1e-6 * one.PhaseA.RmsA);
        }
    }

    private static IReadOnlyList<ScenarioResult> Assessed(PlantSpecification plant) =>
        new Assessor(ReferenceCatalogue.Data).Run(plant).Scenarios;

    private static DriveInScenario One(ScenarioResult scenario, string id) => scenario.Drives.Single(d => d.DrivePointId == id);
}
