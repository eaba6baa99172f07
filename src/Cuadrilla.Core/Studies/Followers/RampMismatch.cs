namespace Cuadrilla.Core.Studies.Followers;

/// <summary>
/// What a follower misses while its leader speeds up faster than it can: it needs n_F/(n_max/t_F) instead of t_L, and half the product
/// of speed and time lost is missing: ½·n_F/60·(t_reach − t_L)·u_F.
/// </summary>
/// <param name="ReachS">Time in which the follower reaches its speed, s.</param>
/// <param name="MissingUnits">Units that it is behind by then; 0 when it keeps up.</param>
public sealed record RampMismatch(double ReachS, double MissingUnits)
{
    /// <summary>Computes it.</summary>
    /// <param name="leaderRampS">Time of the leader from rest to the speed, s.</param>
    /// <param name="followerRpm">Speed of the follower there, rpm.</param>
    /// <param name="followerLargestRpm">Maximum speed of the follower, rpm.</param>
    /// <param name="followerRampS">Shortest time of the follower from rest to its maximum speed, s.</param>
    /// <param name="unitsPerTurn">Units of the follower for a turn.</param>
    public static RampMismatch Of(double leaderRampS, double followerRpm, double followerLargestRpm, double followerRampS,
        double unitsPerTurn)
    {
        var reach = Math.Max(leaderRampS, followerRpm / followerLargestRpm * followerRampS);
        return new RampMismatch(reach, 0.5 * followerRpm / 60 * (reach - leaderRampS) * unitsPerTurn);
    }
}
