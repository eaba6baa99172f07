namespace Cuadrilla.Core.Harmonics;

/// <summary>Where the plant couples with its neighbours.</summary>
public enum PccLocation
{
    /// <summary>At the transformer's primary: the transformer is the plant's own.</summary>
    TransformerPrimary,

    /// <summary>At the low-voltage bus: the transformer belongs to the network operator.</summary>
    Bus,
}
