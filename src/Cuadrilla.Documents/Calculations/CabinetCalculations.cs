using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of cabinets: heat, air, control supply.</summary>
internal static class CabinetCalculations
{
    private const double LargestM = 10;
    private const double LongestM = 20_000;
    private const double LargestMm2 = 1000;
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const double ColdestC = -60;
    private const double HottestC = 400;
    private const double Large = 1e9;

    public static object Heat(HeatInput input, InputRanges ranges)
    {
        ranges.Require(input.AmbientC < input.PermittedC, "ambientC", $"{input.AmbientC}", $"below {input.PermittedC}, permittedC").Done();
        var surface = new Enclosure(input.WidthM, input.HeightM, input.DepthM, input.TopFree, input.RearFree, input.LeftFree,
            input.RightFree).SurfaceM2;
        var heat = new EnclosureHeat(input.FactorK, input.FactorD, input.FactorC, input.Vented);
        var (mid, top, permitted) = (heat.MidRiseK(input.LossW), heat.TopRiseK(input.LossW), input.PermittedC - input.AmbientC);
        return new HeatOutput(surface, mid, top, input.AmbientC + mid, input.AmbientC + top, heat.PermittedW(permitted),
            EnclosureHeat.ScreeningW(surface, permitted), top <= permitted);
    }

    public static object Air(AirInput input)
    {
        var inlets = new List<double>(input.Units.Count);
        var air = input.InletC;
        foreach (var unit in input.Units)
        {
            inlets.Add(air);
            air += AirFlow.UnitRiseK(unit.LossW, unit.AirM3PerH, input.AltitudeM);
        }

        var needed = AirFlow.M3PerH(input.LossW * input.InsidePct / 100, input.RiseK, input.AltitudeM);
        return new AirOutput(needed, needed / AirFlow.LeftPu(input.Mats), input.InletC + input.RiseK, inlets, air,
            input.InletCm2 is { } inlet ? AirFlow.OutletCm2(inlet) : null);
    }

    public static object Control(ControlInput input, InputRanges ranges)
    {
        var lowest = input.SupplyLowV ?? input.SupplyV;
        ranges.Require(lowest <= input.SupplyV, "supplyLowV", $"{lowest}", $"above 0 to {input.SupplyV}, supplyV").Done();
        var source = new ControlSource(input.SupplyV, lowest, input.RatedA, input.SupplyPeakA ?? (ControlSource.UsualPeak * input.RatedA));
        var budget = new ControlBudget(source, [.. input.Loads.Select(l => new ControlBranch(l.SteadyA, l.InrushA, l.LengthM, l.SectionMm2,
            l.Protection, l.ProtectionA, l.Kind == BranchKind.Brake))], input.ConductorC);
        return new ControlOutput(budget.SteadyA, budget.SteadyPct, budget.InrushA, budget.SupplyHolds,
            [.. budget.Branches.Select(b => new BranchOutput(b.LoopOhm, b.SteadyV, b.InrushV, b.LeastV, b.VoltageHolds, b.TripNeedsA,
                b.FaultA,
                b.Trips))]);
    }

    internal enum BranchKind
    {
        Load,
        Brake,
    }

    internal sealed record HeatInput(
        [Above(0, LargestM)] double WidthM,
        [Above(0, LargestM)] double HeightM,
        [Above(0, LargestM)] double DepthM,
        [Range(0, Large)] double LossW,
        [Above(0, Large)] double FactorK,
        [Range(1, 3)] double FactorC,
        [Range(ColdestC, HottestC)] double AmbientC,
        [Range(ColdestC, HottestC)] double PermittedC,
        [Range(0.5, Large)] double FactorD = 1,
        bool TopFree = true,
        bool RearFree = false,
        bool LeftFree = true,
        bool RightFree = true,
        bool Vented = false);

    internal sealed record HeatOutput(double SurfaceM2, double MidRiseK, double TopRiseK, double MidC, double TopC, double PermittedW,
        double ScreeningW, bool Holds);

    internal sealed record StackedInput([Range(0, Large)] double LossW, [Above(0, Large)] double AirM3PerH);

    internal sealed record AirInput(
        [Range(0, Large)] double LossW,
        [Range(ColdestC, HottestC)] double InletC,
        [Above(0, 60)] double RiseK,
        [Length(1, 200)] IReadOnlyList<StackedInput> Units,
        [Range(0, 100)] double InsidePct = 100,
        [Range(-500, 6000)] double AltitudeM = 0,
        FilterMats Mats = FilterMats.None,
        [Above(0, Large)] double? InletCm2 = null);

    internal sealed record AirOutput(double AirM3PerH, double FanM3PerH, double OutletC, IReadOnlyList<double> UnitInletC,
        double StackOutletC, double? OutletCm2);

    internal sealed record BranchInput(
        [Above(0, LargestA)] double SteadyA,
        [Range(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        [Above(0, LargestA)] double ProtectionA,
        BranchKind Kind = BranchKind.Load,
        [Range(0, LargestA)] double InrushA = 0,
        BranchProtection Protection = BranchProtection.BreakerC);

    internal sealed record ControlInput(
        [Above(0, LargestA)] double RatedA,
        [Length(1, 200)] IReadOnlyList<BranchInput> Loads,
        [Above(0, LargestV)] double SupplyV = 24,
        [Above(0, LargestV)] double? SupplyLowV = null,
        [Above(0, LargestA)] double? SupplyPeakA = null,
        [Range(ColdestC, HottestC)] double ConductorC = 70);

    internal sealed record BranchOutput(double LoopOhm, double SteadyV, double InrushV, double LeastV, bool VoltageHolds, double TripNeedsA,
        double FaultA, bool Trips);

    internal sealed record ControlOutput(double SteadyA, double SteadyPct, double InrushA, bool SupplyHolds,
        IReadOnlyList<BranchOutput> Loads);
}
