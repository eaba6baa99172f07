using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Instruments;

/// <summary>Where a broker is and how one gets in.</summary>
/// <param name="Host">Name or address.</param>
/// <param name="Port">Port.</param>
public sealed record BrokerAddress(string Host, int Port)
{
    private const int UsualPort = 1883, UsualTlsPort = 8883;

    /// <summary>With TLS; the certificate is checked.</summary>
    public bool IsSecure { get; init; }

    /// <summary>User; empty: none.</summary>
    public string User { get; init; } = string.Empty;

    /// <summary>Password.</summary>
    public string Password { get; init; } = string.Empty;

    /// <summary>Reads <c>mqtt://HOST:PORT</c>, <c>mqtts://HOST</c> or <c>HOST:PORT</c>.</summary>
    /// <exception cref="InputException">It is none of them.</exception>
    public static BrokerAddress Read(string text)
    {
        var whole = text.Contains("://", StringComparison.Ordinal) ? text : "mqtt://" + text;
        return Uri.TryCreate(whole, UriKind.Absolute, out var uri) && uri.Scheme is "mqtt" or "mqtts" && uri.Host.Length > 0
            && uri.UserInfo.Length == 0
            ? new(uri.Host, uri.Port > 0 ? uri.Port : uri.Scheme == "mqtts" ? UsualTlsPort : UsualPort) { IsSecure = uri.Scheme == "mqtts" }
            : throw new InputException(InputProblem.Of("/broker", "Broker", $"'{text}'", "mqtt://HOST:PORT or mqtts://HOST:PORT"));
    }

    /// <inheritdoc/>
    public override string ToString() =>
        string.Create(CultureInfo.InvariantCulture, $"{(IsSecure ? "mqtts" : "mqtt")}://{Host}:{Port}");
}
