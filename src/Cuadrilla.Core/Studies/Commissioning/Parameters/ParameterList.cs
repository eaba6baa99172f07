using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Rows being written.</summary>
internal sealed class ParameterList
{
    private readonly List<ParameterRow> rows = [];
    private ParameterGroup group;
    private BoardRow band;

    public IReadOnlyList<ParameterRow> Rows => rows;

    /// <summary>What follows belongs to a part of the sheet and leads to a band of the board.</summary>
    public void In(ParameterGroup part, BoardRow leadsTo) => (group, band) = (part, leadsTo);

    /// <summary>As entered; missing where it is not.</summary>
    public void Entered(string id, string name, Given value, string unit, string what, string scaling = "")
    {
        if (value.IsKnown)
        {
            Add(id, name, value, string.Empty, unit, ParameterBasis.Specified, "as specified", what, "the specification", scaling);
        }
        else
        {
            Missing(id, name, unit, what);
        }
    }

    /// <summary>As entered where it is, else what is usual.</summary>
    public void EnteredOr(string id, string name, Given value, double usual, string unit, string what, string why)
    {
        if (value.IsKnown)
        {
            Entered(id, name, value, unit, what);
        }
        else
        {
            Proposed(id, name, usual, unit, why);
        }
    }

    public void Chosen(string id, string name, string word, string what) =>
        Add(id, name, Given.Unknown, word, string.Empty, ParameterBasis.Specified, "as specified", what, "the specification");

    public void Computed(string id, string name, double? value, string unit, string formula, string numbers, string source,
        string scaling = "")
    {
        if (value is { } known && double.IsFinite(known))
        {
            Add(id, name, known, string.Empty, unit, ParameterBasis.Computed, formula, numbers, source, scaling);
        }
        else
        {
            Missing(id, name, unit, numbers);
        }
    }

    public void Follows(string id, string name, string word, string formula, string numbers, string source) =>
        Add(id, name, Given.Unknown, word, string.Empty, ParameterBasis.Computed, formula, numbers, source);

    public void Proposed(string id, string name, double value, string unit, string why, string scaling = "") =>
        Add(id, name, value, string.Empty, unit, ParameterBasis.Proposed, "usual, not decided", why, "practice of commissioning (verify)",
            scaling);

    public void Proposed(string id, string name, string word, string why) =>
        Add(id, name, Given.Unknown, word, string.Empty, ParameterBasis.Proposed, "usual, not decided", why,
            "practice of commissioning (verify)");

    public void Missing(string id, string name, string unit, string what) =>
        Add(id, name, Given.Unknown, string.Empty, unit, ParameterBasis.NeedsData, "needs data", "missing: " + what,
            "Nothing is guessed in place of a missing entry.");

    public void OnSite(string id, string name, string why) =>
        Add(id, name, Given.Unknown, string.Empty, string.Empty, ParameterBasis.OnSite, "found on site", why, "the unit itself");

    private void Add(string id, string name, Given number, string word, string unit, ParameterBasis basis, string formula, string numbers,
        string source, string scaling = "") =>
        rows.Add(new ParameterRow(id, group, name, number, word, unit, basis, band, new Reason(formula, numbers, source, []))
        {
            Scaling = scaling,
        });
}
