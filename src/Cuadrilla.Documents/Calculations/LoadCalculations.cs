using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>pump-point</c>, <c>fluid-machine</c> and <c>load</c>.</summary>
internal static class LoadCalculations
{
    private static readonly LoadDefaults Defaults = DefaultsInForce.Resolve(Catalogue.ReferenceCatalogue.Data.Defaults, []).Loads;

    public static object PumpPoint(PumpPointInput input)
    {
        var result = Core.Loads.PumpPoint.Run(input.FlowPu, input.StaticFraction, input.ShutOffPu);
        return new PumpPointOutput(result.SpeedPu, result.HeadPu);
    }

    public static object FluidMachine(FluidMachineInput input)
    {
        var common = new FluidMachine(
            input.RatedFlowM3PerS, input.RatedEfficiency, input.RatedSpeedRpm, input.StaticFraction, input.ShutOffPu, 0, 1, [],
            PresentControl.NotStated, new ParallelPath.Own(), []);
        var model = FluidMachineModel.Build(new FanLoad(common, input.RatedPressurePa), out _)!;
        return new FluidMachineOutput(
            model.RatedPowerW, FluidOutput.Of(model.AtFlow(input.FlowPu)), FluidOutput.Of(model.Throttled(input.FlowPu)),
            FluidOutput.Of(model.Bypassed(input.FlowPu)));
    }

    public static object Any(LoadInput input, InputRanges ranges)
    {
        ranges.Done();
        var problems = SpecificationValidation.Problems(input.Load, ranges.Prefix + "/load");
        if (problems.Count > 0)
        {
            throw new InputException(problems);
        }

        var model = LoadModels.Build(input.Load, Defaults, out var missing);
        if (model is null)
        {
            throw new InputException([.. missing.Select(name =>
                InputProblem.Of(ranges.Prefix + "/load", "Load", "without " + name, "every entry known"))]);
        }

        return new LoadOutput(
            model.RatedSpeedRpm,
            model.RatedTorqueNm,
            model.RatedPowerW,
            model.BreakawayNm,
            model.InertiaKgM2.IsKnown ? model.InertiaKgM2.Value : null,
            [.. model.PointsAt(input.LevelPu).Select(p => new ShaftOutput(p.SpeedRpm, p.TorqueNm, p.PowerW))],
            model.Cycle is { } cycle ? CycleOutput.Of(cycle, input.MotorInertiaKgM2) : null);
    }

    internal sealed record LoadInput(Load Load, [Above(0, 1.2)] double LevelPu = 1, [Range(0, 1e5)] double MotorInertiaKgM2 = 0);

    internal sealed record LoadOutput(
        double RatedSpeedRpm,
        double RatedTorqueNm,
        double RatedPowerW,
        double BreakawayNm,
        double? InertiaKgM2,
        IReadOnlyList<ShaftOutput> Points,
        CycleOutput? Cycle);

    internal sealed record ShaftOutput(double SpeedRpm, double TorqueNm, double PowerW);

    internal sealed record CycleOutput(
        double DurationS,
        double PeakTorqueNm,
        double PeakTimeS,
        double RmsTorqueNm,
        double MotoringJ,
        double RegeneratedJ,
        double PeakMotoringW,
        double PeakRegeneratedW)
    {
        public static CycleOutput Of(LoadCycle cycle, double motorInertiaKgM2)
        {
            var peak = cycle.Peak(motorInertiaKgM2);
            var energy = cycle.Energy(motorInertiaKgM2);
            return new CycleOutput(
                cycle.DurationS, peak.TorqueNm, peak.TimeS, cycle.RmsTorqueNm(motorInertiaKgM2, _ => 1), energy.MotoringJ,
                energy.RegeneratedJ,
                energy.PeakMotoringW, energy.PeakRegeneratedW);
        }
    }

    internal sealed record PumpPointInput([Range(0, 2)] double FlowPu, [Range(0, 0.999)] double StaticFraction,
        [Range(1, 5)] double ShutOffPu);

    internal sealed record PumpPointOutput(double SpeedPu, double HeadPu);

    internal sealed record FluidMachineInput(
        [Above(0, 1.2)] double FlowPu,
        [Range(1, 1e8)] double RatedPressurePa,
        [Above(0, 2000)] double RatedFlowM3PerS,
        [Range(0.05, 0.95)] double RatedEfficiency,
        [Range(10, 6000)] double RatedSpeedRpm,
        [Range(0, 0.99)] double StaticFraction,
        [Range(1.01, 2)] double ShutOffPu);

    internal sealed record FluidMachineOutput(double RatedPowerW, FluidOutput Speed, FluidOutput Throttle, FluidOutput Bypass);

    internal sealed record FluidOutput(double SpeedRpm, double HeadPu, double EfficiencyPu, double PowerW, double TorqueNm)
    {
        public static FluidOutput Of(FluidPoint point) =>
            new(point.SpeedRpm, point.HeadPu, point.EfficiencyPu, point.PowerW, point.TorqueNm);
    }
}
