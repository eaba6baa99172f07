using System.Collections.Concurrent;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Web.Accounts;

namespace Cuadrilla.Web.Projects;

/// <summary>An edit that came into force.</summary>
/// <param name="Edit">Its number.</param>
/// <param name="Who">Who made it.</param>
/// <param name="Label">What it was.</param>
/// <param name="Window">Which window asked for it, as it calls itself; empty where it does not.</param>
internal sealed record EditEvent(long Edit, string Who, string Label, string Window);

/// <summary>Tells open windows of a project what came into force, whoever saved it.</summary>
internal sealed class ProjectEvents
{
    /// <summary>Header by which a window says which one it is.</summary>
    public const string WindowHeader = "X-Cuadrilla-Window";

    // A window that is this far behind reads the project anew anyway.
    private const int Waiting = 32;

    private static readonly TimeSpan Beat = TimeSpan.FromSeconds(20);

    private readonly ConcurrentDictionary<string, ConcurrentDictionary<Guid, Channel<EditEvent>>> open = new(StringComparer.Ordinal);

    /// <summary>Tells all windows of a project.</summary>
    public void Announce(string project, EditEvent edit)
    {
        if (open.TryGetValue(project, out var windows))
        {
            foreach (var window in windows.Values)
            {
                window.Writer.TryWrite(edit);
            }
        }
    }

    /// <summary>What comes into force from now on; a beat in between keeps the line open and shows when nobody listens any more.</summary>
    /// <param name="project">Which project.</param>
    /// <param name="isWelcome">Asked before each is told: a session may have been ended meanwhile.</param>
    /// <param name="stop">Ends it.</param>
    public async IAsyncEnumerable<SseItem<EditEvent?>> Of(string project, Func<bool> isWelcome,
        [EnumeratorCancellation] CancellationToken stop)
    {
        var windows = open.GetOrAdd(project, _ => new ConcurrentDictionary<Guid, Channel<EditEvent>>());
        var (key, channel) = (Guid.NewGuid(),
            Channel.CreateBounded<EditEvent>(new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest }));
        windows[key] = channel;
        try
        {
            yield return new SseItem<EditEvent?>(null, "open");
            while (!stop.IsCancellationRequested)
            {
                var next = await Next(channel, stop);
                if (!isWelcome())
                {
                    yield break;
                }

                yield return next is { } edit ? new SseItem<EditEvent?>(edit, "edit") : new SseItem<EditEvent?>(null, "beat");
            }
        }
        finally
        {
            windows.TryRemove(key, out _);
        }
    }

    private static async Task<EditEvent?> Next(Channel<EditEvent> channel, CancellationToken stop)
    {
        using var beat = CancellationTokenSource.CreateLinkedTokenSource(stop);
        beat.CancelAfter(Beat);
        try
        {
            return await channel.Reader.ReadAsync(beat.Token);
        }
        catch (OperationCanceledException) when (!stop.IsCancellationRequested)
        {
            return null;
        }
    }
}

/// <summary>The endpoint of those events, and the filter that tells them.</summary>
internal static class EventEndpoints
{
    public static void MapEvents(this IEndpointRouteBuilder app) => app.MapGet("/api/projects/{id}/events", Open)
        .WithTags("Projects").WithName("projectEvents").Produces<string>(contentType: "text/event-stream");

    private static IResult Open(string id, HttpContext context, Data.ProjectStore store, SessionStore sessions, ProjectEvents events,
        IHostApplicationLifetime life)
    {
        if (store.Find(id) is null)
        {
            return ProjectEndpoints.Unknown();
        }

        // A server that stops does not wait for windows that listen.
        var stop = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
        context.Response.RegisterForDispose(stop);
        context.Response.Headers["X-Accel-Buffering"] = "no";
        var session = context.User.FindFirst(Persons.SessionClaim)?.Value;
        return TypedResults.ServerSentEvents(events.Of(id, () => session is null || sessions.IsLive(session), stop.Token));
    }

    /// <summary>Tells all windows where a request brought an edit into force.</summary>
    public static async ValueTask<object?> Tell(EndpointFilterInvocationContext invocation, EndpointFilterDelegate next)
    {
        var context = invocation.HttpContext;
        var id = context.Request.RouteValues["id"] as string ?? string.Empty;
        var store = context.RequestServices.GetRequiredService<Data.ProjectStore>();
        var before = HttpMethods.IsPost(context.Request.Method) && id.Length > 0 ? Latest(store, id) : null;
        var result = await next(invocation);
        if (before is not null && Latest(store, id) is { } now && now.Sequence != before.Sequence)
        {
            context.RequestServices.GetRequiredService<ProjectEvents>()
                .Announce(id, new EditEvent(now.Sequence, now.Who, now.Label,
                    context.Request.Headers[ProjectEvents.WindowHeader].ToString()));
        }

        return result;
    }

    private static Data.HistoryEntry? Latest(Data.ProjectStore store, string id) =>
        store.History(id, 1) is [var latest, ..] ? latest : null;
}
