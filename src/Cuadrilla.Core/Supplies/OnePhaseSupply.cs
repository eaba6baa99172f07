using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Supplies;

/// <summary>Only one phase is available to a lineup: its machines, and the means by which they are run.</summary>
public sealed record OnePhaseSupply
{
    /// <summary>Nothing entered yet.</summary>
    public static OnePhaseSupply Open { get; } = new();

    /// <summary>What was chosen.</summary>
    public OnePhaseMeans Means { get; init; }

    /// <summary>True between a phase and the neutral; false between two phases.</summary>
    public bool ToNeutral { get; init; }

    /// <summary>What the protective device of the two conductors carries for ever, A.</summary>
    public Given SupplyA { get; init; }

    /// <summary>True where never two machines run together.</summary>
    public bool OneAtATime { get; init; }

    /// <summary>Part of the machines that runs together, %.</summary>
    public Given SimultaneityPct { get; init; }

    /// <summary>The rotary converter.</summary>
    public RotaryConverter Rotary { get; init; } = new();

    /// <summary>What things cost.</summary>
    public OnePhaseCosts Costs { get; init; } = new();

    /// <summary>What is to be run.</summary>
    public ValueList<OnePhaseMachine> Machines { get; init; } = [];

    /// <summary>Voltage of the two conductors on a bus, V.</summary>
    /// <param name="busV">Nominal voltage between the phases of the bus, V.</param>
    public double VoltageOn(double busV) => ToNeutral ? busV / Math.Sqrt(3) : busV;

    /// <summary>True where the motors run on a three-phase system that is made of the one phase.</summary>
    public bool MakesThreePhases() => Means is OnePhaseMeans.Rotary or OnePhaseMeans.Static;
}

/// <summary>By what machines are run from one phase.</summary>
public enum OnePhaseMeans
{
    /// <summary>Not chosen yet.</summary>
    NotChosen,

    /// <summary>A converter with two input conductors for each.</summary>
    Converters,

    /// <summary>A rotary converter for all.</summary>
    Rotary,

    /// <summary>A static converter.</summary>
    Static,
}

/// <summary>A machine that makes the third phase by turning.</summary>
public sealed record RotaryConverter
{
    /// <summary>Its rated apparent power, kVA; unknown: not chosen yet.</summary>
    public Given RatedKva { get; init; }

    /// <summary>Idle loss, W for each 100 VA of its rating.</summary>
    public Given IdlePct { get; init; }

    /// <summary>Current while nothing runs, % of the rated; mostly magnetising.</summary>
    public Given IdleCurrentPct { get; init; }

    /// <summary>Hours that it is on in a year.</summary>
    public Given OnHoursPerYear { get; init; }

    /// <summary>Deviation of the made phase's voltages from the line's, %.</summary>
    public Given DeviationPct { get; init; }

    /// <summary>Reactance by which its voltage gives way, % of its rated impedance.</summary>
    public Given ReactancePct { get; init; }

    /// <summary>Its apparent power over that of a machine that starts heavily.</summary>
    public Given HeavyFactor { get; init; }
}

/// <summary>What the ways cost, in the project's currency.</summary>
public sealed record OnePhaseCosts
{
    /// <summary>Rotary converter, per kVA.</summary>
    public Given RotaryPerKva { get; init; }

    /// <summary>Static converter, per kW of motors.</summary>
    public Given StaticPerKw { get; init; }

    /// <summary>Converters with two input conductors, per kW of motors.</summary>
    public Given ConverterPerKw { get; init; }

    /// <summary>Years that are compared.</summary>
    public Given Years { get; init; }

    /// <summary>Total power factor at the input of converters as long as none is solved.</summary>
    public Given InputPowerFactor { get; init; }
}

/// <summary>A machine of the list.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
public sealed record OnePhaseMachine(string Id, string Name)
{
    /// <summary>Rated output of its motor, kW.</summary>
    public Given RatedKw { get; init; }

    /// <summary>Speed of the machine at its rated output, rpm.</summary>
    public Given RatedRpm { get; init; }

    /// <summary>Efficiency of the motor, %.</summary>
    public Given EfficiencyPct { get; init; }

    /// <summary>Power factor of the motor.</summary>
    public Given PowerFactor { get; init; }

    /// <summary>Load, % of the rated output.</summary>
    public Given LoadPct { get; init; }

    /// <summary>Hours that it runs in a year.</summary>
    public Given HoursPerYear { get; init; }

    /// <summary>True where it starts against full torque, as compressors do.</summary>
    public bool HeavyStart { get; init; }

    /// <summary>True where its speed is to be set.</summary>
    public bool SpeedControl { get; init; }

    /// <summary>Lowest voltage between phases that the motor can be linked for, V; unknown: that of the supply.</summary>
    public Given MotorV { get; init; }

    /// <summary>Pulses of its speed sensor for each turn; unknown: it has none.</summary>
    public Given PulsesPerTurn { get; init; }

    /// <summary>The drive point that was made of it; empty: none yet.</summary>
    public string DrivePointId { get; init; } = string.Empty;
}
