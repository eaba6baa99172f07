using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults of harmonics beside those of the point of common coupling. Equal by value.</summary>
public sealed record HarmonicDefaults
{
    /// <summary>Class of environment for harmonic voltage inside the plant, 1 to 3.</summary>
    [Default("plant-class")]
    public int PlantClass { get; init; }

    /// <summary>How often a capacitor bank may multiply the impedance at an order that is present.</summary>
    [Default("resonance-gain")]
    public double ResonanceGain { get; init; }

    /// <summary>Current that a capacitor stands, parts of rated.</summary>
    [Default("capacitor-current-pu")]
    public double CapacitorCurrentPu { get; init; }

    /// <summary>Voltage that a capacitor stands, parts of rated.</summary>
    [Default("capacitor-voltage-pu")]
    public double CapacitorVoltagePu { get; init; }

    /// <summary>How far the leakages of phase-shifting transformers differ, parts of their mean.</summary>
    [Default("leakage-mismatch-pct", Divisor = 100)]
    public double LeakageMismatchPu { get; init; }

    /// <summary>Part of other linear load whose damping is relied on, 0 to 1.</summary>
    [Default("harmonic-damping-pct", Divisor = 100)]
    public double DampingPu { get; init; }

    /// <summary>Price of a central active filter, index points per A.</summary>
    [Default("active-filter-points-per-a")]
    public double ActiveFilterPointsPerA { get; init; }

    /// <summary>Its loss while it works, parts of its apparent power.</summary>
    [Default("active-filter-loss-pct", Divisor = 100)]
    public double ActiveFilterLossPu { get; init; }

    /// <summary>Largest distortion of each drive's current that the buyer asks for, %; 0: not asked.</summary>
    [Default("terminal-thdi-pct")]
    public double TerminalThdiPct { get; init; }

    /// <summary>Resistance of reactors ahead of capacitors, parts of their reactance at the fundamental.</summary>
    [Default("reactor-loss-pct", Divisor = 100)]
    public double ReactorLossPu { get; init; }

    /// <summary>Eddy-loss share of dry transformers whose maker states none, parts of the resistive loss.</summary>
    [Default("eddy-dry-pct", Divisor = 100)]
    public double EddyDryPu { get; init; }

    /// <summary>The same of oil-immersed ones.</summary>
    [Default("eddy-oil-pct", Divisor = 100)]
    public double EddyOilPu { get; init; }

    /// <summary>Other stray loss of oil-immersed transformers whose maker states none, parts of the resistive loss.</summary>
    [Default("stray-oil-pct", Divisor = 100)]
    public double StrayOilPu { get; init; }

    /// <summary>Law by which resistance rises with the order.</summary>
    [Default("resistance-law")]
    public ResistanceLaw ResistanceLaw { get; init; }

    /// <summary>Order from which it does.</summary>
    [Default("resistance-from-order")]
    public double ResistanceFromOrder { get; init; }

    /// <summary>How resistance rises with the order.</summary>
    public ResistanceRise Rise => new(ResistanceLaw, ResistanceFromOrder);
}
