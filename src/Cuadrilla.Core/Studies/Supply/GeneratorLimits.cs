using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a generator stands beside its rating: leading reactive power (<c>supply.generator-reactive</c>), power that comes back
/// (<c>supply.generator-regeneration</c>), unbalance (<c>supply.generator-unbalance</c>).</summary>
internal static class GeneratorLimits
{
    // Taken where the maker states nothing: the least of practice, and up to where practice goes (verify).
    private const double LeastLeadingPct = 10;
    private const double MostLeadingPct = 20;
    private const double LeastReturnedPct = 10;
    private const double MostReturnedPct = 15;
    private const double LeastNegativePct = 5;
    private const double MostNegativePct = 8;
    private const double LeastDistortionPct = 8;
    private const double MostDistortionPct = 10;

    private const string Ask = "Relief: ask the generator's maker for what it stands";

    public static IEnumerable<Check> Of(SupplyContext supply, SourceStrength.Generator generator,
        IReadOnlyList<(ScenarioResult Scenario, Complex Va)> powers)
    {
        var kva = generator.TotalKva();
        var (leadingAt, leadingVa) = powers.MinBy(p => p.Va.Imaginary);
        yield return Judged(
            supply, "supply.generator-reactive", "Leading reactive power on the generator",
            100 * Math.Max(0, -leadingVa.Imaginary) / 1e3 / kva,
            generator.LeadingPct, (LeastLeadingPct, MostLeadingPct), leadingAt.ScenarioName,
            $"{Text.N(Math.Abs(leadingVa.Imaginary) / 1e3)} kvar {(leadingVa.Imaginary < 0 ? "leading" : "lagging, the least of all scenarios,")} of {Text.N(kva)} kVA", "−ΣQ/S_N, capacitors and filters with it",
            "; switch off capacitor banks and passive filters at little load: it loses its voltage control.");
        if (generator.RatedKw.IsKnown)
        {
            var (backAt, backVa) = powers.MinBy(p => p.Va.Real);
            var cycles = supply.Plant.AllDrivePoints().Any(p => p.Load is Loads.HoistLoad or Loads.ProfileLoad or Loads.ServoAxisLoad);
            var check = Judged(
                supply, "supply.generator-regeneration", "Power back into the engine",
                100 * Math.Max(0, -backVa.Real) / 1e3 / generator.TotalKw(),
                generator.ReturnedPct, (LeastReturnedPct, MostReturnedPct), backAt.ScenarioName,
                $"{Text.N(backVa.Real / 1e3)} kW, least of all scenarios, of {Text.N(generator.TotalKw())} kW", "−ΣP/P_N",
                "; burn what comes back in resistors, or keep a load bank on: the engine overspeeds.");
            yield return cycles && supply.Scenarios.Any(s => s.Drives.Any(d => d.Item?.FrontEnd.ReturnsToLine == true))
                ? check.AtBestTight("drives with cycles return power for moments, which the scenario's mean does not show",
                    "Relief: resistors on the generator, or no lowering and braking meanwhile.")
                : check;
        }

        if (Distortion(supply) is { } distortion)
        {
            yield return distortion;
        }

        var (negativeAt, negativePct) = supply.Scenarios.Select(s => (s, Pct: NegativePct(s, supply, generator))).MaxBy(s => s.Pct);
        yield return Judged(
            supply, "supply.generator-unbalance", "Unbalance of the generator", negativePct, generator.NegativeCurrentPct,
            (LeastNegativePct, MostNegativePct), negativeAt.ScenarioName, $"I2 = {Text.N(negativePct, 3)} % of its rated current",
            "|I_A + a²·I_B + a·I_C|/3 over I_N", "; spread single-phase loads over the phases.");
    }

    // At its own terminals, with (X″d + X2)/2; no public code has a say there.
    private static Check? Distortion(SupplyContext supply)
    {
        const string id = "supply.generator-distortion", title = "Distortion on the generator";
        var unsettled = supply.Scenarios.SelectMany(s => s.Unsettled).Distinct(StringComparer.Ordinal).ToList();
        if (unsettled.Count > 0)
        {
            return Check.Lacking(id, string.Empty, BoardRow.Plant, title, unsettled);
        }

        var busId = supply.Plant.Source.BusId;
        var found = supply.Scenarios.Select(s => (s.ScenarioName, Bus: s.Buses.FirstOrDefault(b => b.BusId == busId)))
            .Where(b => b.Bus is not null)
            .ToList();
        if (found.Count == 0)
        {
            return null;
        }

        var (name, bus) = found.MaxBy(b => b.Bus!.TotalThdvPct);
        return Judged(supply, id, title, bus!.TotalThdvPct, Base.Given.Unknown, (LeastDistortionPct, MostDistortionPct), name,
            $"THDv {Text.N(bus.TotalThdvPct, 3)} % at {supply.Plant.Distribution.Bus(busId).Name}",
            "THDv behind (X″d + X2)/2, all orders solved",
            "; chokes, active front ends or a filter, a larger set; less of what distorts.");
    }

    // Of the fundamental currents of the three phases at its bus.
    private static double NegativePct(ScenarioResult scenario, SupplyContext supply, SourceStrength.Generator generator)
    {
        if (scenario.PccPhases.Count < 3)
        {
            return 0;
        }

        var a = Complex.FromPolarCoordinates(1, 2 * Math.PI / 3);
        Complex Phase(int k) => scenario.PccPhases[k].CurrentA[0];
        var negative = (Phase(0) + (a * a * Phase(1)) + (a * Phase(2))) / 3;
        var volts = supply.Plant.Distribution.Bus(supply.Plant.Source.BusId).NominalVoltageV;
        return 100 * negative.Magnitude / (1e3 * generator.TotalKva() / (Math.Sqrt(3) * volts));
    }

    // What its maker states is the limit; otherwise the least of practice holds, up to its most is tight, beyond fails.
    private static Check Judged(SupplyContext supply, string id, string title, double pct, Given stated,
        (double Least, double Most) practice,
        string scenario, string numbers, string formula, string relief)
    {
        var limit = stated.IsKnown ? stated.Value : practice.Most;
        var said = stated.IsKnown ? $"{Text.N(limit)} % by its maker"
            : $"{Text.N(practice.Least)} % taken, up to {Text.N(practice.Most)} % are usual: its maker states none here";
        var check = CheckWriter.Judged(id, string.Empty, BoardRow.Plant, title, pct, limit, "%", LimitSense.AtMost,
            stated.IsKnown ? supply.Defaults.TightMarginPct : 0, Ask + relief,
            new Reason(formula, $"{numbers}; {said}", "Practice of makers (verify); ISO 8528; docs/methods/generator.md", []), scenario);
        return !stated.IsKnown && pct > practice.Least ? check.AtBestTight("more than the least of practice", Ask + relief) : check;
    }
}
