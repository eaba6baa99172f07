using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>A figure in every scenario.</summary>
/// <param name="Id">Check that judges it.</param>
/// <param name="Name">What it is.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Limit">Its limit.</param>
/// <param name="Figures">Figure by scenario, in their order; NaN where there is none.</param>
public sealed record MatrixRow(string Id, string Name, string Unit, double Limit, IReadOnlyList<double> Figures)
{
    /// <summary>Index of the worst scenario; -1 without figures.</summary>
    public int Worst => Figures.All(double.IsNaN)
        ? -1
        : Enumerable.Range(0, Figures.Count).Where(i => !double.IsNaN(Figures[i])).MaxBy(i => Figures[i]);
}

/// <summary>What harmonics come to in every scenario, figure by figure.</summary>
public static class HarmonicMatrix
{
    /// <summary>Builds it; empty while the supply is not stated.</summary>
    public static IReadOnlyList<MatrixRow> Of(PlantSpecification plant, PlantAssessment assessment, EngineeringData data,
        DefaultsInForce defaults)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        ArgumentNullException.ThrowIfNull(data);
        ArgumentNullException.ThrowIfNull(defaults);
        var found = plant.Scenarios.Select(s => assessment.Scenarios.FirstOrDefault(r => r.ScenarioId == s.Id)).ToList();
        double[] Each(Func<ScenarioResult, double> figure) => [.. found.Select(r => r is null ? double.NaN : figure(r))];

        // While the generator feeds nothing couples to the public system.
        var onStandby = plant.Scenarios.Where(s => s.OnStandby).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        double[] Coupled(Func<ScenarioResult, double> figure) => Each(r => onStandby.Contains(r.ScenarioId) ? double.NaN : figure(r));
        var rows = new List<MatrixRow>();
        if (assessment.Scenarios.Count == 0)
        {
            return rows;
        }

        if (assessment.Demand is { } demand && assessment.CurrentLimits is { } row)
        {
            rows.Add(new MatrixRow("harmonics.pcc-tdd", "TDD at the PCC", "%", row.TddPct, Coupled(r => r.Pcc.TddPct(demand.CurrentA))));
            rows.Add(new MatrixRow("harmonics.pcc-orders", "nearest order at the PCC, of its limit", "%", 100,
                Coupled(r => Enumerable.Range(2, 49)
                .Max(h => 100 * (100 * r.PccPhases.Max(p =>
                    p.CurrentA[h - 1].Magnitude) / demand.CurrentA) / data.PccLimits.OrderLimitPct(row, h)))));
        }

        rows.Add(new MatrixRow("harmonics.pcc-voltage", "THDv at the PCC, own share", "%",
            data.PccLimits.VoltageRow(plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV).ThdPct,
            Coupled(r => r.PccPhases.Max(p => p.ThdvPct))));
        var level = data.Compatibility.Classes[defaults.Harmonics.PlantClass];
        foreach (var bus in plant.Distribution.Buses.Where(b => b.NominalVoltageV <= 1000))
        {
            rows.Add(new MatrixRow("harmonics.plant-voltage", $"THDv, {bus.Name}", "%", level.ThdPct,
                Each(r => r.Buses.FirstOrDefault(b => b.BusId == bus.Id)?.TotalThdvPct ?? double.NaN)));
        }

        foreach (var bank in plant.Distribution.CapacitorBanks)
        {
            double Bank(ScenarioResult r, Func<BankInScenario, double> figure) =>
                r.Banks.FirstOrDefault(b => b.BankId == bank.Id) is { } b ? figure(b) : double.NaN;
            rows.Add(new MatrixRow("harmonics.resonance", $"impedance lifted by {bank.Name}", "×", defaults.Harmonics.ResonanceGain,
                Each(r => Bank(r, b => b.Gain))));
            rows.Add(new MatrixRow("harmonics.capacitor", $"current of {bank.Name}", "of rated", defaults.Harmonics.CapacitorCurrentPu,
                Each(r => Bank(r, b => b.CurrentPu))));
        }

        foreach (var filter in plant.Distribution.ActiveFilters)
        {
            rows.Add(new MatrixRow("harmonics.active-filter", $"asked of {filter.Name}", "A", filter.RatedCurrentA,
                Each(r => r.FilterCurrents.TryGetValue(filter.Id, out var c) ? c.AskedA : double.NaN)));
        }

        foreach (var transformer in plant.Distribution.Transformers)
        {
            rows.Add(new MatrixRow("supply.transformer-loading", $"{transformer.Name}, loading with harmonics", "%",
                defaults.TransformerLoadingPct,
                Each(r => r.Transformers.FirstOrDefault(t => t.TransformerId == transformer.Id)?.LoadingPct ?? double.NaN)));
        }

        return rows;
    }
}
