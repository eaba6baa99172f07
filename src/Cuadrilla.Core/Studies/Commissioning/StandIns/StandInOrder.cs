namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What a stand-in can be told: what the unit takes, and what hands do at the machine.</summary>
public enum StandInOrder
{
    /// <summary>Run, at a frequency where there is a converter; negative: reverse.</summary>
    Start,

    /// <summary>Stop as set.</summary>
    Stop,

    /// <summary>Output off: it runs out.</summary>
    Coast,

    /// <summary>Couple the machine.</summary>
    Couple,

    /// <summary>Take the machine off the shaft.</summary>
    Uncouple,

    /// <summary>The unit's identification at standstill.</summary>
    IdentifyStanding,

    /// <summary>Its identification turning.</summary>
    IdentifyTurning,

    /// <summary>Two ramps between the same speeds.</summary>
    TwoRamps,

    /// <summary>Time the brake, both ways, and take its feedbacks off.</summary>
    TimeBrake,

    /// <summary>Acknowledge a trip.</summary>
    Reset,
}

/// <summary>An order with its frequency.</summary>
/// <param name="Order">What to do.</param>
/// <param name="FrequencyHz">With <see cref="StandInOrder.Start"/>: frequency, Hz; null: rated.</param>
public sealed record StandInCommand(StandInOrder Order, double? FrequencyHz = null);

/// <summary>What a stand-in does.</summary>
public enum StandInState
{
    /// <summary>At rest, isolated for whoever measures.</summary>
    Ready,

    /// <summary>Fed.</summary>
    Running,

    /// <summary>Slows down by its ramp.</summary>
    Stopping,

    /// <summary>Runs out by itself.</summary>
    Coasting,

    /// <summary>Tripped.</summary>
    Tripped,
}

/// <summary>A reading of a stand-in's instrument.</summary>
/// <param name="Name">Name of the quantity, of <see cref="Core.Commissioning.ReadingKind"/>.</param>
/// <param name="Value">Its value in the unit of the quantity; null: it can't be read now.</param>
public readonly record struct StandInReading(string Name, double? Value);
