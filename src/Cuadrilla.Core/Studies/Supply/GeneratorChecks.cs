using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>supply.generator-loading</c>: apparent and active power of everything that runs against a generator, over all scenarios;
/// and what a generator's dip may be.</summary>
internal static class GeneratorChecks
{
    private const string Id = "supply.generator-loading";
    private const string Title = "Loading of the generator";

    public static IEnumerable<Check> Of(SupplyContext supply)
    {
        if (supply.Plant.Source.Strength is not SourceStrength.Generator generator)
        {
            yield break;
        }

        List<string> missing = [.. PlantNetwork.Missing(supply.Plant), .. supply.Incomplete];
        if (!generator.RatedKw.IsKnown)
        {
            missing.Add("rated active power of the generator, kW");
        }

        if (missing.Count == 0 && supply.Scenarios.Count == 0)
        {
            missing.Add("a scenario");
        }

        if (missing.Count > 0)
        {
            yield return Check.Lacking(Id, string.Empty, BoardRow.Plant, Title, missing);
            yield break;
        }

        List<(ScenarioResult Scenario, Complex Va)> powers = [.. supply.Scenarios.Select(s =>
            (s, GeneratorLoad.OnSource(supply.Plant, s)))];
        var (worst, power) = powers.MaxBy(p => Math.Max(p.Va.Magnitude / generator.TotalKva(), p.Va.Real / generator.TotalKw()));
        var name = worst.ScenarioName;
        double apparent = 100 * power.Magnitude / 1e3 / generator.TotalKva(), active = 100 * power.Real / 1e3 / generator.TotalKw();
        yield return CheckWriter.Judged(
            Id, string.Empty, BoardRow.Plant, active > apparent ? Title + ", active power" : Title, Math.Max(apparent, active), 100, "%",
            LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: less at once, a larger generator. What comes back must not exceed what else is drawn: a generator takes little back.",
            new Reason(
                "|ΣS|/S_N and ΣP/P_N, losses of transformers with the fundamental included",
                $"{Text.N(power.Magnitude / 1e3)} kVA of {Text.N(generator.TotalKva())}, {Text.N(power.Real / 1e3)} kW of "
                    + $"{Text.N(generator.TotalKw())} kW",
                "ISO 8528-1; docs/methods/supply-network.md",
                [ReasonInput.Of("rated power", generator.TotalKva(), "kVA", "generator, all sets"),
                    ReasonInput.Of("rated active power", generator.TotalKw(), "kW", "generator, all sets")]),
            name);
        foreach (var check in GeneratorLimits.Of(supply, generator, powers))
        {
            yield return check;
        }
    }

    /// <summary>Largest dip at the coupling of a start, %, and what says so; null while a generator's class is not stated.</summary>
    public static (double Pct, string Why)? DipLimit(SupplyContext supply, bool frequent) => supply.Plant.Source.Strength switch
    {
        SourceStrength.Generator { GoverningClass.IsKnown: true } g => (GeneratorDip.PermittedPct((int)g.GoverningClass.Value),
            $"generator of class G{(int)g.GoverningClass.Value}"),
        SourceStrength.Generator => null,
        _ => frequent ? (supply.Defaults.DipFrequentPct, "frequent starts") : (supply.Defaults.DipRarePct, "rare starts"),
    };

    /// <summary>What a dip behind a generator needs beside the network's data.</summary>
    public static IEnumerable<string> DipMissing(SupplyContext supply)
    {
        if (supply.Plant.Source.Strength is not SourceStrength.Generator generator)
        {
            yield break;
        }

        if (!generator.TransientPct.IsKnown)
        {
            yield return "transient reactance X′d of the generator: it governs a dip of a tenth of a second and more";
        }

        if (!generator.GoverningClass.IsKnown)
        {
            yield return "governing class of the generator (ISO 8528-5)";
        }
    }
}
