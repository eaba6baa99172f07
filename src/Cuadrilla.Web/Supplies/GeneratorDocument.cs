using System.Numerics;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Standby;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Web.Supplies;

/// <summary>A generator and what it carries.</summary>
/// <param name="Standby">True where the mains feed otherwise.</param>
/// <param name="Bus">Bus that it feeds.</param>
/// <param name="Kva">Rated apparent power of all sets, kVA; null where not known.</param>
/// <param name="Kw">Rated active power of all sets, kW; null likewise.</param>
/// <param name="StartKva">Largest start on the line that is connected, kVA.</param>
/// <param name="FirstPct">First instant of the dip that it leaves, %; null while something of it is not known.</param>
/// <param name="LastingPct">The part that lasts, %.</param>
/// <param name="PermittedPct">What its class permits, %.</param>
/// <param name="LargestStartKva">Largest start that holds, kVA.</param>
/// <param name="Scenarios">Each scenario on it.</param>
internal sealed record GeneratorDocument(bool Standby, string Bus, double? Kva, double? Kw, double StartKva, double? FirstPct,
    double? LastingPct, double? PermittedPct, double? LargestStartKva, IReadOnlyList<OnGenerator> Scenarios)
{
    public static GeneratorDocument Of(GeneratorFeed feed, Assessor assessor)
    {
        var found = assessor.Run(feed.Plant);
        var set = feed.Generator;
        var startKva = GeneratorLoad.LargestStartVa(feed.Plant, found.Scenarios) / 1e3;
        double? kva = set.RatedKva.IsKnown ? set.TotalKva() : null;
        double? Dip(Core.Base.Given reactancePct) => kva is { } rated && reactancePct.IsKnown
            ? 100 * GeneratorDip.Pu(rated, startKva, reactancePct.Value / 100) : null;
        double? permitted = set.GoverningClass.IsKnown ? GeneratorDip.PermittedPct((int)set.GoverningClass.Value) : null;
        return new GeneratorDocument(
            feed.IsStandby, feed.Plant.Distribution.Bus(feed.Plant.Source.BusId).Name, kva, kva is not null && set.RatedKw.IsKnown
                ? set.TotalKw()
                : null,
            startKva, Dip(set.SubtransientPct), Dip(set.TransientPct), permitted,
            kva is { } all && permitted is { } most && set.TransientPct.IsKnown
                ? GeneratorDip.LargestStartKva(all, most / 100, set.TransientPct.Value / 100) : null,
            [.. found.Scenarios.Select(s => OnGenerator.Of(s, GeneratorLoad.OnSource(feed.Plant, s), feed.Plant))]);
    }
}

/// <summary>A scenario on a generator.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Kva">Apparent power, kVA.</param>
/// <param name="Kw">Active power, kW.</param>
/// <param name="Kvar">Reactive power, kvar; negative leads.</param>
/// <param name="DistortionPct">Distortion at its terminals, %.</param>
/// <param name="LeastVoltagePct">Lowest fundamental voltage of a live bus with the terminals held by its regulator, %.</param>
internal sealed record OnGenerator(string Id, string Name, double Kva, double Kw, double Kvar, double? DistortionPct,
    double? LeastVoltagePct)
{
    public static OnGenerator Of(ScenarioResult scenario, Complex va, PlantSpecification plant) => new(
        scenario.ScenarioId, scenario.ScenarioName, va.Magnitude / 1e3, va.Real / 1e3, va.Imaginary / 1e3,
        scenario.Buses.Where(b => b.BusId == plant.Source.BusId).Select(b => (double?)b.TotalThdvPct).Max(),
        scenario.Buses.Select(b => (double?)(100 * (b.VoltagePu + GeneratorLoad.HeldPu(plant, scenario)))).Min());
}

/// <summary>What has to be shed or filtered.</summary>
/// <param name="Steps">In their order.</param>
/// <param name="Left">What still fails.</param>
/// <param name="FilterA">Current of an active filter that would hold the distortion, A; null where that is not what fails.</param>
/// <param name="FilteredPct">Distortion with it, %.</param>
internal sealed record SheddingDocument(IReadOnlyList<ShedStep> Steps, IReadOnlyList<string> Left, double? FilterA, double? FilteredPct)
{
    public static SheddingDocument Of(Shedding found) => new(found.Steps, found.Left, found.FilterA, found.FilteredPct);
}
