using System.ComponentModel.DataAnnotations;
using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace Cuadrilla.Web.Http;

/// <summary>Reads what the server is told when it starts; what can't be is said in one line that names option, value and what is
/// allowed.</summary>
internal static class StatedOptions
{
    private const string Addresses = "http://NAME:PORT or https://NAME:PORT with a port of 0 to 65535, several with ; between";

    /// <summary>The options; null, and why, where one can't be.</summary>
    public static (ServerOptions? Options, string Trouble) Read(IConfiguration configuration)
    {
        ServerOptions options;
        try
        {
            options = configuration.Get<ServerOptions>() ?? new ServerOptions();
        }
        catch (InvalidOperationException problem)
        {
            return (null, $"An option can't be read: {problem.Message}");
        }

        var trouble = OutOfRange(options) ?? BadAddress(configuration) ?? BadName(options) ?? BadCertificate(options, configuration);
        return trouble is null ? (options, string.Empty) : (null, trouble);
    }

    private static string? OutOfRange(ServerOptions options)
    {
        List<ValidationResult> found = [];
        return Validator.TryValidateObject(options, new ValidationContext(options), found, true)
            ? null
            : string.Join(" ", found.Select(f => f.ErrorMessage));
    }

    private static string? BadAddress(IConfiguration configuration)
    {
        var bad = ListenAddresses.Named(configuration).FirstOrDefault(url => ListenAddresses.Parsed(url) is null);
        if (bad is not null)
        {
            return $"'{bad}' is no address to listen on; allowed: {Addresses}.";
        }

        foreach (var key in new[] { "http_ports", "https_ports" })
        {
            var ports = (configuration[key] ?? string.Empty).Split(';', StringSplitOptions.RemoveEmptyEntries
                | StringSplitOptions.TrimEntries);
            if (ports.FirstOrDefault(p => !ushort.TryParse(p, out _)) is { } port)
            {
                return $"'{port}' of --{key} is no port; allowed: 0 to 65535, several with ; between.";
            }
        }

        return null;
    }

    private static string? BadName(ServerOptions options)
    {
        if (options.Proxy.FirstOrDefault(p => !IPAddress.TryParse(p, out _)) is { } proxy)
        {
            return $"'{proxy}' of --proxy is no address; allowed: the IP address from which the proxy asks, as 127.0.0.1.";
        }

        return options.Hosts.FirstOrDefault(h => Uri.CheckHostName(h.Trim('[', ']')) == UriHostNameType.Unknown) is { } host
            ? $"'{host}' of --hosts is no name of a machine; allowed: a name or an IP address without scheme, port and path, as "
                + "plant-server."
            : null;
    }

    private static string? BadCertificate(ServerOptions options, IConfiguration configuration)
    {
        if (options.Certificate.Length == 0)
        {
            return ListenAddresses.WantsCertificate(configuration) is { } url
                ? $"{url} wants a certificate: --certificate FILE and --certificateKey FILE, both PEM."
                : null;
        }

        if (options.CertificateKey.Length == 0)
        {
            return $"The certificate '{options.Certificate}' wants its key: --certificateKey FILE, PEM.";
        }

        try
        {
            using var loaded = X509Certificate2.CreateFromPemFile(options.Certificate, options.CertificateKey);
            return loaded.HasPrivateKey ? null : $"'{options.CertificateKey}' holds no key of the certificate.";
        }
        catch (Exception problem) when (problem is IOException or UnauthorizedAccessException or CryptographicException
            or ArgumentException)
        {
            return $"Certificate '{options.Certificate}' with key '{options.CertificateKey}' can't be used: {problem.Message} "
                + "Allowed: two PEM files that go together, the key without a password.";
        }
    }
}
