using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Harmonics measured at the unit's line side beside those of the study.</summary>
internal static class HarmonicStep
{
    private static readonly int[] Orders = [5, 7, 11, 13];

    public static SiteStep Of(StepSource source, IReadOnlyList<double> spectrumA)
    {
        var site = source.Rules.Site;
        return new()
        {
            Id = "harmonics", Phase = SitePhase.Functions, Title = "Harmonics of the line current",
            How = "Class A instrument of IEC 61000-4-30 on the line side, at the state of the first scenario; background with the plant "
                + "off first. Records of a "
                + "week at the coupling are judged by their statistics on the Harmonics page's measured data.",
            Caution = "Clamps go on live conductors only by licensed persons.",
            Suspect = "other load than the study's, a bank near an order, a choke that is not fitted",
            Quantities =
            [
                DeadSteps.Quantity("h1", "fundamental", "A", spectrumA[0], null, "docs/methods/plant-harmonics.md"),
                .. Orders.Select(h => DeadSteps.Quantity($"h{h}", $"order {h}", "A", spectrumA[h - 1], null,
                    "docs/methods/plant-harmonics.md")),
                DeadSteps.Quantity("thd", "THDi", "%", source.ThdiPct ?? Given.Unknown, null,
                    "docs/methods/plant-harmonics.md") with { IsNeeded = false },
            ],
            RestsOn = [SiteAspect.Unit, SiteAspect.Load, SiteAspect.Supply, SiteAspect.Plate],
            Together = reading =>
            {
                // What is compared is each order over its fundamental: the load of the moment is not the study's.
                var scale = spectrumA[0] > 0 ? reading.Values["h1"] / spectrumA[0] : double.NaN;
                if (!(scale > 0))
                {
                    return new(Verdict.NeedsData, "a fundamental above 0");
                }

                var found = Orders.Select(h => (Order: h, Value: reading.Values[$"h{h}"], Wanted: spectrumA[h - 1] * scale)).ToList();
                Verdict Judged((int Order, double Value, double Wanted) o) => Math.Abs(o.Value - o.Wanted)
                    <= Math.Max(site.OrderPct / 100 * o.Wanted, site.OrderOfFundamentalPct / 100 * reading.Values["h1"]) * (1 + 1e-9)
                        ? Verdict.Holds
                    : o.Value < o.Wanted ? Verdict.Tight : Verdict.Fails;
                return new(found.Max(Judged), string.Join("; ",
                    found.Select(o => $"I{o.Order} {Text.N(o.Value, 3)} A, {Text.N(o.Wanted, 3)} expected at that load")));
            },
        };
    }

    /// <summary>A week at the coupling against the limit of the demand distortion; kept with the plant's largest drive.</summary>
    public static SiteStep Week(StepSource source, double limitPct)
    {
        var factors = source.Rules.Statistics;
        SiteQuantity Of(string id, string name, double factor) => DeadSteps.Quantity(id, name, "%", Given.Unknown,
            SiteWindow.To(factor * limitPct), "docs/methods/harmonic-statistics.md",
            $"{Text.N(factor)} · {Text.N(limitPct)} %, of the demand current");
        return new()
        {
            Id = "coupling-week", Phase = SitePhase.Functions, Title = "Demand distortion at the coupling over a week",
            How = "Class A instrument of IEC 61000-4-30 at the point of common coupling for a week of "
                + "usual work; background with the plant "
                + "off before. The record itself is read and judged on the Harmonics page, measured data.",
            Caution = "Clamps go on live conductors only by licensed persons.",
            Suspect = "another state of work than the study's, a bank near an order, what the network brings with it",
            Quantities =
            [
                Of("weekly95", "95th percentile of the week's 10 min values", factors.Weekly95),
                Of("weekly99", "99th percentile of the week's 10 min values", factors.CurrentWeekly99),
                Of("daily99", "99th percentile of the worst day's 3 s values", factors.CurrentDaily),
                DeadSteps.Quantity("background", "background with the plant off", "%", Given.Unknown, null, "the same instrument") with
                {
                    IsNeeded = false,
                },
            ],
            RestsOn = [SiteAspect.Supply, SiteAspect.Unit, SiteAspect.Load],
        };
    }
}
