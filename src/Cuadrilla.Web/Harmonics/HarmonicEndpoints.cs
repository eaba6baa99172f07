using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Harmonics;

/// <summary>Harmonics of a scenario, explained.</summary>
/// <param name="ScenarioId">Scenario looked at.</param>
/// <param name="BusId">Bus looked at.</param>
/// <param name="Matrix">Figures of every scenario.</param>
/// <param name="Scan">Impedance of the bus.</param>
/// <param name="Peaks">Its maxima.</param>
/// <param name="PresentOrders">Orders that the front ends draw.</param>
/// <param name="Contributions">Who adds what at the coupling.</param>
/// <param name="Stories">Who adds and who cancels.</param>
/// <param name="Fronts">What spoils the front ends that matter.</param>
/// <param name="Iteration">How waveforms and network settled.</param>
/// <param name="Waves">A cycle of current and voltage at the bus.</param>
internal sealed record HarmonicStudyDocument(
    string ScenarioId,
    string BusId,
    IReadOnlyList<MatrixRowDocument> Matrix,
    IReadOnlyList<ScanDocument> Scan,
    IReadOnlyList<ScanDocument> Peaks,
    IReadOnlyList<int> PresentOrders,
    IReadOnlyList<ContributionDocument> Contributions,
    IReadOnlyList<OrderStoryDocument> Stories,
    IReadOnlyList<FrontStoryDocument> Fronts,
    IterationDocument Iteration,
    IReadOnlyList<WaveDocument> Waves);

/// <summary>What spoils a front end: distortion of its current as it is and without each of the causes, %; null where there is no such
/// cause.</summary>
internal sealed record FrontStoryDocument(
    string Tag,
    int Pulses,
    double ThdiPct,
    double? WithoutUnbalancePct,
    double? WithoutDistortionPct,
    double? WithoutMismatchPct,
    double? IdealPct,
    double ThirdA,
    double UnbalancePct,
    double DistortionPct);

/// <summary>How waveforms and network settled with each other.</summary>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPu">Largest contradiction between network and front ends, parts of nominal voltage.</param>
/// <param name="ResidualOrder">Order at which it is.</param>
/// <param name="Settled">True below the limit.</param>
internal sealed record IterationDocument(int Rounds, double ResidualPu, int ResidualOrder, bool Settled);

/// <summary>A figure in every scenario; null where there is none.</summary>
internal sealed record MatrixRowDocument(string Id, string Name, string Unit, double Limit, IReadOnlyList<double?> Figures, int Worst);

/// <summary>Impedance at a frequency, mΩ.</summary>
internal sealed record ScanDocument(double Order, double Mohm, double WithoutBanksMohm);

/// <summary>A front end's part at the coupling.</summary>
/// <param name="Id">Drive point, DC bus or group.</param>
/// <param name="Tag">Its tag.</param>
/// <param name="SharePct">Its part of the harmonic current, its own current through the linear network, %.</param>
/// <param name="TakenOutChangeA">What taking it out changes the harmonic current by, all others settled anew, A; null where it was not
/// asked or does not settle.</param>
/// <param name="Orders">Its phasors.</param>
internal sealed record ContributionDocument(string Id, string Tag, double SharePct, double? TakenOutChangeA,
    IReadOnlyList<PhasorDocument> Orders);

/// <summary>A phasor of one order.</summary>
internal sealed record PhasorDocument(int Order, double RmsA, double AngleDeg);

/// <summary>Who adds and who cancels on an order.</summary>
internal sealed record OrderStoryDocument(int Order, double ArithmeticA, double VectorA, string FirstTag, string SecondTag, double ApartDeg,
    double CancelledA);

/// <summary>A moment of a cycle.</summary>
internal sealed record WaveDocument(double AngleDeg, double? CurrentA, double VoltagePct);

/// <summary>Ways of mitigating.</summary>
/// <param name="DrivePoints">Drive points whose front ends are looked at.</param>
/// <param name="Ways">Those that comply first, the cheapest first.</param>
/// <param name="FilterA">Rated current of a central active filter at low voltage that would bring the coupling within its limits, A; 0:
/// none needed.</param>
internal sealed record MitigationDocument(int DrivePoints, IReadOnlyList<MitigationWayDocument> Ways, double FilterA);

/// <summary>A way of mitigating; <c>Change</c> is what the command <c>mitigate</c> puts on the board.</summary>
internal sealed record MitigationWayDocument(
    string Id,
    string Name,
    int Changed,
    double? ThdiPct,
    double? TddPct,
    double? ThdvPct,
    double? OrderUsePct,
    int Fails,
    bool Complies,
    double EnergyKwh,
    double EquipmentCost,
    double LifetimeCost,
    double WidthMm,
    string Spoils,
    MitigationChange Change);

/// <summary>Harmonics explained, and the mitigation workbench.</summary>
internal static class HarmonicEndpoints
{
    private const int HighestDrawn = 25;
    private const int MostTakenOut = 12;

    public static void MapHarmonics(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/projects/{id}/harmonics",
            (string id, string? scenarioId, string? busId, ProjectReader reader, Assessor assessor, StudyQueue queue,
                HttpContext context) =>
                queue.RunAsync(context, _ => reader.Specification(id) is not { } plant
                    ? ProjectEndpoints.Unknown()
                    : Study(plant, scenarioId, busId, assessor)))
            .WithName("getHarmonics").WithTags("Harmonics").Produces<HarmonicStudyDocument>().AsStudy();
        app.MapGet("/api/projects/{id}/mitigation",
            (string id, string? lineupId, string? drivePointId, ProjectReader reader, Assessor assessor, StudyQueue queue,
                HttpContext context) =>
                queue.RunAsync(context, progress => reader.Specification(id) is not { } plant
                    ? ProjectEndpoints.Unknown()
                    : Results.Ok(Mitigation(plant, lineupId, drivePointId, assessor, progress))))
            .WithName("getMitigation").WithTags("Harmonics").Produces<MitigationDocument>().AsStudy();
    }

    private static IResult Study(PlantSpecification plant, string? scenarioId, string? busId, Assessor assessor)
    {
        var assessment = assessor.Run(plant);
        var result = assessment.Scenarios.FirstOrDefault(s => s.ScenarioId == scenarioId)
            ?? assessment.Scenarios.MaxBy(s => s.Pcc.HarmonicA);
        if (result is null)
        {
            return Problems.NotFound("The supply is not stated: there is nothing to explain yet.");
        }

        var bus = result.Buses.FirstOrDefault(b => b.BusId == busId) ?? result.Buses.MaxBy(b => b.TotalThdvPct);
        if (bus is null)
        {
            return Problems.NotFound("No bus is live in this scenario.");
        }

        var defaults = DefaultsInForce.Resolve(assessor.Data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
        var study = HarmonicStudy.Of(plant, result, bus.BusId);
        var tags = plant.AllDrivePoints().Select(p => (p.Id, p.Tag))
            .Concat(plant.Lineups.SelectMany(l => l.DcBuses).Select(b => (b.Id, Tag: b.Name)))
            .Concat(plant.Lineups.SelectMany(l => l.Arrangements).Select(a => (a.Id, Tag: a.Name)))
            .ToDictionary(p => p.Id, p => p.Tag, StringComparer.Ordinal);
        string Tag(string key) => tags.GetValueOrDefault(key, key);
        var taken = assessor.Without(plant, result,
            [.. study.Contributions.OrderByDescending(c => Math.Abs(c.SharePct)).Take(MostTakenOut).Select(c => c.DrivePointId)])
            .ToDictionary(r => r.DrivePointId, r => r.ChangeA, StringComparer.Ordinal);
        return Results.Ok(new HarmonicStudyDocument(
            result.ScenarioId,
            bus.BusId,
            [.. HarmonicMatrix.Of(plant, assessment, assessor.Data, defaults)
                .Select(r => new MatrixRowDocument(r.Id, r.Name, r.Unit, r.Limit, [.. r.Figures.Select(Finite)], r.Worst))],
            [.. study.Scan.Select(Of)],
            [.. study.Peaks.Select(Of)],
            study.PresentOrders,
            [
                .. study.Contributions.Select(c => new ContributionDocument(
                    c.DrivePointId, Tag(c.DrivePointId), c.SharePct, Finite(taken.GetValueOrDefault(c.DrivePointId, double.NaN)),
                    [.. study.PresentOrders.Where(h => h <= HighestDrawn)
                        .Select(h => new PhasorDocument(h, c.OrdersA[h - 1].Magnitude, c.OrdersA[h - 1].Phase * 180 / Math.PI))])),
            ],
            [.. study.Stories.Select(s => new OrderStoryDocument(s.Order, s.ArithmeticA, s.VectorA, Tag(s.FirstId), Tag(s.SecondId),
                s.ApartDeg, s.CancelledA))],
            [
                .. assessor.Spoiled(plant, result).Select(f => new FrontStoryDocument(
                    Tag(f.DrivePointId), f.Pulses, f.ThdiPct, Finite(f.WithoutUnbalancePct), Finite(f.WithoutDistortionPct),
                    Finite(f.WithoutMismatchPct), Finite(f.IdealPct), f.ThirdA,
                    f.UnbalancePct, f.DistortionPct)),
            ],
            new IterationDocument(result.Iteration.Rounds, result.Iteration.ResidualPu, result.Iteration.ResidualOrder,
                result.Iteration.IsSettled),
            [.. study.BusVoltagePct.Select((v, i) => new WaveDocument(i, study.BusA.Count == 0 ? null : study.BusA[i], v))]));
    }

    private static MitigationDocument Mitigation(PlantSpecification plant, string? lineupId, string? drivePointId, Assessor assessor,
        StudyProgress progress)
    {
        IReadOnlyList<string> points =
        [
            .. plant.Lineups.Where(l => lineupId is null || l.Id == lineupId).SelectMany(l => l.DrivePoints).Select(p => p.Id)
            .Where(p => drivePointId is null || p == drivePointId),
        ];
        var (ways, filter) = MitigationWorkbench.Of(plant, points, assessor, progress.Tell);
        return new MitigationDocument(
            points.Count,
            [
                .. ways.Select(w => new MitigationWayDocument(
                    w.Id, w.Name, w.Changed, Finite(w.ThdiPct), Finite(w.TddPct), Finite(w.ThdvPct), Finite(w.OrderUsePct), w.Fails,
                    w.Complies, w.Year.EnergyKwh, w.Year.EquipmentCost,
                    w.Year.LifetimeCost, w.WidthMm, w.Spoils, w.Change)),
            ],
            filter.CurrentA);
    }

    private static ScanDocument Of(ScanPoint p) => new(p.Order, 1e3 * p.Ohm, 1e3 * p.WithoutBanksOhm);

    private static double? Finite(double value) => double.IsFinite(value) ? value : null;
}
