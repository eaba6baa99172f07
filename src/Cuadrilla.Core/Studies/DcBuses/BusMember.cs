using System.ComponentModel.DataAnnotations;
namespace Cuadrilla.Core.Studies.DcBuses;

/// <summary>Power that a member takes from the bus for a time.</summary>
/// <param name="DurationS">Duration, s, &gt; 0.</param>
/// <param name="PowerW">Power, W; negative when it gives.</param>
public readonly record struct BusPower([Range(1e-3, 1e6)] double DurationS, [Range(-1e9, 1e9)] double PowerW);

/// <summary>A member of a common DC bus over its process cycle.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Powers">Powers one after the other; they repeat unless they are a single event. Steady members have one.</param>
/// <param name="CapacitanceF">Its own link capacitance, F.</param>
public sealed record BusMember(string Id, IReadOnlyList<BusPower> Powers, double CapacitanceF)
{
    /// <summary>True for a process that goes on; a stop happens once, and its last power stays.</summary>
    public bool Repeats { get; init; } = true;

    /// <summary>Duration of its cycle, s.</summary>
    public double CycleS { get; } = Powers.Sum(p => p.DurationS);

    /// <summary>Power at a time, W.</summary>
    public double At(double timeS)
    {
        if (!Repeats && timeS >= CycleS - 1e-12)
        {
            return Powers[^1].PowerW;
        }

        var within = timeS - (CycleS * Math.Floor(timeS / CycleS));
        foreach (var (duration, power) in Powers)
        {
            if (within < duration - 1e-12)
            {
                return power;
            }

            within -= duration;
        }

        return Powers[0].PowerW;
    }
}
