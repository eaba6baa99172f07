using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Tests.Cabinets;

public sealed class ControlBudgetTests
{
    private static readonly ControlSource Source = new(24, 24, 10, 15);

    // A loop of R and a load of I: Kirchhoff by hand, at 20 °C 2·l/(54·A).
    [Fact]
    public void The_far_end_has_what_the_loop_leaves()
    {
        var branch = Of(new ControlBranch(2, 5, 54, 1.5, BranchProtection.Electronic, 3), 20).Branches[0];
        Assert.Equal(2 / 1.5, branch.LoopOhm, 12);
        Assert.Equal(24 - (2 * 2 / 1.5), branch.SteadyV, 12);
        Assert.Equal(24 - (5 * 2 / 1.5), branch.InrushV, 12);
        Assert.False(branch.VoltageHolds);
        Assert.Equal(15, branch.FaultA, 12);
        Assert.True(branch.Trips);
    }

    // A C breaker of 4 A needs 40 A: no supply of 15 A gives them, whatever the loop.
    [Fact]
    public void A_breaker_does_not_trip_on_what_a_supply_cannot_give()
    {
        var branch = new ControlBranch(1, 0, 0, 1.5, BranchProtection.BreakerC, 4);
        Assert.False(Of(branch, 70).Branches[0].Trips);
        Assert.True(new ControlBudget(Source with { PeakA = 40 }, [branch], 70).Branches[0].Trips);
        Assert.Equal(0, Of(branch, 70).Branches[0].LoopOhm);
    }

    [Fact]
    public void Inrush_is_the_worst_of_one_with_the_others_steady()
    {
        var branches = new[] { 1.0, 2, 3 }.Select(a => new ControlBranch(a, 4 * a, 5, 1.5, BranchProtection.Electronic, a)).ToList();
        var budget = new ControlBudget(Source, branches, 70);
        Assert.Equal(6, budget.SteadyA, 12);
        Assert.Equal(branches.Max(b => b.InrushA + branches.Where(o => o != b).Sum(o => o.SteadyA)), budget.InrushA, 12);
        Assert.Equal(60, budget.SteadyPct, 12);
        Assert.True(budget.SupplyHolds);
        Assert.False(new ControlBudget(Source with { PeakA = 14.9 }, branches, 70).SupplyHolds);
        Assert.False(new ControlBudget(Source with { RatedA = 7.4 }, branches, 70).SupplyHolds);
        Assert.Equal(0, new ControlBudget(Source, [], 70).InrushA);
    }

    [Fact]
    public void A_brake_needs_more_volts()
    {
        var load = new ControlBranch(1, 0, 40, 1, BranchProtection.Electronic, 1);
        Assert.Equal(20.4, Of(load, 70).Branches[0].LeastV);
        Assert.Equal(21.6, Of(load with { IsBrake = true }, 70).Branches[0].LeastV);
    }

    private static ControlBudget Of(ControlBranch branch, double conductorC) => new(Source, [branch], conductorC);
}
