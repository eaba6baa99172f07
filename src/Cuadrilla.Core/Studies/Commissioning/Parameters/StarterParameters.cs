using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Settings of soft starters, star-delta starters and contactors.</summary>
internal static class StarterParameters
{
    public static void Of(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Running, BoardRow.Converter);
        switch (source.Point.Converter)
        {
            case ConverterChoice.SoftStarter soft:
                Soft(list, source, soft);
                break;
            case ConverterChoice.StarDelta star:
                Relay(list, source, star.Trip, 1 / Math.Sqrt(3), "behind the branch to the delta: I_N/√3");
                list.Entered("start.star-time", "time in star", star.ChangeOverS, "s", "time in star");
                break;
            case ConverterChoice.AcrossTheLine line:
                Relay(list, source, line.Trip, 1, "in line");
                break;
            default:
                break;
        }
    }

    private static void Soft(ParameterList list, ParameterSource source, ConverterChoice.SoftStarter soft)
    {
        var settings = soft.Settings;
        var rated = source.Model.Fitted?.Connected.Plate.RatedCurrentA;
        var scaling = rated is { } a ? $"100 % = {Text.N(a)} A, the set current of the motor" : "100 % = the set current of the motor";
        list.Computed("set.current", "set current of the motor", rated, "A", "rated current as linked",
            rated is null ? "motor" : "limits are per cent of this, not of the starter", "plate of the motor");
        list.Chosen("set.place", "place of the starter", settings.InsideDelta ? "inside the delta" : "in line", "as chosen");
        if (settings.InsideDelta)
        {
            list.Computed("set.starter-current", "current in the starter", rated / Math.Sqrt(3), "A", "I_N/√3", "inside the delta",
                "docs/methods/starting.md");
        }

        list.Chosen("start.way", "way of starting", settings.Mode switch
        {
            SoftStartMode.VoltageRamp => "voltage ramp",
            SoftStartMode.CurrentRamp => "current ramp",
            _ => "current limit",
        }, "as chosen");
        if (settings.Mode != SoftStartMode.CurrentLimit)
        {
            list.Entered("start.initial", settings.Mode == SoftStartMode.VoltageRamp ? "initial voltage" : "start current",
                settings.InitialPct,
                "%", "as chosen", settings.Mode == SoftStartMode.VoltageRamp ? "100 % = line voltage" : scaling);
            list.Entered("start.ramp", "ramp", settings.RampS, "s", "as chosen");
        }

        list.Entered("start.limit", "current limit", settings.CurrentLimitPct, "%", "as chosen", scaling);
        if (settings.KickPct > 0)
        {
            list.Entered("start.kick", "kick", settings.KickPct, "%", "as chosen", "100 % = line voltage");
            list.Entered("start.kick-time", "duration of the kick", settings.KickS, "s", "as chosen");
        }

        list.Chosen("stop.mode", "stop mode", settings.StopRampS > 0 ? "voltage ramp" : "coasting", "as chosen");
        if (settings.StopRampS > 0)
        {
            list.Entered("stop.ramp", "stop ramp", settings.StopRampS, "s", "as chosen");
        }

        Relay(list, source, soft.Trip, settings.InsideDelta ? 1 / Math.Sqrt(3) : 1, settings.InsideDelta ? "inside the delta" : "in line");
        list.Proposed("relay.first", "first relay", "mains contactor", "closed while it runs and stops");
        list.Proposed("relay.second", "second relay", "bypassed", "closed at full voltage");
        list.Proposed("relay.third", "third relay", "fault", "opens at a fault and without control voltage");
        list.Proposed("control.local-remote", "local or remote", "by input", "a switch at the machine decides");
        list.Proposed("control.enable", "hardware enable", "wired", "the stop does not depend on a program");
        Bypass(list, source);
    }

    private static void Relay(ParameterList list, ParameterSource source, TripClass trip, double part, string where)
    {
        list.Chosen("thermal.class", "trip class", trip.ToString().Replace("Class", "class ", StringComparison.Ordinal), "as chosen");
        var rated = source.Model.Fitted?.Connected.Plate.RatedCurrentA;
        list.Computed("thermal.current", "set current of the overload relay", rated * part, "A", "rated current as linked",
            rated is null ? "motor" : where, "IEC 60947-4-1");
    }

    private static void Bypass(ParameterList list, ParameterSource source)
    {
        if (source.Model.Fitted is { } fitted && ExpectedMotor.Of(fitted.Connected, fitted.Losses)?.RotorTimeConstantS is { } constant)
        {
            var wait = Math.Max(source.Usual.BypassLeastS, source.Usual.BypassTimeConstants * constant);
            list.Computed("restart.wait", "least time between stop and start", wait, "s", "max(1 s, 3·τ_R)",
                $"rotor time constant {Text.N(constant, 3)} s: the flux that is left must not meet the line against its phase",
                "docs/methods/parameters.md");
        }
    }
}
