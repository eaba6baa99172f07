using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Specification;

/// <summary>Drive points of a lineup on one DC bus behind one supply module.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Name">What people call it.</param>
/// <param name="MemberIds">Drive points in the order of the busbar, from the supply module on; each on one bus at most.</param>
/// <param name="SupplyModuleId">Key of the supply module in the catalogue; empty while none is chosen.</param>
/// <param name="ResistorOhm">Resistor at the bus's chopper, ohm; not known: none.</param>
/// <param name="ResistorContinuousKw">Power that it burns for ever, kW.</param>
/// <param name="BusbarA">Rated current of the DC busbar, A.</param>
/// <param name="StopTimeS">Time in which all members are to stop together, s.</param>
/// <param name="Reason">Why this arrangement; empty when none was given.</param>
/// <param name="Control">What controls its members.</param>
public sealed record CommonDcBus(
    string Id,
    string Name,
    ValueList<string> MemberIds,
    string SupplyModuleId,
    Given ResistorOhm,
    Given ResistorContinuousKw,
    Given BusbarA,
    Given StopTimeS,
    string Reason,
    ServoControl Control)
{
    /// <summary>How its supply module is fed from the busbar of the lineup.</summary>
    public Feeder Feeder { get; init; } = new Feeder.OnBusbar();

    /// <summary>EMC filter of its supply module.</summary>
    public EmcFilter EmcFilter { get; init; }

    /// <summary>True where the earth links of filter and varistors are open.</summary>
    public bool LinksOpen { get; init; }

    /// <summary>What protects that feeder.</summary>
    public ProtectiveDevice Device { get; init; } = new ProtectiveDevice.NotChosen();
}
