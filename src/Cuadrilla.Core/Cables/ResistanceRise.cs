namespace Cuadrilla.Core.Cables;

/// <summary>How resistance is taken to rise with the order. No rule is agreed, and near a resonance figures depend on it.</summary>
public enum ResistanceLaw
{
    /// <summary>Not at all.</summary>
    Constant,

    /// <summary>Source, transformers and still rotors with √h from a stated order on, cables by IEC 60287-1-1.</summary>
    RootOfOrder,

    /// <summary>Full skin effect: everything with √h from the fundamental on.</summary>
    FullSkinEffect,
}

/// <summary>The law of a project.</summary>
/// <param name="Law">Which one.</param>
/// <param name="FromOrder">Order from which √h begins, at least 1; up to it resistance is that of the fundamental.</param>
public sealed record ResistanceRise(ResistanceLaw Law, double FromOrder)
{
    /// <summary>√h from the fundamental on.</summary>
    public static ResistanceRise Usual { get; } = new(ResistanceLaw.RootOfOrder, 1);

    /// <summary>Resistance at an order in parts of that at the fundamental, of a source, transformer or still rotor.</summary>
    public double OfWinding(double order) => Law switch
    {
        ResistanceLaw.Constant => 1,
        ResistanceLaw.RootOfOrder => Math.Sqrt(Math.Max(1, order / FromOrder)),
        _ => Math.Sqrt(Math.Max(1, order)),
    };

    /// <summary>The same of a cable's conductor.</summary>
    /// <param name="resistanceOhmPerM">Resistance at operating temperature, Ω/m.</param>
    /// <param name="frequencyHz">Fundamental frequency, Hz.</param>
    /// <param name="order">Order.</param>
    public double OfConductor(double resistanceOhmPerM, double frequencyHz, double order) => Law switch
    {
        ResistanceLaw.Constant => 1,
        ResistanceLaw.RootOfOrder => SkinEffect.OfConductor(resistanceOhmPerM, frequencyHz, order),
        _ => Math.Sqrt(Math.Max(1, order)),
    };
}
