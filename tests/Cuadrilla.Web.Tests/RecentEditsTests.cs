using Cuadrilla.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Web.Projects;
using Xunit;

namespace Cuadrilla.Web.Tests;

public sealed class RecentEditsTests : IDisposable
{
    private static readonly PlantSpecification Demo = DemoPlant.Read(ReferenceCatalogue.Data);
    private readonly RecentEdits recent = new();

    public void Dispose() => recent.Dispose();

    [Fact]
    public void Of_each_project_the_newest_edit_is_kept()
    {
        var first = Keep("p", 1);
        Assert.Same(first, recent.Find("p", 1));
        Assert.Same(first, Keep("p", 1));
        var second = Keep("p", 2);
        Assert.Null(recent.Find("p", 1));

        // Somebody who is late does not bring back what was.
        Assert.NotSame(first, Keep("p", 1));
        Assert.Same(second, recent.Find("p", 2));
    }

    [Fact]
    public void Fifty_plants_of_sixty_are_kept_and_of_more_than_fit_those_whose_last_use_is_longest_ago_go()
    {
        var sixty = OfSize(60);
        Keep("largest", 1, OfSize(RecentEdits.MostDrivePoints + 1));
        Assert.NotNull(recent.Find("largest", 1));
        for (var i = 0; i < 50; i++)
        {
            Keep($"p{i}", 1, sixty);
        }

        Assert.Null(recent.Find("largest", 1));
        Assert.All(Enumerable.Range(0, 50), i => Assert.NotNull(recent.Find($"p{i}", 1)));
        var isUsed = 0;
        for (var i = 50; i < 90; i++)
        {
            Keep($"p{i}", 1, sixty);
            isUsed += recent.Find("p0", 1) is null ? 0 : 1;
            Thread.Sleep(2);
        }

        Assert.Equal(40, isUsed);
        Assert.Null(recent.Find("p1", 1));
        Assert.NotNull(recent.Find("p89", 1));
    }

    private static PlantSpecification OfSize(int points)
    {
        var point = Demo.Lineups[0].DrivePoints[0];
        return Demo with
        {
            Lineups = [Demo.Lineups[0] with { DrivePoints = [.. Enumerable.Range(0, points).Select(i => point with { Id = $"dp{i}" })] }],
        };
    }

    private RecentEdit Keep(string project, long edit, PlantSpecification? plant = null) =>
        recent.Of(new ProjectHead { Id = project, Edit = edit }, () => plant ?? Demo);
}
