using System.Numerics;
using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Network;

/// <summary>Constants of cables in the project.</summary>
/// <param name="CopperOhmMm2PerM">Resistivity of copper at operating temperature, Ω·mm²/m.</param>
/// <param name="AluminiumOhmMm2PerM">Resistivity of aluminium, Ω·mm²/m.</param>
/// <param name="ReactanceOhmPerM">Reactance of cables in trefoil, Ω/m.</param>
public sealed record CableConstants(double CopperOhmMm2PerM, double AluminiumOhmMm2PerM, double ReactanceOhmPerM)
{
    /// <summary>How resistance rises with the order.</summary>
    public ResistanceRise Rise { get; init; } = ResistanceRise.Usual;

    /// <summary>The same at 20 °C, where the largest fault current is sought (IEC 60909-0).</summary>
    public CableConstants Cold() => this with { CopperOhmMm2PerM = 1.0 / 54, AluminiumOhmMm2PerM = 1.0 / 34 };

    /// <summary>Resistivity of a metal, Ω·mm²/m.</summary>
    public double ResistivityOf(ConductorMaterial material) =>
        material == ConductorMaterial.Copper ? CopperOhmMm2PerM : AluminiumOhmMm2PerM;

    /// <summary>
    /// Reactance, Ω/m: side by side the mean geometric distance is ∛2 times as large, which adds ω·2·10⁻⁷·ln ∛2.
    /// </summary>
    public double ReactanceOf(CableLaying laying, double frequencyHz) =>
        ReactanceOhmPerM + (laying == CableLaying.Flat ? 2 * Math.PI * frequencyHz * 2e-7 * Math.Log(2) / 3 : 0);
}

/// <summary>What a network needs to know of source and links.</summary>
internal static class NetworkData
{
    /// <summary>The branch between the source's EMF and its bus; null for an infinite source.</summary>
    public static (Complex ImpedancePu, double HarmonicReactanceRise)? SourceBranch(Source source, double voltageV, SourceView view)
    {
        var perUnit = SupplyNetwork.BaseVa / (voltageV * voltageV);
        switch (source.Strength)
        {
            case SourceStrength.AssumedInfinite:
                return null;
            case SourceStrength.FaultLevel f:
                var mva = view == SourceView.Weakest && f.LeastMva.IsKnown ? f.LeastMva.Value : f.ShortCircuitMva.Value;
                return (FaultLevel.SourceImpedance(voltageV, mva, f.XrRatio.Value) * perUnit, 1);
            case SourceStrength.Generator g:
                // Orders of both sequences alternate, so the mean of X″d and X2 stands for them (IEC 60909-0, harmonic practice).
                var rise = g.NegativeSequencePct.IsKnown ? (1 + (g.NegativeSequencePct.Value / g.SubtransientPct.Value)) / 2 : 1;
                return (FaultLevel.SourceImpedance(voltageV, g.TotalKva() / 1e3 / (g.SubtransientPct.Value / 100),
                    g.XrRatio.Value) * perUnit, rise);
            default:
                throw new InvalidOperationException("The source's strength has not been stated.");
        }
    }
}
