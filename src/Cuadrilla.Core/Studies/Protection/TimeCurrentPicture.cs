using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>What a curve of the time–current picture is.</summary>
public enum TimeCurrentKind
{
    /// <summary>The start of the motor, or what the converter may give: it must pass.</summary>
    Load,

    /// <summary>What a device surely carries.</summary>
    Lasts,

    /// <summary>What a device surely clears.</summary>
    Clears,

    /// <summary>What a cable or motor bears: it must be cleared before.</summary>
    Bears,
}

/// <summary>A curve on axes of current and time, both logarithmic.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="Kind">What it must or must not meet.</param>
/// <param name="Points">By falling time.</param>
public sealed record TimeCurrentCurve(string Id, string Name, TimeCurrentKind Kind, IReadOnlyList<CurveTime> Points);

/// <summary>A current marked on the picture.</summary>
/// <param name="Name">What it is.</param>
/// <param name="CurrentA">Current, A.</param>
public sealed record TimeCurrentMark(string Name, double CurrentA);

/// <summary>A crossing that fails.</summary>
/// <param name="Name">What goes wrong there.</param>
/// <param name="CurrentA">Current, A.</param>
/// <param name="TimeS">Time, s.</param>
public sealed record TimeCurrentCrossing(string Name, double CurrentA, double TimeS);

/// <summary>Start, devices, cables and motor of a drive point on one picture of current and time.</summary>
/// <param name="Curves">The curves.</param>
/// <param name="Marks">Currents that matter.</param>
/// <param name="Crossings">Where a curve meets what it must not.</param>
/// <param name="IsProposed">True where the device is only proposed.</param>
public sealed record TimeCurrentPicture(
    IReadOnlyList<TimeCurrentCurve> Curves, IReadOnlyList<TimeCurrentMark> Marks, IReadOnlyList<TimeCurrentCrossing> Crossings,
    bool IsProposed)
{
    private const double LongestS = 10_000;
    private static readonly double[] OverloadTimes = [600, 300, 120, 60, 30, 10, 5, 2, 1, 0.1, 0.01];
    private static readonly double[] ThyristorTimes = [0.01, 0.02, 0.05, 0.1];
    private static readonly double[] CableTimes = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5];
    private static readonly double[] Multiples = [1.16, 1.2, 1.3, 1.5, 2, 2.5, 3, 4, 5, 6, 7.2, 8, 10, 12];

    internal static TimeCurrentPicture Of(FeederStudy feeder)
    {
        List<TimeCurrentCurve> curves = [];
        List<TimeCurrentCrossing> crossings = [];
        var device = feeder.Chosen is ProtectiveDevice.NotChosen ? feeder.Proposed : feeder.Chosen;
        var gates = device is null ? null : feeder.GatesOf(device);
        if (gates is not null)
        {
            Add(curves, "lasts", $"{DeviceWords.Of(device!)}: surely carries", TimeCurrentKind.Lasts, gates.Lasts());
            Add(curves, "clears", $"{DeviceWords.Of(device!)}: surely clears", TimeCurrentKind.Clears, gates.Clears());
        }

        if (feeder.Start?.Run is { } run)
        {
            Add(curves, "start", $"start, {feeder.Model.Starter!.Name}", TimeCurrentKind.Load, Falling(run.Moments));
            if (gates?.StartMarginPu(run.Moments, feeder.InrushKappa, feeder.BeforeStartA) < 1)
            {
                var peak = run.Moments.MaxBy(m => m.State.LineCurrentA);
                crossings.Add(new TimeCurrentCrossing("the device may clear the start", peak.State.LineCurrentA,
                    Math.Max(0.02, run.TimeS)));
            }
        }

        if (feeder.Model is DriveOnLine line)
        {
            Relay(line, feeder, curves, crossings);
        }
        else if (feeder.FeederCurrent is { } current && feeder.Model.WholeItem is not null)
        {
            Converter(feeder.Model, current.CurrentA, curves);
        }

        Thyristors(feeder, curves, crossings);

        Cables(feeder, gates, curves, crossings);
        return new TimeCurrentPicture(curves, MarksOf(feeder, gates), crossings, feeder.Chosen is ProtectiveDevice.NotChosen);
    }

    private static void Add(List<TimeCurrentCurve> curves, string id, string name, TimeCurrentKind kind, IReadOnlyList<CurveTime> points)
    {
        if (points.Count > 1)
        {
            curves.Add(new TimeCurrentCurve(id, name, kind, [.. points.OrderByDescending(p => p.TimeS).ThenBy(p => p.CurrentA)]));
        }
    }

    // As protection reads it: for how long in all at least so much is drawn.
    private static List<CurveTime> Falling(IReadOnlyList<StartMoment> moments)
    {
        var end = moments[^1].TimeS;
        var points = new List<CurveTime> { new(moments[^1].State.LineCurrentA, LongestS) };
        var largest = moments[^1].State.LineCurrentA;
        for (var i = moments.Count - 1; i >= 0; i--)
        {
            if (moments[i].State.LineCurrentA > largest * 1.02 || i == 0)
            {
                largest = Math.Max(largest, moments[i].State.LineCurrentA);
                points.Add(new CurveTime(largest, Math.Max(0.01, moments[i].TimeS)));
            }
        }

        points.Insert(1, new CurveTime(points[0].CurrentA, Math.Max(0.01, end)));
        return points;
    }

    // What it draws for ever, then what its overload permits of its rated current, input taken as output; its own limit cuts off above.
    private static void Converter(DrivePointModel model, double drawnA, List<TimeCurrentCurve> curves)
    {
        var item = model.WholeItem!;
        var overload = item.LightOverload;
        Add(curves, "converter", "converter's input: for ever and with overload", TimeCurrentKind.Load,
            [
                new CurveTime(drawnA, LongestS),
                .. OverloadTimes.Select(t => new CurveTime(Math.Max(drawnA, overload.AllowedPu(t) * item.LightCurrentA), t)),
            ]);
    }

    // I²t of a thyristor is stated for a half wave; for longer it stands more.
    private static void Thyristors(FeederStudy feeder, List<TimeCurrentCurve> curves, List<TimeCurrentCrossing> crossings)
    {
        if (feeder.Starter?.Item is not { ThyristorA2s: > 0 } item)
        {
            return;
        }

        Add(curves, "thyristors", "thyristors of the soft starter: bear", TimeCurrentKind.Bears,
            [.. ThyristorTimes.Select(t => new CurveTime(Math.Sqrt(item.ThyristorA2s / t), t))]);
        if (feeder.Coordination == CoordinationType.Two && feeder.Chosen is not ProtectiveDevice.NotChosen
            && (feeder.Chosen as ProtectiveDevice.SemiconductorFuse)?.TotalA2s is var total
                && !(total <= StartProtectionChecks.MostThyristorPu * item.ThyristorA2s))
        {
            crossings.Add(new TimeCurrentCrossing("the thyristors burn before the device clears",
                Math.Sqrt(item.ThyristorA2s / ThyristorTimes[0]), ThyristorTimes[0]));
        }
    }

    private static void Relay(DriveOnLine line, FeederStudy feeder, List<TimeCurrentCurve> curves, List<TimeCurrentCrossing> crossings)
    {
        var plate = line.Connected.Plate;
        var trip = feeder.Chosen is ProtectiveDevice.MotorBreaker m ? m.Trip : line.Starter.Trip;
        var setA = feeder.Chosen is ProtectiveDevice.MotorBreaker b ? b.OverloadA : plate.RatedCurrentA;
        var runningPu = StartProtectionChecks.RunningA(feeder) / setA;
        IReadOnlyList<CurveTime> Curve(Func<double, double> time) =>
            [.. Multiples.Select(x => new CurveTime(x * setA, time(x))).Where(p => double.IsFinite(p.TimeS) && p.TimeS > 0)];
        Add(curves, "relay-fast", $"relay class {Words(trip)}: fastest, cold", TimeCurrentKind.Lasts,
            Curve(x => TripHeat.TripS(x, 0, trip)));
        Add(curves, "relay-slow", $"relay class {Words(trip)}: slowest, warm", TimeCurrentKind.Clears,
            Curve(x => TripHeat.LongestTripS(x, runningPu, trip)));
        if (!line.StallTimeS.IsKnown)
        {
            return;
        }

        var lockedA = plate.LockedRotorCurrentPu * plate.RatedCurrentA;
        Add(curves, "stall", "rotor locked, warm: stands", TimeCurrentKind.Bears,
            [new CurveTime(lockedA, line.StallTimeS.Value), new CurveTime(lockedA * 1.001, 0.01)]);
        var slow = TripHeat.LongestTripS(lockedA / setA, runningPu, trip);
        if (slow > line.StallTimeS.Value)
        {
            crossings.Add(new TimeCurrentCrossing("the rotor burns before the relay trips", lockedA, line.StallTimeS.Value));
        }
    }

    private static void Cables(FeederStudy feeder, DeviceGates? gates, List<TimeCurrentCurve> curves, List<TimeCurrentCrossing> crossings)
    {
        if (feeder.Point.Feeder is Feeder.ByCable { CrossSectionMm2: { IsKnown: true } section } cable
            && feeder.Laid(cable.Installation) is { } laid)
        {
            Heat(feeder.FeederTask(gates, laid), section.Value, "feeder", curves, crossings);
        }

        if (feeder.IsOnLine && feeder.Point.Cable is { CrossSectionMm2: { IsKnown: true } motor } wire
            && feeder.Laid(wire.Installation) is { } motorLaid)
        {
            Heat(feeder.MotorTask(gates, motorLaid), motor.Value, "motor cable", curves, crossings);
        }
    }

    private static void Heat(CableTask? task, double mm2, string name, List<TimeCurrentCurve> curves, List<TimeCurrentCrossing> crossings)
    {
        if (task is null)
        {
            return;
        }

        var bears = CableRules.BearsA2s(task, mm2);
        Add(curves, name == "feeder" ? "feeder" : "motor-cable", $"{name} {Text.N(mm2)} mm²: bears", TimeCurrentKind.Bears,
            [.. CableTimes.Select(t => new CurveTime(Math.Sqrt(bears / t), t))]);
        if (task.ShortCircuit is { } fault && CableRules.HeatA2s(task, fault, mm2) > bears)
        {
            var least = CableRules.LeastAtEndA(task, fault, mm2);
            crossings.Add(new TimeCurrentCrossing($"the {name} burns before the device clears", least,
                Math.Clamp(bears / (least * least), 0.01, 5)));
        }
    }

    private static List<TimeCurrentMark> MarksOf(FeederStudy feeder, DeviceGates? gates)
    {
        List<TimeCurrentMark> marks = [];
        if (feeder.FeederCurrent is { } current)
        {
            marks.Add(new TimeCurrentMark("I_B", current.CurrentA));
        }

        if (feeder.Short is { } fault && double.IsFinite(fault.LargestA))
        {
            marks.Add(new TimeCurrentMark("largest fault", fault.LargestA));
            if (feeder.Point.Feeder is Feeder.ByCable { CrossSectionMm2: { IsKnown: true } section } cable
                && feeder.Laid(cable.Installation) is { } laid
                && feeder.FeederTask(gates, laid) is { ShortCircuit: { } behind } task)
            {
                marks.Add(new TimeCurrentMark("least fault", CableRules.LeastAtEndA(task, behind, section.Value)));
            }
        }

        return marks;
    }

    private static string Words(TripClass trip) => trip == TripClass.Class10A ? "10A" : trip.ToString()["Class".Length..];
}
