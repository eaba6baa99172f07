using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Supplies;

/// <summary>Transformer between a converter and a long motor cable: it raises the voltage for what the cable loses.</summary>
public sealed record StepUpSupply
{
    /// <summary>Nothing entered yet.</summary>
    public static StepUpSupply Open { get; } = new();

    /// <summary>The transformer.</summary>
    public StepUpTransformer Transformer { get; init; } = new();

    /// <summary>Where the cable hangs; its length and section are those of the motor cable.</summary>
    public WellCable Well { get; init; } = new();

    /// <summary>How the motor is started and identified.</summary>
    public StepUpStart Start { get; init; } = new();

    /// <summary>Sine filter ahead of the transformer.</summary>
    public StepUpFilter Filter { get; init; } = new();

    /// <summary>Resistances as they were read at the surface.</summary>
    public SurfaceReadings Readings { get; init; } = new();
}

/// <summary>A step-up transformer with taps.</summary>
public sealed record StepUpTransformer
{
    /// <summary>Rated apparent power, kVA.</summary>
    public Given RatedKva { get; init; }

    /// <summary>Rated voltage of its low side, V.</summary>
    public Given PrimaryV { get; init; }

    /// <summary>Voltages of its taps without load, V.</summary>
    public ValueList<double> TapsV { get; init; } = [];

    /// <summary>Tap that is used, V.</summary>
    public Given TapV { get; init; }

    /// <summary>Short-circuit impedance, %.</summary>
    public Given UkPct { get; init; }

    /// <summary>Load loss at rated current, kW.</summary>
    public Given LoadLossKw { get; init; }

    /// <summary>No-load loss, kW.</summary>
    public Given NoLoadLossKw { get; init; }

    /// <summary>Magnetising current, % of the load's.</summary>
    public Given MagnetisingPct { get; init; }

    /// <summary>Frequency down to which it carries its rated voltage, Hz; unknown: that of the motor.</summary>
    public Given DesignHz { get; init; }

    /// <summary>True where it is made for converters (K-factor 4).</summary>
    public bool ForConverters { get; init; }

    /// <summary>True where a monitor watches the insulation of its floating secondary.</summary>
    public bool InsulationMonitored { get; init; }
}

/// <summary>A motor cable that hangs in a well.</summary>
public sealed record WellCable
{
    /// <summary>Resistance of a conductor at 20 °C as its maker states it, Ω/km; unknown: from section and metal.</summary>
    public Given ResistanceOhmPerKm { get; init; }

    /// <summary>Reactance at the motor's rated frequency, Ω/km.</summary>
    public Given ReactanceOhmPerKm { get; init; }

    /// <summary>Capacitance of a conductor, µF/km.</summary>
    public Given CapacitanceUfPerKm { get; init; }

    /// <summary>Temperature at the surface, °C.</summary>
    public Given SurfaceC { get; init; }

    /// <summary>Rise of the ground's temperature with depth, K/km.</summary>
    public Given GradientKPerKm { get; init; }

    /// <summary>Current-carrying capacity where it hangs, A; unknown: its own heating is not reckoned with.</summary>
    public Given CapacityA { get; init; }

    /// <summary>Rise by its own loss at that capacity, K.</summary>
    public Given HeatingK { get; init; }

    /// <summary>Rated voltage of the cable between conductors, V.</summary>
    public Given RatedV { get; init; }
}

/// <summary>How a motor in a well is started.</summary>
public sealed record StepUpStart
{
    /// <summary>Frequency at which it starts, Hz.</summary>
    public Given StartHz { get; init; }

    /// <summary>Current at the start, % of the motor's rated.</summary>
    public Given StartCurrentPct { get; init; }

    /// <summary>Largest flux of the transformer over that at its tap and frequency.</summary>
    public Given FluxLimitPu { get; init; }

    /// <summary>Ramp to the rated frequency, s.</summary>
    public Given RampS { get; init; }

    /// <summary>Time until the column has drained through the pump after a stop, min.</summary>
    public Given BackSpinMin { get; init; }

    /// <summary>How a restart against a pump that turns back is prevented.</summary>
    public BackSpinGuard BackSpin { get; init; }

    /// <summary>How the converter comes to know motor and cable.</summary>
    public MotorIdentification Identification { get; init; }
}

/// <summary>How a restart against a pump that turns back is prevented.</summary>
public enum BackSpinGuard
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>By the time that draining takes.</summary>
    WaitingTime,

    /// <summary>By its speed: below 5 %.</summary>
    SpeedProven,

    /// <summary>The converter catches the turning motor.</summary>
    FlyingStart,

    /// <summary>A check valve or brake holds the column.</summary>
    NonReturn,
}

/// <summary>How a converter comes to know motor and cable.</summary>
public enum MotorIdentification
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>Data calculated, referred to the low side.</summary>
    Calculated,

    /// <summary>Injected alternating current.</summary>
    AlternatingInjection,

    /// <summary>While it turns.</summary>
    AtSpeed,

    /// <summary>Direct current at rest.</summary>
    DirectAtRest,
}

/// <summary>Sine filter ahead of a step-up transformer.</summary>
public sealed record StepUpFilter
{
    /// <summary>Inductance of a phase, mH.</summary>
    public Given InductanceMh { get; init; }

    /// <summary>Capacitance of a phase in star, µF.</summary>
    public Given CapacitanceUf { get; init; }

    /// <summary>Current of its capacitors, % of the load's.</summary>
    public Given CurrentPct { get; init; }

    /// <summary>True where its maker permits a transformer behind it.</summary>
    public bool PermitsTransformer { get; init; }
}

/// <summary>Resistances between the conductors at the surface, at rest.</summary>
public sealed record SurfaceReadings
{
    /// <summary>Between U and V, Ω.</summary>
    public Given UvOhm { get; init; }

    /// <summary>Between V and W, Ω.</summary>
    public Given VwOhm { get; init; }

    /// <summary>Between W and U, Ω.</summary>
    public Given WuOhm { get; init; }

    /// <summary>Temperature of the winding, °C; unknown: that of the ground at its depth.</summary>
    public Given WindingC { get; init; }

    /// <summary>Spread from which they are tight, %.</summary>
    public Given TightPct { get; init; }

    /// <summary>Spread from which they fail, %.</summary>
    public Given FailsPct { get; init; }
}
