using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;

namespace Cuadrilla.Web.Cabinets;

/// <summary>Control supply of a lineup.</summary>
/// <param name="Loads">By what a branch feeds.</param>
/// <param name="Branches">In their order.</param>
/// <param name="SteadyA">Everything on, A; null while data are missing.</param>
/// <param name="InrushA">The worst moment, A.</param>
/// <param name="TransformerVa">Load of the auxiliary transformer, VA.</param>
/// <param name="Missing">What is missing before all is known.</param>
/// <param name="WithoutBranch">Uses that have a load and no branch.</param>
internal sealed record ControlDocument(IReadOnlyList<ControlLoadDocument> Loads, IReadOnlyList<BranchDocument> Branches, double? SteadyA,
    double? InrushA, double? TransformerVa, IReadOnlyList<string> Missing, IReadOnlyList<ControlBranchUse> WithoutBranch)
{
    public static ControlDocument Of(ControlSupplyStudy study) => new(
        [.. study.Loads.ByUse.Where(l => l.Value.SteadyA > 0)
            .Select(l => new ControlLoadDocument(l.Key, l.Value.SteadyA, l.Value.InrushA, l.Value.Items))],
        [.. study.Branches.Select((b, i) => BranchDocument.Of(study, b, i))],
        study.Budget?.SteadyA, study.Budget?.InrushA, study.TransformerVa, study.Loads.Missing, study.WithoutBranch);
}

/// <summary>What the lineup has for a branch.</summary>
/// <param name="Use">What a branch for it is called.</param>
/// <param name="SteadyA">Everything on, A.</param>
/// <param name="InrushA">The worst moment, A.</param>
/// <param name="Items">What it is.</param>
internal sealed record ControlLoadDocument(ControlBranchUse Use, double SteadyA, double InrushA, IReadOnlyList<string> Items);

/// <summary>A branch.</summary>
/// <param name="Id">Its key.</param>
/// <param name="SteadyA">Current while on, A.</param>
/// <param name="InrushA">Its worst moment, A.</param>
/// <param name="EndV">Voltage at its end then, V; null while data are missing.</param>
/// <param name="FaultA">What a short circuit at its end gives, A.</param>
/// <param name="TripNeedsA">What trips its device at once, A.</param>
internal sealed record BranchDocument(string Id, double SteadyA, double InrushA, double? EndV, double? FaultA, double? TripNeedsA)
{
    public static BranchDocument Of(ControlSupplyStudy study, LoadedBranch branch, int i) =>
        new(branch.Build.Id, branch.SteadyA, branch.InrushA,
        study.Budget?.Branches[i].InrushV, study.Budget?.Branches[i].FaultA, study.Budget?.Branches[i].TripNeedsA);
}
