using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

// Small changes, carried along.
internal sealed partial class SeriesIntegrator
{
    // Small changes obey the equations made linear: the load of constant power moves by −ι/v. They may need more terms than the state
    // itself, which moves smoothly where they swing.
    private void Carry(SwitchedMode mode, double[][] moves, double width)
    {
        for (var l = 0; l < volts.Length; l++)
        {
            SlopeOfLoad(circuit.Links[l], volts[l], load[l], loadSlope[l]);
        }

        foreach (var column in moves)
        {
            column.AsSpan(0, stride).CopyTo(moved);
            var (k, power, before) = (0, 1.0, double.PositiveInfinity);
            for (; k < Full; k++)
            {
                Through(mode, moved, k, 0, 0);
                for (var l = 0; l < volts.Length; l++)
                {
                    var link = circuit.Link(l);
                    movedVolts[l][k] = moved[(k * stride) + link];
                    var drawn = DenseRows.Dot(movedVolts[l].AsSpan(0, k + 1), loadSlope[l].AsSpan(Full - k, k + 1));
                    moved[((k + 1) * stride) + link] -= drawn / (circuit.Links[l].Susceptance * (k + 1));
                }

                power *= width;
                var last = power * Largest(moved, k + 1);
                if (last <= SlopePrecision && before <= SlopePrecision && k >= SettlingDegree)
                {
                    k++;
                    break;
                }

                before = last;
            }

            Evaluate(moved, stride, k, width, column);
        }
    }

    // Series of dι/dv = −ι²/P, and ι is a series already.
    private void SlopeOfLoad(SwitchedLink link, double[] volts, double[] load, double[] loadSlope)
    {
        Array.Clear(loadSlope);
        if (link.LoadPower <= 0)
        {
            loadSlope[Full] = link.LoadConductance;
            return;
        }

        if (volts[0] < circuit.ClampVoltage)
        {
            return;
        }

        for (var k = 0; k < degree; k++)
        {
            double sum = 0;
            for (var j = 0; j <= k; j++)
            {
                sum += load[Full - j] * load[Full - k + j];
            }

            loadSlope[Full - k] = -sum / link.LoadPower;
        }
    }
}
