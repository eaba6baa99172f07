using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>Power that comes back for some time.</summary>
/// <param name="DurationS">Duration, s.</param>
/// <param name="PowerW">Power into the link, W; 0 while nothing returns.</param>
public readonly record struct ReturnedPower([Above(0, 1e6)] double DurationS, [Range(0, 1e8)] double PowerW);

/// <summary>The resistor that a chopper needs. See <c>docs/methods/braking.md</c>.</summary>
/// <param name="PeakW">Largest power, W.</param>
/// <param name="MeanW">Mean over the cycle, W.</param>
/// <param name="EnergyJ">Energy of a cycle, J.</param>
/// <param name="LargestOhm">Largest resistance that still takes the peak, U²/P, ohm; null when nothing returns.</param>
public readonly record struct BrakeResistor(double PeakW, double MeanW, double EnergyJ, double? LargestOhm)
{
    /// <summary>Of a cycle.</summary>
    /// <param name="cycle">Powers one after the other, at least one.</param>
    /// <param name="chopperV">Link voltage at which the chopper works, V.</param>
    public static BrakeResistor Of(IReadOnlyList<ReturnedPower> cycle, double chopperV)
    {
        ArgumentNullException.ThrowIfNull(cycle);
        double peak = 0, energy = 0, time = 0;
        foreach (var (duration, power) in cycle)
        {
            peak = Math.Max(peak, power);
            energy += Math.Max(0, power) * duration;
            time += duration;
        }

        return new BrakeResistor(peak, time > 0 ? energy / time : 0, energy, peak > 0 ? chopperV * chopperV / peak : null);
    }
}
