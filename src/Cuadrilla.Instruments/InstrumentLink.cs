using System.Buffers;
using MQTTnet;
using MQTTnet.Exceptions;
using MQTTnet.Formatter;

namespace Cuadrilla.Instruments;

/// <summary>How a link stands.</summary>
public enum LinkState
{
    /// <summary>Asked for nothing.</summary>
    Off,

    /// <summary>On its way.</summary>
    Connecting,

    /// <summary>There, and subscribed.</summary>
    Connected,

    /// <summary>Lost or refused; tries again.</summary>
    Waiting,
}

/// <summary>A client that stays connected to a broker, and gets up again after every loss.</summary>
/// <param name="address">Broker.</param>
/// <param name="filters">Filters to subscribe to.</param>
/// <param name="onMessage">Told of each message: topic, payload, retained.</param>
public sealed class InstrumentLink(BrokerAddress address, IReadOnlyList<string> filters, Action<string, byte[], bool> onMessage)
    : IAsyncDisposable
{
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(15), First = TimeSpan.FromMilliseconds(250);
    private readonly CancellationTokenSource stop = new();
    private readonly IMqttClient client = new MqttClientFactory().CreateMqttClient();
    private Task loop = Task.CompletedTask;
    private MqttProtocolVersion version = MqttProtocolVersion.V500;

    /// <summary>How it stands.</summary>
    public LinkState State { get; private set; }

    /// <summary>What stood against it last; empty: nothing.</summary>
    public string Trouble { get; private set; } = string.Empty;

    /// <summary>How often it was connected.</summary>
    public int Times { get; private set; }

    /// <summary>Broker.</summary>
    public BrokerAddress Address => address;

    /// <summary>A message that the broker publishes when this client is lost.</summary>
    public (string Topic, byte[] Payload)? LastWill { get; init; }

    /// <summary>Begins.</summary>
    public void Start()
    {
        client.ApplicationMessageReceivedAsync += e =>
        {
            onMessage(e.ApplicationMessage.Topic, e.ApplicationMessage.Payload.ToArray(), e.ApplicationMessage.Retain);
            return Task.CompletedTask;
        };
        loop = Task.Run(RunAsync);
    }

    /// <summary>Publishes; the answer says whether the broker took it.</summary>
    public async Task<bool> PublishAsync(string topic, byte[] payload, bool isRetained = false)
    {
        if (!client.IsConnected)
        {
            return false;
        }

        try
        {
            await client.PublishAsync(new MqttApplicationMessageBuilder().WithTopic(topic).WithPayload(payload).WithRetainFlag(isRetained)
                .Build(), stop.Token);
            return true;
        }
        catch (Exception problem) when (problem is MqttCommunicationException or OperationCanceledException or InvalidOperationException)
        {
            return false;
        }
    }

    /// <inheritdoc/>
    public async ValueTask DisposeAsync()
    {
        await stop.CancelAsync();
        await loop;
        try
        {
            if (client.IsConnected)
            {
                await client.DisconnectAsync();
            }
        }
        catch (Exception problem) when (problem is MqttCommunicationException or OperationCanceledException or InvalidOperationException)
        {
            // Lost in the very moment: what was wanted has come about.
            Trouble = problem.Message;
        }

        client.Dispose();
        stop.Dispose();
        State = LinkState.Off;
    }

    private async Task RunAsync()
    {
        var pause = First;
        while (!stop.IsCancellationRequested)
        {
            try
            {
                if (!client.IsConnected)
                {
                    State = LinkState.Connecting;
                    await ConnectAsync();
                    (State, Trouble, pause) = (LinkState.Connected, string.Empty, First);
                    Times++;
                }

                await Task.Delay(First, stop.Token);
                if (client.IsConnected)
                {
                    continue;
                }

                (State, Trouble) = (LinkState.Waiting, $"the connection to {address} was lost");
            }
            catch (OperationCanceledException) when (stop.IsCancellationRequested)
            {
                return;
            }
            catch (Exception problem) when (problem is not OutOfMemoryException)
            {
                // Whatever it is: it is said, and tried again.
                (State, Trouble) = (LinkState.Waiting, $"{address}: {(problem.InnerException ?? problem).Message}");
            }

            try
            {
                await Task.Delay(pause, stop.Token);
            }
            catch (OperationCanceledException)
            {
                return;
            }

            pause = pause * 2 < Longest ? pause * 2 : Longest;
        }
    }

    private async Task ConnectAsync()
    {
        var options = new MqttClientOptionsBuilder().WithTcpServer(address.Host, address.Port).WithProtocolVersion(version)
            .WithCleanSession().WithTimeout(TimeSpan.FromSeconds(5)).WithKeepAlivePeriod(TimeSpan.FromSeconds(5));
        if (address.User.Length > 0)
        {
            options = options.WithCredentials(address.User, address.Password);
        }

        if (address.IsSecure)
        {
            options = options.WithTlsOptions(o => o.UseTls());
        }

        if (LastWill is { } will)
        {
            options = options.WithWillTopic(will.Topic).WithWillPayload(will.Payload).WithWillRetain();
        }

        var answer = await client.ConnectAsync(options.Build(), stop.Token);
        if (answer.ResultCode == MqttClientConnectResultCode.UnsupportedProtocolVersion)
        {
            // Gateways of some years ago speak 3.1.1 alone.
            version = MqttProtocolVersion.V311;
        }

        if (answer.ResultCode != MqttClientConnectResultCode.Success)
        {
            throw new InvalidOperationException($"the broker refuses: {answer.ResultCode}");
        }

        if (filters.Count > 0)
        {
            var wanted = new MqttClientSubscribeOptionsBuilder();
            foreach (var filter in filters)
            {
                wanted = wanted.WithTopicFilter(filter);
            }

            await client.SubscribeAsync(wanted.Build(), stop.Token);
        }
    }
}
