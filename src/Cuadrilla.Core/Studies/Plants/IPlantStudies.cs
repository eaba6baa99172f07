using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Protection;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>Whole plants assessed: what studies of changed plants ask for.</summary>
public interface IPlantStudies
{
    /// <summary>The catalogue.</summary>
    EngineeringData Data { get; }

    /// <summary>Assesses a valid specification.</summary>
    PlantAssessment Run(PlantSpecification plant);

    /// <summary>
    /// Assesses a valid specification without looking for second states: for many of which few are kept. Where a search is owed, what
    /// holds holds only after <see cref="Run"/>.
    /// </summary>
    PlantAssessment Drafted(PlantSpecification plant);

    /// <summary>Harmonics of a valid specification on one supply, as <see cref="Run"/> judges them, and nothing else.</summary>
    /// <param name="plant">The plant, without a standby supply.</param>
    /// <param name="seeksSecond">False: second states are not looked for, as with <see cref="Drafted"/>.</param>
    HarmonicDraft HarmonicsOf(PlantSpecification plant, bool seeksSecond);

    /// <summary>The study of one drive point of a plant.</summary>
    DrivePointStudy Study(PlantSpecification plant, DrivePoint point);

    /// <summary>A common DC bus of a plant; null where there is none of that key.</summary>
    DcBusModel? DcBus(PlantSpecification plant, string busId);

    /// <summary>Cables and devices of a plant, as they are and as they are proposed.</summary>
    ProtectionPlan Protection(PlantSpecification plant);

    /// <summary>Pairs of cables too close for too long; null for a plant without trays.</summary>
    SeparationStudy? Separation(PlantSpecification plant);

    /// <summary>Device and sections that are proposed for a drive point.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="point">One of its drive points.</param>
    /// <param name="kind">Kind of device.</param>
    /// <param name="keepsDevice">True to size the cables for the device that is chosen, where one is.</param>
    PointProposal ProposalFor(PlantSpecification plant, DrivePoint point, DeviceKind kind, bool keepsDevice);

    /// <summary>What is proposed for the feeder of a common DC bus and the fuses of its inverters.</summary>
    ModuleProposal ModuleProposalFor(PlantSpecification plant, CommonDcBus bus);
}
