using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>The demo plant with one drive point changed.</summary>
internal static class DemoChanges
{
    public static readonly EngineeringData Data = ReferenceCatalogue.Data;
    public static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    /// <summary>With no word on how its lineups are built.</summary>
    public static readonly PlantSpecification WithoutCabinets = Demo with
    {
        Lineups = [.. Demo.Lineups.Select(l => l with { Cabinets = null, Control = null })],
    };

    /// <summary>Without the workshop on one phase, whose pulses turn what buses cancel.</summary>
    public static readonly PlantSpecification ThreePhases = Demo with
    {
        Lineups = [.. Demo.Lineups.Where(l => l.OnePhase is null)],
        Scenarios = [.. Demo.Scenarios.Select(s => s with
        {
            States = [.. s.States.Where(x => Demo.Lineups.Where(l => l.OnePhase is null).SelectMany(l => l.DrivePoints)
                .Any(p => p.Id == x.DrivePointId))],
        })],
    };

    /// <summary>One for all tests that do not ask what an assessor remembers: what an earlier one found is where the next begins.</summary>
    public static readonly Assessor Assessor = new(Data);

    /// <summary>The film winders as single drives instead of on their bus; the unwinder on a resistor.</summary>
    public static readonly PlantSpecification SingleWinders = Changed(
        Changed(Demo with { Lineups = [.. Demo.Lineups.Select(l => l with { DcBuses = [] })] }, "dp-14",
            p => p with { Converter = SixPulse(new Braking.Resistor(150, 2.5)) }),
        "dp-15", p => p with { Converter = SixPulse(new Braking.Nothing()) });

    private static ConverterChoice.FromCatalogue SixPulse(Braking braking) =>
        new("six-pulse-choke-18.5", OverloadDuty.Heavy, 4, string.Empty, braking);

    public static PlantSpecification Changed(string id, Func<DrivePoint, DrivePoint> change) => Changed(Demo, id, change);

    public static PlantSpecification Changed(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })],
    };
}
