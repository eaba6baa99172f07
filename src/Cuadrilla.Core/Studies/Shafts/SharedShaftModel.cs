using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Shafts;

/// <summary>A shared shaft resolved against the catalogue.</summary>
public sealed class SharedShaftModel
{
    private SharedShaftModel(SharedShaft shaft, IReadOnlyList<DriveOnConverter> units, IReadOnlyList<string> missing)
    {
        Shaft = shaft;
        Units = units;
        Missing = missing;
    }

    /// <summary>What is specified.</summary>
    public SharedShaft Shaft { get; }

    /// <summary>Its units, in their order, as far as they are complete.</summary>
    public IReadOnlyList<DriveOnConverter> Units { get; }

    /// <summary>What is missing before shares can be computed.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>Its way of sharing.</summary>
    public SharingKind Kind => KindOf(Shaft.Method);

    /// <summary>Resolves a shaft.</summary>
    public static SharedShaftModel Of(SharedShaft shaft, IReadOnlyList<DrivePointStudy> studies)
    {
        ArgumentNullException.ThrowIfNull(shaft);
        var found = shaft.Units.Select(u => (Unit: u, Study: studies.First(s => s.Model.Id == u.PointId))).ToList();
        List<string> missing = [.. found.Where(f => !f.Study.IsComplete)
            .Select(f => $"{Tag(f.Study)}: {string.Join(", ", f.Study.Model.Missing())}")];
        missing.AddRange(found.Where(f => f.Study.Model is DriveOnLine).Select(f => Tag(f.Study) + ": a converter"));
        missing.AddRange(found.Where(f => f.Study.Complete is { } drive && !drive.Load.InertiaKgM2.IsKnown)
            .Select(f => Tag(f.Study) + ": inertia of the machine"));
        missing.AddRange(found.Where(f => !f.Unit.SpeedErrorPct.IsKnown).Select(f => Tag(f.Study) + ": error of its speed reference"));
        switch (shaft.Method)
        {
            case SharingMethod.Droop:
                missing.AddRange(found.Where(f => !f.Unit.DroopPct.IsKnown).Select(f => Tag(f.Study) + ": droop"));
                break;
            case SharingMethod.TorqueFollower t:
                Need(missing, t.AccuracyPct, "accuracy of the torque");
                Need(missing, t.SpeedWindowPct, "speed window");
                break;
            case SharingMethod.SpeedTrim t:
                Need(missing, t.TrimPct, "largest trim");
                Need(missing, t.TorqueLimitPct, "torque limit");
                break;
        }

        if (shaft.Coupling is ShaftCoupling.Elastic elastic)
        {
            Need(missing, elastic.StiffnessNmPerRad, "stiffness of the coupling");
            Need(missing, elastic.DampingNmSPerRad, "damping of the coupling");
        }

        return new SharedShaftModel(shaft, [.. found.Select(f => f.Study.Model).OfType<DriveOnConverter>()], missing);
    }

    /// <summary>Kind of a way of sharing.</summary>
    public static SharingKind KindOf(SharingMethod method) => method switch
    {
        SharingMethod.Droop => SharingKind.Droop,
        SharingMethod.TorqueFollower => SharingKind.TorqueFollower,
        SharingMethod.SpeedFollower => SharingKind.SpeedFollower,
        SharingMethod.SpeedTrim => SharingKind.SpeedTrim,
        _ => throw new InvalidOperationException("Unknown way of sharing."),
    };

    /// <summary>Torque of the whole shaft and its speed in a scenario; null when no unit runs.</summary>
    public (double TorqueNm, double Rpm)? LoadIn(Scenario scenario)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        List<DriveOnConverter> running = [.. Units.Where(u => scenario.StateOf(u.Id).Running)];
        if (Missing.Count > 0 || running.Count == 0)
        {
            return null;
        }

        var points = running.Select(u => u.At(scenario.StateOf(u.Id).LevelPu, scenario.StateOf(u.Id).LoadPu).Shaft).ToList();
        return (points.Sum(p => p.TorqueNm), points[0].SpeedRpm);
    }

    /// <summary>Where the units that run in a scenario settle; null when none does.</summary>
    public SteadyShare? SteadyIn(Scenario scenario) => LoadIn(scenario) is var (torque, rpm)
        ? SteadyShare.Of(Kind, torque, [.. RunningIn(scenario).Select(i => Unit(i, rpm))], TrimPct, TrimLimitPct)
        : null;

    /// <summary>Indices of the units that run in a scenario.</summary>
    public IReadOnlyList<int> RunningIn(Scenario scenario)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        return [.. Enumerable.Range(0, Units.Count).Where(i => scenario.StateOf(Units[i].Id).Running)];
    }

    /// <summary>The shaft over time in a scenario: part load, load, a unit lost, back; null when fewer than two units run.</summary>
    /// <param name="scenario">The scenario.</param>
    /// <param name="idlePu">Load before the step, parts of the load.</param>
    /// <param name="lost">Index of the unit that is lost, among those that run; -1: none.</param>
    /// <param name="kind">Another way of sharing than the one in force, to see what it would do.</param>
    public SharingResult? Over(Scenario scenario, double idlePu, int lost, SharingKind? kind = null)
    {
        if (LoadIn(scenario) is not var (torque, rpm) || RunningIn(scenario) is not { Count: >= 2 } running)
        {
            return null;
        }

        var elastic = Shaft.Coupling as ShaftCoupling.Elastic;
        return SharedShaftStudy.Run(new SharingInput
        {
            Units = [.. running.Select(i => Unit(i, rpm))],
            Kind = kind ?? Kind,
            SpeedRadPerS = rpm * 2 * Math.PI / 60,
            LoadInertiaKgM2 = Math.Max(running.Sum(i => Units[i].Load.InertiaKgM2.Value), 1e-6),
            IdleNm = idlePu * torque,
            LoadNm = torque,
            StiffnessNmPerRad = elastic?.StiffnessNmPerRad.Value ?? double.PositiveInfinity,
            DampingNmSPerRad = elastic?.DampingNmSPerRad.Value ?? 0,
            SpeedWindowPct = Shaft.Method is SharingMethod.TorqueFollower t ? t.SpeedWindowPct.Value : DefaultWindowPct,
            TrimPct = TrimPct,
            TrimLimitPct = TrimLimitPct,
            LostUnit = lost,
        });
    }

    // For a look at another way of sharing than the one specified.
    private const double DefaultWindowPct = 5;
    private const double DefaultTrimPct = 2;
    private const double DefaultTrimLimitPct = 150;
    private const double DefaultDroopPct = 3;

    private double TrimPct => Shaft.Method is SharingMethod.SpeedTrim t ? t.TrimPct.Value : DefaultTrimPct;

    private double TrimLimitPct => Shaft.Method is SharingMethod.SpeedTrim t ? t.TorqueLimitPct.Value : DefaultTrimLimitPct;

    private SharingUnit Unit(int i, double rpm) => new(
        Units[i].Motor.Plate.RatedTorqueNm,
        UnitLimits.LargestNm(Units[i], rpm),
        Units[i].Motor.Plate.InertiaKgM2,
        Shaft.Units[i].DroopPct.IsKnown ? Shaft.Units[i].DroopPct.Value : DefaultDroopPct,
        Shaft.Units[i].SpeedErrorPct.Value,
        Shaft.Method is SharingMethod.TorqueFollower t ? t.AccuracyPct.Value : 0);

    private static string Tag(DrivePointStudy study) => study.Model.Input.DrivePoint.Tag;

    private static void Need(List<string> missing, Given value, string name)
    {
        if (!value.IsKnown)
        {
            missing.Add(name);
        }
    }
}
