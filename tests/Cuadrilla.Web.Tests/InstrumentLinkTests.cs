using System.Text;
using Cuadrilla.Instruments;
using MQTTnet;
using MQTTnet.Formatter;

namespace Cuadrilla.Web.Tests;

/// <summary>Over a real broker: what is published arrives, garbage stops nothing, and after a loss the link gets up again.</summary>
public sealed class InstrumentLinkTests
{
    private static readonly TopicMap Map = TopicMap.Read(Encoding.UTF8.GetBytes(
        """
        {"format":"cuadrilla-topics","version":1,"name":"Hall","topics":[
          {"topic":"hall/{point}/current","readings":{"motor.amps":{"from":"/a","unit":"A"}},"at":"/t"}]}
        """));

    private readonly ReadingBoard board = new();

    [Theory]
    [InlineData(MqttProtocolVersion.V311)]
    [InlineData(MqttProtocolVersion.V500)]
    public async Task What_is_published_arrives_among_garbage_duplicates_and_late_ones(MqttProtocolVersion version)
    {
        var port = ServerProcess.FreePort();
        await using var broker = await EmbeddedBroker.StartAsync(port);
        await using var link = Link(port);
        await Until(() => link.State == LinkState.Connected);
        using var site = await Site(port, version);
        var at = DateTimeOffset.UtcNow;
        async Task Say(string topic, string payload) => await site.PublishAsync(new MqttApplicationMessageBuilder().WithTopic(topic)
            .WithPayload(payload).Build(), TestContext.Current.CancellationToken);
        string Of(double amps, int seconds) =>
            System.Text.Json.JsonSerializer.Serialize(new { a = amps, t = at.AddSeconds(seconds - 20) });
        for (var i = 0; i < 20; i++)
        {
            await Say("hall/DP-01/current", Of(10 + i, i));
            await Say("hall/DP-01/current", Of(10 + i, i));
            await Say("hall/DP-01/current", "{\"a\":" + new string('[', 40));
            await Say("hall/DP-01/current", Of(99, i - 30));
            await Say("hall/DP-02/other", "1");
        }

        await Until(() => board.Counts is { Taken: 20, Repeated: 20, Refused: 20, Late: 20 });
        Assert.Equal(29, board.Of("p", "dp-01", "DP-01")["motor.amps"].Value);
        Assert.Equal(LinkState.Connected, link.State);
    }

    [Fact]
    public async Task A_lost_broker_is_said_and_the_link_gets_up_by_itself()
    {
        var port = ServerProcess.FreePort();
        await using var link = Link(port);
        await Until(() => link is { State: LinkState.Waiting, Trouble.Length: > 0 });
        Assert.False(await link.PublishAsync("x", "1"u8.ToArray()));
        var broker = await EmbeddedBroker.StartAsync(port);
        await Until(() => link.State == LinkState.Connected);
        Assert.Empty(link.Trouble);
        await broker.DisposeAsync();
        await Until(() => link is { State: LinkState.Waiting, Trouble.Length: > 0 });
        await using var again = await EmbeddedBroker.StartAsync(port);
        await Until(() => link.State == LinkState.Connected);
        using var site = await Site(port, MqttProtocolVersion.V500);
        await site.PublishAsync(new MqttApplicationMessageBuilder().WithTopic("hall/DP-01/current")
            .WithPayload(System.Text.Json.JsonSerializer.Serialize(new { a = 5, t = DateTimeOffset.UtcNow })).Build(),
            TestContext.Current.CancellationToken);
        await Until(() => board.Counts.Taken == 1);
        Assert.Equal(2, link.Times);
    }

    [Theory]
    [InlineData("mqtt://127.0.0.1:1884", "mqtt://127.0.0.1:1884")]
    [InlineData("broker.plant", "mqtt://broker.plant:1883")]
    [InlineData("mqtts://broker.plant", "mqtts://broker.plant:8883")]
    public void An_address_is_read(string typed, string read) => Assert.Equal(read, BrokerAddress.Read(typed).ToString());

    [Theory]
    [InlineData("http://x")]
    [InlineData("mqtt://user:word@x")]
    [InlineData("")]
    public void Another_is_refused(string typed) => Assert.Throws<Documents.Projects.InputException>(() => BrokerAddress.Read(typed));

    private static async Task Until(Func<bool> condition)
    {
        for (var i = 0; i < 600 && !condition(); i++)
        {
            await Task.Delay(25, TestContext.Current.CancellationToken);
        }

        Assert.True(condition());
    }

    private static async Task<IMqttClient> Site(int port, MqttProtocolVersion version)
    {
        var client = new MqttClientFactory().CreateMqttClient();
        await client.ConnectAsync(new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", port).WithProtocolVersion(version).Build(),
            TestContext.Current.CancellationToken);
        return client;
    }

    private InstrumentLink Link(int port)
    {
        var reader = new MessageReader([Map], board, TimeProvider.System);
        var link = new InstrumentLink(new BrokerAddress("127.0.0.1", port), reader.Filters, (t, p, r) => reader.Read(t, p, r));
        link.Start();
        return link;
    }
}
