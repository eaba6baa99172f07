using System.Collections.Concurrent;
using System.Net;
using System.Net.Sockets;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments;
using Cuadrilla.Instruments.StandIns;
using Cuadrilla.Web.Http;
using Microsoft.Extensions.Options;

namespace Cuadrilla.Web.Instruments;

/// <summary>
/// The server's end of the instruments: its broker or that of a site, the link to it, the maps, the newest readings, and the processes
/// of stand-ins that it started.
/// </summary>
internal sealed class InstrumentRoom(IOptions<ServerOptions> options, TimeProvider clock, ILogger<InstrumentRoom> log)
    : IHostedService, IAsyncDisposable
{
    private const int MostProcesses = 4;

    private readonly SemaphoreSlim door = new(1), starting = new(1);
    private readonly ConcurrentDictionary<(string Plant, string Point), StandInStatus> statuses = new();
    private readonly ConcurrentDictionary<string, StandInProcess> processes = new(StringComparer.Ordinal);
    private EmbeddedBroker? broker;
    private InstrumentLink? link;
    private volatile MessageReader? reader;

    /// <summary>Newest readings.</summary>
    public ReadingBoard Board { get; } = new();

    /// <summary>Maps with what stands against them.</summary>
    public IReadOnlyList<StoredMap> Maps { get; private set; } = [];

    /// <summary>How the link stands.</summary>
    public (LinkState State, string Trouble, string Broker, bool IsOwn) Link =>
        link is { } l ? (l.State, l.Trouble, l.Address.ToString(), broker is not null) : (LinkState.Off, string.Empty, string.Empty, false);

    private string MapFolder => Path.Combine(options.Value.Data, "topic-maps");

    /// <inheritdoc/>
    public async Task StartAsync(CancellationToken cancellationToken)
    {
        if (options.Value.Broker.Length == 0 && options.Value.MqttPort == 0)
        {
            return;
        }

        try
        {
            await OpenAsync();
        }
        catch (Exception problem) when (problem is InputException or SocketException)
        {
            // Without instruments the rest goes on.
            log.LogError("Instruments: {Problem}", problem.Message);
        }
    }

    /// <inheritdoc/>
    public async Task StopAsync(CancellationToken cancellationToken) => await DisposeAsync();

    /// <summary>Opens broker and link, once.</summary>
    public async Task OpenAsync()
    {
        await door.WaitAsync();
        try
        {
            if (link is null)
            {
                await ConnectAsync();
            }
        }
        finally
        {
            door.Release();
        }
    }

    /// <summary>Keeps a map and listens by it.</summary>
    /// <param name="utf8">The file.</param>
    /// <exception cref="InputException">It does not fit.</exception>
    public async Task AddMapAsync(byte[] utf8)
    {
        var map = TopicMap.Read(utf8);
        await door.WaitAsync();
        try
        {
            Directory.CreateDirectory(MapFolder);
            var file = Path.Combine(MapFolder, MapFiles.NameOf(map) + ".json");
            await File.WriteAllBytesAsync(file + ".new", utf8);
            File.Move(file + ".new", file, overwrite: true);
            await ConnectAnewAsync();
        }
        finally
        {
            door.Release();
        }
    }

    /// <summary>Removes a map of the folder and listens by it no more; what was read by it stays until newer comes.</summary>
    /// <param name="file">Its name there.</param>
    /// <returns>False: there is none of that name.</returns>
    public async Task<bool> RemoveMapAsync(string file)
    {
        await door.WaitAsync();
        try
        {
            // Only what is listed: a name with a path in it is none of them.
            if (!MapFiles.Read(MapFolder).Any(m => m.File.Length > 0 && m.File == file))
            {
                return false;
            }

            File.Delete(Path.Combine(MapFolder, file));
            await ConnectAnewAsync();
            return true;
        }
        finally
        {
            door.Release();
        }
    }

    /// <summary>What the stand-in of a drive point does; null where there is none.</summary>
    public StandInStatus? StatusOf(string plant, string point) => statuses.GetValueOrDefault((plant, point));

    /// <summary>The process of a plant's stand-ins; null where none was started.</summary>
    public StandInProcess? ProcessOf(string plant) => processes.GetValueOrDefault(plant);

    /// <summary>Why no stand-ins can be started for a plant; null where they can.</summary>
    public string? WhyNoMore(string plant) => processes.Count(p => p.Key != plant && p.Value.IsRunning) >= MostProcesses
        ? $"{MostProcesses} other plants have stand-ins running; stop some of them first, on their pages Commissioning, Instruments."
        : null;

    /// <summary>Starts the stand-ins of a plant, in place of those that run.</summary>
    public async Task StartStandInsAsync(StandInJob job, long edit)
    {
        await OpenAsync();

        // One start at a time: two for one plant would leave a process that nobody knows.
        await starting.WaitAsync();
        try
        {
            await StopStandInsAsync(job.Plant);
            processes[job.Plant] = StandInProcess.Start(job with { Broker = Link.Broker }, edit, clock);
        }
        finally
        {
            starting.Release();
        }
    }

    /// <summary>Stops them.</summary>
    public async Task StopStandInsAsync(string plant)
    {
        if (processes.TryRemove(plant, out var process))
        {
            await process.StopAsync();
            process.Dispose();
        }

        foreach (var key in statuses.Keys.Where(k => k.Plant == plant))
        {
            statuses.TryRemove(key, out _);
        }

        Board.Forget(plant);
    }

    /// <summary>Sends an order to the stand-in of a drive point; never to anything else.</summary>
    public async Task<bool> OrderAsync(string plant, string point, StandInRequest request) =>
        link is { } open && await open.PublishAsync(StandInTopics.Order(plant, point),
            System.Text.Json.JsonSerializer.SerializeToUtf8Bytes(request, ProjectJson.Options));

    /// <inheritdoc/>
    public async ValueTask DisposeAsync()
    {
        foreach (var plant in processes.Keys)
        {
            await StopStandInsAsync(plant);
        }

        await door.WaitAsync();
        try
        {
            if (link is { } open)
            {
                link = null;
                await open.DisposeAsync();
            }

            if (broker is { } own)
            {
                broker = null;
                await own.DisposeAsync();
            }
        }
        finally
        {
            door.Release();
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private async Task ConnectAnewAsync()
    {
        if (link is { } open)
        {
            await open.DisposeAsync();
        }

        await ConnectAsync();
    }

    private async Task ConnectAsync()
    {
        var wanted = options.Value;
        BrokerAddress address;
        if (wanted.Broker.Length > 0)
        {
            address = BrokerAddress.Read(wanted.Broker) with { User = wanted.BrokerUser, Password = wanted.BrokerPassword };
        }
        else
        {
            broker ??= await EmbeddedBroker.StartAsync(wanted.MqttPort > 0 ? wanted.MqttPort : FreePort());
            address = new BrokerAddress("127.0.0.1", broker.Port);
        }

        Maps = MapFiles.Read(MapFolder);
        var maps = Maps.Select(m => m.Map).OfType<TopicMap>().ToList();
        reader = new MessageReader(maps, Board, clock);
        link = new InstrumentLink(address, [.. reader.Filters, StandInTopics.States], OnMessage);
        link.Start();
    }

    private void OnMessage(string topic, byte[] payload, bool isRetained)
    {
        if (topic.Split('/') is not ["cuadrilla", "stand-ins", var plant, var point, "state"])
        {
            reader?.Read(topic, payload, isRetained);
            return;
        }

        try
        {
            if (!isRetained)
            {
                statuses[(plant, point)] = JsonReading.Read<StandInStatus>(payload, ProjectJson.Options);
            }
        }
        catch (InputException problem)
        {
            Board.Refuse(topic, problem.Message);
        }
    }
}
