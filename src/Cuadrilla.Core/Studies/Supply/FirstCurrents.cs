namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What each front end and each motor on the line takes in the first scenario in which it runs, by its key.</summary>
internal sealed record FirstCurrents(IReadOnlyDictionary<string, DriveInScenario> Drives, IReadOnlyDictionary<string, LineDrive> OnLine)
{
    public static FirstCurrents Of(IReadOnlyList<ScenarioResult> scenarios)
    {
        var drives = new Dictionary<string, DriveInScenario>(StringComparer.Ordinal);
        var onLine = new Dictionary<string, LineDrive>(StringComparer.Ordinal);
        foreach (var scenario in scenarios)
        {
            foreach (var drive in scenario.Drives)
            {
                drives.TryAdd(drive.DrivePointId, drive);
            }

            foreach (var drive in scenario.OnLine)
            {
                onLine.TryAdd(drive.DrivePointId, drive);
            }
        }

        return new FirstCurrents(drives, onLine);
    }
}
