using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>A machine whose motor runs on the line: both at the speed where they meet.</summary>
/// <param name="Shaft">What the machine asks for there, at the level that it then delivers.</param>
/// <param name="Motor">The motor.</param>
public readonly record struct LinePoint(ShaftPoint Shaft, MotorPoint Motor);

/// <summary>
/// Where a machine works when its motor runs on the line: at the speed that frequency and voltage of the plant give this motor under this
/// load, whatever its plate says. Fans and pumps meet the flow with the control they have today (throttled where none is stated), as far
/// as that speed delivers it; any other load turns at full speed whatever the level.
/// </summary>
internal static class LineShaft
{
    /// <summary>Point at a level.</summary>
    /// <param name="model">Drive point with load and a cage motor.</param>
    /// <param name="levelPu">Level of the duty.</param>
    /// <param name="loadPu">Torque in parts of what the load asks for.</param>
    public static LinePoint Of(LoadedMotor model, double levelPu, double loadPu = 1)
    {
        var load = model.Load;
        var motor = model.Motor;
        ShaftPoint Asked(double rpm) => load is FluidMachineModel fluid
            ? Fluid(model, fluid, levelPu, rpm).Shaft
            : new ShaftPoint(levelPu, rpm, (load.Cycle is null ? load.At(1) : load.At(levelPu)).TorqueNm);
        if (motor.Plate.Technology != MotorTechnology.CageInduction)
        {
            // Named as missing where it matters: such a motor does not run on a line.
            var shaft = Asked(motor.Plate.RatedSpeedRpm);
            return new LinePoint(shaft, motor.At(shaft.SpeedRpm, loadPu * shaft.TorqueNm, MotorFeed.Line));
        }

        var point = motor.OnLine(model.Input.FrequencyHz, model.Input.BusVoltageV, rpm => loadPu * Asked(rpm).TorqueNm);
        var there = Asked(point.SpeedPu * motor.Plate.RatedSpeedRpm);
        return new LinePoint(there with { TorqueNm = loadPu * there.TorqueNm }, point);
    }

    private static FluidPoint Fluid(LoadedMotor model, FluidMachineModel fluid, double levelPu, double rpm)
    {
        var speed = rpm / fluid.RatedSpeedRpm;
        var most = fluid.MostFlowPu(speed);
        if (most <= 0)
        {
            return fluid.Still(speed);
        }

        var flow = Math.Min(levelPu, most);
        return fluid.Present(model.Data.InletVanes, flow, speed) ?? fluid.Throttled(flow, speed);
    }
}
