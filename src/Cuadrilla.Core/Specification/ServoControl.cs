using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification;

/// <summary>What controls the members of a common DC bus.</summary>
public abstract record ServoControl
{
    private ServoControl()
    {
    }

    /// <summary>Each member by itself.</summary>
    public sealed record None : ServoControl;

    /// <summary>A modular servo lineup: one control unit for all axis modules.</summary>
    /// <param name="LargestAxes">Axes that the control unit computes.</param>
    /// <param name="Apart">True when the control unit sits in a low-voltage cabinet of its own.</param>
    /// <param name="Supply24A">Rated current of the 24 V supply, A.</param>
    /// <param name="ControlUnit24A">Current of the control unit, A.</param>
    /// <param name="SupplyModule24A">Current of the supply module's electronics, A.</param>
    /// <param name="AxisModule24A">Current of each axis module with its encoder, A.</param>
    /// <param name="BrakesOn24V">True when the brakes of the axes hang on the same supply.</param>
    /// <param name="LargestCapacitanceUf">Largest capacitance on the link, µF; not known: the supply module's own limit alone.</param>
    /// <param name="LargestCableM">Largest sum of all motor cables behind the supply module, m.</param>
    /// <param name="SafeGroups">Group of each member whose torque is switched off together, in the order of the members; 0 for
    /// none.</param>
    /// <param name="FirmwareNote">Memory card: parameters and firmware.</param>
    public sealed record Modular(
        Given LargestAxes,
        bool Apart,
        Given Supply24A,
        Given ControlUnit24A,
        Given SupplyModule24A,
        Given AxisModule24A,
        bool BrakesOn24V,
        Given LargestCapacitanceUf,
        Given LargestCableM,
        ValueList<int> SafeGroups,
        string FirmwareNote) : ServoControl;
}
