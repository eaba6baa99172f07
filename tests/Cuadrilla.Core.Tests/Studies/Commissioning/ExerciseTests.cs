using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Studies.Commissioning.Training;
using Cuadrilla.Documents.Training;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Exercises: what each hides shows where it says, its shortest way can be gone, and evidence is what scores.</summary>
public sealed class ExerciseTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    public static TheoryData<string> Ids => [.. Exercises.All.Select(e => e.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void What_is_hidden_shows_at_its_evidence_and_the_shortest_way_can_be_gone(string id)
    {
        var exercise = Exercises.Named(id)!;
        var plant = Exercises.PlantOf(exercise, ReferenceCatalogue.Data);
        var point = plant.AllDrivePoints().First(p => p.Id == exercise.PointId);
        var steps = SiteSteps.Of(Assessor.SiteOf(plant, point)).ToDictionary(s => s.Id);
        StandInDrive Made(HiddenFault fault) => Assessor.StandIn(plant, point, new(exercise.Seed, fault));
        List<string> shown = [];
        foreach (var evidence in exercise.Evidence)
        {
            Assert.Empty(steps[evidence].Forbidden);
            var found = StandInHands.Judge(Made(exercise.Fault), steps[evidence])!;
            Assert.NotEqual(Verdict.NeedsData, found.Verdict);
            shown.AddRange(found.Verdict == Verdict.Fails ? [evidence] : []);

            // Without the fault the same step is in order: it shows this fault and not a bad day.
            Assert.NotEqual(Verdict.Fails, StandInHands.Judge(Made(HiddenFault.None), steps[evidence])!.Verdict);
        }

        Assert.Equal(exercise.Fault == HiddenFault.None, shown.Count == 0);
        foreach (var (step, i) in exercise.Shortest.Select((s, i) => (s, i)))
        {
            Assert.Empty(steps[step].Forbidden);
            Assert.All(steps[step].After, a => Assert.Contains(a, exercise.Shortest.Take(i)));
        }

        Assert.True(exercise.Fault == HiddenFault.None || exercise.Shortest.Any(shown.Contains), "the shortest way passes its evidence");
        Assert.All(new[] { exercise.Title, exercise.Brief, exercise.Told, exercise.Cost, exercise.Trains }, Assert.NotEmpty);
        Assert.DoesNotContain(HiddenFaults.Word(exercise.Fault), exercise.Brief + exercise.Title, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public void Every_fault_has_an_exercise_and_they_are_spread_over_the_work()
    {
        Assert.Equal(Enum.GetValues<HiddenFault>().Order(), Exercises.All.Select(e => e.Fault).Distinct().Order());
        Assert.Equal(Exercises.All.Count, Exercises.All.Select(e => e.Id).Distinct().Count());
        Assert.Superset(new HashSet<string>
        {
            "soft starter", "long cable", "brake", "PV pump", "shared shaft", "group", "follower", "servo axis", "single phase",
            "special motor at no load", "harmonics",
        }, Exercises.All.Select(e => e.Trains).ToHashSet());
    }

    [Fact]
    public void Evidence_scores_a_guess_does_not_and_the_shortest_way_scores_most()
    {
        var exercise = Exercises.Named("glazing-identification")!;
        TrainedStep Step(string id, SitePhase phase, bool fails = false) => new(id, phase, fails);
        TrainedStep[] shortest = [Step("insulation", SitePhase.BeforePower), Step("supply", SitePhase.BeforePower),
            Step("direction", SitePhase.Identification), Step("no-load", SitePhase.Uncoupled, fails: true)];
        int Points(IReadOnlyList<TrainedStep> steps, HiddenFault decision) => ExerciseScore.Of(exercise, steps, decision).Points;
        Assert.Equal(100, Points(shortest, HiddenFault.OtherIdentification));
        Assert.Equal(90, Points([.. shortest, .. shortest], HiddenFault.OtherIdentification));
        Assert.Equal(20, Points([], HiddenFault.OtherIdentification));
        Assert.Equal(30, Points(shortest[..3], HiddenFault.OtherIdentification));
        Assert.Equal(40, Points(shortest, HiddenFault.Joint));
        Assert.Equal(0, Points([], HiddenFault.Joint));

        // Turned before it was measured dead.
        var hasty = ExerciseScore.Of(exercise, [shortest[2], shortest[3]], HiddenFault.OtherIdentification);
        Assert.False(hasty.WasDeadFirst);
        Assert.Equal(90, hasty.Points);
        var none = Exercises.Named("stacker-axis")!;
        Assert.False(ExerciseScore.Of(none, [Step("insulation", SitePhase.BeforePower)], HiddenFault.None).HasEvidence);
    }
}
