using System.Diagnostics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Tests.Base;

/// <summary>Long work gives way to urgent work, and neither holds the other up for good.</summary>
public sealed class GivingWayTests
{
    [Fact]
    public async Task What_has_time_rests_while_something_urgent_is_done_and_ends_all_the_same()
    {
        using var way = new GivingWay();
        var done = 0;
        using var isAtWork = new ManualResetEventSlim();
        var urgent = way.Begin();
        var work = Task.Factory.StartNew(
            () => way.Run(() =>
            {
                isAtWork.Set();
                Cores.For(2000, _ => Interlocked.Increment(ref done));
                return done;
            }),
            TestContext.Current.CancellationToken, TaskCreationOptions.LongRunning, TaskScheduler.Default);
        isAtWork.Wait(TestContext.Current.CancellationToken);
        await Task.Delay(200, TestContext.Current.CancellationToken);
        Assert.InRange(Volatile.Read(ref done), 0, 200);
        urgent.Dispose();
        urgent.Dispose();
        Assert.Equal(2000, await work);
    }

    [Fact]
    public void Urgent_work_that_never_ends_does_not_stop_it()
    {
        using var way = new GivingWay();
        using var urgent = way.Begin();
        var watch = Stopwatch.StartNew();
        var sum = 0;
        way.Run(() =>
        {
            Cores.For(5000, _ => Interlocked.Increment(ref sum));
            return 0;
        });
        Assert.Equal(5000, sum);
        Assert.True(watch.Elapsed > TimeSpan.FromSeconds(1), "it never rested");
    }

    [Fact]
    public void Other_work_does_not_rest_and_loops_inside_loops_do()
    {
        using var way = new GivingWay();
        using var urgent = way.Begin();
        var seen = 0;
        Cores.For(50, _ => Interlocked.Add(ref seen, GivingWay.Here is null ? 1 : 1000));
        Assert.Equal(50, seen);
        urgent.Dispose();
        way.Run(() =>
        {
            Cores.For(4, _ => Cores.For(4, _ => Interlocked.Add(ref seen, ReferenceEquals(GivingWay.Here, way) ? 1 : 1000)));
            return 0;
        });
        Assert.Equal(66, seen);
        Assert.Null(GivingWay.Here);
    }

    [Fact]
    public void Who_leaves_while_it_rests_is_gone_at_once()
    {
        using var way = new GivingWay();
        using var urgent = way.Begin();
        using var leaves = new CancellationTokenSource(50);
        Assert.ThrowsAny<OperationCanceledException>(() => way.Run(() =>
        {
            Cores.For(1_000_000, _ => { }, leaves.Token);
            return 0;
        }));
    }
}
