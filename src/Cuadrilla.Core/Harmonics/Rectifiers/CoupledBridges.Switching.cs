namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>When a diode of the coupled bridges must change, and what changes then.</summary>
internal sealed partial class CoupledBridges
{
    private void Settle(double angle, double[] state)
    {
        for (var i = 0; i < 12; i++)
        {
            var dummy = new double[state.Length];
            Slopes(angle, state, dummy);
            if (GuardNow(state, out var phase, out var side) >= -1e-9)
            {
                return;
            }

            Switch(state, phase, side);
            Select();
        }
    }

    private double Guard(double angle, double[] state, out int phase, out int side)
    {
        var dummy = guardSlopes ??= new double[state.Length];
        Slopes(angle, state, dummy);
        return GuardNow(state, out phase, out side);
    }

    private double[]? guardSlopes;

    // Negative when a diode must change: in parts of the current or of the voltage.
    private double GuardNow(double[] state, out int phase, out int side)
    {
        double worst = double.PositiveInfinity;
        (phase, side) = (0, 0);
        for (var k = 0; k < bridges; k++)
        {
            if (sides[3 * k] == 0 && sides[(3 * k) + 1] == 0 && sides[(3 * k) + 2] == 0)
            {
                int high = 3 * k, low = 3 * k;
                for (var x = (3 * k) + 1; x < (3 * k) + 3; x++)
                {
                    high = emf[x] > emf[high] ? x : high;
                    low = emf[x] < emf[low] ? x : low;
                }

                var open = (state[^1] - (emf[high] - emf[low])) / phaseV;
                if (open < worst)
                {
                    // Both change: the pair is coded as the upper one with the lower one behind it.
                    (worst, phase, side) = (open, (high * 64) + low, 2);
                }

                continue;
            }

            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                if (sides[x] != 0)
                {
                    var off = sides[x] * state[x] / Scale;

                    // What has just begun to conduct rises from nothing.
                    if (off < worst && !(off > -1e-7 && sides[x] * slopes[x] > 0))
                    {
                        (worst, phase, side) = (off, x, 0);
                    }

                    continue;
                }

                var volts = emf[x] + stars[k];
                var top = (rails[k] - volts) / phaseV;
                var bottom = volts / phaseV;
                if (top < worst)
                {
                    (worst, phase, side) = (top, x, 1);
                }

                if (bottom < worst)
                {
                    (worst, phase, side) = (bottom, x, -1);
                }
            }
        }

        return worst;
    }

    private void Switch(double[] state, int phase, int side)
    {
        if (side == 2)
        {
            sides[phase / 64] = 1;
            sides[phase % 64] = -1;
            return;
        }

        sides[phase] = side;
        var k = phase / 3;
        if (side == 0)
        {
            state[phase] = 0;
            var span = Enumerable.Range(3 * k, 3).ToArray();
            if (!span.Any(x => sides[x] > 0) || !span.Any(x => sides[x] < 0))
            {
                foreach (var x in span)
                {
                    sides[x] = 0;
                    state[x] = 0;
                }

                return;
            }

            // Round-off must not leave a sum behind.
            var rest = span.Sum(x => state[x]) / span.Count(x => sides[x] != 0);
            foreach (var x in span.Where(x => sides[x] != 0))
            {
                state[x] -= rest;
            }
        }
    }
}
