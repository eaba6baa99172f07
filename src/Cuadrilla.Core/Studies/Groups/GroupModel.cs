using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Groups;

/// <summary>A kind of motors of a group at work.</summary>
/// <param name="Member">What is specified.</param>
/// <param name="Model">Its drive point, one motor.</param>
/// <param name="SpeedRpm">Speed of one under its load on the common frequency, rpm.</param>
/// <param name="CurrentA">Current of one, A.</param>
/// <param name="JamA">Current of one that is jammed, A.</param>
/// <param name="JamTripS">Time in which its relay trips then, warm, the fastest of the class, s; null without relay.</param>
/// <param name="JamTripLongestS">The same of the slowest of the class, from cold, s.</param>
/// <param name="LateStartS">Time of a start on the running converter, s; infinite when it does not reach speed.</param>
public sealed record GroupMotorAtWork(GroupMember Member, CompleteDrive Model, double SpeedRpm, double CurrentA, double JamA,
    double? JamTripS, double? JamTripLongestS, double LateStartS);

/// <summary>A group in a scenario.</summary>
/// <param name="ScenarioName">The scenario.</param>
/// <param name="FrequencyPu">Common frequency, parts of the first motor's rated.</param>
/// <param name="Motors">Each kind that runs.</param>
/// <param name="Current">Currents of those that run.</param>
public sealed record GroupAtWork(string ScenarioName, double FrequencyPu, IReadOnlyList<GroupMotorAtWork> Motors, GroupCurrent Current)
{
    /// <summary>Largest deviation of a motor's speed from the first's, each in parts of its synchronous speed, %.</summary>
    public double SpreadPct => 100 * Motors.Max(m =>
        Math.Abs((m.SpeedRpm / m.Model.Motor.Plate.SynchronousSpeedRpm)
            - (Motors[0].SpeedRpm / Motors[0].Model.Motor.Plate.SynchronousSpeedRpm)));
}

/// <summary>A group resolved against the catalogue.</summary>
public sealed class GroupModel
{
    private GroupModel(MotorGroup group, IReadOnlyList<(GroupMember Member, DrivePointModel Model)> members, IReadOnlyList<string> missing)
    {
        Group = group;
        Members = members;
        Missing = missing;
    }

    /// <summary>What is specified.</summary>
    public MotorGroup Group { get; }

    /// <summary>Its kinds of motors.</summary>
    public IReadOnlyList<(GroupMember Member, DrivePointModel Model)> Members { get; }

    /// <summary>What is missing before currents can be computed.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>The converter at its site with all of its current; null without.</summary>
    public ConverterAtSite? Whole => Members[0].Model is { WholeItem: { } item, Choice: { } choice } head
        ? new ConverterAtSite(item, choice.Duty, choice.SwitchingKhz, head.Input.Site, choice.Feed)
        : null;

    /// <summary>Motor cables of all branches, m; null while a length is missing.</summary>
    public double? CableM => Members.All(m => m.Model.Input.DrivePoint.Cable.LengthM.IsKnown)
        ? Members.Sum(m => m.Member.Count * m.Model.Input.DrivePoint.Cable.ParallelRuns * m.Model.Input.DrivePoint.Cable.LengthM.Value)
        : null;

    /// <summary>Resolves a group.</summary>
    public static GroupModel Of(MotorGroup group, IReadOnlyList<DrivePointStudy> studies)
    {
        ArgumentNullException.ThrowIfNull(group);
        var found = group.Members.Select(m => (Member: m, Study: studies.First(s => s.Model.Id == m.PointId))).ToList();
        return new GroupModel(
            group,
            [.. found.Select(f => (f.Member, f.Study.Model))],
            [.. found.Where(f => !f.Study.IsComplete).Select(f =>
                $"{f.Study.Model.Input.DrivePoint.Tag}: {string.Join(", ", f.Study.Model.Missing())}")]);
    }

    /// <summary>The group in a scenario; null when none of it runs or something is missing.</summary>
    public GroupAtWork? At(Scenario scenario)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        var running = new List<(GroupMember Member, CompleteDrive Model)>();
        foreach (var (member, model) in Members.Where(m => scenario.StateOf(m.Model.Id).Running))
        {
            if (model is CompleteDrive drive)
            {
                running.Add((member, drive));
            }
        }

        if (Missing.Count > 0 || running.Count == 0 || running.Any(m => m.Model.Motor.Plate.Technology != MotorTechnology.CageInduction))
        {
            return null;
        }

        // The converter knows one frequency: the one at which the first motor has its speed.
        var first = running[0].Model;
        var wanted = first.At(scenario.StateOf(first.Id).LevelPu, scenario.StateOf(first.Id).LoadPu).Shaft;
        var plate = first.Motor.Plate;
        var frequency = (wanted.SpeedRpm + SlipRpm(first, wanted.TorqueNm)) / plate.SynchronousSpeedRpm;
        List<GroupMotorAtWork> motors = [.. running.Select(m => AtWork(m.Member, m.Model, scenario.StateOf(m.Model.Id), frequency))];
        var sums = GroupCurrent.Of(
            [.. motors.Select(m => new GroupMotors(m.Member.Count, m.Model.Motor.Plate.RatedCurrentA, m.Member.SwitchedLate ? m.JamA : 0))],
            first.Input.Defaults.Lineups.GroupCurrentFactor,
            Group.SimultaneityPct.IsKnown ? Group.SimultaneityPct.Value / 100 : 1);
        return new GroupAtWork(scenario.Name, frequency, motors, sums);
    }

    private static GroupMotorAtWork AtWork(GroupMember member, CompleteDrive model, DrivePointState state, double frequency)
    {
        var plate = model.Motor.Plate;
        var shaft = model.At(state.LevelPu, state.LoadPu).Shaft;
        var speed = Math.Max(0, (plate.SynchronousSpeedRpm * frequency) - SlipRpm(model, shaft.TorqueNm));
        var current = model.Motor.At(speed, shaft.TorqueNm, model.Feed).CurrentA;
        var jam = plate.StartsOnTheLine
            ? CageCircuitFit.Run(model.Connected.Plate).Circuit.StandingCurrentA(frequency,
                model.Connected.Plate.RatedVoltageV * Math.Min(frequency, model.Connected.BaseFrequencyPu))
            : double.PositiveInfinity;
        double? trip = member.Protection == MotorProtection.OverloadRelay
            ? TripHeat.TripS(jam / plate.RatedCurrentA, Math.Min(current / plate.RatedCurrentA, 1), member.Trip)
            : null;
        double? longest = member.Protection == MotorProtection.OverloadRelay
            ? TripHeat.LongestTripS(jam / plate.RatedCurrentA, 0, member.Trip)
            : null;
        return new GroupMotorAtWork(member, model, speed, current, jam, trip, longest, LateStartS(model, speed, shaft.TorqueNm));
    }

    // Mean of locked and breakdown torque less the load carries the inertia to speed.
    private static double LateStartS(LoadedMotor model, double rpm, double loadNm)
    {
        var plate = model.Motor.Plate;
        var mean = (0.5 * (plate.LockedRotorTorquePu + plate.BreakdownTorquePu) * plate.RatedTorqueNm) - Math.Max(loadNm, 0);
        var inertia = (!model.Load.InertiaKgM2.IsKnown ? 0 : model.Load.InertiaKgM2.Value) + plate.InertiaKgM2;
        return mean > 0 ? inertia * rpm * 2 * Math.PI / 60 / mean : double.PositiveInfinity;
    }

    private static double SlipRpm(LoadedMotor model, double torqueNm)
    {
        var plate = model.Motor.Plate;
        return (plate.SynchronousSpeedRpm - plate.RatedSpeedRpm) * torqueNm / plate.RatedTorqueNm;
    }
}
