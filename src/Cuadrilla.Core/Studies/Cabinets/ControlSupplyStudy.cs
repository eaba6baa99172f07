using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Control supply of a lineup with what hangs on it; methods <c>docs/methods/control-supply.md</c> and
/// <c>cabinets.md</c>.</summary>
public sealed class ControlSupplyStudy
{
    /// <summary>Lowest voltage at the terminals of a supply where none is entered, V.</summary>
    public const double UsualLowestV = 23.3;

    // Of their largest temperature in service, PVC.
    private const double ConductorC = 70;
    private const double SupplyEfficiencyPu = 0.88;

    private ControlSupplyStudy(PlantSpecification plant, Lineup lineup, ControlSupplyBuild build, CabinetStudy? cabinets,
        EngineeringData data)
    {
        (Lineup, Build) = (lineup, build);
        Loads = new ControlLoads(plant, lineup, data);
        var fans = cabinets is { Build: { Cooling: CabinetCooling.Forced, FanM3PerH.IsKnown: true } }
            ? cabinets.Layout.Sections.Count * cabinets.Build.FanM3PerH.Value * data.Terminals.Draws.FanWPerM3PerH
            : 0;
        OtherW = Loads.OtherBrakesW + build.FurtherW.Or(0) + fans;
        Branches = [.. build.Branches.Select(Branch)];
        if (build.RatedA.IsKnown && Branches.All(b => b.Missing.Count == 0))
        {
            var source = new ControlSource(24, build.LowestV.Or(UsualLowestV), build.RatedA.Value,
                build.PeakA.Or(ControlSource.UsualPeak * build.RatedA.Value));
            Budget = new ControlBudget(source, [.. Branches.Select(b => b.Judged!)], ConductorC);
        }
    }

    /// <summary>Computes it; null for a lineup without one.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="lineup">Lineup of it.</param>
    /// <param name="cabinets">Its cabinets; null without.</param>
    /// <param name="data">The catalogue with the plant's own items.</param>
    public static ControlSupplyStudy? Of(PlantSpecification plant, Lineup lineup, CabinetStudy? cabinets, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(lineup);
        return lineup.Control is { } build ? new ControlSupplyStudy(plant, lineup, build, cabinets, data) : null;
    }

    /// <summary>The lineup.</summary>
    public Lineup Lineup { get; }

    /// <summary>As entered.</summary>
    public ControlSupplyBuild Build { get; }

    /// <summary>What hangs on it.</summary>
    public ControlLoads Loads { get; }

    /// <summary>Branches in their order.</summary>
    public IReadOnlyList<LoadedBranch> Branches { get; }

    /// <summary>The budget; null while the supply or a branch is not known.</summary>
    public ControlBudget? Budget { get; }

    /// <summary>On the auxiliary transformer beside the 24 V supply, W: fans, brakes of other voltages, heaters.</summary>
    public double OtherW { get; }

    /// <summary>Load of the auxiliary transformer, VA; null while the supply is not known.</summary>
    public double? TransformerVa => Budget is { } budget ? OtherW + (24 * budget.SteadyA / SupplyEfficiencyPu) : null;

    /// <summary>Uses that have a load and no branch.</summary>
    public IReadOnlyList<ControlBranchUse> WithoutBranch =>
        [.. Loads.ByUse.Where(l => l.Value.SteadyA > 0 && Build.Branches.All(b => b.Use != l.Key)).Select(l => l.Key)];

    // Branches of one use share its load in equal parts.
    private LoadedBranch Branch(ControlBranchBuild branch)
    {
        var load = Loads.ByUse[branch.Use];
        var share = 1.0 / Build.Branches.Count(b => b.Use == branch.Use);
        var further = branch.FurtherA.Or(0);
        List<string> missing = [];
        void Ask(bool isKnown, string what)
        {
            if (!isKnown)
            {
                missing.Add($"{what} of branch {branch.Name}");
            }
        }

        Ask(branch.ProtectionA.IsKnown, "rating");
        Ask(branch.LengthM.IsKnown, "length");
        Ask(branch.SectionMm2.IsKnown, "section");
        return new LoadedBranch(branch, (share * load.SteadyA) + further, (share * load.InrushA) + further, load.Items, missing)
        {
            Judged = missing.Count > 0 ? null : new ControlBranch((share * load.SteadyA) + further, (share * load.InrushA) + further,
                branch.LengthM.Value, branch.SectionMm2.Value, branch.Protection, branch.ProtectionA.Value,
                branch.Use == ControlBranchUse.Brakes),
        };
    }
}

/// <summary>A branch with what hangs on it.</summary>
/// <param name="Build">As entered.</param>
/// <param name="SteadyA">Everything on, A.</param>
/// <param name="InrushA">The worst moment, A.</param>
/// <param name="Items">What it is.</param>
/// <param name="Missing">What is missing before it can be judged.</param>
public sealed record LoadedBranch(ControlBranchBuild Build, double SteadyA, double InrushA, IReadOnlyList<string> Items,
    IReadOnlyList<string> Missing)
{
    /// <summary>For the budget; null while data are missing.</summary>
    internal ControlBranch? Judged { get; init; }
}
