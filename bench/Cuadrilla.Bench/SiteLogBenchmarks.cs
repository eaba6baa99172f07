using BenchmarkDotNet.Attributes;
using Cuadrilla.Data;
using Cuadrilla.Data.Commissioning;

namespace Cuadrilla.Bench;

/// <summary>A log of 100,000 entries on disk: its newest page, pages of filters, words that are rare.</summary>
[MemoryDiagnoser]
public class SiteLogBenchmarks
{
    private const int Entries = 100_000;
    private const int Page = 100;
    private string folder = string.Empty;
    private string project = string.Empty;
    private SiteLogStore log = null!;

    /// <summary>Writes the log.</summary>
    [GlobalSetup]
    public void Setup()
    {
        folder = Directory.CreateTempSubdirectory("cuadrilla-bench-").FullName;
        var database = new Database(Path.Combine(folder, "cuadrilla.db"));
        database.Migrate();
        project = new ProjectStore(database, TimeProvider.System, 15).Create("""{"name":"works","lineups":[]}"""u8.ToArray(), "engineer", "new").Id;
        log = new SiteLogStore(database, TimeProvider.System);
        log.Add(project, [.. Enumerable.Range(0, Entries).Select(i => new StoredSiteEntry
        {
            Who = "commissioning engineer", PointId = $"dp-{i % 200}", StepId = $"step-{i % 30}", Verdict = i % 50 == 0 ? "Fails" : "Holds",
            Result = "0.1, 0.12, 0.12 Ω: spread 20 %, at most 2", Note = i % 9973 == 0 ? "lug tightened" : "as found",
            Instrument = "micro-ohmmeter",
            Reading = """{"Values":{"uv":0.1,"vw":0.12,"wu":0.12},"Run":[],"Done":null}""", Edit = 1,
            Basis = """{"Plate":["45 kW","400 V","82 A"],"Cable":["62 m","1 × 25 mm²","copper, screened"]}""",
        })]);
    }

    /// <summary>Takes it away.</summary>
    [GlobalCleanup]
    public void Cleanup()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    /// <summary>The newest page.</summary>
    [Benchmark]
    public int Newest() => log.Find(project, All).Count;

    /// <summary>A page of one step of one drive point that failed.</summary>
    [Benchmark]
    public int Filtered() => log.Find(project, All with { PointId = "dp-50", StepId = "step-20", Verdict = "Fails" }).Count;

    /// <summary>Words that a few entries have: all are read.</summary>
    [Benchmark]
    public int Words() => log.Find(project, All with { Words = "lug tight" }).Count;

    private static SiteEntryFilter All { get; } = new(null, null, null, null, null, Page);
}
