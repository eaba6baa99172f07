using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Runs without and with load.</summary>
internal static class LoadedSteps
{
    private const double UsualCoolantC = 40;
    private const string Turning = "Rotating parts: guards on, nobody near. Hot surfaces after a run.";
    private static readonly SiteAspect[] OfMotor = [SiteAspect.Plate, SiteAspect.Link, SiteAspect.Filter, SiteAspect.Cable];

    public static IEnumerable<SiteStep> Of(StepSource source)
    {
        if (source.Model.Fitted is not { } fitted)
        {
            yield break;
        }

        if (ExpectedMotor.Of(fitted.Connected, fitted.Losses) is { } expected)
        {
            yield return NoLoad(source, fitted.Connected.Plate, expected);
        }

        if (!source.Point.Converter.IsOnLine())
        {
            yield return Noise(source);
        }

        if (fitted.Item.Technology == MotorTechnology.CageInduction)
        {
            yield return Loaded(source, fitted.Losses);
        }

        yield return Rise(source, fitted);
        yield return Run(source);
        yield return Bearings(source);
        yield return new()
        {
            Id = "vibration", Phase = SitePhase.Loaded, Title = "Vibration at rated speed, loaded",
            How = "Velocity, rms, at both bearings.",
            Caution = Turning, Suspect = "alignment, foundation, balance; the same coasting: mechanical",
            Quantities = [DynamicSteps.Vibration(source), Speed(source)], RestsOn = [SiteAspect.Load, SiteAspect.Plate],
            Unmet = reading => DynamicSteps.NoVibration(reading) ?? NoSpeed(source, reading),
            Together = reading =>
            {
                var window = DynamicSteps.Vibration(source).Window!;
                return new(window.Judge(reading.Values["velocity"]), $"{Text.N(reading.Values["velocity"])} mm/s at "
                    + $"{Text.N(reading.Values["rpm"])} rpm, for long to {Text.N(window.Most)} mm/s");
            },
        };
    }

    private static double RatedRpm(StepSource source) =>
        source.Model.Load?.RatedSpeedRpm ?? source.Model.Fitted!.Connected.Plate.RatedSpeedRpm;

    private static SiteQuantity Speed(StepSource source) =>
        DeadSteps.Quantity("rpm", "speed of the run", "rpm", RatedRpm(source), null, "machine at its rated point");

    // Whatever stands still is cool and quiet.
    private static string? NoSpeed(StepSource source, SiteReading reading)
    {
        var least = (1 - (source.Rules.Site.AtSpeedPct / 100)) * RatedRpm(source);
        return Math.Abs(reading.Values["rpm"]) >= least ? null : $"a speed of {Text.N(least)} rpm or more: at rest nothing is to be seen";
    }

    private static SiteStep NoLoad(StepSource source, MotorPlate plate, ExpectedMotor expected)
    {
        var rules = source.Rules.Identification;
        var isOnLine = source.Point.Converter.IsOnLine();
        return new()
        {
            Id = "no-load", Phase = SitePhase.Uncoupled, Title = "No-load run",
            How = "Uncoupled at rated frequency; voltage, current, power. Wideband meters only behind a converter; name the instrument.",
            Caution = Turning,
            Suspect = "current off by √3: link; too high: voltage or plate; three unequal currents: a joint or a winding",
            Quantities =
            [
                DeadSteps.Quantity("volts", "voltage", "V", plate.RatedVoltageV, null, "at the motor's terminals"),
                DeadSteps.Quantity("amps", "current", "A", expected.NoLoadA, null,
                    expected.IsNoLoadMeasured ? "measured before" : "estimated",
                    $"at {Text.N(plate.RatedVoltageV)} V, in proportion to the voltage near it"),
                DeadSteps.Quantity("identified", "current that the unit identified", "A", Given.Unknown, null,
                    "the unit") with { IsNeeded = false },
            ],
            RestsOn = OfMotor, After = isOnLine ? ["links", "supply", "direction"] : ["direction"],
            Forbidden = source.Parameters.Hangs ? "something hangs on the shaft" : string.Empty,
            Together = reading =>
            {
                if (reading.Values["volts"] <= 0)
                {
                    return new(Verdict.NeedsData, "missing: a voltage above 0");
                }

                var wanted = expected.NoLoadA * reading.Values["volts"] / plate.RatedVoltageV;
                var window = expected.IsNoLoadMeasured ? rules.NoLoadMeasured : rules.NoLoadEstimated;
                var verdict = SiteWindow.Around(wanted, window.HoldsPct, window.TightPct).Judge(reading.Values["amps"]);
                var text = $"{Text.N(reading.Values["amps"])} A, {Text.N(wanted)} A "
                    + $"{(expected.IsNoLoadMeasured ? "measured before" : "estimated")} at "
                    + $"that voltage: {IdentificationSteps.Signed(100 * ((reading.Values["amps"] / wanted) - 1))} %";
                if (reading.Values.TryGetValue("identified", out var identified))
                {
                    // Identified at full flux; the run may be at less, where the unit saves it.
                    var there = identified * reading.Values["volts"] / plate.RatedVoltageV;
                    var deviation = 100 * ((there / reading.Values["amps"]) - 1);
                    verdict = (Verdict)Math.Max((int)verdict, (int)IdentificationSteps.Of(rules.NoLoadMeasured.Judge(deviation)));
                    text += $"; identified {Text.N(identified)} A, {Text.N(there)} A at that voltage: "
                        + $"{IdentificationSteps.Signed(deviation)} % "
                        + "against the measured";
                }

                return new(verdict, text);
            },
        };
    }

    private static SiteStep Noise(StepSource source) => new()
    {
        Id = "noise", Phase = SitePhase.Uncoupled, Title = "Noise under power and coasting",
        How = "Sound level at the loudest speed on the ramp up; then switch the output off at a higher speed and read at the same speed "
            + "coasting.",
        Caution = Turning + " Hearing protection above 85 dB(A).",
        Suspect = "silent when coasting: electrical, repeat the identification, move the switching frequency; stays: mechanical",
        Quantities =
        [
            DeadSteps.Quantity("ramp", "under power", "dB(A)", Given.Unknown, null, "sound level meter, 1 m"),
            DeadSteps.Quantity("coast", "coasting at that speed", "dB(A)", Given.Unknown, null, "sound level meter, 1 m"),
            DeadSteps.Quantity("rpm", "speed of both", "rpm", Given.Unknown, null, "counter"),
        ],
        Unmet = reading => reading.Values["rpm"] != 0 ? null : "a speed other than 0",
        RestsOn = [SiteAspect.Plate, SiteAspect.Unit, SiteAspect.Settings, SiteAspect.Filter], After = ["direction"],
        Forbidden = source.Parameters.Hangs ? "a hanging load must not coast" : string.Empty,
        Together = reading =>
        {
            var difference = reading.Values["ramp"] - reading.Values["coast"];
            return difference > source.Rules.Site.NoiseStepDb
                ? new(Verdict.Tight, $"{Text.N(difference, 3)} dB louder under power: electrical")
                : new(Verdict.Holds, $"{Text.N(difference, 3)} dB between both: what is heard is mechanical");
        },
    };

    private static SiteStep Loaded(StepSource source, MotorLossModel motor)
    {
        var site = source.Rules.Site;
        var rated = source.Model.Load?.At(1);
        var at = rated is { } p ? motor.At(Math.Abs(p.SpeedRpm), Math.Abs(p.TorqueNm), source.Model.Feed) : (MotorPoint?)null;
        return new()
        {
            Id = "loaded", Phase = SitePhase.Loaded, Title = "Loaded run",
            How = "At a steady point: frequency, voltage and torque as measured, then current, power, slip, power factor. Clamps read "
                + "wrong below "
                + "20 Hz; displays of units to ±5 to 10 %: name the instrument.",
            Caution = Turning, Suspect = "all too high: more load; current alone: voltage, link, identification; slip: rotor, plate",
            Quantities =
            [
                DeadSteps.Quantity("hz", "frequency", "Hz", at?.FrequencyHz ?? Given.Unknown, null, "at the rated point"),
                DeadSteps.Quantity("volts", "voltage at the motor", "V", at?.VoltageV ?? Given.Unknown, null, "at the rated point"),
                DeadSteps.Quantity("torque", "torque", "Nm", rated is { } r ? Math.Abs(r.TorqueNm) : Given.Unknown, null,
                    "machine at its rated point"),
                DeadSteps.Quantity("amps", "current", "A", at?.CurrentA ?? Given.Unknown, null, "motor at that point"),
                DeadSteps.Quantity("kw", "power into the motor", "kW", at is { } m ? m.InputW / 1e3 : Given.Unknown, null,
                    "motor at that point"),
                DeadSteps.Quantity("rpm", "speed", "rpm", Given.Unknown, null, "counter") with { IsNeeded = false },
            ],
            RestsOn = [.. OfMotor, SiteAspect.Load, SiteAspect.Unit, SiteAspect.Settings], After = source.Point.Converter.IsOnLine()
                ? ["links"]
                : ["plate"],
            Together = reading => LoadedRun.Judge(motor, reading.Values, site),
        };
    }

    private static SiteStep Rise(StepSource source, FittedMotor fitted)
    {
        var riseClass = fitted.Choice.RiseUsed == ThermalClass.B ? RiseClass.B : RiseClass.F;
        var kw = fitted.Item.Plate.RatedPowerW / 1e3;
        return new()
        {
            Id = "rise", Phase = SitePhase.Loaded, Title = "Rise of the winding by resistance",
            How = $"Resistance cold with its temperature, then after the run within {Text.N(source.Rules.Rise.DelayLimitS(kw))} s of "
                + "switching off, "
                + "same leads, same instrument.",
            Caution = "Switch off, lock, prove absence of voltage, wait for standstill: magnets and a turning load keep voltage on the "
                + "leads.",
            Suspect = "cooling air, a duty above the specified, unequal phases",
            Quantities =
            [
                DeadSteps.Quantity("coldOhm", "resistance cold", "Ω", Given.Unknown, null, "micro-ohmmeter"),
                DeadSteps.Quantity("coldC", "winding then", "°C", Given.Unknown, null, "thermometer"),
                DeadSteps.Quantity("hotOhm", "resistance after the run", "Ω", Given.Unknown, null, "micro-ohmmeter"),
                DeadSteps.Quantity("delayS", "time after switching off", "s", Given.Unknown, null, "watch"),
                DeadSteps.Quantity("ambientC", "coolant at the end", "°C", source.Model.Input.Site.AmbientMaxC, null, "thermometer"),
            ],
            RestsOn = [.. OfMotor, SiteAspect.Load, SiteAspect.Unit, SiteAspect.Settings],
            Together = reading =>
            {
                var hot = new WindingRise(reading.Values["coldOhm"], reading.Values["coldC"], WindingMaterial.Copper)
                    .TemperatureC(reading.Values["hotOhm"]);
                var coolant = reading.Values["ambientC"];
                if (hot <= coolant || reading.Values["coldOhm"] <= 0)
                {
                    return new(Verdict.NeedsData, "missing: a winding warmer than its coolant");
                }

                // Above 40 °C the permitted rise is less by what the coolant is warmer (IEC 60034-1).
                var found = source.Rules.Rise.Judge(hot, coolant, kw, riseClass, reading.Values["delayS"]);
                var permitted = found.LimitK - Math.Max(0, coolant - UsualCoolantC);
                return new(SiteWindow.To(permitted).Judge(found.RiseK) == Verdict.Fails ? Verdict.Fails
                    : found.DelayHolds ? Verdict.Holds : Verdict.Tight,
                    $"{Text.N(found.HotC)} °C, rise {Text.N(found.RiseK)} K, at most {Text.N(permitted)} K (class {riseClass})"
                        + (found.DelayHolds ? string.Empty : "; read too late: it was warmer"));
            },
        };
    }

    private static SiteStep Run(StepSource source) => new()
    {
        Id = "temperature-run", Phase = SitePhase.Loaded, Title = "Temperature run of the frame",
        How = "Frame and coolant each minute or so until within 1 K in half an hour, or long enough for the end to be seen.",
        Caution = Turning, Suspect = "does not settle: load or coolant change, cooling blocked",
        Quantities = [DeadSteps.Quantity("ambientC", "coolant", "°C", source.Model.Input.Site.AmbientMaxC, null, "thermometer")],
        RunUnit = "°C", RestsOn = [.. OfMotor, SiteAspect.Load, SiteAspect.Unit, SiteAspect.Settings],
        Together = reading =>
        {
            if (reading.Run.Count < EndTemperature.FewestPoints)
            {
                return new(Verdict.NeedsData, $"missing: {EndTemperature.FewestPoints} points or more");
            }

            var points = reading.Run.Select(p => new TemperaturePoint(p.TimeS, p.Value)).ToList();
            var ambient = reading.Values["ambientC"];
            if (points[^1].TemperatureC - ambient < source.Rules.Site.LeastRiseK)
            {
                return new(Verdict.NeedsData, $"missing: a frame {Text.N(source.Rules.Site.LeastRiseK)} K or more above its coolant");
            }

            return EndTemperature.IsStable(points)
                ? new(Verdict.Holds, $"stable at {Text.N(points[^1].TemperatureC)} °C, {Text.N(points[^1].TemperatureC - ambient)} K "
                    + "above the coolant")
                : EndTemperature.Of(points) is { } end
                    ? new(Verdict.Tight, $"will end at {Text.N(end.EndC)} °C, {Text.N(end.EndC - ambient)} K above the coolant; τ "
                        + $"{Text.N(end.TimeConstantS / 60, 3)} min, "
                        + $"{Text.N(100 * (points[^1].TemperatureC - ambient) / (end.EndC - ambient), 3)} % reached")
                    : new(Verdict.Tight, "no end is to be seen yet");
        },
    };

    private static SiteStep Bearings(StepSource source)
    {
        var site = source.Rules.Site;
        return new()
        {
            Id = "bearings", Phase = SitePhase.Loaded, Title = "Bearing temperature", How = "Both bearings, at the end of the run.",
            Caution = Turning,
            Suspect = "too much grease, alignment, current through the bearing",
            Quantities =
            [
                DeadSteps.Quantity("bearingC", "the warmer bearing", "°C", Given.Unknown, null, "practice (verify)",
                    $"to {Text.N(site.BearingC)} °C"),
                DeadSteps.Quantity("ambientC", "air", "°C", Given.Unknown, null, "thermometer"),
                Speed(source),
            ],
            RestsOn = [SiteAspect.Load, SiteAspect.Plate],
            Unmet = reading => NoSpeed(source, reading),
            Together = reading =>
            {
                var (hot, rise) = (reading.Values["bearingC"], reading.Values["bearingC"] - reading.Values["ambientC"]);
                var text = $"{Text.N(hot)} °C, {Text.N(rise)} K above the air; to {Text.N(site.BearingC)} °C and "
                    + $"{Text.N(site.BearingRiseK)} K";
                return new(hot <= site.BearingC && rise <= site.BearingRiseK ? Verdict.Holds
                    : hot <= site.BearingC || rise <= site.BearingRiseK ? Verdict.Tight : Verdict.Fails, text);
            },
        };
    }
}
