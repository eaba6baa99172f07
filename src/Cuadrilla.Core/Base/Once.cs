namespace Cuadrilla.Core.Base;

/// <summary>Something made once for all who ask for it. Who comes while it is being made waits; when its maker leaves, the next one makes
/// it.</summary>
internal sealed class Once<T>
    where T : class
{
    private readonly Lock gate = new();
    private T? made;

    /// <summary>True once it is made.</summary>
    public bool IsMade => Volatile.Read(ref made) is not null;

    /// <summary>What was made, or is made now.</summary>
    /// <param name="make">Makes it; what it throws is not kept.</param>
    public T Get(Func<T> make)
    {
        if (Volatile.Read(ref made) is { } known)
        {
            return known;
        }

        lock (gate)
        {
            return made ??= make();
        }
    }
}
