using System.Net;

namespace Cuadrilla.Web.Http;

/// <summary>Where the server is told to listen.</summary>
internal static class ListenAddresses
{
    /// <summary>The first address that others than this machine reach; null where all are loopback.</summary>
    public static string? FirstOpen(IConfiguration configuration)
    {
        foreach (var key in new[] { "http_ports", "https_ports" })
        {
            if (configuration[key] is { Length: > 0 } ports)
            {
                return $"port {ports} of every address";
            }
        }

        var named = (configuration["urls"] ?? string.Empty).Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Concat(configuration.GetSection("Kestrel:Endpoints").GetChildren().Select(e => e["Url"] ?? string.Empty).Where(u => u.Length > 0));
        return named.FirstOrDefault(url => !IsLoopback(BindingAddress.Parse(url)));
    }

    private static bool IsLoopback(BindingAddress address) =>
        address.IsUnixPipe || address.IsNamedPipe || string.Equals(address.Host, "localhost", StringComparison.OrdinalIgnoreCase)
        || (IPAddress.TryParse(address.Host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip));
}
