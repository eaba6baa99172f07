using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Mitigation;

/// <summary>The workbench drafts its ways without looking for second states, and says of each the same as with it.</summary>
public sealed class DraftTests
{
    [Fact]
    public void Ways_that_were_drafted_comply_just_where_those_assessed_in_full_do()
    {
        var plant = MadePlant.Of(DemoPlant.Read(ReferenceCatalogue.Data), 12);
        List<string> points = [.. plant.AllDrivePoints().Select(p => p.Id)];
        var (drafted, whole) = (new Watched(new Assessor(ReferenceCatalogue.Data, warmStarts: false), drafts: true),
            new Watched(new Assessor(ReferenceCatalogue.Data, warmStarts: false), drafts: false));
        var ways = MitigationWorkbench.Of(plant, points, drafted).Ways.ToDictionary(w => w.Id);
        var exact = MitigationWorkbench.Of(plant, points, whole).Ways.ToDictionary(w => w.Id);
        Assert.Equal(exact.Keys.Order(), ways.Keys.Order());
        Assert.All(exact, w => Assert.Equal(w.Value.Complies, ways[w.Key].Complies));
        Assert.True(drafted.Owed > 0, "no search was owed: the plant tells nothing");
        Assert.All(ways.Values.Where(w => w.Complies), w => Assert.Equal(exact[w.Id].Fails, w.Fails));
        Assert.All(ways.Values, w => Assert.Equal(Figures(exact[w.Id]), Figures(w)));
        Assert.All(ways.Values, w => Assert.InRange(w.ThdiPct, 1, 200));
    }

    // A plant with single drive points on the line, groups and common DC buses besides.
    [Fact]
    public void Harmonics_alone_are_judged_as_in_the_whole_plant()
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data);
        plant = StandbyPlant.Has(plant) ? StandbyPlant.OnMains(plant) : plant;
        var whole = new Assessor(ReferenceCatalogue.Data, warmStarts: false).Run(plant).Checks
            .Where(c => c.Id.StartsWith("harmonics.", StringComparison.Ordinal)).Select(Said).Order().ToList();
        var alone = new Assessor(ReferenceCatalogue.Data, warmStarts: false).HarmonicsOf(plant, seeksSecond: true).Checks.Select(Said)
            .Order().ToList();
        Assert.Equal(whole, alone);
        Assert.Contains(alone, c => c.StartsWith("harmonics.equipment", StringComparison.Ordinal));
    }

    private static string Said(Check check) =>
        $"{check.Id} {check.DrivePointId} {check.ElementId} {check.Verdict} {check.Figure} {check.Limit} {check.Reason.Formula}";

    private static (double, double, double, double, YearlyEnergy) Figures(MitigationWay way) =>
        (way.ThdiPct, way.TddPct, way.ThdvPct, way.OrderUsePct, way.Year);

    private sealed class Watched(Assessor of, bool drafts) : IPlantStudies
    {
        private int owed;

        public int Owed => owed;

        public EngineeringData Data => of.Data;

        public PlantAssessment Run(PlantSpecification plant) => of.Run(plant);

        public PlantAssessment Drafted(PlantSpecification plant) => of.Drafted(plant);

        private static HarmonicDraft Harmonics(PlantAssessment whole) =>
            new(whole.Scenarios, [.. whole.Checks.Where(c => c.Id.StartsWith("harmonics.", StringComparison.Ordinal))]);

        public HarmonicDraft HarmonicsOf(PlantSpecification plant, bool seeksSecond)
        {
            var found = drafts ? of.HarmonicsOf(plant, seeksSecond) : Harmonics(of.Run(plant));
            Interlocked.Add(ref owed, found.Scenarios.Count(s => s.Iteration.IsSearchOwed));
            return found;
        }

        public DrivePointStudy Study(PlantSpecification plant, DrivePoint point) => of.Study(plant, point);

        public SeparationStudy? Separation(PlantSpecification plant) => of.Separation(plant);

        public ProtectionPlan Protection(PlantSpecification plant) => of.Protection(plant);

        public ModuleProposal ModuleProposalFor(PlantSpecification plant, CommonDcBus bus) => of.ModuleProposalFor(plant, bus);

        public PointProposal ProposalFor(PlantSpecification plant, DrivePoint point, DeviceKind kind, bool keepsDevice) =>
            of.ProposalFor(plant, point, kind, keepsDevice);

        public DcBusModel? DcBus(PlantSpecification plant, string busId) => of.DcBus(plant, busId);
    }
}
