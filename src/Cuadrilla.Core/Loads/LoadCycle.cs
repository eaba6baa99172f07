using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Loads;

/// <summary>A slice of a cycle at the motor's shaft.</summary>
/// <param name="DurationS">Duration, s.</param>
/// <param name="SpeedRpm">Speed, rpm; negative backwards.</param>
/// <param name="TorqueNm">Torque, Nm, positive forwards.</param>
/// <param name="Rests">True while the brake holds and the motor is off.</param>
public readonly record struct CycleSlice(double DurationS, double SpeedRpm, double TorqueNm, bool Rests)
{
    /// <summary>The same as a point that turns forwards: torque negative while the load drives.</summary>
    public ShaftPoint Shaft(double levelPu) => new(levelPu, Math.Abs(SpeedRpm), SpeedRpm < 0 ? -TorqueNm : TorqueNm);
}

/// <summary>
/// What a cycle asks of a motor. See <c>docs/methods/load-cycles.md</c>. The motor's own inertia is added; peaks, reversals and energies
/// are those of the lines themselves, not of a mean.
/// </summary>
/// <param name="Stretches">In order of time, at least one.</param>
public sealed record LoadCycle(IReadOnlyList<CycleStretch> Stretches)
{
    private const int SlicesOfRamp = 8;
    private const int PeakSamples = 64;

    /// <summary>Duration of the cycle, s.</summary>
    public double DurationS => Stretches.Sum(s => s.DurationS);

    /// <summary>Slices fine enough for losses and currents of motor and converter.</summary>
    /// <param name="motorKgM2">Inertia of the motor, kg·m².</param>
    public IEnumerable<CycleSlice> Slices(double motorKgM2) => Stretches.SelectMany(s => SlicesOf(s, motorKgM2));

    /// <summary>Speeds and torques at which the cycle asks most: the ends of each stretch and what lies between.</summary>
    /// <param name="motorKgM2">Inertia of the motor, kg·m².</param>
    public IEnumerable<CycleSlice> Points(double motorKgM2) =>
        Stretches.SelectMany(s => Samples(s).Select(x => new CycleSlice(0, s.SpeedRpm(x), s.TorqueNm(x, motorKgM2), s.Rests)));

    /// <summary>Largest torque, Nm, for how long in a row it is asked within one per cent, s, and the highest speed at which.</summary>
    public (double TorqueNm, double TimeS, double SpeedRpm) Peak(double motorKgM2)
    {
        var largest = Points(motorKgM2).Max(p => Math.Abs(p.TorqueNm));
        double longest = 0, speed = 0, run = 0;
        foreach (var s in Stretches)
        {
            double? last = null;
            foreach (var x in Samples(s))
            {
                var near = Math.Abs(s.TorqueNm(x, motorKgM2)) >= 0.99 * largest;
                run = near ? run + (last is { } l ? (x - l) * s.DurationS : 0) : 0;
                (longest, speed) = near ? (Math.Max(longest, run), Math.Max(speed, Math.Abs(s.SpeedRpm(x)))) : (longest, speed);
                last = x;
            }

            run = 0;
        }

        return (largest, longest, speed);
    }

    /// <summary>
    /// Root mean square torque, Nm, with slow and standing time weighted by the cooling that is left then:
    /// √(ΣT²·t/Σc(n)·t). With full cooling it is the plain rms.
    /// </summary>
    /// <param name="motorKgM2">Inertia of the motor.</param>
    /// <param name="coolingAtRpm">Cooling at a speed in parts of that at rated speed.</param>
    public double RmsTorqueNm(double motorKgM2, Func<double, double> coolingAtRpm)
    {
        ArgumentNullException.ThrowIfNull(coolingAtRpm);
        double squares = 0, cooled = 0;
        foreach (var s in Stretches)
        {
            squares += Integral(s, s.Breaks(motorKgM2), x => Math.Pow(s.Rests ? 0 : s.TorqueNm(x, motorKgM2), 2));
            cooled += Integral(s, [.. Enumerable.Range(0, SlicesOfRamp + 1).Select(i => (double)i / SlicesOfRamp)],
                x => coolingAtRpm(Math.Abs(s.SpeedRpm(x))));
        }

        return cooled > 0 ? Math.Sqrt(squares / cooled) : double.PositiveInfinity;
    }

    /// <summary>Powers and energies at the shaft; the motor's inertia adds nothing over a whole cycle.</summary>
    public CycleEnergy Energy(double motorKgM2)
    {
        double motoring = 0, regenerated = 0, peakMotoring = 0, peakRegenerated = 0;
        foreach (var s in Stretches.Where(s => !s.Rests))
        {
            double Power(double x) => s.TorqueNm(x, motorKgM2) * s.SpeedRpm(x) * 2 * Math.PI / 60;
            var breaks = s.Breaks(motorKgM2);
            motoring += Integral(s, breaks, x => Math.Max(Power(x), 0));
            regenerated += Integral(s, breaks, x => Math.Max(-Power(x), 0));
            foreach (var power in Samples(s).Select(Power))
            {
                peakMotoring = Math.Max(peakMotoring, power);
                peakRegenerated = Math.Max(peakRegenerated, -power);
            }
        }

        return new CycleEnergy(motoring, regenerated, peakMotoring, peakRegenerated, regenerated / DurationS);
    }

    private static IEnumerable<CycleSlice> SlicesOf(CycleStretch s, double motorKgM2)
    {
        if (s.Rests || s.IsConstant)
        {
            return [new CycleSlice(s.DurationS, s.SpeedRpm(0.5), s.Rests ? 0 : s.TorqueNm(0.5, motorKgM2), s.Rests)];
        }

        // Evenly, and never across a zero of speed or torque.
        var ends = Enumerable.Range(0, SlicesOfRamp + 1).Select(i => (double)i / SlicesOfRamp).Concat(s.IsSmooth ? [] : s.Breaks(motorKgM2))
            .Distinct().Order().ToList();
        return ends.Zip(ends.Skip(1)).Where(e => e.Second - e.First > 1e-9)
            .Select(e => new CycleSlice((e.Second - e.First) * s.DurationS, s.SpeedRpm((e.First + e.Second) / 2),
                s.TorqueNm((e.First + e.Second) / 2, motorKgM2), false));
    }

    // A quadratic power has its crest where the slope is nothing; sixty-four samples and the ends meet it to one in ten thousand.
    private static IEnumerable<double> Samples(CycleStretch s) =>
        s.Rests || s.IsConstant ? [0, 1] : Enumerable.Range(0, PeakSamples + 1).Select(i => (double)i / PeakSamples);

    private static double Integral(CycleStretch s, IReadOnlyList<double> breaks, Func<double, double> of)
    {
        double sum = 0;
        for (var i = 1; i < breaks.Count; i++)
        {
            double from = breaks[i - 1], width = breaks[i] - from;
            sum += width / 2 * (of(from + (Quadrature.Gauss2[0] * width)) + of(from + (Quadrature.Gauss2[1] * width)));
        }

        return sum * s.DurationS;
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
