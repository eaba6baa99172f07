using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary><c>protection.start-passes</c>, <c>protection.stall</c> and <c>protection.coordination</c> of a motor on the line.</summary>
internal static class StartProtectionChecks
{
    private const double TightThyristorPu = 0.75;
    internal const double MostThyristorPu = 0.9;

    public static IEnumerable<Check> Of(FeederStudy feeder)
    {
        if (feeder is not { IsOnLine: true, HasFeeder: true } || feeder.GatesOf(feeder.Chosen) is not { } gates)
        {
            yield break;
        }

        yield return Passes(feeder, gates);
        if (Stall(feeder) is { } stall)
        {
            yield return stall;
        }

        yield return Coordination(feeder);
    }

    private static Check Passes(FeederStudy feeder, DeviceGates gates)
    {
        const string id = "protection.start-passes";
        const string title = "Start passes the protective device";
        if (feeder.Start?.Run is not { } run)
        {
            return Check.Lacking(id, feeder.Model.Id, BoardRow.Supply, title, ["a start that can be computed"]);
        }

        if (gates.StartMarginPu(run.Moments, feeder.InrushKappa, feeder.BeforeStartA) is not { } margin)
        {
            return Check.Lacking(id, feeder.Model.Id, BoardRow.Supply, title,
                ["current over time that the device surely carries: its maker's curve"]);
        }

        if (run.End != StartEnd.Reached)
        {
            return Stuck(feeder, gates, run);
        }

        var peakA = run.Moments.Max(m => m.State.LineCurrentA);
        return CheckWriter.Judged(
            id, feeder.Model.Id, BoardRow.Supply, title, 100 / margin, 100, "% of what it surely carries", LimitSense.AtMost,
            feeder.Supply.Defaults.TightMarginPct,
            (feeder.Proposed is { } better && better != feeder.Chosen
                ? $"Relief: {DeviceWords.Of(better)}, a softer start. "
                : "Relief: a softer start. ") + ProtectionChecks.Caution,
            new Reason(
                "fuse: rms of the start up to each moment ≤ lower gate at that time; breaker: heat of its class, and I_i ≥ 1.25·κ·I_start",
                $"{DeviceWords.Of(feeder.Chosen)}; start {Text.N(run.TimeS, 3)} s, largest {Text.N(peakA)} A, first crest κ = "
                    + $"{Text.N(feeder.InrushKappa, 3)}",
                "IEC 60269-1, gates; IEC 60947-2 and 60947-4-1",
                [ReasonInput.Of("largest current of the start", peakA, "A", "simulated start")]));
    }

    // A start that does not end passes no device: what draws so much for ever is cleared in the end.
    private static Check Stuck(FeederStudy feeder, DeviceGates gates, StartSimulation.Result run)
    {
        var currentA = run.Moments[^1].State.LineCurrentA;
        var clears = currentA > gates.ConventionalPu * gates.OverloadA;
        return clears
            ? CheckWriter.Rule(
                "protection.start-passes", feeder.Model.Id, BoardRow.Supply, "Start passes the protective device", Verdict.Fails,
                "Relief: let the start reach its speed first. " + ProtectionChecks.Caution,
                new Reason(
                    "a current that stays above the conventional operating current is cleared",
                    $"the start does not end: it goes on drawing {Text.N(currentA)} A, {DeviceWords.Of(feeder.Chosen)} clears from "
                        + $"{Text.N(gates.ConventionalPu * gates.OverloadA)} A within its conventional time",
                    "IEC 60269-1; IEC 60947-2", []))
            : Check.Lacking("protection.start-passes", feeder.Model.Id, BoardRow.Supply, "Start passes the protective device",
                ["a start that reaches its speed"]);
    }

    private static Check? Stall(FeederStudy feeder)
    {
        const string id = "protection.stall";
        const string title = "Locked rotor is cleared in time";
        if (feeder.Model is not DriveOnLine line)
        {
            return null;
        }

        if (!line.StallTimeS.IsKnown)
        {
            return Check.Lacking(id, feeder.Model.Id, BoardRow.Motor, title, ["stall time of the motor, warm, by its maker"]);
        }

        var trip = feeder.Chosen is ProtectiveDevice.MotorBreaker breaker ? breaker.Trip : line.Starter.Trip;
        var plate = line.Connected.Plate;
        var setA = feeder.Chosen is ProtectiveDevice.MotorBreaker set ? set.OverloadA : plate.RatedCurrentA;
        var lockedPu = plate.LockedRotorCurrentPu * plate.RatedCurrentA / setA;
        var runningPu = RunningA(feeder) / setA;
        var tripS = TripHeat.LongestTripS(lockedPu, runningPu, trip);
        return CheckWriter.Judged(
            id, feeder.Model.Id, BoardRow.Motor, title, tripS, line.StallTimeS.Value, "s", LimitSense.AtMost,
            feeder.Supply.Defaults.TightMarginPct,
            "Relief: a faster trip class that lets the start pass, thermistors, a speed monitor. " + ProtectionChecks.Caution,
            new Reason(
                "t = τ·ln((x² − x_0²)/(x² − 1.15²)) of the slowest relay of the class, warm ≤ stall time of the motor, warm",
                $"{Text.N(lockedPu, 3)} times the set current of {Text.N(setA)} A after {Text.N(runningPu, 3)} times in service: within "
                    + $"{Text.N(tripS, 3)} s", "IEC 60947-4-1; stall time by the motor's maker",
                [ReasonInput.Of("stall time, warm", line.StallTimeS.Value, "s", "motor")]));
    }

    /// <summary>Least current with which it runs in a scenario, A: the coolest image that a relay may have of it; 0 where it runs in
    /// none.</summary>
    internal static double RunningA(FeederStudy feeder) =>
        feeder.Supply.OnLineOf(feeder.Model.Id).Select(d => d.Drive.Point.Motor.CurrentA).DefaultIfEmpty(0).Min();

    /// <summary>Largest current with which it runs in a scenario, A; 0 where it runs in none.</summary>
    internal static double MostRunningA(FeederStudy feeder) =>
        feeder.Supply.OnLineOf(feeder.Model.Id).Select(d => d.Drive.Point.Motor.CurrentA).DefaultIfEmpty(0).Max();

    private static Check Coordination(FeederStudy feeder)
    {
        const string id = "protection.coordination";
        const string title = "Coordination";
        var wanted = feeder.Point.Devices.Coordination;
        var item = feeder.Model.Starter?.Item;
        if (wanted == CoordinationType.One)
        {
            return CheckWriter.Rule(
                id, feeder.Model.Id, BoardRow.Converter, $"{title}, type 1", Verdict.Holds, string.Empty,
                new Reason("a fault endangers nobody", "the starter may have to be replaced after a fault",
                    "IEC 60947-4-1, 8.2.5; IEC 60947-4-2", []));
        }

        if (item is null)
        {
            return Check.Lacking(id, feeder.Model.Id, BoardRow.Converter, $"{title}, type 2",
                ["the maker's table of tested contactors, relays and fuses for type 2"]);
        }

        if (feeder.Chosen is not ProtectiveDevice.SemiconductorFuse fuse)
        {
            return CheckWriter.Rule(
                id, feeder.Model.Id, BoardRow.Converter, $"{title}, type 2", Verdict.Fails,
                (feeder.Proposed is { } proposed ? $"Relief: {DeviceWords.Of(proposed)}. " : "Relief: fuses aR. ")
                    + ProtectionChecks.Caution,
                new Reason("thyristors survive a fault behind fuses aR only",
                    $"{DeviceWords.Of(feeder.Chosen)} lets through more than a thyristor stands", "IEC 60947-4-2", []));
        }

        return item.ThyristorA2s <= 0
            ? Check.Lacking(id, feeder.Model.Id, BoardRow.Converter, $"{title}, type 2", ["I²t of the soft starter's thyristors"])
            : CheckWriter.Judged(
                id, feeder.Model.Id, BoardRow.Converter, $"{title}, type 2", fuse.TotalA2s, MostThyristorPu * item.ThyristorA2s, "A²s",
                LimitSense.AtMost, 100 * (1 - (TightThyristorPu / MostThyristorPu)),
                "Relief: smaller fuses aR, a larger soft starter. " + ProtectionChecks.Caution,
                new Reason("total I²t of the fuse ≤ 0.9 of that of the thyristors, better 0.75",
                    $"{Text.N(fuse.TotalA2s)} A²s against {Text.N(item.ThyristorA2s)} A²s", "IEC 60947-4-2; IEC 60269-4", []));
    }
}
