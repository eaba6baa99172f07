using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of cables: section, drop, loop.</summary>
internal static class CableCalculations
{
    private const double LongestM = 20_000;
    private const double LargestMm2 = 1000;
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const double Large = 1e9;
    private const int MostCircuits = 9;

    public static object Size(SizeInput input, InputRanges ranges)
    {
        var tables = ReferenceCatalogue.Data.Cables;
        var device = input.DeviceA ?? ReferenceCatalogue.Data.GgFuses.LeastA(input.CurrentA);
        var limit = InsulationLimits.OperatingC(input.Insulation);
        ranges
            .Require(input.Method != InstallationMethod.D, "method", "d", "b2, c or e: cables in air")
            .Require(device is not null, "deviceA", "absent",
                $"given above {ReferenceCatalogue.Data.GgFuses.StandardA[^1]} A, where no gG fuse is standard")
            .Require(device is null || device >= input.CurrentA, "deviceA", $"{device}", $"{input.CurrentA} to {LargestA}")
            .Require(input.AmbientC < limit, "ambientC", $"{input.AmbientC}", $"-40 to below {limit}")
            .Require(input.OtherCircuits + input.Parallel <= MostCircuits, "otherCircuits",
                $"{input.OtherCircuits} with {input.Parallel} parallel", $"{MostCircuits} together at most")
            .Done();
        var size = CurrentCapacity.Smallest(
            new CurrentCapacity.Duty(
                input.CurrentA, device!.Value, input.DeviceFactor, input.Insulation, input.Method, input.Material, input.AmbientC,
                input.Grouping, input.OtherCircuits + input.Parallel,
                input.Parallel, input.ThirdHarmonicPct),
            tables);
        return new SizeOutput(
            device.Value, size.NeutralA, size.SizingA, size.TemperaturePu, size.GroupPu, size.HarmonicPu, size.SectionMm2, size.TabulatedA,
            size.CapacityA);
    }

    public static object Drop(DropInput input)
    {
        var perM = ConductorResistance.OhmPerM(ConductorResistance.At20OhmPerM(input.SectionMm2, input.Material, input.ResistanceOhmPerKm),
            input.Material, input.ConductorC);
        var (resistance, reactance) = (perM * input.LengthM / input.Parallel,
            (input.ReactanceOhmPerKm ?? (input.System == CableSystem.Dc ? 0 : UsualOhmPerKm)) / 1e3 * input.LengthM / input.Parallel);
        var lost = CableDrop.Of(input.NominalVoltageV, input.System, input.CurrentA, input.PowerFactor, resistance, reactance);
        var pct = 100 * lost.DropV / input.NominalVoltageV;
        return new DropOutput(
            resistance, reactance, lost.DropV, pct, lost.ExactDropV, lost.EndV, input.LengthM * input.LimitPct / pct, pct <= input.LimitPct
                && lost.EndV is not null);
    }

    public static object Loop(LoopInput input, InputRanges ranges)
    {
        var fuse = input.Device == FaultDevice.GgFuse && input.RatedA is { } rated ? ReferenceCatalogue.Data.GgFuses.Of(rated) : null;
        ranges
            .Require(input.SourceROhm > 0 || input.SourceXOhm > 0, "sourceROhm", "0 as the reactance", "above 0, or a reactance above 0")
            .Require(input.Device == FaultDevice.TripCurrent || input.RatedA is not null, "ratedA", "absent",
                "the rated current of the device, A")
            .Require(input.Device != FaultDevice.TripCurrent || input.TripA is not null, "tripA", "absent",
                "the current that disconnects in time, A")
            .Require(
                input.Device != FaultDevice.GgFuse || input.RatedA is null || fuse is not null, "ratedA", $"{input.RatedA}",
                string.Join(", ", ReferenceCatalogue.Data.GgFuses.Gates.Select(g => g.RatedA)));
        if (input is { Device: FaultDevice.BreakerC or FaultDevice.BreakerD, RatedA: { } breaker })
        {
            ranges.Number("ratedA", breaker, 0.5, 2000);
        }

        ranges.Done();
        var trip = input.Device switch
        {
            FaultDevice.GgFuse => fuse!.ClearsA(input.DisconnectS),
            FaultDevice.BreakerC => 10 * input.RatedA!.Value,
            FaultDevice.BreakerD => 20 * input.RatedA!.Value,
            _ => input.TripA!.Value,
        };
        var hotC = input.ConductorC ?? InsulationLimits.OperatingC(input.Insulation);
        Complex PerM(double sectionMm2, ConductorMaterial material, double? stated) => new(
            ConductorResistance.HotOhmPerM(ConductorResistance.At20OhmPerM(sectionMm2, material, stated), hotC),
            input.ReactanceOhmPerKm / 1e3);
        var result = LoopFault.Of(new LoopFault.Loop(
            input.PhaseVoltageV,
            new Complex(input.SourceROhm, input.SourceXOhm),
            PerM(input.SectionMm2, input.Material, input.ResistanceOhmPerKm),
            PerM(input.PeSectionMm2, input.PeMaterial ?? input.Material, input.PeResistanceOhmPerKm),
            input.LengthM,
            trip,
            input.CMin));
        return new LoopOutput(
            result.LoopOhm, result.FaultA, trip, result.PermittedOhm, result.Disconnects, result.MeasuredLimitOhm, result.LargestLengthM,
            result.TouchV);
    }

    private const double UsualOhmPerKm = 0.08;

    internal enum FaultDevice
    {
        GgFuse,
        BreakerC,
        BreakerD,
        TripCurrent,
    }

    internal sealed record SizeInput(
        [Above(0, LargestA)] double CurrentA,
        CableInsulation Insulation,
        InstallationMethod Method,
        [Above(0, LargestA)] double? DeviceA = null,
        [Range(1, 2)] double DeviceFactor = 1.6,
        ConductorMaterial Material = ConductorMaterial.Copper,
        [Range(-40, 90)] double AmbientC = 30,
        CableGrouping Grouping = CableGrouping.Bunched,
        [Range(0, 8)] int OtherCircuits = 0,
        [Range(1, 9)] int Parallel = 1,
        [Range(0, 100)] double ThirdHarmonicPct = 0);

    internal sealed record SizeOutput(
        double DeviceA, double NeutralA, double SizingA, double TemperaturePu, double GroupPu, double HarmonicPu, double? SectionMm2,
        double? TabulatedA, double? CapacityA);

    internal sealed record DropInput(
        [Above(0, LargestV)] double NominalVoltageV,
        [Above(0, LargestA)] double CurrentA,
        [Above(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        CableSystem System = CableSystem.ThreePhase,
        [Above(0, 1)] double PowerFactor = 1,
        ConductorMaterial Material = ConductorMaterial.Copper,
        [Range(1, 20)] int Parallel = 1,
        [Range(-60, 400)] double ConductorC = 70,
        [Above(0, Large)] double? ResistanceOhmPerKm = null,
        [Range(0, 2)] double? ReactanceOhmPerKm = null,
        [Above(0, 100)] double LimitPct = 5);

    internal sealed record DropOutput(
        double ResistanceOhm, double ReactanceOhm, double DropV, double DropPct, double? ExactDropV, double? EndV, double LargestLengthM,
        bool Holds);

    internal sealed record LoopInput(
        [Above(0, LargestV)] double PhaseVoltageV,
        [Range(0, Large)] double SourceROhm,
        [Range(0, Large)] double SourceXOhm,
        [Above(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        [Above(0, LargestMm2)] double PeSectionMm2,
        CableInsulation Insulation,
        FaultDevice Device,
        [Range(0.1, 5)] double DisconnectS,
        ConductorMaterial Material = ConductorMaterial.Copper,
        ConductorMaterial? PeMaterial = null,
        [Above(0, Large)] double? ResistanceOhmPerKm = null,
        [Above(0, Large)] double? PeResistanceOhmPerKm = null,
        [Range(-60, 400)] double? ConductorC = null,
        [Above(0, Large)] double ReactanceOhmPerKm = UsualOhmPerKm,
        [Above(0, LargestA)] double? RatedA = null,
        [Above(0, LargestA)] double? TripA = null,
        [Range(0.5, 1)] double CMin = 0.95);

    internal sealed record LoopOutput(
        double LoopOhm, double FaultA, double TripA, double PermittedOhm, bool Disconnects, double MeasuredLimitOhm, double? LargestLengthM,
        double TouchV);
}
