using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Studies.Candidates;

/// <summary>A candidate fits when its size is judged and nothing fails; before that it needs data.</summary>
public sealed class CandidateTests
{
    [Fact]
    public void Without_a_load_no_size_fits_and_the_cheapest_of_the_right_voltage_leads()
    {
        var plant = Changed("dp-02", p => p with { Load = new UnspecifiedLoad() });
        var ranked = Motors(plant, "dp-02");
        Assert.DoesNotContain(ranked, c => c.Fits);
        Assert.Contains("load", ranked[0].Reason, StringComparison.Ordinal);
        Assert.True(ranked[0].NeedsData);
        Assert.All(ranked.SkipWhile(c => c.NeedsData), c => Assert.False(c.NeedsData));
        var open = ranked.TakeWhile(c => c.NeedsData).Select(c => c.PriceIndex).ToList();
        Assert.Equal(open.Order(), open);
    }

    // Its temperature rise decides, and is not stated: it is not told to fit.
    [Fact]
    public void A_motor_whose_verdict_rests_on_what_is_not_stated_needs_data()
    {
        var none = Given.Unknown;
        var own = new OwnMotor(
            "own-1", "Mill spare", MotorTechnology.CageInduction, "–", 55.9, 400, none, 50, 1482, 98, 95.1, 0.87, 4,
            none, none, none, none, none, none, none, none, none, none, none, none, none, none, none, none, none, none, none);
        var mill = Motors(Demo with { Motors = [own] }, "dp-02").Single(c => c.ItemId == own.Id);
        Assert.Equal((false, true), (mill.Fits, mill.NeedsData));
        Assert.Contains("temperature rise", mill.Reason, StringComparison.Ordinal);
        Assert.True(Motors(Demo with { Motors = [own with { RatedRiseK = 80 }] }, "dp-02").Single(c => c.ItemId == own.Id).Fits);
    }

    private static IReadOnlyList<Candidate> Motors(PlantSpecification plant, string id)
    {
        var studies = DemoChanges.Assessor;
        return CandidateRanking.Motors(studies.Study(plant, plant.AllDrivePoints().Single(p => p.Id == id)).Model.Input, Data.With(plant));
    }
}
