using System.Buffers.Binary;
using System.Text;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Measured;
using Cuadrilla.Documents.Measurements;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Measured spectra and recordings: read, written, and refused by name.</summary>
public sealed class MeasurementTests
{
    private static readonly Recording Made = new("plant, coupling", 50, 6400, [Channel("i", "A", 40, 8, 4), Channel("u", "V", 325, 6, 3)]);

    [Theory]
    [InlineData(ComtradeData.Ascii)]
    [InlineData(ComtradeData.Binary)]
    public void A_recording_comes_back_as_it_was_written(ComtradeData kind)
    {
        var (configuration, data) = Comtrade.Write(Made, kind);
        var back = Comtrade.Read(configuration, data);

        Assert.Equal((50.0, 6400.0, 2), (back.FrequencyHz, back.SamplesPerS, back.Channels.Count));
        Assert.Equal("plant  coupling", back.Station);
        for (var k = 0; k < 2; k++)
        {
            var crest = Made.Channels[k].Samples.Max(Math.Abs);
            Assert.Equal((Made.Channels[k].Name, Made.Channels[k].Unit), (back.Channels[k].Name, back.Channels[k].Unit));
            Assert.All(Made.Channels[k].Samples.Zip(back.Channels[k].Samples), p => Assert.Equal(p.First, p.Second, 0.51 * crest / 32_000));
        }

        // Written again it is the same to the byte.
        var (_, again) = Comtrade.Write(back with { Station = Made.Station }, kind);
        Assert.Equal(data, again);
    }

    [Fact]
    public void Ascii_and_binary_hold_the_same_and_digital_channels_are_passed_over()
    {
        var (configuration, ascii) = Comtrade.Write(Made, ComtradeData.Ascii);
        var (binaryConfiguration, binary) = Comtrade.Write(Made, ComtradeData.Binary);
        Assert.Equal(Comtrade.Read(configuration, ascii).Channels[1].Samples,
            Comtrade.Read(binaryConfiguration, binary).Channels[1].Samples);

        // The same with 17 digital channels in two words behind the analogue ones.
        var lines = binaryConfiguration.Split("\r\n").ToList();
        lines[1] = "19,2A,17D";
        lines.InsertRange(4, Enumerable.Range(1, 17).Select(d => $"{d},trip{d},,,0"));
        var wide = new byte[binary.Length / 12 * 16];
        for (var n = 0; n < binary.Length / 12; n++)
        {
            binary.AsSpan(n * 12, 12).CopyTo(wide.AsSpan(n * 16));
        }

        Assert.Equal(Comtrade.Read(binaryConfiguration, binary).Channels[0].Samples,
            Comtrade.Read(string.Join("\n", lines), wide).Channels[0].Samples);
    }

    [Fact]
    public void Numbers_of_32_bits_are_read()
    {
        const string configuration = "s,d,2013\n1,1A,0D\n1,i,A,,A,0.5,1,0,0,0,1,1,P\n50\n1\n1000,2\n01/01/2020,00:00:00\n01/01/2020,00:00:00\nBINARY32\n1\n";
        var data = new byte[24];
        BinaryPrimitives.WriteInt32LittleEndian(data.AsSpan(8), 100_000);
        BinaryPrimitives.WriteInt32LittleEndian(data.AsSpan(20), -4);
        Assert.Equal([50_001.0, -1.0], Comtrade.Read(configuration, data).Channels[0].Samples);
    }

    [Theory]
    [InlineData("6400,1280", "0,1280", "Sampling")]
    [InlineData("50\r\n1\r\n", "50\r\n2\r\n", "several rates")]
    [InlineData("BINARY", "FLOAT32", "ASCII, BINARY or BINARY32")]
    [InlineData("2,2A,0D", "2,x,0D", "analogue channels")]
    [InlineData("6400,1280", "6400,99999", "bytes as the configuration says")]
    public void A_broken_recording_is_refused_by_name(string part, string instead, string word)
    {
        var (configuration, data) = Comtrade.Write(Made, ComtradeData.Binary);
        Assert.Contains(part, configuration, StringComparison.Ordinal);
        var refused = Assert.Throws<InputException>(() =>
            Comtrade.Read(configuration.Replace(part, instead, StringComparison.Ordinal), data));
        Assert.Contains(word, refused.Problems[0].Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Ascii_data_that_end_early_or_hold_words_are_refused()
    {
        var (configuration, data) = Comtrade.Write(Made, ComtradeData.Ascii);
        Assert.Throws<InputException>(() => Comtrade.Read(configuration, data.AsSpan(0, 500)));
        var words = Encoding.ASCII.GetBytes(Encoding.ASCII.GetString(data).Replace("3,312,", "3,312,x", StringComparison.Ordinal));
        Assert.Contains("line 3", Assert.Throws<InputException>(() => Comtrade.Read(configuration, words)).Problems[0].Pointer,
            StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(6400, 50, 10)]
    [InlineData(10_000, 50, 10)]
    [InlineData(4800, 60, 10)]
    public void A_waveform_gives_its_orders_back(double rate, double frequency, int cycles)
    {
        var channel = Of("i", "A", rate, frequency, (1, 40, 30), (5, 8, 100), (7, 4, -20), (23, 0.5, 0));
        var found = WaveformSpectrum.Of(channel.Samples, rate, frequency);

        Assert.Equal(cycles, found.Cycles);
        Assert.Equal(40, found.Orders[0].Magnitude, 9);
        Assert.Equal(8, found.Orders[4].Magnitude, 9);
        Assert.Equal(0.5, found.Orders[22].Magnitude, 9);
        Assert.Equal(0, found.Orders[10].Magnitude, 9);

        // Angles against the fundamental's: φ_h − h·φ_1.
        Assert.Equal((100 - (5 * 30)) * Math.PI / 180, found.Orders[4].Phase, 9);
    }

    [Fact]
    public void A_rate_that_does_not_fit_a_cycle_takes_the_cycles_that_do()
    {
        // 2,048 a second at 50 Hz: 40.96 to a cycle; seven of them lie nearest to whole samples among ten.
        var found = WaveformSpectrum.Of(Of("i", "A", 2048, 50, (1, 100, 0), (5, 20, 0)).Samples, 2048, 50);
        Assert.Equal(20, found.Orders[4].Magnitude, 0.4);
        Assert.Equal(20, found.HighestOrder);
        Assert.Throws<UnfitDataException>(() => WaveformSpectrum.Of([1, 2, 3], 2048, 50));
    }

    [Fact]
    public void A_spectrum_as_csv_in_any_usual_writing()
    {
        foreach (var text in new[] { "order,A\n1,100\n5,20.5\n7,8\n", "Order;I in A\r\n1;100\r\n5;20,5\r\n7;8\r\n",
            "order\tA\n7\t8\n1\t100\n5\t20.5\n" })
        {
            var (orders, unit) = MeasuredCsv.Spectrum(text);
            Assert.True(MeasuredCsv.IsSpectrum(text));
            Assert.Equal(("A", 7), (unit, orders.Count));
            Assert.Equal([100, 20.5, 8], new[] { orders[0], orders[4], orders[6] });
        }

        Assert.Equal(100, MeasuredCsv.Spectrum("order,%\n5,12\n").Orders[0]);
    }

    [Theory]
    [InlineData("order,A\n1,100\n5,x\n", "/line 3")]
    [InlineData("order,A\n1,100\n1,5\n", "/line 3")]
    [InlineData("order,A\n51,5\n", "/line 2")]
    [InlineData("order,A\n5,5\n", "/order 1")]
    [InlineData("order\n5\n", "/line 1")]
    public void A_bad_line_of_a_spectrum_is_named(string text, string pointer) =>
        Assert.Equal(pointer, Assert.Throws<InputException>(() => MeasuredCsv.Spectrum(text)).Problems[0].Pointer);

    [Fact]
    public void A_waveform_as_csv_keeps_its_rate()
    {
        var text = "time in ms;i in A;u in V\n"
            + string.Join('\n', Enumerable.Range(0,
                400).Select(i => FormattableString.Invariant($"{i * 0.1};{10 * Math.Sin(2 * Math.PI * i / 200)};{i}")));
        var found = MeasuredCsv.Waveform(text, 50);

        Assert.Equal(10_000, found.SamplesPerS, 6);
        Assert.Equal(["A", "V"], found.Channels.Select(c => c.Unit));
        Assert.Equal(10 / Math.Sqrt(2), WaveformSpectrum.Of(found.Channels[0].Samples, found.SamplesPerS, 50).Orders[0].Magnitude, 6);
        Assert.Contains("equal distance",
            Assert.Throws<InputException>(() =>
                MeasuredCsv.Waveform(text.Replace("\n2;", "\n2.06;", StringComparison.Ordinal), 50)).Problems[0].Message,
                    StringComparison.Ordinal);
    }

    [Fact]
    public void Measured_and_computed_stand_order_by_order()
    {
        var found = SpectrumComparison.Of([200, 0, 0, 0, 60], [100, 0, 0, 0, 20, 0, 5]);
        Assert.Equal([2, 3, 4, 5], found.Orders.Select(o => o.Order));
        Assert.Equal(5, found.WorstOrder);
        Assert.Equal(-10, found.Orders[^1].DifferencePct, 12);
        Assert.Equal((30, 20), (found.MeasuredThdPct, found.ComputedThdPct));
        Assert.Throws<UnfitDataException>(() => SpectrumComparison.Of([0, 1], [1, 1]));
    }

    private static RecordedChannel Channel(string name, string unit, double first, double fifth, double seventh) =>
        Of(name, unit, 6400, 50, (1, first, 0), (5, fifth, 40), (7, seventh, 90));

    private static RecordedChannel Of(string name, string unit, double rate, double frequency,
        params (int Order, double Rms, double Deg)[] parts) => new(
        name, unit,
        [
            .. Enumerable.Range(0, (int)Math.Round(10 * rate / frequency)).Select(n => parts
                .Sum(p => Math.Sqrt(2) * p.Rms * Math.Cos((p.Order * 2 * Math.PI * frequency * n / rate) + (p.Deg * Math.PI / 180)))),
        ]);
}
