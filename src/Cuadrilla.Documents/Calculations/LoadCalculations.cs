namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>pump-point</c>.</summary>
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

    internal sealed record PumpPointInput(double FlowPu, double StaticFraction, double ShutOffPu);

    internal sealed record PumpPointOutput(double SpeedPu, double HeadPu);
}
