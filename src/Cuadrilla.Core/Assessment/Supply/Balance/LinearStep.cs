using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>
/// One step of Newton's method on currents and voltages: δE = r + δV + Z_s·J·δE at each front end and δV = −Z·Σ J·δE at each place. Front ends are
/// eliminated first, those alike together; what is left are the voltages of the places, found by a Krylov method with the places' own blocks
/// as preconditioner.
/// </summary>
internal sealed class LinearStep
{
    private const double TolerancePu = 1e-4;
    private const int MostSteps = 60;
    private readonly OrderNetworks networks;
    private readonly IReadOnlyList<FilterInjection> filters;
    private readonly IReadOnlyList<double> filterParts;
    private readonly List<Kind> kinds = [];
    private readonly int width;
    private readonly RealLu[] blocks;

    /// <param name="networks">The network.</param>
    /// <param name="fronts">Front ends.</param>
    /// <param name="likes">For each the front end whose slope stands for it, scaled.</param>
    /// <param name="slopes">Slope of those that stand for others, by index, in the network's units; null where nothing moves.</param>
    /// <param name="scales">Size of each front end's slope in parts of that of the one that stands for it.</param>
    /// <param name="filters">Central filters.</param>
    /// <param name="filterParts">Their present parts.</param>
    public LinearStep(
        OrderNetworks networks, IReadOnlyList<BalanceFront> fronts, int[] likes, IReadOnlyDictionary<int, double[]?> slopes, double[] scales,
        IReadOnlyList<FilterInjection> filters, IReadOnlyList<double> filterParts)
    {
        (this.networks, this.filters, this.filterParts) = (networks, filters, filterParts);
        width = 2 * networks.Orders.Count;
        foreach (var group in Enumerable.Range(0, fronts.Count).GroupBy(i => likes[i]))
        {
            if (slopes[group.Key] is { } slope)
            {
                kinds.Add(new Kind(fronts[group.Key], slope, [.. group], [.. group.Select(i => scales[i])], networks.Orders));
            }
        }

        blocks = new RealLu[networks.Nodes.Count];
        for (var p = 0; p < blocks.Length; p++)
        {
            blocks[p] = Block(p);
        }
    }

    /// <summary>Changes of the EMFs for residuals.</summary>
    public SpaceVector[] Solve(IReadOnlyList<BalanceFront> fronts, SpaceVector[] residuals)
    {
        var flat = Array.ConvertAll(residuals, Flat);
        var drawn = new double[networks.Nodes.Count * width];
        foreach (var kind in kinds.Where(k => k.Front.Place >= 0))
        {
            var sum = new double[width];
            foreach (var (i, scale) in kind.Members)
            {
                Add(sum, flat[i], scale);
            }

            Add(drawn.AsSpan(kind.Front.Place * width, width), kind.Current(sum));
        }

        var right = Voltages(drawn);
        for (var i = 0; i < right.Length; i++)
        {
            right[i] = -right[i];
        }

        var moved = Gmres.Solve(Preconditioned, Precondition(right), TolerancePu, MostSteps);
        var changes = new SpaceVector[fronts.Count];
        foreach (var kind in kinds)
        {
            foreach (var (i, _) in kind.Members)
            {
                var asked = (double[])flat[i].Clone();
                if (kind.Front.Place >= 0)
                {
                    Add(asked, kind.Raised(moved.AsSpan(kind.Front.Place * width, width)), 1);
                }

                changes[i] = Vector(kind.Emf(asked));
            }
        }

        for (var i = 0; i < changes.Length; i++)
        {
            if (changes[i].IsEmpty)
            {
                var asked = (double[])flat[i].Clone();
                if (fronts[i].Place >= 0)
                {
                    Add(asked, moved.AsSpan(fronts[i].Place * width, width), 1);
                }

                changes[i] = Vector(asked);
            }
        }

        return changes;
    }

    private double[] Preconditioned(double[] voltages)
    {
        var drawn = new double[voltages.Length];
        foreach (var kind in kinds.Where(k => k.Front.Place >= 0))
        {
            var current = kind.Current(kind.Raised(voltages.AsSpan(kind.Front.Place * width, width)));
            Add(drawn.AsSpan(kind.Front.Place * width, width), current, kind.Total);
        }

        var back = Voltages(drawn);
        for (var i = 0; i < back.Length; i++)
        {
            back[i] += voltages[i];
        }

        return Precondition(back);
    }

    private double[] Precondition(double[] right)
    {
        var found = new double[right.Length];
        for (var p = 0; p < blocks.Length; p++)
        {
            blocks[p].Solve(right.AsSpan(p * width, width)).CopyTo(found, p * width);
        }

        return found;
    }

    // Z times what is drawn, filters included.
    private double[] Voltages(double[] drawn)
    {
        if (filters.Count > 0)
        {
            var vectors = Enumerable.Range(0, networks.Nodes.Count).Select(p => Vector(drawn.AsSpan(p * width, width))).ToArray();
            for (var f = 0; f < filters.Count; f++)
            {
                filters[f].Add(vectors, filterParts[f]);
            }

            drawn = [.. vectors.SelectMany(Flat)];
        }

        var (count, places) = (networks.Orders.Count, networks.Nodes.Count);
        var voltages = new double[drawn.Length];
        for (var k = 0; k < count; k++)
        {
            for (var r = 0; r < places; r++)
            {
                var sum = Complex.Zero;
                for (var c = 0; c < places; c++)
                {
                    sum += networks.Impedance(k, r, c) * new Complex(drawn[(c * width) + (2 * k)], drawn[(c * width) + (2 * k) + 1]);
                }

                voltages[(r * width) + (2 * k)] = sum.Real;
                voltages[(r * width) + (2 * k) + 1] = sum.Imaginary;
            }
        }

        return voltages;
    }

    // 1 + Z_pp·Y_p with Y_p of all front ends of the place.
    private RealLu Block(int place)
    {
        var block = new double[width * width];
        foreach (var kind in kinds.Where(k => k.Front.Place == place))
        {
            var admittance = kind.Admittance();
            for (var i = 0; i < block.Length; i++)
            {
                block[i] += kind.Total * admittance[i];
            }
        }

        for (var k = 0; k < networks.Orders.Count; k++)
        {
            var z = networks.Impedance(k, place, place);
            for (var c = 0; c < width; c++)
            {
                var value = z * new Complex(block[(2 * k * width) + c], block[(((2 * k) + 1) * width) + c]);
                block[(2 * k * width) + c] = value.Real;
                block[(((2 * k) + 1) * width) + c] = value.Imaginary;
            }
        }

        for (var i = 0; i < width; i++)
        {
            block[(i * width) + i] += 1;
        }

        return new RealLu(block, width);
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

    private static void Add(Span<double> to, ReadOnlySpan<double> what, double factor = 1)
    {
        for (var i = 0; i < to.Length; i++)
        {
            to[i] += factor * what[i];
        }
    }

    /// <summary>Front ends of one place whose slopes differ in size only.</summary>
    private sealed class Kind
    {
        private readonly double[] slope;
        private readonly RealLu eliminated;
        private readonly Complex[] gains;
        private readonly int width;

        public Kind(BalanceFront front, double[] slope, int[] members, double[] scales, IReadOnlyList<int> orders)
        {
            (Front, this.slope, width) = (front, slope, 2 * orders.Count);
            Members = [.. members.Zip(scales)];
            Total = scales.Sum();
            gains = [.. orders.Select(front.GainAt)];

            // 1 − Z_s·J: the same for all, since their circuits see the more impedance the smaller they are.
            var matrix = new double[width * width];
            for (var k = 0; k < orders.Count; k++)
            {
                var z = front.SeenAt(orders[k]);
                for (var c = 0; c < width; c++)
                {
                    var value = z * new Complex(slope[(2 * k * width) + c], slope[(((2 * k) + 1) * width) + c]);
                    matrix[(2 * k * width) + c] = -value.Real;
                    matrix[(((2 * k) + 1) * width) + c] = -value.Imaginary;
                }
            }

            for (var i = 0; i < width; i++)
            {
                matrix[(i * width) + i] += 1;
            }

            eliminated = new RealLu(matrix, width);
        }

        public BalanceFront Front { get; }

        public (int Front, double Scale)[] Members { get; }

        public double Total { get; }

        // Change of the EMF that a change of the voltage at the terminals asks for.
        public double[] Raised(ReadOnlySpan<double> volts)
        {
            var raised = new double[width];
            for (var k = 0; k < width / 2; k++)
            {
                var part = gains[k] * new Complex(volts[2 * k], volts[(2 * k) + 1]);
                (raised[2 * k], raised[(2 * k) + 1]) = (part.Real, part.Imaginary);
            }

            return raised;
        }

        public double[] Emf(ReadOnlySpan<double> asked) => eliminated.Solve(asked);

        public double[] Current(ReadOnlySpan<double> asked)
        {
            var emf = eliminated.Solve(asked);
            var current = new double[width];
            for (var r = 0; r < width; r++)
            {
                double sum = 0;
                for (var c = 0; c < width; c++)
                {
                    sum += slope[(r * width) + c] * emf[c];
                }

                current[r] = sum;
            }

            return current;
        }

        public double[] Admittance()
        {
            var admittance = new double[width * width];
            var unit = new double[width];
            for (var c = 0; c < width; c++)
            {
                Array.Clear(unit);
                unit[c] = 1;
                var current = Current(Raised(unit));
                for (var r = 0; r < width; r++)
                {
                    admittance[(r * width) + c] = current[r];
                }
            }

            return admittance;
        }
    }
}
