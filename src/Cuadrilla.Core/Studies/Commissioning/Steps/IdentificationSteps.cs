using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Steps by which a unit gets to know its motor. Each unlocks the next.</summary>
internal static class IdentificationSteps
{
    // Below this nothing is known of a direction.
    private const double LeastRpm = 1;

    // Star for delta, or the other way, is three times or a third; what is expected comes from the losses of the plate and may be off.
    private const double OtherLinkFactor = 2.4, FarFactor = 1.6;

    // Length, section and temperature of a cable together.
    private const double CablePu = 0.15;

    private static readonly SiteAspect[] Chain = [SiteAspect.Plate, SiteAspect.Link, SiteAspect.Filter, SiteAspect.Cable];

    public static IEnumerable<SiteStep> Of(StepSource source)
    {
        if (source.Model.Fitted is not { } fitted)
        {
            yield break;
        }

        var isOnLine = source.Point.Converter.IsOnLine();
        var expected = ExpectedMotor.Of(fitted.Connected, fitted.Losses);
        yield return Plate(source, fitted.Connected.Plate);
        yield return Resistances(source, expected);
        yield return Direction(source, isOnLine);
        if (isOnLine)
        {
            yield break;
        }

        if (expected is not null)
        {
            yield return Standstill(source, fitted.Connected.Plate, expected);
            yield return Rotating(source, fitted.Connected.Plate, expected);
        }

        if (fitted.Connected.Plate is { HasMagnets: true } plate)
        {
            yield return Magnets(source, plate);
        }

        if (fitted.Connected.Plate is { Technology: MotorTechnology.SynchronousReluctance } or { HasMagnets: true })
        {
            yield return Inductances(source, fitted.Connected.Plate);
        }

        foreach (var step in DynamicSteps.Of(source, Chain, Group(source)))
        {
            yield return step;
        }
    }

    private static string Group(StepSource source) =>
        source.IsGroup ? "several motors on one converter: scalar control, no model of one motor" : string.Empty;

    private static SiteStep Plate(StepSource source, MotorPlate plate)
    {
        SiteQuantity Of(string id, string name, string unit, double value, double pct = 1) =>
            DeadSteps.Quantity(id, name, unit, value, SiteWindow.Around(value, pct), "plate as linked");
        return new()
        {
            Id = "plate", Phase = SitePhase.Identification, Title = "Plate as entered in the unit",
            How = "Read the parameters back from the unit and compare with the motor's own plate, for the link that is made.",
            Suspect = "the other voltage of the plate, kW for hp, a digit turned round",
            Quantities =
            [
                Of("voltage", "rated voltage", "V", plate.RatedVoltageV), Of("current", "rated current", "A", plate.RatedCurrentA),
                Of("frequency", "rated frequency", "Hz", plate.RatedFrequencyHz),
                Of("speed", "rated speed", "rpm", plate.RatedSpeedRpm, 0.3),
                Of("power", "rated power", "kW", plate.RatedPowerW / 1e3),
            ],
            RestsOn = Chain, After = ["links"], Feeds = ["standstill", "rotating", "inertia", "speed-loop", "loaded"],
        };
    }

    private static SiteStep Resistances(StepSource source, ExpectedMotor? expected)
    {
        var site = source.Rules.Site;
        var cable = source.Model.Cable?.Real ?? 0;
        Given between = expected is null ? Given.Unknown : 2 * (expected.StatorOhm(20) + cable);
        SiteQuantity Of(string id, string name) => DeadSteps.Quantity(id, name, "Ω", between, null, "2·(R_s + R_cable) at 20 °C",
            expected is null ? string.Empty : $"winding {Text.N(expected.StatorOhm(20))} Ω, cable {Text.N(cable)} Ω a phase");
        return new()
        {
            Id = "resistances", Phase = SitePhase.Identification, Title = "Resistances between the leads",
            How = "Four-wire micro-ohmmeter at the unit's end of the cable, unit disconnected.",
            Caution = "Switch off, lock, prove absence of voltage. A direct current through a winding stores energy: let it die before "
                + "opening.",
            Suspect = "a joint with a high resistance in the lead that is common to the two larger ones; wrong link where all are off by 3",
            Quantities = [Of("uv", "U–V"), Of("vw", "V–W"), Of("wu", "W–U")],
            RestsOn = Chain, After = ["insulation"],
            Forbidden = source.Point.StepUp is null
                ? string.Empty
                : "direct current does not pass the transformer: measure at the motor's terminals",
            Together = reading =>
            {
                double[] all = [reading.Values["uv"], reading.Values["vw"], reading.Values["wu"]];
                var spread = all.Min() > 0 ? 100 * ((all.Max() / all.Min()) - 1) : double.PositiveInfinity;
                var verdict = SiteWindow.To(site.SpreadPct, site.SpreadTightPct).Judge(spread);

                // The two larger ones have a lead in common; the smallest is without it.
                var lead = "WUV"[Array.IndexOf(all, all.Min())];
                var text = $"{Text.N(all[0])}, {Text.N(all[1])}, {Text.N(all[2])} Ω: spread {Text.N(spread, 3)} %, at most "
                    + $"{Text.N(site.SpreadPct)} %" + (verdict == Verdict.Holds ? string.Empty : $"; the larger ones share lead {lead}");
                if (expected is null || source.IsGroup || !IsFar(all, 2 * expected.StatorOhm(20), 2 * cable, FarFactor))
                {
                    return new(verdict, text);
                }

                var isOther = IsFar(all, 2 * expected.StatorOhm(20), 2 * cable, OtherLinkFactor);
                return new(isOther ? Verdict.Fails : (Verdict)Math.Max((int)Verdict.Tight, (int)verdict), text
                    + $"; all far from {Text.N(between.Value)} Ω, "
                    + (isOther ? "as with the other link" : "by the link, or by what the plate says of the losses"));
            },
        };
    }

    // The link moves the windings alone; what the cable may be off by says nothing of it.
    private static bool IsFar(double[] all, double windingOhm, double cableOhm, double factor) =>
        all.Min() - cableOhm > factor * windingOhm && all.Min() - windingOhm - cableOhm > CablePu * cableOhm
        || all.Max() - cableOhm < windingOhm / factor && windingOhm + cableOhm - all.Max() > CablePu * cableOhm;

    private static SiteStep Direction(StepSource source, bool isOnLine) => new()
    {
        Id = "direction", Phase = SitePhase.Identification, Title = "Direction of rotation",
        How = isOnLine
            ? "A start broken off as soon as it turns, uncoupled where the machine must not turn backwards."
            : "Scalar control, 5 to 10 Hz, for seconds: forward command turns the machine forward."
                + (HasEncoder(source) ? " The speed read back is positive." : string.Empty),
        Caution = source.Parameters.Hangs
            ? "A load hangs: take it off, or hold it otherwise; stand clear. Rotating parts."
            : "Rotating parts: stand clear, guards on.",
        Suspect = HasEncoder(source) ? "two leads swapped; tracks of the encoder swapped" : "two leads swapped",
        Quantities =
        [
            DeadSteps.Quantity("rpm", "speed at the forward command, forward positive", "rpm", Given.Unknown, SiteWindow.From(LeastRpm),
                "counter with its sign; or seen") with { IsNeeded = false },
            .. HasEncoder(source)
                ? [DeadSteps.Quantity("encoder", "speed read back", "rpm", Given.Unknown, SiteWindow.From(LeastRpm), "the unit")
                    with { IsNeeded = false }]
                : Array.Empty<SiteQuantity>(),
        ],
        RestsOn = [SiteAspect.Cable, SiteAspect.Unit], After = ["supply", "insulation"],
        Together = reading =>
        {
            var isForward = !reading.Values.TryGetValue("rpm", out var rpm) || rpm >= LeastRpm;
            var isReadForward = !reading.Values.TryGetValue("encoder", out var encoder) || encoder >= LeastRpm;
            var text = string.Join("; ", new[] { reading.Values.ContainsKey("rpm") ? $"{Text.N(rpm)} rpm" : string.Empty,
                reading.Values.ContainsKey("encoder") ? $"read back {Text.N(encoder)} rpm" : string.Empty }.Where(t => t.Length > 0));
            return new(isForward && isReadForward ? Verdict.Holds : Verdict.Fails, text + (isForward && isReadForward ? ": forward"
                : !isForward ? ": not forward, two leads are swapped" : ": the encoder's sign is wrong"));
        },
    };

    private static SiteStep Standstill(StepSource source, MotorPlate plate, ExpectedMotor expected)
    {
        var rules = source.Rules.Identification;
        var cable = source.Model.Cable?.Real ?? 0;
        var stator = expected.StatorOhm(20) + cable;
        return new()
        {
            Id = "standstill", Phase = SitePhase.Identification, Title = "Identification at standstill",
            How = "The unit's own identification, motor cold, cable and filter as they stay. Tones are normal.",
            Caution = "The shaft may twitch: stand clear. Live parts behind the unit.",
            Suspect = "plate entered for the other link, a joint, cable longer than specified; the expected value is of the plate's "
                + "losses, the "
                + "maker's decides",
            Quantities =
            [
                DeadSteps.Quantity("ohm", "stator resistance with cable, a phase", "Ω", stator, null, "R_s(20 °C) + R_cable",
                    $"{Text.N(expected.StatorOhm(20))} + {Text.N(cable)} Ω"),
                DeadSteps.Quantity("winding", "winding temperature", "°C", 20, null, "thermometer"),
                DeadSteps.Quantity("leakage", "leakage, stator and rotor", "pu", expected.LeakagePu ?? Given.Unknown,
                    null, "of U_N/(√3·I_N)") with { IsNeeded = false },
            ],
            RestsOn = Chain, After = ["plate", "resistances", "direction"], Feeds = ["rotating", "inertia", "speed-loop", "loaded"],
            Forbidden = source.Point.StepUp is not null ? "direct current does not pass the transformer"
                : Group(source) is { Length: > 0 } group ? group : string.Empty,
            Together = reading =>
            {
                var found = rules.StatorOf(plate.RatedPowerW / 1e3, plate.RatedVoltageV, plate.RatedCurrentA, reading.Values["ohm"],
                    expected.Stator20Ohm, reading.Values["winding"], cable);
                var (verdict, text) = (Of(found.Verdict), $"{Text.N(reading.Values["ohm"] - cable)} Ω a phase without cable, "
                    + $"{Text.N(found.Expected)} Ω expected at that temperature: {Signed(found.DeviationPct)} %");
                if (reading.Values.TryGetValue("leakage", out var leakage) && expected.LeakagePu is { } wanted)
                {
                    var judged = SiteWindow.Around(wanted, source.Rules.Site.LeakagePct).Judge(leakage);
                    verdict = (Verdict)Math.Max((int)verdict, (int)(judged == Verdict.Fails ? Verdict.Tight : judged));
                    text += $"; leakage {Text.N(leakage, 3)} pu, {Text.N(wanted, 3)} expected";
                }

                return new(verdict, text);
            },
        };
    }

    private static SiteStep Rotating(StepSource source, MotorPlate plate, ExpectedMotor expected)
    {
        var reference = expected.IsNoLoadMeasured ? NoLoadReference.Measured : NoLoadReference.Estimated;
        return new()
        {
            Id = "rotating", Phase = SitePhase.Identification, Title = "Identification turning",
            How = "Uncoupled where that is possible; the unit runs up by itself.",
            Caution = "It runs up to rated speed by itself: machine free, guards on, nobody near.",
            Suspect = "load that could not be taken off; plate for the other link; trips at no load: repeat, a small load, a smaller unit",
            Quantities =
            [
                DeadSteps.Quantity("noLoad", "no-load current", "A", expected.NoLoadA, null,
                    expected.IsNoLoadMeasured ? "measured" : "estimated",
                    $"of the plate as linked at {Text.N(plate.RatedVoltageV)} V"),
            ],
            RestsOn = Chain, After = ["standstill"], Feeds = ["inertia", "speed-loop", "loaded"],
            Forbidden = source.Parameters.Hangs
                ? "something hangs on the shaft: standstill identification and the measured no-load current instead"
                : Group(source),
            Together = reading =>
            {
                if (plate.Poles is not (2 or 4 or 6 or 8))
                {
                    var judged = source.Rules.Identification.NoLoadEstimated;
                    return new(SiteWindow.Around(expected.NoLoadA, judged.HoldsPct, judged.TightPct).Judge(reading.Values["noLoad"]),
                        $"{Text.N(reading.Values["noLoad"])} A, {Text.N(expected.NoLoadA)} A expected");
                }

                var found = source.Rules.Identification.NoLoad(plate.Poles, plate.RatedPowerW / 1e3, plate.RatedCurrentA,
                    reading.Values["noLoad"], expected.NoLoadA, reference);
                return new(Of(found.Verdict), $"{Text.N(reading.Values["noLoad"])} A, {Text.N(found.Expected)} A expected: "
                    + $"{Signed(found.DeviationPct)} %; {Text.N(found.SizePu!.Value, 3)} of the rated current, "
                    + (found.Usual ? "usual" : "unusual for its poles"));
            },
        };
    }

    private static SiteStep Magnets(StepSource source, MotorPlate plate)
    {
        var site = source.Rules.Site;
        return new()
        {
            Id = "magnets", Phase = SitePhase.Identification, Title = "Magnets: offset and voltage",
            How = "Offset by the unit's identification; voltage between the open leads, turned at a known speed.",
            Caution = "There is voltage at the terminals as soon as the shaft turns, also with the unit off.",
            Suspect = "order of the phases, encoder moved on its shaft, warm or weakened magnets",
            Quantities =
            [
                DeadSteps.Quantity("rpm", "speed", "rpm", 1000, null, "counter"),
                DeadSteps.Quantity("volts", "voltage between two leads", "V",
                    plate.BackEmfVPerKrpm > 0 ? plate.BackEmfVPerKrpm : Given.Unknown,
                    null, "voltage of the magnets at 20 °C and 1000 rpm"),
                DeadSteps.Quantity("magnetC", "temperature of the rotor", "°C", 20, null, "thermometer"),
                DeadSteps.Quantity("offset", "change of the offset in two runs", "° el.", 0, null, "±5°") with { IsNeeded = false },
            ],
            RestsOn = Chain, After = ["plate", "direction"], Feeds = ["inertia", "speed-loop", "loaded"],
            Forbidden = Group(source),
            Together = reading =>
            {
                if (plate.BackEmfVPerKrpm <= 0 || reading.Values["rpm"] <= 0)
                {
                    return new(Verdict.NeedsData,
                        "missing: " + (plate.BackEmfVPerKrpm <= 0 ? "voltage of the magnets" : "a speed above 0"));
                }

                var wanted = plate.BackEmfVPerKrpm * reading.Values["rpm"] / 1000
                    * (1 + (site.MagnetPctPerK / 100 * (reading.Values["magnetC"] - 20)));
                var verdict = SiteWindow.Around(wanted, site.BackEmfPct).Judge(reading.Values["volts"]);
                if (reading.Values.TryGetValue("offset", out var offset))
                {
                    verdict = (Verdict)Math.Max((int)verdict, (int)SiteWindow.Within(0, site.OffsetDeg).Judge(offset));
                }

                return new(verdict, $"{Text.N(reading.Values["volts"])} V, {Text.N(wanted)} V expected ±{Text.N(site.BackEmfPct)} %");
            },
        };
    }

    private static SiteStep Inductances(StepSource source, MotorPlate plate)
    {
        Given saliency = plate.SaliencyPu is > 0 and < 1 ? 1 / plate.SaliencyPu : Given.Unknown;
        return new()
        {
            Id = "inductances", Phase = SitePhase.Identification, Title = "Inductances of both axes",
            How = "The unit's identification, at rated current where it asks; a map over the current where the unit makes one.",
            Caution = "The shaft may turn by a part of a pole: stand clear.",
            Suspect = "saturation at another current than the identified one; a rotor that turned during the test",
            Quantities =
            [
                DeadSteps.Quantity("ld", "inductance, d-axis", "mH", Given.Unknown, null, "the unit"),
                DeadSteps.Quantity("lq", "inductance, q-axis", "mH", Given.Unknown, null, "the unit"),
            ],
            RestsOn = Chain, After = ["plate", "direction"], Feeds = ["speed-loop", "loaded"],
            Forbidden = source.Point.StepUp is not null ? "a transformer lies between" : Group(source),
            Together = reading =>
            {
                var (ld, lq) = (reading.Values["ld"], reading.Values["lq"]);
                if (ld <= 0 || lq <= 0)
                {
                    return new(Verdict.NeedsData, "missing: inductances above 0");
                }

                // Of a motor with magnets the larger one is q; of a reluctance motor d. The plate tells how far apart they are.
                var ratio = Math.Max(ld, lq) / Math.Min(ld, lq);
                return saliency.IsKnown
                    ? new(SiteWindow.Around(saliency.Value, source.Rules.Site.SaliencyPct).Judge(ratio) == Verdict.Holds
                            ? Verdict.Holds
                            : Verdict.Tight,
                        $"{Text.N(ratio, 3)} between the axes, {Text.N(saliency.Value, 3)} of the motor's data "
                            + $"±{Text.N(source.Rules.Site.SaliencyPct)} %")
                    : new(Verdict.Tight, $"{Text.N(ratio, 3)} between the axes; nothing specified to hold it to");
            },
        };
    }

    internal static bool HasEncoder(StepSource source) => source.Model.Choice is { Control: MotorControl.VectorWithEncoder };

    internal static Verdict Of(WindowVerdict verdict) => verdict switch
    {
        WindowVerdict.Holds => Verdict.Holds,
        WindowVerdict.Tight => Verdict.Tight,
        _ => Verdict.Fails,
    };

    internal static string Signed(double percent) => (percent >= 0 ? "+" : "−") + Text.N(Math.Abs(percent), 3);
}
