namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Circuits that were solved lately, with what is worked out for them: a plant asks for the same ones after each edit. What was not asked
/// for while as much again came in is forgotten. Safe for use from several threads.
/// </summary>
internal static class KnownCircuits
{
    // What is kept of a circuit grows with the square of its numbers: some fifty of six bridges, many more of one.
    private const int MostNumbers = 50 * 30 * 30;
    private static readonly Lock Gate = new();
    private static Dictionary<string, SwitchedCircuit> young = new(StringComparer.Ordinal);
    private static Dictionary<string, SwitchedCircuit> old = new(StringComparer.Ordinal);
    private static int numbers;

    /// <summary>The circuit of these numbers that is known; the one given where none is.</summary>
    /// <param name="circuit">The circuit.</param>
    /// <param name="isPreferred">True: it takes the place of one that is known.</param>
    public static SwitchedCircuit Same(SwitchedCircuit circuit, bool isPreferred = false)
    {
        var key = circuit.Key();
        lock (Gate)
        {
            if (young.TryGetValue(key, out var known))
            {
                return isPreferred ? young[key] = circuit : known;
            }

            if (numbers > MostNumbers)
            {
                (old, young, numbers) = (young, new Dictionary<string, SwitchedCircuit>(StringComparer.Ordinal), 0);
            }

            known = isPreferred ? circuit : old.GetValueOrDefault(key, circuit);
            numbers += circuit.Size * circuit.Size;
            return young[key] = known;
        }
    }
}
