namespace Cuadrilla.Core.Specification;

/// <summary>A named state of the plant.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="LinearLoadPu">Share of the bus's linear load that runs, 0 to 2.</param>
/// <param name="States">Drive points that differ from running at their rated point; at most one entry each.</param>
public sealed record Scenario(string Id, string Name, double LinearLoadPu, IReadOnlyList<DrivePointState> States)
{
    /// <summary>Level of a drive point (flow, speed, rate of cycles) in parts of the rated, 0 when it is off.</summary>
    public double LevelPuOf(string drivePointId)
    {
        foreach (var state in States)
        {
            if (state.DrivePointId == drivePointId)
            {
                return state.Running ? state.LevelPu : 0;
            }
        }

        return 1;
    }
}

/// <summary>What one drive point does in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Running">False when it is off.</param>
/// <param name="LevelPu">Flow, speed or rate of cycles in parts of the rated, above 0 to 1.2.</param>
public sealed record DrivePointState(string DrivePointId, bool Running, double LevelPu);
