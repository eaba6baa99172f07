using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults of harmonics beside those of the point of common coupling. Equal by value.</summary>
/// <param name="PlantClass">Class of environment for harmonic voltage inside the plant, 1 to 3.</param>
/// <param name="ResonanceGain">How often a capacitor bank may multiply the impedance at an order that is present.</param>
/// <param name="CapacitorCurrentPu">Current that a capacitor stands, parts of rated.</param>
/// <param name="CapacitorVoltagePu">Voltage that a capacitor stands, parts of rated.</param>
/// <param name="LeakageMismatchPu">How far the leakages of phase-shifting transformers differ, parts of their mean.</param>
/// <param name="DampingPu">Part of other linear load whose damping is relied on, 0 to 1.</param>
/// <param name="ActiveFilterPointsPerA">Price of a central active filter, index points per A.</param>
/// <param name="ActiveFilterLossPu">Its loss while it works, parts of its apparent power.</param>
/// <param name="TerminalThdiPct">Largest distortion of each drive's current that the buyer asks for, %; 0: not asked.</param>
/// <param name="ReactorLossPu">Resistance of reactors ahead of capacitors, parts of their reactance at the fundamental.</param>
public sealed record HarmonicDefaults(int PlantClass, double ResonanceGain, double CapacitorCurrentPu, double CapacitorVoltagePu, double LeakageMismatchPu, double DampingPu, double ActiveFilterPointsPerA, double ActiveFilterLossPu, double TerminalThdiPct, double ReactorLossPu)
{
    /// <summary>How resistance rises with the order.</summary>
    public ResistanceRise Rise { get; init; } = ResistanceRise.Usual;

    /// <summary>Resolves them.</summary>
    /// <param name="of">Value of a key.</param>
    public static HarmonicDefaults Resolve(Func<string, double> of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new HarmonicDefaults(
            (int)Math.Round(of("plant-class")), of("resonance-gain"), of("capacitor-current-pu"), of("capacitor-voltage-pu"), of("leakage-mismatch-pct") / 100, of("harmonic-damping-pct") / 100, of("active-filter-points-per-a"), of("active-filter-loss-pct") / 100, of("terminal-thdi-pct"), of("reactor-loss-pct") / 100)
        {
            Rise = new ResistanceRise((ResistanceLaw)(int)Math.Round(of("resistance-law")), of("resistance-from-order")),
        };
    }
}
