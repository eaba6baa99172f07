using Cuadrilla.Core.Loads;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>pump-point</c> and <c>fluid-machine</c>.</summary>
internal static class LoadCalculations
{
    public static object PumpPoint(PumpPointInput input, InputRanges ranges)
    {
        ranges
            .Number("flowPu", input.FlowPu, 0, 2)
            .Number("staticFraction", input.StaticFraction, 0, 0.999)
            .Number("shutOffPu", input.ShutOffPu, 1, 5)
            .Done();
        var result = Core.Loads.PumpPoint.Run(input.FlowPu, input.StaticFraction, input.ShutOffPu);
        return new PumpPointOutput(result.SpeedPu, result.HeadPu);
    }

    public static object FluidMachine(FluidMachineInput input, InputRanges ranges)
    {
        ranges
            .Number("flowPu", input.FlowPu, 0, 1.2, minExcluded: true)
            .Number("ratedPressurePa", input.RatedPressurePa, 1, 1e8)
            .Number("ratedFlowM3PerS", input.RatedFlowM3PerS, 0, 2000, minExcluded: true)
            .Number("ratedEfficiency", input.RatedEfficiency, 0.05, 0.95)
            .Number("ratedSpeedRpm", input.RatedSpeedRpm, 10, 6000)
            .Number("staticFraction", input.StaticFraction, 0, 0.99)
            .Number("shutOffPu", input.ShutOffPu, 1.01, 2)
            .Done();
        var common = new FluidMachine(
            input.RatedFlowM3PerS, input.RatedEfficiency, input.RatedSpeedRpm, input.StaticFraction, input.ShutOffPu, 0, 1, [], PresentControl.NotStated);
        var model = FluidMachineModel.Build(new FanLoad(common, input.RatedPressurePa), out _)!;
        return new FluidMachineOutput(
            model.RatedPowerW, FluidOutput.Of(model.AtFlow(input.FlowPu)), FluidOutput.Of(model.Throttled(input.FlowPu)), FluidOutput.Of(model.Bypassed(input.FlowPu)));
    }

    internal sealed record PumpPointInput(double FlowPu, double StaticFraction, double ShutOffPu);

    internal sealed record PumpPointOutput(double SpeedPu, double HeadPu);

    internal sealed record FluidMachineInput(
        double FlowPu,
        double RatedPressurePa,
        double RatedFlowM3PerS,
        double RatedEfficiency,
        double RatedSpeedRpm,
        double StaticFraction,
        double ShutOffPu);

    internal sealed record FluidMachineOutput(double RatedPowerW, FluidOutput Speed, FluidOutput Throttle, FluidOutput Bypass);

    internal sealed record FluidOutput(double SpeedRpm, double HeadPu, double EfficiencyPu, double PowerW, double TorqueNm)
    {
        public static FluidOutput Of(FluidPoint point) => new(point.SpeedRpm, point.HeadPu, point.EfficiencyPu, point.PowerW, point.TorqueNm);
    }
}
