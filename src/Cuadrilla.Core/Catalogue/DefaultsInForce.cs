using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults with the project's overrides applied. Equal by value, so results can be kept under it.</summary>
/// <param name="TightMarginPct">Margin below which a check that holds is called tight, %.</param>
/// <param name="RiseClassBK">Rise permitted when used to class B, K.</param>
/// <param name="RiseClassFK">Rise permitted when used to class F, K.</param>
/// <param name="OwnFanStandstillPu">Cooling left at standstill with an own fan.</param>
/// <param name="PeakMarginPct">Margin to keep below the breakdown torque, %.</param>
/// <param name="MatchMagnetisingPct">Least magnetising current in per cent of the converter's rated current.</param>
/// <param name="MatchCurrentPct">Least motor current in per cent of the converter's rated current.</param>
/// <param name="TransformerLoadingPct">Highest loading of a transformer, %.</param>
/// <param name="UnbalancePct">Highest unbalance of the supply, %.</param>
/// <param name="BestAlternativePct">By how much the chosen alternative may cost more than the best, %.</param>
/// <param name="BypassPricePct">Price of a bypass, % of the converter's.</param>
/// <param name="LinkRatingV">Highest link voltage a converter stands, V.</param>
/// <param name="WaveSpeedMPerUs">Speed of a wave on a motor cable, m/µs.</param>
/// <param name="RiseTimeUs">Rise time of the converter's pulses, µs.</param>
/// <param name="ReflectionPu">Reflection at the motor's terminals, parts of the pulse.</param>
/// <param name="UnstatedWithstandV">Peak voltage that any winding stands, V.</param>
/// <param name="BearingShaftHeightMm">Shaft height from which a bearing is to be insulated, mm.</param>
/// <param name="BearingKw">Power from which a bearing is to be insulated, kW.</param>
/// <param name="CopperOhmMm2PerM">Resistivity of copper at operating temperature, Ω·mm²/m.</param>
/// <param name="AluminiumOhmMm2PerM">Resistivity of aluminium at operating temperature, Ω·mm²/m.</param>
/// <param name="CableReactanceOhmPerM">Reactance of cables, Ω/m.</param>
/// <param name="CableCapacitanceFPerM">Capacitance of a motor cable to earth, F/m.</param>
/// <param name="StarDeltaGapS">Gap between star and delta, s.</param>
/// <param name="LightLoadFluxPu">Flux that a converter keeps at light load where it lowers it, parts of the rated.</param>
/// <param name="DipAtMotorPct">Largest dip at the bus of a starting motor, %.</param>
/// <param name="DipFrequentPct">Largest dip at the PCC for starts more often than hourly, %.</param>
/// <param name="DipRarePct">Largest dip at the PCC for rarer starts, %.</param>
/// <param name="LockedRotorPowerFactor">Power factor of a locked rotor where none is stated.</param>
/// <param name="LinkHoldPct">Link voltage that a controller keeps by braking less, % of the highest permitted.</param>
/// <param name="SaturationExponent">Power with which the magnetising current rises above rated flux.</param>
/// <param name="LostVoltsPct">Voltage that may be missing at the motor's terminals, %.</param>
/// <param name="ResistorPricePointsPerKw">Price of brake resistor and chopper, index points for each continuous kW.</param>
/// <param name="LeastSystemClass">Least efficiency class of motor and converter together (IES).</param>
/// <param name="Loads">Usual values of loads.</param>
/// <param name="Lineups">Those of lineups.</param>
/// <param name="Harmonics">Those of harmonics beside the point of common coupling.</param>
public sealed record DefaultsInForce(
    double TightMarginPct,
    double RiseClassBK,
    double RiseClassFK,
    double OwnFanStandstillPu,
    double PeakMarginPct,
    double MatchMagnetisingPct,
    double MatchCurrentPct,
    double TransformerLoadingPct,
    double UnbalancePct,
    double BestAlternativePct,
    double BypassPricePct,
    double LinkRatingV,
    double WaveSpeedMPerUs,
    double RiseTimeUs,
    double ReflectionPu,
    double UnstatedWithstandV,
    double BearingShaftHeightMm,
    double BearingKw,
    double CopperOhmMm2PerM,
    double AluminiumOhmMm2PerM,
    double CableReactanceOhmPerM,
    double CableCapacitanceFPerM,
    double StarDeltaGapS,
    double LightLoadFluxPu,
    double DipAtMotorPct,
    double DipFrequentPct,
    double DipRarePct,
    double LockedRotorPowerFactor,
    double LinkHoldPct,
    double SaturationExponent,
    double LostVoltsPct,
    double LeastSystemClass,
    double ResistorPricePointsPerKw,
    LoadDefaults Loads,
    LineupDefaults Lineups,
    HarmonicDefaults Harmonics)
{
    /// <summary>Which school of harmonic limits judges.</summary>
    public HarmonicsCode Code { get; init; }

    /// <summary>Least efficiency classes of new motors.</summary>
    public LawfulMotor LeastMotorClass { get; init; }

    /// <summary>The same at a frequency: reactances are stated at 50 Hz.</summary>
    public DefaultsInForce At(double frequencyHz) => this with { CableReactanceOhmPerM = CableReactanceOhmPerM * frequencyHz / 50 };

    /// <summary>Constants of cables.</summary>
    public CableConstants Cables => new(CopperOhmMm2PerM, AluminiumOhmMm2PerM, CableReactanceOhmPerM) { Rise = Harmonics.Rise };

    /// <summary>Resolves defaults and overrides; an override of an unknown key is refused earlier, by validation.</summary>
    public static DefaultsInForce Resolve(IReadOnlyList<DefaultValue> defaults, IReadOnlyList<DefaultOverride> overrides)
    {
        ArgumentNullException.ThrowIfNull(defaults);
        ArgumentNullException.ThrowIfNull(overrides);
        double Of(string key) => overrides.FirstOrDefault(o => o.Key == key)?.Value ?? defaults.First(d => d.Key == key).Value;
        return new DefaultsInForce(
            Of("tight-margin-pct"),
            Of("rise-class-b-k"),
            Of("rise-class-f-k"),
            Of("own-fan-standstill-pu"),
            Of("peak-margin-pct"),
            Of("match-magnetising-pct"),
            Of("match-current-pct"),
            Of("transformer-loading-pct"),
            Of("unbalance-pct"),
            Of("best-alternative-pct"),
            Of("bypass-price-pct"),
            Of("link-rating-v"),
            Of("cable-wave-m-per-us"),
            Of("rise-time-us"),
            Of("reflection-pu"),
            Of("unstated-withstand-v"),
            Of("bearing-shaft-height-mm"),
            Of("bearing-kw"),
            Of("copper-ohm-mm2-per-m"),
            Of("aluminium-ohm-mm2-per-m"),
            Of("cable-reactance-mohm-per-m") / 1e3,
            Of("cable-capacitance-nf-per-m") * 1e-9,
            Of("star-delta-gap-s"),
            Of("light-load-flux-pu"),
            Of("dip-motor-bus-pct"),
            Of("dip-pcc-frequent-pct"),
            Of("dip-pcc-rare-pct"),
            Of("locked-rotor-pf"),
            Of("link-hold-pct"),
            Of("saturation-exponent"),
            Of("lost-volts-pct"),
            Of("least-ies"),
            Of("resistor-price-points-per-kw"),
            new LoadDefaults(Of("conveyor-regeneration-friction"), Of("track-rolling-friction")),
            LineupDefaults.Resolve(Of),
            HarmonicDefaults.Resolve(Of))
        { Code = (HarmonicsCode)(int)Math.Round(Of("harmonics-code")), LeastMotorClass = new LawfulMotor((int)Math.Round(Of("least-motor-ie")), (int)Math.Round(Of("least-motor-ie-75-200-kw"))) };
    }
}
