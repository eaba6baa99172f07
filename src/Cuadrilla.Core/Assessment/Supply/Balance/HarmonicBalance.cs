using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>Where a search for the balance ended.</summary>
/// <param name="Emfs">EMF of each front end in the frame of the source, per unit.</param>
/// <param name="Answers">What each answers to it.</param>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPu">Largest contradiction between network and front ends, parts of nominal voltage.</param>
/// <param name="ResidualOrder">Order at which it is; negative: turning backwards.</param>
/// <param name="Worst">Front end at which it is; −1: none.</param>
internal sealed record BalanceResult(SpaceVector[] Emfs, FrontAnswer[] Answers, int Rounds, double ResidualPu, int ResidualOrder, int Worst)
{
    /// <summary>Contradiction at which currents and voltages count as found, parts of nominal voltage.</summary>
    public const double LimitPu = 1e-9;

    /// <summary>True when they are.</summary>
    public bool IsSettled => ResidualPu <= LimitPu;
}

/// <summary>
/// Currents of all front ends and voltages of the network that fit each other, orders 1 to 49 and both sequences: Newton's method on
/// E = V_0 − Z·ΣI(E) + Z_s·I(E). Each front end answers with the current that repeats and with how it moves with the EMF; those alike share one
/// such slope, which is made anew when a step gains too little. A step that does not gain is halved. See <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal sealed class HarmonicBalance
{
    private const int MostRounds = 60;
    private const int MostHalvings = 7;
    private const double SlopeGain = 0.15;
    private const double SamePu = 1e-12;

    private readonly OrderNetworks networks;
    private readonly IReadOnlyList<BalanceFront> fronts;
    private readonly IReadOnlyList<FilterInjection> filters;
    private readonly int[] likes;
    private readonly double[] scales;

    /// <param name="networks">The network.</param>
    /// <param name="fronts">Front ends.</param>
    /// <param name="filters">Central active filters.</param>
    public HarmonicBalance(OrderNetworks networks, IReadOnlyList<BalanceFront> fronts, IReadOnlyList<FilterInjection> filters)
    {
        (this.networks, this.fronts, this.filters) = (networks, fronts, filters);
        (likes, scales) = Likes();
    }

    /// <summary>Searches it.</summary>
    /// <param name="start">EMFs to begin with.</param>
    /// <param name="near">Orbits that may be near, by front end.</param>
    public BalanceResult Run(SpaceVector[] start, OrbitResult.Settled?[] near)
    {
        var emfs = start;
        var answers = Answers(emfs, near, null, null, PeriodicOrbit.Finest);
        var (residuals, parts) = Residuals(emfs, answers);
        var state = Result(emfs, answers, 1, residuals);
        LinearStep? step = null;
        for (var round = 1; round < MostRounds && !state.IsSettled; round++)
        {
            var isFresh = step is null;
            step ??= Step(emfs, answers, parts);
            var changes = step.Solve(residuals);
            var (found, next) = (state, residuals);
            var part = 1.0;
            for (var halving = 0; ; halving++, part *= 0.5)
            {
                var moved = emfs.Select((e, i) => e.Plus(changes[i], part)).ToArray();
                var tried = Answers(moved, Orbits(answers), emfs, answers, PrecisionAt(state.ResidualPu));
                (next, var nextParts) = Residuals(moved, tried);
                found = Result(moved, tried, state.Rounds + 1, next);
                var gains = found.ResidualPu < (1 - (0.1 * part)) * state.ResidualPu && Silent(tried) <= Silent(answers);
                if (gains || (halving == 0 && !isFresh) || halving == MostHalvings)
                {
                    parts = gains ? nextParts : parts;
                    break;
                }
            }

            var gain = found.ResidualPu / state.ResidualPu;
            if (!(gain < 1) && !isFresh)
            {
                // The slopes are of elsewhere: once more from here with fresh ones.
                step = null;
                state = state with { Rounds = found.Rounds };
                continue;
            }

            if (!(gain < 1))
            {
                return state with { Rounds = found.Rounds };
            }

            (emfs, answers, residuals, state) = (found.Emfs, found.Answers, next, found);
            step = gain < SlopeGain ? step : null;
        }

        return state;
    }

    // Orbits need be no nearer than what is left between them and the network. Newton's method gains some digits at once.
    private static double PrecisionAt(double residualPu) => Math.Clamp(1e-5 * residualPu * residualPu, PeriodicOrbit.Finest, 1e-9);

    private static int Silent(FrontAnswer[] answers) => answers.Count(a => a.Front is RectifierResult.NoSteadyState);

    private static OrbitResult.Settled?[] Orbits(FrontAnswer[] answers) => Array.ConvertAll(answers, a => a.Orbit);

    private FrontAnswer[] Answers(SpaceVector[] emfs, OrbitResult.Settled?[] near, SpaceVector[]? lastEmfs, FrontAnswer[]? last, double precision)
    {
        var answers = new FrontAnswer[fronts.Count];
        Parallel.For(0, fronts.Count, i => answers[i] = lastEmfs is not null && emfs[i].Plus(lastEmfs[i], -1).Largest().Size < SamePu
            ? last![i]
            : fronts[i].Answer(emfs[i], near[i], precision));
        return answers;
    }

    // E as the network has it less E as the front ends were solved at; and the parts that filters give of what is asked of them.
    private (SpaceVector[] Residuals, double[] Parts) Residuals(SpaceVector[] emfs, FrontAnswer[] answers)
    {
        var drawn = Enumerable.Range(0, networks.Nodes.Count).Select(_ => new SpaceVector()).ToArray();
        for (var i = 0; i < fronts.Count; i++)
        {
            if (fronts[i].Place >= 0)
            {
                drawn[fronts[i].Place] = drawn[fronts[i].Place].Plus(answers[i].Current, 1);
            }
        }

        var parts = filters.Select(f => f.Add(drawn)).ToArray();
        var volts = drawn.Select(_ => new SpaceVector()).ToArray();
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            var m = networks.Orders[k];
            for (var r = 0; r < volts.Length; r++)
            {
                var sum = networks.Open(k, r);
                for (var c = 0; c < volts.Length; c++)
                {
                    sum -= networks.Impedance(k, r, c) * drawn[c][m];
                }

                volts[r][m] = sum;
            }
        }

        var residuals = new SpaceVector[fronts.Count];
        for (var i = 0; i < fronts.Count; i++)
        {
            var residual = new SpaceVector();
            foreach (var m in networks.Orders)
            {
                residual[m] = (fronts[i].Held.GainAt(m) * (fronts[i].Place < 0 ? networks.Emf(m) : volts[fronts[i].Place][m])) + (fronts[i].Held.SeenAt(m) * answers[i].Current[m]) - emfs[i][m];
            }

            residuals[i] = residual;
        }

        return (residuals, parts);
    }

    private static BalanceResult Result(SpaceVector[] emfs, FrontAnswer[] answers, int rounds, SpaceVector[] residuals)
    {
        var (largest, order, worst) = (0.0, 1, -1);
        for (var i = 0; i < residuals.Length; i++)
        {
            var (size, at) = residuals[i].Largest();
            (largest, order, worst) = !(size <= largest) ? (size, at, i) : (largest, order, worst);
        }

        return new BalanceResult(emfs, answers, rounds, largest, order, worst);
    }

    private LinearStep Step(SpaceVector[] emfs, FrontAnswer[] answers, double[] parts)
    {
        // One matrix in the time of its own voltage serves all circuits alike, wherever they hang.
        var couplings = Enumerable.Range(0, fronts.Count).Where(i => answers[i].Orbit is not null)
            .GroupBy(i => KindOf(fronts[i])).ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        var matrices = new CouplingMatrix?[fronts.Count];
        Parallel.ForEach(couplings.Values, i =>
            matrices[i] = CouplingMatrix.Of(fronts[i].Circuit!.Circuit, answers[i].Orbit!, answers[i].Spectrum!.LinkMean, answers[i].Emf));
        var slopes = likes.Distinct().ToDictionary(i => i, i => answers[i] switch
        {
            { Orbit: not null } => FrontSlope.Of(fronts[i], matrices[couplings[KindOf(fronts[i])]]!, emfs[i], networks.Orders),
            { Front: RectifierResult.LineDraw } => FrontSlope.OfConstantPower(answers[i].Current, emfs[i], networks.Orders),
            _ => null,
        });
        return new LinearStep(networks, fronts, likes, slopes, scales, filters, parts);
    }

    // Front ends of one place that conduct together and are of one kind: the slope of the first, scaled by power.
    private (int[] Likes, double[] Scales) Likes()
    {
        var first = new Dictionary<string, int>(StringComparer.Ordinal);
        var likes = new int[fronts.Count];
        var scales = new double[fronts.Count];
        for (var i = 0; i < fronts.Count; i++)
        {
            var key = fronts[i].Drive.ConductsTogether && fronts[i].Circuit is not null
                ? FormattableString.Invariant($"{fronts[i].Place} {KindOf(fronts[i])}")
                : FormattableString.Invariant($"#{i}");
            likes[i] = first.TryGetValue(key, out var like) ? like : first[key] = i;
            scales[i] = fronts[i].CurrentPu > 0 ? fronts[i].CurrentPu / fronts[likes[i]].CurrentPu : 1;
        }

        return (likes, scales);
    }

    // Circuits alike in per unit of their load, in coarse steps.
    private static string KindOf(BalanceFront front)
    {
        if (front.Circuit is not { } circuit)
        {
            return string.Empty;
        }

        static int Step(double value) => value > 0 ? (int)Math.Round(3 * Math.Log(value)) : int.MinValue;
        var c = circuit.Circuit;
        return FormattableString.Invariant(
            $"{circuit.Input.Kind} {c.Bridges} {Step(c.OwnX[0])} {Step(c.CommonX)} {Step(c.ChokeX)} {Step(c.Susceptance)} {Step(c.Bank?.X ?? 0)} {Step(c.Bank?.Susceptance ?? 0)} {(front.IsLoop ? front.CurrentPu : 0):g3}");
    }
}
