using System.Numerics;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Converters.Starting;

/// <summary>
/// A cage motor on a bus, across the line, in star, or behind thyristors. Thyristors are lossless and pass the share u of the
/// bus voltage; the line current lags so that the power at the bus is that of the motor: cos φ_line = u·cos φ_motor. Then
/// V²·(1 + 2·√3·k·(R·cos φ + X·sin φ) + 3·k²·|Z|²) = E² with k = I/V.
/// </summary>
internal sealed class CageStartDrive : IStartDrive
{
    private readonly CageCircuit circuit;
    private readonly StartBus bus;
    private readonly IVoltageLaw law;

    public CageStartDrive(CageCircuit circuit, StartBus bus, IVoltageLaw law, double targetRadPerS)
    {
        this.circuit = circuit;
        this.bus = bus;
        this.law = law;
        TargetRadPerS = targetRadPerS;
    }

    /// <inheritdoc/>
    public double TargetRadPerS { get; }

    /// <inheritdoc/>
    public double SettledAtS => law.SettledAtS;

    /// <inheritdoc/>
    public IReadOnlyList<double> JumpsS => law.JumpsS;

    /// <inheritdoc/>
    public StartState At(double timeS, double speedRadPerS, double loadTorqueNm)
    {
        var slip = 1 - (speedRadPerS / circuit.SynchronousRadPerS);
        if (law.IsOpen(timeS))
        {
            return new StartState(0, 0, 0, bus.EmfV, 0, 0, 0, 0);
        }

        // In star each winding has 1/√3 of the voltage: seen from the line three times the impedance.
        var scale = law.IsStar(timeS) ? 3.0 : 1.0;
        var impedance = circuit.At(slip, 1).ImpedanceOhm * scale;
        var (share, lineA, voltageAtMotorV, busV) = Solve(impedance, timeS);
        var point = circuit.At(slip, share * voltageAtMotorV / Math.Sqrt(scale));
        var motorW = 3 * lineA * lineA * impedance.Real;
        var cableW = 3 * (bus.Ohm.Real - bus.BusOhm.Real) * lineA * lineA;
        return new StartState(
            point.TorqueNm * Math.Sign(slip == 0 ? 1 : slip),
            lineA,
            law.InsideDelta ? lineA / Math.Sqrt(3) : lineA,
            busV,
            motorW + cableW,
            point.StatorLossW,
            point.RotorLossW,
            cableW);
    }

    private (double Share, double LineA, double VoltageV, double BusV) Solve(Complex impedance, double timeS)
    {
        var size = impedance.Magnitude;
        var cosine = impedance.Real / size;
        var voltage = bus.EmfV;
        double share = 1, current = 0;
        for (var round = 0; round < 6; round++)
        {
            share = law.Share(timeS, voltage, voltage / (Math.Sqrt(3) * size));
            var k = share / (Math.Sqrt(3) * size);
            var next = bus.EmfV / Math.Sqrt(Factor(bus.Ohm, k, share * cosine));
            var moved = Math.Abs(next - voltage);
            voltage = next;
            current = k * voltage;
            if (moved < 1e-9 * bus.EmfV)
            {
                break;
            }
        }

        // From the motor's side back to the bus: the cables' part of the drop is taken off again.
        var kAtMotor = current / voltage;
        var atBus = voltage * Math.Sqrt(Factor(bus.Ohm - bus.BusOhm, kAtMotor, share * cosine));
        return (share, current, voltage, atBus);
    }

    private static double Factor(Complex ohm, double k, double cosine)
    {
        var sine = Math.Sqrt(Math.Max(0, 1 - (cosine * cosine)));
        return 1 + (2 * Math.Sqrt(3) * k * ((ohm.Real * cosine) + (ohm.Imaginary * sine))) + (3 * k * k * ohm.Magnitude * ohm.Magnitude);
    }
}

/// <summary>Which share of the voltage reaches the motor.</summary>
internal interface IVoltageLaw
{
    /// <summary>Moment from which nothing changes any more, s.</summary>
    double SettledAtS { get; }

    /// <summary>Moments at which the torque jumps, s.</summary>
    IReadOnlyList<double> JumpsS { get; }

    /// <summary>True when starter elements carry the line current over √3.</summary>
    bool InsideDelta { get; }

    /// <summary>True while the motor is off, between star and delta.</summary>
    bool IsOpen(double timeS);

    /// <summary>True while linked in star.</summary>
    bool IsStar(double timeS);

    /// <summary>Share of the voltage.</summary>
    /// <param name="timeS">Time, s.</param>
    /// <param name="voltageV">Voltage at the starter, V.</param>
    /// <param name="fullCurrentA">Line current that full voltage would drive, A.</param>
    double Share(double timeS, double voltageV, double fullCurrentA);
}

/// <summary>Full voltage at once.</summary>
internal sealed class FullVoltage : IVoltageLaw
{
    public double SettledAtS => 0;

    public IReadOnlyList<double> JumpsS => [];

    public bool InsideDelta => false;

    public bool IsOpen(double timeS) => false;

    public bool IsStar(double timeS) => false;

    public double Share(double timeS, double voltageV, double fullCurrentA) => 1;
}

/// <summary>Star for a time, then open, then delta.</summary>
internal sealed class StarDeltaLaw(double changeOverS, double openS) : IVoltageLaw
{
    public double SettledAtS => changeOverS + openS;

    public IReadOnlyList<double> JumpsS => [changeOverS, changeOverS + openS];

    public bool InsideDelta => false;

    public bool IsOpen(double timeS) => timeS >= changeOverS && timeS < changeOverS + openS;

    public bool IsStar(double timeS) => timeS < changeOverS;

    public double Share(double timeS, double voltageV, double fullCurrentA) => 1;
}

/// <summary>Thyristors by their settings.</summary>
internal sealed class SoftStartLaw(SoftStarterSettings settings, double setCurrentA) : IVoltageLaw
{
    private double KickS => settings.KickPct > 0 ? settings.KickS : 0;

    public double SettledAtS => settings.SettledAtS;

    public IReadOnlyList<double> JumpsS => KickS > 0 ? [KickS] : [];

    public bool InsideDelta => settings.InsideDelta;

    public bool IsOpen(double timeS) => false;

    public bool IsStar(double timeS) => false;

    public double Share(double timeS, double voltageV, double fullCurrentA)
    {
        if (timeS < KickS)
        {
            return Math.Min(1, settings.KickPct / 100);
        }

        var passed = settings.RampS > 0 ? Math.Clamp((timeS - KickS) / settings.RampS, 0, 1) : 1;
        var limitA = settings.CurrentLimitPct / 100 * setCurrentA;
        var (ceiling, currentA) = settings.Mode switch
        {
            SoftStartMode.VoltageRamp => ((settings.InitialPct + ((100 - settings.InitialPct) * passed)) / 100, limitA),
            SoftStartMode.CurrentRamp => (1.0,
                (settings.InitialPct + ((settings.CurrentLimitPct - settings.InitialPct) * passed)) / 100 * setCurrentA),
            SoftStartMode.CurrentLimit => (1.0, limitA),
            _ => throw new InvalidOperationException("Unknown mode of a soft starter."),
        };
        return Math.Min(ceiling, Math.Min(1, currentA / fullCurrentA));
    }
}
