namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Rules of cables in words.</summary>
public static class GoverningWords
{
    /// <summary>A rule in a word or two.</summary>
    public static string Of(CableRule rule) => rule switch
    {
        CableRule.Least => "smallest made",
        CableRule.Current => "current",
        CableRule.Grouping => "grouping",
        CableRule.Drop => "voltage drop",
        CableRule.Start => "voltage in the start",
        CableRule.ShortCircuit => "short circuit",
        CableRule.Disconnection => "disconnection",
        _ => throw new InvalidOperationException("Unknown rule."),
    };
}
