namespace Cuadrilla.Core.Base;

/// <summary>
/// Work for somebody who may leave: solvers ask inside their longest loops, so that none goes on for nobody. It belongs to the running
/// thread and goes along with the loops of <see cref="Cores"/>. Only for work whose results nobody else waits for: what many share is
/// stopped between its parts, so that nothing half done is remembered. Safe for use from several threads.
/// </summary>
public static class Leaving
{
    [ThreadStatic]
    private static CancellationToken here;

    /// <summary>What tells that whom the running thread works for has left.</summary>
    internal static CancellationToken Here
    {
        get => here;
        set => here = value;
    }

    /// <summary>Runs work that ends with the one it is for.</summary>
    /// <param name="work">The work.</param>
    /// <param name="stop">Tells that nobody waits any more.</param>
    /// <exception cref="OperationCanceledException">It was stopped.</exception>
    public static T Run<T>(Func<T> work, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(work);
        var before = here;
        here = stop;
        try
        {
            return work();
        }
        finally
        {
            here = before;
        }
    }

    /// <summary>Goes on while somebody waits.</summary>
    /// <exception cref="OperationCanceledException">Nobody does.</exception>
    internal static void Ask() => here.ThrowIfCancellationRequested();
}
