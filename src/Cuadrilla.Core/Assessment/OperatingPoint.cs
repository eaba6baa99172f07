using System.Numerics;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// The chain from shaft to busbar at one operating point. Each link's loss is what it takes in less what it gives out, so
/// the line power is the shaft power plus every loss.
/// </summary>
/// <param name="Shaft">What the machine asks for.</param>
/// <param name="Motor">The motor.</param>
/// <param name="CableLossW">Motor cable, 3·R·I².</param>
/// <param name="ConverterLossW">Converter, from its eight points.</param>
/// <param name="ChokeLossW">DC choke.</param>
/// <param name="FeederLossW">Feeder from the busbar.</param>
/// <param name="StandbyW">What the converter takes when energised but stopped.</param>
public readonly record struct OperatingPoint(
    ShaftPoint Shaft, MotorPoint Motor, double CableLossW, double ConverterLossW, double ChokeLossW, double FeederLossW, double StandbyW)
{
    /// <summary>Power the converter takes from its link, W; negative when the load drives it.</summary>
    public double LinkW => Motor.InputW + CableLossW + ConverterLossW;

    /// <summary>
    /// Power a diode front end takes, W: what comes back can't pass it and is burnt, so never less than stand-by.
    /// </summary>
    public double DcLoadW => Math.Max(LinkW, StandbyW);

    /// <summary>True when the front end conducts; a drive that brakes draws next to nothing from the line.</summary>
    public bool DrawsFromLine => LinkW > StandbyW;

    /// <summary>Power that comes back to the link and must go somewhere, W.</summary>
    public double RegeneratedW => Math.Max(0, -LinkW);

    /// <summary>Power at the busbar, W.</summary>
    public double LineW => DcLoadW + ChokeLossW + FeederLossW;

    /// <summary>Efficiency from busbar to shaft.</summary>
    public double Efficiency => Shaft.PowerW / LineW;

    /// <summary>
    /// The chain of a motor on the line: feeder, starter with closed bypass, cable, motor. What it takes does not go through a
    /// rectifier.
    /// </summary>
    public static OperatingPoint OnLine(ShaftPoint shaft, MotorLossModel motor, StarterAtSite starter, Complex cable, Complex feeder)
    {
        ArgumentNullException.ThrowIfNull(motor);
        ArgumentNullException.ThrowIfNull(starter);
        var point = motor.At(shaft.SpeedRpm, shaft.TorqueNm, MotorFeed.Line);
        var square = point.CurrentA * point.CurrentA;
        return new OperatingPoint(shaft, point, 3 * cable.Real * square, starter.RunningLossW, 0, 3 * feeder.Real * square, 0);
    }

    /// <summary>
    /// Builds the chain. Choke and feeder carry block current here, I_dc = P_dc/U_d0 times the item's form factor, and √(2/3)
    /// of it in the line; where the front end is solved, its own currents replace this.
    /// </summary>
    public static OperatingPoint Of(ShaftPoint shaft, MotorLossModel motor, ConverterAtSite converter, Complex cable, Complex feeder)
    {
        ArgumentNullException.ThrowIfNull(motor);
        ArgumentNullException.ThrowIfNull(converter);
        var motorPoint = motor.At(shaft.SpeedRpm, shaft.TorqueNm, MotorFeed.Converter);
        var cableLoss = 3 * cable.Real * motorPoint.CurrentA * motorPoint.CurrentA;
        var converterLoss = converter.LossW(motorPoint.FrequencyHz / motor.Plate.RatedFrequencyHz, motorPoint.CurrentA);
        var dcLoad = Math.Max(motorPoint.InputW + cableLoss + converterLoss, converter.Item.StandbyW);
        var dcRms = dcLoad / converter.Item.NoLoadLinkVoltageV * converter.Item.DcFormFactor;
        var choke = converter.Item.ChokePct > 0 ? converter.Item.DcChokeResistanceOhm * dcRms * dcRms : 0;
        var feederLoss = 3 * feeder.Real * dcRms * dcRms * 2 / 3;
        return new OperatingPoint(shaft, motorPoint, cableLoss, converterLoss, choke, feederLoss, converter.Item.StandbyW);
    }
}
