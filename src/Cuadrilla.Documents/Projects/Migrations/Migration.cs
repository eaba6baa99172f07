using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>Brings a specification of one version to the next. What does not fit is left for the reader to name.</summary>
internal abstract class Migration
{
    private static readonly IReadOnlyList<Migration> InOrder =
    [
        new BusesByKey(), new OwnConverters(), new ArrangementsOfLineups(), new StopsAndMotorValues(), new GoneValues(),
        new UnitsOfProjects(), new CablesAndDevices(), new FeedersOfModules(), new DevicesAndRoutes(), new Receivers(),
        new SpecialSupplies(), new StandbyAndOnePhase(), new CabinetsOfLineups(), new SignalsOfPlants(), new LogOfSite(),
        new AssumedValues(),
    ];

    /// <summary>Version in force: one more than the last migration begins from.</summary>
    public static int CurrentVersion => InOrder.Count + 1;

    /// <summary>All migrations from a version on, in their order.</summary>
    /// <param name="specification">What is changed.</param>
    /// <param name="version">Its version, 1 to <see cref="CurrentVersion"/>.</param>
    public static void Run(JsonObject specification, int version)
    {
        foreach (var migration in InOrder.Skip(version - 1))
        {
            migration.Apply(specification);
        }
    }

    /// <summary>Does it; twice is as good as once.</summary>
    protected abstract void Apply(JsonObject specification);

    /// <summary>Objects of a list; none where there is no list.</summary>
    protected static IEnumerable<JsonObject> Each(JsonNode? of, string list) =>
        ((of as JsonObject)?[list] as JsonArray ?? []).OfType<JsonObject>();

    /// <summary>All drive points.</summary>
    protected static IEnumerable<JsonObject> DrivePoints(JsonObject specification) =>
        Each(specification, "lineups").SelectMany(l => Each(l, "drivePoints"));
}
