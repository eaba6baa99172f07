using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Ramps, starts, stops, braking.</summary>
internal static class RunningParameters
{
    public static void Of(ParameterList list, ParameterSource source, ConverterChoice.FromCatalogue choice)
    {
        list.In(ParameterGroup.Running, BoardRow.Load);
        var (load, usual) = (source.Model.Load, source.Usual);
        if (load is { Cycle: not null })
        {
            list.Follows("ramp.up", "ramp up", "by the machine's controller", "cycle of the machine", "each movement has its own",
                "the specification");
        }
        else
        {
            list.EnteredOr("ramp.up", "ramp up, rest to rated speed", load?.StartTimeS ?? Given.Unknown, usual.RampS, "s", "start time",
                "no start time is entered");
            list.EnteredOr("ramp.down", "ramp down, rated speed to rest", load?.StopTimeS ?? Given.Unknown, usual.RampS, "s", "stop time",
                "no stop time is entered");
        }

        var smooth = source.Hangs || source.Point.Load is ConveyorLoad;
        list.Proposed("ramp.s-curve", "rounding of the ramps", smooth ? usual.SCurvePct : 0, "%",
            smooth ? "what hangs or lies loose must not be jerked" : "nothing that swings or slides", "of the ramp's time");
        Start(list, source);
        Stop(list, source, choice);
    }

    private static void Start(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Running, BoardRow.Motor);
        var turns = source.Point.Load is FanLoad or PumpLoad;
        list.Proposed("start.mode", "start mode", turns ? "flying start" : "from rest",
            turns ? "wind, a draught or a column of water turns it" : "it stands when it is started");
        if (turns)
        {
            list.Proposed("start.search", "longest search for a turning motor", source.Usual.FlyingSearchS, "s", "usual");
        }

        if (source.Model.Fitted is not { } fitted || ExpectedMotor.Of(fitted.Connected, fitted.Losses) is not { } expected)
        {
            return;
        }

        var constant = expected.RotorTimeConstantS;
        list.Computed("start.magnetising", "magnetising time", source.Usual.MagnetisingPerTimeConstant * constant, "s", "3·τ_R",
            constant is { } s
                ? $"rotor time constant {Text.N(s, 3)} s of the plate's circuit: 95 % of the flux"
                : "locked-rotor current and torque of the motor",
            "docs/methods/parameters.md");
    }

    private static void Stop(ParameterList list, ParameterSource source, ConverterChoice.FromCatalogue choice)
    {
        list.In(ParameterGroup.Running, BoardRow.Converter);
        var braking = choice.Braking;
        list.Chosen("stop.mode", "stop mode", braking switch
        {
            Braking.Coast => "coasting",
            Braking.DcInjection => "direct current",
            Braking.Flux => "ramp with raised flux",
            _ => "ramp",
        }, "braking as chosen");
        switch (braking)
        {
            case Braking.Resistor resistor:
                list.Chosen("brake.chopper", "brake chopper", "on", "a resistor is fitted");
                list.Follows("brake.link-control", "control of the link voltage when braking", "off", "chopper on",
                    "it would stretch the ramp before the chopper acts", "docs/methods/braking.md");
                list.Entered("brake.resistance", "resistance", resistor.ResistanceOhm, "Ω", "resistance of the brake resistor");
                list.Entered("brake.power", "continuous power of the resistor", resistor.ContinuousKw, "kW",
                    "continuous power of the brake resistor");
                break;
            case Braking.ToLine:
                list.Follows("brake.chopper", "brake chopper", "off", "energy returns to the line", "active front end",
                    "docs/methods/braking.md");
                break;
            default:
                list.Follows("brake.chopper", "brake chopper", "off", "no resistor", "nothing is fitted", "docs/methods/braking.md");
                list.Follows("brake.link-control", "control of the link voltage when braking", "on", "no chopper",
                    "the ramp is stretched instead of a trip", "docs/methods/braking.md");
                break;
        }

        if (braking is Braking.DcInjection direct)
        {
            list.Entered("brake.direct-current", "direct current", direct.CurrentPct, "%", "braking as chosen",
                "100 % = rated current of the motor");
        }

        if (braking is Braking.Flux flux)
        {
            list.Entered("brake.flux", "flux when braking", flux.FluxPct, "%", "braking as chosen", "100 % = rated flux");
        }

        if (source.Model.Fitted?.Item.Technology == MotorTechnology.PermanentMagnet)
        {
            list.Proposed("stop.hold", "holding at rest", "off", "magnets hold nothing without current");
        }
    }
}
