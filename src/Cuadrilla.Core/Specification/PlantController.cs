using Cuadrilla.Core.Base;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Specification;

/// <summary>The controller of a plant, near or in remote stations.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Cards">Cards in the order of their slots.</param>
public sealed record PlantController(string Name, ValueList<ControllerCard> Cards)
{
    /// <summary>Nothing entered.</summary>
    public static PlantController Open { get; } = new("controller", []);
}

/// <summary>Kind of a card.</summary>
public enum CardKind
{
    /// <summary>Digital inputs.</summary>
    DigitalInput,

    /// <summary>Transistor outputs.</summary>
    DigitalOutput,

    /// <summary>Relay outputs.</summary>
    RelayOutput,

    /// <summary>Analogue inputs.</summary>
    AnalogueInput,

    /// <summary>Analogue outputs.</summary>
    AnalogueOutput,

    /// <summary>Counter inputs.</summary>
    Counter,
}

/// <summary>A card with channels.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What its channels are.</param>
/// <param name="Channels">How many, 1 to 64.</param>
public sealed record ControllerCard(string Id, string Name, CardKind Kind, int Channels)
{
    /// <summary>What makes its digital channels active.</summary>
    public DigitalSense Sense { get; init; } = DigitalSense.ToPlus;

    /// <summary>Range of its analogue channels.</summary>
    public AnalogueRange Range { get; init; } = AnalogueRange.Milliampere4To20;

    /// <summary>Resolution of its analogue channels; not known: 12.</summary>
    public Given Bits { get; init; }

    /// <summary>What an output of it carries, A.</summary>
    public Given OutputA { get; init; }

    /// <summary>Place where it stands; empty: not stated.</summary>
    public string PlaceId { get; init; } = string.Empty;
}
