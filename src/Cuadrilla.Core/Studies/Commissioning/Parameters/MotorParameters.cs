using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Plate as linked, and how the motor is controlled and kept from heat.</summary>
internal static class MotorParameters
{
    public static void Plate(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Motor, BoardRow.Motor);
        if (source.Model.Fitted is not { } fitted)
        {
            list.Missing("motor.current", "rated current", "A", "motor");
            return;
        }

        var (connected, printed) = (fitted.Connected, fitted.Item.Plate);
        var plate = connected.Plate;
        var link = connected.IsDelta ? "delta" : "star";
        var linked = plate.DeltaVoltageV > 0
            ? $"linked in {link}; delta {Text.N(plate.DeltaVoltageV)} V, star {Text.N(Math.Sqrt(3) * plate.DeltaVoltageV)} V"
            : "one voltage on the plate";
        void Of(string id, string name, double value, string unit, string formula, string numbers) =>
            list.Computed(id, name, value, unit, formula, numbers, "docs/methods/connection.md");
        list.Entered("motor.power", "rated power", printed.RatedPowerW / 1e3, "kW", "plate of the motor");
        Of("motor.voltage", "rated voltage as linked", plate.RatedVoltageV, "V", "star = √3 · delta", linked);
        Of("motor.current", "rated current as linked", plate.RatedCurrentA, "A", "I·U is the same in star and delta",
            $"{Text.N(printed.RatedCurrentA)} A at {Text.N(printed.RatedVoltageV)} V on the plate; {linked}");
        list.Entered("motor.frequency", "rated frequency", plate.RatedFrequencyHz, "Hz", "plate of the motor");
        list.Entered("motor.speed", "rated speed", plate.RatedSpeedRpm, "rpm", "plate of the motor");
        list.Entered("motor.power-factor", "rated power factor", plate.PowerFactor, string.Empty, "plate of the motor");
        var pairs = Math.Round(60 * plate.RatedFrequencyHz / plate.RatedSpeedRpm);
        Of("motor.pole-pairs", "pole pairs", pairs, string.Empty, "round(60·f/n)",
            $"60·{Text.N(plate.RatedFrequencyHz)}/{Text.N(plate.RatedSpeedRpm)} = "
                + $"{Text.N(60 * plate.RatedFrequencyHz / plate.RatedSpeedRpm)}");
        list.Chosen("motor.link", "link in the terminal box", plate.DeltaVoltageV > 0 ? link : "as delivered", linked);
        if (connected.BaseFrequencyPu > 1)
        {
            Of("motor.base-frequency", "base frequency of the unit", connected.BaseFrequencyHz, "Hz", "f_N·U_out/U_linked",
                $"{Text.N(plate.RatedFrequencyHz)} Hz · {Text.N(connected.OutputVoltageV)} V/{Text.N(connected.LinkedVoltageV)} V: full "
                    + "flux up "
                    + "to there");
        }

        if (ExpectedMotor.Of(connected, fitted.Losses) is { } expected)
        {
            list.Computed("motor.no-load-current", "no-load current", expected.NoLoadA, "A", "magnetising current of the plate",
                expected.IsNoLoadMeasured ? "from a measured no-load current" : "estimated from the plate; identification decides",
                "docs/methods/motor-losses.md");
        }

        if (plate.HasMagnets)
        {
            list.Entered("motor.back-emf", "voltage of the magnets at 20 °C",
                plate.BackEmfVPerKrpm > 0 ? plate.BackEmfVPerKrpm : Given.Unknown,
                "V/1000 rpm", "voltage of the magnets");
        }
    }

    public static void Control(ParameterList list, ParameterSource source, ConverterChoice.FromCatalogue choice)
    {
        list.In(ParameterGroup.Control, BoardRow.Converter);
        var fitted = source.Model.Fitted;
        var isGroup = source.Model.Input.Group is not null;
        if (fitted?.Item.Technology is MotorTechnology.PermanentMagnet or MotorTechnology.Servo or MotorTechnology.SynchronousReluctance)
        {
            list.Follows("control.mode", "control mode", choice.Control == MotorControl.VectorWithEncoder
                ? "vector with encoder" : choice.Control == MotorControl.Scalar ? "constant power factor" : "vector without encoder",
                "kind of motor", "a synchronous motor has no slip that a scalar control could follow", "docs/methods/parameters.md");
        }
        else if (fitted?.Item.Technology == MotorTechnology.DcSeparatelyExcited)
        {
            list.Follows("control.mode", "control mode", "armature current, field weakening", "kind of motor", "DC motor",
                "docs/methods/parameters.md");
        }
        else
        {
            list.Chosen("control.mode", "control mode", choice.Control switch
            {
                MotorControl.Scalar => "scalar (U/f)",
                MotorControl.VectorWithEncoder => "vector with encoder",
                _ => "vector without encoder",
            }, isGroup ? "several motors on one converter: scalar" : "as chosen");
        }

        list.Entered("control.switching", "switching frequency", choice.SwitchingKhz, "kHz",
            "as chosen; limited by filter and cable length");
        if (source.Model.Filter is { } filter)
        {
            list.Follows("control.filter", "filter at the output", filter.Name, "as chosen",
                $"{Text.N(filter.LeastSwitchingKhz)} to {Text.N(filter.LargestSwitchingKhz)} kHz; "
                    + (filter.Sinusoidal ? "sine filter: tell the unit, standstill identification only if it permits" : "edges slowed"),
                "catalogue");
        }

        list.Chosen("control.light-load-flux", "flux at light load",
            choice.LightLoadFlux == LightLoadFlux.Lowered && !source.Hangs ? "lowered" : "constant",
            source.Hangs ? "something hangs: the flux stays whole" : "as chosen");
        if (fitted is null)
        {
            list.Missing("thermal.model", "thermal model of the motor", string.Empty, "motor");
            return;
        }

        if (isGroup)
        {
            list.Follows("thermal.model", "thermal model of the motor", "off: each motor has its own protection", "several motors",
                "one model can't follow several motors", "docs/methods/motor-group.md");
        }
        else
        {
            list.Follows("thermal.model", "thermal model of the motor", fitted.Choice.Cooling == MotorCooling.OwnFan
                ? "own fan: less at low speed" : "full at any speed", "cooling of the motor",
                $"rise used to class {fitted.Choice.RiseUsed}; "
                    + $"{(fitted.Choice.Cooling == MotorCooling.OwnFan ? "IC 411" : "IC 416 or 410")}",
                "docs/methods/thermal-budget.md");
            list.Entered("thermal.current", "current of the thermal model", fitted.Connected.Plate.RatedCurrentA, "A",
                "rated current as linked");
            if (fitted.Choice.Cooling == MotorCooling.OwnFan)
            {
                list.Proposed("thermal.low-speed", "frequency below which the fan counts as standing", source.Usual.LowSpeedHz, "Hz",
                    "an own fan moves next to no air there");
            }
        }

        list.Chosen("thermal.sensor", "sensor in the winding", fitted.Choice.ThermistorTrips ? "thermistors, trip" : "none evaluated",
            "as chosen at the motor");
        list.Entered("thermal.stall", "stall time, warm", fitted.Connected.Plate.Limits.StallTimeS, "s",
            "stall time of the motor, as its maker states it");
    }
}
