using System.Text.Json;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Documents.Commissioning;

/// <summary>Readings and bases of log entries as they are stored: plain JSON that later versions read as it is.</summary>
public static class SiteJson
{
    /// <summary>A reading as JSON.</summary>
    public static string Write(SiteReading reading)
    {
        ArgumentNullException.ThrowIfNull(reading);
        return JsonSerializer.Serialize(new StoredReading(reading.Values, [.. reading.Run.Select(p => new[] { p.TimeS, p.Value })],
            reading.Done));
    }

    /// <summary>A basis as JSON.</summary>
    public static string Write(SiteBasis basis)
    {
        ArgumentNullException.ThrowIfNull(basis);
        return JsonSerializer.Serialize(basis.Lines.ToDictionary(l => l.Key.ToString(), l => l.Value));
    }

    /// <summary>A stored reading.</summary>
    public static SiteReading Reading(string json)
    {
        var stored = JsonSerializer.Deserialize<StoredReading>(json)!;
        return new(stored.Values, [.. stored.Run.Select(p => new RunPoint(p[0], p[1]))], stored.Done);
    }

    /// <summary>A stored basis; aspects that this version does not know are left out.</summary>
    public static SiteBasis Basis(string json) => new(JsonSerializer.Deserialize<Dictionary<string, IReadOnlyList<string>>>(json)!
        .Where(l => Enum.TryParse<SiteAspect>(l.Key, out _)).ToDictionary(l => Enum.Parse<SiteAspect>(l.Key), l => l.Value));

    private sealed record StoredReading(IReadOnlyDictionary<string, double> Values, IReadOnlyList<double[]> Run, bool? Done);
}
