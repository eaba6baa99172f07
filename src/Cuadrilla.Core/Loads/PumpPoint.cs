namespace Cuadrilla.Core.Loads;

/// <summary>
/// Where a centrifugal pump's or fan's curve meets its system's. See <c>docs/methods/pump-point.md</c>. System
/// h = s + (1−s)·q², machine h = a·n² − (a−1)·q², hence n = √((s + (a−s)·q²)/a). All in parts of the rated point.
/// </summary>
public static class PumpPoint
{
    /// <summary>Result.</summary>
    /// <param name="SpeedPu">Speed that delivers the flow.</param>
    /// <param name="HeadPu">Head or pressure there.</param>
    public readonly record struct Result(double SpeedPu, double HeadPu);

    /// <summary>Speed and head at a flow.</summary>
    /// <param name="flowPu">Flow, ≥ 0.</param>
    /// <param name="staticFraction">Static part s of the head at rated flow, 0 to below 1.</param>
    /// <param name="shutOffPu">Head at no flow a, above 1.</param>
    public static Result Run(double flowPu, double staticFraction, double shutOffPu) =>
        new(SpeedForPu(flowPu, SystemHeadPu(flowPu, staticFraction), shutOffPu), SystemHeadPu(flowPu, staticFraction));

    /// <summary>Speed at which a machine gives a head at a flow of its own: √((h + (a−1)·q²)/a).</summary>
    public static double SpeedForPu(double machineFlowPu, double headPu, double shutOffPu) =>
        Math.Sqrt((headPu + ((shutOffPu - 1) * machineFlowPu * machineFlowPu)) / shutOffPu);

    /// <summary>Head the system asks for at a flow.</summary>
    public static double SystemHeadPu(double flowPu, double staticFraction) => staticFraction + ((1 - staticFraction) * flowPu * flowPu);

    /// <summary>Head the machine gives at a flow and speed.</summary>
    public static double MachineHeadPu(double flowPu, double speedPu, double shutOffPu) =>
        (shutOffPu * speedPu * speedPu) - ((shutOffPu - 1) * flowPu * flowPu);

    /// <summary>Speed below which nothing is delivered: √(s/a).</summary>
    public static double FlowBeginsAtSpeedPu(double staticFraction, double shutOffPu) => Math.Sqrt(staticFraction / shutOffPu);
}
