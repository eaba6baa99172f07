using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Interference;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of interference: common mode, leakage, coupled voltage.</summary>
internal static class InterferenceCalculations
{
    private const double LongestM = 20_000;
    private const double LargestMm2 = 1000;
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const double Large = 1e9;

    public static object CommonModeOf(CommonModeInput input)
    {
        var result = CommonMode.Of(new CommonMode.Case(
            input.LengthM, input.SectionMm2, input.CapacitanceNfPerM, input.SlopeKvPerUs, input.LinkV, input.SwitchingKhz,
            input.RatedCurrentA, input.ImpedanceOhm));
        return new CommonModeOutput(
            result.CapacitanceNf, result.EdgeA, result.LimitA, result.PeakA, result.ChargingA, result.PermittedA, result.LossW,
            result.Holds);
    }

    public static object Leakage(LeakageInput input)
    {
        var currents = FilterLeakage.Of(new FilterLeakage.Filter(
            input.CapacitanceUf, input.PhaseVoltageV, input.FrequencyHz, input.UnbalancePct, input.TolerancePct, input.LinkV));
        double? permittedMa = input.ResidualMa is { } rated ? FilterLeakage.PermittedMa(rated) : null;
        return new LeakageOutput(
            currents.LineMa, currents.TripleMa, currents.TotalMa, currents.PhaseLostMa, currents.AsksReinforced,
            FilterLeakage.EarthHolds(currents,
                new EarthConnection(input.PeSectionMm2, input.PeMaterial, input.SecondPe, input.PeMonitored)),
            permittedMa, permittedMa is { } permitted ? currents.TotalMa <= permitted : null);
    }

    public static object Coupled(CoupledInput input, InputRanges ranges)
    {
        var apartM = Math.Abs(input.SourceHeightM - input.ReceiverHeightM);
        ranges.Require(input.DistanceM >= apartM, "distanceM", $"{input.DistanceM}", $"at least {apartM}, the difference of the heights")
            .Done();
        var result = CoupledVoltage.Of(
            new CoupledVoltage.Pair(
                input.FrequencyMhz, input.LengthM, input.SourceHeightM, input.ReceiverHeightM, input.DistanceM, input.CurrentA,
                input.Screen, input.TransferMohmPerM),
            new CoupledVoltage.Input(input.SpanV, input.Bits, input.TimeConstantUs));
        return new CoupledOutput(result.MutualNhPerM, result.VoltageV, result.InputV, result.StepV, result.Steps, result.ElectricallyShort,
            result.Holds);
    }

    internal sealed record CommonModeInput(
        [Above(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        [Above(0, Large)] double SlopeKvPerUs,
        [Above(0, LargestV)] double LinkV,
        [Range(0.5, 50)] double SwitchingKhz,
        [Above(0, LargestA)] double RatedCurrentA,
        [Above(0, Large)] double? CapacitanceNfPerM = null,
        [Range(5, 500)] double ImpedanceOhm = 20);

    internal sealed record CommonModeOutput(
        double CapacitanceNf, double EdgeA, double LimitA, double PeakA, double ChargingA, double PermittedA, double LossW, bool Holds);

    internal sealed record LeakageInput(
        [Range(0, Large)] double CapacitanceUf,
        [Above(0, LargestV)] double PhaseVoltageV,
        [Above(0, LargestV)] double LinkV,
        [Above(0, Large)] double FrequencyHz = 50,
        [Range(0, 100)] double UnbalancePct = 2,
        [Range(0, 100)] double TolerancePct = 10,
        [Above(0, Large)] double? ResidualMa = null,
        [Above(0, LargestMm2)] double? PeSectionMm2 = null,
        ConductorMaterial PeMaterial = ConductorMaterial.Copper,
        bool SecondPe = false,
        bool PeMonitored = false);

    internal sealed record LeakageOutput(
        double LineMa, double TripleMa, double TotalMa, double PhaseLostMa, bool ReinforcedEarth, bool? EarthHolds, double? PermittedMa,
        bool? ResidualHolds);

    internal sealed record CoupledInput(
        [Above(0, 100)] double FrequencyMhz,
        [Above(0, LongestM)] double LengthM,
        [Above(0, LongestM)] double SourceHeightM,
        [Above(0, LongestM)] double ReceiverHeightM,
        [Above(0, LongestM)] double DistanceM,
        [Above(0, LargestA)] double CurrentA,
        [Above(0, LargestV)] double SpanV,
        [Range(1, 24)] int Bits,
        ReceiverScreen Screen = ReceiverScreen.None,
        [Above(0, Large)] double? TransferMohmPerM = null,
        [Range(0, Large)] double TimeConstantUs = 0);

    internal sealed record CoupledOutput(
        double MutualNhPerM, double VoltageV, double InputV, double StepV, double Steps, bool ElectricallyShort, bool Holds);
}
