using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>What one drive point's studies rest on. Equal by value: the key under which they are kept.</summary>
public sealed record DrivePointInput
{
    /// <summary>The drive point.</summary>
    public required DrivePoint DrivePoint { get; init; }

    /// <summary>Where it stands.</summary>
    public required Site Site { get; init; }

    /// <summary>The air at its converter is that of its cabinet's section, as far as that is known.</summary>
    public bool IsAirOfSection { get; init; }

    /// <summary>What energy and money cost.</summary>
    public required Tariff Tariff { get; init; }

    /// <summary>Nominal voltage of its bus, V.</summary>
    public required double BusVoltageV { get; init; }

    /// <summary>Frequency of the plant, Hz.</summary>
    public required double FrequencyHz { get; init; }

    /// <summary>Defaults in force.</summary>
    public required DefaultsInForce Defaults { get; init; }

    /// <summary>Its motor where that is one of the project; null otherwise.</summary>
    public OwnMotor? Own { get; init; }

    /// <summary>Its converter likewise.</summary>
    public OwnConverter? OwnConverter { get; init; }

    /// <summary>True on a common DC bus.</summary>
    public bool OnDcBus { get; init; }

    /// <summary>True where nothing of it hangs on the line: on a common DC bus, or on the sun.</summary>
    public bool HasNoLine => OnDcBus || DrivePoint.Sun is not null;

    /// <summary>True where that bus is held by an active supply module.</summary>
    public bool OnActiveBus { get; init; }

    /// <summary>How it is fed where only one phase is available; null where all three are.</summary>
    public OnePhaseFeed? OnePhase { get; init; }

    /// <summary>Voltage between the conductors that feed a converter here, V: where there is one phase that of its two conductors, else by
    /// what the converter is made for.</summary>
    public double SupplyV(ConverterItem? item, SupplyFeed feed = SupplyFeed.ThreePhase) =>
        OnePhase is null ? OutputVoltage.SupplyOf(item, BusVoltageV, feed) : BusVoltageV;

    /// <summary>What feeds it in a group; null outside.</summary>
    public GroupFeed? Group { get; init; }
}

/// <summary>What a motor of a group is fed by.</summary>
/// <param name="GroupId">Key of the group.</param>
/// <param name="Choice">The group's converter; null while none is chosen.</param>
/// <param name="Feeder">Its feeder.</param>
/// <param name="PartPu">Part of the converter that one motor of this kind uses: its rated current over the sum of all; 0 while a motor is
/// missing.</param>
/// <param name="Count">Motors of this kind.</param>
/// <param name="IsHead">True for the member whose converter it is.</param>
public sealed record GroupFeed(string GroupId, ConverterChoice.FromCatalogue? Choice, Feeder Feeder, double PartPu, int Count, bool IsHead);
