using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
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
    }

    private sealed class Watched(Assessor of, bool drafts) : IPlantStudies
    {
        private int owed;

        public int Owed => owed;

        public EngineeringData Data => of.Data;

        public PlantAssessment Run(PlantSpecification plant) => of.Run(plant);

        public PlantAssessment Drafted(PlantSpecification plant)
        {
            var found = drafts ? of.Drafted(plant) : of.Run(plant);
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
