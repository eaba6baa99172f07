namespace Cuadrilla.Core.Specification;

/// <summary>A named state of the plant.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="LinearLoadPu">Share of the bus's linear load that runs, 0 to 2.</param>
/// <param name="States">Drive points that differ from running at their rated point; at most one entry each.</param>
public sealed record Scenario(string Id, string Name, double LinearLoadPu, IReadOnlyList<DrivePointState> States)
{
    /// <summary>Flow of a drive point in parts of its rated flow, 0 when it is off.</summary>
    public double FlowPuOf(string drivePointId)
    {
        foreach (var state in States)
        {
            if (state.DrivePointId == drivePointId)
            {
                return state.Running ? state.FlowPu : 0;
            }
        }

        return 1;
    }
}

/// <summary>What one drive point does in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Running">False when it is off.</param>
/// <param name="FlowPu">Delivered flow in parts of the rated flow, above 0 to 1.2.</param>
public sealed record DrivePointState(string DrivePointId, bool Running, double FlowPu);
