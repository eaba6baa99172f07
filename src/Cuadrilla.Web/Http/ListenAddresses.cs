using System.Net;

namespace Cuadrilla.Web.Http;

/// <summary>Where the server is told to listen.</summary>
internal static class ListenAddresses
{
    /// <summary>An address that others than this machine reach.</summary>
    /// <param name="Says">The address in words.</param>
    /// <param name="IsSecure">True with TLS.</param>
    public sealed record OpenAddress(string Says, bool IsSecure);

    /// <summary>All addresses that others than this machine reach; none where all are loopback.</summary>
    public static IReadOnlyList<OpenAddress> Open(IConfiguration configuration)
    {
        List<OpenAddress> open = [];
        foreach (var (key, isSecure) in new[] { ("http_ports", false), ("https_ports", true) })
        {
            if (configuration[key] is { Length: > 0 } ports)
            {
                open.Add(new OpenAddress($"port {ports} of every address", isSecure));
            }
        }

        open.AddRange(Named(configuration).Where(url => Parsed(url) is not { } address || !IsLoopback(address))
            .Select(url => new OpenAddress(url, IsHttps(url))));
        return open;
    }

    /// <summary>All addresses that are stated, as they are written.</summary>
    public static IEnumerable<string> Named(IConfiguration configuration) => (configuration["urls"] ?? string.Empty)
        .Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
        .Concat(Endpoints(configuration).Select(e => e["Url"] ?? string.Empty).Where(u => u.Length > 0));

    /// <summary>An address; null where it is none.</summary>
    public static BindingAddress? Parsed(string url)
    {
        try
        {
            return BindingAddress.Parse(url) is var address && address.Port is >= 0 and <= 65535 ? address : null;
        }
        catch (FormatException)
        {
            return null;
        }
    }

    /// <summary>The first address with TLS for which no certificate is stated; null where there is none.</summary>
    public static string? WantsCertificate(IConfiguration configuration) =>
        configuration["Kestrel:Certificates:Default:Path"] is { Length: > 0 }
        || configuration["Kestrel:Certificates:Default:Subject"] is { Length: > 0 }
            ? null
            : Named(configuration).Except(Endpoints(configuration).Where(e => e.GetSection("Certificate").Exists()).Select(e => e["Url"]))
                .FirstOrDefault(url => IsHttps(url!))
                ?? (configuration["https_ports"] is { Length: > 0 } ports ? $"https on port {ports}" : null);

    private static IEnumerable<IConfigurationSection> Endpoints(IConfiguration configuration) =>
        configuration.GetSection("Kestrel:Endpoints").GetChildren();

    private static bool IsHttps(string url) => url.StartsWith("https:", StringComparison.OrdinalIgnoreCase);

    private static bool IsLoopback(BindingAddress address) =>
        address.IsUnixPipe || address.IsNamedPipe || string.Equals(address.Host, "localhost", StringComparison.OrdinalIgnoreCase)
        || (IPAddress.TryParse(address.Host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip));
}
