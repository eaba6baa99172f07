using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Motors;

/// <summary>
/// Fits the equivalent circuit to five values of plate and catalogue: torque and current at rated slip, breakdown torque,
/// locked-rotor torque and current. Levenberg-Marquardt on the logarithms of the five unknown circuit values; R_s follows from
/// the stator's share of the losses.
/// </summary>
public static class CageCircuitFit
{
    private const int Unknowns = 5;

    /// <summary>The fitted circuit with what it reproduces.</summary>
    /// <param name="Circuit">The circuit.</param>
    /// <param name="LargestDeviationPct">Largest deviation of the five values, %; data that contradict each other can't all be met.</param>
    public sealed record Result(CageCircuit Circuit, double LargestDeviationPct);

    /// <summary>Fits a plate.</summary>
    /// <exception cref="UnfitDataException">It is no cage motor, or its locked-rotor values are not known.</exception>
    public static Result Run(MotorPlate plate)
    {
        ArgumentNullException.ThrowIfNull(plate);
        if (!plate.StartsOnTheLine)
        {
            throw new UnfitDataException("A start needs a cage motor with locked-rotor current and torque.");
        }

        var phaseV = plate.RatedVoltageV / Math.Sqrt(3);
        var baseOhm = phaseV / plate.RatedCurrentA;
        var slip = plate.RatedSlip;
        var rotorW = slip / (1 - slip) * plate.RatedPowerW;
        var statorW = plate.Split.StatorPu * Math.Max(0.1 * plate.RatedLossW, plate.RatedLossW - rotorW);
        var statorOhm = statorW / (3 * plate.RatedCurrentA * plate.RatedCurrentA);

        // Per unit of the rated impedance: total running leakage, running R_2, X_m, standstill R_2, standstill X_2.
        double[] start = [0.20, slip, 2.8, 2.0 * slip + 0.015, 0.04];
        var best = Minimise(start, x => Residuals(plate, CircuitOf(plate, statorOhm, baseOhm, x)));
        var circuit = CircuitOf(plate, statorOhm, baseOhm, best);
        return new Result(circuit, 100 * Residuals(plate, circuit).Max(v => Math.Abs(v)));
    }

    private static CageCircuit CircuitOf(MotorPlate plate, double statorOhm, double baseOhm, double[] x) => new(
        new Complex(statorOhm, x[0] / 2 * baseOhm),
        x[2] * baseOhm,
        new Complex(x[1], x[0] / 2) * baseOhm,
        new Complex(x[3], x[4]) * baseOhm,
        plate.SynchronousSpeedRpm * 2 * Math.PI / 60,
        plate.RatedVoltageV);

    private static double[] Residuals(MotorPlate plate, CageCircuit circuit)
    {
        var rated = circuit.At(plate.RatedSlip, plate.RatedVoltageV);
        var still = circuit.At(1, plate.RatedVoltageV);
        return
        [
            (rated.TorqueNm / plate.RatedTorqueNm) - 1,
            (rated.CurrentA / plate.RatedCurrentA) - 1,
            (Breakdown(circuit, plate) / (plate.BreakdownTorquePu * plate.RatedTorqueNm)) - 1,
            (still.CurrentA / (plate.LockedRotorCurrentPu * plate.RatedCurrentA)) - 1,
            (still.TorqueNm / (plate.LockedRotorTorquePu * plate.RatedTorqueNm)) - 1,
        ];
    }

    // Largest torque between rated slip and a slip of 0.6, by golden section on a unimodal curve.
    private static double Breakdown(CageCircuit circuit, MotorPlate plate)
    {
        var golden = (Math.Sqrt(5) - 1) / 2;
        double low = Math.Log(plate.RatedSlip), high = Math.Log(0.6);
        double Torque(double logSlip) => circuit.At(Math.Exp(logSlip), plate.RatedVoltageV).TorqueNm;
        double left = high - (golden * (high - low)), right = low + (golden * (high - low));
        double atLeft = Torque(left), atRight = Torque(right);
        for (var i = 0; i < 40; i++)
        {
            if (atLeft < atRight)
            {
                (low, left, atLeft) = (left, right, atRight);
                right = low + (golden * (high - low));
                atRight = Torque(right);
            }
            else
            {
                (high, right, atRight) = (right, left, atLeft);
                left = high - (golden * (high - low));
                atLeft = Torque(left);
            }
        }

        return Math.Max(atLeft, atRight);
    }

    private static double[] Minimise(double[] start, Func<double[], double[]> residuals)
    {
        var x = start.Select(v => Math.Log(v)).ToArray();
        double[] Of(double[] logs) => residuals([.. logs.Select(v => Math.Exp(v))]);
        var r = Of(x);
        var damping = 1e-3;
        for (var round = 0; round < 200 && Square(r) > 1e-22; round++)
        {
            var step = Step(x, r, damping, Of);
            var next = x.Zip(step, (a, b) => a + Math.Clamp(b, -0.5, 0.5)).ToArray();
            var there = Of(next);
            if (Square(there) < Square(r))
            {
                (x, r) = (next, there);
                damping = Math.Max(damping / 5, 1e-12);
            }
            else if ((damping *= 4) > 1e8)
            {
                break;
            }
        }

        return [.. x.Select(v => Math.Exp(v))];
    }

    // (JᵀJ + λ·diag)·δ = −Jᵀr.
    private static double[] Step(double[] x, double[] r, double damping, Func<double[], double[]> of)
    {
        const double small = 1e-6;
        var jacobian = new double[Unknowns, Unknowns];
        for (var k = 0; k < Unknowns; k++)
        {
            var moved = (double[])x.Clone();
            moved[k] += small;
            var there = of(moved);
            for (var i = 0; i < Unknowns; i++)
            {
                jacobian[i, k] = (there[i] - r[i]) / small;
            }
        }

        var matrix = new double[Unknowns * Unknowns];
        var right = new double[Unknowns];
        for (var a = 0; a < Unknowns; a++)
        {
            for (var i = 0; i < Unknowns; i++)
            {
                right[a] -= jacobian[i, a] * r[i];
                for (var b = 0; b < Unknowns; b++)
                {
                    matrix[(a * Unknowns) + b] += jacobian[i, a] * jacobian[i, b];
                }
            }

            matrix[(a * Unknowns) + a] += damping * (matrix[(a * Unknowns) + a] + 1e-12);
        }

        // Singular: no step, so that the damping grows.
        return DenseLu<double>.OrNull(matrix, Unknowns)?.Solve(right) ?? new double[Unknowns];
    }

    private static double Square(double[] r) => r.Sum(v => v * v);
}
