using System.Text.Json;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>What differs between two assessments makes the later one of the earlier.</summary>
public sealed class AssessmentChangesTests
{
    [Fact]
    public void Any_list_becomes_any_other()
    {
        var random = new Random(17);
        for (var i = 0; i < 500; i++)
        {
            int[] before = [.. Enumerable.Range(0, random.Next(30)).Select(_ => random.Next(20))];
            int[] after = [.. Enumerable.Range(0, random.Next(30)).Select(_ => random.Next(20))];
            Assert.Equal(after, Applied(before, ListChanges.Of(before, after)));
        }
    }

    [Fact]
    public void Of_a_list_that_stays_nothing_is_told_and_of_one_item_that_moved_that_alone()
    {
        int[] list = [.. Enumerable.Range(0, 100)];
        var same = ListChanges.Of(list, [.. list]);
        Assert.Empty(same.Gone);
        Assert.Empty(same.Put);
        var moved = ListChanges.Of(list, [.. list.Where(i => i != 70).Prepend(-1)]);
        Assert.Equal([70], moved.Gone);
        Assert.Equal([0], moved.At);
        Assert.Equal([-1], moved.Put);
    }

    [Fact]
    public void Of_an_edit_of_one_cable_most_checks_stay_and_the_rest_makes_the_later_assessment()
    {
        var data = ReferenceCatalogue.Data;
        var assessor = new Assessor(data);
        var plant = DemoPlant.Read(data);
        var lineup = plant.Lineups[0];
        var point = lineup.DrivePoints[0];
        var longer = plant with
        {
            Lineups =
            [
                lineup with
                {
                    DrivePoints = [point with { Cable = point.Cable with { LengthM = 143 } }, .. lineup.DrivePoints.Skip(1)],
                },
                .. plant.Lineups.Skip(1),
            ],
        };
        var (before, after) = (Document(plant), Document(longer));
        var changes = AssessmentChanges.Of(before, after);
        Assert.InRange(changes.Checks.Put.Count, 1, after.Checks.Count / 4);
        Assert.Equal(Json(after.Checks), Json(Applied(before.Checks, changes.Checks)));
        Assert.Equal(Json(after.DrivePoints), Json(Applied(before.DrivePoints, changes.DrivePoints)));

        AssessmentDocument Document(PlantSpecification of) =>
            AssessmentDocument.Of(of, assessor.Run(of), data.PccLimits, withReasons: false);
    }

    // As the app does it.
    private static List<T> Applied<T>(IReadOnlyList<T> before, ListChanges<T> changes)
        where T : notnull
    {
        var list = before.Where((_, i) => !changes.Gone.Contains(i)).ToList();
        foreach (var (at, item) in changes.At.Zip(changes.Put))
        {
            list.Insert(at, item);
        }

        return list;
    }

    private static string Json<T>(IReadOnlyList<T> of) => JsonSerializer.Serialize(of, ProjectJson.Options);
}
