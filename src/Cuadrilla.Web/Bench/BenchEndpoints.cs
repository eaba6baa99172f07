using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Bench;

/// <summary>Pictures, reasons and candidates, asked for one by one.</summary>
internal static class BenchEndpoints
{
    public static void MapBench(this WebApplication app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Bench");
        group.MapGet("/drive-points/{point}/bench", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => Results.Ok(Bench(plant, found, assessor))))
            .WithName("getBench").Produces<BenchDocument>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/drive-points/{point}/motor-candidates", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => Results.Ok(CandidateRanking.Motors(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("listMotorCandidates").Produces<IReadOnlyList<Candidate>>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/drive-points/{point}/converter-candidates", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => Results.Ok(CandidateRanking.Converters(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("listConverterCandidates").Produces<IReadOnlyList<Candidate>>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/drive-points/{point}/technologies", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => Results.Ok(TechnologyComparison.Of(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("compareTechnologies").Produces<IReadOnlyList<TechnologyRow>>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/drive-points/{point}/starting", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                {
                    var (place, cases, missing) = assessor.Starts(plant, found);
                    return Results.Ok(StartingDocument.Of(place, cases, missing, assessor.Study(plant, found).Model.Motor?.Plate.RatedCurrentA ?? 0));
                }))
            .WithName("getStarting").Produces<StartingDocument>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/drive-points/{point}/stopping", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                {
                    var model = assessor.Study(plant, found).Model;
                    var (place, _, missing) = assessor.Starts(plant, found);
                    return Results.Ok(StoppingDocument.Of(model, place is null || missing.Count > 0 ? null : StartStudy.Stop(model, place)));
                }))
            .WithName("getStopping").Produces<StoppingDocument>().Produces<ProblemDocument>(404, Problems.ContentType);
        group.MapGet("/checks/{checkId}", (string id, string checkId, string? drivePointId, string? elementId, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant
                    ? ProjectEndpoints.Unknown()
                    : assessor.Run(plant).Checks.FirstOrDefault(c => c.Id == checkId && c.DrivePointId == (drivePointId ?? string.Empty) && c.ElementId == (elementId ?? string.Empty)) is { } check
                        ? Results.Ok(CheckDocument.Of(check, withReason: true))
                        : Problems.NotFound("There is no such check."))
            .WithName("getCheck").Produces<CheckDocument>().Produces<ProblemDocument>(404, Problems.ContentType);
    }

    private static IResult OnPoint(string id, string point, ProjectReader reader, Func<PlantSpecification, DrivePoint, IResult> answer)
    {
        var plant = reader.Specification(id);
        return plant is null
            ? ProjectEndpoints.Unknown()
            : plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { } found ? answer(plant, found) : Problems.NotFound("There is no such drive point.");
    }

    private static BenchDocument Bench(PlantSpecification plant, DrivePoint point, Assessor assessor)
    {
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
        IReadOnlyList<ChainLink> chain = busId is not null && study.IsComplete
            ? LossChain.OfMember(study.Model, study.Model.At(1))
            : drive is not null
            ? LossChain.Of(study.Model, drive, scenario!)
            : onLine is not null ? LossChain.Of(study.Model, onLine, where) : [];

        // Compared with what stands today; without it, with what is specified.
        var reference = study.Alternatives.FirstOrDefault(a => a.Id == "present") ?? study.Alternatives.FirstOrDefault(a => a.IsChosen);
        return new BenchDocument(
            point.Id,
            [.. study.Model.Missing(withConverter: true)],
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
            study.Model.Converter is { } converter ? Ladder(converter, plant.Site.CabinetAirC, plant.Site.AltitudeM) : [],
            OverloadDocument.Of(study.Model),
            study.Model.Voltage is { } v && study.Model.Converter is not null ? new VoltageDocument(v.SupplyV, v.FrontV, v.FilterV, v.CableV, v.AtMotorV, study.Model.Connected!.LinkedVoltageV) : null,
            LossYear.Of(study.Model),
            SwitchingPicture.Of(study.Model),
            DrivePointFigures.Of(study, drive, scenario));
    }

    private static AlternativeDocument Alternative(EnergyAlternative a, EnergyAlternative? reference, PlantSpecification plant) => new(
        a.Id, a.Way, a.Name, a.IsChosen, a.HasChosenMotor, a.Year.EnergyKwh, a.Year.DemandKw, a.Year.CostPerYear, a.Year.EquipmentCost, a.Year.LifetimeCost, a.Year.Co2Kg,
        [.. a.Points.Select(p => new AlternativePoint(p.LevelPu, p.HoursPerYear, p.LineW / 1e3))],
        a.PartSpeed,
        a.Returned,
        reference is null || a.Id == reference.Id ? null : Comparison.Of(a.Year, reference.Year, plant.Tariff));

    private static IReadOnlyList<LadderRung> Ladder(ConverterAtSite converter, double airC, double altitudeM)
    {
        var derating = converter.Item.Derating;
        var rungs = new List<LadderRung>
        {
            new($"rated, {(converter.Duty == OverloadDuty.Light ? "light" : "heavy")} overload", 1, converter.RatedCurrentA, ItemText.Converter(converter.Item)),
        };
        void Add(string name, double factor, string source) => rungs.Add(new LadderRung(name, factor, rungs[^1].CurrentA * factor, source));
        Add(
            FormattableString.Invariant($"air at converter {airC:0.#} °C"), converter.AmbientPu,
            FormattableString.Invariant($"{derating.AmbientPctPerK:0.##} %/K above {derating.AmbientFreeC:0.#} °C, up to {derating.AmbientMaxC:0.#} °C"));
        Add(
            FormattableString.Invariant($"altitude {altitudeM:0} m"), converter.AltitudePu,
            FormattableString.Invariant($"{derating.AltitudePctPer100M:0.##} %/100 m above {derating.AltitudeFreeM:0} m, up to {derating.AltitudeMaxM:0} m; above 2000 m check insulation and earthing too"));
        Add(FormattableString.Invariant($"switching {converter.SwitchingKhz:0.#} kHz"), converter.SwitchingPu, "switching curve of the item");
        if (converter.FeedPu < 1)
        {
            Add("fed by two phases", converter.FeedPu, "a three-phase unit on two conductors, unless the item states its own");
        }

        return rungs;
    }
}
