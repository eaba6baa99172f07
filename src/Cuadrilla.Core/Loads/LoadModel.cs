using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>A point at the motor's shaft.</summary>
/// <param name="LevelPu">Flow, speed or rate of cycles in parts of the rated.</param>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="TorqueNm">Torque, Nm; negative when the load drives the motor.</param>
public readonly record struct ShaftPoint(double LevelPu, double SpeedRpm, double TorqueNm)
{
    /// <summary>What it is where the level does not say it; else null.</summary>
    public string? What { get; init; }

    /// <summary>Shaft power, W; negative when it comes back.</summary>
    public double PowerW => TorqueNm * 2 * Math.PI * SpeedRpm / 60;
}

/// <summary>The end of a start ramp.</summary>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="TorqueNm">Torque of the load there, Nm.</param>
/// <param name="InertiaKgM2">Inertia of the machine at the motor's shaft, kg·m².</param>
public readonly record struct StartPoint(double SpeedRpm, double TorqueNm, Given InertiaKgM2);

/// <summary>
/// A load with everything known, seen from the motor's shaft: what all studies ask of it, whatever turns. Gears, drums and
/// belts are behind it.
/// </summary>
public abstract class LoadModel
{
    /// <summary>What the level of the duty stands for, for example <c>flow</c>.</summary>
    public abstract string LevelName { get; }

    /// <summary>Hours per year at each level.</summary>
    public abstract IReadOnlyList<DutyPoint> Duty { get; }

    /// <summary>Speed at the rated point, rpm.</summary>
    public abstract double RatedSpeedRpm { get; }

    /// <summary>Torque at the rated point, Nm; negative for a load that drives the motor.</summary>
    public abstract double RatedTorqueNm { get; }

    /// <summary>Inertia at the motor's shaft, kg·m², unknown while it has not been entered.</summary>
    public abstract Given InertiaKgM2 { get; }

    /// <summary>Wanted start time, s, unknown while it has not been entered or is given by the cycle.</summary>
    public abstract Given StartTimeS { get; }

    /// <summary>Torque that must be there before it turns, Nm.</summary>
    public abstract double BreakawayNm { get; }

    /// <summary>The cycle it repeats; null when it works steadily.</summary>
    public virtual LoadCycle? Cycle => null;

    /// <summary>Wanted time from rated speed to rest, s; unknown: none is asked.</summary>
    public Given StopTimeS { get; protected init; }

    /// <summary>What a cycle does not show and still must be mastered: the rated load let down after a lift that was broken off; usually
    /// nothing.</summary>
    public virtual IReadOnlyList<CycleStretch> BrokenOff => [];

    /// <summary>What hangs on the shaft; null when nothing can fall.</summary>
    public virtual HangingLoad? Hanging => null;

    /// <summary>Shaft power at the rated point, W.</summary>
    public double RatedPowerW => RatedTorqueNm * 2 * Math.PI * RatedSpeedRpm / 60;

    /// <summary>Point at a level.</summary>
    public abstract ShaftPoint At(double levelPu);

    /// <summary>
    /// Every point at which the load works at a level: usually one; a winder goes through all of its diameters.
    /// </summary>
    public virtual IReadOnlyList<ShaftPoint> PointsAt(double levelPu) => [At(levelPu)];

    /// <summary>
    /// Points that size a drive at a level: those at which it works, and those at which it could, with the least and the largest
    /// resistance.
    /// </summary>
    public virtual IReadOnlyList<ShaftPoint> SizingPointsAt(double levelPu) => PointsAt(levelPu);

    /// <summary>One of several machines on a shared system running alone at a speed, parts of the rated; null where it never is.</summary>
    /// <param name="speedPu">Speed, parts of the rated.</param>
    public virtual ShaftPoint? Alone(double speedPu) => null;

    /// <summary>Least torque with which the load holds back while it stops, Nm; negative where it drives on.</summary>
    public virtual double StoppingTorqueNm(double speedRpm) => TorqueAtSpeedNm(speedRpm);

    /// <summary>Speed, torque and inertia at which a start is asked for, at the end of its ramp; usually one, of a winder one for each
    /// diameter.</summary>
    public virtual IReadOnlyList<StartPoint> StartPoints() =>
        [PointsAt(1).MaxBy(p => Math.Abs(p.TorqueNm)) is var p ? new StartPoint(p.SpeedRpm, p.TorqueNm, InertiaKgM2) : default];

    /// <summary>Torque over speed without acceleration, Nm: what a start has to overcome.</summary>
    public abstract double TorqueAtSpeedNm(double speedRpm);

    /// <summary>Levels at which it works for some time: the duty's and the rated one, ascending, without repeats.</summary>
    public IReadOnlyList<double> Levels() => [.. Duty.Where(d => d.HoursPerYear > 0).Select(d => d.LevelPu).Append(1).Distinct().Order()];
}
