using System.ComponentModel.DataAnnotations;

namespace Cuadrilla.Core.Base;

/// <summary>The range of an engine's input whose largest value itself is not permitted.</summary>
public sealed class BelowAttribute : RangeAttribute
{
    /// <summary>Makes it.</summary>
    /// <param name="minimum">Least value.</param>
    /// <param name="maximum">What the value is below.</param>
    public BelowAttribute(double minimum, double maximum)
        : base(minimum, maximum) => MaximumIsExclusive = true;
}
