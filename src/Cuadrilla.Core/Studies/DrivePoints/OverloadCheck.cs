using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>converter.overload</c>: the duty in time against the overload curve, its peak and its recovery.</summary>
internal static class OverloadCheck
{
    private const string Id = "converter.overload";
    private const string Title = "Converter overload";

    public static Check Of(DrivePointModel point)
    {
        if (point.Starter is not null)
        {
            return Check.NotConcerned(Id, point.Id, BoardRow.Converter, Title, "the motor runs on the line");
        }

        var missing = ConverterChecks.Missing(point);
        missing.AddRange(StartDemand.Missing(point));
        if (point is not LoadedMotor { Converter: { } converter } model || missing.Count > 0)
        {
            return Check.Lacking(Id, point.Id, BoardRow.Converter, Title, missing);
        }

        var continuous = converter.SiteCurrentA;
        var rating = converter.Overload;
        if (continuous <= 0)
        {
            return Check.Lacking(Id, model.Id, BoardRow.Converter, Title, ["a converter that may stand at this site"]);
        }

        var duty = CurrentDemand.InTime(model);
        var repeats = model.Load.Cycle is not null;
        var store = OverloadStore.Of(rating, continuous, duty, repeats);
        var peakA = duty.Max(d => d.CurrentA);
        var byHeat = !store.Recovers || store.LargestPct > store.PeakPct;
        var reason = new Reason(
            "I ≤ k_peak·I_c; ∫(I² − I_c²)dt ≤ (k² − 1)·I_c²·t_k, emptied within T − t_k at I ≤ I_c; the nearest is shown",
            $"I_c {Text.N(continuous)} A, k {Text.N(rating.CurrentPu)} for {Text.N(rating.TimeS)} s every {Text.N(rating.CycleS)} s, peak "
                + $"{Text.N(rating.PeakPu)}: largest current {Text.N(peakA)} A, {Text.N(store.PeakPct, 3)} % of the peak; heat "
                + $"{Text.N(store.LargestPct, 3)} % of what it stands"
                + (store.Recovers ? string.Empty : "; it does not recover from cycle to cycle"),
            "I²t with recovery, docs/methods/overload.md; overload curve of the catalogue item",
            [
                ReasonInput.Of("largest current", peakA, "A", repeats ? "motor model over the cycle" : "motor model along the start ramp"),
                repeats ? ReasonInput.Of("duration of the cycle", model.Load.Cycle!.DurationS, "s", "load")
                    : ReasonInput.Of("start time", model.Load.StartTimeS.Value, "s", "load"),
                ReasonInput.Of("continuous current at site", continuous, "A", "converter.continuous"),
            ]);
        return CheckWriter.Judged(
            Id, model.Id, BoardRow.Converter, Title + (byHeat ? ", I²t with recovery" : ", peak current"), store.Recovers
                ? Math.Max(store.LargestPct, store.PeakPct)
                : Math.Max(store.LargestPct, 101), 100, "%",
            LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            repeats ? "Relief: gentler acceleration, longer pauses, a larger size."
                : "Relief: a longer start time, the heavy overload rating of a larger size.", reason);
    }
}
