namespace Cuadrilla.Core.Catalogue;

/// <summary>Schools of harmonic limits. The other one is shown, not judged.</summary>
public enum HarmonicsCode
{
    /// <summary>Both judge.</summary>
    Both,

    /// <summary>Distortion of demand and voltage at the coupling (IEEE 519).</summary>
    DemandDistortion,

    /// <summary>Compatibility levels of the buses inside the plant (IEC 61000-2-4).</summary>
    Compatibility,
}
