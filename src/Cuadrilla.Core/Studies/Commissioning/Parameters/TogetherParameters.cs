using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Shared shaft, follower, holding brake.</summary>
internal static class TogetherParameters
{
    public static void Of(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Together, BoardRow.Load);
        Shaft(list, source);
        if (source.Follower is { } follower)
        {
            var setting = follower.Setting;
            list.Computed("ratio.setting", "ratio", setting?.DisplaySetting, string.Empty, "n_F·p_F/(n_L·p_L) as the display writes it",
                setting is null
                    ? string.Join(", ", follower.Missing)
                    : $"pulse ratio {Text.N(setting.PulseRatio, 6)} to {follower.LeaderTag}",
                "docs/methods/follower.md", $"{follower.Ratio.ImpliedDecimals} implied decimals: 10^{follower.Ratio.ImpliedDecimals} is 1");
            list.Entered("ratio.sample", "time over which pulses are counted", follower.Ratio.SampleTimeS, "s",
                "time over which pulses are counted");
        }

        if (source.Point.Brake is HoldingBrake.SpringApplied brake)
        {
            Brake(list, source, brake);
        }
    }

    private static void Shaft(ParameterList list, ParameterSource source)
    {
        if (source.Shaft is not { } shaft || source.UnitIndex is not (>= 0 and var index))
        {
            return;
        }

        switch (shaft.Method)
        {
            case SharingMethod.Droop:
                list.Entered("share.droop", "droop", shaft.Units[index].DroopPct, "%", "droop of the unit",
                    "fall of speed from no load to rated torque");
                break;
            case SharingMethod.TorqueFollower follow when index > 0:
                list.Chosen("share.mode", "torque follower", "torque reference of the leader", "way of sharing");
                list.Entered("share.window", "speed window", follow.SpeedWindowPct, "%", "speed window of the followers",
                    "of the reference");
                break;
            case SharingMethod.SpeedTrim trim when index > 0:
                list.Entered("share.trim", "largest trim of the speed", trim.TrimPct, "%", "largest trim", "of the speed");
                list.Entered("share.torque-limit", "limit of the trimmed torque", trim.TorqueLimitPct, "%", "limit of a follower's torque",
                    "of its rated torque");
                break;
            default:
                list.Chosen("share.mode", "on the shared shaft", index == 0 ? "leads" : "keeps its own speed", "way of sharing");
                break;
        }
    }

    private static void Brake(ParameterList list, ParameterSource source, HoldingBrake.SpringApplied brake)
    {
        list.In(ParameterGroup.Together, BoardRow.Motor);
        var control = brake.Control;
        list.Chosen("hold.command", "brake command", control.By == BrakeCommand.Converter ? "by the unit" : "by the machine's controller",
            "who commands the brake");
        list.Entered("hold.proven", "torque before the release", control.ProvenPct, "%", "torque proven before the release",
            "of the motor's rated torque");
        list.Chosen("hold.memory", "torque memory", source.Hangs ? "on: the last load is the first torque" : "off",
            source.Hangs ? "something hangs" : "nothing hangs");
        list.Entered("hold.release", "release time", brake.ReleaseMs, "ms", "release time of the brake");
        list.Entered("hold.close", "closing time", brake.CloseMs, "ms", "closing time of the brake");
        list.Entered("hold.close-below", "speed at which it closes", control.CloseBelowPct, "%", "speed below which it closes",
            "of rated speed");
        if (control.CloseDelayS.IsKnown)
        {
            list.Entered("hold.close-after", "closes anyway after", control.CloseDelayS, "s", "time after the stop command");
        }

        if (!control.PositionFeedback)
        {
            list.Entered("hold.speed-after", "speed reference after", control.SpeedAfterReleaseMs, "ms",
                "time from release to speed reference");
            list.Entered("hold.torque-held", "torque held after the close command", control.HoldMs, "ms", "time the torque is held");
        }

        list.Chosen("hold.feedback", "feedback of the brake", (control.CommandFeedback, control.PositionFeedback) switch
        {
            (true, true) => "command and position",
            (true, false) => "command",
            (false, true) => "position",
            _ => "none",
        }, "as entered at the brake");
        list.Proposed("hold.slip-check", "movement under the closed brake that is a fault", source.Usual.SlipCheckPct, "%",
            "a worn or wet brake is seen before it drops", "of rated speed");
    }
}
