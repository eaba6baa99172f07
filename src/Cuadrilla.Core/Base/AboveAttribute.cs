using System.ComponentModel.DataAnnotations;

namespace Cuadrilla.Core.Base;

/// <summary>The range of an engine's input whose least value itself is not permitted.</summary>
public sealed class AboveAttribute : RangeAttribute
{
    /// <summary>Makes it.</summary>
    /// <param name="minimum">What the value is above.</param>
    /// <param name="maximum">Largest value.</param>
    public AboveAttribute(double minimum, double maximum)
        : base(minimum, maximum) => MinimumIsExclusive = true;
}
