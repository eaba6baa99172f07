using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Inertia, speed loop, skip bands.</summary>
internal static class DynamicSteps
{
    public static IEnumerable<SiteStep> Of(StepSource source, IReadOnlyList<SiteAspect> chain, string group)
    {
        var plate = source.Model.Fitted!.Connected.Plate;
        var load = source.Model.Load;
        Given whole = load is { InertiaKgM2.IsKnown: true } ? load.InertiaKgM2.Value + plate.InertiaKgM2 : Given.Unknown;
        var rests = chain.Append(SiteAspect.Load).ToList();
        var window = source.Rules.Identification.Inertia;
        yield return new()
        {
            Id = "inertia", Phase = SitePhase.Identification, Title = "Inertia and friction, coupled",
            How = "Two ramps between the same speeds, up and down: J = (T_up − T_down)/(2·dω/dt); friction is the rest.",
            Caution = "Rotating parts; the whole machine accelerates.",
            Suspect = "gear ratio, what was not coupled, belts that slip",
            Quantities =
            [
                DeadSteps.Quantity("up", "torque on the ramp up", "Nm", Given.Unknown, null, "the unit's display"),
                DeadSteps.Quantity("down", "torque on the ramp down, negative when braking", "Nm", Given.Unknown, null,
                    "the unit's display"),
                DeadSteps.Quantity("rpmPerS", "change of speed", "rpm/s", Given.Unknown, null, "the same on both ramps"),
            ],
            RestsOn = rests, After = ["plate", "direction"], Feeds = ["speed-loop"], Forbidden = group,
            Together = reading =>
            {
                var measured = (reading.Values["up"] - reading.Values["down"]) / (2 * reading.Values["rpmPerS"] * Math.PI / 30);
                if (!whole.IsKnown)
                {
                    return new(Verdict.NeedsData, $"{Text.N(measured)} kg·m²; missing: inertia of the machine");
                }

                var found = source.Rules.Identification.InertiaOf(measured, whole.Value);
                return measured > 0
                    ? new(IdentificationSteps.Of(found.Verdict), $"{Text.N(measured)} kg·m², {Text.N(whole.Value)} kg·m² expected: "
                        + $"{IdentificationSteps.Signed(found.DeviationPct)} %, ±{Text.N(window.HoldsPct)} expected")
                    : new(Verdict.Fails, $"{Text.N(measured)} kg·m²: torque or speed has the wrong sign");
            },
        };
        yield return Loop(source, whole, rests, group);
        yield return new()
        {
            Id = "skip-bands", Phase = SitePhase.Identification, Title = "Vibration over the speed range, skip bands",
            How = "Steps of 1 to 2 Hz from the least to the highest speed; note the largest value and where it is.",
            Caution = "Rotating parts.", Suspect = "a resonance of frame or foundation: a skip band there",
            Quantities = [Vibration(source),
                DeadSteps.Quantity("rpm", "speed of the largest value", "rpm", Given.Unknown, null, "counter") with { IsNeeded = false }],
            RestsOn = [SiteAspect.Load, SiteAspect.Plate], After = ["direction"], Unmet = NoVibration,
        };
    }

    internal static string? NoVibration(SiteReading reading) =>
        reading.Values["velocity"] > 0 ? null : "a velocity above 0: whatever turns vibrates";

    // Zones A/B, B/C and C/D of ISO 20816-3: to B/C holds, to C/D is tight.
    internal static SiteQuantity Vibration(StepSource source)
    {
        var kw = (source.Model.Fitted?.Item.Plate.RatedPowerW ?? 0) / 1e3;
        var zones = source.Rules.Site.VibrationMmPerS.First(z => kw <= z.ToKw);
        return DeadSteps.Quantity("velocity", "vibration velocity, rms", "mm/s", zones.GoodMmPerS,
            SiteWindow.To(zones.LongMmPerS, zones.ShortMmPerS), "ISO 20816-3, rigid support (verify)",
            $"new machines to {Text.N(zones.GoodMmPerS)} mm/s, for long to {Text.N(zones.LongMmPerS)} mm/s, never above "
                + $"{Text.N(zones.ShortMmPerS)} mm/s");
    }

    private static SiteStep Loop(StepSource source, Given whole, IReadOnlyList<SiteAspect> rests, string group)
    {
        var (least, most) = (source.Rules.Site.LoopLeastS, source.Rules.Site.LoopMostS);
        return new()
        {
            Id = "speed-loop", Phase = SitePhase.Identification, Title = "Speed loop",
            How = "Symmetrical optimum: T_i = 4·T_Σ, K_p = J/(2·T_Σ); a small step of the reference overshoots once and settles.",
            Caution = "Steps jerk the machine: small ones, nobody near.", Suspect = "elastic coupling, play, a noisy encoder",
            Quantities =
            [
                DeadSteps.Quantity("ti", "integral time", "ms", 4e3 * Math.Sqrt(least * most),
                    new SiteWindow(4e3 * least, 4e3 * most, 2e3 * least, 40e3 * most), "4·T_Σ, T_Σ 2 to 10 ms"),
                DeadSteps.Quantity("kp", "gain", "Nm·s/rad",
                    whole.IsKnown ? whole.Value / (2 * Math.Sqrt(least * most)) : Given.Unknown,
                    whole.IsKnown ? new SiteWindow(whole.Value / (2 * most), whole.Value / (2 * least), 0, whole.Value / least) : null,
                    "J/(2·T_Σ)") with { IsNeeded = whole.IsKnown },
            ],
            RestsOn = rests, After = ["inertia"], Forbidden = group,
        };
    }
}
