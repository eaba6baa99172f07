using Cuadrilla.Core.Base;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Specification;

/// <summary>Signals that a drive point is to have.</summary>
public sealed record SignalPlan
{
    /// <summary>Nothing entered.</summary>
    public static SignalPlan Open { get; } = new();

    /// <summary>What makes its digital inputs active.</summary>
    public DigitalSense Sense { get; init; } = DigitalSense.ToPlus;

    /// <summary>An extension card with further terminals is fitted.</summary>
    public bool Extension { get; init; }

    /// <summary>Enable and safe torque off are linked at the unit: it may always run.</summary>
    public bool EnableLinked { get; init; }

    /// <summary>Category of the stop as whoever designs the safety has stated it.</summary>
    public StopCategory StopCategory { get; init; } = StopCategory.NotStated;

    /// <summary>What the stop depends on.</summary>
    public StopMeans StopBy { get; init; } = StopMeans.NotStated;

    /// <summary>What the thermal switch of a brake resistor does.</summary>
    public ResistorTrip ResistorTrip { get; init; } = ResistorTrip.NotStated;

    /// <summary>Preset speeds in the order of their bits, the first at bit 0 alone.</summary>
    public ValueList<PresetSpeed> Presets { get; init; } = [];

    /// <summary>Signals in the order of the list.</summary>
    public ValueList<WantedSignal> Wanted { get; init; } = [];
}

/// <summary>A preset speed.</summary>
/// <param name="FrequencyHz">Frequency, Hz.</param>
public sealed record PresetSpeed(Given FrequencyHz);

/// <summary>A signal that is wanted.</summary>
/// <param name="Id">Stable key, unique in its drive point.</param>
/// <param name="Function">What it is for.</param>
/// <param name="Far">Where its other end is.</param>
public sealed record WantedSignal(string Id, SignalFunction Function, FarEnd Far)
{
    /// <summary>Terminal by hand; empty: the first free one.</summary>
    public string Terminal { get; init; } = string.Empty;

    /// <summary>Channel by hand: key of the card, a slash, number; empty: the first free one.</summary>
    public string Channel { get; init; } = string.Empty;

    /// <summary>Range of an analogue signal at the unit.</summary>
    public UnitRange Range { get; init; } = UnitRange.AsFarEnd;

    /// <summary>Value at 0 % at the unit; not known: 0.</summary>
    public Given ZeroAt { get; init; }

    /// <summary>Value at 100 % at the unit.</summary>
    public Given FullAt { get; init; }

    /// <summary>Value at 0 % at the other end; not known: as at the unit.</summary>
    public Given FarZeroAt { get; init; }

    /// <summary>Value at 100 % at the other end; not known: as at the unit.</summary>
    public Given FarFullAt { get; init; }

    /// <summary>Current of the coil or lamp that the output switches, A.</summary>
    public Given LoadA { get; init; }

    /// <summary>Its supply.</summary>
    public LoadSupply LoadSupply { get; init; } = LoadSupply.Dc24;

    /// <summary>What takes the coil's energy.</summary>
    public LoadSuppression Suppression { get; init; } = LoadSuppression.NotStated;
}

/// <summary>Range of an analogue signal at the unit.</summary>
public enum UnitRange
{
    /// <summary>As its other end.</summary>
    AsFarEnd,

    /// <summary>0 to 10 V.</summary>
    Volt0To10,

    /// <summary>2 to 10 V.</summary>
    Volt2To10,

    /// <summary>0 to 20 mA.</summary>
    Milliampere0To20,

    /// <summary>4 to 20 mA.</summary>
    Milliampere4To20,
}

/// <summary>Stop category of IEC 60204-1.</summary>
public enum StopCategory
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>0: power is removed at once.</summary>
    Category0,

    /// <summary>1: power is removed after the stop.</summary>
    Category1,

    /// <summary>2: power stays.</summary>
    Category2,
}

/// <summary>What a stop depends on.</summary>
public enum StopMeans
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>Safe torque off.</summary>
    TorqueOff,

    /// <summary>A contactor in the supply.</summary>
    SupplyContactor,

    /// <summary>A program or the fieldbus alone.</summary>
    Software,
}

/// <summary>What the thermal switch of a brake resistor does.</summary>
public enum ResistorTrip
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>Opens the contactor or breaker ahead of the converter.</summary>
    OpensInput,

    /// <summary>Trips the converter.</summary>
    TripsUnit,

    /// <summary>Is told only.</summary>
    Told,
}

/// <summary>Supply of what an output switches.</summary>
public enum LoadSupply
{
    /// <summary>24 V direct.</summary>
    Dc24,

    /// <summary>Alternating, up to 250 V.</summary>
    Ac,
}

/// <summary>What takes the energy of a coil at an output.</summary>
public enum LoadSuppression
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>No coil: a lamp or an input.</summary>
    NoCoil,

    /// <summary>A diode, cathode at plus.</summary>
    Diode,

    /// <summary>Resistor and capacitor.</summary>
    Rc,

    /// <summary>A varistor.</summary>
    Varistor,

    /// <summary>Nothing.</summary>
    Nothing,
}
