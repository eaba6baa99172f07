using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>Pressure or head and shaft power at one flow, in parts of the rated point.</summary>
/// <param name="FlowPu">Flow.</param>
/// <param name="SystemPu">What the system asks for.</param>
/// <param name="MachinePu">What the machine gives at full speed.</param>
/// <param name="AdjustedPowerPu">Shaft power with adjusted speed.</param>
/// <param name="PresentPowerPu">Shaft power with the existing flow control; absent when it is not stated.</param>
public sealed record SystemAtFlow(double FlowPu, double SystemPu, double MachinePu, double AdjustedPowerPu, double? PresentPowerPu);

/// <summary>System and machine curves of a fan or pump.</summary>
public sealed record SystemCurves(IReadOnlyList<SystemAtFlow> Points)
{
    /// <summary>Curves of a drive point whose load is complete; null otherwise.</summary>
    public static SystemCurves? Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Load is not FluidMachineModel load)
        {
            return null;
        }

        var points = new List<SystemAtFlow>();
        for (var percent = 0; percent <= 110; percent += 5)
        {
            var flow = percent / 100.0;
            var present = flow > 0 ? load.Present(model.Data.InletVanes, flow)?.PowerW / load.RatedPowerW : null;
            points.Add(new SystemAtFlow(
                flow,
                PumpPoint.SystemHeadPu(flow, load.StaticFraction),
                flow > 0 ? load.Throttled(flow).HeadPu : load.ShutOffPu,
                flow > 0 ? load.AtFlow(flow).PowerW / load.RatedPowerW : 0,
                present));
        }

        return new SystemCurves(points);
    }
}
