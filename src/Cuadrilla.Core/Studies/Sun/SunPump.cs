using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>A pump with its drive, from direct-current power to water: speeds in equal steps from where flow begins to the rated one.
/// </summary>
public sealed class SunPump
{
    // Steps between the speed at which flow begins and the rated one; between two the power is straight.
    private const int Steps = 64;

    private readonly double[] powerKw;
    private readonly double[] flowM3PerH;
    private readonly double[] speedRpm;

    private SunPump(double[] powerKw, double[] flowM3PerH, double[] speedRpm, double flowBeginsRpm) =>
        (this.powerKw, this.flowM3PerH, this.speedRpm, FlowBeginsRpm) = (powerKw, flowM3PerH, speedRpm, flowBeginsRpm);

    /// <summary>Speed below which nothing is delivered, rpm.</summary>
    public double FlowBeginsRpm { get; }

    /// <summary>Direct-current power at rated speed, kW.</summary>
    public double RatedKw => powerKw[^1];

    /// <summary>Water at rated speed, m³/h.</summary>
    public double RatedM3PerH => flowM3PerH[^1];

    /// <summary>Rated speed, rpm.</summary>
    public double RatedRpm => speedRpm[^1];

    /// <summary>Of a drive point; null for what is no pump or lacks its flow.</summary>
    public static SunPump? Of(DriveOnConverter drive) =>
        drive.Load is FluidMachineModel pump && drive.Input.DrivePoint.Load is PumpLoad load
        && load.Common.RatedFlowM3PerS.IsKnown ? Of(drive, pump, load.Common.RatedFlowM3PerS.Value, 1) : null;

    /// <summary>A pump so many times as large in the same pipe: its motor and converter are as efficient at each speed as these.</summary>
    /// <param name="drive">Motor and converter.</param>
    /// <param name="pump">The pump as it is.</param>
    /// <param name="ratedM3PerS">Its rated flow, m³/s.</param>
    /// <param name="size">How many times.</param>
    public static SunPump Of(DriveOnConverter drive, FluidMachineModel pump, double ratedM3PerS, double size)
    {
        ArgumentNullException.ThrowIfNull(drive);
        ArgumentNullException.ThrowIfNull(pump);
        var sized = pump.Sized(size);
        double[] power = new double[Steps + 1], flow = new double[Steps + 1], speed = new double[Steps + 1];
        var begin = sized.FlowBeginsAtRpm / sized.RatedSpeedRpm;
        for (var k = 0; k <= Steps; k++)
        {
            var part = begin + ((1 - begin) * k / Steps);
            speed[k] = part * sized.RatedSpeedRpm;
            var level = sized.MostFlowPu(part);
            flow[k] = 3600 * level * ratedM3PerS;
            var shaft = new ShaftPoint(level, speed[k], sized.TorqueAtSpeedNm(speed[k]) / size);
            power[k] = size * drive.PointOf(shaft).LinkW / 1e3;
        }

        // Efficiency falls so fast near rest that a little more speed could take a little less power: what a speed needs, a faster one
        // does.
        for (var k = 1; k <= Steps; k++)
        {
            power[k] = Math.Max(power[k], power[k - 1]);
        }

        return new SunPump(power, flow, speed, sized.FlowBeginsAtRpm);
    }

    /// <summary>Power that a speed takes, kW; that of the least where it is below.</summary>
    public double PowerAtKw(double rpm) => Between(speedRpm, powerKw, rpm);

    /// <summary>Water at a speed, m³/h; none below where flow begins.</summary>
    public double FlowAtM3PerH(double rpm) => rpm < speedRpm[0] ? 0 : Between(speedRpm, flowM3PerH, rpm);

    /// <summary>Fastest speed that a power carries, rpm; that of the least where it carries none.</summary>
    public double SpeedForRpm(double kw) => Between(powerKw, speedRpm, kw);

    // Straight between two steps; the ends beyond them.
    private static double Between(double[] from, double[] to, double value)
    {
        if (value <= from[0])
        {
            return to[0];
        }

        if (value >= from[^1])
        {
            return to[^1];
        }

        int low = 0, high = from.Length - 1;
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = from[middle] <= value ? (middle, high) : (low, middle);
        }

        return to[low] + ((to[high] - to[low]) * (value - from[low]) / (from[high] - from[low]));
    }
}
