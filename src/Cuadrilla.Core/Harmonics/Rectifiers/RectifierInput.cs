
namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Number of phases feeding the diode bridge.</summary>
public enum RectifierKind
{
    /// <summary>Three-phase bridge, six diodes.</summary>
    SixPulse,

    /// <summary>Single-phase bridge, four diodes.</summary>
    SinglePhase,
}

/// <summary>How the DC load answers to the link voltage.</summary>
public enum DcLoadModel
{
    /// <summary>Current is power over voltage: an inverter under speed control.</summary>
    ConstantPower,

    /// <summary>A resistor whose mean power is the stated DC load.</summary>
    Resistor,
}

/// <summary>
/// A diode front end with a capacitor link, as a circuit: EMFs behind resistance and inductance, an ideal bridge,
/// a choke (both rails together) and a capacitor.
/// </summary>
/// <param name="Kind">Three-phase or single-phase bridge.</param>
/// <param name="LineVoltageV">Rms line-to-line EMF of the positive sequence; for a single phase the two-wire EMF. V, &gt; 0.</param>
/// <param name="FrequencyHz">Line frequency, Hz, &gt; 0.</param>
/// <param name="SourceResistanceOhm">Resistance ahead of the bridge per phase (single-phase: of the loop), ohm, ≥ 0.</param>
/// <param name="SourceInductanceH">Inductance ahead of the bridge per phase, AC reactor included (single-phase: of the loop), H, &gt; 0.</param>
/// <param name="DcChokeH">Choke in the link, both rails together, H, ≥ 0.</param>
/// <param name="DcChokeResistanceOhm">Resistance of that choke, ohm, ≥ 0.</param>
/// <param name="DcCapacitanceF">Link capacitance, F, &gt; 0.</param>
/// <param name="DcLoadW">Mean DC power, W, &gt; 0.</param>
/// <param name="LoadModel">Constant power or resistor.</param>
/// <param name="UnbalancePu">Negative-sequence EMF in parts of the positive sequence, 0 to 0.2.</param>
/// <param name="Background">Harmonic EMFs, each at most 0.3 of the fundamental.</param>
/// <param name="UnbalanceRad">Angle of the negative sequence against the positive in phase A, rad.</param>
/// <param name="Bridges">Six-pulse bridges behind shifted secondaries, 1 to 3; the choke is that of one of them, load and capacitor those of all.</param>
/// <param name="LeakageH">Mean leakage of the transformer to one secondary, H per phase; with several bridges only, then &gt; 0.</param>
/// <param name="LeakageMismatchPu">
/// How far the leakages differ, in parts of the mean, −0.5 to 0.5: the first secondary has (1 + m), the last (1 − m) of the mean, a middle one the mean.
/// </param>
public sealed record RectifierInput(
    RectifierKind Kind,
    double LineVoltageV,
    double FrequencyHz,
    double SourceResistanceOhm,
    double SourceInductanceH,
    double DcChokeH,
    double DcChokeResistanceOhm,
    double DcCapacitanceF,
    double DcLoadW,
    DcLoadModel LoadModel = DcLoadModel.ConstantPower,
    double UnbalancePu = 0,
    HarmonicEmf Background = default,
    double UnbalanceRad = 0,
    int Bridges = 1,
    double LeakageH = 0,
    double LeakageMismatchPu = 0);
