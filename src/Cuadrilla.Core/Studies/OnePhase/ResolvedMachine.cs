using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>A machine of the list with what the catalogue's motor of its size adds where nothing is entered.</summary>
/// <param name="Machine">As entered.</param>
/// <param name="Motor">Motor of the catalogue; null where none has its size.</param>
/// <param name="Figures">What is compared; null while something is missing.</param>
/// <param name="Missing">What is missing.</param>
/// <param name="FromCatalogue">Names of what was taken from that motor.</param>
internal sealed record ResolvedMachine(OnePhaseMachine Machine, MotorItem? Motor, SingleMachine? Figures, IReadOnlyList<string> Missing,
    IReadOnlyList<string> FromCatalogue)
{
    // So much smaller a catalogue motor may be and still be of that size.
    private const double SameSizePu = 0.99;
    private const double UsualRpmPu = 0.97;

    public static ResolvedMachine Of(OnePhaseMachine machine, double supplyV, double frequencyHz, EngineeringData data)
    {
        var motor = machine.RatedKw.IsKnown ? MotorOf(machine, supplyV, frequencyHz, data) : null;
        List<string> missing = [], taken = [];
        double Known(Given entered, double? fromMotor, string name)
        {
            if (!entered.IsKnown && fromMotor is null)
            {
                missing.Add(name);
            }
            else if (!entered.IsKnown)
            {
                taken.Add(name);
            }

            return entered.IsKnown ? entered.Value : fromMotor ?? 0;
        }

        var ratedKw = Known(machine.RatedKw, null, "motor");
        var hours = Known(machine.HoursPerYear, null, "hours a year");
        if (missing.Count > 0)
        {
            return new ResolvedMachine(machine, motor, null, missing, taken);
        }

        var efficiency = Known(machine.EfficiencyPct, 100 * motor?.Plate.Efficiency, "efficiency") / 100;
        var powerFactor = Known(machine.PowerFactor, motor?.Plate.PowerFactor, "power factor");
        var linkV = Known(machine.MotorV, motor is null ? null
            : motor.Plate.DeltaVoltageV > 0 ? motor.Plate.DeltaVoltageV : motor.Plate.RatedVoltageV, "lowest link");
        return new ResolvedMachine(machine, motor, missing.Count > 0 ? null : new SingleMachine(ratedKw, efficiency, powerFactor,
            OnePhaseUsual.LoadPct(machine), hours, machine.HeavyStart, machine.SpeedControl, linkV), missing, taken);
    }

    // The smallest cage motor of the size, of the poles that are nearest to its speed.
    private static MotorItem? MotorOf(OnePhaseMachine machine, double supplyV, double frequencyHz, EngineeringData data)
    {
        var rpm = machine.RatedRpm.IsKnown ? machine.RatedRpm.Value : UsualRpmPu * 30 * frequencyHz;
        return MadeFor.Motors(data, supplyV, frequencyHz)
            .Where(m => m is { OwnName.Length: 0, Technology: MotorTechnology.CageInduction }
                && m.Plate.RatedPowerW >= SameSizePu * 1e3 * machine.RatedKw.Value)
            .OrderBy(m => Math.Round(Math.Abs(Math.Log(m.Plate.RatedSpeedRpm / rpm)) / 0.1)).ThenBy(m => m.Plate.RatedPowerW)
            .ThenBy(m => m.PriceIndex).ThenBy(m => m.Id, StringComparer.Ordinal).FirstOrDefault();
    }
}
