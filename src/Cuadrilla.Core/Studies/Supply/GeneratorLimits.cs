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
            $"{Text.N(Math.Abs(leadingVa.Imaginary) / 1e3)} kvar "
                + $"{(leadingVa.Imaginary < 0 ? "leading" : "lagging, the least of all scenarios,")} of {Text.N(kva)} kVA",
            "−ΣQ/S_N, capacitors and filters with it",
            "; switch off capacitor banks and passive filters at little load: it loses its voltage control.");
        if (generator.RatedKw.IsKnown)
        {
            var (backAt, backVa) = powers.MinBy(p => p.Va.Real);
            var check = Judged(
                supply, "supply.generator-regeneration", "Power back into the engine",
                100 * Math.Max(0, -backVa.Real) / 1e3 / generator.TotalKw(),
                generator.ReturnedPct, (LeastReturnedPct, MostReturnedPct), backAt.ScenarioName,
                $"{Text.N(backVa.Real / 1e3)} kW, least of all scenarios, of {Text.N(generator.TotalKw())} kW", "−ΣP/P_N",
                "; burn what comes back in resistors, or keep a load bank on: the engine overspeeds.");
            yield return ReturnsForMoments(supply)
                ? check.AtBestTight("drives that brake to the line return power for moments, which the scenario's mean does not show",
                    "Relief: resistors on the generator, or no lowering and braking meanwhile.")
                : check;
        }

        if (Distortion(supply) is { } distortion)
        {
            yield return distortion;
        }

        yield return Unbalance(supply, generator);
    }

    // Whatever lowers, slows down or unwinds through a front end that returns power; a fan or pump that is not braked does not.
    private static bool ReturnsForMoments(SupplyContext supply)
    {
        var points = supply.Plant.AllDrivePoints().ToDictionary(p => p.Id, StringComparer.Ordinal);
        return supply.Scenarios.SelectMany(s => s.Drives).Where(d => d.Item?.FrontEnd.ReturnsToLine == true)
            .Any(d => !points.TryGetValue(d.DrivePointId, out var point) || point.Load is not Loads.FluidLoad
                || point.Converter is Converters.ConverterChoice.FromCatalogue { Braking: Converters.Stopping.Braking.ToLine });
    }

    private static Check Unbalance(SupplyContext supply, SourceStrength.Generator generator)
    {
        const string id = "supply.generator-unbalance", title = "Unbalance of the generator";
        List<string> open = [.. Groups(supply).Where(g => !g.UnevenPct.IsKnown)
            .Select(g => $"by how much the fullest phase of {g.Name} exceeds the mean")];
        if (open.Count > 0)
        {
            return Check.Lacking(id, string.Empty, BoardRow.Plant, title, open);
        }

        var (worst, pct) = supply.Scenarios.Select(s => (s, Pct: NegativePct(s, supply, generator))).MaxBy(s => s.Pct);
        return Judged(
            supply, id, title, pct, generator.NegativeCurrentPct, (LeastNegativePct, MostNegativePct), worst.ScenarioName,
            $"I2 = {Text.N(pct, 3)} % of its rated current",
            "|I_A + a²·I_B + a·I_C|/3 of what is solved, and a third of the uneven part of each single-phase group beside it, over I_N",
            "; spread single-phase loads over the phases.");
    }

    private static IEnumerable<BusLoad.SinglePhaseGroup> Groups(SupplyContext supply) =>
        supply.Plant.Distribution.Loads.OfType<BusLoad.SinglePhaseGroup>()
            .Where(g => supply.Scenarios.Any(s => s.Network.IsLive(g.BusId) && LevelOf(g, s, supply) > 0));

    private static double LevelOf(BusLoad.SinglePhaseGroup group, ScenarioResult result, SupplyContext supply) =>
        supply.Plant.Scenarios.First(s => s.Id == result.ScenarioId).LoadLevelPuOf(group.Id);

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

    // Of the fundamental currents of the three phases at its bus; groups are loads of three equal phases there, so that their own comes to
    // it, at worst in phase.
    private static double NegativePct(ScenarioResult scenario, SupplyContext supply, SourceStrength.Generator generator)
    {
        var ratedVa = 1e3 * generator.TotalKva();
        var groups = Groups(supply).Where(g => scenario.Network.IsLive(g.BusId))
            .Sum(g => NeutralCurrent.NegativePu(g.UnevenPct.Value / 100) * g.PowerVa().Magnitude * LevelOf(g, scenario, supply));
        if (scenario.PccPhases.Count < 3)
        {
            return 100 * groups / ratedVa;
        }

        var a = Complex.FromPolarCoordinates(1, 2 * Math.PI / 3);
        Complex Phase(int k) => scenario.PccPhases[k].CurrentA[0];
        var negative = (Phase(0) + (a * a * Phase(1)) + (a * Phase(2))) / 3;
        var volts = supply.Plant.Distribution.Bus(supply.Plant.Source.BusId).NominalVoltageV;
        return 100 * ((Math.Sqrt(3) * volts * negative.Magnitude) + groups) / ratedVa;
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
