using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 5 to 6: project values that no longer exist are left out; nothing depends on them.</summary>
internal sealed class GoneValues : Migration
{
    // Whether all orders are solved together was once a choice.
    private static readonly HashSet<string> Gone = new(StringComparer.Ordinal) { "harmonics-all-orders" };

    protected override void Apply(JsonObject specification)
    {
        foreach (var item in Each(specification, "overrides").Where(o => Gone.Contains(o["key"]?.ToString() ?? string.Empty)).ToList())
        {
            specification["overrides"]!.AsArray().Remove(item);
        }
    }
}
