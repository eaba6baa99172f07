namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>What a brake resistor stands for a short time, from warm.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="PowerPu">Power for that time, parts of the continuous one.</param>
public readonly record struct ResistorPulse(double TimeS, double PowerPu);

/// <summary>
/// Short-time rating of a brake resistor: in any stretch of time t it takes no more energy than k(t)·P_continuous·t, whatever the shape
/// of the power; over its window and beyond, its continuous power. See <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="ContinuousW">Power for ever, W, &gt; 0.</param>
/// <param name="WindowS">Time over which the mean counts, s.</param>
/// <param name="Pulses">What it stands for shorter times, ascending.</param>
public sealed record ResistorRating(double ContinuousW, double WindowS, IReadOnlyList<ResistorPulse> Pulses)
{
    /// <summary>Usual rating of wire-wound resistors in air, where a maker states none.</summary>
    public static IReadOnlyList<ResistorPulse> WireWound { get; } = [new(1, 20), new(5, 12), new(10, 8), new(30, 4), new(60, 2)];

    /// <summary>
    /// The stretch of time in which a profile is nearest to, or furthest beyond, what the resistor stands.
    /// </summary>
    /// <param name="profile">Powers one after the other, at least one.</param>
    /// <param name="repeats">True when the profile repeats for ever; else the resistor is left alone before and after.</param>
    public ResistorLoading Of(IReadOnlyList<ReturnedPower> profile, bool repeats)
    {
        ArgumentNullException.ThrowIfNull(profile);
        var energy = new EnergyOverTime(profile, repeats);
        var worst = default(ResistorLoading);
        foreach (var (time, pu) in Pulses.Where(p => p.TimeS < WindowS).Append(new ResistorPulse(WindowS, 1)))
        {
            var most = energy.MostWithin(time);
            var loading = most / (pu * ContinuousW * time);
            worst = loading > worst.LoadingPu ? new ResistorLoading(loading, time, most, pu) : worst;
        }

        // What repeats must also be carried for ever.
        var mean = repeats ? energy.Total / energy.DurationS / ContinuousW : 0;
        return mean > worst.LoadingPu ? new ResistorLoading(mean, energy.DurationS, energy.Total, 1) : worst;
    }

    // The largest energy within a time begins or ends where the power changes.
    private sealed class EnergyOverTime
    {
        private readonly double[] times;
        private readonly double[] energies;
        private readonly bool repeats;

        public EnergyOverTime(IReadOnlyList<ReturnedPower> profile, bool repeats)
        {
            this.repeats = repeats;
            times = new double[profile.Count + 1];
            energies = new double[profile.Count + 1];
            for (var i = 0; i < profile.Count; i++)
            {
                times[i + 1] = times[i] + profile[i].DurationS;
                energies[i + 1] = energies[i] + (Math.Max(0, profile[i].PowerW) * profile[i].DurationS);
            }
        }

        public double DurationS => times[^1];

        public double Total => energies[^1];

        public double MostWithin(double spanS) => times.Max(t => Math.Max(Until(t + spanS) - Until(t), Until(t) - Until(t - spanS)));

        private double Until(double time)
        {
            if (!repeats)
            {
                return Inside(Math.Clamp(time, 0, DurationS));
            }

            var turns = Math.Floor(time / DurationS);
            return (turns * Total) + Inside(time - (turns * DurationS));
        }

        private double Inside(double time)
        {
            var found = Array.BinarySearch(times, time);
            if (found >= 0)
            {
                return energies[found];
            }

            var after = Math.Clamp(~found, 1, times.Length - 1);
            var width = times[after] - times[after - 1];
            return width > 0
                ? energies[after - 1] + ((energies[after] - energies[after - 1]) * (time - times[after - 1]) / width)
                : energies[after];
        }
    }
}

/// <summary>How a resistor is used.</summary>
/// <param name="LoadingPu">Energy against what it stands in the worst stretch.</param>
/// <param name="TimeS">Length of that stretch, s.</param>
/// <param name="EnergyJ">Energy in it, J.</param>
/// <param name="PermittedPu">Power it stands so long, parts of the continuous one.</param>
public readonly record struct ResistorLoading(double LoadingPu, double TimeS, double EnergyJ, double PermittedPu);
