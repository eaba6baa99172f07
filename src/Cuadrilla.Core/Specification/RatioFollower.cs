using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification;

/// <summary>A drive point whose speed follows another's by pulses.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Leader">The leader.</param>
/// <param name="Follower">The follower.</param>
/// <param name="WantedRatio">Units of the follower for each unit of the leader.</param>
/// <param name="ImpliedDecimals">Decimals that the follower's display does not show.</param>
/// <param name="LargestSetting">Largest number that the display takes.</param>
/// <param name="InputLimitHz">Largest pulse frequency that the input counts, Hz.</param>
/// <param name="SampleTimeS">Time over which pulses are counted, s.</param>
/// <param name="LeaderRampS">Time of the leader from rest to its maximum speed, s.</param>
/// <param name="FollowerRampS">Shortest time of the follower from rest to its maximum speed, s.</param>
/// <param name="Reason">Why this arrangement.</param>
public sealed record RatioFollower(
    string Id,
    string Name,
    RatioAxis Leader,
    RatioAxis Follower,
    Given WantedRatio,
    int ImpliedDecimals,
    Given LargestSetting,
    Given InputLimitHz,
    Given SampleTimeS,
    Given LeaderRampS,
    Given FollowerRampS,
    string Reason) : Arrangement(Id, Name, Reason)
{
    /// <inheritdoc/>
    public override IReadOnlyList<string> PointIds() => [Leader.PointId, Follower.PointId];
}

/// <summary>Leader or follower of a ratio.</summary>
/// <param name="PointId">Its drive point.</param>
/// <param name="PulsesPerTurn">Pulses of a turn of the motor.</param>
/// <param name="GearRatio">Turns of the motor for a turn of the machine.</param>
/// <param name="UnitsPerMachineTurn">What a turn of the machine moves.</param>
/// <param name="Unit">In which unit: m, L, pieces.</param>
/// <param name="LeastRpm">Minimum speed of the motor in use, rpm.</param>
/// <param name="LargestRpm">Maximum speed of the motor in use, rpm.</param>
public sealed record RatioAxis(string PointId, Given PulsesPerTurn, Given GearRatio, Given UnitsPerMachineTurn, string Unit, Given LeastRpm,
    Given LargestRpm);
