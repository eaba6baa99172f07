using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>
/// The way of the voltage from bus to motor: supply − front end − filter − cable, the output never above the supply. What is
/// lost lowers the base speed. See <c>docs/methods/output-voltage.md</c>.
/// </summary>
/// <param name="SupplyV">Voltage between the conductors that feed the converter, V.</param>
/// <param name="FrontV">What the front end takes, V.</param>
/// <param name="FilterV">What the filter takes at rated current, V.</param>
/// <param name="CableV">What the motor cable takes at rated current, V.</param>
public readonly record struct OutputVoltage(double SupplyV, double FrontV, double FilterV, double CableV)
{
    private const double SamePu = 0.15;

    /// <summary>Highest fundamental voltage at the motor's terminals, V.</summary>
    public double AtMotorV => SupplyV - FrontV - FilterV - CableV;

    /// <summary>
    /// Voltage between the conductors that feed a converter, V: a single-phase input stands between two phases when it is made for
    /// their voltage, between phase and neutral otherwise.
    /// </summary>
    /// <param name="item">The converter, or null.</param>
    /// <param name="busV">Voltage between the phases of the bus, V.</param>
    /// <param name="feed">How it is connected: a three-phase unit on two conductors stands where its voltage is.</param>
    public static double SupplyOf(ConverterItem? item, double busV, SupplyFeed feed = SupplyFeed.ThreePhase) =>
        item is not null && (item.FrontEnd is FrontEnd.SinglePhase
            || (feed == SupplyFeed.TwoPhases && Math.Sqrt(3) * item.RatedVoltageV < (1 + SamePu) * busV))
            && Math.Abs((busV / item.RatedVoltageV) - 1) > SamePu ? busV / Math.Sqrt(3) : busV;

    /// <summary>Of a motor behind a converter; without one the motor sees the bus.</summary>
    /// <param name="plate">Plate as linked.</param>
    /// <param name="item">The converter, or null.</param>
    /// <param name="filter">The filter, or null.</param>
    /// <param name="cable">Ohm per conductor, or null while unknown.</param>
    /// <param name="supply">Voltage between the conductors that feed it, V.</param>
    public static OutputVoltage Of(MotorPlate plate, ConverterItem? item, OutputFilterItem? filter, Complex? cable, double supply)
    {
        ArgumentNullException.ThrowIfNull(plate);
        var front = item is null ? 0 : supply * (1 - item.FrontEnd.LargestOutputPu);
        var isDc = plate.Technology == MotorTechnology.DcSeparatelyExcited;
        var sine = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor));
        var drop = cable is not { } c || item is null
            ? 0
            : isDc ? 2 * c.Real * plate.RatedCurrentA
                : Math.Sqrt(3) * plate.RatedCurrentA * ((c.Real * plate.PowerFactor) + (c.Imaginary * sine));
        return new OutputVoltage(supply, front, filter is null ? 0 : filter.DropPct / 100 * supply, drop);
    }
}
