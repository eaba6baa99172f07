using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults with the project's overrides applied. Equal by value, so results can be kept under it.</summary>
public sealed record DefaultsInForce
{
    private static readonly ConditionalWeakTable<ValueList<DefaultOverride>, Resolved> Known = [];

    /// <summary>Margin below which a check that holds is called tight, %.</summary>
    [Default("tight-margin-pct")]
    public double TightMarginPct { get; init; }

    /// <summary>Rise permitted when used to class B, K.</summary>
    [Default("rise-class-b-k")]
    public double RiseClassBK { get; init; }

    /// <summary>Rise permitted when used to class F, K.</summary>
    [Default("rise-class-f-k")]
    public double RiseClassFK { get; init; }

    /// <summary>Cooling left at standstill with an own fan.</summary>
    [Default("own-fan-standstill-pu")]
    public double OwnFanStandstillPu { get; init; }

    /// <summary>Margin to keep below the breakdown torque, %.</summary>
    [Default("peak-margin-pct")]
    public double PeakMarginPct { get; init; }

    /// <summary>Least magnetising current in per cent of the converter's rated current.</summary>
    [Default("match-magnetising-pct")]
    public double MatchMagnetisingPct { get; init; }

    /// <summary>Least motor current in per cent of the converter's rated current.</summary>
    [Default("match-current-pct")]
    public double MatchCurrentPct { get; init; }

    /// <summary>Highest loading of a transformer, %.</summary>
    [Default("transformer-loading-pct")]
    public double TransformerLoadingPct { get; init; }

    /// <summary>Highest unbalance of the supply, %.</summary>
    [Default("unbalance-pct")]
    public double UnbalancePct { get; init; }

    /// <summary>By how much the chosen alternative may cost more than the best, %.</summary>
    [Default("best-alternative-pct")]
    public double BestAlternativePct { get; init; }

    /// <summary>Price of a bypass, % of the converter's.</summary>
    [Default("bypass-price-pct")]
    public double BypassPricePct { get; init; }

    /// <summary>Speed of a wave on a motor cable, m/µs.</summary>
    [Default("cable-wave-m-per-us")]
    public double WaveSpeedMPerUs { get; init; }

    /// <summary>Rise time of the converter's pulses, µs.</summary>
    [Default("rise-time-us")]
    public double RiseTimeUs { get; init; }

    /// <summary>Reflection at the motor's terminals, parts of the pulse.</summary>
    [Default("reflection-pu")]
    public double ReflectionPu { get; init; }

    /// <summary>Peak voltage that any winding stands, V.</summary>
    [Default("unstated-withstand-v")]
    public double UnstatedWithstandV { get; init; }

    /// <summary>Shaft height from which a bearing is to be insulated, mm.</summary>
    [Default("bearing-shaft-height-mm")]
    public double BearingShaftHeightMm { get; init; }

    /// <summary>Power from which a bearing is to be insulated, kW.</summary>
    [Default("bearing-kw")]
    public double BearingKw { get; init; }

    /// <summary>Resistivity of copper at operating temperature, Ω·mm²/m.</summary>
    [Default("copper-ohm-mm2-per-m")]
    public double CopperOhmMm2PerM { get; init; }

    /// <summary>Resistivity of aluminium at operating temperature, Ω·mm²/m.</summary>
    [Default("aluminium-ohm-mm2-per-m")]
    public double AluminiumOhmMm2PerM { get; init; }

    /// <summary>Reactance of cables, Ω/m.</summary>
    [Default("cable-reactance-mohm-per-m", Divisor = 1e3)]
    public double CableReactanceOhmPerM { get; init; }

    /// <summary>Capacitance of a motor cable to earth, F/m.</summary>
    [Default("cable-capacitance-nf-per-m", Divisor = 1e9)]
    public double CableCapacitanceFPerM { get; init; }

    /// <summary>Gap between star and delta, s.</summary>
    [Default("star-delta-gap-s")]
    public double StarDeltaGapS { get; init; }

    /// <summary>Flux that a converter keeps at light load where it lowers it, parts of the rated.</summary>
    [Default("light-load-flux-pu")]
    public double LightLoadFluxPu { get; init; }

    /// <summary>Largest dip at the bus of a starting motor, %.</summary>
    [Default("dip-motor-bus-pct")]
    public double DipAtMotorPct { get; init; }

    /// <summary>Largest dip at the PCC for starts more often than hourly, %.</summary>
    [Default("dip-pcc-frequent-pct")]
    public double DipFrequentPct { get; init; }

    /// <summary>Largest dip at the PCC for rarer starts, %.</summary>
    [Default("dip-pcc-rare-pct")]
    public double DipRarePct { get; init; }

    /// <summary>Power factor of a locked rotor where none is stated.</summary>
    [Default("locked-rotor-pf")]
    public double LockedRotorPowerFactor { get; init; }

    /// <summary>Link voltage that a controller keeps by braking less, % of the highest permitted.</summary>
    [Default("link-hold-pct")]
    public double LinkHoldPct { get; init; }

    /// <summary>Power with which the magnetising current rises above rated flux.</summary>
    [Default("saturation-exponent")]
    public double SaturationExponent { get; init; }

    /// <summary>Voltage that may be missing at the motor's terminals, %.</summary>
    [Default("lost-volts-pct")]
    public double LostVoltsPct { get; init; }

    /// <summary>Least efficiency class of motor and converter together (IES).</summary>
    [Default("least-ies")]
    public double LeastSystemClass { get; init; }

    /// <summary>Price of brake resistor and chopper, index points for each continuous kW.</summary>
    [Default("resistor-price-points-per-kw")]
    public double ResistorPricePointsPerKw { get; init; }

    /// <summary>Usual values of loads.</summary>
    public required LoadDefaults Loads { get; init; }

    /// <summary>Those of lineups.</summary>
    public required LineupDefaults Lineups { get; init; }

    /// <summary>Those of harmonics beside the point of common coupling.</summary>
    public required HarmonicDefaults Harmonics { get; init; }

    /// <summary>Levels of link voltages.</summary>
    public required LinkDefaults Links { get; init; }

    /// <summary>Those of cables and dips.</summary>
    public required ProtectionDefaults Protection { get; init; }

    /// <summary>Which school of harmonic limits judges.</summary>
    [Default("harmonics-code")]
    public HarmonicsCode Code { get; init; }

    /// <summary>Least efficiency classes of new motors.</summary>
    public LawfulMotor LeastMotorClass => new(LeastMotorIe, LeastMotorIe75To200Kw);

    /// <summary>Least efficiency class of new motors (IE).</summary>
    [Default("least-motor-ie")]
    public int LeastMotorIe { get; init; }

    /// <summary>The same from 75 to 200 kW.</summary>
    [Default("least-motor-ie-75-200-kw")]
    public int LeastMotorIe75To200Kw { get; init; }

    /// <summary>The same at a frequency: reactances are stated at 50 Hz.</summary>
    public DefaultsInForce At(double frequencyHz) => this with { CableReactanceOhmPerM = CableReactanceOhmPerM * frequencyHz / 50 };

    /// <summary>Constants of cables.</summary>
    public CableConstants Cables => new(CopperOhmMm2PerM, AluminiumOhmMm2PerM, CableReactanceOhmPerM) { Rise = Harmonics.Rise };

    /// <summary>Resolves defaults and overrides; an override of an unknown key is refused earlier, by validation.</summary>
    public static DefaultsInForce Resolve(IReadOnlyList<DefaultValue> defaults, IReadOnlyList<DefaultOverride> overrides)
    {
        ArgumentNullException.ThrowIfNull(defaults);
        ArgumentNullException.ThrowIfNull(overrides);
        if (overrides is not ValueList<DefaultOverride> lasting)
        {
            return Filled(defaults, overrides);
        }

        // An edit leaves the overrides the objects they are.
        var (of, known) = Known.GetValue(lasting, o => new Resolved(defaults, Filled(defaults, o)));
        return ReferenceEquals(of, defaults) ? known : Filled(defaults, overrides);
    }

    private static DefaultsInForce Filled(IReadOnlyList<DefaultValue> defaults, IReadOnlyList<DefaultOverride> overrides)
    {
        double Of(string key) => overrides.FirstOrDefault(o => o.Key == key)?.Value ?? defaults.First(d => d.Key == key).Value;
        return DefaultAttribute.Fill(
            new DefaultsInForce { Loads = DefaultAttribute.Fill(new LoadDefaults(), Of),
                Lineups = DefaultAttribute.Fill(new LineupDefaults(), Of), Harmonics = DefaultAttribute.Fill(new HarmonicDefaults(), Of),
                Links = DefaultAttribute.Fill(new LinkDefaults(), Of),
                Protection = DefaultAttribute.Fill(new ProtectionDefaults(), Of) }, Of);
    }

    private sealed record Resolved(IReadOnlyList<DefaultValue> Defaults, DefaultsInForce Values);
}
