namespace Cuadrilla.Core.Loads;

/// <summary>A stretch of a cycle with straight speed, at the motor's shaft.</summary>
/// <param name="DurationS">Duration, s, &gt; 0.</param>
/// <param name="StartRpm">Speed at its beginning, rpm; negative backwards.</param>
/// <param name="EndRpm">Speed at its end, rpm.</param>
/// <param name="TorqueNm">Torque of the load with the acceleration of its own masses, Nm, positive forwards.</param>
/// <param name="PeakFactor">Peak of the acceleration over its mean, 1 for straight ramps, 2 for sine-square ones.</param>
/// <param name="AccelerationNm">Part of <paramref name="TorqueNm"/> that accelerates the load's masses, Nm.</param>
public readonly record struct CycleStretch(
    double DurationS, double StartRpm, double EndRpm, double TorqueNm, double AccelerationNm = 0, double PeakFactor = 1)
{
    /// <summary>Mean angular acceleration, rad/s².</summary>
    public double AccelerationRadPerS2 => (EndRpm - StartRpm) * 2 * Math.PI / 60 / DurationS;

    /// <summary>Mean speed, rpm.</summary>
    public double MeanRpm => 0.5 * (StartRpm + EndRpm);
}

/// <summary>
/// What a cycle asks of a motor. See <c>docs/methods/load-cycles.md</c>. The motor's own inertia is added to each stretch;
/// powers and energies are those at the shaft.
/// </summary>
/// <param name="Stretches">In order of time, at least one.</param>
public sealed record LoadCycle(IReadOnlyList<CycleStretch> Stretches)
{
    private const int Samples = 16;

    /// <summary>Duration of the cycle, s.</summary>
    public double DurationS => Stretches.Sum(s => s.DurationS);

    /// <summary>Torque of a stretch with the motor's inertia, mean over it, Nm.</summary>
    public static double TorqueNm(in CycleStretch stretch, double motorInertiaKgM2) =>
        stretch.TorqueNm + (motorInertiaKgM2 * stretch.AccelerationRadPerS2);

    /// <summary>Largest torque, Nm, and for how long in a row it is asked within one per cent, s.</summary>
    public (double TorqueNm, double TimeS, double SpeedRpm) Peak(double motorInertiaKgM2)
    {
        (double TorqueNm, double TimeS, double SpeedRpm) peak = default;
        foreach (var s in Stretches)
        {
            var accelerating = s.AccelerationNm + (motorInertiaKgM2 * s.AccelerationRadPerS2);
            var torque = Math.Abs(s.TorqueNm - s.AccelerationNm + (s.PeakFactor * accelerating));
            var speed = Math.Max(Math.Abs(s.StartRpm), Math.Abs(s.EndRpm));
            if (torque > 1.0001 * peak.TorqueNm)
            {
                peak = (torque, s.DurationS, speed);
            }
            else if (torque > 0.99 * peak.TorqueNm)
            {
                peak = (peak.TorqueNm, Math.Max(peak.TimeS, s.DurationS), Math.Max(peak.SpeedRpm, speed));
            }
        }

        return peak;
    }

    /// <summary>
    /// Root mean square torque, Nm, with slow and standing time weighted by the cooling that is left then:
    /// √(ΣT²·t/Σc(n)·t). With full cooling it is the plain rms.
    /// </summary>
    /// <param name="motorInertiaKgM2">Inertia of the motor.</param>
    /// <param name="coolingAtRpm">Cooling at a speed in parts of that at rated speed.</param>
    public double RmsTorqueNm(double motorInertiaKgM2, Func<double, double> coolingAtRpm)
    {
        ArgumentNullException.ThrowIfNull(coolingAtRpm);
        double squares = 0, cooled = 0;
        foreach (var s in Stretches)
        {
            var accelerating = s.AccelerationNm + (motorInertiaKgM2 * s.AccelerationRadPerS2);
            var steady = s.TorqueNm - s.AccelerationNm;

            // A sine square of mean 1 has the mean square 3/2.
            var meanSquare = s.PeakFactor > 1 ? 1.5 : 1;
            squares += s.DurationS * ((steady * steady) + (2 * steady * accelerating) + (meanSquare * accelerating * accelerating));
            for (var i = 0; i < Samples; i++)
            {
                var speed = Math.Abs(s.StartRpm + ((s.EndRpm - s.StartRpm) * (i + 0.5) / Samples));
                cooled += s.DurationS / Samples * coolingAtRpm(speed);
            }
        }

        return cooled > 0 ? Math.Sqrt(Math.Max(squares, 0) / cooled) : double.PositiveInfinity;
    }

    /// <summary>Powers and energies at the shaft; the motor's inertia adds nothing over a whole cycle.</summary>
    public CycleEnergy Energy(double motorInertiaKgM2)
    {
        double motoring = 0, regenerated = 0, peakMotoring = 0, peakRegenerated = 0;
        foreach (var s in Stretches)
        {
            var torque = TorqueNm(s, motorInertiaKgM2);
            var start = torque * s.StartRpm * 2 * Math.PI / 60;
            var end = torque * s.EndRpm * 2 * Math.PI / 60;
            var (plus, minus) = Parts(start, end, s.DurationS);
            motoring += plus;
            regenerated += minus;
            peakMotoring = Math.Max(peakMotoring, Math.Max(start, end));
            peakRegenerated = Math.Max(peakRegenerated, Math.Max(-start, -end));
        }

        return new CycleEnergy(motoring, regenerated, peakMotoring, peakRegenerated, regenerated / DurationS);
    }

    // Energy above and below zero of a power that runs straight from one value to another.
    private static (double PlusJ, double MinusJ) Parts(double startW, double endW, double durationS)
    {
        if (startW >= 0 && endW >= 0)
        {
            return (0.5 * (startW + endW) * durationS, 0);
        }

        if (startW <= 0 && endW <= 0)
        {
            return (0, -0.5 * (startW + endW) * durationS);
        }

        var crossing = startW / (startW - endW);
        var first = 0.5 * startW * crossing * durationS;
        var second = 0.5 * endW * (1 - crossing) * durationS;
        return startW > 0 ? (first, -second) : (second, -first);
    }
}

/// <summary>Shaft energy of a cycle.</summary>
/// <param name="MotoringJ">Given to the load, J.</param>
/// <param name="RegeneratedJ">Come back from the load, J.</param>
/// <param name="PeakMotoringW">Largest power given, W.</param>
/// <param name="PeakRegeneratedW">Largest power come back, W.</param>
/// <param name="MeanRegeneratedW">Come back, mean over the cycle, W.</param>
public readonly record struct CycleEnergy(
    double MotoringJ, double RegeneratedJ, double PeakMotoringW, double PeakRegeneratedW, double MeanRegeneratedW);
