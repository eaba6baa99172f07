using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>Whole plants assessed: what studies of changed plants ask for.</summary>
public interface IPlantStudies
{
    /// <summary>The catalogue.</summary>
    EngineeringData Data { get; }

    /// <summary>Assesses a valid specification.</summary>
    PlantAssessment Run(PlantSpecification plant);

    /// <summary>
    /// Assesses a valid specification without looking for second states: for many of which few are kept. Where a search is owed, what holds holds only after
    /// <see cref="Run"/>.
    /// </summary>
    PlantAssessment Drafted(PlantSpecification plant);

    /// <summary>The study of one drive point of a plant.</summary>
    DrivePointStudy Study(PlantSpecification plant, DrivePoint point);

    /// <summary>A common DC bus of a plant; null where there is none of that key.</summary>
    DcBusModel? DcBus(PlantSpecification plant, string busId);
}
