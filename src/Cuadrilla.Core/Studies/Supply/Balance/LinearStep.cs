using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// One step of Newton's method on currents and voltages. Front ends answer changes of the voltage at their place with δi = A·(r + G·δv),
/// the network answers δv = −Z·Σδi; what is left to solve are the voltages of the places, by a Krylov method with each place by itself as
/// preconditioner.
/// </summary>
internal sealed class LinearStep
{
    private const double TolerancePu = 1e-5;
    private const int MostSteps = 300;
    private readonly OrderNetworks networks;
    private readonly IReadOnlyList<BalanceUnit> units;
    private readonly IReadOnlyList<FilterInjection> filters;
    private readonly IReadOnlyList<double> filterParts;
    private readonly FrontAdmittance?[] sloped;
    private readonly (int Place, FrontAdmittance Front, double[] Raised, IReadOnlyList<(int Place, double Part)> Draws)[] answering;
    private readonly DenseLu<double>?[] boards;
    private readonly int width;

    /// <param name="networks">The network.</param>
    /// <param name="units">Front ends.</param>
    /// <param name="sloped">Each made linear; null where nothing moves.</param>
    /// <param name="filters">Central filters.</param>
    /// <param name="filterParts">Their present parts.</param>
    public LinearStep(
        OrderNetworks networks, IReadOnlyList<BalanceUnit> units, FrontAdmittance?[] sloped, IReadOnlyList<FilterInjection> filters,
        IReadOnlyList<double> filterParts)
    {
        (this.networks, this.units, this.sloped) = (networks, units, sloped);
        (this.filters, this.filterParts) = (filters, filterParts);
        width = 2 * networks.Orders.Count;
        answering =
        [
            .. Enumerable.Range(0, units.Count).Where(i => units[i].Front.Place >= 0 && sloped[i] is not null)
                .Select(i => (units[i].Front.Place, sloped[i]!, sloped[i]!.Raised(), units[i].Draws)),
        ];
        boards = new DenseLu<double>?[networks.Nodes.Count];
        var solvable = new bool[boards.Length];
        Cores.For(boards.Length, p => solvable[p] = Board(p, out boards[p]));
        IsSolvable = Array.TrueForAll(solvable, s => s);
    }

    /// <summary>False where at some place a change would move the voltage without bound.</summary>
    public bool IsSolvable { get; }

    /// <summary>Changes of EMFs and currents for residuals.</summary>
    public LinearChange Solve(SpaceVector[] residuals)
    {
        var flat = Array.ConvertAll(residuals, Flat);
        var drawn = new double[boards.Length * width];
        var current = new double[width];
        for (var i = 0; i < flat.Length; i++)
        {
            if (sloped[i] is { } front)
            {
                front.Current(flat[i], current);
                Draw(drawn, current, units[i].Draws);
            }
        }

        var right = Array.ConvertAll(Voltages(drawn), v => -v);
        var volts = Gmres.Solve(x => Preconditioned(Applied(x)), Preconditioned(right), TolerancePu, MostSteps);
        var (emfs, currents) = (new SpaceVector[residuals.Length], new SpaceVector[residuals.Length]);
        Cores.For(emfs.Length, i =>
        {
            if (units[i].Front.Place >= 0)
            {
                Raise(i, At(volts, units[i].Front.Place), flat[i]);
            }

            var moved = new double[width];
            sloped[i]?.Current(flat[i], moved);
            (emfs[i], currents[i]) = (Vector(sloped[i]?.Emf(flat[i], moved) ?? flat[i]), Vector(moved));
        });
        return new LinearChange(emfs, currents);
    }

    private void Raise(int unit, ReadOnlySpan<double> volts, double[] emf)
    {
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            var raised = units[unit].Front.Held.GainAt(networks.Orders[k]) * new Complex(volts[2 * k], volts[(2 * k) + 1]);
            emf[2 * k] += raised.Real;
            emf[(2 * k) + 1] += raised.Imaginary;
        }
    }

    private Span<double> At(double[] all, int place) => all.AsSpan(place * width, width);

    private void Draw(double[] drawn, ReadOnlySpan<double> current, IReadOnlyList<(int Place, double Part)> draws)
    {
        foreach (var (place, part) in draws)
        {
            DenseRows.Add(At(drawn, place), current, part);
        }
    }

    // 1 + Z·Y of all that sees a place, by itself; null where nothing does. False where it can't be solved with.
    private bool Board(int place, out DenseLu<double>? factors)
    {
        var matrix = new double[width * width];
        var product = new double[width * width];
        var isSeen = false;
        foreach (var (_, _, raised, draws) in answering.Where(a => a.Place == place))
        {
            isSeen = true;
            for (var k = 0; k < networks.Orders.Count; k++)
            {
                var z = draws.Aggregate(Complex.Zero, (s, d) => s + (d.Part * networks.Impedance(k, place, d.Place)));
                int re = 2 * k * width, im = re + width;
                for (var c = 0; c < width; c++)
                {
                    var value = z * new Complex(raised[re + c], raised[im + c]);
                    (product[re + c], product[im + c]) = (value.Real, value.Imaginary);
                }
            }

            DenseRows.Add(matrix, product, 1);
        }

        for (var i = 0; i < width; i++)
        {
            matrix[(i * width) + i] += 1;
        }

        factors = isSeen ? DenseLu<double>.OrNull(matrix, width) : null;
        return factors is not null || !isSeen;
    }

    private double[] Preconditioned(double[] of)
    {
        var found = (double[])of.Clone();
        for (var p = 0; p < boards.Length; p++)
        {
            boards[p]?.Solve(At(of, p)).CopyTo(At(found, p));
        }

        return found;
    }

    // v + Z·Y·v.
    private double[] Applied(double[] volts)
    {
        var drawn = new double[volts.Length];
        var current = new double[width];
        foreach (var (place, _, raised, draws) in answering)
        {
            DenseRows.Multiply(raised, At(volts, place), current);
            Draw(drawn, current, draws);
        }

        var found = Voltages(drawn);
        DenseRows.Add(found, volts, 1);
        return found;
    }

    // Z times what is drawn, filters included.
    private double[] Voltages(double[] drawn)
    {
        if (filters.Count > 0)
        {
            var vectors = Enumerable.Range(0, boards.Length).Select(p => Vector(At(drawn, p))).ToArray();
            for (var f = 0; f < filters.Count; f++)
            {
                filters[f].Add(vectors, filterParts[f]);
            }

            drawn = [.. vectors.SelectMany(Flat)];
        }

        var voltages = new double[drawn.Length];
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            for (var r = 0; r < boards.Length; r++)
            {
                double re = 0, im = 0;
                for (var c = 0; c < boards.Length; c++)
                {
                    var z = networks.Impedance(k, r, c);
                    var (a, b) = (drawn[(c * width) + (2 * k)], drawn[(c * width) + (2 * k) + 1]);
                    re += (z.Real * a) - (z.Imaginary * b);
                    im += (z.Real * b) + (z.Imaginary * a);
                }

                voltages[(r * width) + (2 * k)] = re;
                voltages[(r * width) + (2 * k) + 1] = im;
            }
        }

        return voltages;
    }

    private double[] Flat(SpaceVector vector)
    {
        var flat = new double[width];
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            var part = vector[networks.Orders[k]];
            (flat[2 * k], flat[(2 * k) + 1]) = (part.Real, part.Imaginary);
        }

        return flat;
    }

    private SpaceVector Vector(ReadOnlySpan<double> flat)
    {
        var vector = new SpaceVector();
        for (var k = 0; k < networks.Orders.Count; k++)
        {
            vector[networks.Orders[k]] = new Complex(flat[2 * k], flat[(2 * k) + 1]);
        }

        return vector;
    }
}
