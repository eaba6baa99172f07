using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>fault-current</c>.</summary>
internal static class FaultCurrentCalculation
{
    private const double Large = 1e9;

    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Require(input.VoltageTolerancePct is 6 or 10, "voltageTolerancePct", $"{input.VoltageTolerancePct}", "6, 10")
            .Require(input.SourceMinMva is null || input.SourceMinMva <= input.SourceMva, "sourceMinMva", $"{input.SourceMinMva}",
                $"above 0 to {input.SourceMva}");
        FaultCurrent.TransformerPart? transformer = null;
        if (input.Transformer is { } t)
        {
            ranges.Require(t.LoadLossKw < t.UkPct / 100 * t.RatedKva, "transformer/loadLossKw", $"{t.LoadLossKw}",
                $"above 0 to below {t.UkPct / 100 * t.RatedKva}").Done();
            transformer = new FaultCurrent.TransformerPart(
                FaultLevel.TransformerImpedance(input.NominalVoltageV, new FaultLevel.TransformerInput(t.RatedKva, t.UkPct, t.LoadLossKw)),
                1e3 * t.RatedKva, t.ZeroResistancePu, t.ZeroReactancePu);
        }

        ranges.Done();
        var bus = FaultCurrent.VoltageFactors.Of(input.VoltageTolerancePct);
        var level = input.SourceLevel ?? (transformer is null ? SourceVoltage.Low : SourceVoltage.Medium);
        var result = FaultCurrent.Of(new FaultCurrent.Place(
            input.NominalVoltageV,
            bus,
            level == SourceVoltage.Medium ? FaultCurrent.VoltageFactors.Medium : bus,
            input.SourceMva,
            input.SourceMinMva ?? input.SourceMva,
            input.SourceXr,
            transformer,
            input.Cable is { } cable ? Part(cable) : null,
            input.Motors?.RatedCurrentA ?? 0,
            input.Motors?.Factor ?? 0));
        return new Output(
            result.PlainA / 1e3,
            result.TransformerFactor,
            new LargestOutput(
                result.Max.Impedance.Real, result.Max.Impedance.Imaginary, result.Max.Kappa, result.Max.MotorsA / 1e3,
                result.Max.CurrentA / 1e3, result.Max.PeakA / 1e3),
            new LeastOutput(
                result.Min.Impedance.Real, result.Min.Impedance.Imaginary, result.Min.CurrentA / 1e3, result.Min.PhaseToPhaseA / 1e3,
                result.Min.PhaseToEarthA / 1e3));
    }

    private static FaultCurrent.CablePart Part(CableInput cable)
    {
        var cold = ConductorResistance.At20OhmPerM(cable.SectionMm2, cable.Material, cable.ResistanceOhmPerKm);
        var hot = ConductorResistance.HotOhmPerM(cold, cable.EndC ?? InsulationLimits.ShortCircuitC(cable.Insulation));
        var length = cable.LengthM / cable.Parallel;
        var reactance = cable.ReactanceOhmPerKm / 1e3 * length;
        return new FaultCurrent.CablePart(new Complex(cold * length, reactance), new Complex(hot * length, reactance),
            cable.ZeroResistancePu, cable.ZeroReactancePu);
    }

    internal enum SourceVoltage
    {
        Medium,
        Low,
    }

    internal sealed record TransformerInput(
        [Above(0, Large)] double RatedKva, [Range(0, 100)] double UkPct, [Above(0, Large)] double LoadLossKw,
        [Above(0, Large)] double ZeroResistancePu = 1,
        [Above(0, Large)] double ZeroReactancePu = 0.95);

    internal sealed record CableInput(
        [Range(0, 20_000)] double LengthM, [Above(0, 1000)] double SectionMm2, CableInsulation Insulation,
        ConductorMaterial Material = ConductorMaterial.Copper, [Range(1, 200)] int Parallel = 1,
        [Above(0, Large)] double? ResistanceOhmPerKm = null, [Above(0, Large)] double ReactanceOhmPerKm = 0.08,
        [Range(-60, 400)] double? EndC = null,
        [Above(0, Large)] double ZeroResistancePu = 4, [Above(0, Large)] double ZeroReactancePu = 4);

    internal sealed record MotorsInput([Above(0, 100_000)] double RatedCurrentA, [Range(5, 7)] double Factor = 6);

    internal sealed record Input(
        [Range(100, 1000)] double NominalVoltageV, [Above(0, Large)] double SourceMva, [Above(0, Large)] double SourceXr,
        [Range(6, 10)] double VoltageTolerancePct = 6,
        [Above(0, Large)] double? SourceMinMva = null, SourceVoltage? SourceLevel = null, TransformerInput? Transformer = null,
        CableInput? Cable = null, MotorsInput? Motors = null);

    internal sealed record LargestOutput(double ROhm, double XOhm, double Kappa, double MotorsKa, double IkKa, double PeakKa);

    internal sealed record LeastOutput(double ROhm, double XOhm, double IkKa, double PhaseToPhaseKa, double? PhaseToEarthKa);

    internal sealed record Output(double PlainKa, double? TransformerFactor, LargestOutput Maximum, LeastOutput Minimum);
}
