using System.Collections.Concurrent;

namespace Cuadrilla.Core.Base;

/// <summary>Remembers results of a pure study by the value of its input. Forgets everything when full.</summary>
/// <param name="study">The study.</param>
/// <param name="capacity">How many results are kept.</param>
internal sealed class StudyMemory<TInput, TResult>(Func<TInput, TResult> study, int capacity)
    where TInput : notnull
{
    private readonly ConcurrentDictionary<TInput, TResult> results = new();

    public TResult Get(TInput input) => Get(input, study);

    /// <summary>The same with another way to the same result, for one that is not remembered.</summary>
    public TResult Get(TInput input, Func<TInput, TResult> way)
    {
        if (results.TryGetValue(input, out var known))
        {
            return known;
        }

        var result = way(input);
        if (results.Count >= capacity)
        {
            results.Clear();
        }

        results[input] = result;
        return result;
    }
}
