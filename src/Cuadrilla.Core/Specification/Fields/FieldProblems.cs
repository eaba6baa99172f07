using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries judged by their description.</summary>
internal static class FieldProblems
{
    /// <summary>A number against its range.</summary>
    public static void Number(this ProblemList problems, string pointer, NumberField field, Given value) =>
        problems.Number(pointer, field.Name, value, field.Min, field.Max, field.Unit, field.IsAboveMin);

    /// <summary>A number against the narrower range that other entries give; what was said of its own range is said anew.</summary>
    /// <param name="problems">Gathers them.</param>
    /// <param name="at">Pointer to the record.</param>
    /// <param name="key">Its property.</param>
    /// <param name="value">What stands there.</param>
    /// <param name="min">Least value.</param>
    /// <param name="max">Largest value.</param>
    /// <param name="above">True when the least value itself is not permitted.</param>
    /// <param name="because">Where that range comes from.</param>
    public static void Within<T>(this ProblemList problems, string at, string key, Given value, double min, double max, bool? above = null,
        string because = "")
    {
        var field = FieldTable.Number<T>(key);
        var pointer = $"{at}/{FieldSet.JsonName(key)}";
        problems.Items.RemoveAll(p => p.Pointer == pointer);
        problems.Number(pointer, field.Name, value, Math.Max(min, field.Min), Math.Min(max, field.Max), field.Unit + because,
            above ?? field.IsAboveMin);
    }
}
