using System.Collections.Concurrent;

namespace Cuadrilla.Core.Base;

/// <summary>
/// Remembers results of a pure study by the value of its input. In two halves: when the newer is full the older is forgotten and what is
/// asked for again moves over, so that many plants at once do not make everything be studied anew at once.
/// </summary>
/// <param name="study">The study.</param>
/// <param name="capacity">How many results are kept.</param>
internal sealed class StudyMemory<TInput, TResult>(Func<TInput, TResult> study, int capacity)
    where TInput : notnull
{
    private readonly Lock gate = new();
    private ConcurrentDictionary<TInput, TResult> newer = new();
    private ConcurrentDictionary<TInput, TResult> older = new();

    public TResult Get(TInput input) => Get(input, study);

    /// <summary>The same with another way to the same result, for one that is not remembered.</summary>
    public TResult Get(TInput input, Func<TInput, TResult> way)
    {
        if (newer.TryGetValue(input, out var known))
        {
            return known;
        }

        var result = older.TryGetValue(input, out var former) ? former : way(input);
        if (newer.Count >= capacity / 2)
        {
            lock (gate)
            {
                if (newer.Count >= capacity / 2)
                {
                    (older, newer) = (newer, new ConcurrentDictionary<TInput, TResult>());
                }
            }
        }

        newer[input] = result;
        return result;
    }
}
