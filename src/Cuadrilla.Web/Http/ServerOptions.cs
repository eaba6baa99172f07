using System.ComponentModel.DataAnnotations;

namespace Cuadrilla.Web.Http;

/// <summary>What the server is told when it starts, by <c>appsettings.json</c>, environment or command line.</summary>
internal sealed class ServerOptions
{
    /// <summary>Folder of the database.</summary>
    [Required]
    public string Data { get; set; } = "data";

    /// <summary>Folder of the built app.</summary>
    [Required]
    public string App { get; set; } = Path.Combine(AppContext.BaseDirectory, "app");

    /// <summary>Names that the server answers to beside those of loopback.</summary>
    public IReadOnlyList<string> Hosts { get; set; } = [];

    /// <summary>Addresses of proxies that end TLS before the server; requests come from them or from this machine.</summary>
    public IReadOnlyList<string> Proxy { get; set; } = [];

    /// <summary>File of the certificate for https, PEM; empty: none.</summary>
    public string Certificate { get; set; } = string.Empty;

    /// <summary>File of its key, PEM.</summary>
    public string CertificateKey { get; set; } = string.Empty;

    /// <summary>What the database may take of the disk, MB; null: all there is.</summary>
    [Range(1, 1_000_000)]
    public int? LargestMB { get; set; }

    /// <summary>How often a minute one address may try a password, whatever the account.</summary>
    [Range(1, 100_000)]
    public int TriesPerMin { get; set; } = 20;

    /// <summary>Broker of a site's instruments, mqtt:// or mqtts://; empty: one of the program's own, on this machine alone.</summary>
    public string Broker { get; set; } = string.Empty;

    /// <summary>User at that broker.</summary>
    public string BrokerUser { get; set; } = string.Empty;

    /// <summary>Password at it; rather by the environment than on the command line.</summary>
    public string BrokerPassword { get; set; } = string.Empty;

    /// <summary>Port on loopback of the program's own broker; 0: a free one, once stand-ins are wanted.</summary>
    [Range(0, 65535)]
    public int MqttPort { get; set; }

    /// <summary>True to begin with the demo plant where there is none yet.</summary>
    public bool Demo { get; set; }
}
