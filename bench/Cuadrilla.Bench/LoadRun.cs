using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Sockets;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>
/// Editors on a real server: <c>bench load [seconds]</c>. Fifty on plants of their own, twenty on one plant, the workbench beside an
/// editor, and a list of 800; with the answers of <c>/api/health</c> meanwhile and the memory the server took.
/// </summary>
internal sealed class LoadRun : IDisposable
{
    private const int PlantPoints = 60;

    private readonly Process server;
    private readonly HttpClient client;
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-load-").FullName;
    private readonly ConcurrentDictionary<string, int> refusals = new(StringComparer.Ordinal);

    private LoadRun(string program)
    {
        client = new HttpClient(new SocketsHttpHandler { AutomaticDecompression = DecompressionMethods.All }) { BaseAddress =
            new Uri($"http://127.0.0.1:{FreePort()}"), Timeout = TimeSpan.FromMinutes(5) };
        server = Process.Start(new ProcessStartInfo("dotnet",
            [program, "--data", folder, "--urls", client.BaseAddress.GetLeftPart(UriPartial.Authority)]))!;
    }

    public static async Task<int> RunAsync(string program, int seconds)
    {
        using var run = new LoadRun(program);
        await run.StartedAsync();
        await run.OwnPlantsAsync(50, TimeSpan.FromSeconds(3), TimeSpan.FromSeconds(seconds));
        Console.WriteLine(Invariant($"  largest working set so far: {run.LargestMB():0} MB"));
        await run.OnePlantAsync(20, TimeSpan.FromSeconds(seconds));
        Console.WriteLine(Invariant($"  largest working set so far: {run.LargestMB():0} MB"));
        await run.LargePlantAsync(200);
        Console.WriteLine(Invariant($"  largest working set so far: {run.LargestMB():0} MB"));
        if (seconds >= 30) { await run.LargePlantAsync(800); }
        Console.WriteLine(Invariant($"  largest working set so far: {run.LargestMB():0} MB"));
        return 0;
    }

    public void Dispose()
    {
        if (!server.HasExited)
        {
            server.Kill();
            server.WaitForExit();
        }

        server.Dispose();
        client.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    private async Task StartedAsync()
    {
        for (var i = 0; i < 200; i++)
        {
            try
            {
                if ((await client.GetAsync("/api/health")).IsSuccessStatusCode)
                {
                    return;
                }
            }
            catch (HttpRequestException)
            {
                await Task.Delay(100);
            }
        }

        throw new InvalidOperationException("The server did not start.");
    }

    private async Task OwnPlantsAsync(int editors, TimeSpan pause, TimeSpan span)
    {
        var plants = new List<(string Id, string Stamp)>();
        for (var i = 0; i < editors; i++)
        {
            plants.Add(await ImportAsync(PlantPoints, $"Plant {i}"));
        }

        var times = new ConcurrentBag<double>();
        await using (new HealthWatch(client, "50 editors on 50 plants"))
        {
            var until = Stopwatch.StartNew();
            await Task.WhenAll(plants.Select(async (plant, i) =>
            {
                var knows = plant.Stamp;
                // Not all at once: editors are people.
                await Task.Delay(pause * i / editors);
                for (var edit = 1L; until.Elapsed < span; edit++)
                {
                    var watch = Stopwatch.StartNew();
                    if (await ChangeAsync(plant.Id, edit, i % PlantPoints, edit, knows) is not { } stamp)
                    {
                        break;
                    }

                    knows = stamp;
                    times.Add(watch.Elapsed.TotalSeconds);
                    await Task.Delay(TimeSpan.FromTicks(Math.Max(0, (pause - watch.Elapsed).Ticks)));
                }
            }));
        }

        Say($"{editors} editors on {editors} plants of {PlantPoints}, one edit every {pause.TotalSeconds:0} s", times, span);
    }

    private async Task OnePlantAsync(int editors, TimeSpan span)
    {
        var (id, begun) = await ImportAsync(PlantPoints, "One plant");
        var (times, merges) = (new ConcurrentBag<double>(), 0);
        await using (new HealthWatch(client, "20 editors on one plant"))
        {
            var until = Stopwatch.StartNew();
            await Task.WhenAll(Enumerable.Range(0, editors).Select(async i =>
            {
                var (edit, value, knows) = (1L, 0, begun);
                while (until.Elapsed < span)
                {
                    // As the page does: on somebody else's edit the own change is made again.
                    var watch = Stopwatch.StartNew();
                    value++;
                    while (true)
                    {
                        using var answer = await PostAsync(id, edit, i, value, knows);
                        using var body = answer.IsSuccessStatusCode || answer.StatusCode == HttpStatusCode.Conflict
                            ? JsonDocument.Parse(await answer.Content.ReadAsByteArrayAsync())
                            : null;
                        if (answer.IsSuccessStatusCode)
                        {
                            (edit, knows) = (body!.RootElement.GetProperty("edit").GetInt64(), StampIn(body));
                            times.Add(watch.Elapsed.TotalSeconds);
                            break;
                        }

                        if (body is null)
                        {
                            Refused(answer);
                            return;
                        }

                        Interlocked.Increment(ref merges);
                        edit = body.RootElement.GetProperty("current").GetProperty("edit").GetInt64();
                    }
                }
            }));
        }

        Say($"{editors} editors on one plant of {PlantPoints}, each as soon as answered ({merges} merges)", times, span);
    }

    private async Task LargePlantAsync(int points)
    {
        var watch = Stopwatch.StartNew();
        var (id, _) = await ImportAsync(points, $"Large plant {points}");
        Console.WriteLine(Invariant($"{points} drive points: imported and assessed in {watch.Elapsed.TotalSeconds:0.00} s"));
        watch.Restart();
        using (var list = await client.GetAsync($"/api/projects/{id}/drive-list.csv"))
        {
            Console.WriteLine(Invariant($"{points} drive points: drive list in {watch.Elapsed.TotalSeconds:0.00} s ({(int)list.StatusCode}")
                + Invariant($", {(await list.Content.ReadAsByteArrayAsync()).Length} bytes)"));
        }

        var (other, knows) = await ImportAsync(PlantPoints, $"Beside {points}");
        var times = new ConcurrentBag<double>();
        await using (new HealthWatch(client, $"workbench of {points}"))
        {
            watch.Restart();
            var workbench = client.GetAsync($"/api/projects/{id}/mitigation");
            for (var edit = 1L; !workbench.IsCompleted; edit++)
            {
                var one = Stopwatch.StartNew();
                if (await ChangeAsync(other, edit, 3, edit, knows) is not { } stamp)
                {
                    break;
                }

                knows = stamp;
                times.Add(one.Elapsed.TotalSeconds);
                await Task.WhenAny(workbench, Task.Delay(500));
            }

            using var answer = await workbench;
            Console.WriteLine(Invariant($"{points} drive points: workbench in ")
                + Invariant($"{watch.Elapsed.TotalSeconds:0.0} s ({(int)answer.StatusCode})"));
        }

        Say($"an editor of {PlantPoints} beside that workbench", times, watch.Elapsed);
    }

    private static string StampIn(JsonDocument answer) => answer.RootElement.GetProperty("stamp").GetString()!;

    // Its key, and the stamp of its assessment.
    private async Task<(string Id, string Stamp)> ImportAsync(int points, string name)
    {
        var plant = MadePlant.Of(ProjectFile.Read(DemoPlant.File(), ReferenceCatalogue.Data), points) with { Name = name };
        using var content = new ByteArrayContent(ProjectFile.Write(plant,
            ReferenceCatalogue.Data)) { Headers = { ContentType = new MediaTypeHeaderValue("application/json") } };
        using var answer = await client.PostAsync("/api/projects/import", content);
        answer.EnsureSuccessStatusCode();
        using var made = JsonDocument.Parse(await answer.Content.ReadAsByteArrayAsync());
        return (made.RootElement.GetProperty("id").GetString()!, StampIn(made));
    }

    // As the page asks: it has the assessment of the edit before.
    private Task<HttpResponseMessage> PostAsync(string id, long basedOn, int point, long value, string knows)
    {
        var change = new JsonObject
        {
            ["op"] = "replace",
            ["path"] = Invariant($"/lineups/{point / 20}/drivePoints/{point % 20}/load/common/staticFraction"),
            ["value"] = 0.05 + (value % 40 / 100.0),
        };
        var body = new JsonObject { ["basedOn"] = basedOn, ["label"] = "static part", ["who"] = "load run", ["merges"] = true,
            ["knows"] = knows, ["changes"] = new JsonArray(change) };
        return client.PostAsync($"/api/projects/{id}/changes", new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json"));
    }

    // The stamp of what it led to; null where it was refused.
    private async Task<string?> ChangeAsync(string id, long basedOn, int point, long value, string knows)
    {
        using var answer = await PostAsync(id, basedOn, point, value, knows);
        if (!answer.IsSuccessStatusCode)
        {
            Refused(answer);
            return null;
        }

        using var body = JsonDocument.Parse(await answer.Content.ReadAsByteArrayAsync());
        return StampIn(body);
    }

    private void Refused(HttpResponseMessage answer) => refusals.AddOrUpdate($"{(int)answer.StatusCode}", 1, (_, n) => n + 1);

    private void Say(string what, IReadOnlyCollection<double> times, TimeSpan span)
    {
        var sorted = times.Order().ToArray();
        double At(double part) => sorted.Length == 0 ? double.NaN : sorted[Math.Min(sorted.Length - 1, (int)(part * sorted.Length))];
        Console.WriteLine(Invariant(
            $"{what}: {sorted.Length} edits, {sorted.Length / span.TotalSeconds:0.0} a second; median {At(0.5):0.00} s, p95 {At(0.95):0.00} s, largest {At(1):0.00} s; errors: {(refusals.IsEmpty ? "none" : string.Join(", ", refusals.Select(r => $"{r.Value} × {r.Key}")))}"));
    }

    private double LargestMB()
    {
        var line = File.ReadLines($"/proc/{server.Id}/status").First(l => l.StartsWith("VmHWM", StringComparison.Ordinal));
        return double.Parse(line.Split(' ', StringSplitOptions.RemoveEmptyEntries)[1], CultureInfo.InvariantCulture) / 1024;
    }

    private static string Invariant(FormattableString text) => FormattableString.Invariant(text);

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    // Asks ten times a second how the server is, whatever else it does.
    private sealed class HealthWatch : IAsyncDisposable
    {
        private readonly CancellationTokenSource stop = new();
        private readonly List<double> times = [];
        private readonly string name;
        private readonly Task asking;

        public HealthWatch(HttpClient client, string name)
        {
            this.name = name;
            asking = Task.Run(async () =>
            {
                while (!stop.IsCancellationRequested)
                {
                    var watch = Stopwatch.StartNew();
                    using var answer = await client.GetAsync("/api/health");
                    times.Add(watch.Elapsed.TotalMilliseconds);
                    await Task.Delay(100);
                }
            });
        }

        public async ValueTask DisposeAsync()
        {
            await stop.CancelAsync();
            await asking;
            var sorted = times.Order().ToArray();
            Console.WriteLine(Invariant($"  health beside {name}: {sorted.Length} times; median {sorted[sorted.Length / 2]:0} ms, p99 ")
                + Invariant($"{sorted[(int)(0.99 * (sorted.Length - 1))]:0} ms, largest {sorted[^1]:0} ms"));
            stop.Dispose();
        }
    }
}
