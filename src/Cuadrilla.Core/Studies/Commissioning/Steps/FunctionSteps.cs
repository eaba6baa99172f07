using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Functions, one by one.</summary>
internal static class FunctionSteps
{
    private const string Turning = "Rotating parts: guards on, nobody near.";

    public static IEnumerable<SiteStep> Of(StepSource source)
    {
        if (source.Start is { Run: { End: Converters.Starting.StartEnd.Reached } run } start)
        {
            yield return Start(source, start, run.TimeS);
        }

        if (source.StopS is { } stop)
        {
            yield return Stop(source, stop);
        }

        yield return new()
        {
            Id = "emergency", Phase = SitePhase.Functions, Title = "Emergency stop and safe torque off",
            How = "Recorded as done by the person responsible for them, with name and date: every channel by itself. Cuadrilla designs "
                + "and proves no "
                + "safety function.",
            Caution = "What was safe on paper may not be at the machine.", Suspect = "a channel bridged during the works",
            RestsOn = [SiteAspect.Signals, SiteAspect.Unit],
        };
        if (source.Point.Brake is HoldingBrake.SpringApplied brake)
        {
            foreach (var step in BrakeSteps(source, brake))
            {
                yield return step;
            }
        }

        if (source.Parameters.Shaft is { } shaft)
        {
            yield return UnitLost(shaft);
        }

        if (source.Parameters.Follower is { } follower)
        {
            yield return Ratio(source, follower.Ratio);
        }

        if (source.Point.Load is PumpLoad)
        {
            yield return Rotations(source);
        }

        if (source.Point.Sun is null && source.LineCurrentA is { } spectrum)
        {
            yield return HarmonicStep.Of(source, spectrum);
        }

        if (source.DemandLimitPct is { } limit)
        {
            yield return HarmonicStep.Week(source, limit);
        }
    }

    private static SiteStep Start(StepSource source, Starting.StartCase start, double timeS) => new()
    {
        Id = "start", Phase = SitePhase.Functions, Title = $"Start: {start.Name}",
        How = "Record current and speed of a whole start, voltage at the bus before and in it.", Caution = Turning,
        Suspect = "too long: load, voltage, limit too low, per cent of the wrong current; too short: machine empty",
        Quantities =
        [
            DeadSteps.Quantity("seconds", "time to speed", "s", timeS,
                SiteWindow.Around(timeS, source.Rules.Site.StartTimePct, 2 * source.Rules.Site.StartTimePct),
                "docs/methods/starting.md"),
            DeadSteps.Quantity("amps", "largest line current", "A", start.PeakLineA,
                SiteWindow.Around(start.PeakLineA, source.Rules.Site.LoadedCurrentPct, 2.5 * source.Rules.Site.LoadedCurrentPct),
                "docs/methods/starting.md"),
            DeadSteps.Quantity("dip", "dip at the bus", "%", start.DipPct, SiteWindow.To(1.2 * start.DipPct, 1.5 * start.DipPct),
                "docs/methods/start-dip.md") with { IsNeeded = false },
        ],
        RestsOn = [SiteAspect.Plate, SiteAspect.Link, SiteAspect.Cable, SiteAspect.Unit, SiteAspect.Settings, SiteAspect.Load,
            SiteAspect.Supply], After = ["supply", "links"],
    };

    private static SiteStep Stop(StepSource source, double seconds) => new()
    {
        Id = "stop", Phase = SitePhase.Functions, Title = "Stop from rated speed", How = "Time from the command to rest.",
        Caution = Turning,
        Suspect = "too long: no chopper, resistor open, link control stretches it; too short: machine empty",
        Quantities = [DeadSteps.Quantity("seconds", "time to rest", "s", seconds,
            SiteWindow.Around(seconds, source.Rules.Site.StopPct, 2 * source.Rules.Site.StopPct), "docs/methods/braking.md")],
        RestsOn = [SiteAspect.Unit, SiteAspect.Settings, SiteAspect.Load, SiteAspect.Plate],
    };

    private static IEnumerable<SiteStep> BrakeSteps(StepSource source, HoldingBrake.SpringApplied brake)
    {
        var site = source.Rules.Site;
        SiteQuantity Time(string id, string name, Given ms) => DeadSteps.Quantity(id, name, "ms", ms,
            ms.IsKnown ? SiteWindow.Around(ms.Value, site.BrakePct, 2 * site.BrakePct) : null, "times of the brake, ±20 %");
        yield return new()
        {
            Id = "brake", Phase = SitePhase.Functions, Title = "Brake: release and close, both feedbacks",
            How = "Times from the command to the position, both ways; then each feedback taken off once: the unit must trip.",
            Caution = "The load drops when the brake opens without torque: unloaded first, nobody below.",
            Suspect = "suppression slower than specified, air gap, voltage at the coil",
            Quantities =
            [
                Time("release", "release", brake.ReleaseMs),
                Time("close", "close", brake.CloseMs.IsKnown && source.Brake?.SuppressionS is { } slow
                    ? brake.CloseMs.Value + (1e3 * slow)
                    : Given.Unknown),
                DeadSteps.Quantity("feedbacks", "feedbacks that trip when taken off", string.Empty,
                    (brake.Control.CommandFeedback ? 1 : 0) + (brake.Control.PositionFeedback ? 1 : 0),
                    SiteWindow.From((brake.Control.CommandFeedback ? 1 : 0) + (brake.Control.PositionFeedback ? 1 : 0)),
                    "as entered at the brake"),
            ],
            RestsOn = [SiteAspect.Brake, SiteAspect.Unit, SiteAspect.Settings, SiteAspect.Signals],
        };
        if (source.Parameters.Hangs)
        {
            yield return new()
            {
                Id = "brake-test", Phase = SitePhase.Functions, Title = "Brake: static test",
                How = $"{Text.N(site.BrakeTestPct)} % of the rated load held at rest for some minutes: no movement.",
                Caution = "Nobody below. A licensed person leads the test of a hoist; local rules decide.",
                Suspect = "oil or wear of the lining, spring",
                Quantities =
                [
                    DeadSteps.Quantity("load", "test load", "%", site.BrakeTestPct, SiteWindow.From(site.BrakeTestPct),
                        "of the rated load"),
                    DeadSteps.Quantity("moved", "movement", "mm", 0, SiteWindow.To(0), "none"),
                ],
                RestsOn = [SiteAspect.Brake, SiteAspect.Load], After = ["brake"],
            };
        }
    }

    private static SiteStep UnitLost(SharedShaft shaft) => new()
    {
        Id = "unit-lost", Phase = SitePhase.Functions, Title = "A unit of the shared shaft is lost",
        How = $"{shaft.Name}: switch one unit off under part load; the rest carries it as specified"
            + (shaft.RunOnS.IsKnown ? $" for {Text.N(shaft.RunOnS.Value)} s." : "."),
        Caution = Turning + " What hangs may drop: unloaded first.", Suspect = "torque limit of the rest, balance of the shares",
        RestsOn = [SiteAspect.Together, SiteAspect.Unit, SiteAspect.Settings, SiteAspect.Load],
    };

    private static SiteStep Ratio(StepSource source, RatioFollower ratio) => new()
    {
        Id = "ratio", Phase = SitePhase.Functions, Title = "Ratio against a counter",
        How = "Count what leader and follower move over the same time, at two speeds, with a counter or stroboscope.", Caution = Turning,
        Suspect = "implied decimals, pulses of a turn, setting at 0 or at its limit",
        Quantities =
        [
            DeadSteps.Quantity("leader", $"leader, {ratio.Leader.Unit}", string.Empty, Given.Unknown, null, "counter"),
            DeadSteps.Quantity("follower", $"follower, {ratio.Follower.Unit}", string.Empty, Given.Unknown, null, "counter"),
        ],
        RestsOn = [SiteAspect.Together],
        Together = reading =>
        {
            if (!ratio.WantedRatio.IsKnown || reading.Values["leader"] <= 0)
            {
                return new(Verdict.NeedsData, "missing: ratio wanted, units of the leader above 0");
            }

            var found = reading.Values["follower"] / reading.Values["leader"];
            return new(SiteWindow.Around(ratio.WantedRatio.Value, source.Rules.Site.RatioPct, 2 * source.Rules.Site.RatioPct).Judge(found),
                $"{Text.N(found, 5)}, {Text.N(ratio.WantedRatio.Value, 5)} wanted ±{Text.N(source.Rules.Site.RatioPct)} %");
        },
    };

    private static SiteStep Rotations(StepSource source) => new()
    {
        Id = "rotations", Phase = SitePhase.Functions, Title = "Better of both rotations, minimum speed",
        How = "Pressure or flow at the same speed, both ways, for seconds: a centrifugal pump lifts both ways, but one way more. Free the "
            + "reverse for it "
            + "and block it again.",
        Caution = Turning + " An impeller screwed on its shaft may come off in reverse: ask the maker first.",
        Suspect = "two leads swapped",
        Quantities =
        [
            DeadSteps.Quantity("forward", "pressure or flow forward", string.Empty, Given.Unknown, null, "gauge"),
            DeadSteps.Quantity("reverse", "pressure or flow in reverse", string.Empty, Given.Unknown, null, "gauge"),
            DeadSteps.Quantity("least", "speed from which it lifts", "rpm", Given.Unknown, null, "gauge") with { IsNeeded = false },
        ],
        RestsOn = [SiteAspect.Cable, SiteAspect.Load], After = ["direction"],
        Unmet = reading => Math.Max(reading.Values["forward"], reading.Values["reverse"]) > 0 ? null
            : "a pressure or flow above 0 in one direction: from rest, against an open valve",
        Together = reading => reading.Values["forward"] > reading.Values["reverse"]
            ? new(Verdict.Holds, "forward lifts more")
            : new(Verdict.Fails, "reverse lifts as much or more: swap two leads"),
    };
}
