namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>What changes in a combination of conducting diodes.</summary>
/// <param name="Phase">The phase; of a pair the upper one.</param>
/// <param name="Side">Its new side.</param>
/// <param name="Lower">The lower phase of a pair that begins together; −1 otherwise.</param>
internal readonly record struct CoupledEvent(int Phase, int Side, int Lower = -1);

/// <summary>When a diode must change: the guard is the smallest margin, negative once one is overstepped.</summary>
internal static class CoupledGuards
{
    // What has just begun to conduct rises from nothing.
    private const double JustBegun = 1e-7;

    /// <summary>Smallest margin and the change that it stands for.</summary>
    public static double Of(CoupledCircuit circuit, CoupledMode mode, in CoupledState stateWithEmf, in CoupledState slope,
        out CoupledEvent next)
    {
        var volts = mode.Volts(stateWithEmf);
        var sides = mode.Sides;
        var worst = double.PositiveInfinity;
        next = default;
        for (var k = 0; k < circuit.Bridges; k++)
        {
            if (mode.IsBlocked(k))
            {
                int high = 3 * k, low = 3 * k;
                for (var x = (3 * k) + 1; x < (3 * k) + 3; x++)
                {
                    high = volts[x] > volts[high] ? x : high;
                    low = volts[x] < volts[low] ? x : low;
                }

                var margin = stateWithEmf[circuit.Phases] - (volts[high] - volts[low]);
                if (margin < worst)
                {
                    (worst, next) = (margin, new CoupledEvent(high, 1, low));
                }

                continue;
            }

            var rail = volts[circuit.Phases + k];
            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                if (sides[x] != 0)
                {
                    var current = sides[x] * stateWithEmf[x];
                    if (current < worst && !(current > -JustBegun && sides[x] * slope[x] > 0))
                    {
                        (worst, next) = (current, new CoupledEvent(x, 0));
                    }

                    continue;
                }

                if (rail - volts[x] < worst)
                {
                    (worst, next) = (rail - volts[x], new CoupledEvent(x, 1));
                }

                if (volts[x] < worst)
                {
                    (worst, next) = (volts[x], new CoupledEvent(x, -1));
                }
            }
        }

        return worst;
    }

    /// <summary>Lowest voltage between the rails ahead of the chokes, of conducting bridges.</summary>
    public static double LowestRail(CoupledCircuit circuit, CoupledMode mode, in CoupledState stateWithEmf)
    {
        var volts = mode.Volts(stateWithEmf);
        var lowest = double.PositiveInfinity;
        for (var k = 0; k < circuit.Bridges; k++)
        {
            lowest = mode.IsBlocked(k) ? lowest : Math.Min(lowest, volts[circuit.Phases + k]);
        }

        return lowest;
    }

    /// <summary>The margin of one change alone.</summary>
    public static double Of(CoupledCircuit circuit, CoupledMode mode, in CoupledState stateWithEmf, in CoupledEvent watched)
    {
        if (watched.Side == 0)
        {
            return mode.Sides[watched.Phase] * stateWithEmf[watched.Phase];
        }

        var volts = mode.Volts(stateWithEmf);
        if (watched.Lower >= 0)
        {
            return stateWithEmf[circuit.Phases] - (volts[watched.Phase] - volts[watched.Lower]);
        }

        return watched.Side > 0 ? volts[circuit.Phases + (watched.Phase / 3)] - volts[watched.Phase] : volts[watched.Phase];
    }

    /// <summary>Carries the change out on sides and currents.</summary>
    public static void Apply(in CoupledEvent change, Span<int> sides, ref CoupledState state)
    {
        sides[change.Phase] = change.Side;
        if (change.Lower >= 0)
        {
            sides[change.Lower] = -1;
        }

        if (change.Side != 0)
        {
            return;
        }

        state[change.Phase] = 0;
        int from = 3 * (change.Phase / 3), top = 0, bottom = 0;
        double rest = 0;
        for (var x = from; x < from + 3; x++)
        {
            top += sides[x] > 0 ? 1 : 0;
            bottom += sides[x] < 0 ? 1 : 0;
            rest += state[x];
        }

        for (var x = from; x < from + 3; x++)
        {
            if (top == 0 || bottom == 0)
            {
                (sides[x], state[x]) = (0, 0);
            }
            else if (sides[x] != 0)
            {
                // Round-off must not leave a sum behind.
                state[x] -= rest / (top + bottom);
            }
        }
    }
}
