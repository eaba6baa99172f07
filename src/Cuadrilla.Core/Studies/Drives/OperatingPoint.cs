using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>
/// The chain from shaft to busbar at one operating point. Each link's loss is what it takes in less what it gives out, so
/// the line power is the shaft power plus every loss.
/// </summary>
/// <param name="Shaft">What the machine asks for.</param>
/// <param name="Motor">The motor.</param>
/// <param name="CableLossW">Motor cable, R·I² of each conductor.</param>
/// <param name="FilterLossW">Filter at the converter's output.</param>
/// <param name="ConverterLossW">Converter, from its eight points; of a bypassed one its auxiliaries.</param>
/// <param name="FrontLossW">What lies ahead of the link: choke, reactor, transformer, line filter, active bridge.</param>
/// <param name="FeederLossW">Feeder from the busbar.</param>
/// <param name="StandbyW">What the converter takes when energised but stopped.</param>
/// <param name="ReturnsToLine">True when power passes the front end both ways.</param>
public readonly record struct OperatingPoint(
    ShaftPoint Shaft,
    MotorPoint Motor,
    double CableLossW,
    double FilterLossW,
    double ConverterLossW,
    double FrontLossW,
    double FeederLossW,
    double StandbyW,
    bool ReturnsToLine = false)
{
    /// <summary>Power the converter takes from its link, W; negative when the load drives it.</summary>
    public double LinkW => Motor.InputW + CableLossW + FilterLossW + ConverterLossW;

    /// <summary>
    /// Power that passes the front end, W. What comes back can't pass diodes and is burnt, so it is never less than stand-by
    /// with them; negative where it returns to the line.
    /// </summary>
    public double DcLoadW => ReturnsToLine ? LinkW : Math.Max(LinkW, StandbyW);

    /// <summary>True when the front end conducts; a drive that brakes on diodes draws next to nothing from the line.</summary>
    public bool DrawsFromLine => ReturnsToLine || LinkW > StandbyW;

    /// <summary>Power that comes back to the link and can't return to the line, W.</summary>
    public double RegeneratedW => ReturnsToLine ? 0 : Math.Max(0, -LinkW);

    /// <summary>Power at the busbar, W; negative when it returns.</summary>
    public double LineW => DcLoadW + FrontLossW + FeederLossW;

    /// <summary>Efficiency from busbar to shaft.</summary>
    public double Efficiency => Shaft.PowerW / LineW;

    /// <summary>
    /// The chain of a motor on the line: feeder, starter with closed bypass, cable, motor. What it takes does not go through a
    /// rectifier.
    /// </summary>
    public static OperatingPoint OnLine(ShaftPoint shaft, MotorPoint point, double bypassW, Complex cable, Complex feeder)
    {
        var square = point.CurrentA * point.CurrentA;
        return new OperatingPoint(shaft, point, 3 * cable.Real * square, 0, bypassW, 0, 3 * feeder.Real * square, 0);
    }

    /// <summary>
    /// Builds the chain. Front end and feeder carry block current here, see <see cref="ConverterItem.FrontLossW"/>, and √(2/3)
    /// of it in the line; where the front end is solved, its own currents replace this.
    /// </summary>
    public static OperatingPoint Of(
        ShaftPoint shaft, MotorLossModel motor, ConverterAtSite converter, OutputFilterItem? filter, Complex cable, Complex feeder)
    {
        ArgumentNullException.ThrowIfNull(motor);
        return Of(shaft, motor.At(shaft.SpeedRpm, shaft.TorqueNm, FeedOf(filter)), motor, converter, filter, cable, feeder);
    }

    /// <summary>The supply module of a common DC bus: what its members take together, without shaft of its own.</summary>
    public static OperatingPoint OfBus(double netW, ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        var returns = item.FrontEnd.ReturnsToLine;
        var through = returns ? netW : Math.Max(netW, item.StandbyW);
        return new OperatingPoint(default, default(MotorPoint) with { InputW = netW }, 0, 0, 0, item.FrontLossW(through), 0, item.StandbyW,
            returns);
    }

    /// <summary>How a motor behind a filter, or without one, is fed.</summary>
    public static MotorFeed FeedOf(OutputFilterItem? filter) => filter is { Sinusoidal: true } ? MotorFeed.Line : MotorFeed.Converter;

    /// <summary>The same with the motor's point already known.</summary>
    internal static OperatingPoint Of(
        ShaftPoint shaft, MotorPoint motorPoint, MotorLossModel motor, ConverterAtSite converter, OutputFilterItem? filter, Complex cable,
        Complex feeder)
    {
        ArgumentNullException.ThrowIfNull(motor);
        ArgumentNullException.ThrowIfNull(converter);
        var item = converter.Item;
        var isDc = motor.Plate.Technology == MotorTechnology.DcSeparatelyExcited;
        var ratio = motorPoint.CurrentA / motor.Plate.RatedCurrentA;
        var filterLoss = filter is null ? 0 : filter.LossPct / 100 * motor.Plate.RatedPowerW * ratio * ratio;
        var cableLoss = (isDc ? 2 : 3) * cable.Real * motorPoint.CurrentA * motorPoint.CurrentA;
        var converterLoss = converter.LossW(motor.FrequencyShare(motorPoint), motorPoint.CurrentA);
        var chain = new OperatingPoint(shaft, motorPoint, cableLoss, filterLoss, converterLoss, 0, 0, item.StandbyW,
            item.FrontEnd.ReturnsToLine);
        var dcRms = chain.DcLoadW / item.NoLoadLinkVoltageV * item.ReferredPu;
        return chain with { FrontLossW = item.FrontLossW(chain.DcLoadW), FeederLossW = 3 * feeder.Real * dcRms * dcRms * 2 / 3 };
    }
}
