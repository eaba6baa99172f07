using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary>What all converters and supply modules of a lineup leak together, as a bound: phases of unlike filters are taken as
/// alike.</summary>
internal static class LeakageSum
{
    /// <summary>The sum in mA, null where a part of it is not known; and whose.</summary>
    public static (double? SumMa, IReadOnlyList<string> Unknown) Of(PlantSpecification plant, Lineup lineup, Bus bus,
        IEnumerable<DrivePointModel> models, EngineeringData data)
    {
        double sum = 0;
        List<string> unknown = [];
        void Add(double? ma, string whose)
        {
            sum += ma ?? 0;
            if (ma is null)
            {
                unknown.Add(whose);
            }
        }

        foreach (var model in models.Where(m => m.Starter is null && !m.Input.HasNoLine && m.Input.Group is null or { IsHead: true }))
        {
            Add(InterferenceFigures.Of(model, bus, plant).Leaks?.TotalMa, model.Input.DrivePoint.Tag);
        }

        foreach (var dc in lineup.DcBuses)
        {
            var module = data.SupplyModules.GetValueOrDefault(dc.SupplyModuleId);
            Add(module is null ? null : InterferenceFigures.Leakage(module.Emc, module.FrontEnd, dc.EmcFilter, dc.LinksOpen, bus,
                plant.Source.FrequencyHz)?.TotalMa, dc.Name);
        }

        return (unknown.Count == 0 ? sum : null, unknown);
    }
}
