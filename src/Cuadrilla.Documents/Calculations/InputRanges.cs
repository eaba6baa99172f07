using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Gathers out-of-range fields of a calculation's input.</summary>
/// <param name="prefix">Pointer to the input.</param>
public sealed class InputRanges(string prefix)
{
    private readonly List<InputProblem> problems = [];

    /// <summary>Pointer to the input.</summary>
    public string Prefix => prefix;

    /// <summary>Requires a number within a range.</summary>
    public InputRanges Number(string field, double value, double min, double max, bool minExcluded = false)
    {
        if (!(value <= max && (minExcluded ? value > min : value >= min)))
        {
            problems.Add(InputProblem.Of(
                $"{prefix}/{field}", field, value.ToString(CultureInfo.InvariantCulture),
                (minExcluded ? "above " : string.Empty)
                    + $"{min.ToString(CultureInfo.InvariantCulture)} to {max.ToString(CultureInfo.InvariantCulture)}"));
        }

        return this;
    }

    /// <summary>Requires what the input's records state of themselves.</summary>
    public InputRanges Within(object input)
    {
        foreach (var (path, value, allowed) in StatedRanges.Broken(input, string.Empty))
        {
            problems.Add(InputProblem.Of($"{prefix}/{path}", path, value, allowed));
        }

        return this;
    }

    /// <summary>Requires a condition.</summary>
    public InputRanges Require(bool condition, string field, string value, string allowed)
    {
        if (!condition)
        {
            problems.Add(InputProblem.Of($"{prefix}/{field}", field, value, allowed));
        }

        return this;
    }

    /// <summary>Refuses the input when anything was out of range.</summary>
    /// <exception cref="InputException">There are problems.</exception>
    public void Done()
    {
        if (problems.Count > 0)
        {
            throw new InputException(problems);
        }
    }
}
