using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks what is entered of a lineup to which only one phase is available.</summary>
internal static class OnePhaseValidation
{
    private const int MostMachines = 50;

    public static void Check(Lineup lineup, string at, ProblemList p)
    {
        if (lineup.OnePhase is not { } one)
        {
            return;
        }

        var ids = new HashSet<string>(StringComparer.Ordinal);
        p.Require(one.Machines.Count <= MostMachines, at + "/onePhase/machines", "Machines", $"{one.Machines.Count}",
            $"up to {MostMachines}");
        for (var i = 0; i < one.Machines.Count; i++)
        {
            p.Unique($"{at}/onePhase/machines/{i}/id", "Machine key", one.Machines[i].Id, ids);
        }

        p.Require(lineup.DcBuses.Count == 0, at + "/dcBuses", "Common DC bus", "given", "none where only one phase is available");
        for (var k = 0; k < lineup.DrivePoints.Count; k++)
        {
            p.Require(lineup.DrivePoints[k].StepUp is null, $"{at}/drivePoints/{k}/stepUp", "Step-up transformer", "given",
                "none where only one phase is available");
        }
    }
}
