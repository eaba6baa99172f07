using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>What becomes of faults, of the supply, of the bus; process control.</summary>
internal static class ReactionParameters
{
    public static void Of(ParameterList list, ParameterSource source, ConverterChoice.FromCatalogue choice)
    {
        list.In(ParameterGroup.Reactions, BoardRow.Converter);
        var usual = source.Usual;
        list.Chosen("loss.mains", "loss of the mains", choice.InDip switch
        {
            DipBehaviour.KineticBuffering => "kinetic buffering",
            DipBehaviour.FlyingStart => "pulses blocked, flying start",
            _ => "trip by low link voltage",
        }, "dip of the supply as chosen");
        if (choice.InDip == DipBehaviour.KineticBuffering && source.Model.WholeItem is { } item)
        {
            list.Proposed("loss.buffer-below", "link voltage below which it buffers",
                item.NoLoadLinkVoltageV * usual.BufferBelowPct / 100, "V",
                $"{Text.N(usual.BufferBelowPct)} % of {Text.N(item.NoLoadLinkVoltageV)} V without load");
        }

        var mayRestart = choice.RestartOrder.IsKnown && !source.Hangs;
        if (source.Hangs)
        {
            list.Follows("restart.count", "restarts by itself", "none", "something hangs", "nobody may be under it by surprise",
                "docs/methods/parameters.md");
        }
        else if (mayRestart)
        {
            list.Proposed("restart.count", "restarts by itself", usual.Restarts, string.Empty,
                $"place {Text.N(choice.RestartOrder.Value)} in the order of restart is entered, no number");
            list.Proposed("restart.delay", "time before each", usual.RestartDelayS, "s", "usual");
        }
        else
        {
            list.Follows("restart.count", "restarts by itself", "none", "no place in the order of restart", "it waits for a command",
                "the specification");
        }

        list.Follows("fault.earth", "earth fault at the output", source.Earthing == EarthingSystem.It
            ? "alarm" : "trip", "earthing of the supply",
            source.Earthing == EarthingSystem.It
                ? "the first fault of an IT system may stay until it is found"
                : "fault current flows at once",
            "IEC 60364-4-41");
        list.Proposed("fault.output-phase", "loss of an output phase", "trip", "a motor on two phases overheats");
        list.Proposed("fault.input-phase", "loss of an input phase",
            source.Model.Input.OnePhase is null ? "trip" : "off: one phase is all there is",
            "the link's capacitors and the other phases carry it");
        if (choice.Control == MotorControl.VectorWithEncoder)
        {
            list.Proposed("fault.encoder", "loss of the speed feedback", "trip",
                source.Hangs ? "the brake closes" : "speed and direction are unknown");
        }

        if (source.Signals?.Of(SignalFunction.Bus) is not null)
        {
            var keeps = source.Point.Load is FanLoad or PumpLoad;
            list.Proposed("fault.bus", "loss of the fieldbus",
                source.Hangs ? "stop, brake closes" : keeps ? "hold the last speed" : "stop by ramp",
                keeps ? "the process needs air or water" : "nobody commands it any more");
        }

        Process(list, source);
    }

    private static void Process(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Reactions, BoardRow.Load);
        var usual = source.Usual;
        if (source.Point.Load is PumpLoad)
        {
            list.Proposed("process.reverse", "reverse", "blocked", "a pump lifts in one direction only; free it for the test of rotation");
            list.Proposed("process.low-speed-time", "longest time below the least speed", usual.LowSpeedTripS, "s",
                "it churns without flow");
        }

        if (source.Point.Load is FluidLoad && source.Signals?.Of(SignalFunction.ProcessValue) is not null)
        {
            list.Proposed("process.sleep", "sleeps below", usual.SleepPct, "%", "no flow is asked for", "above the minimum speed");
            list.Proposed("process.wake", "wakes at a deviation of", usual.WakePct, "%", "usual", "of the process value's range");
            list.OnSite("process.controller", "gain and integral time", "from a step on site");
        }
    }
}
