using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>What the solved current of a converter on two conductors does to its link and its diodes: <c>single-phase.ripple</c>,
/// <c>single-phase.diode-current</c>.</summary>
internal static class TwoConductorChecks
{
    public const string RippleId = "single-phase.ripple";
    private const string RippleTitle = "Ripple of the link on two conductors";
    private const string DiodeId = "single-phase.diode-current";
    private const string DiodeTitle = "Diodes on two conductors";

    // Peak to peak over the mean, of a link that is made for three phases and has a third of the capacitance that two ask: practice
    // (verify).
    private const double RipplePct = 15;
    private const double TightPct = 33;

    // What is made for two conductors is made for the ripple that it has at its rated power on a clean supply, and a fifth more on what
    // supplies are (verify).
    private const double SamePu = 1.2;

    public static IEnumerable<Check> Of(DrivePointModel point, SupplyContext supply, Bus bus)
    {
        if (point.TwoConductorV is null || point.Input.HasNoLine)
        {
            yield break;
        }

        var isThree = point.WholeItem!.FrontEnd is not FrontEnd.SinglePhase;
        var draws = supply.DrivesOf(point.Id).Select(d => (d.Scenario, Front: d.Drive.Front as RectifierResult.SteadyState))
            .Where(d => d.Front is not null).Select(d => (d.Scenario, Front: d.Front!)).ToList();
        if (point is not DriveOnConverter model || draws.Count == 0)
        {
            List<string> missing = [.. point.Missing()];
            if (missing.Count == 0)
            {
                missing = [.. supply.Scenarios.SelectMany(s => s.Unsettled).Distinct(StringComparer.Ordinal)
                    .DefaultIfEmpty("a scenario in which it runs")];
            }

            yield return Check.Lacking(RippleId, point.Id, BoardRow.Converter, RippleTitle, missing);
            if (isThree)
            {
                yield return Check.Lacking(DiodeId, point.Id, BoardRow.Converter, DiodeTitle, missing);
            }

            yield break;
        }

        var (scenario, front) = draws.MaxBy(d => d.Front.DcVoltageRipplePkPkV / d.Front.DcVoltageMeanV);
        var phase = front.PhaseA;
        double? own = !isThree && RatedFront.Of(model, scenario.Network, bus.Id)?.Draw is RectifierResult.SteadyState rated
            ? SamePu * 100 * rated.DcVoltageRipplePkPkV / rated.DcVoltageMeanV : null;
        yield return CheckWriter.Judged(
            RippleId, point.Id, BoardRow.Converter, RippleTitle, 100 * front.DcVoltageRipplePkPkV / front.DcVoltageMeanV,
            own ?? RipplePct, "%",
            LimitSense.AtMost, own is null ? TightPct : 0,
            isThree ? "Relief: a larger unit, whose link is larger; a choke; a unit made for two conductors."
                : "Relief: a larger unit, less load.",
            new Reason(
                "peak to peak over the mean of the solved link, at twice the line frequency; "
                    + (own is null ? "at most 15 % of a link made for three phases"
                    : "at most 1.2 times that of the unit at its rated power on a clean supply"),
                $"{Text.N(front.DcVoltageRipplePkPkV, 3)} V on {Text.N(front.DcVoltageMeanV)} V; input {Text.N(phase.RmsA, 3)} A, crest "
                    + $"{Text.N(phase.PeakA / phase.RmsA, 3)}, third {Text.N(100 * phase.Orders[2].Magnitude / phase.FundamentalA, 3)} %, "
                    + $"power factor {Text.N(phase.TruePowerFactor, 2)}",
                "docs/methods/rectifier.md, one-phase.md; limit from practice (verify)", []), scenario.ScenarioName);
        if (!isThree)
        {
            yield break;
        }

        var (worst, loaded) = draws.MaxBy(d => d.Front.PhaseA.RmsA);
        if (RatedFront.ThreePhaseA(model, worst.Network, bus.Id) is not { } ratedA)
        {
            yield return Check.Lacking(DiodeId, point.Id, BoardRow.Converter, DiodeTitle,
                ["a rated input current: at its rated power on three phases its current does not repeat itself here"]);
            yield break;
        }

        yield return CheckWriter.Judged(
            DiodeId, point.Id, BoardRow.Converter, DiodeTitle, loaded.PhaseA.RmsA / Math.Sqrt(2), ratedA / Math.Sqrt(2), "A",
            LimitSense.AtMost,
            supply.Defaults.TightMarginPct, "Relief: a larger unit, a choke, or a unit made for two conductors.",
            new Reason("rms of a diode, I/√2 of its conductor, on two conductors ≤ that at rated power on three",
                $"{Text.N(loaded.PhaseA.RmsA, 3)} A in two conductors, {Text.N(ratedA, 3)} A in three at rated power",
                "docs/methods/one-phase.md", []),
            worst.ScenarioName);
    }
}
