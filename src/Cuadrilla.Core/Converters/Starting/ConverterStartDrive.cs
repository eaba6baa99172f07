using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Converters.Starting;

/// <summary>
/// A motor on a converter: accelerates evenly over the wanted time as far as the overload current lets it. The line gives the
/// shaft power and all losses at a power factor near one.
/// </summary>
/// <param name="motor">Loss model of the motor.</param>
/// <param name="bus">The bus.</param>
/// <param name="currentLimitA">Motor current that the converter gives for the time of a start, A.</param>
/// <param name="inertiaKgM2">All masses at the shaft, kg·m².</param>
/// <param name="targetRadPerS">Speed to be reached, rad/s.</param>
/// <param name="rampS">Wanted start time, s.</param>
/// <param name="converterLossW">Loss of the converter over output frequency (parts of the rated) and current, W.</param>
/// <param name="linePowerFactor">True power factor of the front end.</param>
internal sealed class ConverterStartDrive(
    MotorLossModel motor, StartBus bus, double currentLimitA, double inertiaKgM2, double targetRadPerS, double rampS,
    Func<double, double, double> converterLossW, double linePowerFactor)
    : IStartDrive
{
    /// <inheritdoc/>
    public double TargetRadPerS => targetRadPerS;

    /// <inheritdoc/>
    public double SettledAtS => 0;

    /// <inheritdoc/>
    public IReadOnlyList<double> JumpsS => [];

    /// <inheritdoc/>
    public StartState At(double timeS, double speedRadPerS, double loadTorqueNm)
    {
        var rpm = speedRadPerS * 60 / (2 * Math.PI);
        var wanted = loadTorqueNm + (inertiaKgM2 * targetRadPerS / rampS);
        var torque = Math.Min(wanted, motor.TorqueAtCurrentNm(rpm, currentLimitA));
        var point = motor.At(rpm, torque, MotorFeed.Converter);
        var other = point.LossW - point.StatorW - point.RotorW
            + converterLossW(point.FrequencyHz / motor.Plate.RatedFrequencyHz, point.CurrentA);
        var input = point.ShaftW + point.StatorW + point.RotorW + other;

        // U·I·√3·λ = P behind the source's impedance, the drop taken at the same power factor.
        var voltage = bus.EmfV;
        var sine = Math.Sqrt(1 - (linePowerFactor * linePowerFactor));
        double current = 0;
        for (var round = 0; round < 4; round++)
        {
            current = input / (Math.Sqrt(3) * voltage * linePowerFactor);
            voltage = bus.EmfV - (Math.Sqrt(3) * current * ((bus.BusOhm.Real * linePowerFactor) + (bus.BusOhm.Imaginary * sine)));
        }

        return new StartState(torque, current, point.CurrentA, voltage, input, point.StatorW, point.RotorW, other);
    }
}
