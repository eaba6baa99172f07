using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>Input that can't be accepted, with every problem found.</summary>
public sealed class InputException : Exception
{
    /// <summary>Creates it.</summary>
    public InputException(IReadOnlyList<InputProblem> problems)
        : base(string.Join(" ", (problems ?? []).Select(p => p.Message)))
    {
        Problems = problems ?? [];
    }

    /// <summary>Creates it for one problem.</summary>
    public InputException(InputProblem problem)
        : this([problem])
    {
    }

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<InputProblem> Problems { get; }
}
