using Cuadrilla.Core.Numerics;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>
/// A stop behind a soft starter: the voltage falls in a straight line to nothing over the ramp, the motor drives on with less and
/// less torque, so that a column of liquid is not let down at once. J·dω/dt = T(u, ω) − T_L(ω), Runge-Kutta of fourth order.
/// </summary>
public static class SoftStop
{
    private const double LongestS = 600;

    /// <summary>Speed and current over time until the machine has all but stopped.</summary>
    /// <param name="circuit">The motor.</param>
    /// <param name="bus">The bus.</param>
    /// <param name="rampS">Ramp, s; 0 coasts.</param>
    /// <param name="load">Torque over speed.</param>
    /// <param name="inertiaKgM2">All masses, kg·m².</param>
    /// <param name="startRadPerS">Speed before, rad/s.</param>
    public static IReadOnlyList<StartMoment> Run(
        CageCircuit circuit, StartBus bus, double rampS, IReadOnlyList<LoadPoint> load, double inertiaKgM2, double startRadPerS)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(inertiaKgM2);
        var drive = new CageStartDrive(circuit, bus, new FallingVoltage(rampS), startRadPerS);
        var highest = Math.Max(StartSimulation.TorqueAt(load, startRadPerS), 1e-9);
        var step = Math.Clamp(Math.Max(rampS, inertiaKgM2 * startRadPerS / highest) / 500, 1e-3, 0.1);
        var moments = new List<StartMoment>();
        double[] speed = [startRadPerS];
        var runge = new Rk4(1);
        void Slope(double t, ReadOnlySpan<double> w, Span<double> slope)
        {
            var held = StartSimulation.TorqueAt(load, w[0]);
            slope[0] = ((t >= rampS ? 0 : drive.At(t, w[0], held).TorqueNm) - held) / inertiaKgM2;
        }

        for (var time = 0.0; time < LongestS; time += step)
        {
            var omega = speed[0];
            var held = StartSimulation.TorqueAt(load, omega);
            var state = time >= rampS ? new StartState(0, 0, 0, bus.EmfV, 0, 0, 0, 0) : drive.At(time, omega, held);
            moments.Add(new StartMoment(time, omega, held, state));
            if (omega <= 0.01 * startRadPerS)
            {
                break;
            }

            runge.Step(Slope, time, step, speed);
            speed[0] = Math.Max(0, speed[0]);
        }

        return moments;
    }

    private sealed class FallingVoltage(double rampS) : IVoltageLaw
    {
        public double SettledAtS => rampS;

        public IReadOnlyList<double> JumpsS => [];

        public bool InsideDelta => false;

        public bool IsOpen(double timeS) => timeS >= rampS;

        public bool IsStar(double timeS) => false;

        public double Share(double timeS, double voltageV, double fullCurrentA) =>
            rampS > 0 ? Math.Clamp(1 - (timeS / rampS), 1e-4, 1) : 1e-4;
    }
}
