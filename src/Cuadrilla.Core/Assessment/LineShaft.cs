using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// Where a machine works when its motor runs on the line: at the motor's own speed. Fans and pumps meet the flow with the control
/// they have today (throttled where none is stated); any other load turns at full speed whatever the level.
/// </summary>
internal static class LineShaft
{
    /// <summary>Point at a level.</summary>
    public static ShaftPoint Of(DrivePointModel model, double levelPu)
    {
        var load = model.Load!;
        if (load is FluidMachineModel fluid)
        {
            return (Alternatives.PresentWay.Shaft(fluid, model.Data.InletVanes, levelPu) ?? fluid.Throttled(levelPu)).Shaft;
        }

        var shaft = load.At(1);
        return new ShaftPoint(levelPu, shaft.SpeedRpm, shaft.TorqueNm);
    }
}
