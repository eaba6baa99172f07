
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
public sealed record RectifierInput
{
    /// <summary>Three-phase or single-phase bridge.</summary>
    public required RectifierKind Kind { get; init; }

    /// <summary>Rms line-to-line EMF of the positive sequence; for a single phase the two-wire EMF. V, &gt; 0.</summary>
    public required double LineVoltageV { get; init; }

    /// <summary>Line frequency, Hz, &gt; 0.</summary>
    public required double FrequencyHz { get; init; }

    /// <summary>Resistance ahead of the bridge per phase (single-phase: of the loop), ohm, ≥ 0.</summary>
    public required double SourceResistanceOhm { get; init; }

    /// <summary>Inductance ahead of the bridge per phase, AC reactor included (single-phase: of the loop), H, &gt; 0.</summary>
    public required double SourceInductanceH { get; init; }

    /// <summary>Choke in the link, both rails together, H, ≥ 0.</summary>
    public required double DcChokeH { get; init; }

    /// <summary>Resistance of that choke, ohm, ≥ 0.</summary>
    public required double DcChokeResistanceOhm { get; init; }

    /// <summary>Link capacitance, F, &gt; 0.</summary>
    public required double DcCapacitanceF { get; init; }

    /// <summary>Mean DC power, W, &gt; 0.</summary>
    public required double DcLoadW { get; init; }

    /// <summary>Constant power or resistor.</summary>
    public DcLoadModel LoadModel { get; init; } = DcLoadModel.ConstantPower;

    /// <summary>Negative-sequence EMF in parts of the positive sequence, 0 to 0.2.</summary>
    public double UnbalancePu { get; init; }

    /// <summary>Harmonic EMFs, each at most 0.3 of the fundamental.</summary>
    public HarmonicEmf Background { get; init; }

    /// <summary>Angle of the negative sequence against the positive in phase A, rad.</summary>
    public double UnbalanceRad { get; init; }

    /// <summary>Six-pulse bridges behind shifted secondaries, 1 to 3; the choke is that of one of them, load and capacitor those of
    /// all.</summary>
    public int Bridges { get; init; } = 1;

    /// <summary>Mean leakage of the transformer to one secondary, H per phase; with several bridges only, then &gt; 0.</summary>
    public double LeakageH { get; init; }

    /// <summary>
    /// How far the leakages differ, in parts of the mean, −0.5 to 0.5: the first secondary has (1 + m), the last (1 − m) of the mean, a
    /// middle one the mean.
    /// </summary>
    public double LeakageMismatchPu { get; init; }
}
