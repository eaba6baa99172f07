using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Cabinets;

/// <summary>What protects a branch of the control supply.</summary>
public enum BranchProtection
{
    /// <summary>Miniature breaker, characteristic C: trips at once at ten times its rating.</summary>
    BreakerC,

    /// <summary>Electronic: trips at 1.25 times its rating.</summary>
    Electronic,
}

/// <summary>A direct-current supply for control, and what it can give.</summary>
/// <param name="NominalV">Voltage, V.</param>
/// <param name="LowestV">Lowest voltage at its terminals in operation, V.</param>
/// <param name="RatedA">Rated current, A.</param>
/// <param name="PeakA">Current that it gives for moments and into a fault, A.</param>
public sealed record ControlSource(double NominalV, double LowestV, double RatedA, double PeakA)
{
    /// <summary>What is taken for a peak that nobody states, × rated current.</summary>
    public const double UsualPeak = 1.5;
}

/// <summary>One branch of a control supply.</summary>
/// <param name="SteadyA">Current while on, A.</param>
/// <param name="InrushA">Current for the first moments, A; 0: none above the steady one.</param>
/// <param name="LengthM">One way, m.</param>
/// <param name="SectionMm2">Copper, mm².</param>
/// <param name="Protection">Kind of device.</param>
/// <param name="ProtectionA">Its rating, A.</param>
/// <param name="IsBrake">A brake's coil, which needs 21.6 V.</param>
public sealed record ControlBranch(
    double SteadyA, double InrushA, double LengthM, double SectionMm2, BranchProtection Protection, double ProtectionA,
    bool IsBrake = false)
{
    /// <summary>The larger of both currents, A.</summary>
    public double HighestA => Math.Max(SteadyA, InrushA);
}

/// <summary>A branch judged.</summary>
/// <param name="LoopOhm">Resistance there and back, Ω.</param>
/// <param name="SteadyV">Voltage at its end, V.</param>
/// <param name="InrushV">Voltage at its end at the highest current, V.</param>
/// <param name="LeastV">Voltage that it needs, V.</param>
/// <param name="TripNeedsA">Current at which its protection trips at once, A.</param>
/// <param name="FaultA">Current that the supply gives into a short circuit at its end, A.</param>
public readonly record struct BranchResult(double LoopOhm, double SteadyV, double InrushV, double LeastV, double TripNeedsA, double FaultA)
{
    /// <summary>The voltage suffices at the highest current.</summary>
    public bool VoltageHolds => InrushV >= LeastV;

    /// <summary>A short circuit at its end is disconnected.</summary>
    public bool Trips => FaultA >= TripNeedsA;
}

/// <summary>Budget of a control supply: steady, inrush, volts at the far end, and whether each protection trips;
/// method <c>docs/methods/control-supply.md</c>.</summary>
public sealed class ControlBudget
{
    // IEC 61131-2: 24 V −15 %; a brake's coil −10 %.
    private const double LeastLoadV = 20.4;
    private const double LeastBrakeV = 21.6;

    // A C characteristic trips at ten times its rating at the latest (IEC 60898-1); an electronic one at 1.25.
    private const double BreakerCTimes = 10;
    private const double ElectronicTimes = 1.25;

    /// <summary>Part of its rating to which a supply is loaded.</summary>
    public const double LargestPart = 0.8;

    /// <summary>Sums and judges.</summary>
    /// <param name="source">Supply.</param>
    /// <param name="branches">Branches.</param>
    /// <param name="conductorC">Temperature of the conductors, °C.</param>
    public ControlBudget(ControlSource source, IReadOnlyList<ControlBranch> branches, double conductorC)
    {
        ArgumentNullException.ThrowIfNull(source);
        ArgumentNullException.ThrowIfNull(branches);
        Source = source;
        SteadyA = branches.Sum(b => b.SteadyA);
        InrushA = SteadyA + branches.Select(b => b.HighestA - b.SteadyA).DefaultIfEmpty(0).Max();
        Branches = [.. branches.Select(b => Judged(source, b, conductorC))];
    }

    /// <summary>Supply.</summary>
    public ControlSource Source { get; }

    /// <summary>Sum of the steady currents, A.</summary>
    public double SteadyA { get; }

    /// <summary>Highest sum: one branch in its first moments, the others steady, A.</summary>
    public double InrushA { get; }

    /// <summary>Branches in their order.</summary>
    public IReadOnlyList<BranchResult> Branches { get; }

    /// <summary>The steady sum over the rating, %.</summary>
    public double SteadyPct => 100 * SteadyA / Source.RatedA;

    /// <summary>The supply carries both sums.</summary>
    public bool SupplyHolds => SteadyA <= LargestPart * Source.RatedA && InrushA <= Source.PeakA;

    private static BranchResult Judged(ControlSource source, ControlBranch branch, double conductorC)
    {
        const ConductorMaterial copper = ConductorMaterial.Copper;
        var loop = 2 * branch.LengthM
            * ConductorResistance.OhmPerM(ConductorResistance.At20OhmPerM(branch.SectionMm2, copper, null), copper, conductorC);
        return new BranchResult(
            loop,
            source.LowestV - (loop * branch.SteadyA),
            source.LowestV - (loop * branch.HighestA),
            branch.IsBrake ? LeastBrakeV : LeastLoadV,
            branch.ProtectionA * (branch.Protection == BranchProtection.BreakerC ? BreakerCTimes : ElectronicTimes),
            loop > 0 ? Math.Min(source.NominalV / loop, source.PeakA) : source.PeakA);
    }
}
