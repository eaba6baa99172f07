using System.Diagnostics;

namespace Cuadrilla.Core.Base;

/// <summary>
/// Work that has time gives way to work that somebody waits for: on few cores a long study would else take turns with every edit. What
/// gives way waits before each part of a loop of <see cref="Cores"/>, in short pieces and never for long together, so that neither can
/// hold the other up for good. Safe for use from several threads.
/// </summary>
public sealed class GivingWay : IDisposable
{
    // So long at a time it waits, and so long at most for the same urgent work: who holds what that work waits for must go on.
    private static readonly TimeSpan Piece = TimeSpan.FromMilliseconds(20);
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(2);

    [ThreadStatic]
    private static GivingWay? here;

    private readonly ManualResetEventSlim isFree = new(true);
    private readonly Lock gate = new();
    private int urgent;
    private long since;

    /// <summary>What the running thread gives way to; null: to nothing.</summary>
    internal static GivingWay? Here
    {
        get => here;
        set => here = value;
    }

    /// <summary>Begins urgent work; it ends when the answer is disposed of.</summary>
    public IDisposable Begin()
    {
        lock (gate)
        {
            if (urgent++ == 0)
            {
                since = Stopwatch.GetTimestamp();
                isFree.Reset();
            }
        }

        return new Urgent(this);
    }

    /// <summary>Runs work that gives way, in all the loops inside it.</summary>
    public T Run<T>(Func<T> work)
    {
        ArgumentNullException.ThrowIfNull(work);
        var before = here;
        here = this;
        try
        {
            return work();
        }
        finally
        {
            here = before;
        }
    }

    /// <summary>Waits while urgent work is done.</summary>
    internal void Wait(CancellationToken stop)
    {
        if (!isFree.IsSet && Stopwatch.GetElapsedTime(Volatile.Read(ref since)) < Longest)
        {
            isFree.Wait(Piece, stop);
        }
    }

    /// <inheritdoc/>
    public void Dispose() => isFree.Dispose();

    private void End()
    {
        lock (gate)
        {
            if (--urgent == 0)
            {
                isFree.Set();
            }
        }
    }

    private sealed class Urgent(GivingWay of) : IDisposable
    {
        private int isEnded;

        public void Dispose()
        {
            if (Interlocked.Exchange(ref isEnded, 1) == 0)
            {
                of.End();
            }
        }
    }
}
