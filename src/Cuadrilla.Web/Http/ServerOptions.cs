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

    /// <summary>True to begin with the demo plant where there is none yet.</summary>
    public bool Demo { get; set; }
}
