using System.Text;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments;

namespace Cuadrilla.Web.Tests;

/// <summary>Topic maps and the messages read by them: units, times, quality, and whatever a site's gateway gets wrong.</summary>
public sealed class TopicMapTests
{
    private const string Gateway =
        """
        {"format":"cuadrilla-topics","version":1,"name":"Hall gateway","topics":[
          {"topic":"hall/{point}/ohm","readings":{"winding.uv":{"from":"/r/0","unit":"mΩ"},"winding.vw":{"from":"/r/1","unit":"mΩ"}},
           "at":"/t","quality":"/q","instrument":"bridge 7","calibrated":"2026-02-03"},
          {"topic":"hall/fan/current","point":"DP-02","readings":{"motor.amps":{"from":"","unit":"A"}}},
          {"topic":"hall/{point}/cycle","readings":{},"at":"/t","waves":{"wave.line":{"from":"/i","periodMs":"/ms","unit":"kA"}}}]}
        """;

    private readonly ReadingBoard board = new();
    private readonly StoppedClock clock = new();

    [Fact]
    public void Readings_come_in_the_units_of_the_map_with_time_quality_and_instrument()
    {
        Read("hall/DP-02/ohm", """{"r":[101.5,102],"t":"2026-11-30T11:59:58Z","q":"good"}""");
        var found = board.Of("any", "dp-02", "DP-02");
        Assert.Equal(0.1015, found["winding.uv"].Value!.Value, 1e-12);
        Assert.Equal(clock.GetUtcNow().AddSeconds(-2), found["winding.uv"].At);
        Assert.True(found["winding.vw"] is { IsGood: true, IsSimulated: false, Instrument: "bridge 7", Calibrated: "2026-02-03" });
        Read("hall/fan/current", "41.25");
        Assert.Equal(41.25, board.Of("any", "dp-02", "DP-02")["motor.amps"].Value);
        Assert.Empty(board.Of("any", "dp-03", "DP-03"));
        Read("hall/DP-02/ohm", """{"r":[99,99],"t":1796039999500,"q":"bad"}""");
        Assert.False(board.Of("any", "dp-02", "DP-02")["winding.uv"].IsGood);

        // Whatever the map says: what calls itself simulated is.
        Read("hall/DP-02/ohm", """{"r":[99,99],"t":1796039999.9,"q":"good","simulated":true}""");
        Assert.True(board.Of("any", "dp-02", "DP-02")["winding.uv"].IsSimulated);
        Assert.Equal(0, board.Counts.Refused);
    }

    [Fact]
    public void Cycles_come_whole_or_not_at_all()
    {
        static string Cycle(string samples, string period = "20", string second = "58") =>
            $$"""{"i":[{{samples}}],"ms":{{period}},"t":"2026-11-30T11:59:{{second}}Z"}""";
        static string Sine(int count) => string.Join(',', Enumerable.Range(0, count)
            .Select(n => (0.1 * Math.Sin(2 * Math.PI * n / count)).ToString("0.000000",
            System.Globalization.CultureInfo.InvariantCulture)));
        Read("hall/DP-02/cycle", Cycle(Sine(64)));
        var wave = board.WaveOf("any", "dp-02", "DP-02", "wave.line")!;
        Assert.Equal((20, 64, 100.0), (wave.PeriodMs, wave.Samples.Count, Math.Round(wave.Samples[16], 6)));
        string[] garbage = [Cycle(Sine(31)), Cycle(Sine(63) + ",\"x\""), Cycle(Sine(63) + ",1e300"), Cycle(Sine(64), "0"),
            Cycle(Sine(64), "\"20\""), """{"i":5,"ms":20,"t":"2026-11-30T11:59:59Z"}"""];
        foreach (var (payload, index) in garbage.Select((p, i) => (p, i)))
        {
            Read("hall/DP-02/cycle", payload.Replace(":58Z", ":59Z", StringComparison.Ordinal));
            Assert.Equal(index + 1, board.Counts.Refused);
        }

        Read("hall/DP-02/cycle", Cycle(Sine(128)));
        Read("hall/DP-02/cycle", Cycle(Sine(128), second: "50"));
        Assert.Equal((1, 1), (board.Counts.Repeated, board.Counts.Late));
        Assert.Same(wave, board.WaveOf("any", "dp-02", "DP-02", "wave.line"));
        board.Forget(string.Empty);
        Assert.Null(board.WaveOf("any", "dp-02", "DP-02", "wave.line"));
    }

    [Fact]
    public void Late_and_repeated_ones_are_left_aside_and_counted()
    {
        Read("hall/DP-02/ohm", """{"r":[101,102],"t":"2026-11-30T11:59:58Z","q":"good"}""");
        Read("hall/DP-02/ohm", """{"r":[101,102],"t":"2026-11-30T11:59:58Z","q":"good"}""");
        Read("hall/DP-02/ohm", """{"r":[90,91],"t":"2026-11-30T11:59:50Z","q":"good"}""");
        Assert.Equal(new MessageCounts(2, 2, 2, 0, 0, string.Empty), board.Counts);
        Assert.Equal(0.101, board.Of("any", "dp-02", "DP-02")["winding.uv"].Value!.Value, 1e-12);
    }

    [Theory]
    [InlineData("hall/DP-02/ohm", "not json at all", "no JSON")]
    [InlineData("hall/DP-02/ohm", """{"r":[1,2],"q":"good"}""", "no time")]
    [InlineData("hall/DP-02/ohm", """{"r":[1,2],"t":"yesterday","q":"good"}""", "no time")]
    [InlineData("hall/DP-02/ohm", """{"r":[1,2],"t":"2031-01-01T00:00:00Z","q":"good"}""", "in the future")]
    [InlineData("hall/DP-02/ohm", """{"r":["1","2"],"t":"2026-11-30T11:59:58Z","q":"good"}""", "no number")]
    [InlineData("hall/DP-02/ohm", """{"r":[1e300,2e300],"t":"2026-11-30T11:59:58Z","q":"good"}""", "beyond")]
    [InlineData("hall/fan/current", "", "bytes")]
    [InlineData("hall/fan/current", "{}", "no number")]
    public void Garbage_is_counted_with_its_topic_and_stops_nothing(string topic, string payload, string why)
    {
        Read(topic, payload);
        Assert.True(board.Counts.Refused >= 1);
        Assert.StartsWith(topic, board.Counts.LastRefusal, StringComparison.Ordinal);
        Assert.Contains(why, board.Counts.LastRefusal, StringComparison.Ordinal);
        Read("hall/fan/current", "3.5");
        Assert.Equal(3.5, board.Of("any", "dp-02", "DP-02")["motor.amps"].Value);
    }

    [Fact]
    public void What_is_missing_is_not_there_and_what_a_broker_kept_without_a_time_is_not_good()
    {
        Read("hall/DP-02/ohm", """{"r":[101],"t":"2026-11-30T11:59:58Z","q":"good"}""");
        var found = board.Of("any", "dp-02", "DP-02");
        Assert.Contains("winding.uv", found.Keys);
        Assert.DoesNotContain("winding.vw", found.Keys);
        Read("hall/fan/current", "41.25", isRetained: true);
        Assert.False(board.Of("any", "dp-02", "DP-02")["motor.amps"].IsGood);
        Read("elsewhere", "1");
        Assert.Equal(1, board.Counts.Unmapped);
    }

    [Theory]
    [InlineData("\"cuadrilla-topics\"", "\"something\"", "/format")]
    [InlineData("\"version\":1", "\"version\":2", "/version")]
    [InlineData("wave.line", "wave.sea", "/topics/2/waves/wave.sea")]
    [InlineData("kA", "V", "/topics/2/waves/wave.line/unit")]
    [InlineData("\"/ms\"", "\"\"", "/topics/2/waves/wave.line/periodMs")]
    [InlineData("Hall gateway", "", "/name")]
    [InlineData("hall/{point}/ohm", "hall/+/ohm", "/topics/0/topic")]
    [InlineData("hall/{point}/ohm", "hall/p{point}/ohm", "/topics/0/topic")]
    [InlineData("hall/{point}/ohm", "hall/ohm", "/topics/0/point")]
    [InlineData("\"point\":\"DP-02\",", "", "/topics/1/point")]
    [InlineData("winding.uv", "winding.xy", "/topics/0/readings/winding.xy")]
    [InlineData("\"unit\":\"A\"", "\"unit\":\"V\"", "/topics/1/readings/motor.amps/unit")]
    [InlineData("\"from\":\"/r/0\"", "\"from\":\"r/0\"", "/topics/0/readings/winding.uv/from")]
    [InlineData("2026-02-03", "soon", "/topics/0/calibrated")]
    [InlineData("\"at\":\"/t\"", "\"at\":\"t\"", "/topics/0/at")]
    [InlineData("\"at\":\"/t\"", "\"when\":\"/t\"", "/topics/0/when")]
    public void A_map_that_does_not_fit_is_refused_by_field(string was, string instead, string pointer)
    {
        Assert.Contains(was, Gateway, StringComparison.Ordinal);
        var refused = Assert.Throws<InputException>(() => Map(Gateway.Replace(was, instead, StringComparison.Ordinal)));
        Assert.Contains(refused.Problems, p => p.Pointer == pointer);
    }

    [Fact]
    public void The_map_that_ships_names_every_quantity_once_and_marks_all_of_them_simulated()
    {
        var map = TopicMap.OfStandIns;
        Assert.True(map.Simulated);
        Assert.Equal(ReadingKind.All.Select(k => k.Name).Order(StringComparer.Ordinal),
            map.Topics.SelectMany(t => t.Readings.Keys).Order(StringComparer.Ordinal));
        Assert.All(map.Topics, t => Assert.EndsWith("(simulated)", t.Instrument, StringComparison.Ordinal));
    }

    private static TopicMap Map(string json) => TopicMap.Read(Encoding.UTF8.GetBytes(json));

    private void Read(string topic, string payload, bool isRetained = false) =>
        new MessageReader([Map(Gateway)], board, clock).Read(topic, Encoding.UTF8.GetBytes(payload), isRetained);

    private sealed class StoppedClock : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => new(2026, 11, 30, 12, 0, 0, TimeSpan.Zero);
    }
}
