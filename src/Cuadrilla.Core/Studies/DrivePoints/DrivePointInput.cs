using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>What one drive point's studies rest on. Equal by value: the key under which they are kept.</summary>
public sealed record DrivePointInput(
    DrivePoint DrivePoint, Site Site, Tariff Tariff, double BusVoltageV, double FrequencyHz, DefaultsInForce Defaults, OwnMotor? Own = null, OwnConverter? OwnConverter = null, bool OnDcBus = false, GroupFeed? Group = null);

/// <summary>What a motor of a group is fed by.</summary>
/// <param name="GroupId">Key of the group.</param>
/// <param name="Choice">The group's converter; null while none is chosen.</param>
/// <param name="Feeder">Its feeder.</param>
/// <param name="PartPu">Part of the converter that one motor of this kind uses: its rated current over the sum of all; 0 while a motor is missing.</param>
/// <param name="Count">Motors of this kind.</param>
/// <param name="IsHead">True for the member whose converter it is.</param>
public sealed record GroupFeed(string GroupId, ConverterChoice.FromCatalogue? Choice, Feeder Feeder, double PartPu, int Count, bool IsHead);
