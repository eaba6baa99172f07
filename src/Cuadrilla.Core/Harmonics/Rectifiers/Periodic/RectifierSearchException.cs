namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A search for a repeating state that leads nowhere.</summary>
internal sealed class RectifierSearchException : Exception
{
    public RectifierSearchException()
    {
    }

    public RectifierSearchException(string message)
        : base(message)
    {
    }

    public RectifierSearchException(string message, Exception inner)
        : base(message, inner)
    {
    }
}
