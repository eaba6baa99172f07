using System.Globalization;
using System.Text.Json;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments.StandIns;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Commissioning;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Training;

namespace Cuadrilla.Web.Instruments;

/// <summary>Instruments at a plant: how they are reached, what they read, stand-ins, runs.</summary>
internal static class InstrumentEndpoints
{
    private const int LargestSeed = 1_000_000;
    private const double MostTimes = 60;
    private const int MostTaken = 50;
    private static readonly TimeSpan Silent = TimeSpan.FromSeconds(5);

    public static void MapInstruments(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/instruments").WithTags("Instruments");
        group.MapGet("/", (string id, ProjectStore projects, InstrumentRoom room) =>
                projects.Find(id) is null ? ProjectEndpoints.Unknown() : Results.Ok(Document(id, room)))
            .WithName("getInstruments").Produces<InstrumentsDocument>();
        group.MapGet("/points/{point}", (string id, string point, ProjectStore projects, ProjectReader reader, InstrumentRoom room,
                TimeProvider clock) => SiteEndpoints.OnPoint(id, point, projects, reader,
                    (_, _, p) => Results.Ok(Readings(id, p, room, clock))))
            .WithName("getReadings").Produces<PointReadingsDocument>();
        group.MapGet("/points/{point}/line-wave", (string id, string point, ProjectStore projects, ProjectReader reader,
                InstrumentRoom room, Assessor assessor, TimeProvider clock) => SiteEndpoints.OnPoint(id, point, projects, reader,
                    (_, plant, p) => Results.Ok(new LineWaveDocument(room.Board.WaveOf(id, p.Id, p.Tag, "wave.line") is { } wave
                        ? RecordedCycleDocument.Of(wave, assessor.SiteOf(plant, p), clock.GetUtcNow()) : null))))
            .WithName("getLineWave").Produces<LineWaveDocument>();
        group.MapPost("/stand-ins", StartAsync).WithName("startStandIns").For(AccountRole.Engineer)
            .Accepts<StartStandInsRequest>("application/json").Produces<InstrumentsDocument>();
        group.MapPost("/stand-ins/stop", async (string id, ProjectStore projects, InstrumentRoom room) =>
            {
                if (projects.Find(id) is null)
                {
                    return ProjectEndpoints.Unknown();
                }

                await room.StopStandInsAsync(id);
                return Results.Ok(Document(id, room));
            }).WithName("stopStandIns").For(AccountRole.Engineer).Produces<InstrumentsDocument>();
        group.MapPost("/orders", OrderAsync).WithName("orderStandIn").For(AccountRole.Engineer)
            .Accepts<OrderStandInRequest>("application/json").Produces<PointReadingsDocument>();
        group.MapPost("/taken", TakeAsync).WithName("takeReadings").For(AccountRole.Engineer)
            .Accepts<TakeReadingsRequest>("application/json").Produces<IReadOnlyList<ReadingDocument>>();
        group.MapGet("/runs/{point}/{step}", (string id, string point, string step, ProjectStore projects, SiteRunStore runs) =>
                projects.Find(id) is null ? ProjectEndpoints.Unknown()
                    : Results.Ok(new RunsDocument(runs.Newest(id, point, step) is { } run ? RunDocument.Of(run, runs) : null)))
            .WithName("getRun").Produces<RunsDocument>();
        group.MapPost("/runs", BeginRunAsync).WithName("beginRun").For(AccountRole.Engineer)
            .Accepts<RunRequest>("application/json").Produces<RunDocument>();
        group.MapPost("/runs/end", EndRunAsync).WithName("endRun").For(AccountRole.Engineer)
            .Accepts<RunRequest>("application/json").Produces<RunDocument>();
        var maps = app.MapGroup("/api/topic-maps").WithTags("Instruments");
        maps.MapPost("/", async (HttpRequest request, InstrumentRoom room) =>
            {
                await room.AddMapAsync(await RequestBody.BytesAsync(request));
                return Results.Ok(room.Maps.Select(MapDocument.Of));
            }).WithName("addTopicMap").For(AccountRole.Engineer)
            .Accepts<JsonElement>("application/json").Produces<IReadOnlyList<MapDocument>>();
        maps.MapDelete("/{file}", async (string file, InstrumentRoom room) => await room.RemoveMapAsync(file)
                ? Results.Ok(room.Maps.Select(MapDocument.Of)) : Problems.NotFound("There is no such map."))
            .WithName("removeTopicMap").For(AccountRole.Engineer).Produces<IReadOnlyList<MapDocument>>();
    }

    private static InstrumentsDocument Document(string id, InstrumentRoom room)
    {
        var (state, trouble, broker, isOwn) = room.Link;
        return new(state, trouble, broker, isOwn, room.Board.Counts, [.. room.Maps.Select(MapDocument.Of)],
            room.ProcessOf(id) is { } p
                ? new(p.IsRunning, p.DrivePoints, p.Ended, p.Seed, p.Times, p.Edit,
                    p.Since.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture))
                : null);
    }

    private static PointReadingsDocument Readings(string id, DrivePoint point, InstrumentRoom room, TimeProvider clock)
    {
        var now = clock.GetUtcNow();
        var status = room.StatusOf(id, point.Id);
        return new(point.Id, [.. room.Board.Of(id, point.Id, point.Tag).Values.OrderBy(r => r.Kind.Name, StringComparer.Ordinal)
            .Select(r => ReadingDocument.Of(r, now))], status, status is null ? null : Math.Round((now - status.At).TotalSeconds, 1));
    }

    private static async Task<IResult> StartAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        InstrumentRoom room, TrainingStore training, EngineeringData data)
    {
        var wanted = await RequestBody.ReadAsync<StartStandInsRequest>(request);
        if (wanted.Seed is < 0 or > LargestSeed)
        {
            throw new InputException(InputProblem.Of("/seed", "Seed", $"{wanted.Seed}", $"0 to {LargestSeed}"));
        }

        if (!(wanted.Times is >= 1 and <= MostTimes))
        {
            throw new InputException(InputProblem.Of("/times", "Times", wanted.Times.ToString(CultureInfo.InvariantCulture),
                $"1 to {MostTimes}"));
        }

        if (projects.Find(id) is not { } head)
        {
            return ProjectEndpoints.Unknown();
        }

        if (room.WhyNoMore(id) is { } full)
        {
            return Problems.Of("too-many", "Refused", StatusCodes.Status409Conflict, full, []);
        }

        using var project = JsonDocument.Parse(ProjectFile.Write(reader.Of(head), data));
        var job = new StandInJob(string.Empty, id, wanted.Seed, project.RootElement.Clone()) { Times = wanted.Times };
        await room.StartStandInsAsync(TrainingEndpoints.With(job, training.Find(id)), head.Edit);
        return Results.Ok(Document(id, room));
    }

    private static async Task<IResult> OrderAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        InstrumentRoom room, TimeProvider clock)
    {
        var wanted = await RequestBody.ReadAsync<OrderStandInRequest>(request);
        if (wanted.FrequencyHz is { } hz && !(Math.Abs(hz) <= 1000))
        {
            throw new InputException(InputProblem.Of("/frequencyHz", "Frequency", hz.ToString(CultureInfo.InvariantCulture),
                "−1000 to 1000 Hz"));
        }

        if (projects.Find(id) is not { } head)
        {
            return ProjectEndpoints.Unknown();
        }

        if (reader.Of(head).AllDrivePoints().FirstOrDefault(p => p.Id == wanted.PointId) is not { } point)
        {
            return Problems.NotFound("There is no such drive point.");
        }

        // Whoever started it: what counts is that a simulated drive speaks now.
        if (room.StatusOf(id, point.Id) is not { } said || clock.GetUtcNow() - said.At > Silent)
        {
            return Problems.Of("no-stand-in", "Refused", StatusCodes.Status409Conflict,
                "No stand-in of this drive point runs. Orders go to simulated drives alone, never to a real one.", []);
        }

        var key = Guid.NewGuid().ToString("N");
        await room.OrderAsync(id, point.Id, new StandInRequest(wanted.Order, wanted.FrequencyHz, key));

        // It answers with its next state.
        for (var i = 0; i < 40 && room.StatusOf(id, point.Id)?.Answered != key; i++)
        {
            await Task.Delay(50, request.HttpContext.RequestAborted);
        }

        return Results.Ok(Readings(id, point, room, clock));
    }

    private static async Task<IResult> TakeAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        InstrumentRoom room, ReadingPins pins, TimeProvider clock)
    {
        var wanted = await RequestBody.ReadAsync<TakeReadingsRequest>(request);
        if (wanted.Names.Count is 0 or > MostTaken)
        {
            throw new InputException(InputProblem.Of("/names", "Names", $"{wanted.Names.Count}", $"1 to {MostTaken}"));
        }

        return SiteEndpoints.OnPoint(id, wanted.PointId, projects, reader, (_, _, point) =>
        {
            var now = clock.GetUtcNow();
            List<ReadingDocument> taken = [];
            foreach (var reading in room.Board.Of(id, point.Id, point.Tag).Values.Where(r => wanted.Names.Contains(r.Kind.Name)))
            {
                var document = ReadingDocument.Of(reading, now);
                if (document.Good)
                {
                    pins.Pin(id, point.Id, reading);
                    taken.Add(document);
                }
            }

            return Results.Ok(taken);
        });
    }

    private static async Task<IResult> BeginRunAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        SiteRunStore runs, RunRecorder recorder, Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<RunRequest>(request);
        var author = request.Author(wanted.Who);
        return SiteEndpoints.OnPoint(id, wanted.PointId, projects, reader, (_, plant, point) =>
        {
            if (StepReadings.Of(wanted.StepId, StepReadings.RunId) is not { } reading
                || SiteSteps.Of(assessor.SiteOf(plant, point)).All(s => s.Id != wanted.StepId))
            {
                throw new InputException(InputProblem.Of("/stepId", "Step", $"'{wanted.StepId}'", "a step with a run, as temperature-run"));
            }

            if (runs.Begin(id, point.Id, point.Tag, wanted.StepId, reading, author) is not { } run)
            {
                return Problems.Of("closed", "Refused", StatusCodes.Status403Forbidden,
                    "The plant is archived or in the bin; open it again first.", []);
            }

            recorder.Begin(run);
            return Results.Ok(RunDocument.Of(run, runs));
        });
    }

    private static async Task<IResult> EndRunAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        SiteRunStore runs, RunRecorder recorder)
    {
        var wanted = await RequestBody.ReadAsync<RunRequest>(request);
        request.Author(wanted.Who);
        return SiteEndpoints.OnPoint(id, wanted.PointId, projects, reader, (_, _, point) =>
        {
            if (runs.Newest(id, point.Id, wanted.StepId) is not { } run)
            {
                return Problems.NotFound("There is no run of that step.");
            }

            recorder.End(run, "ended");
            return Results.Ok(RunDocument.Of(runs.Find(id, run.Number)!, runs));
        });
    }
}

/// <summary>The newest run of a step; null without.</summary>
internal sealed record RunsDocument(RunDocument? Newest);
