using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary><c>protection.device</c>, <c>protection.breaking-capacity</c> and <c>protection.selectivity</c> of a drive point's
/// device.</summary>
internal static class DeviceChecks
{
    // Ratio of ratings from which two gG fuses are selective (IEC 60269-2).
    private const double SelectivePu = 1.6;

    public static IEnumerable<Check> Of(FeedStudy feeder)
    {
        if (!feeder.HasFeeder)
        {
            yield break;
        }

        yield return Device(feeder);
        if (feeder.GatesOf(feeder.Chosen) is { } gates)
        {
            yield return Breaking(feeder, gates);
            if (Selectivity(feeder, gates) is { } selective)
            {
                yield return selective;
            }
        }
    }

    private static Check Device(FeedStudy feeder)
    {
        const string id = "protection.device";
        const string title = "Protective device";
        if (feeder.FeederCurrent is not { } current)
        {
            return Check.Lacking(id, feeder.CheckId, feeder.Row, title, feeder.FeederMissing);
        }

        if (feeder.GatesOf(feeder.Chosen) is not { } gates)
        {
            return Check.Lacking(id, feeder.CheckId, feeder.Row, title,
                [feeder.Proposed is { } proposed
                    ? $"protective device of the feeder; proposed: {DeviceWords.Of(proposed)}"
                    : "protective device of the feeder; nothing of the generic series fits"]);
        }

        var listedA = feeder.IsOnLine ? DeviceProposal.LargestForMotorA(feeder, feeder.Chosen) : feeder.ListedA;
        if (listedA is 0)
        {
            return Check.Lacking(id, feeder.CheckId, feeder.Row, title, ["fuses or breaker that the converter's maker lists"]);
        }

        var reason = new Reason(
            listedA is null
                ? "I_n ≥ I_B"
                : feeder.IsOnLine ? "I_B ≤ I_n ≤ largest that the code permits ahead of a motor"
                    : "I_B ≤ I_n ≤ largest that the converter's maker lists",
            $"{DeviceWords.Of(feeder.Chosen)}; I_B = {Text.N(current.CurrentA)} A: {current.Why}"
                + (listedA is { } most ? $"; {(feeder.IsOnLine ? "permitted" : "listed")} up to {Text.N(most)} A" : string.Empty),
            "IEC 60364-4-43, 433.1; IEC 61800-5-1 and the maker's list for converters; NFPA 70, 430.52 (verify)",
            [ReasonInput.Of("rated current of the device", gates.RatedA, "A", "drive point"),
                ReasonInput.Of("design current I_B", current.CurrentA, "A", current.Scenario.Length > 0 ? current.Scenario : "motor")]);
        var check = listedA is { } limit && gates.RatedA > limit
            ? CheckWriter.Judged(id, feeder.CheckId, feeder.Row, title + (feeder.IsOnLine ? ", largest permitted" : ", as listed"),
                gates.RatedA, limit, "A", LimitSense.AtMost, 0, string.Empty, reason, current.Scenario)
            : CheckWriter.Judged(id, feeder.CheckId, feeder.Row, title, current.CurrentA, gates.OverloadA, "A", LimitSense.AtMost, 0,
                string.Empty, reason, current.Scenario);
        return check.Verdict == Verdict.Fails
            ? check with { Relief = (feeder.Proposed is { } better ? $"Relief: {DeviceWords.Of(better)}. "
                : "Relief: another converter or starter. ") + ProtectionChecks.Caution }
            : check;
    }

    private static Check Breaking(FeedStudy feeder, DeviceGates gates)
    {
        const string id = "protection.breaking-capacity";
        const string title = "Breaking capacity";
        return feeder.Short is not { } fault || double.IsInfinity(fault.LargestA)
            ? Check.Lacking(id, feeder.CheckId, feeder.Row, title,
                [.. PlantNetwork.Missing(feeder.Supply.Plant).DefaultIfEmpty("fault level of the source")])
            : CheckWriter.Judged(
                id, feeder.CheckId, feeder.Row, title, fault.LargestA / 1e3, gates.BreakingKa, "kA", LimitSense.AtMost,
                feeder.Supply.Defaults.TightMarginPct,
                "Relief: a device that breaks more, a fuse ahead that its maker names. " + ProtectionChecks.Caution,
                new Reason(
                    "I_k″ with motors ≤ breaking capacity at the voltage",
                    $"{Text.N(fault.LargestA / 1e3)} kA at {feeder.Bus.Name}, peak {Text.N(fault.PeakA / 1e3)} kA, against "
                        + $"{Text.N(gates.BreakingKa)} kA",
                    "IEC 60909-0; IEC 60947-2, IEC 60269-1",
                    [ReasonInput.Of("part of motors", fault.MotorsA / 1e3, "kA", feeder.Bus.Name)]),
                fault.LargestScenario);
    }

    // Against the device of the plant cable that feeds the bus; without one there is nothing above to be kept.
    private static Check? Selectivity(FeedStudy feeder, DeviceGates gates)
    {
        var above = feeder.Supply.Plant.Distribution.Links.OfType<BusLink.Cable>()
            .Where(c => c.ToBusId == feeder.Bus.Id && c.Device is not ProtectiveDevice.NotChosen).OrderBy(c => c.Id, StringComparer.Ordinal)
            .FirstOrDefault();
        if (above is null || feeder.Short is not { } fault || double.IsInfinity(fault.LargestA))
        {
            return null;
        }

        const string title = "Selectivity";
        var toA = SelectiveToA(feeder.Chosen, gates, above.Device, feeder.GatesOf(above.Device)!);
        var whole = toA >= fault.LargestA;
        return CheckWriter.Rule(
            "protection.selectivity", feeder.CheckId, feeder.Row, title, whole ? Verdict.Holds : Verdict.Tight,
            $"Relief: a larger device at {above.Name}, a smaller one here. " + ProtectionChecks.Caution,
            new Reason(
                "fuses: ratio of ratings ≥ 1.6; breaker above: below its short-circuit release less its tolerance; fuse above a breaker: "
                    + "what the breaker lets through below the fuse's lower gate",
                $"{DeviceWords.Of(feeder.Chosen)} below {DeviceWords.Of(above.Device)} at {above.Name}: "
                    + $"{(double.IsPositiveInfinity(toA) ? "selective at every fault" : toA > 0 ? $"selective up to {Text.N(toA / 1e3)} kA" : "not selective")}, largest fault {Text.N(fault.LargestA / 1e3)} kA",
                "IEC 60269-2; IEC 60947-2, annex A; the makers' tables may show more", []),
            fault.LargestScenario);
    }

    /// <summary>Current up to which the device above stays, A.</summary>
    internal static double SelectiveToA(ProtectiveDevice below, DeviceGates belowGates, ProtectiveDevice above, DeviceGates aboveGates) =>
        (below, above) switch
    {
        (ProtectiveDevice.Fuse, ProtectiveDevice.Fuse) =>
            aboveGates.RatedA >= SelectivePu * belowGates.RatedA ? double.PositiveInfinity : 0,
        (_, ProtectiveDevice.CircuitBreaker or ProtectiveDevice.MotorBreaker) =>
            aboveGates.OverloadA > belowGates.OverloadA ? aboveGates.InstantFromA : 0,
        (ProtectiveDevice.CircuitBreaker or ProtectiveDevice.MotorBreaker, ProtectiveDevice.Fuse) =>
            aboveGates.Lasts() is { Count: > 0 } lasts && aboveGates.RatedA > belowGates.RatedA
            ? lasts.OrderBy(p => Math.Abs(Math.Log(p.TimeS / 0.02))).First().CurrentA
            : 0,
        _ => 0,
    };
}
