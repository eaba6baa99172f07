using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Documents.Bench;

/// <summary>All pictures and numbers of one drive point.</summary>
public sealed record BenchDocument(
    string DrivePointId,
    IReadOnlyList<string> Missing,
    IReadOnlyList<UsualValue> Usual,
    IReadOnlyList<AssumedEntry> Assumed,
    TorqueCurves? Torque,
    SystemCurves? System,
    IReadOnlyList<AtDiameter> Winder,
    IReadOnlyList<AtTime> Cycle,
    LineCurrentDocument? LineCurrent,
    IReadOnlyList<ChainLinkDocument> Chain,
    IReadOnlyList<AlternativeDocument> Alternatives,
    string ReferenceId,
    IReadOnlyList<SensitivityDocument> Sensitivity,
    IReadOnlyList<LadderRung> Ladder,
    OverloadTrace? Overload,
    VoltageDocument? Voltage,
    LossYear? LossYear,
    IReadOnlyList<AtSwitching> Switching,
    IReadOnlyList<Figure> Figures)
{
    /// <summary>Builds it.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="point">One of its drive points.</param>
    /// <param name="assessor">Assesses it.</param>
    public static BenchDocument Of(PlantSpecification plant, DrivePoint point, Assessor assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(assessor);
        var study = assessor.Study(plant, point);
        var assessment = assessor.Run(plant);
        var scenario = assessment.Scenarios.FirstOrDefault(s => s.Drives.Any(d => d.DrivePointId == point.Id));
        var drive = scenario?.Drives.First(d => d.DrivePointId == point.Id);
        var (where, onLine) = assessment.Scenarios
            .SelectMany(s => s.OnLine.Where(d => d.DrivePointId == point.Id).Select(d => (Scenario: s, Drive: d)))
            .FirstOrDefault();
        var busId = plant.DcBusOf(point.Id)?.Id ?? plant.GroupOf(point.Id)?.Id;
        var busScenario = busId is null ? null : assessment.Scenarios.FirstOrDefault(s => s.Drives.Any(d => d.DrivePointId == busId));
        var busDrive = busScenario?.Drives.First(d => d.DrivePointId == busId);
        var chain = study.Model switch
        {
            DriveOnConverter d when busId is not null => LossChain.OfMember(d, d.At(1)),
            DriveOnConverter d when drive is not null => LossChain.Of(d, drive, scenario!),
            DriveOnLine d when onLine is not null => LossChain.Of(d, onLine, where),
            _ => [],
        };

        // Compared with what stands today; without it, with what is specified.
        var reference = study.Alternatives.FirstOrDefault(a => a.Id == "present") ?? study.Alternatives.FirstOrDefault(a => a.IsChosen);
        return new BenchDocument(
            point.Id,
            [.. study.Model.Missing()],
            UsualEntries.For(study.Model.Input.DrivePoint, assessor.Data, plant.Source.FrequencyHz),
            UsualEntries.Assumed(point, assessor.Data),
            TorqueCurves.Of(study.Model),
            SystemCurves.Of(study.Model),
            LoadPictures.Winder(study.Model),
            LoadPictures.Cycle(study.Model),
            LineCurrentDocument.Of(drive ?? busDrive, scenario ?? busScenario),
            [.. chain.Select(l => new ChainLinkDocument(l.Id, l.Name, l.InputW, l.LossW, l.OutputW, l.Reason))],
            [.. study.Alternatives.Select(a => Alternative(a, reference, plant))],
            reference?.Id ?? string.Empty,
            [
                .. SensitivityCorner.Grid([.. study.Alternatives.Select(a => a.Year)], plant.Tariff).Select(c => new SensitivityDocument(
                    c.HoursPu, c.PricePu, study.Alternatives[c.Best].Id, study.Alternatives[c.Best].Name, c.LifetimeCost)),
            ],
            study.Model.Converter is { } converter
                ? DeratingLadder.Of(converter, study.Model.Input.Site.CabinetAirC, plant.Site.AltitudeM)
                : [],
            OverloadTrace.Of(study.Model),
            study.Model is { Fitted: { Voltage: var v, Connected: var connected }, Converter: not null }
                ? new VoltageDocument(v.SupplyV, v.FrontV, v.FilterV, v.CableV, v.AtMotorV, connected.LinkedVoltageV)
                : null,
            LossYear.Of(study.Model),
            SwitchingPicture.Of(study.Model),
            DrivePointFigures.Of(study, drive, scenario));
    }

    private static AlternativeDocument Alternative(EnergyAlternative a, EnergyAlternative? reference, PlantSpecification plant) => new(
        a.Id, a.Way, a.Name, a.IsChosen, a.HasChosenMotor, a.Year.EnergyKwh, a.Year.DemandKw, a.Year.CostPerYear, a.Year.EquipmentCost,
        a.Year.LifetimeCost, a.Year.Co2Kg,
        [.. a.Points.Select(p => new AlternativePoint(p.LevelPu, p.HoursPerYear, p.LineW / 1e3))],
        a.PartSpeed,
        a.Returned,
        reference is null || a.Id == reference.Id ? null : Comparison.Of(a.Year, reference.Year, plant.Tariff));
}

/// <summary>Line current of the solved front end in one scenario.</summary>
public sealed record LineCurrentDocument(
    string Scenario,
    string? Unsettled,
    string Provenance,
    double FundamentalA,
    double RmsA,
    double ThdiPct,
    double DisplacementPowerFactor,
    double TruePowerFactor,
    double? LinkVoltageV,
    PowerParts Power,
    IReadOnlyList<PhaseCurrent> Phases,
    IReadOnlyList<WavePoint> Waveform,
    IReadOnlyList<WaveOrder> Orders)
{
    private const int Points = 181;

    /// <summary>Of a front end; null where it does not run.</summary>
    public static LineCurrentDocument? Of(DriveInScenario? drive, ScenarioResult? scenario)
    {
        if (drive is null || scenario is null)
        {
            return null;
        }

        if (drive.Front is not RectifierResult.LineDraw draw)
        {
            var reason = ((RectifierResult.NoSteadyState)drive.Front).Reason;
            return new LineCurrentDocument(scenario.ScenarioName, reason, string.Empty, 0, 0, 0, 0, 0, null, new PowerParts(0, 0, 0, 0), [],
                [], []);
        }

        var phase = draw.PhaseA;
        var waveform = Enumerable.Range(0, Points).Select(i =>
        {
            var angle = 2 * Math.PI * i / (Points - 1);
            return new WavePoint(360.0 * i / (Points - 1), draw.Waveform.LineCurrentA(angle),
                Math.Sqrt(2) * phase.FundamentalA * Math.Sin(angle + phase.Orders[0].Phase));
        });
        var orders = Enumerable.Range(1, LineCurrent.HighestOrder)
            .Where(h => phase.Orders[h - 1].Magnitude > 1e-4 * phase.FundamentalA)
            .Select(h => new WaveOrder(h, phase.Orders[h - 1].Magnitude, 100 * phase.Orders[h - 1].Magnitude / phase.FundamentalA));
        return new LineCurrentDocument(
            scenario.ScenarioName, null, draw.Provenance, phase.FundamentalA, phase.RmsA, phase.ThdiPct, phase.DisplacementPowerFactor,
            phase.TruePowerFactor,
            (draw as RectifierResult.SteadyState)?.DcVoltageMeanV, PowerParts.Of(draw, drive.Circuit?.LineVoltageV ?? drive.EmfV),
            [.. draw.Phases.Select((p, i) => new PhaseCurrent("ABC"[i..(i + 1)], p.FundamentalA, p.RmsA, p.ThdiPct))], [.. waveform],
            [.. orders]);
    }
}

/// <summary>Line current and its fundamental at an angle.</summary>
public sealed record WavePoint(double AngleDeg, double CurrentA, double FundamentalA);

/// <summary>One order of the line current.</summary>
public sealed record WaveOrder(int Order, double RmsA, double Pct);

/// <summary>A link of the loss chain.</summary>
public sealed record ChainLinkDocument(string Id, string Name, double InputW, double LossW, double OutputW, Reason Reason);

/// <summary>The way of the voltage to the motor, V.</summary>
public sealed record VoltageDocument(double SupplyV, double FrontV, double FilterV, double CableV, double AtMotorV, double LinkedV);

/// <summary>An alternative at equal delivered flow.</summary>
public sealed record AlternativeDocument(
    string Id,
    string Way,
    string Name,
    bool IsChosen,
    bool HasChosenMotor,
    double EnergyKwh,
    double DemandKw,
    double CostPerYear,
    double EquipmentCost,
    double LifetimeCost,
    double Co2Kg,
    IReadOnlyList<AlternativePoint> Points,
    IReadOnlyList<PartSpeedPoint> PartSpeed,
    ReturnedEnergy Returned,
    Comparison? Against);

/// <summary>Line power of an alternative at a point of the duty.</summary>
public sealed record AlternativePoint(double LevelPu, double HoursPerYear, double LineKw);

/// <summary>Line current of one phase.</summary>
public sealed record PhaseCurrent(string Phase, double FundamentalA, double RmsA, double ThdiPct);

/// <summary>The cheapest alternative at other hours and another energy price.</summary>
public sealed record SensitivityDocument(double HoursPu, double PricePu, string BestId, string BestName, double LifetimeCost);
