using System.Text;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Templates;

/// <summary>A drive point to keep as a template.</summary>
/// <param name="ProjectId">Project that it is of.</param>
/// <param name="PointId">Its key there.</param>
/// <param name="Name">Name of the template, 1 to 80 characters; one of the same name is replaced.</param>
/// <param name="Who">Who keeps it, 1 to 60 characters.</param>
internal sealed record KeepTemplateRequest(string ProjectId, string PointId, string Name, string Who);

/// <summary>A template of drive points.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Name.</param>
/// <param name="AtUtc">When it was kept.</param>
/// <param name="Who">Who kept it.</param>
internal sealed record TemplateDocument(string Id, string Name, string AtUtc, string Who);

/// <summary>What a template holds, as the command add-like takes it.</summary>
/// <param name="Original">The drive point.</param>
/// <param name="Motors">Own motors that it refers to.</param>
/// <param name="Converters">Own converters that it refers to.</param>
internal sealed record TemplateContent(DrivePoint Original, ValueList<OwnMotor> Motors, ValueList<OwnConverter> Converters);

/// <summary>Templates of drive points, kept for every project of this installation.</summary>
internal static class TemplateEndpoints
{
    public static void MapTemplates(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/templates").WithTags("Templates");
        group.MapGet("/", (TemplateStore store) => All(store)).WithName("listTemplates");
        group.MapPost("/", KeepAsync).WithName("keepTemplate").For(AccountRole.Engineer).Accepts<KeepTemplateRequest>("application/json")
            .Produces<TemplateDocument>();
        group.MapGet("/{id}", (string id, TemplateStore store) => store.Find(id) is { } found ? Results.Ok(Content(found)) : Unknown())
            .WithName("getTemplate").Produces<TemplateContent>();
        group.MapDelete("/{id}", (string id, TemplateStore store) => store.Remove(id) ? Results.Ok(All(store)) : Unknown())
            .WithName("removeTemplate").For(AccountRole.Engineer).Produces<IReadOnlyList<TemplateDocument>>();
    }

    private static async Task<IResult> KeepAsync(HttpRequest request, TemplateStore store, ProjectReader reader)
    {
        var wanted = await RequestBody.ReadAsync<KeepTemplateRequest>(request);
        Persons.RequireWords("/name", "Name", wanted.Name.Trim(), 80);
        var author = request.Author(wanted.Who);
        if (reader.Specification(wanted.ProjectId) is not { } plant)
        {
            return ProjectEndpoints.Unknown();
        }

        var lineup = plant.Lineups.FirstOrDefault(l => l.DrivePoints.Any(p => p.Id == wanted.PointId))
            ?? throw new InputException(InputProblem.Of("/pointId", "Drive point", $"'{wanted.PointId}'", "a key of this plant"));
        var alone = Alone(plant, lineup, lineup.DrivePoints.First(p => p.Id == wanted.PointId));
        ProjectFile.Require(alone, reader.Data);
        return Results.Ok(Listed(store.Keep(wanted.Name.Trim(), author, Encoding.UTF8.GetString(ProjectReader.Write(alone)))));
    }

    // The rest of the plant stays, so that it is a valid project; what the drive point shares with others does not go with it.
    private static PlantSpecification Alone(PlantSpecification plant, Lineup lineup, DrivePoint point)
    {
        var kept = point.Converter is ConverterChoice.OfGroup ? point with { Converter = new ConverterChoice.NotChosen() } : point;
        return plant with
        {
            Lineups = [lineup with { DrivePoints = [kept], DcBuses = [], Arrangements = [], VariantName = string.Empty,
                Reason = string.Empty, SetAside = [] }],
            Scenarios = [.. plant.Scenarios.Select(s => s with { States = [] })],
            Motors = [.. plant.Motors.Where(m => kept.Motor is MotorChoice.FromCatalogue c && c.ItemId == m.Id)],
            Converters = [.. plant.Converters.Where(m => kept.Converter is ConverterChoice.FromCatalogue c && c.ItemId == m.Id)],
        };
    }

    private static IReadOnlyList<TemplateDocument> All(TemplateStore store) => [.. store.List().Select(Listed)];

    private static TemplateDocument Listed(StoredTemplate stored) => new(stored.Id, stored.Name, stored.AtUtc, stored.Who);

    private static TemplateContent Content(StoredTemplate stored)
    {
        var plant = StoredProject.Read(stored.Document, (int)stored.FormatVersion);
        return new TemplateContent(plant.AllDrivePoints().First(), plant.Motors, plant.Converters);
    }

    private static IResult Unknown() => Problems.NotFound("There is no such template.");
}
