namespace Cuadrilla.Core.Lineups.DcBus;

/// <summary>Power that a member takes from the bus for a time.</summary>
/// <param name="DurationS">Duration, s, &gt; 0.</param>
/// <param name="PowerW">Power, W; negative when it gives.</param>
public readonly record struct BusPower(double DurationS, double PowerW);

/// <summary>A member of a common DC bus over its process cycle.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Powers">Powers one after the other; they repeat. Steady members have one.</param>
/// <param name="CapacitanceF">Its own link capacitance, F.</param>
public sealed record BusMember(string Id, IReadOnlyList<BusPower> Powers, double CapacitanceF)
{
    /// <summary>Duration of its cycle, s.</summary>
    public double CycleS { get; } = Powers.Sum(p => p.DurationS);

    /// <summary>Power at a time, W.</summary>
    public double At(double timeS)
    {
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
