using System.Collections.Frozen;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a run of a scenario leaves to the next one, after an edit.</summary>
/// <param name="Fronts">Front ends by key, as they settled.</param>
/// <param name="Networks">Its network; null: none was built.</param>
/// <param name="Loaded">The same with what hung on it.</param>
internal sealed record ScenarioBefore(
    IReadOnlyDictionary<string, DriveInScenario> Fronts, ScenarioNetworks? Networks, LoadedNetwork? Loaded)
{
    /// <summary>Of a scenario that was never run.</summary>
    public static ScenarioBefore Nothing { get; } = new(FrozenDictionary<string, DriveInScenario>.Empty, null, null);

    /// <summary>Of a result.</summary>
    public static ScenarioBefore Of(ScenarioResult result) => new(
        result.Drives.ToFrozenDictionary(d => d.DrivePointId, StringComparer.Ordinal), result.Networks, result.Loaded);
}
