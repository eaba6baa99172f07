using Cuadrilla.Core.Base;

namespace Cuadrilla.Web.Studies;

/// <summary>
/// Edits are answered in the order of their coming, so many at a time as there are cores: more would only take each other's time, memory
/// and threads. While one is answered long studies give way.
/// </summary>
internal sealed class EditTurns(GivingWay way) : IDisposable
{
    private readonly SemaphoreSlim places = new(Environment.ProcessorCount);

    /// <summary>Waits for a turn; it ends when the answer is disposed of.</summary>
    public async Task<IDisposable> TakeAsync(CancellationToken leaves)
    {
        var urgent = way.Begin();
        try
        {
            await places.WaitAsync(leaves);
        }
        catch
        {
            urgent.Dispose();
            throw;
        }

        return new Turn(this, urgent);
    }

    public void Dispose() => places.Dispose();

    private sealed class Turn(EditTurns of, IDisposable urgent) : IDisposable
    {
        public void Dispose()
        {
            urgent.Dispose();
            of.places.Release();
        }
    }
}
