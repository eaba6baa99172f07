using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Web.Studies;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cuadrilla.Web.Tests;

/// <summary>Long studies: a bounded line, progress, and room for whoever comes after one who leaves.</summary>
public sealed class StudyQueueTests : IDisposable
{
    private readonly GivingWay way = new();
    private readonly StudyQueue queue;

    public StudyQueueTests() => queue = new StudyQueue(way);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_line_is_bounded_told_of_and_moves_up_when_somebody_leaves()
    {
        using var go = new ManualResetEventSlim();
        List<(DefaultHttpContext Context, CancellationTokenSource Leaves, Task<IResult> Task)> asked = [];
        var running = Math.Max(1, Environment.ProcessorCount / 2);
        for (var i = 0; i < running + StudyQueue.MostWaiting; i++)
        {
            var (context, leaves) = Request($"s{i}");
            asked.Add((context, leaves, queue.RunAsync(context, progress =>
            {
                progress.Tell(3, 14);
                go.Wait(Stop);
                return Results.Ok();
            })));
        }

        while (queue.Find("s0").Of != 14)
        {
            await Task.Delay(5, Stop);
        }

        Assert.Equal(new StudyDocument(true, true, 0, 3, 14), queue.Find("s0"));
        Assert.Equal(new StudyDocument(true, false, running + 1, 0, 0), queue.Find($"s{running + 1}"));
        Assert.Equal(StudyDocument.None, queue.Find("unknown"));

        var (late, lateLeaves) = Request("late");
        using (lateLeaves)
        {
            var refused = Assert.IsAssignableFrom<IStatusCodeHttpResult>(await queue.RunAsync(late, _ => Results.Ok()));
            Assert.Equal((StatusCodes.Status503ServiceUnavailable, "20"),
                (refused.StatusCode, late.Response.Headers.RetryAfter.ToString()));
        }

        // One who waits leaves: another may wait.
        await asked[running + 1].Leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => asked[running + 1].Task);
        Assert.False(queue.Find($"s{running + 1}").IsKnown);
        var (next, nextLeaves) = Request("next");
        using (nextLeaves)
        {
            var taken = queue.RunAsync(next, _ => Results.Ok());
            Assert.False(taken.IsCompleted);
            go.Set();
            Assert.IsType<Ok>(await taken);
        }

        foreach (var (_, leaves, task) in asked.Where(a => !a.Leaves.IsCancellationRequested).ToList())
        {
            Assert.IsType<Ok>(await task);
            leaves.Dispose();
        }
    }

    [Fact]
    public async Task A_study_that_fails_makes_room_too()
    {
        for (var i = 0; i < 30; i++)
        {
            var (context, leaves) = Request(string.Empty);
            using (leaves)
            {
                await Assert.ThrowsAsync<InvalidOperationException>(() =>
                    queue.RunAsync(context, _ => throw new InvalidOperationException()));
            }
        }

        var (last, lastLeaves) = Request("last");
        using (lastLeaves)
        {
            Assert.IsType<Ok>(await queue.RunAsync(last, _ => Results.Ok()));
        }
    }

    [Fact]
    public async Task The_workbench_of_the_demo_tells_how_far_it_is_and_stops_when_its_page_leaves()
    {
        using var host = new WebHost();
        var client = host.CreateClient();
        var project = await client.ImportDemo();
        using var leaves = new CancellationTokenSource();
        var asked = client.GetAsync($"/api/projects/{project["id"]}/mitigation?study=mine", leaves.Token);
        JsonNode? seen = null;
        while (!asked.IsCompleted && (int?)seen?["done"] is null or 0)
        {
            await Task.Delay(10, Stop);
            using var progress = await client.GetAsync("/api/studies/mine", Stop);
            seen = await progress.Body();
        }

        Assert.True((int?)seen!["of"] > 8, $"{seen}");
        await leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => asked);
        var isKnown = true;
        for (var i = 0; i < 200 && isKnown; i++)
        {
            await Task.Delay(10, Stop);
            isKnown = (bool)(await (await client.GetAsync("/api/studies/mine", Stop)).Body())["isKnown"]!;
        }

        Assert.False(isKnown);
    }

    [Fact]
    public async Task A_list_of_calculations_is_bounded_and_stops_when_its_caller_leaves()
    {
        using var host = new WebHost();
        var client = host.CreateClient();
        const string one = "{\"phaseFundamentalA\":71.4,\"unevenPct\":12,\"thirdHarmonicPct\":24}";
        using var many = await client.PostAsync("/api/calc/neutral-current",
            Calls.Json("[" + string.Join(',', Enumerable.Repeat(one, 10_001)) + "]"), Stop);
        Assert.Equal("Inputs is 10001; allowed: up to 10000 at a time.", (string?)(await many.Body())["detail"]);
        const string slow = "{\"kind\":\"six-pulse\",\"lineVoltageV\":480,\"frequencyHz\":60,\"shortCircuitMva\":1.65,\"sourceXr\":2.5,\"dcChokeUh\":1300,\"dcCapacitanceUf\":930,\"dcLoadKw\":15,\"unbalancePct\":2}";
        using var leaves = new CancellationTokenSource(300);
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() =>
            client.PostAsync("/api/calc/rectifier?study=list", Calls.Json("[" + string.Join(',', Enumerable.Repeat(slow, 10_000)) + "]"),
                leaves.Token));
        for (var i = 0; i < 100 && (bool)(await (await client.GetAsync("/api/studies/list", Stop)).Body())["isKnown"]!; i++)
        {
            await Task.Delay(20, Stop);
        }

        Assert.False((bool)(await (await client.GetAsync("/api/studies/list", Stop)).Body())["isKnown"]!);
    }

    public void Dispose()
    {
        queue.Dispose();
        way.Dispose();
    }

    private static (DefaultHttpContext Context, CancellationTokenSource Leaves) Request(string key)
    {
        var leaves = new CancellationTokenSource();
        var context = new DefaultHttpContext { RequestAborted = leaves.Token };
        context.Request.QueryString = new QueryString($"?study={key}");
        return (context, leaves);
    }
}
