using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>
/// A front end that overloads a small generator: on the way from rest its link rises far above the voltage without load, and comes
/// back; a search that gave up there left the distortion unjudged.
/// </summary>
public sealed class WeakGeneratorTests
{
    private const int WrittenIn = 17;

    [Fact]
    public void A_front_end_on_a_generator_too_small_for_it_settles()
    {
        var plant = StoredProject.Read(
            File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Harmonics", "weak-generator.json")), WrittenIn);
        var scenarios = new Assessor(ReferenceCatalogue.Data).Run(plant).Scenarios;
        Assert.Equal(2, scenarios.Count);
        Assert.All(scenarios, s => Assert.True(s.Iteration.IsSettled, $"{s.ScenarioId} {s.Iteration}"));
    }
}
