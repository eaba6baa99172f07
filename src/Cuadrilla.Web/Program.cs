using System.IO.Compression;
using System.Net.Sockets;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments.StandIns;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Bench;
using Cuadrilla.Web.Cabinets;
using Cuadrilla.Web.Calculations;
using Cuadrilla.Web.Catalogue;
using Cuadrilla.Web.Commissioning;
using Cuadrilla.Web.Energy;
using Cuadrilla.Web.Harmonics;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Instruments;
using Cuadrilla.Web.Lineups;
using Cuadrilla.Web.Lists;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Signals;
using Cuadrilla.Web.Studies;
using Cuadrilla.Web.Supplies;
using Cuadrilla.Web.Tables;
using Cuadrilla.Web.Templates;
using Cuadrilla.Web.Training;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.Extensions.Options;

// The same program is the process of the stand-ins, when the server starts it so.
if (args is ["stand-ins"])
{
    return await StandInCommandLine.FromStandardInputAsync();
}

// Settings stand beside the program, wherever it is started from.
var builder = WebApplication.CreateSlimBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
builder.Services.AddOptions<ServerOptions>().Bind(builder.Configuration).ValidateDataAnnotations().ValidateOnStart();
var (options, wrong) = StatedOptions.Read(builder.Configuration);
if (options is null)
{
    Console.Error.WriteLine(wrong);
    return 2;
}

var open = ListenAddresses.Open(builder.Configuration);
if (options.Proxy.Count == 0 && open.FirstOrDefault(o => !o.IsSecure) is { } bare)
{
    Console.Error.WriteLine(
        $"Cuadrilla does not listen on {bare.Says} without TLS: passwords could be read on the way. Allowed: addresses of this machine "
            + "alone, as http://127.0.0.1:5080; "
        + "https with --certificate and --certificateKey; or a proxy that ends TLS, stated by --proxy:0 ADDRESS.");
    return 2;
}

var isServed = open.Count > 0 || options.Proxy.Count > 0;
if (options.Certificate.Length > 0)
{
    builder.Configuration["Kestrel:Certificates:Default:Path"] = options.Certificate;
    builder.Configuration["Kestrel:Certificates:Default:KeyPath"] = options.CertificateKey;
}

builder.WebHost.UseKestrelHttpsConfiguration();
builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.AddServerHeader = false;
    kestrel.Limits.MaxRequestBodySize = ProjectFile.MaxBytes;
});
builder.Services.ConfigureHttpJsonOptions(json => ProjectJson.Configure(json.SerializerOptions));
builder.Services.AddResponseCompression(compression =>
{
    compression.EnableForHttps = true;
    compression.MimeTypes = ["application/json", "application/problem+json", "text/javascript", "text/css", "text/html", "image/svg+xml",
        "text/csv"];
});
builder.Services.Configure<BrotliCompressionProviderOptions>(brotli => brotli.Level = CompressionLevel.Optimal);
builder.Services.AddOpenApi(OpenApiRules.Apply);
builder.Services.AddSingleton(ReferenceCatalogue.Data);
builder.Services.AddHttpContextAccessor();

// One memory for all; whoever leaves stops what only he waits for.
builder.Services.AddKeyedSingleton(nameof(Assessor), (services, _) => new Assessor(services.GetRequiredService<EngineeringData>()));
builder.Services.AddScoped(services => services.GetRequiredKeyedService<Assessor>(nameof(Assessor))
    .StoppedBy(services.GetRequiredService<IHttpContextAccessor>().HttpContext?.RequestAborted ?? CancellationToken.None));
builder.Services.AddSingleton<RecentEdits>();
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(services =>
{
    var wanted = services.GetRequiredService<IOptions<ServerOptions>>().Value;
    return new Database(Path.Combine(wanted.Data, "cuadrilla.db"), wanted.LargestMB);
});
builder.Services.AddSingleton(services =>
    new ProjectStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>(), ProjectFile.CurrentVersion));
builder.Services.AddSingleton(services =>
    new TemplateStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>(), ProjectFile.CurrentVersion));
builder.Services.AddScoped<ProjectReader>();
builder.Services.AddSingleton(services =>
    new SiteLogStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>()));
builder.Services.AddSingleton(services =>
    new ParameterStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>()));
builder.Services.AddSingleton(services =>
    new SiteRunStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>()));
builder.Services.AddSingleton(services =>
    new TrainingStore(services.GetRequiredService<Database>(), services.GetRequiredService<TimeProvider>()));
builder.Services.AddScoped<SiteRecords>();
builder.Services.AddScoped<ParameterSheets>();
builder.Services.AddSingleton<InstrumentRoom>();
builder.Services.AddSingleton<ReadingPins>();
builder.Services.AddSingleton<RunRecorder>();
builder.Services.AddSingleton<ProjectEvents>();
builder.Services.AddSingleton<GivingWay>();
builder.Services.AddSingleton<StudyQueue>();
builder.Services.AddSingleton<EditTurns>();
builder.Services.AddSingleton<TidyingUp>();
// The tool that writes the OpenAPI document runs this file too: it must neither touch a folder nor listen.
var isRunning = System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name != "GetDocument.Insider";
builder.Services.AddSignIn(options, isServed, keepsKeys: isRunning);
builder.Services.AddScoped<TakenReadings>();
if (isRunning)
{
    builder.Services.AddHostedService(services => services.GetRequiredService<InstrumentRoom>());
    builder.Services.AddHostedService(services => services.GetRequiredService<RunRecorder>());
}

// Long studies hold threads for seconds: an answer that takes a millisecond must not wait until the pool has noticed.
ThreadPool.SetMinThreads(4 * Environment.ProcessorCount + 8, 16);

var app = builder.Build();
app.UseMiddleware<SecurityHeaders>();
app.UseResponseCompression();
app.UseMiddleware<ProblemMiddleware>();
app.UseStatedProxy(options);
app.UseMiddleware<Doorkeeper>();
app.UseRoutingWithHead();
app.UseSignIn(isServed);
app.MapOpenApi("/api/openapi.json").For(AccountRole.Reader);
var api = app.MapGroup(string.Empty).For(AccountRole.Reader).WithEveryStatus();
api.MapSessions();
api.MapAccounts();
api.MapCatalogue();
api.MapProjects();
api.MapProjectStates();
api.MapHistory();
api.MapBench();
api.MapAlternatives();
api.MapLineups();
api.MapGroups();
api.MapShafts();
api.MapFollowers();
api.MapBrakes();
api.MapSun();
api.MapLongCables();
api.MapOnePhase();
api.MapCabinets();
api.MapSignals();
api.MapParameters();
api.MapSite();
api.MapInstruments();
api.MapTraining();
api.MapGenerator();
api.MapComparison();
api.MapHarmonics();
api.MapMeasurements();
api.MapExports();
api.MapCalculations();
api.MapTables();
api.MapDriveLists();
api.MapTemplates();
api.MapEvents();
api.MapStudies();
app.Map(ApiFallback.Pattern, ApiFallback.Answer);
AppFiles.Map(app);

if (isRunning && StartUp.Prepare(app, isServed) is { } trouble)
{
    Console.Error.WriteLine(trouble);
    return 2;
}

try
{
    await app.RunAsync();
}
catch (IOException problem) when (problem.InnerException is AddressInUseException)
{
    Console.Error.WriteLine($"{problem.Message} Another program listens there, perhaps another Cuadrilla: stop it, or name another port "
        + "by CUADRILLA_PORT.");
    return 2;
}
catch (SocketException problem)
{
    // An address that this machine does not have, a port that its owner keeps for others.
    Console.Error.WriteLine($"Cuadrilla can't listen on {string.Join(", ", ListenAddresses.Named(builder.Configuration))}: "
        + $"{problem.Message}.");
    return 2;
}

return 0;

/// <summary>The web program; public for the tests that host it.</summary>
public partial class Program;
