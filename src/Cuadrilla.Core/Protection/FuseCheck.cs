using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Protection;

/// <summary>
/// A gG fuse against load, start, fault, cable and the fuse above (IEC 60269-1, 60364-4-43). See <c>docs/methods/protection.md</c>.
/// </summary>
public static class FuseCheck
{
    // I_2 of a gG fuse and what the cable may then carry; ratio of ratings from which two gG fuses are selective.
    private const double FusingPu = 1.6;
    private const double OverloadPu = 1.45;
    private const double SelectivePu = 1.6;

    /// <summary>What is asked of the fuse.</summary>
    /// <param name="CurrentA">Design current, A.</param>
    /// <param name="CapacityA">Capacity of the cable, A.</param>
    /// <param name="LeastFaultA">Least fault current at the end, A.</param>
    /// <param name="DisconnectS">Time within which it has to clear, s.</param>
    /// <param name="SectionMm2">Section of a conductor, mm².</param>
    /// <param name="Parallel">Cables in parallel.</param>
    /// <param name="Material">Metal.</param>
    /// <param name="Insulation">Insulation.</param>
    /// <param name="Start">Current and time of a start, A and s; null: none.</param>
    /// <param name="UpstreamA">Rating of the gG fuse above, A; null: none.</param>
    public sealed record Duty(
        double CurrentA, double CapacityA, double LeastFaultA, double DisconnectS, double SectionMm2, int Parallel,
        ConductorMaterial Material, CableInsulation Insulation,
        (double A, double S)? Start, double? UpstreamA);

    /// <summary>What holds; null where it was not asked.</summary>
    /// <param name="LoadHolds">I_B ≤ I_n ≤ I_z and I_2 ≤ 1.45·I_z.</param>
    /// <param name="TripA">Current that surely clears in time, A.</param>
    /// <param name="ClearTimeS">Time to clear the least fault, s; null above 5 s.</param>
    /// <param name="IsCleared">It clears in time.</param>
    /// <param name="LetThroughA2s">I²·t of the least fault, A²s.</param>
    /// <param name="CableA2s">I²·t that the cable bears, A²s.</param>
    /// <param name="CableHolds">The cable bears it.</param>
    /// <param name="StartLimitA">Current that it surely carries over the start, A.</param>
    /// <param name="StartHolds">The start passes.</param>
    /// <param name="Selective">The fuse above stays.</param>
    public sealed record Result(
        bool LoadHolds, double TripA, double? ClearTimeS, bool IsCleared, double? LetThroughA2s, double CableA2s, bool CableHolds,
        double? StartLimitA, bool? StartHolds, bool? Selective)
    {
        /// <summary>All that was asked holds.</summary>
        public bool Holds => LoadHolds && IsCleared && CableHolds && StartHolds != false && Selective != false;
    }

    /// <summary>Judges a fuse.</summary>
    public static Result Of(GgFuse fuse, Duty duty)
    {
        ArgumentNullException.ThrowIfNull(fuse);
        ArgumentNullException.ThrowIfNull(duty);
        var clearS = fuse.ClearS(duty.LeastFaultA);
        var letThrough = duty.LeastFaultA * duty.LeastFaultA * clearS;
        var k = InsulationLimits.AdiabaticK(duty.Insulation, duty.Material) * duty.SectionMm2 * duty.Parallel;
        double? startLimit = duty.Start is { } start ? fuse.LastsA(start.S) : null;
        return new Result(
            duty.CurrentA <= fuse.RatedA && fuse.RatedA <= duty.CapacityA && FusingPu * fuse.RatedA <= OverloadPu * duty.CapacityA,
            fuse.ClearsA(duty.DisconnectS),
            clearS,
            clearS <= duty.DisconnectS,
            letThrough,
            k * k,
            letThrough <= k * k,
            startLimit,
            startLimit is { } limit ? duty.Start!.Value.A <= limit : null,
            duty.UpstreamA is { } upstream ? upstream / fuse.RatedA >= SelectivePu : null);
    }
}
