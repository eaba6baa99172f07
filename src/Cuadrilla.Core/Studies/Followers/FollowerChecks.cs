using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Followers;

/// <summary><c>follower.setting</c>, <c>follower.limits</c> and <c>follower.flow</c> of each ratio follower, over all scenarios.</summary>
internal static class FollowerChecks
{
    private const string Source = "docs/methods/follower.md";

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies) => supply.Plant.Lineups
        .SelectMany(l => l.Arrangements).OfType<RatioFollower>()
        .SelectMany(r => Of(FollowerModel.Of(r, studies), supply));

    private static IEnumerable<Check> Of(FollowerModel model, SupplyContext supply)
    {
        IEnumerable<Check> checks = model.Missing.Count > 0
            ? new[] { ("follower.setting", "Setting of the ratio"), ("follower.limits", "Speeds of the follower") }
                .Select(c => Check.Lacking(c.Item1, string.Empty, BoardRow.Plant, $"{c.Item2}, {model.Ratio.Name}", model.Missing))
            : [Setting(model, supply), Limits(model, supply), .. Flow(model, supply)];
        return checks.Select(c => c.At(model.Ratio.Id));
    }

    private static Check Setting(FollowerModel model, SupplyContext supply)
    {
        var s = model.Setting!;
        var d = supply.Defaults.Lineups;
        (string Name, double Figure, double Limit, string Unit)[] parts =
        [
            ("size of the number", s.DisplaySetting < 1 ? double.PositiveInfinity : s.DisplaySetting, model.Input!.LargestSetting,
                string.Empty),
            ("rounding", Math.Abs(s.RoundingPct), d.FollowerRoundingPct, "%"),
            ("resolution of the pulses", s.ResolutionPct, d.FollowerResolutionPct, "%"),
        ];
        var worst = parts.MaxBy(p => p.Figure / p.Limit);
        return CheckWriter.Judged(
            "follower.setting", string.Empty, BoardRow.Plant, $"Setting of the ratio, {worst.Name}, {model.Ratio.Name}", worst.Figure,
            worst.Limit, worst.Unit, LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: more pulses per revolution, another scaling of the display, a longer sampling time, a higher minimum speed. The "
                + "ratio starts at 0: see the leader's pulses first, then set it.",
            new Reason(
                "setting = n_F·p_F/(n_L·p_L) as the display writes it; rounding, size and one pulse in the sampling time against what is "
                    + "permitted",
                $"ratio of the pulses {Text.N(s.PulseRatio, 6)}: enter {Text.N(s.DisplaySetting, 9)} ({model.Ratio.ImpliedDecimals} "
                    + $"implied decimals); rounding {Text.N(s.RoundingPct, 3)} % of {Text.N(d.FollowerRoundingPct)} %; one pulse is "
                    + $"{Text.N(s.ResolutionPct, 3)} % of the minimum speed, {Text.N(d.FollowerResolutionPct)} % permitted; largest "
                    + $"number {Text.N(model.Input!.LargestSetting, 9)}",
                Source,
                [
                    ReasonInput.Of("wanted ratio", model.Input.WantedRatio, $"{model.Ratio.Follower.Unit}/{model.Ratio.Leader.Unit}",
                        "follower"),
                    ReasonInput.Of("leader moves", model.Input.Leader.UnitsPerTurn, model.Ratio.Leader.Unit, "a turn of its motor"),
                    ReasonInput.Of("follower moves", model.Input.Follower.UnitsPerTurn, model.Ratio.Follower.Unit, "a turn of its motor"),
                ]));
    }

    // Speed is a measure of flow for what displaces, not for a centrifugal machine.
    private static IEnumerable<Check> Flow(FollowerModel model, SupplyContext supply)
    {
        if (model.FlowError is not { } error)
        {
            yield break;
        }

        yield return CheckWriter.Judged(
            "follower.flow", string.Empty, BoardRow.Plant, $"Flow of a centrifugal leader, {model.Ratio.Name}", error.ErrorPct,
            supply.Defaults.Lineups.FollowerRoundingPct, "%", LimitSense.AtMost,
            supply.Defaults.TightMarginPct, "Relief: follow the signal of a flow meter, or the leader's curve; a leader that displaces.",
            new Reason(
                "q(n) from a·n² − (a−1)·q² = s + (1−s)·q²; error = (n/n_max)/(q/q_max) − 1, largest over the leader's range",
                $"{model.LeaderTag} at {Text.N(error.SpeedRpm)} rpm: the share of the speed is {Text.N(error.ErrorPct, 3)} % off that of "
                    + $"the flow; permitted {Text.N(supply.Defaults.Lineups.FollowerRoundingPct)} %",
                Source + "; docs/methods/fluid-machine.md",
                [ReasonInput.Of("minimum speed of the leader", model.Input!.Leader.LeastRpm, "rpm", "follower"),
                    ReasonInput.Of("maximum speed", model.Input.Leader.LargestRpm, "rpm", "follower")]));
    }

    private static Check Limits(FollowerModel model, SupplyContext supply)
    {
        var s = model.Setting!;
        var input = model.Input!;
        var speeds = supply.Plant.Scenarios.Select(x => (x.Name, Rpm: model.LeaderRpmIn(x))).Where(x => x.Rpm is not null)
            .Select(x => (x.Name, Rpm: x.Rpm!.Value))
            .Append((Name: string.Empty, Rpm: input.Leader.LargestRpm)).Append((Name: string.Empty, Rpm: input.Leader.LeastRpm)).ToList();
        var cases = speeds.SelectMany(x => new (string Scenario, string What, double Pct)[]
        {
            (x.Name, "maximum speed", 100 * x.Rpm * s.SpeedRatio / input.Follower.LargestRpm),
            (x.Name, "minimum speed", input.Follower.LeastRpm <= 0
                ? 0
                : x.Rpm <= 0 ? double.PositiveInfinity : 100 * input.Follower.LeastRpm / (x.Rpm * s.SpeedRatio)),
            (x.Name, "pulse frequency", 100 * Math.Max(x.Rpm * input.Leader.PulsesPerTurn,
                x.Rpm * s.SpeedRatio * input.Follower.PulsesPerTurn) / 60 / input.InputLimitHz),
        }).ToList();
        var worst = cases.MaxBy(c => c.Pct);
        var ramp = model.Ramp is { } r
            ? r.MissingUnits > 0 ? $"; speeding up it needs {Text.N(r.ReachS, 3)} s and is {Text.N(r.MissingUnits, 3)} "
                + $"{model.Ratio.Follower.Unit} behind" : "; it keeps up while the leader speeds up"
            : string.Empty;
        return CheckWriter.Judged(
            "follower.limits", string.Empty, BoardRow.Plant, $"Speeds of the follower, {worst.What}, {model.Ratio.Name}", worst.Pct, 100,
            "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: another gear or displacement of the follower, a narrower range of the leader, an encoder with fewer pulses.",
            new Reason(
                "n_F = n_L·r·u_L/u_F within the follower's limits at every speed of the leader; pulses a second within the input's limit",
                $"{model.FollowerTag} turns {Text.N(s.FollowerAtLeastRpm)} to {Text.N(s.FollowerAtLargestRpm)} rpm while "
                    + $"{model.LeaderTag} turns {Text.N(input.Leader.LeastRpm)} to {Text.N(input.Leader.LargestRpm)} rpm; it may turn "
                    + $"{Text.N(input.Follower.LeastRpm)} to {Text.N(input.Follower.LargestRpm)} rpm; {Text.N(s.LargestPulseHz)} Hz of "
                    + $"{Text.N(input.InputLimitHz)} Hz{ramp}",
                Source,
                [.. speeds.Where(x => x.Name.Length > 0).Select(x =>
                    ReasonInput.Of($"{model.LeaderTag} in {x.Name}", x.Rpm, "rpm", "load"))]),
            worst.Scenario);
    }
}
