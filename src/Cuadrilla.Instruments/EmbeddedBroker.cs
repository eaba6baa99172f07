using System.Net;
using MQTTnet.Server;

namespace Cuadrilla.Instruments;

/// <summary>A broker inside the program, for this machine alone.</summary>
public sealed class EmbeddedBroker : IAsyncDisposable
{
    private readonly MqttServer server;

    private EmbeddedBroker(MqttServer server, int port) => (this.server, Port) = (server, port);

    /// <summary>Its port on loopback.</summary>
    public int Port { get; }

    /// <summary>Starts it.</summary>
    /// <param name="port">Port on loopback.</param>
    /// <exception cref="System.Net.Sockets.SocketException">The port is in use.</exception>
    public static async Task<EmbeddedBroker> StartAsync(int port)
    {
        var options = new MqttServerOptionsBuilder().WithDefaultEndpoint().WithDefaultEndpointBoundIPAddress(IPAddress.Loopback)
            .WithDefaultEndpointBoundIPV6Address(IPAddress.None).WithDefaultEndpointPort(port).Build();
        var server = new MqttServerFactory().CreateMqttServer(options);
        await server.StartAsync();
        return new EmbeddedBroker(server, port);
    }

    /// <inheritdoc/>
    public async ValueTask DisposeAsync()
    {
        await server.StopAsync();
        server.Dispose();
    }
}
