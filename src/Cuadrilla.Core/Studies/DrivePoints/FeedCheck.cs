using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>supply.feed</c>: every drive point that is to run in a scenario has a closed path to the source.</summary>
internal static class FeedCheck
{
    private const string Id = "supply.feed";
    private const string Title = "Feed in every scenario";

    public static Check Of(SupplyContext supply)
    {
        if (supply.Scenarios.Count == 0)
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, Title, PlantNetwork.Missing(supply.Plant));
        }

        var worst = supply.Scenarios.MaxBy(s => s.Unfed.Count)!;
        var fails = worst.Unfed.Count > 0;
        return new Check(
            Id, string.Empty, BoardRow.Plant, Title, fails ? Verdict.Fails : Verdict.Holds, Given.Unknown, Given.Unknown, string.Empty,
            LimitSense.AtMost,
            Given.Unknown, fails ? worst.ScenarioName : string.Empty,
            fails ? PlantMeans.Relief(new PlantMeans(supply).CloseCoupler(worst.ScenarioName),
                "state those drive points as off in that scenario") : string.Empty,
            new Reason(
                "every bus with a running drive point has a closed path to the source",
                fails ? $"without feed in '{worst.ScenarioName}': {string.Join(", ", worst.Unfed)}" : "so it is in every scenario",
                "docs/methods/supply-network.md",
                []))
        { IsRule = true };
    }
}
