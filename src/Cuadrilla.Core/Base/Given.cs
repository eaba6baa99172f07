using System.Globalization;

namespace Cuadrilla.Core.Base;

/// <summary>
/// A number that the engineer has entered or has not entered yet. Reading an unknown one is a programming error; a study
/// that needs it reports <em>Needs data</em> instead.
/// </summary>
public readonly record struct Given
{
    private readonly double value;

    private Given(double value)
    {
        this.value = value;
        IsKnown = true;
    }

    /// <summary>Nothing entered.</summary>
    public static Given Unknown => default;

    /// <summary>True once a value has been entered.</summary>
    public bool IsKnown { get; }

    /// <summary>The entered value, in the unit that the property's name states.</summary>
    /// <exception cref="InvalidOperationException">Nothing has been entered.</exception>
    public double Value => IsKnown ? value : throw new InvalidOperationException("The value has not been entered.");

    /// <summary>The entered value, or what is usual.</summary>
    public double Or(double usual) => IsKnown ? value : usual;

    /// <summary>An entered value.</summary>
    public static Given Of(double value) => new(value);

    /// <summary>An entered value.</summary>
    public static implicit operator Given(double value) => new(value);

    /// <inheritdoc/>
    public override string ToString() => IsKnown ? value.ToString(CultureInfo.InvariantCulture) : "unknown";
}
