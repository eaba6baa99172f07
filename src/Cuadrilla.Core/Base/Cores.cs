using System.Collections.Concurrent;

namespace Cuadrilla.Core.Base;

/// <summary>
/// Loops that share the cores of the machine. A loop inside a loop, or beside another, takes the cores that are left, so that they do not
/// fight for them; which iteration runs where changes no result, since each writes what is its own.
/// </summary>
public static class Cores
{
    [ThreadStatic]
    private static bool isAtWork;

    private static int atWork;

    /// <summary>Runs a body for 0 to <paramref name="count"/> − 1.</summary>
    /// <param name="count">How often.</param>
    /// <param name="body">What; each call writes only what no other reads.</param>
    /// <param name="stop">Asked before each call.</param>
    /// <exception cref="OperationCanceledException">It was stopped.</exception>
    public static void For(int count, Action<int> body, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(body);
        Shared(count, body, (options, one) => Parallel.For(0, count, options, one), stop);
    }

    /// <summary>The same, the next one always taken by the core that comes first: for few that last long before many that don't.</summary>
    /// <param name="count">How often.</param>
    /// <param name="body">What; each call writes only what no other reads.</param>
    /// <param name="stop">Asked before each call.</param>
    /// <exception cref="OperationCanceledException">It was stopped.</exception>
    public static void InOrder(int count, Action<int> body, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(body);
        Shared(count, body, (options, one) => Parallel.ForEach(
            Partitioner.Create(Enumerable.Range(0, count), EnumerablePartitionerOptions.NoBuffering), options, one), stop);
    }

    /// <summary>What a function makes of each item, in their order.</summary>
    /// <param name="items">Items.</param>
    /// <param name="of">The function; it may run for several at once.</param>
    /// <param name="stop">Asked before each call.</param>
    public static TOut[] Map<TIn, TOut>(IReadOnlyList<TIn> items, Func<TIn, TOut> of, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(of);
        var results = new TOut[items.Count];
        For(results.Length, i => results[i] = of(items[i]), stop);
        return results;
    }

    private static void Shared(int count, Action<int> body, Action<ParallelOptions, Action<int>> loop, CancellationToken stop)
    {
        var free = Environment.ProcessorCount - Volatile.Read(ref atWork) + (isAtWork ? 1 : 0);
        if (count < 2 || free < 2)
        {
            for (var i = 0; i < count; i++)
            {
                stop.ThrowIfCancellationRequested();
                GivingWay.Here?.Wait(stop);
                body(i);
            }

            return;
        }

        try
        {
            var (way, leaves) = (GivingWay.Here, Leaving.Here);
            loop(new ParallelOptions { MaxDegreeOfParallelism = free, CancellationToken = stop },
                i => Counted(body, i, way, leaves, stop));
        }
        catch (AggregateException several) when (several.InnerExceptions.FirstOrDefault(e =>
            e is OperationCanceledException) is { } stopped)
        {
            throw stopped;
        }
    }

    private static void Counted(Action<int> body, int i, GivingWay? way, CancellationToken leaves, CancellationToken stop)
    {
        way?.Wait(stop);
        if (isAtWork)
        {
            body(i);
            return;
        }

        isAtWork = true;
        var (before, leftBefore) = (GivingWay.Here, Leaving.Here);
        (GivingWay.Here, Leaving.Here) = (way, leaves);
        Interlocked.Increment(ref atWork);
        try
        {
            body(i);
        }
        finally
        {
            Interlocked.Decrement(ref atWork);
            (GivingWay.Here, Leaving.Here) = (before, leftBefore);
            isAtWork = false;
        }
    }
}
