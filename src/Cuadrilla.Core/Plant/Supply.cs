using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Plant;

/// <summary>The public supply at the transformer's primary.</summary>
/// <param name="NominalVoltageV">Line-to-line voltage, V, 100 to 200,000.</param>
/// <param name="FrequencyHz">45 to 65 Hz.</param>
/// <param name="Strength">How strong it is.</param>
/// <param name="UnbalancePct">Negative-sequence voltage, % of the positive; unknown: none is reckoned with, and said.</param>
/// <param name="BackgroundV5Pct">Fifth-order voltage without this plant, % of nominal, angle 0; unknown likewise.</param>
/// <param name="BackgroundV7Pct">Seventh-order voltage likewise.</param>
public sealed record Source(
    double NominalVoltageV, double FrequencyHz, SourceStrength Strength, Given UnbalancePct, Given BackgroundV5Pct, Given BackgroundV7Pct)
{
    /// <summary>Names of disturbances that have not been stated.</summary>
    public IEnumerable<string> NotStated()
    {
        if (!UnbalancePct.IsKnown)
        {
            yield return "unbalance";
        }

        if (!BackgroundV5Pct.IsKnown || !BackgroundV7Pct.IsKnown)
        {
            yield return "background distortion";
        }
    }
}

/// <summary>What is known of the source's fault level.</summary>
public abstract record SourceStrength
{
    private SourceStrength()
    {
    }

    /// <summary>Not known yet: studies that rest on it need data.</summary>
    public sealed record NotStated : SourceStrength;

    /// <summary>
    /// Assumed infinite, an explicit choice: the transformer alone limits the fault current. Optimistic for distortion.
    /// </summary>
    public sealed record AssumedInfinite : SourceStrength;

    /// <summary>Stated by the network operator.</summary>
    /// <param name="ShortCircuitMva">Three-phase short-circuit power, MVA, &gt; 0.</param>
    /// <param name="XrRatio">Reactance over resistance, 0.1 to 100.</param>
    public sealed record FaultLevel(Given ShortCircuitMva, Given XrRatio) : SourceStrength;

    /// <summary>A generator instead of a public supply.</summary>
    /// <param name="RatedKva">Rated power, kVA, &gt; 0.</param>
    /// <param name="SubtransientPct">Subtransient reactance X″d, % of the rated impedance.</param>
    /// <param name="XrRatio">Reactance over resistance, 0.1 to 100.</param>
    public sealed record Generator(Given RatedKva, Given SubtransientPct, Given XrRatio) : SourceStrength;
}

/// <summary>A two-winding transformer.</summary>
/// <param name="RatedKva">Rated power, kVA, &gt; 0.</param>
/// <param name="UkPct">Short-circuit voltage, %, 0.5 to 25.</param>
/// <param name="LoadLossKw">Load loss at rated current, kW, ≥ 0.</param>
/// <param name="NoLoadLossKw">No-load loss, kW, ≥ 0.</param>
/// <param name="EddyLossPu">Share of eddy loss in the winding loss at rated current, pu of I²R, 0 to 0.5.</param>
public sealed record Transformer(double RatedKva, double UkPct, double LoadLossKw, double NoLoadLossKw, Given EddyLossPu);

/// <summary>A low-voltage bus with what else hangs on it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="NominalVoltageV">Line-to-line voltage, V, 100 to 1000.</param>
/// <param name="LinearLoadKw">Linear load, kW, ≥ 0.</param>
/// <param name="LinearLoadPowerFactor">Its power factor, lagging, 0.1 to 1.</param>
/// <param name="MaximumDemandKva">Maximum demand of the installation (15 or 30 min), kVA; when unknown the largest scenario is taken, and said.</param>
public sealed record Bus(string Name, double NominalVoltageV, double LinearLoadKw, double LinearLoadPowerFactor, Given MaximumDemandKva);
