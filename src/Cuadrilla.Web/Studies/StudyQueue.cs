using System.Collections.Concurrent;
using Cuadrilla.Core.Base;
using Cuadrilla.Web.Http;

namespace Cuadrilla.Web.Studies;

/// <summary>
/// Studies that take many seconds: few at a time, few waiting, and giving way to edits. Whoever comes when the line is full is told when
/// to come again; whoever leaves makes room at once.
/// </summary>
internal sealed class StudyQueue : IDisposable
{
    /// <summary>How many may wait.</summary>
    public const int MostWaiting = 8;

    private const int AgainAfterS = 20;

    // Half of the cores: the loops inside take what is left.
    private static readonly int MostRunning = Math.Max(1, Environment.ProcessorCount / 2);

    private readonly SemaphoreSlim places = new(MostRunning);
    private readonly ConcurrentDictionary<string, StudyProgress> known = new(StringComparer.Ordinal);
    private readonly GivingWay way;
    private int present;
    private long last;

    public StudyQueue(GivingWay way) => this.way = way;

    /// <summary>Runs a study when it is its turn.</summary>
    /// <param name="context">The request; its end ends the study.</param>
    /// <param name="study">The study; told what to say of its progress.</param>
    public async Task<IResult> RunAsync(HttpContext context, Func<StudyProgress, IResult> study)
    {
        if (Interlocked.Increment(ref present) > MostRunning + MostWaiting)
        {
            Interlocked.Decrement(ref present);
            context.Response.Headers.RetryAfter = $"{AgainAfterS}";
            return Problems.Of(
                "busy", "Busy", StatusCodes.Status503ServiceUnavailable,
                $"{MostRunning + MostWaiting} long studies are asked for already. Nothing was changed; ask again in {AgainAfterS} s.", []);
        }

        var key = context.Request.Query["study"].ToString();
        var progress = new StudyProgress(Interlocked.Increment(ref last));
        if (key.Length is > 0 and <= StudyProgress.LongestKey)
        {
            known[key] = progress;
        }

        try
        {
            await places.WaitAsync(context.RequestAborted);
            try
            {
                progress.Begin();

                // A thread of its own: those that answer requests stay free.
                return await Task.Factory.StartNew(
                    () => way.Run(() => study(progress)), context.RequestAborted, TaskCreationOptions.LongRunning, TaskScheduler.Default);
            }
            finally
            {
                places.Release();
            }
        }
        finally
        {
            Interlocked.Decrement(ref present);
            known.TryRemove(new KeyValuePair<string, StudyProgress>(key, progress));
        }
    }

    /// <summary>How far the study of that key is.</summary>
    public StudyDocument Find(string key) => known.TryGetValue(key, out var found)
        ? new StudyDocument(true, found.IsRunning, found.IsRunning ? 0 : known.Values.Count(k => k.Place < found.Place), found.Done,
            found.Of)
        : StudyDocument.None;

    public void Dispose() => places.Dispose();
}

/// <summary>How far a study is.</summary>
/// <param name="IsKnown">False where there is none of that key: it is done, or has not come yet.</param>
/// <param name="IsRunning">False while it waits for its turn.</param>
/// <param name="Before">How many are before it while it waits.</param>
/// <param name="Done">Parts done.</param>
/// <param name="Of">Of how many; 0 while that is not known.</param>
internal sealed record StudyDocument(bool IsKnown, bool IsRunning, int Before, int Done, int Of)
{
    /// <summary>There is none.</summary>
    public static StudyDocument None { get; } = new(false, false, 0, 0, 0);
}

/// <summary>What a study says of itself while it runs.</summary>
/// <param name="place">Its place in the order of coming.</param>
internal sealed class StudyProgress(long place)
{
    /// <summary>Greatest length of a key.</summary>
    public const int LongestKey = 64;

    private volatile bool isRunning;
    private volatile int done;
    private volatile int of;

    public long Place => place;

    public bool IsRunning => isRunning;

    public int Done => done;

    public int Of => of;

    public void Begin() => isRunning = true;

    /// <summary>So many parts of so many are done.</summary>
    public void Tell(int parts, int ofParts) => (done, of) = (Math.Max(done, parts), ofParts);
}
