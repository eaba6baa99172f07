using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>Where a search for the balance ended.</summary>
/// <param name="Emfs">EMF of each circuit in the frame of the source, per unit.</param>
/// <param name="Answers">What each answers to it.</param>
/// <param name="Slopes">How each moved with it when that was last asked; null: it never was.</param>
/// <param name="Volts">Voltages of the network's places.</param>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPu">Largest contradiction between network and front ends, parts of nominal voltage.</param>
/// <param name="ResidualOrder">Order at which it is; negative: turning backwards.</param>
/// <param name="Worst">Front end at which it is; −1: none.</param>
internal sealed record BalanceResult(
    SpaceVector[] Emfs, FrontAnswer[] Answers, AskedSlope[]? Slopes, SpaceVector[] Volts, int Rounds, double ResidualPu, int ResidualOrder,
    int Worst)
{
    /// <summary>Contradiction at which currents and voltages count as found, parts of nominal voltage.</summary>
    public const double LimitPu = 1e-9;

    /// <summary>True when they are.</summary>
    public bool IsSettled => ResidualPu <= LimitPu;
}

/// <summary>
/// Currents of all front ends and voltages of the network that fit each other, orders 1 to 49 and both sequences: Newton's method on E =
/// V_0 − Z·ΣI(E) + Z_s·I(E). Each front end answers with the current that repeats and with how it moves with the EMF; those alike share
/// one such slope, which is made anew when a step gains too little. A step that does not gain is halved. See
/// <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal sealed class HarmonicBalance
{
    private const int MostRounds = 60;
    private const double LeastPart = 1e-3;
    private const double KeptGain = 0.1;
    private const double MostLearnt = 0.5;
    private const double SamePu = 1e-12;
    private const double FirstPrecision = 1e-7;
    private const double LastPrecision = 0.03 * BalanceResult.LimitPu;
    private const int MostAgain = 2;

    // Slopes may be wrong by so many times as much across the last step as along it, and are never trusted further than the other. Of 258
    // steps of random plants that closed a balance none left more than a third of what that comes to.
    private const double Across = 100;
    private const double LeastDoubt = 0.1;

    // Contradiction from which slopes asked anew lead there at once.
    private const double NearPu = 1e-3;

    private readonly OrderNetworks networks;
    private readonly IReadOnlyList<BalanceUnit> units;
    private readonly IReadOnlyList<FilterInjection> filters;
    private readonly CancellationToken stop;

    /// <param name="networks">The network.</param>
    /// <param name="units">Front ends, those that hang close together as one.</param>
    /// <param name="filters">Central active filters.</param>
    /// <param name="stop">Asked in every round.</param>
    public HarmonicBalance(OrderNetworks networks, IReadOnlyList<BalanceUnit> units, IReadOnlyList<FilterInjection> filters,
        CancellationToken stop) =>
        (this.networks, this.units, this.filters, this.stop) = (networks, units, filters, stop);

    /// <summary>Searches it.</summary>
    /// <param name="start">EMFs to begin with.</param>
    /// <param name="before">Where an earlier search ended, by unit; null where there was none.</param>
    /// <param name="isEnough">True where a search may end before it has settled; null: nowhere.</param>
    public BalanceResult Run(SpaceVector[] start, FrontSearch?[] before, Func<SpaceVector[], bool>? isEnough = null)
    {
        var at = Evaluated(start, Array.ConvertAll(before, b => b?.Answer.Orbit), (i, emf) => Known(before[i], i, emf), FirstPrecision);
        var rounds = 1;
        var slopes = SlopesOf(before);
        if (slopes is not null && !at.IsSettled && at.ResidualPu < NearPu)
        {
            Renew(slopes, at);
        }

        for (var again = 0; ; again++)
        {
            (at, slopes, rounds) = Settle(at, slopes, rounds, isEnough);
            if (!at.IsSettled || at.Silent == 0 || again == MostAgain)
            {
                break;
            }

            // What found no current on the way may find one where the others have settled.
            var silent = at.Silent;
            var settled = at;
            at = Evaluated(at.Emfs, Orbits(at), (i, _) => IsSilent(settled.Answers[i]) ? null : settled.Answers[i], PeriodicOrbit.Finest);
            if (at.Silent == silent)
            {
                break;
            }
        }

        return new BalanceResult(at.Emfs, at.Answers, slopes, at.Volts, rounds, at.ResidualPu, at.Order, at.Worst);
    }

    // Newton's method with steps that become shorter where they do not gain; slopes of elsewhere serve as long as they gain enough.
    private (BalancePoint At, AskedSlope[]? Slopes, int Rounds) Settle(
        BalancePoint at, AskedSlope[]? slopes, int rounds, Func<SpaceVector[], bool>? isEnough)
    {
        var step = slopes is null || at.IsSettled ? null : Step(at, slopes);
        var (isFresh, part, changes) = (false, 1.0, step?.Solve(at.Residuals).Emfs ?? []);
        while (rounds < MostRounds && !at.IsSettled && isEnough?.Invoke(at.Emfs) != true)
        {
            if (step is null)
            {
                slopes = Slopes(at);
                if ((step = Step(at, slopes)) is null)
                {
                    break;
                }

                (isFresh, changes) = (true, step.Solve(at.Residuals).Emfs);
            }

            var tried = Tried(at, changes, part);
            rounds++;
            var change = step.Solve(tried.Residuals);
            if (part == 1 && Closed(tried, changes, change, slopes!) is { } closed)
            {
                return (closed, slopes, rounds);
            }

            var next = change.Emfs;
            var gain = Size(next) / Size(changes);
            var left = Size(tried.Residuals) / Size(at.Residuals);

            // How far from linear it is along the way tells how far to go.
            var bend = 2 * Size(Moved(next, changes, part - 1)) / (part * Size(changes));
            if (tried.Silent <= at.Silent && (gain < 1 - (part / 4) || left < 1 - (part / 2) || tried.IsSettled))
            {
                step = part == 1 && gain < KeptGain ? step : null;
                (at, changes, isFresh) = (tried, step is null ? next : Learnt(next, changes), false);
                part = Math.Min(1, part * Math.Clamp(1 / bend, 1, 4));
            }
            else if (!isFresh)
            {
                (step, part) = (null, 1);
            }
            else if ((part *= Math.Clamp(1 / bend, 0.1, 0.5)) < LeastPart)
            {
                break;
            }
        }

        return (at, slopes, rounds);
    }

    // What is left a step before the limit needs no circuit solved again whose own slopes tell it; the last step shows how far they can be
    // wrong, and that counts as contradiction. A circuit that has changed since its slopes were asked is solved. Null where it is too much.
    private BalancePoint? Closed(BalancePoint at, SpaceVector[] last, LinearChange change, AskedSlope[] slopes)
    {
        var doubtPu = Math.Max(LeastDoubt, Across * at.ResidualPu / last.Max(c => c.Largest().Size)) * change.LargestPu;
        if (at.IsSettled || at.Silent > 0 || !(doubtPu < BalanceResult.LimitPu))
        {
            return null;
        }

        var emfs = Moved(at.Emfs, change.Emfs, 1);
        var answers = new FrontAnswer[units.Count];
        Cores.For(units.Count, i => answers[i] = IsSame(slopes[i].Circuit, i)
            ? at.Answers[i].Moved(change.Currents[i], units[i].KindParts)
            : units[i].Front.Answer(emfs[i], at.Answers[i].Orbit, LastPrecision), stop);
        var (residuals, volts, parts) = Residuals(emfs, answers);
        var closed = new BalancePoint(emfs, answers, residuals, volts, parts, doubtPu);
        return closed.IsSettled ? closed : null;
    }

    // Broyden's method with the memory of one step: what the last step has left along itself is what the slopes there were wrong by.
    private static SpaceVector[] Learnt(SpaceVector[] change, SpaceVector[] last)
    {
        var part = change.Zip(last, (c, l) => c.Dot(l)).Sum() / last.Sum(l => l.Square());
        return Math.Abs(part) < MostLearnt ? Moved(change, change, part / (1 - part)) : change;
    }

    // Front ends that found no current are not asked again on the way.
    private BalancePoint Tried(BalancePoint from, SpaceVector[] changes, double part) => Evaluated(
        Moved(from.Emfs, changes, part),
        Orbits(from),
        (i, emf) => IsSilent(from.Answers[i]) || Same(emf, from.Emfs[i]) ? from.Answers[i] : null,
        PrecisionAt(from.ResidualPu));

    private static bool IsSilent(FrontAnswer answer) => answer.Front is RectifierResult.NoSteadyState;

    private static OrbitResult.Settled?[] Orbits(BalancePoint at) => Array.ConvertAll(at.Answers, a => a.Orbit);

    private AskedSlope[]? SlopesOf(FrontSearch?[] before) =>
        Array.TrueForAll(before, b => b?.Slope is { } slope && (slope.Rows is null || slope.Rows.Length == Width * Width))
            ? Array.ConvertAll(before, b => b!.Slope!)
            : null;

    // From near the balance slopes of here lead there in two steps; those of elsewhere take more, each as dear as they.
    private void Renew(AskedSlope[] slopes, BalancePoint at) => Cores.For(units.Count, i =>
    {
        if (units[i].Front.Circuit is null || !slopes[i].Holds(at.Emfs[i]))
        {
            (slopes[i], at.Answers[i]) = Slope(units[i].Front, at.Answers[i], at.Emfs[i]);
        }
    }, stop);

    private int Width => 2 * networks.Orders.Count;

    private FrontAnswer? Known(FrontSearch? before, int unit, SpaceVector emf) =>
        before is not null && IsSame(before.Circuit, unit) && (before.Answer.Orbit is not null || IsSilent(before.Answer))
            && Same(emf, before.Emf)
            ? before.Answer
            : null;

    private bool IsSame(SwitchedCircuit? circuit, int unit) =>
        circuit is not null && ReferenceEquals(circuit, units[unit].Front.Circuit?.Circuit);

    private static bool Same(SpaceVector one, SpaceVector other) => one.Plus(other, -1).Largest().Size < SamePu;

    private static SpaceVector[] Moved(SpaceVector[] from, SpaceVector[] by, double part) =>
        [.. from.Select((f, i) => f.Plus(by[i], part))];

    private static double Size(SpaceVector[] of) => Math.Sqrt(of.Sum(v => v.Square()));

    // Orbits need be no nearer than what is left between them and the network when a step has gained its digits twice.
    private static double PrecisionAt(double residualPu) => Math.Clamp(1e-6 * residualPu, LastPrecision, FirstPrecision);

    private BalancePoint Evaluated(SpaceVector[] emfs, OrbitResult.Settled?[] near, Func<int, SpaceVector, FrontAnswer?> known,
        double precision)
    {
        var answers = new FrontAnswer[units.Count];
        Cores.For(units.Count, i => answers[i] = known(i, emfs[i]) ?? units[i].Front.Answer(emfs[i], near[i], precision), stop);
        var (residuals, volts, parts) = Residuals(emfs, answers);
        return new BalancePoint(emfs, answers, residuals, volts, parts);
    }

    // E as the network has it less E as the front ends were solved at; and the parts that filters give of what is asked of them.
    private (SpaceVector[] Residuals, SpaceVector[] Volts, double[] Parts) Residuals(SpaceVector[] emfs, FrontAnswer[] answers)
    {
        var drawn = Enumerable.Range(0, networks.Nodes.Count).Select(_ => new SpaceVector()).ToArray();
        for (var i = 0; i < units.Count; i++)
        {
            foreach (var member in units[i].Members.Where(m => m.Place >= 0 && answers[i].Parts.Length > 0))
            {
                drawn[member.Place] = drawn[member.Place].Plus(answers[i].Parts[member.Kind], member.Share);
            }
        }

        var parts = filters.Select(f => f.Add(drawn)).ToArray();
        var atPlaces = drawn.Select(_ => new SpaceVector()).ToArray();
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            var m = networks.Orders[k];
            for (var r = 0; r < atPlaces.Length; r++)
            {
                var sum = networks.Open(k, r);
                for (var c = 0; c < atPlaces.Length; c++)
                {
                    sum -= networks.Impedance(k, r, c) * drawn[c][m];
                }

                atPlaces[r][m] = sum;
            }
        }

        var residuals = new SpaceVector[units.Count];
        for (var i = 0; i < units.Count; i++)
        {
            var front = units[i].Front;
            var residual = new SpaceVector();
            foreach (var m in networks.Orders)
            {
                var volts = front.Place < 0 ? networks.Emf(m) : atPlaces[front.Place][m];
                residual[m] = (front.Held.GainAt(m) * volts) + (front.Held.SeenAt(m) * answers[i].Current[m]) - emfs[i][m];
            }

            residuals[i] = residual;
        }

        return (residuals, atPlaces, parts);
    }

    private AskedSlope[] Slopes(BalancePoint at)
    {
        var slopes = new AskedSlope[units.Count];
        Cores.For(units.Count, i => (slopes[i], at.Answers[i]) = Slope(units[i].Front, at.Answers[i], at.Emfs[i]), stop);
        return slopes;
    }

    // Null where some change would move it without bound.
    private LinearStep? Step(BalancePoint at, AskedSlope[] slopes)
    {
        var own = new FrontAdmittance?[units.Count];
        var solvable = new bool[units.Count];
        Cores.For(units.Count, i =>
        {
            own[i] = slopes[i].Rows is { } slope ? FrontAdmittance.OrNull(units[i].Front, slope, networks.Orders) : null;
            solvable[i] = own[i] is not null || slopes[i].Rows is null;
        });
        var step = Array.TrueForAll(solvable, s => s) ? new LinearStep(networks, units, own, filters, at.FilterParts) : null;
        return step is { IsSolvable: true } ? step : null;
    }

    // And the answer, with what its orbit's start does.
    private (AskedSlope Slope, FrontAnswer Answer) Slope(BalanceFront front, FrontAnswer answer, SpaceVector emf)
    {
        var (rows, told) = Rows(front, answer, emf);
        return (new AskedSlope(rows, front.Circuit is null ? null : emf, front.Circuit?.Circuit), told);
    }

    private (double[]? Rows, FrontAnswer Answer) Rows(BalanceFront front, FrontAnswer answer, SpaceVector emf)
    {
        switch (answer)
        {
            case { Orbit: { } orbit }:
                var moves = CouplingMatrix.Of(front.Circuit!.Circuit, orbit, [.. answer.Spectra.Select(s => s.LinkMean)], answer.Emf);
                return (FrontSlope.Of(front, moves, emf, networks.Orders), answer with { Orbit = orbit with { Starts = moves.Starts } });
            case { Front: RectifierResult.LineDraw } when front.Thyristor is { } thyristor:
                return thyristor.Coupling(answer.Emf, networks.Orders) is { } coupling
                    ? (FrontSlope.Of(front, coupling, emf, networks.Orders), answer)
                    : (null, answer);
            case { Front: RectifierResult.LineDraw }:
                return (FrontSlope.OfConstantPower(answer.Current, emf, networks.Orders), answer);
            default:
                return (null, answer);
        }
    }
}
