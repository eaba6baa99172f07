using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>
/// <c>motor.speed</c>, <c>motor.connection</c>, <c>motor.insulation</c>, <c>motor.explosion-protection</c>, <c>motor.bearings</c> and
/// <c>motor.technology-rule</c>.
/// </summary>
internal static class MotorRuleChecks
{
    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        yield return Judging.One("motor.speed", model.Id, BoardRow.Motor, "Motor, highest speed", () => Speed(model));
        yield return Judging.One("motor.skip-band", model.Id, BoardRow.Motor, "Motor, skipped speeds", () => SkipBandCheck.Of(model));
        yield return Judging.One("motor.connection", model.Id, BoardRow.Motor, "Motor, winding connection and base speed",
            () => Connection(model));
        yield return Judging.One("motor.insulation", model.Id, BoardRow.Motor, "Motor, peak voltage at the terminals",
            () => Insulation(model));
        yield return Judging.One("motor.explosion-protection", model.Id, BoardRow.Motor, "Motor, explosion protection",
            () => Explosion(model));
        yield return Judging.One("motor.bearings", model.Id, BoardRow.Motor, "Motor, bearing currents", () => BearingCheck.Of(model));
        yield return Judging.One("motor.technology-rule", model.Id, BoardRow.Motor, "Motor kind for this duty", () => Technology(model));
    }

    private static Check Speed(DrivePointModel point)
    {
        const string id = "motor.speed";
        const string title = "Motor, highest speed";
        if (point is not LoadedMotor model)
        {
            return Check.Lacking(id, point.Id, BoardRow.Motor, title, point.MissingForMotor());
        }

        var plate = model.Motor.Plate;
        var highest = model.Load.Cycle is not null ? model.Load.RatedSpeedRpm : model.SteadyPoints().Max(p => p.SpeedRpm);
        var mechanical = plate.MaxSpeedRpm;
        var defaults = model.Input.Defaults;

        // With magnets the terminals follow the speed: the converter's link must stand the voltage when control is lost.
        var linkV = defaults.Links.RatingV(model.Converter?.Item.RatedVoltageV ?? model.Input.BusVoltageV);
        var electrical = plate.BackEmfVPerKrpm > 0 ? linkV / Math.Sqrt(2) / plate.BackEmfVPerKrpm * 1000 : double.PositiveInfinity;
        var limit = Math.Min(mechanical, electrical);
        var reason = new Reason(
            plate.BackEmfVPerKrpm > 0 ? "n ≤ n_max and √2·k_E·n ≤ U_link,rated" : "n ≤ n_max",
            $"{Text.N(highest)} rpm against {Text.N(mechanical)} rpm (mechanical)"
                + (plate.BackEmfVPerKrpm > 0 ? $", {Text.N(electrical)} rpm ({Text.N(linkV)} V/(√2·{Text.N(plate.BackEmfVPerKrpm)} V per "
                + "1000 rpm))" : string.Empty),
            "Mechanical limit of the catalogue item; IEC TS 60034-25. Above rated speed shorten the lubrication interval, skip critical "
                + "speeds",
            [ReasonInput.Of("highest speed of the duty", highest, "rpm", "load"),
                ReasonInput.Of("base speed", model.Motor.BaseSpeedRpm, "rpm", "plate as linked")]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, title, highest, limit, "rpm", LimitSense.AtMost, 0, "Relief: another gear ratio, fewer poles.",
            reason);
    }

    /// <summary>The connection of the winding; on the line at the voltages of its bus.</summary>
    public static Check Connection(DrivePointModel point, BusVoltageRange? range = null)
    {
        const string id = "motor.connection";
        const string title = "Motor, winding connection and base speed";
        if (point is not LoadedMotor model)
        {
            return Check.Lacking(id, point.Id, BoardRow.Motor, title, point.MissingForMotor());
        }

        var connected = model.Connected;
        if (connected.Plate.Technology == MotorTechnology.DcSeparatelyExcited)
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title,
                "a DC motor has an armature and a field, no winding connection to choose");
        }

        var plate = connected.Plate;
        var winding = plate.DeltaVoltageV <= 0 ? "its only connection" : connected.IsDelta ? "delta" : "star";
        if (model.Starter is not null)
        {
            return OnLine(model, connected, winding, range);
        }

        // The winding connection decides here; what converter, filter and cable take off is the converter's check.
        var supply = model.Voltage.SupplyV;
        var basePu = new ConnectedMotor(plate, connected.IsDelta, connected.LinkedVoltageV, supply).BaseFrequencyPu;
        var baseRpm = plate.RatedSpeedRpm * basePu;
        var asked = model.Load.RatedSpeedRpm;
        var beyond = basePu > 1
            ? "; more than the plate's power at that speed, if bearings, balance and insulation allow it"
            : string.Empty;
        var reason = new Reason(
            "f_base = f_N·U_out/U_winding; star voltage = √3·delta voltage",
            $"{Text.N(plate.RatedFrequencyHz)} Hz·{Text.N(supply)}/{Text.N(connected.LinkedVoltageV)} = "
                + $"{Text.N(basePu * plate.RatedFrequencyHz)} Hz, connected in {winding}: constant torque to {Text.N(baseRpm)} rpm, asked "
                + $"to {Text.N(asked)} rpm{beyond}",
            "docs/methods/connection.md; a converter's output can't exceed its supply",
            [
                ReasonInput.Of("supply", supply, "V", "bus"),
                ReasonInput.Of("voltage of the winding", connected.LinkedVoltageV, "V", "motor plate"),
                ReasonInput.Of("line current as connected", plate.RatedCurrentA, "A", "motor plate"),
            ]);

        // Above the plate's own speed the flux is weakened anyway: the other checks judge that. Here a supply too low for the winding is
        // meant.
        return basePu >= 1
            ? CheckWriter.Rule(id, model.Id, BoardRow.Motor, title, Verdict.Holds, string.Empty, reason)
            : CheckWriter.Judged(
                id, model.Id, BoardRow.Motor, title, asked, baseRpm, "rpm", LimitSense.AtMost, 0,
                "Relief: the other winding connection of the plate, or a motor of the supply's voltage.", reason);
    }

    // On the line voltage over frequency is the flux: too much saturates the iron, too little takes the torque (IEC 60034-1, zones A and
    // B).
    private static Check OnLine(DrivePointModel model, ConnectedMotor connected, string winding, BusVoltageRange? range)
    {
        // Of the lowest and the highest voltage the one that is further off.
        var hertz = model.Input.FrequencyHz;
        double Flux(double pct) => pct * model.Input.BusVoltageV / connected.LinkedVoltageV / (hertz / connected.Plate.RatedFrequencyHz);
        var part = new[] { range?.LowestPct ?? 100, range?.HighestPct ?? 100 }.MaxBy(p => Math.Abs(Flux(p) - 100)) / 100;
        var volts = part * model.Input.BusVoltageV;
        var plate = connected.Plate;
        var fluxPct = 100 * volts / connected.LinkedVoltageV / (hertz / plate.RatedFrequencyHz);
        var high = fluxPct >= 100;
        return CheckWriter.Judged(
            "motor.connection", model.Id, BoardRow.Motor, "Motor, voltage over frequency on the line", fluxPct, high ? 110 : 90,
            "% of rated", high ? LimitSense.AtMost : LimitSense.AtLeast, high ? 4.5 : 5.5,
            "Relief: the other winding connection of the plate, or a motor for the plant's voltage and frequency.",
            new Reason(
                "(U/U_winding)/(f/f_N) between 90 and 110 %, tight beyond 95 to 105 %",
                $"({Text.N(volts)} V/{Text.N(connected.LinkedVoltageV)} V)/({Text.N(hertz)} Hz/{Text.N(plate.RatedFrequencyHz)} Hz) = "
                    + $"{Text.N(fluxPct)} %, connected in {winding}; it turns towards {Text.N(120 * hertz / plate.Poles)} rpm",
                "IEC 60034-1, zones A and B of voltage and frequency; docs/methods/connection.md",
                [ReasonInput.Of("line voltage", volts, "V", "bus"), ReasonInput.Of("line frequency", hertz, "Hz", "source"),
                    ReasonInput.Of("voltage of the winding", connected.LinkedVoltageV, "V", "motor plate")]));
    }

    private static Check Insulation(DrivePointModel model)
    {
        const string id = "motor.insulation";
        const string title = "Motor, peak voltage at the terminals";
        if (model.Starter is not null)
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title, "the motor runs on the line, on a sinusoidal voltage");
        }

        if (model.Converter is { Item.FrontEnd: FrontEnd.Thyristor })
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title, "thyristors switch at the line's own pace: no steep pulses");
        }

        var length = model.Input.DrivePoint.Cable.LengthM;
        if (model.Fitted is not { } motor || !length.IsKnown)
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title,
                new[] { model.Fitted is null ? "motor" : null, length.IsKnown ? null : "length of the motor cable" }.OfType<string>());
        }

        var defaults = model.Input.Defaults;
        var riseTime = model.Filter?.RiseTimeUs ?? defaults.RiseTimeUs;
        var critical = defaults.WaveSpeedMPerUs * riseTime / 2;
        var reflection = model.Filter is { Sinusoidal: true } ? 0 : Math.Min(1, length.Value / critical);
        var supply = model.Input.SupplyV(model.Converter?.Item);
        var (link, inService) = HighestLink(model, supply);
        var peak = link * (1 + (defaults.ReflectionPu * reflection));
        var withstand = Withstand(motor.Connected);
        var reason = new Reason(
            "U_peak = U_link,highest·(1 + Γ·min(1, l/l_cr)), l_cr = v·t_r/2",
            $"link {inService} {Text.N(link)} V·(1 + {Text.N(defaults.ReflectionPu)}·min(1, {Text.N(length.Value)}/{Text.N(critical)})) = "
                + $"{Text.N(peak)} V",
            "Reflected wave; IEC TS 60034-25, NEMA MG 1 part 31. Fast repetition can add to it",
            [
                ReasonInput.Of("cable length", length.Value, "m", "motor cable"),
                ReasonInput.Of("rise time", riseTime, "µs", model.Filter?.Name ?? "project default"),
                ReasonInput.Of("supply", supply, "V", "bus"),
                ReasonInput.Of("withstand of the winding", withstand is { } stands ? Text.N(stands) + " V" : "not stated",
                    motor.Item.Plate.Limits.WithstandV.IsKnown ? "motor" : "3.1·U_N of a motor made for converters"),
            ]);
        if (withstand is null && peak > defaults.UnstatedWithstandV)
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title,
                [$"peak voltage that the winding stands, at least {Text.N(peak)} V; any winding stands "
                    + $"{Text.N(defaults.UnstatedWithstandV)} V"]);
        }

        return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, title, peak, withstand ?? defaults.UnstatedWithstandV, "V", LimitSense.AtMost,
            defaults.TightMarginPct,
            "Relief: dv/dt filter, sine filter, reinforced insulation, a shorter cable.", reason);
    }

    // The maker's figure, else 3.1 times the rated voltage of a motor made for converters (NEMA MG 1 part 31); else nothing is known.
    private static double? Withstand(ConnectedMotor motor) =>
        motor.Plate.Limits is { WithstandV.IsKnown: true } stated
            ? stated.WithstandV.Value
            : motor.Plate.Limits.ForConverter ? 3.1 * motor.LinkedVoltageV : null;

    private static (double Volts, string What) HighestLink(DrivePointModel model, double supplyV)
    {
        var item = model.Converter?.Item;
        var links = model.Input.Defaults.Links;
        var diodes = Math.Sqrt(2) * links.LineHighPu * supplyV;
        var active = item?.FrontEnd is FrontEnd.Active ? Math.Sqrt(2) * links.HighestBoostPu * supplyV : 0;
        var chopper = model.Choice?.Braking is Braking.Resistor && item?.Brake is { } brake ? brake.ChopperV : 0;
        return new[] { (diodes, $"with the line {Text.N(100 * (links.LineHighPu - 1), 3)} % high"),
            (active, "held by the active front end"), (chopper, "while the chopper works") }.MaxBy(l => l.Item1);
    }

    private static Check Explosion(DrivePointModel model)
    {
        const string id = "motor.explosion-protection";
        const string title = "Motor, explosion protection";
        if (model.Fitted is not { Item: { } item, Choice: { } choice })
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title, ["motor"]);
        }

        var limits = item.Plate.Limits;
        if (limits.Explosion == ExplosionProtection.None)
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title, "no explosion protection stated: for safe areas only");
        }

        if (model.Starter is not null)
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title,
                "on the line its certificate stands as it is; trip times by the certificate");
        }

        List<string> missing = [];
        if (!limits.CertifiedForConverter)
        {
            missing.Add("certificate of the motor for operation on a converter, with its range of speed and torque");
        }

        if (!choice.ThermistorTrips)
        {
            missing.Add("thermistors in its winding that switch it off");
        }

        return missing.Count > 0
            ? Check.Lacking(id, model.Id, BoardRow.Motor, title, missing)
            : CheckWriter.Rule(
                id, model.Id, BoardRow.Motor, title, Verdict.Holds, string.Empty,
                new Reason(
                    "on a converter: certificate states it, thermistors trip",
                    "both stated; zone, temperature class and gas or dust group are for a licensed person to compare with the certificate",
                    "IEC 60079-14. Cuadrilla designs no safety function", []));
    }

    private static Check Technology(DrivePointModel model)
    {
        const string id = "motor.technology-rule";
        const string title = "Motor kind for this duty";
        if (model.Fitted?.Item is not { } item)
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title, ["motor"]);
        }

        var group = model.Input.DrivePoint.Load is RollerGroupLoad { Rollers: { IsKnown: true, Value: > 1 } };
        var (verdict, why, relief) = item.Technology switch
        {
            MotorTechnology.DcSeparatelyExcited => model.Converter is { Item.FrontEnd: not FrontEnd.Thyristor }
                ? (Verdict.Fails, "a DC motor needs a thyristor converter; the one chosen gives alternating current",
                    "Relief: a thyristor converter, an AC motor.")
                : (Verdict.Holds, "brushes and commutator wear and need their air clean; guard against loss of the field", string.Empty),
            not MotorTechnology.CageInduction when group =>
                (Verdict.Fails, "several motors on one converter: only cage induction motors under V/f control",
                    "Relief: cage induction motors."),
            MotorTechnology.PermanentMagnet or MotorTechnology.Servo => (
                Verdict.Holds, "magnets: voltage at the terminals whenever the shaft turns, converter off or not; lock the shaft "
                    + "before work", string.Empty),
            _ => (Verdict.Holds, "no rule against it", string.Empty),
        };
        return new Check(
            id, model.Id, BoardRow.Motor, title, verdict, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost,
            Given.Unknown, string.Empty, relief,
            new Reason("what each kind of motor can be used for", why, "docs/methods/motor-losses.md, technologies", []))
        { IsRule = true };
    }
}
