using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>Input that can't be accepted, with every problem found.</summary>
public sealed class InputException : Exception
{
    private const int Most = 50;
    private const int MostOfValue = 120;
    private const int MostOfText = 600;

    /// <summary>Creates it; of very many problems the first are told, and how many more there are.</summary>
    public InputException(IReadOnlyList<InputProblem> problems)
        : base(string.Join(" ", Told(problems ?? []).Select(p => p.Message)))
    {
        Problems = Told(problems ?? []);
    }

    /// <summary>Creates it for one problem.</summary>
    public InputException(InputProblem problem)
        : this([problem])
    {
    }

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<InputProblem> Problems { get; }

    private static List<InputProblem> Told(IReadOnlyList<InputProblem> problems)
    {
        List<InputProblem> told = [.. problems.Take(Most).Select(p =>
            new InputProblem(Cut(p.Pointer, MostOfText), Cut(p.Value, MostOfValue), Cut(p.Allowed, MostOfText),
                Cut(p.Message, MostOfText)))];
        if (problems.Count > Most)
        {
            told.Add(new InputProblem(string.Empty, $"{problems.Count} problems", string.Empty, $"And {problems.Count - Most} more."));
        }

        return told;
    }

    // A character of two halves is not cut through.
    private static string Cut(string text, int most) =>
        text.Length <= most ? text : text[..(char.IsHighSurrogate(text[most - 1]) ? most - 1 : most)] + "…";
}
