using System.IO.Compression;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Data;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Bench;
using Cuadrilla.Web.Calculations;
using Cuadrilla.Web.Catalogue;
using Cuadrilla.Web.Energy;
using Cuadrilla.Web.Harmonics;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Lineups;
using Cuadrilla.Web.Lists;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Tables;
using Cuadrilla.Web.Templates;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.Extensions.Options;

// Settings stand beside the program, wherever it is started from.
var builder = WebApplication.CreateSlimBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
builder.Services.AddOptions<ServerOptions>().Bind(builder.Configuration).ValidateDataAnnotations().ValidateOnStart();
if (ListenAddresses.FirstOpen(builder.Configuration) is { } open)
{
    Console.Error.WriteLine($"Cuadrilla does not listen on {open}: it has no accounts yet, so whoever reaches it could change everything. Allowed: addresses of this machine alone, as http://127.0.0.1:5080.");
    return 2;
}

builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.AddServerHeader = false;
    kestrel.Limits.MaxRequestBodySize = ProjectFile.MaxBytes;
});
builder.Services.ConfigureHttpJsonOptions(json => ProjectJson.Configure(json.SerializerOptions));
builder.Services.AddResponseCompression(compression =>
{
    compression.EnableForHttps = true;
    compression.MimeTypes = ["application/json", "application/problem+json", "text/javascript", "text/css", "text/html", "image/svg+xml", "text/csv"];
});
builder.Services.Configure<BrotliCompressionProviderOptions>(brotli => brotli.Level = CompressionLevel.Optimal);
builder.Services.AddOpenApi(OpenApiRules.Apply);
builder.Services.AddSingleton(ReferenceCatalogue.Data);
builder.Services.AddHttpContextAccessor();

// One memory for all; whoever leaves stops what only he waits for.
builder.Services.AddKeyedSingleton(nameof(Assessor), (services, _) => new Assessor(services.GetRequiredService<EngineeringData>()));
builder.Services.AddScoped(services => services.GetRequiredKeyedService<Assessor>(nameof(Assessor))
    .StoppedBy(services.GetRequiredService<IHttpContextAccessor>().HttpContext?.RequestAborted ?? CancellationToken.None));
builder.Services.AddMemoryCache(memory => (memory.SizeLimit, memory.CompactionPercentage) = (ProjectReader.MostRecent, 0.5));
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(services => new Database(Path.Combine(services.GetRequiredService<IOptions<ServerOptions>>().Value.Data, "cuadrilla.db")));
builder.Services.AddSingleton(services =>
    new ProjectStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>(), ProjectFile.CurrentVersion));
builder.Services.AddSingleton(services =>
    new TemplateStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>(), ProjectFile.CurrentVersion));
builder.Services.AddScoped<ProjectReader>();
builder.Services.AddSingleton<ProjectEvents>();

var app = builder.Build();
app.UseMiddleware<SecurityHeaders>();
app.UseResponseCompression();
app.UseMiddleware<ProblemMiddleware>();
app.UseMiddleware<Doorkeeper>();
app.UseRoutingWithHead();
app.MapOpenApi("/api/openapi.json");
var api = app.MapGroup(string.Empty).WithEveryStatus();
api.MapCatalogue();
api.MapProjects();
api.MapHistory();
api.MapBench();
api.MapAlternatives();
api.MapLineups();
api.MapGroups();
api.MapShafts();
api.MapFollowers();
api.MapBrakes();
api.MapComparison();
api.MapHarmonics();
api.MapMeasurements();
api.MapExports();
api.MapCalculations();
api.MapTables();
api.MapDriveLists();
api.MapTemplates();
api.MapEvents();
app.Map(ApiFallback.Pattern, ApiFallback.Answer);
AppFiles.Map(app);

// The tool that writes the OpenAPI document runs this file too: it must neither touch a database nor listen.
if (System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name != "GetDocument.Insider")
{
    var database = app.Services.GetRequiredService<Database>();
    database.Migrate();
    app.Lifetime.ApplicationStopped.Register(database.Settle);
    if (app.Services.GetRequiredService<IOptions<ServerOptions>>().Value.Demo && app.Services.GetRequiredService<ProjectStore>().List().Count == 0)
    {
        using var scope = app.Services.CreateScope();
        foreach (var key in DemoPlant.Keys.Reverse())
        {
            scope.ServiceProvider.GetRequiredService<ProjectReader>().Create(DemoPlant.Read(ReferenceCatalogue.Data, key), "engineer", "Demo plant");
        }
    }
}

await app.RunAsync();
return 0;

/// <summary>The web program; public for the tests that host it.</summary>
public partial class Program;
