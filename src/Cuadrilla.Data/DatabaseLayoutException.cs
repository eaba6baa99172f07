namespace Cuadrilla.Data;

/// <summary>A database whose layout this program can't use; it was left as it was.</summary>
public sealed class DatabaseLayoutException : Exception
{
    /// <summary>Creates it with a sentence for who starts the program.</summary>
    public DatabaseLayoutException(string message, Exception? inner = null)
        : base(message, inner)
    {
    }
}
