namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Finds the state that repeats itself: Newton's method on the map over the repeat angle of the circuit (shooting). The
/// derivative of that map also tells whether the orbit attracts: when its spectral radius reaches one, the bridge in
/// truth rings at a subharmonic or settles with even orders, and there is no one-cycle steady state to report.
/// </summary>
internal sealed class PeriodicSteadyState
{
    private const double StartAngleRad = 0.3;
    private const double Converged = 2e-9;
    private const double Perturbation = 2e-5;
    private const double RoughlyConverged = 1e-4;
    private const double RoughPerturbation = 1e-3;

    // Below this even the rough derivative proves that disturbances die out.
    private const double SurelyStable = 0.985;

    private readonly BridgeCircuit circuit;
    private readonly BridgeIntegrator exact;
    private readonly BridgeIntegrator rough;
    private BridgeIntegrator integrator;
    private readonly int size;

    private PeriodicSteadyState(BridgeCircuit circuit)
    {
        this.circuit = circuit;
        exact = BridgeIntegrator.Exact(circuit);
        rough = BridgeIntegrator.Rough(circuit);
        integrator = rough;
        size = circuit.PhaseCount + 1;
    }

    /// <summary>
    /// Solves a circuit. The steps describe one repeat angle, starting at 0.3 rad.
    /// </summary>
    /// <param name="circuit">The bridge.</param>
    /// <param name="patienceCycles">Cycles to wait for an orbit to come near before it is given up.</param>
    /// <param name="near">Start of the orbit of a circuit that hardly differs; null when none is known.</param>
    public static BridgeOrbit Solve(in BridgeCircuit circuit, int patienceCycles = 150, BridgeState? near = null) => new PeriodicSteadyState(circuit).Run(patienceCycles, near);

    private BridgeOrbit Run(int patienceCycles, BridgeState? near)
    {
        try
        {
            if (near is { } begin && Approach(ref begin, out var found) && found < 1 - 1e-6)
            {
                return Record(begin, found);
            }

            var state = WarmUp(Rest(), 2);
            var cycles = 2;
            while (true)
            {
                if (Approach(ref state, out var multiplier))
                {
                    return multiplier < 1 - 1e-6 ? Record(state, multiplier) : Failure(state, multiplier);
                }

                if (cycles > patienceCycles)
                {
                    return Failure(state, double.NaN);
                }

                state = WarmUp(state, cycles);
                cycles *= 3;
            }
        }
        catch (InvalidOperationException)
        {
            return new BridgeOrbit.Unsettled(double.NaN);
        }
    }

    // Most of the way on rough steps; the exact ones then hardly have to move, and its derivative serves them too.
    private bool Approach(ref BridgeState state, out double multiplier)
    {
        integrator = rough;
        var near = state;
        var isNear = Newton(ref near, RoughlyConverged, RoughPerturbation, out multiplier, out var jacobian);
        integrator = exact;
        if (isNear && multiplier < SurelyStable && Polish(ref near, jacobian))
        {
            state = near;
            return true;
        }

        state = isNear ? near : WarmUp(state, 1);
        return Newton(ref state, Converged, Perturbation, out multiplier, out _);
    }

    private bool Polish(ref BridgeState state, double[,] jacobian)
    {
        var image = Map(state);
        var residual = Distance(image, state);
        for (var chord = 0; chord < 6; chord++)
        {
            if (residual < Converged)
            {
                state = image;
                return true;
            }

            if (NewtonStep(jacobian, state, image) is not { } step)
            {
                return false;
            }

            var trial = Moved(state, step);
            var trialImage = Map(trial);
            var trialResidual = Distance(trialImage, trial);
            if (!(trialResidual < 0.3 * residual))
            {
                return false;
            }

            (state, image, residual) = (trial, trialImage, trialResidual);
        }

        return false;
    }

    private BridgeState Rest() => new(0, 0, 0.95 * circuit.NoLoadVoltagePu, 0);

    private BridgeState WarmUp(BridgeState state, int cycles)
    {
        var maps = (int)Math.Round(cycles * 2 * Math.PI / circuit.RepeatAngleRad);
        for (var i = 0; i < maps; i++)
        {
            state = Map(state);
        }

        return state;
    }

    /// <summary>One repeat angle, phases renamed so that a periodic orbit returns to where it began.</summary>
    private BridgeState Map(in BridgeState state)
    {
        var end = integrator.Advance(state, StartAngleRad, circuit.RepeatAngleRad);
        return circuit.IsSixfold
            ? new BridgeState(-end.C, -end.A, end.Voltage, end.Choke)
            : new BridgeState(-end.A, -end.B, end.Voltage, end.Choke);
    }

    private bool Newton(ref BridgeState state, double converged, double perturbation, out double multiplier, out double[,] jacobian)
    {
        multiplier = double.NaN;
        jacobian = new double[size, size];
        var image = Map(state);
        var residual = Distance(image, state);
        for (var iteration = 0; iteration < 14; iteration++)
        {
            jacobian = Derivative(state, image, perturbation);
            if (residual < converged)
            {
                multiplier = SmallLinearSystem.SpectralRadius(jacobian);
                state = image;
                return true;
            }

            var step = NewtonStep(jacobian, state, image);
            if (step is null)
            {
                return false;
            }

            // Chord steps with the same derivative while they pay, then a fresh derivative.
            for (var chord = 0; chord < 4; chord++)
            {
                var trial = Moved(state, step);
                var trialImage = Map(trial);
                var trialResidual = Distance(trialImage, trial);
                var gain = trialResidual / residual;
                if (gain > 2 && chord > 0)
                {
                    break;
                }

                state = trial;
                image = trialImage;
                residual = trialResidual;
                if (residual < converged || gain > 0.05)
                {
                    break;
                }

                step = NewtonStep(jacobian, state, image);
                if (step is null)
                {
                    return false;
                }
            }

            if (!double.IsFinite(residual))
            {
                return false;
            }
        }

        return false;
    }

    // Coordinates: phase currents but the last (they sum to zero), link voltage, choke current.
    private double[,] Derivative(in BridgeState state, in BridgeState image, double perturbation)
    {
        var jacobian = new double[size, size];
        var columns = IsFreewheeling(state) ? size : size - 1;
        for (var column = 0; column < columns; column++)
        {
            var delta = new double[size];
            delta[column] = perturbation;
            var moved = Map(Moved(state, delta));
            for (var row = 0; row < size; row++)
            {
                jacobian[row, column] = (Coordinate(moved, row) - Coordinate(image, row)) / perturbation;
            }
        }

        return jacobian;
    }

    private double[]? NewtonStep(double[,] jacobian, in BridgeState state, in BridgeState image)
    {
        var matrix = new double[size, size];
        var right = new double[size];
        for (var row = 0; row < size; row++)
        {
            right[row] = Coordinate(image, row) - Coordinate(state, row);
            for (var column = 0; column < size; column++)
            {
                matrix[row, column] = (row == column ? 1 : 0) - jacobian[row, column];
            }
        }

        return SmallLinearSystem.Solve(matrix, right);
    }

    private BridgeState Moved(in BridgeState state, double[] step)
    {
        var a = state.A + step[0];
        var b = circuit.PhaseCount == 3 ? state.B + step[1] : -a;
        var moved = new BridgeState(a, b, Math.Max(0.2, state.Voltage + step[size - 2]), 0);

        // Outside freewheeling the choke current is the sum of the conducting phases, not a coordinate of its own.
        var choke = IsFreewheeling(state) ? Math.Max(state.Choke + step[size - 1], moved.PositiveSum) : moved.PositiveSum;
        return moved.With(moved.Voltage, choke);
    }

    private static bool IsFreewheeling(in BridgeState state) => state.Choke > state.PositiveSum + 1e-10;

    private double Coordinate(in BridgeState state, int index)
    {
        if (index == size - 1)
        {
            return state.Choke;
        }

        return index == size - 2 ? state.Voltage : index == 0 ? state.A : state.B;
    }

    private double Distance(in BridgeState a, in BridgeState b)
    {
        var worst = 0.0;
        for (var i = 0; i < size; i++)
        {
            worst = Math.Max(worst, Math.Abs(Coordinate(a, i) - Coordinate(b, i)));
        }

        return worst / (1 + Math.Abs(a.Choke));
    }

    // Below the clamp the load is no longer of constant power: the link has collapsed.
    private bool HasCollapsed(in BridgeState state) => circuit.LoadConductancePu == 0 && state.Voltage < circuit.ClampVoltagePu;

    private BridgeOrbit Failure(in BridgeState state, double multiplier) =>
        HasCollapsed(state) ? new BridgeOrbit.Collapsed() : new BridgeOrbit.Unsettled(multiplier);

    private BridgeOrbit Record(in BridgeState state, double multiplier)
    {
        var steps = new List<BridgeStep>(96);
        integrator.Advance(state, StartAngleRad, circuit.RepeatAngleRad, steps);
        return steps.Exists(s => HasCollapsed(s.End)) ? new BridgeOrbit.Collapsed() : new BridgeOrbit.Settled([.. steps], multiplier);
    }
}

/// <summary>Outcome of the search for a repeating state.</summary>
internal abstract record BridgeOrbit
{
    private BridgeOrbit()
    {
    }

    /// <summary>A stable orbit, its steps over one repeat angle and the spectral radius of the map.</summary>
    public sealed record Settled(BridgeStep[] Steps, double Multiplier) : BridgeOrbit;

    /// <summary>The supply can't deliver the power: the link voltage collapses.</summary>
    public sealed record Collapsed : BridgeOrbit;

    /// <summary>No stable one-cycle orbit; the multiplier is NaN when none at all was found.</summary>
    public sealed record Unsettled(double Multiplier) : BridgeOrbit;
}
