namespace Cuadrilla.Core.Loads;

/// <summary>
/// A stretch of a cycle. The speed runs straight, or as a smooth S, from one end to the other; the torque of the machine runs straight
/// between its ends. Gear and ropes lose on whichever side drives at that instant, acceleration included.
/// </summary>
/// <param name="DurationS">Duration, s, &gt; 0.</param>
/// <param name="StartRpm">Speed of the motor at its beginning, rpm; negative backwards.</param>
/// <param name="EndRpm">Speed of the motor at its end, rpm.</param>
public readonly record struct CycleStretch(double DurationS, double StartRpm, double EndRpm)
{
    /// <summary>Torque at the machine at the beginning, Nm, positive forwards, acceleration and what hangs on ropes left out.</summary>
    public double StartMachineNm { get; init; }

    /// <summary>The same at the end.</summary>
    public double EndMachineNm { get; init; }

    /// <summary>Inertia at the machine that accelerates with it, kg·m².</summary>
    public double MachineKgM2 { get; init; }

    /// <summary>Torque at the machine of what hangs on ropes, Nm.</summary>
    public double HangingNm { get; init; }

    /// <summary>Inertia at the machine of what hangs on ropes, kg·m².</summary>
    public double HangingKgM2 { get; init; }

    /// <summary>Efficiency of the ropes, 0 to 1.</summary>
    public double RopeEfficiency { get; init; } = 1;

    /// <summary>Motor speed over machine speed.</summary>
    public double GearRatio { get; init; } = 1;

    /// <summary>Efficiency of the gear.</summary>
    public double GearEfficiency { get; init; } = 1;

    /// <summary>True for an acceleration as a sine square: no jerk at the ends, twice the mean in the middle.</summary>
    public bool IsSmooth { get; init; }

    /// <summary>True while the brake holds and the motor is off.</summary>
    public bool Rests { get; init; }

    /// <summary>True when neither speed nor torque changes.</summary>
    public bool IsConstant => StartRpm == EndRpm && StartMachineNm == EndMachineNm;

    /// <summary>Mean angular acceleration of the motor, rad/s².</summary>
    public double AccelerationRadPerS2 => (EndRpm - StartRpm) * 2 * Math.PI / 60 / DurationS;

    /// <summary>Mean speed, rpm.</summary>
    public double MeanRpm => 0.5 * (StartRpm + EndRpm);

    /// <summary>Speed at a part of the duration, rpm.</summary>
    public double SpeedRpm(double part) =>
        StartRpm + ((EndRpm - StartRpm) * (IsSmooth ? part - (Math.Sin(2 * Math.PI * part) / (2 * Math.PI)) : part));

    /// <summary>Torque at the motor's shaft at a part of the duration, Nm, positive forwards.</summary>
    /// <param name="part">Part of the duration, 0 to 1.</param>
    /// <param name="motorKgM2">Inertia of the motor, kg·m².</param>
    public double TorqueNm(double part, double motorKgM2)
    {
        var shape = IsSmooth ? 2 * Math.Pow(Math.Sin(Math.PI * part), 2) : 1;
        var acceleration = AccelerationRadPerS2 * shape;
        return MachineTorqueNm(part, acceleration / GearRatio) + (motorKgM2 * acceleration);
    }

    /// <summary>
    /// Parts of the duration between which speed and torque are smooth: where the speed, the torque of the machine or that of the motor
    /// passes through zero; of a smooth ramp many.
    /// </summary>
    /// <param name="motorKgM2">Inertia of the motor, kg·m².</param>
    public IReadOnlyList<double> Breaks(double motorKgM2)
    {
        if (IsSmooth)
        {
            return [.. Enumerable.Range(0, SmoothParts + 1).Select(i => (double)i / SmoothParts)];
        }

        if (IsConstant)
        {
            return [0, 1];
        }

        var parts = new SortedSet<double> { 0, 1 };
        AddCrossing(parts, StartRpm, EndRpm, 0, 1);

        // Behind the gear the torque has a kink where it changes its side.
        var acceleration = AccelerationRadPerS2 / GearRatio;
        AddCrossing(parts, OuterNm(0, acceleration, 1), OuterNm(1, acceleration, 1), 0, 1);
        AddCrossing(parts, OuterNm(0, acceleration, -1), OuterNm(1, acceleration, -1), 0, 1);
        List<double> smooth = [.. parts];
        for (var i = 1; i < smooth.Count; i++)
        {
            // A hair inside: at the break itself the side is that of neither part.
            double low = smooth[i - 1], high = smooth[i], hair = 1e-9 * (high - low);
            AddCrossing(parts, TorqueNm(low + hair, motorKgM2), TorqueNm(high - hair, motorKgM2), low, high);
        }

        return [.. parts];
    }

    private const int SmoothParts = 48;

    private double MachineTorqueNm(double part, double acceleration)
    {
        var direction = Math.Sign(SpeedRpm(part) is var n && n != 0 ? n : StartRpm + EndRpm);
        var outer = OuterNm(part, acceleration, direction);
        return outer * direction >= 0 ? outer / (GearRatio * GearEfficiency) : outer * GearEfficiency / GearRatio;
    }

    // Torque on the machine's side of the gear.
    private double OuterNm(double part, double acceleration, int direction)
    {
        var inner = HangingNm + (HangingKgM2 * acceleration);
        return (inner * direction >= 0 ? inner / RopeEfficiency : inner * RopeEfficiency) + StartMachineNm
            + ((EndMachineNm - StartMachineNm) * part) + (MachineKgM2 * acceleration);
    }

    private static void AddCrossing(SortedSet<double> parts, double start, double end, double low, double high)
    {
        if (start * end < 0)
        {
            parts.Add(low + ((high - low) * start / (start - end)));
        }
    }
}
