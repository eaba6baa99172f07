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

        var named = (configuration["urls"] ?? string.Empty)
            .Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Concat(configuration.GetSection("Kestrel:Endpoints").GetChildren().Select(e => e["Url"] ?? string.Empty)
                .Where(u => u.Length > 0));
        open.AddRange(named.Where(url => !IsLoopback(BindingAddress.Parse(url)))
            .Select(url => new OpenAddress(url, url.StartsWith("https:", StringComparison.OrdinalIgnoreCase))));
        return open;
    }

    private static bool IsLoopback(BindingAddress address) =>
        address.IsUnixPipe || address.IsNamedPipe || string.Equals(address.Host, "localhost", StringComparison.OrdinalIgnoreCase)
        || (IPAddress.TryParse(address.Host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip));
}
