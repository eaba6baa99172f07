using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Candidates;

/// <summary>Sizing finds the same motor and converter as the whole ranking, with the same figures.</summary>
public sealed class BestCandidateTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    [Fact]
    [Trait("speed", "slow")]
    public void The_best_found_without_the_costs_of_all_is_the_first_of_all()
    {
        var studies = new Assessor(Data);
        var fitting = 0;
        foreach (var seed in Enumerable.Range(60_000, 5))
        {
            var plant = RandomPlant.Of(seed, Data);
            var data = Data.With(plant);
            foreach (var input in plant.AllDrivePoints().Select(p => studies.Study(plant, p).Model.Input))
            {
                var motor = CandidateRanking.Motors(input, data)[0];
                var converter = CandidateRanking.Converters(input, data)[0];
                Assert.Equal(motor, BestCandidate.Motors(input, data)[0]);
                Assert.Equal(converter, BestCandidate.Converters(input, data)[0]);
                fitting += (motor.Fits ? 1 : 0) + (converter.Fits ? 1 : 0);
            }
        }

        Assert.True(fitting > 5, $"{fitting} best ones that fit");
    }
}
