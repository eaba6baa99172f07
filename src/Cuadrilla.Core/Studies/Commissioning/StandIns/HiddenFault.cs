namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What can be wrong with a simulated drive point without anybody saying so.</summary>
public enum HiddenFault
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>A joint of one lead has a high resistance.</summary>
    Joint,

    /// <summary>The motor is linked the other way.</summary>
    WrongLink,

    /// <summary>Two leads are swapped.</summary>
    SwappedRotation,

    /// <summary>The plate was typed wrong into the unit.</summary>
    PlateTyped,

    /// <summary>The identification stored in the unit is of another motor.</summary>
    OtherIdentification,

    /// <summary>The brake does not close.</summary>
    BrakeStaysOpen,

    /// <summary>A feedback of the brake is lost.</summary>
    BrakeFeedbackLost,

    /// <summary>The encoder's tracks are swapped.</summary>
    EncoderSign,

    /// <summary>The ratio of a follower stands at 0.</summary>
    RatioZero,

    /// <summary>A resonance within the speed range.</summary>
    Resonance,

    /// <summary>A phase of the supply is missing.</summary>
    PhaseMissing,

    /// <summary>A limit was set in per cent of the unit's current instead of the motor's.</summary>
    WrongBase,

    /// <summary>A capacitor bank whose resonance is near an order.</summary>
    BankNearOrder,
}

/// <summary>How a stand-in is made.</summary>
/// <param name="Seed">Tolerances and noise follow from it: the same seed, the same plant.</param>
/// <param name="Fault">What is wrong.</param>
public sealed record StandInSettings(int Seed, HiddenFault Fault = HiddenFault.None)
{
    /// <summary>Noise of readings, standard deviation, % of themselves.</summary>
    public double NoisePct { get; init; } = 0.2;

    /// <summary>So many times faster than in truth it warms up and cools down.</summary>
    public double HeatingTimes { get; init; } = 60;
}
