using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of special supplies: one phase, long cable with step-up transformer, generator.</summary>
internal static class SpecialSupplyCalculations
{
    private const double LongestM = 20_000;
    private const double LargestMm2 = 1000;
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const double ColdestC = -60;
    private const double HottestC = 400;
    private const double Large = 1e9;
    private const double LongestYearH = 8784;

    // Spread of readings above which they are tight and fail, %: through a long cable and at a motor.
    private static readonly (double Tight, double Fails) LongCablePct = (5, 10);
    private static readonly (double Tight, double Fails) MotorPct = (3, 5);

    public static object OnePhase(OnePhaseInput input)
    {
        var result = OnePhaseOptions.Of(new OnePhaseOptions.Case(
            input.SupplyVoltageV, input.FrequencyHz,
            [
                .. input.Machines.Select(m => new SingleMachine(m.RatedKw, m.EfficiencyPu, m.PowerFactor, m.LoadPct, m.HoursPerYear,
                    m.HeavyStart, m.SpeedControl, m.MotorVoltageV ?? input.SupplyVoltageV)),
            ],
            input.SimultaneityPct / 100, input.OneAtATime, input.HeavyFactor, input.IdlePct / 100, input.OnHoursPerYear,
            input.InputPowerFactor,
            new OnePhasePrices(input.EnergyPerKwh, input.RotaryPerKva, input.StaticPerKw, input.ConverterPerKw, input.Years)));
        var (rotary, steered, converter) = (result.Rotary, result.Static, result.Converter);
        return new OnePhaseOutput(
            new RotaryOutput(rotary.Suits, rotary.Kva, rotary.RunningKva, rotary.IdleW, rotary.Costs.EnergyKwh, rotary.Costs.PerYear,
                rotary.Costs.First, rotary.Costs.Total),
            new StaticOutput(steered.Suits, steered.UsableKw, steered.Costs.EnergyKwh, steered.Costs.PerYear, steered.Costs.First,
                steered.Costs.Total),
            new ConverterOutput(converter.Suits, converter.InputA, converter.FullTorqueHz, converter.Costs.EnergyKwh,
                converter.Costs.PerYear, converter.Costs.First, converter.Costs.Total),
            result.Recommended);
    }

    public static object Separate(SeparationInput input, InputRanges ranges)
    {
        var throughCable = input.Kind == ReadingPlace.LongCable;
        var usual = throughCable ? LongCablePct : MotorPct;
        double tight = input.TightPct ?? usual.Tight, fails = input.FailsPct ?? usual.Fails;
        ranges
            .Require(!throughCable || input.Cable is not null, "cable", "absent", "the cable of a reading through a long cable")
            .Require(throughCable || input.Cable is null, "cable", "given", "absent for a reading at the motor")
            .Require(throughCable || input.WindingC is not null, "windingC", "absent",
                $"{ColdestC} to {HottestC} for a reading at the motor")
            .Require(fails >= tight, input.FailsPct is null ? "tightPct" : "failsPct", $"{input.FailsPct ?? tight}",
                input.FailsPct is null ? $"0 to {fails}, failsPct" : $"{tight}, tightPct, to 100")
            .Done();
        var cable = input.Cable is { } c
            ? (Profile: new DepthProfile(c.SurfaceC, c.GradientKPerKm, c.LengthM, 0, null),
                PerM: ConductorResistance.At20OhmPerM(c.SectionMm2, c.Material, c.ResistanceOhmPerKm))
            : ((DepthProfile Profile, double PerM)?)null;
        double? cableC = cable?.Profile.MeanC(0);
        double? cableOhm = cable is { } run
            ? input.Cable!.LengthM * ConductorResistance.OhmPerM(run.PerM, input.Cable.Material, run.Profile.MeanC(0))
            : null;
        var windingC = input.WindingC ?? cable!.Value.Profile.BottomC;
        var found = ResistanceSeparation.Of(input.ReadingsOhm[0], input.ReadingsOhm[1], input.ReadingsOhm[2], cableOhm ?? 0, windingC);
        return new SeparationOutput(cableC, cableOhm, found.MeanOhm, found.StatorOhm, windingC, found.Stator20Ohm, found.PhasesOhm,
            found.IsPlausible, found.SpreadPct, ResistanceSeparation.Judge(found.SpreadPct, tight, fails, throughCable));
    }

    public static object StepUp(StepUpInput input)
    {
        var cable = input.Cable;
        var cableC = new DepthProfile(cable.SurfaceC, cable.GradientKPerKm, cable.LengthM, cable.HeatingK, cable.CapacityA)
            .MeanC(input.MotorCurrentA);
        var ohm = cable.LengthM * ConductorResistance.OhmPerM(
            ConductorResistance.At20OhmPerM(cable.SectionMm2, cable.Material, cable.ResistanceOhmPerKm), cable.Material, cableC);
        var km = cable.LengthM / 1e3;
        var reactance = km * cable.ReactanceOhmPerKm;
        var chain = new StepUpChain(input.MotorVoltageV, input.MotorCurrentA, input.PowerFactor, input.RatedFrequencyHz, ohm, reactance);
        var surface = chain.SurfaceV(input.RatedFrequencyHz, input.MotorCurrentA);
        var startA = input.StartCurrentA ?? input.MotorCurrentA;
        var tap = StepUpChain.TapV(input.TapsV, surface);
        var ratio = tap / input.PrimaryVoltageV;
        var converter = ratio is { } r ? chain.ConverterA(r, input.MagnetisingPct / 100, input.FilterPct / 100) : default;
        return new StepUpOutput(
            cableC, ohm, reactance, surface, tap, ratio,
            tap is null ? null : Math.Sqrt(3) * tap * input.MotorCurrentA / 1e3,
            StepUpChain.ChargingA(input.RatedFrequencyHz, km * cable.CapacitanceUfPerKm, surface),
            chain.SurfaceV(input.StartFrequencyHz, startA),
            tap is { } t ? chain.FluxPu(input.StartFrequencyHz, startA, t) : null,
            tap is { } at ? chain.LeastHz(startA, at, input.FluxLimitPu) : null,
            tap is null ? null : converter.PhasorA,
            tap is null ? null : converter.SumA);
    }

    public static object Generator(GeneratorInput input, InputRanges ranges)
    {
        ranges.Require(input.SubtransientPu <= input.TransientPu, "subtransientPu", $"{input.SubtransientPu}",
            $"above 0 to {input.TransientPu}, transientPu").Done();
        var permitted = input.LimitPct ?? GeneratorDip.PermittedPct((int)input.GoverningClass);
        var lasting = 100 * GeneratorDip.Pu(input.GeneratorKva, input.StartKva, input.TransientPu);
        return new GeneratorOutput(
            100 * GeneratorDip.Pu(input.GeneratorKva, input.StartKva, input.SubtransientPu), lasting, permitted, lasting <= permitted,
            GeneratorDip.LargestStartKva(input.GeneratorKva, permitted / 100, input.TransientPu),
            input.NegativePu is { } negative ? GeneratorDip.HarmonicPu(input.SubtransientPu, negative) : null);
    }

    internal enum ReadingPlace
    {
        LongCable,
        Motor,
    }

    internal enum Governing
    {
        G1 = 1,
        G2,
        G3,
    }

    internal sealed record MachineInput(
        [Above(0, Large)] double RatedKw,
        [Above(0, 1)] double EfficiencyPu,
        [Above(0, 1)] double PowerFactor,
        [Range(0, LongestYearH)] double HoursPerYear,
        [Above(0, 150)] double LoadPct = 100,
        bool HeavyStart = false,
        bool SpeedControl = false,
        [Above(0, LargestV)] double? MotorVoltageV = null);

    internal sealed record OnePhaseInput(
        [Above(0, LargestV)] double SupplyVoltageV,
        [Length(1, 50)] IReadOnlyList<MachineInput> Machines,
        [Range(0, LongestYearH)] double OnHoursPerYear,
        [Range(0, Large)] double EnergyPerKwh,
        [Range(0, Large)] double RotaryPerKva,
        [Range(0, Large)] double StaticPerKw,
        [Range(0, Large)] double ConverterPerKw,
        [Above(0, Large)] double FrequencyHz = 50,
        [Above(0, 100)] double SimultaneityPct = 100,
        bool OneAtATime = false,
        [Range(2, 8)] double HeavyFactor = 4.5,
        [Range(0, 100)] double IdlePct = 20,
        [Above(0, 1)] double InputPowerFactor = 0.6,
        [Range(1, 40)] double Years = 10);

    internal sealed record RotaryOutput(bool Suits, double Kva, double RunningKva, double IdleW, double EnergyKwh, double CostPerYear,
        double FirstCost, double TotalCost);

    internal sealed record StaticOutput(bool Suits, IReadOnlyList<double> UsableKw, double EnergyKwh, double CostPerYear, double FirstCost,
        double TotalCost);

    internal sealed record ConverterOutput(bool Suits, IReadOnlyList<double> InputA, IReadOnlyList<double> FullTorqueHz, double EnergyKwh,
        double CostPerYear, double FirstCost, double TotalCost);

    internal sealed record OnePhaseOutput(RotaryOutput Rotary, StaticOutput Static, ConverterOutput Converter, OnePhaseWay? Recommended);

    internal sealed record WellCableInput(
        [Range(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        [Range(ColdestC, HottestC)] double SurfaceC,
        ConductorMaterial Material = ConductorMaterial.Copper,
        [Above(0, Large)] double? ResistanceOhmPerKm = null,
        [Range(0, 100)] double GradientKPerKm = 30);

    internal sealed record SeparationInput(
        ReadingPlace Kind,
        [Length(3, 3), Above(0, Large)] IReadOnlyList<double> ReadingsOhm,
        WellCableInput? Cable = null,
        [Range(ColdestC, HottestC)] double? WindingC = null,
        [Range(0, 100)] double? TightPct = null,
        [Range(0, 100)] double? FailsPct = null);

    internal sealed record SeparationOutput(double? CableC, double? CableOhm, double MeanOhm, double StatorOhm, double StatorC,
        double Stator20Ohm, IReadOnlyList<double> PhasesOhm, bool Plausible, double SpreadPct, SpreadVerdict Verdict);

    internal sealed record ChainCableInput(
        [Above(0, LongestM)] double LengthM,
        [Above(0, LargestMm2)] double SectionMm2,
        [Range(ColdestC, HottestC)] double SurfaceC,
        ConductorMaterial Material = ConductorMaterial.Copper,
        [Above(0, Large)] double? ResistanceOhmPerKm = null,
        [Above(0, Large)] double ReactanceOhmPerKm = 0.1,
        [Above(0, Large)] double CapacitanceUfPerKm = 0.3,
        [Range(0, 100)] double GradientKPerKm = 30,
        [Above(0, LargestA)] double? CapacityA = null,
        [Above(0, Large)] double HeatingK = 40);

    internal sealed record StepUpInput(
        [Above(0, LargestV)] double MotorVoltageV,
        [Above(0, LargestA)] double MotorCurrentA,
        [Above(0, 1)] double PowerFactor,
        [Above(0, LargestV)] double PrimaryVoltageV,
        [Length(1, 40), Above(0, LargestV)] IReadOnlyList<double> TapsV,
        ChainCableInput Cable,
        [Above(0, Large)] double StartFrequencyHz,
        [Above(0, Large)] double RatedFrequencyHz = 50,
        [Above(0, LargestA)] double? StartCurrentA = null,
        [Above(0, 2)] double FluxLimitPu = 1.1,
        [Range(0, 100)] double MagnetisingPct = 5,
        [Range(0, 100)] double FilterPct = 15);

    internal sealed record StepUpOutput(double CableC, double CableOhm, double CableReactanceOhm, double SurfaceVoltageV, double? TapV,
        double? Ratio, double? TransformerKva, double ChargingA, double StartVoltageV, double? StartFluxPu, double? LeastFrequencyHz,
        double? ConverterCurrentA, double? ConverterSumA);

    internal sealed record GeneratorInput(
        [Above(0, Large)] double GeneratorKva,
        [Range(0, Large)] double StartKva,
        [Above(0, 1)] double SubtransientPu,
        [Above(0, 1)] double TransientPu,
        [Above(0, Large)] double? NegativePu = null,
        Governing GoverningClass = Governing.G2,
        [Above(0, 50)] double? LimitPct = null);

    internal sealed record GeneratorOutput(double FirstPct, double LastingPct, double PermittedPct, bool Holds, double LargestStartKva,
        double? HarmonicReactancePu);
}
