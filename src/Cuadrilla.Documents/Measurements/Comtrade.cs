using System.Buffers.Binary;
using System.Globalization;
using System.Text;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Measurements;

/// <summary>How the samples of a COMTRADE recording are written.</summary>
public enum ComtradeData
{
    /// <summary>Lines of text.</summary>
    Ascii,

    /// <summary>16-bit numbers.</summary>
    Binary,
}

/// <summary>
/// Recordings in the COMTRADE format (IEEE C37.111, IEC 60255-24): a configuration and a data part, ASCII or binary of 16 bits, one
/// sampling rate. Binary of 32 bits is read too. Digital channels are passed over.
/// </summary>
public static class Comtrade
{
    private const int MostSamples = 2_000_000;
    private const int Steps = 32_000;

    /// <summary>Reads a recording.</summary>
    /// <param name="configuration">Text of the configuration part.</param>
    /// <param name="data">Bytes of the data part.</param>
    /// <exception cref="InputException">It is none, or of a kind that is not read.</exception>
    public static Recording Read(string configuration, ReadOnlySpan<byte> data)
    {
        ArgumentNullException.ThrowIfNull(configuration);
        var lines = configuration.Replace("\r", string.Empty, StringComparison.Ordinal).Split('\n');
        var at = 0;
        string[] Next(string what) => at < lines.Length && lines[at].Length > 0
            ? [.. lines[at++].Split(',').Select(f => f.Trim())]
            : throw Refused($"line {at + 1}", what, "nothing", "a line");
        double Number(string text, string what) =>
            double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)
            ? value
            : throw Refused($"line {at}", what, $"'{text}'", "a number");

        var station = Next("station")[0];
        var counts = Next("number of channels");
        if (counts.Length < 3)
        {
            throw Refused($"line {at}", "Number of channels", $"'{string.Join(',', counts)}'", "total, analogue with A, digital with D");
        }

        var analogue = (int)Number(counts[1].TrimEnd('A', 'a'), "Number of analogue channels");
        var digital = (int)Number(counts[2].TrimEnd('D', 'd'), "Number of digital channels");
        if (analogue is < 1 or > 200 || digital is < 0 or > 2000)
        {
            throw Refused($"line {at}", "Number of channels", $"{analogue} analogue, {digital} digital",
                "1 to 200 analogue, up to 2000 digital");
        }

        var scales = new List<(string Name, string Unit, double A, double B)>();
        for (var i = 0; i < analogue; i++)
        {
            var fields = Next("analogue channel");
            if (fields.Length < 7)
            {
                throw Refused($"line {at}", "Analogue channel", $"{fields.Length} fields",
                    "at least 7: number, name, phase, component, unit, factor, offset");
            }

            scales.Add((fields[1], fields[4], Number(fields[5], "Factor"), Number(fields[6], "Offset")));
        }

        at += digital;
        var frequency = Number(Next("line frequency")[0], "Line frequency");
        var rates = (int)Number(Next("number of rates")[0], "Number of sampling rates");
        if (rates != 1)
        {
            throw Refused($"line {at}", "Number of sampling rates", $"{rates}", "1: recordings of several rates are not read");
        }

        var rate = Next("sampling rate");
        var samplesPerS = Number(rate[0], "Sampling rate");
        var count = (int)Number(rate.Length > 1 ? rate[1] : string.Empty, "Last sample");
        if (!(samplesPerS > 0) || count is < 1 or > MostSamples || !(frequency > 0))
        {
            throw Refused($"line {at}", "Sampling", $"{samplesPerS} 1/s, {count} samples, {frequency} Hz",
                FormattableString.Invariant($"a rate and frequency above 0, 1 to {MostSamples} samples"));
        }

        at += 2;
        var kind = Next("kind of data")[0].ToUpperInvariant();
        var values = kind switch
        {
            "ASCII" => Ascii(data, analogue, count),
            "BINARY" => Binary(data, analogue, digital, count, 2),
            "BINARY32" => Binary(data, analogue, digital, count, 4),
            _ => throw Refused($"line {at}", "Kind of data", $"'{kind}'", "ASCII, BINARY or BINARY32"),
        };
        return new Recording(
            station, frequency, samplesPerS,
            [.. scales.Select((s, k) => new RecordedChannel(s.Name, s.Unit, [.. values.Select(v => (s.A * v[k]) + s.B)]))]);
    }

    /// <summary>Writes a recording; 16-bit steps of a 32,000th of each channel's crest.</summary>
    public static (string Configuration, byte[] Data) Write(Recording recording, ComtradeData kind)
    {
        ArgumentNullException.ThrowIfNull(recording);
        var text = new StringBuilder();
        static string N(double value) => value.ToString("R", CultureInfo.InvariantCulture);
        var count = recording.Channels[0].Samples.Count;
        text.Append(CultureInfo.InvariantCulture,
            $"{Word(recording.Station)},cuadrilla,1999\r\n{recording.Channels.Count},{recording.Channels.Count}A,0D\r\n");
        var factors = recording.Channels.Select(c => Math.Max(c.Samples.Max(Math.Abs), 1e-9) / Steps).ToArray();
        for (var k = 0; k < recording.Channels.Count; k++)
        {
            var channel = recording.Channels[k];
            text.Append(CultureInfo.InvariantCulture,
                $"{k + 1},{Word(channel.Name)},,,{Word(channel.Unit)},{N(factors[k])},0,0,{-Steps},{Steps},1,1,P\r\n");
        }

        text.Append(CultureInfo.InvariantCulture, $"{N(recording.FrequencyHz)}\r\n1\r\n{N(recording.SamplesPerS)},{count}\r\n");
        text.Append("01/01/2000,00:00:00.000000\r\n01/01/2000,00:00:00.000000\r\n");
        text.Append(CultureInfo.InvariantCulture, $"{(kind == ComtradeData.Ascii ? "ASCII" : "BINARY")}\r\n1\r\n");
        int Step(int k, int n) => (int)Math.Round(recording.Channels[k].Samples[n] / factors[k]);
        if (kind == ComtradeData.Ascii)
        {
            var lines = new StringBuilder();
            for (var n = 0; n < count; n++)
            {
                lines.Append(CultureInfo.InvariantCulture, $"{n + 1},{Math.Round(1e6 * n / recording.SamplesPerS)}");
                for (var k = 0; k < recording.Channels.Count; k++)
                {
                    lines.Append(CultureInfo.InvariantCulture, $",{Step(k, n)}");
                }

                lines.Append("\r\n");
            }

            return (text.ToString(), Encoding.ASCII.GetBytes(lines.ToString()));
        }

        var width = 8 + (2 * recording.Channels.Count);
        var bytes = new byte[count * width];
        for (var n = 0; n < count; n++)
        {
            var row = bytes.AsSpan(n * width, width);
            BinaryPrimitives.WriteInt32LittleEndian(row, n + 1);
            BinaryPrimitives.WriteUInt32LittleEndian(row[4..], (uint)Math.Round(1e6 * n / recording.SamplesPerS));
            for (var k = 0; k < recording.Channels.Count; k++)
            {
                BinaryPrimitives.WriteInt16LittleEndian(row[(8 + (2 * k))..], (short)Step(k, n));
            }
        }

        return (text.ToString(), bytes);
    }

    private static List<double[]> Ascii(ReadOnlySpan<byte> data, int analogue, int count)
    {
        var rows = new List<double[]>(count);
        foreach (var line in Encoding.ASCII.GetString(data)
            .Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            if (rows.Count == count || line == "\u001a")
            {
                break;
            }

            var fields = line.Split(',');
            var row = new double[analogue];
            for (var k = 0; k < analogue; k++)
            {
                if (fields.Length < analogue + 2
                    || !double.TryParse(fields[k + 2], NumberStyles.Float, CultureInfo.InvariantCulture, out row[k]))
                {
                    throw Refused($"data, line {rows.Count + 1}", "Sample", $"'{line[..Math.Min(60, line.Length)]}'",
                        FormattableString.Invariant($"number, time and {analogue} values"));
                }
            }

            rows.Add(row);
        }

        return rows.Count == count
            ? rows
            : throw Refused("data", "Number of samples", $"{rows.Count}", $"{count} as the configuration says");
    }

    private static List<double[]> Binary(ReadOnlySpan<byte> data, int analogue, int digital, int count, int bytes)
    {
        var width = 8 + (bytes * analogue) + (2 * ((digital + 15) / 16));
        if (data.Length < (long)width * count)
        {
            throw Refused("data", "Length of the data", $"{data.Length} bytes", $"{(long)width * count} bytes as the configuration says");
        }

        var rows = new List<double[]>(count);
        for (var n = 0; n < count; n++)
        {
            var row = new double[analogue];
            for (var k = 0; k < analogue; k++)
            {
                var at = data[((n * width) + 8 + (bytes * k))..];
                row[k] = bytes == 2 ? BinaryPrimitives.ReadInt16LittleEndian(at) : BinaryPrimitives.ReadInt32LittleEndian(at);
            }

            rows.Add(row);
        }

        return rows;
    }

    private static string Word(string text) => text.Replace(',', ' ');

    private static InputException Refused(string pointer, string name, string value, string allowed) =>
        new(InputProblem.Of("/" + pointer, name, value, allowed));
}
