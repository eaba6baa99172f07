using Cuadrilla.Core.Assessment.Checks;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Lineups;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// Assesses specifications against one catalogue. Studies are kept by the value of their inputs, so after an edit only what
/// depends on it runs again. Safe for use from several threads.
/// </summary>
public sealed class Assessor
{
    private readonly EngineeringData data;
    private readonly StudyMemory<RectifierInput, RectifierResult> rectifiers = new(RectifierStudy.Run, 4000);
    private readonly StudyMemory<DrivePointInput, DrivePointStudy> drivePoints;

    /// <summary>Creates an assessor.</summary>
    public Assessor(EngineeringData data)
    {
        this.data = data ?? throw new ArgumentNullException(nameof(data));
        drivePoints = new StudyMemory<DrivePointInput, DrivePointStudy>(input => DrivePointStudy.Run(DrivePointModel.Build(input, data)), 4000);
    }

    /// <summary>The catalogue.</summary>
    public EngineeringData Data => data;

    /// <summary>The study of one drive point of a plant.</summary>
    public DrivePointStudy Study(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return drivePoints.Get(InputOf(plant, point, DefaultsInForce.Resolve(data.Defaults, plant.Overrides)));
    }

    /// <summary>The front end of a circuit, remembered.</summary>
    public RectifierResult Rectifier(RectifierInput input) => rectifiers.Get(input);

    /// <summary>Assesses a valid specification.</summary>
    public PlantAssessment Run(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides);
        var studies = plant.AllDrivePoints().Select(p => drivePoints.Get(InputOf(plant, p, defaults))).ToList();
        var network = BusNetwork.Of(plant);
        var complete = studies.Where(s => s.IsComplete).Select(s => s.Model).ToList();
        var incomplete = studies.Where(s => !s.IsComplete)
            .Select(s => $"{s.Model.Input.DrivePoint.Tag}: {string.Join(", ", s.Model.Missing(withConverter: true))}")
            .ToList();
        var scenarios = network is null
            ? []
            : plant.Scenarios.Select(s => ScenarioStudy.Run(plant, s, network, complete, rectifiers.Get)).ToList();
        var demand = network is null ? null : Demand(plant, network, scenarios);
        var checks = PlantChecks.Of(plant, data, defaults, network, scenarios, demand, incomplete).ToList();
        foreach (var study in studies)
        {
            checks.Add(SupplyDataCheck.Of(study.Model, plant));
            checks.AddRange(study.Checks);
        }

        return new PlantAssessment(
            data.Version,
            [.. studies.Select(s => Summary(s, scenarios))],
            checks,
            scenarios,
            network,
            demand,
            demand is null ? null : data.PccLimits.CurrentRow(demand.Ratio));
    }

    private static DrivePointInput InputOf(PlantSpecification plant, DrivePoint point, DefaultsInForce defaults) =>
        new(
            point, plant.Site, plant.Tariff, plant.Bus.NominalVoltageV, plant.Source.FrequencyHz, defaults,
            point.Motor is Motors.MotorChoice.FromCatalogue motor ? plant.Motors.FirstOrDefault(m => m.Id == motor.ItemId) : null);

    // I_L is the largest demand of the installation: as stated, or the largest scenario.
    private static PccDemand? Demand(PlantSpecification plant, BusNetwork network, IReadOnlyList<ScenarioResult> scenarios)
    {
        var atPrimary = plant.Pcc == PccLocation.TransformerPrimary;
        var voltage = atPrimary ? plant.Source.NominalVoltageV : plant.Bus.NominalVoltageV;
        var fault = atPrimary ? network.PrimaryFaultAtBusA * plant.Bus.NominalVoltageV / plant.Source.NominalVoltageV : network.BusFaultA;
        if (plant.Bus.MaximumDemandKva.IsKnown)
        {
            return new PccDemand(plant.Bus.MaximumDemandKva.Value * 1e3 / (Math.Sqrt(3) * voltage), fault, "bus: maximum demand as stated");
        }

        var largest = scenarios.Count == 0 ? 0 : scenarios.Max(s => s.Pcc.FundamentalA);
        return largest > 0
            ? new PccDemand(largest, fault, $"largest scenario: {scenarios.MaxBy(s => s.Pcc.FundamentalA)!.ScenarioName}")
            : null;
    }

    private static DrivePointSummary Summary(DrivePointStudy study, IReadOnlyList<ScenarioResult> scenarios)
    {
        var front = scenarios.SelectMany(s => s.Drives).FirstOrDefault(d => d.DrivePointId == study.Model.Id)?.Front as RectifierResult.SteadyState;
        var chosen = study.Alternatives.FirstOrDefault(a => a.IsChosen);
        var present = study.Alternatives.FirstOrDefault(a => a.Id == "present");
        var shaft = study.Model.Load?.At(1);
        return new DrivePointSummary(
            study.Model.Id,
            study.IsComplete ? study.Model.At(1) : null,
            shaft?.PowerW,
            shaft?.SpeedRpm,
            study.Model.Converter?.SiteCurrentA,
            front?.LoadedPhase.RmsA,
            front?.WorstPhase.ThdiPct,
            chosen?.Year.EnergyKwh,
            chosen is null || present is null ? null : present.Year.CostPerYear - chosen.Year.CostPerYear);
    }
}
