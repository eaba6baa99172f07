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
    public void A_search_under_way_ends_when_its_asker_leaves_and_the_one_who_waits_begins_anew()
    {
        var assessor = new Assessor(DemoChanges.Data, warmStarts: false);
        using var leaves = new CancellationTokenSource();
        using var begun = new ManualResetEventSlim();
        Exception? left = null;
        var waited = 0;

        // Threads of their own: the pool may be busy for longer than the search lasts.
        var first = new Thread(() =>
        {
            begun.Set();
            left = Record.Exception(() => assessor.StoppedBy(leaves.Token).Run(Plant));
        });
        var second = new Thread(() => waited = assessor.Run(Plant).Scenarios.Count);
        first.Start();
        begun.Wait();
        Thread.Sleep(30);
        second.Start();
        leaves.Cancel();
        first.Join();
        second.Join();

        Assert.IsAssignableFrom<OperationCanceledException>(left);
        Assert.Equal(Plant.Scenarios.Count, waited);
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
