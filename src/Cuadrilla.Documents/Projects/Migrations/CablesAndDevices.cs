using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 7 to 8: how cables are laid, and protective and switching devices, are stated; until then nobody could.</summary>
internal sealed class CablesAndDevices : Migration
{
    protected override void Apply(JsonObject specification)
    {
        foreach (var point in DrivePoints(specification))
        {
            point["devices"] ??= new JsonObject
            {
                ["device"] = new JsonObject { ["kind"] = "not-chosen" },
                ["contactorA"] = null,
                ["coordination"] = "one",
            };
        }
    }
}
