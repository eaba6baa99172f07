using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Projects;
using Cuadrilla.RandomPlants;
using Check = Cuadrilla.Core.Checks.Check;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>Eight hundred plants that nobody would draw (more by CUADRILLA_PLANTS): none breaks a study, every verdict says why.</summary>
[Trait("speed", "slow")]
public sealed class RandomPlantTests
{
    private const int Blocks = 8;

    private static readonly int Plants = PlantCount.Of(800);

    // Written as words here, where the program's own rules would leave them out.
    private static readonly JsonSerializerOptions Telling = Options();

    private static JsonSerializerOptions Options()
    {
        var options = new JsonSerializerOptions();
        ProjectJson.Configure(options);
        options.NumberHandling = JsonNumberHandling.AllowNamedFloatingPointLiterals;
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver();
        return options;
    }

    public static TheoryData<int> Seeds() => [.. Enumerable.Range(0, Blocks)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void No_plant_breaks_a_study(int block)
    {
        // Two at a time, each half with a memory of its own.
        var first = block * Plants / Blocks;
        var half = Plants / Blocks / 2;
        var problems = new[] { first, first + half }.AsParallel().SelectMany(from => OfSeeds(from, half)).ToList();
        Assert.True(problems.Count == 0, $"{problems.Count} problems, the first: {string.Join('\n', problems.Take(20))}");
    }

    [Fact]
    public void The_same_currents_are_found_wherever_the_search_began()
    {
        var data = ReferenceCatalogue.Data;
        var compared = 0;
        foreach (var seed in Enumerable.Range(5000, 30))
        {
            var plant = RandomPlant.Of(seed, data);
            var found = new Assessor(data).Run(plant with { Name = $"from nothing {seed}" });

            // After a plant with other loads, and after one with half of the drive points.
            foreach (var (level, step) in new[] { (0.6, 1), (1.0, 2) })
            {
                var assessor = new Assessor(data);
                var named = plant with { Name = $"from {level} {step} {seed}" };
                assessor.Run(named with
                {
                    Scenarios =
                    [
                        .. named.Scenarios.Select(s => s with
                        {
                            States = [.. named.AllDrivePoints().Select((p, i) =>
                                new DrivePointState(p.Id, s.StateOf(p.Id).Running && i % step == 0, level, s.StateOf(p.Id).LoadPu))],
                        }),
                    ],
                });
                foreach (var (one, other) in found.Scenarios.Zip(assessor.Run(named).Scenarios)
                    .Where(s => s.First.Iteration.IsSettled && s.Second.Iteration.IsSettled))
                {
                    foreach (var (a, b) in one.Drives.Zip(other.Drives).Where(d => d.First.Search is not null))
                    {
                        compared++;
                        Assert.True(a.Search!.Emf.Plus(b.Search!.Emf, -1).Largest().Size < 1e-6,
                            $"seed {seed}, {one.ScenarioId}, {a.DrivePointId}");
                    }
                }
            }
        }

        Assert.InRange(compared, 50, int.MaxValue);
    }

    private static List<string> OfSeeds(int first, int count)
    {
        var data = ReferenceCatalogue.Data;
        var assessor = new Assessor(data);
        var problems = new List<string>();
        foreach (var seed in Enumerable.Range(first, count))
        {
            var plant = RandomPlant.Of(seed, data);
            problems.AddRange(SpecificationValidation.Problems(plant, data)
                .Select(p => $"seed {seed} is not valid: {p.Pointer}: {p.Message}"));
            problems.AddRange(Problems(plant, assessor).Select(p => $"seed {seed}: {p}"));
        }

        return problems;
    }

    private static IEnumerable<string> Problems(PlantSpecification plant, Assessor assessor)
    {
        var assessment = assessor.Run(plant);
        var document = AssessmentDocument.Of(plant, assessment, assessor.Data.PccLimits, withReasons: true);
        var json = JsonSerializer.SerializeToNode(document, Telling)!;
        return assessment.Faults.Select(f => $"{f.Where}: {f.What}{f.Trace.Split('\n')[0]}")
            .Concat(assessment.Checks.SelectMany(Incomplete))
            .Concat(NotFinite(json, string.Empty));
    }

    // A verdict without a figure is a rule's, and says so.
    private static IEnumerable<string> Incomplete(Check check)
    {
        var where = $"{check.Id} {check.DrivePointId}{check.ElementId} {check.Title} {check.Verdict}";
        if (check.Reason.WithNumbers.Length == 0 || check.Reason.Formula.Length == 0)
        {
            yield return where + ": no reason";
        }

        if (check.Verdict is Verdict.Holds or Verdict.Tight or Verdict.Fails && !check.IsRule
            && !(check.Figure.IsKnown && check.Limit.IsKnown && check.MarginPct.IsKnown))
        {
            yield return where + ": judged without figure, limit and margin";
        }

        if (check.Verdict is Verdict.Tight or Verdict.Fails && check.Relief.Length == 0)
        {
            yield return where + ": no relief";
        }

        if (check.Reason.WithNumbers.Contains("NaN", StringComparison.Ordinal)
            || check.Reason.WithNumbers.Contains("Infinity", StringComparison.Ordinal))
        {
            yield return $"{where}: {check.Reason.WithNumbers}";
        }
    }

    private static IEnumerable<string> NotFinite(JsonNode? node, string at) => node switch
    {
        JsonObject o => o.SelectMany(p => NotFinite(p.Value, at + "/" + p.Key)),
        JsonArray a => a.SelectMany((v, i) => NotFinite(v, $"{at}/{i}")),
        JsonValue v when v.GetValueKind() == JsonValueKind.String && v.GetValue<string>() is "NaN" or "Infinity" or "-Infinity" =>
            [at + " is not finite"],
        _ => [],
    };
}
