using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Measurements;

/// <summary>
/// Measured spectra and waveforms as CSV with a line of heads: <c>order</c> and a value in A, V or %, or a time in s, ms or µs and one
/// channel or more. Comma, semicolon or tab; a comma for decimals where it does not part the columns.
/// </summary>
public static class MeasuredCsv
{
    private const int HighestOrder = 50;
    private static readonly char[] Separators = [';', '\t', ','];

    /// <summary>True when the heads are those of a spectrum.</summary>
    public static bool IsSpectrum(string text) => Heads(text).Heads[0].StartsWith("order", StringComparison.OrdinalIgnoreCase);

    /// <summary>Orders 1…50, rms; per cent become parts of a fundamental of 100.</summary>
    /// <exception cref="InputException">A line is no order and value, an order is out of range or twice, or the fundamental is
    /// missing.</exception>
    public static (IReadOnlyList<double> Orders, string Unit) Spectrum(string text)
    {
        var (heads, rows) = Heads(text);
        if (heads.Length < 2)
        {
            throw Refused("/line 1", "Heads", string.Join(' ', heads), "order and a value");
        }

        var values = new double[HighestOrder];
        var seen = new HashSet<int>();
        var highest = 0;
        foreach (var (line, fields) in rows)
        {
            var order = (int)Number(fields, 0, line, "Order");
            if (order is < 1 or > HighestOrder || !seen.Add(order))
            {
                throw Refused($"/line {line}", "Order", fields[0], "1 to 50, each once");
            }

            values[order - 1] = Number(fields, 1, line, heads[1]);
            highest = Math.Max(highest, order);
        }

        var percent = heads[1].Contains('%', StringComparison.Ordinal);
        if (values[0] == 0 && percent)
        {
            values[0] = 100;
        }

        return values[0] > 0
            ? (values[..Math.Max(highest, 1)], percent ? "%" : heads[1].Contains('V', StringComparison.Ordinal) ? "V" : "A")
            : throw Refused("/order 1", "Fundamental", "0", "above 0");
    }

    /// <summary>Channels over time.</summary>
    /// <exception cref="InputException">Times do not rise at equal distance, or a value is no number.</exception>
    public static Recording Waveform(string text, double frequencyHz)
    {
        var (heads, rows) = Heads(text);
        var scale = heads[0].Contains("µs", StringComparison.OrdinalIgnoreCase)
            || heads[0].Contains("us", StringComparison.OrdinalIgnoreCase)
                ? 1e-6
                : heads[0].Contains("ms", StringComparison.OrdinalIgnoreCase) ? 1e-3 : 1;
        var times = new List<double>();
        var channels = Enumerable.Range(1, Math.Max(0, heads.Length - 1)).Select(_ => new List<double>()).ToArray();
        foreach (var (line, fields) in rows)
        {
            times.Add(scale * Number(fields, 0, line, "Time"));
            for (var k = 0; k < channels.Length; k++)
            {
                channels[k].Add(Number(fields, k + 1, line, heads[k + 1]));
            }
        }

        if (channels.Length == 0 || times.Count < 9)
        {
            throw Refused(string.Empty, "Waveform", $"{times.Count} lines, {channels.Length} channels",
                "a time, a channel and at least 9 lines");
        }

        var step = (times[^1] - times[0]) / (times.Count - 1);
        var uneven = Enumerable.Range(1, times.Count - 1).FirstOrDefault(i => Math.Abs(times[i] - times[i - 1] - step) > 0.02 * step);
        return step > 0 && uneven == 0
            ? new Recording("recording", frequencyHz, 1 / step,
                [.. channels.Select((c, k) => new RecordedChannel(heads[k + 1],
                    heads[k + 1].Contains('V', StringComparison.Ordinal) ? "V" : "A", c))])
            : throw Refused($"/line {uneven + 2}", "Time", "not at equal distance", "times that rise by the same step");
    }

    private static (string[] Heads, List<(int Line, string[] Fields)> Rows) Heads(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var lines = text.TrimStart('\uFEFF').Replace("\r", string.Empty, StringComparison.Ordinal).Split('\n');
        var separator = Separators.FirstOrDefault(s => lines[0].Contains(s, StringComparison.Ordinal), ',');
        if (lines[0].Trim().Length == 0)
        {
            throw Refused("/line 1", "Heads", "nothing", "a line of heads");
        }

        return (
            [.. lines[0].Split(separator).Select(h => h.Trim().Trim('"'))],
            [
                .. lines.Select((l, i) => (Line: i + 1, Text: l.Trim())).Skip(1).Where(l => l.Text.Length > 0)
                    .Select(l => (l.Line, separator == ',' ? l.Text.Split(separator) : l.Text.Replace(',', '.').Split(separator))),
            ]);
    }

    private static double Number(string[] fields, int index, int line, string name) =>
        index < fields.Length && double.TryParse(fields[index].Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            && double.IsFinite(value)
            ? value
            : throw Refused($"/line {line}", name, index < fields.Length ? $"'{fields[index].Trim()}'" : "nothing", "a number");

    private static InputException Refused(string pointer, string name, string value, string allowed) =>
        new(InputProblem.Of(pointer, name, value, allowed));
}
