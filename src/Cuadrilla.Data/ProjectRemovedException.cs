namespace Cuadrilla.Data;

/// <summary>A project that was removed for ever between finding and reading it.</summary>
public sealed class ProjectRemovedException : Exception
{
    /// <summary>Creates it.</summary>
    public ProjectRemovedException()
        : base("The project was removed.")
    {
    }
}
