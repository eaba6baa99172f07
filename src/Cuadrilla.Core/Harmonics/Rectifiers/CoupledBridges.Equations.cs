namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Slopes of the coupled bridges in a combination of conducting diodes.</summary>
internal sealed partial class CoupledBridges
{
    // Live phases and conducting bridges of the combination, and the inverse of its matrix.
    private void Select()
    {
        live.Clear();
        conducting.Clear();
        long key = 0;
        for (var i = 0; i < sides.Length; i++)
        {
            key = (3 * key) + sides[i] + 1;
            if (sides[i] != 0)
            {
                live.Add((i / 3, i));
                if (!conducting.Contains(i / 3))
                {
                    conducting.Add(i / 3);
                }
            }
        }

        if (!inverses.TryGetValue(key, out var found))
        {
            inverses[key] = found = Invert();
        }

        inverse = found;
    }

    // Unknown: slope of each live phase (A/s), star potential of each conducting bridge.
    // Row of a phase: (L_k + source through the shift)·di − v_star + (top: L_c·Σdi_top) = e' − r·i − (top: u + R_c·i_d).
    private double[,] Invert()
    {
        var n = live.Count + conducting.Count;
        var matrix = new double[n, n];
        for (var r = 0; r < live.Count; r++)
        {
            var (k, x) = live[r];
            for (var c = 0; c < live.Count; c++)
            {
                var (m, y) = live[c];

                // A current of phase y of bridge m lowers phase x of bridge k by L_s·(2/3)·cos of the angle between their axes.
                matrix[r, c] = input.SourceInductanceH * 2.0 / 3 * Math.Cos(Axis(x) - Axis(y));
                if (x == y)
                {
                    matrix[r, c] += leakageH;
                }

                if (k == m && sides[x] > 0 && sides[y] > 0)
                {
                    matrix[r, c] += input.DcChokeH;
                }
            }

            matrix[r, live.Count + conducting.IndexOf(k)] = -1;
            matrix[live.Count + conducting.IndexOf(k), r] = 1;
        }

        return SmallLinearSystem.Inverse(matrix);
    }

    // Axis of a phase of a bridge on the primary: its own less the shift.
    private double Axis(int phase) => (phase % 3 * 2 * Math.PI / 3) - shiftRad[phase / 3];

    private void Slopes(double angle, double[] state, double[] into)
    {
        Source(angle, out var sourceRe, out var sourceIm);
        double primaryRe = 0, primaryIm = 0;
        for (var x = 0; x < sides.Length; x++)
        {
            primaryRe += 2.0 / 3 * state[x] * axisCos[x];
            primaryIm += 2.0 / 3 * state[x] * axisSin[x];
        }

        var behindRe = sourceRe - (input.SourceResistanceOhm * primaryRe);
        var behindIm = sourceIm - (input.SourceResistanceOhm * primaryIm);
        var n = live.Count + conducting.Count;
        Span<double> right = stackalloc double[n];
        for (var r = 0; r < live.Count; r++)
        {
            var (k, x) = live[r];
            right[r] = (behindRe * axisCos[x]) + (behindIm * axisSin[x]);
            if (sides[x] > 0)
            {
                double choke = 0;
                for (var y = 3 * k; y < (3 * k) + 3; y++)
                {
                    choke += sides[y] > 0 ? state[y] : 0;
                }

                right[r] -= state[^1] + (input.DcChokeResistanceOhm * choke);
            }
        }

        Array.Clear(slopes);
        Array.Clear(stars);
        for (var r = 0; r < n; r++)
        {
            double sum = 0;
            for (var c = 0; c < live.Count; c++)
            {
                sum += inverse[r, c] * right[c];
            }

            if (r < live.Count)
            {
                slopes[live[r].Phase] = sum;
            }
            else
            {
                stars[conducting[r - live.Count]] = sum;
            }
        }

        // What every phase sees with the slopes known: the source less its drop, and of live ones less their leakage.
        double seenRe = behindRe, seenIm = behindIm;
        for (var r = 0; r < live.Count; r++)
        {
            var x = live[r].Phase;
            var drop = 2.0 / 3 * input.SourceInductanceH * slopes[x];
            seenRe -= drop * axisCos[x];
            seenIm -= drop * axisSin[x];
        }

        double total = 0;
        for (var k = 0; k < bridges; k++)
        {
            double choke = 0, chokeSlope = 0;
            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                emf[x] = (seenRe * axisCos[x]) + (seenIm * axisSin[x]);
                if (sides[x] > 0)
                {
                    choke += state[x];
                    chokeSlope += slopes[x];
                }
            }

            rails[k] = state[^1] + (input.DcChokeResistanceOhm * choke) + (input.DcChokeH * chokeSlope);
            total += choke;
        }

        for (var x = 0; x < sides.Length; x++)
        {
            into[x] = slopes[x] / omega;
        }

        into[^1] = (total - LoadA(state[^1])) / (input.DcCapacitanceF * omega);
    }

    private double LoadA(double volts) => input.LoadModel == DcLoadModel.ConstantPower
        ? input.DcLoadW / Math.Max(volts, 0.6 * 0.97 * Math.Sqrt(2) * input.LineVoltageV)
        : volts * input.DcLoadW / Math.Pow(3 * Math.Sqrt(2) / Math.PI * input.LineVoltageV, 2);

    // Space vector of the source, phase A rising through zero at angle 0: −j·e^(jθ) of positive sequences, j·e^(−jθ) of negative ones.
    private void Source(double angle, out double re, out double im)
    {
        var (sine, cosine) = Math.SinCos(angle);
        (re, im) = (phaseV * sine, -phaseV * cosine);
        if (input.UnbalancePu != 0)
        {
            (sine, cosine) = Math.SinCos(angle + input.UnbalanceRad);
            re += phaseV * input.UnbalancePu * sine;
            im += phaseV * input.UnbalancePu * cosine;
        }

        if (input.BackgroundV5Pu != 0)
        {
            (sine, cosine) = Math.SinCos((5 * angle) + input.BackgroundRad);
            re += phaseV * input.BackgroundV5Pu * sine;
            im += phaseV * input.BackgroundV5Pu * cosine;
        }

        if (input.BackgroundV7Pu != 0)
        {
            (sine, cosine) = Math.SinCos((7 * angle) + input.BackgroundRad);
            re += phaseV * input.BackgroundV7Pu * sine;
            im -= phaseV * input.BackgroundV7Pu * cosine;
        }
    }

    private void Advance(double angle, double[] state, double[] k1, double h, double[] k2, double[] k3, double[] k4, double[] into)
    {
        var middle = middleState ??= new double[state.Length];
        void Move(double[] k, double width)
        {
            for (var i = 0; i < state.Length; i++)
            {
                middle[i] = state[i] + (width * k[i]);
            }
        }

        Move(k1, h / 2);
        Slopes(angle + (h / 2), middle, k2);
        Move(k2, h / 2);
        Slopes(angle + (h / 2), middle, k3);
        Move(k3, h);
        Slopes(angle + h, middle, k4);
        for (var i = 0; i < state.Length; i++)
        {
            into[i] = state[i] + (h / 6 * (k1[i] + (2 * k2[i]) + (2 * k3[i]) + k4[i]));
        }
    }

    private double[]? middleState;

    private Moment MomentAt(double angle, double[] state, double[] slope)
    {
        var current = new double[3];
        var rise = new double[3];
        double choke = 0;
        for (var x = 0; x < sides.Length; x++)
        {
            choke += Math.Max(0, state[x]);
            for (var p = 0; p < 3; p++)
            {
                var part = 2.0 / 3 * Math.Cos((p * 2 * Math.PI / 3) - Axis(x));
                current[p] += part * state[x];
                rise[p] += part * slope[x];
            }
        }

        return new Moment(angle, current, rise, state[^1], choke);
    }
}
