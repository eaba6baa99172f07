namespace Cuadrilla.Core.Checks;

/// <summary>A study or check that threw: it costs what it was to say, never the plant.</summary>
/// <param name="Where">What was being computed.</param>
/// <param name="What">Kind and text of the exception.</param>
/// <param name="Trace">Where it was thrown, for the log.</param>
public sealed record Fault(string Where, string What, string Trace)
{
    /// <summary>How to see it again.</summary>
    public const string HowToRepeat = "Save the project file and assess it from the command line: the same fault appears there, without a "
        + "server.";

    /// <summary>Of an exception.</summary>
    /// <param name="where">What was being computed.</param>
    /// <param name="problem">The exception.</param>
    public static Fault Of(string where, Exception problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        return new Fault(where, $"{problem.GetType().Name}: {problem.Message}", problem.StackTrace ?? string.Empty);
    }

    /// <summary>True for what may be contained; cancellation goes on its way.</summary>
    internal static bool IsContained(Exception problem) => problem is not OperationCanceledException;
}
