using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>Who leaves stops what only he waits for; nobody else notices.</summary>
public sealed class StoppedTests
{
    private static readonly PlantSpecification Plant = DemoChanges.Demo with { Name = "left" };

    [Fact]
    public void What_was_stopped_is_not_kept_and_the_next_one_gets_all_of_it()
    {
        var assessor = new Assessor(DemoChanges.Data);
        Assert.ThrowsAny<OperationCanceledException>(() => assessor.StoppedBy(new CancellationToken(canceled: true)).Run(Plant));

        var whole = assessor.Run(Plant);
        Assert.Empty(whole.Faults);
        Assert.Equal(Plant.Scenarios.Count, whole.Scenarios.Count);
        Assert.Same(whole, assessor.StoppedBy(new CancellationToken(canceled: true)).Run(Plant));
    }

    [Fact]
    public async Task A_search_under_way_ends_when_its_asker_leaves_and_the_one_who_waits_begins_anew()
    {
        var assessor = new Assessor(DemoChanges.Data, warmStarts: false);
        using var leaves = new CancellationTokenSource();
        var begun = new TaskCompletionSource();
        var first = Task.Run(() =>
        {
            begun.SetResult();
            return assessor.StoppedBy(leaves.Token).Run(Plant);
        });
        await begun.Task;
        var second = Task.Run(() => assessor.Run(Plant));
        await leaves.CancelAsync();

        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => first);
        Assert.Equal(Plant.Scenarios.Count, (await second).Scenarios.Count);
    }

    [Fact]
    public void Stories_and_removals_are_stopped_too()
    {
        var assessor = new Assessor(DemoChanges.Data);
        var result = assessor.Run(Plant).Scenarios[0];
        var left = assessor.StoppedBy(new CancellationToken(canceled: true));
        Assert.ThrowsAny<OperationCanceledException>(() => left.Spoiled(Plant, result));
        Assert.ThrowsAny<OperationCanceledException>(() => left.Without(Plant, result, [result.Drives[0].DrivePointId]));
    }
}
