using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Converters;

/// <summary>A converter of a catalogue.</summary>
public sealed record ConverterItem
{
    /// <summary>Stable key.</summary>
    public required string Id { get; init; }

    /// <summary>Series it belongs to.</summary>
    public required string Series { get; init; }

    /// <summary>What it is.</summary>
    public required ConverterKind Kind { get; init; }

    /// <summary>What it shows to the line.</summary>
    public required FrontEnd FrontEnd { get; init; }

    /// <summary>Nominal size for light overload, kW.</summary>
    public required double RatedKw { get; init; }

    /// <summary>Line voltage, V; of a single-phase input between its two conductors.</summary>
    public required double RatedVoltageV { get; init; }

    /// <summary>Where a step-up transformer stands behind it and it is seen from the motor's side: times its own voltage.</summary>
    public double ReferredPu { get; init; } = 1;

    /// <summary>Rated power in hp where it is rated so; 0 where in kW.</summary>
    public double RatedHp { get; init; }

    /// <summary>Continuous output current for light overload, A; of a thyristor bridge the armature current.</summary>
    public required double LightCurrentA { get; init; }

    /// <summary>Continuous output current for heavy overload, A.</summary>
    public required double HeavyCurrentA { get; init; }

    /// <summary>Link capacitance, µF; 0 without link.</summary>
    public required double DcCapacitanceUf { get; init; }

    /// <summary>Losses of inverter and diode bridge at the eight points; what lies ahead of the link is the front end's.</summary>
    public required ConverterLossPoints Losses { get; init; }

    /// <summary>Loss when energised but stopped, W.</summary>
    public required double StandbyW { get; init; }

    /// <summary>Overload on the light rating.</summary>
    public required OverloadRating LightOverload { get; init; }

    /// <summary>Overload on the heavy rating.</summary>
    public required OverloadRating HeavyOverload { get; init; }

    /// <summary>Derating rules.</summary>
    public required ConverterDerating Derating { get; init; }

    /// <summary>Rated conditional short-circuit current at its input, with the fuses the maker states, kA.</summary>
    public required double ShortCircuitKa { get; init; }

    /// <summary>The same with any protection, kA; above it the rating rests on the fuses or breaker that the maker names. 0: it always
    /// does.</summary>
    public double ShortCircuitPlainKa { get; init; }

    /// <summary>Largest gG fuse, or breaker of that rating, that its maker lists, A; 0: none is listed.</summary>
    public double LargestFuseA { get; init; }

    /// <summary>Rated current at its input as its maker states it, A; 0: not stated.</summary>
    public double StatedInputA { get; init; }

    /// <summary>Rated current at its input, A: as stated, or from size and kind of front end on the safe side.</summary>
    public double RatedInputA => StatedInputA > 0 ? StatedInputA
        : FrontEnd is FrontEnd.Thyristor ? LightCurrentA
        : RatedLinkW / (FrontEnd is FrontEnd.SinglePhase ? RatedVoltageV : Math.Sqrt(3) * RatedVoltageV) / LeastPowerFactor;

    /// <summary>Power into its link at rated output, W.</summary>
    public double RatedLinkW => RatedKw * 1e3 / RatedEfficiency;

    /// <summary>What its maker declares of interference.</summary>
    public EmcDeclaration Emc { get; init; } = EmcDeclaration.Nothing;

    /// <summary>Its chopper; null where none can be fitted.</summary>
    public required ChopperLimits? Brake { get; init; }

    /// <summary>Dimensions, mass, air, terminals.</summary>
    public required ConverterSize Size { get; init; }

    /// <summary>Price in points of the catalogue's index.</summary>
    public required double PriceIndex { get; init; }

    /// <summary>Name of an imported item; empty for the generic series.</summary>
    public string OwnName { get; init; } = string.Empty;

    /// <summary>Catalogue and version an imported item comes from; empty for the generic series.</summary>
    public string OwnCatalogue { get; init; } = string.Empty;

    /// <summary>What an imported item did not state and was taken from the generic series.</summary>
    public IReadOnlyList<string> Estimated { get; init; } = [];

    /// <summary>Units of one family differ in size only; the word is the same in every plant.</summary>
    public string Family => ConverterKindFacts.Of(Kind).Family(FrontEnd);

    /// <summary>What it is, in a few words.</summary>
    public string Name => ConverterKindFacts.Of(Kind).Name(FrontEnd);

    /// <summary>True for what is compared by cost.</summary>
    public bool IsGeneralPurpose => ConverterKindFacts.Of(Kind).IsGeneralPurpose;

    /// <summary>True for the usual drive, which is taken where none is chosen: a six-pulse bridge with a DC choke.</summary>
    public bool IsUsual => Kind == ConverterKind.SixPulse && ChokePct > 0;

    /// <summary>Continuous output current of a duty before derating, A.</summary>
    public double RatedCurrentA(OverloadDuty duty) => duty == OverloadDuty.Light ? LightCurrentA : HeavyCurrentA;

    /// <summary>Overload rating of a duty.</summary>
    public OverloadRating Overload(OverloadDuty duty) => duty == OverloadDuty.Light ? LightOverload : HeavyOverload;

    /// <summary>DC choke, % of U²/P; of one bridge on its share where there are several.</summary>
    public double ChokePct => FrontEnd.DcChokePct;

    /// <summary>Inductance of the DC choke of one bridge, H.</summary>
    public double DcChokeH(double frequencyHz) => PerUnitOhm(ChokePct) / (2 * Math.PI * frequencyHz);

    /// <summary>Inductance per phase ahead of each bridge inside the converter (reactor, transformer), H.</summary>
    public double LineSideH(double frequencyHz) =>
        (PerUnitOhm(FrontEnd.LeakagePct)
            + (FrontEnd.LineReactorPct / 100 * RatedVoltageV * RatedVoltageV / (RatedKw * 1e3))) / (2 * Math.PI * frequencyHz);

    /// <summary>Resistance of the DC choke of one bridge, ohm: its rated loss over the square of the mean link current at rated
    /// power.</summary>
    public double DcChokeResistanceOhm
    {
        get
        {
            var loss = FrontEnd.DcChokeLossPu;
            var currentA = RatedKw * 1e3 / NoLoadLinkVoltageV / Bridges;
            return loss * RatedKw * 1e3 / Bridges / (currentA * currentA);
        }
    }

    /// <summary>Mean link voltage without drops, V: 3·√2/π·U of a three-phase bridge, √2·U of a single-phase one on its
    /// capacitor.</summary>
    public double NoLoadLinkVoltageV => FrontEnd.NoLoadLinkPu * RatedVoltageV;

    /// <summary>Number of bridges.</summary>
    public int Bridges => FrontEnd.BridgeCount;

    /// <summary>
    /// Loss ahead of the link where the front end is not solved, W: block current I_dc = P/U_d0 times the form factor in the
    /// choke, fixed and load part of the rest.
    /// </summary>
    /// <param name="linkW">Power into the link, W; negative when it comes back.</param>
    public double FrontLossW(double linkW)
    {
        var dcRms = linkW / NoLoadLinkVoltageV / Bridges * FrontEnd.FormFactor;
        return (Bridges * DcChokeResistanceOhm * dcRms * dcRms) + FrontEnd.LossW(linkW, RatedKw * 1e3);
    }

    /// <summary>How its loss grows with the switching frequency.</summary>
    public SwitchingLoss SwitchingLoss { get; init; } = SwitchingLoss.None;

    /// <summary>Several like it side by side, or the part of it that one of its motors uses.</summary>
    /// <param name="number">How many, or which part.</param>
    /// <param name="sharePu">Current they give together in parts of their sum.</param>
    public ConverterItem Times(double number, double sharePu = 1) => this with
    {
        RatedKw = RatedKw * number,
        LightCurrentA = LightCurrentA * number * sharePu,
        HeavyCurrentA = HeavyCurrentA * number * sharePu,
        DcCapacitanceUf = DcCapacitanceUf * number,
        Losses = Losses.Times(number),
        StandbyW = StandbyW * number,
        LargestFuseA = LargestFuseA * number,
        StatedInputA = StatedInputA * number,
        Emc = Emc.Times(number),
        Brake = Brake is { } b ? b with { LeastOhm = b.LeastOhm / number } : null,
        Size = Size with { WidthMm = Size.WidthMm * number, MassKg = Size.MassKg * number, AirflowM3PerH = Size.AirflowM3PerH * number },
        PriceIndex = PriceIndex * number,
    };

    // Motor and converter together at the size; a motor loses more the smaller it is.
    private double RatedEfficiency => RatedKw < 3 ? 0.8 : RatedKw < 30 ? 0.88 : 0.92;

    // True power factor at rated power on a stiff supply: without choke the current is peaked.
    private double LeastPowerFactor => FrontEnd switch
    {
        FrontEnd.SinglePhase s => s.ChokePct > 0 ? 0.75 : 0.6,
        FrontEnd.Diode d => Bridges > 1 || d.ChokePct >= 3 || d.ReactorPct >= 3 ? 0.92 : 0.7,
        _ => 0.97,
    };

    private double PerUnitOhm(double pct) => pct / 100 * RatedVoltageV * RatedVoltageV / (RatedKw * 1e3 / Bridges);
}

/// <summary>
/// Loss at two switching frequencies: what is lost beside stand-by grows in a straight line through both, since every pulse costs the same.
/// </summary>
/// <param name="ReferenceKhz">Frequency of the eight points, kHz.</param>
/// <param name="SecondKhz">Second frequency, kHz.</param>
/// <param name="SecondPu">Loss there, stand-by left out, in parts of that at the first.</param>
public sealed record SwitchingLoss(double ReferenceKhz, double SecondKhz, double SecondPu)
{
    /// <summary>Nothing known: the same at every frequency.</summary>
    public static SwitchingLoss None { get; } = new(0, 1, 1);

    /// <summary>Loss beside stand-by at a frequency in parts of that of the eight points.</summary>
    public double FactorPu(double khz) => Math.Max(0.3, 1 + ((SecondPu - 1) * (khz - ReferenceKhz) / (SecondKhz - ReferenceKhz)));
}

/// <summary>Limits of a brake chopper.</summary>
/// <param name="LeastOhm">Least resistance, ohm.</param>
/// <param name="ChopperV">Link voltage at which it works, V.</param>
public sealed record ChopperLimits(double LeastOhm, double ChopperV);

/// <summary>What a converter needs in a cabinet.</summary>
/// <param name="WidthMm">Width, mm; transformer and line filter included.</param>
/// <param name="HeightMm">Height, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="AirflowM3PerH">Cooling air, m³/h.</param>
/// <param name="LargestTerminalMm2">Largest cross-section its output terminals take, mm².</param>
public sealed record ConverterSize(double WidthMm, double HeightMm, double DepthMm, double MassKg, double AirflowM3PerH,
    double LargestTerminalMm2);

/// <summary>An overload: a current for a time, once in a cycle, the rest of the cycle at no more than rated current.</summary>
/// <param name="CurrentPu">Current in parts of the continuous current.</param>
/// <param name="TimeS">For how long, s.</param>
/// <param name="CycleS">How often, s.</param>
/// <param name="PeakPu">Current never exceeded, in parts of the continuous current.</param>
public sealed record OverloadRating([Above(1, 10)] double CurrentPu, [Above(0, 1e5)] double TimeS, double CycleS,
    [Range(1, 20)] double PeakPu)
{
    /// <summary>
    /// Current in parts of the continuous one that may flow for a time: equal heat above the continuous current,
    /// (k²−1)·t constant, never above the peak.
    /// </summary>
    public double AllowedPu(double timeS) =>
        timeS <= 0 ? PeakPu : Math.Min(PeakPu, Math.Sqrt(1 + (((CurrentPu * CurrentPu) - 1) * TimeS / timeS)));
}
