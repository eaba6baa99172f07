using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Triplen currents in the neutral of a plant cable: of loads as stated, of single-phase converters as solved.</summary>
public sealed class CableNeutralTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    private static (CableInScenario Cable, DriveInScenario Drive) Of(PlantSpecification plant)
    {
        var scenario = Assessor.Run(plant).Scenarios.First(s => s.Cables.Any(c => c.CableId == "cable-w")
            && s.Drives.Any(d => d.DrivePointId == "dp-17"));
        return (scenario.Cables.Single(c => c.CableId == "cable-w"), scenario.Drives.Single(d => d.DrivePointId == "dp-17"));
    }

    // The lineup of the workshop fan hangs on the board behind the cable.
    private static PlantSpecification At(string busId) => Demo with
    {
        Lineups =
        [
            .. Demo.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Where(p => p.Id != "dp-17")] }),
            Demo.Lineups.First(l => l.DrivePoints.Any(p => p.Id == "dp-17")) with
            {
                Id = "l-w", Tag = "LW", BusId = busId, DcBuses = [], Arrangements = [], SetAside = [],
                DrivePoints = [.. Demo.AllDrivePoints().Where(p => p.Id == "dp-17")],
            },
        ],
    };

    [Fact]
    public void A_converter_between_phase_and_neutral_loads_the_neutral_of_the_cable_ahead_with_its_solved_third_order()
    {
        var (elsewhere, _) = Of(At("bus-b"));
        var (ahead, drive) = Of(At("bus-w"));
        var third = Assert.IsType<RectifierResult.LineDraw>(drive.Front, exactMatch: false).LoadedPhase.Orders[2].Magnitude;
        Assert.True(third > 0.5, "a rectifier on one phase draws a large third order");
        Assert.Equal(third / 3, (ahead.ThirdPct * ahead.FundamentalA / 100) - (elsewhere.ThirdPct * elsewhere.FundamentalA / 100),
            third * 0.02);
    }
}
