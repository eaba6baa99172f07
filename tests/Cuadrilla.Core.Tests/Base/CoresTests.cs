using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Tests.Base;

/// <summary>Loops that share cores: each iteration once, in its place, never more at work than there are cores.</summary>
public sealed class CoresTests
{
    [Fact]
    public void Every_iteration_runs_once_and_results_keep_their_order()
    {
        var counts = new int[500];
        Cores.For(counts.Length, i => Interlocked.Increment(ref counts[i]));
        Assert.All(counts, c => Assert.Equal(1, c));
        Assert.Equal(Enumerable.Range(0, 100).Select(i => i * i), Cores.Map([.. Enumerable.Range(0, 100)], i => i * i));
    }

    [Fact]
    public void Loops_inside_loops_never_have_more_at_work_than_the_machine_has_cores()
    {
        int now = 0, most = 0;
        Cores.For(12, _ => Cores.For(12, _ =>
        {
            var here = Interlocked.Increment(ref now);
            InterlockedMax(ref most, here);
            Thread.SpinWait(20_000);
            Interlocked.Decrement(ref now);
        }));

        // Two loops that begin at the same instant may both take the last free core.
        Assert.InRange(most, 1, 2 * Environment.ProcessorCount);
    }

    [Fact]
    public void What_a_body_throws_comes_out_and_a_stop_is_a_stop()
    {
        Assert.Throws<OperationCanceledException>(() => Cores.For(3, _ => { }, new CancellationToken(canceled: true)));
        using var stop = new CancellationTokenSource();
        Assert.ThrowsAny<OperationCanceledException>(() => Cores.For(100_000, i =>
        {
            if (i == 5)
            {
                stop.Cancel();
            }
        }, stop.Token));
        var thrown = Assert.ThrowsAny<Exception>(() => Cores.For(4, i => throw new InvalidDataException($"body {i}")));
        Assert.IsType<InvalidDataException>(thrown is AggregateException several ? several.InnerExceptions[0] : thrown);
    }

    private static void InterlockedMax(ref int most, int value)
    {
        int seen;
        while ((seen = Volatile.Read(ref most)) < value && Interlocked.CompareExchange(ref most, value, seen) != seen)
        {
        }
    }
}
