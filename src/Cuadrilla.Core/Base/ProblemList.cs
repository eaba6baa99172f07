using System.Globalization;

namespace Cuadrilla.Core.Base;

/// <summary>Gathers problems while a specification is walked.</summary>
internal sealed class ProblemList
{
    // Next to nothing is no quantity of a plant; sums of its squares would be nothing.
    private const double Least = 1e-9;

    public List<InputProblem> Items { get; } = [];

    public void Number(string pointer, string name, double value, double min, double max, string unit, bool minExcluded = false)
    {
        var inside = double.IsFinite(value) && value <= max && (minExcluded ? value > min : value >= min);
        if (!inside)
        {
            var allowed = minExcluded ? $"above {Say(min)} to {Say(max)}" : $"{Say(min)} to {Say(max)}";
            Items.Add(InputProblem.Of(pointer, name, Say(value), unit.Length > 0 ? $"{allowed} {unit}" : allowed));
        }
        else if (value != 0 && Math.Abs(value) < Least)
        {
            Items.Add(InputProblem.Of(pointer, name, Say(value),
                $"{(min == 0 && !minExcluded ? "0 or " : string.Empty)}at least {Say(Least)} in size"));
        }
    }

    public void Number(string pointer, string name, Given value, double min, double max, string unit, bool minExcluded = false)
    {
        if (value.IsKnown)
        {
            Number(pointer, name, value.Value, min, max, unit, minExcluded);
        }
    }

    public void Words(string pointer, string name, string value, int min, int max)
    {
        if (value.Length < min || value.Length > max)
        {
            Items.Add(InputProblem.Of(pointer, name, $"{value.Length} characters long", $"{min} to {max} characters on one line"));
        }
        else if (PlainWords.FirstStrange(value) is { } strange)
        {
            Items.Add(InputProblem.Of(pointer, name, $"with {strange} in it",
                "characters on one line that neither control nor turn the direction"));
        }
    }

    public void Unique(string pointer, string name, string value, HashSet<string> seen)
    {
        if (!seen.Add(value))
        {
            Items.Add(InputProblem.Of(pointer, name, $"'{value}'", "a key used only once"));
        }
    }

    public void Require(bool condition, string pointer, string name, string value, string allowed)
    {
        if (!condition)
        {
            Items.Add(InputProblem.Of(pointer, name, value, allowed));
        }
    }

    private static string Say(double value) => value.ToString("0.######", CultureInfo.InvariantCulture);
}
