using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>
/// One step of Newton's method on currents and voltages: δE = r + G·δV + Z_s·J·δE at each front end and δV = −Z·Σ J·δE at each place. Unknown are
/// the mean changes of the EMFs of front ends alike, found by a Krylov method; each place by itself, with all that hangs there, is the
/// preconditioner.
/// </summary>
internal sealed class LinearStep
{
    private const double TolerancePu = 1e-4;
    private const int MostSteps = 80;
    private readonly OrderNetworks networks;
    private readonly IReadOnlyList<FilterInjection> filters;
    private readonly IReadOnlyList<double> filterParts;
    private readonly List<Kind> kinds = [];
    private readonly RealLu[] boards;
    private readonly int width;

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
            kinds.Add(new Kind(networks, fronts[group.Key], slopes[group.Key] ?? new double[width * width], [.. group], [.. group.Select(i => scales[i])]));
        }

        Parallel.ForEach(kinds, k => k.Factor());
        boards = new RealLu[networks.Nodes.Count];
        Parallel.For(0, boards.Length, p => boards[p] = Board(p));
    }

    /// <summary>Changes of the EMFs for residuals.</summary>
    public SpaceVector[] Solve(SpaceVector[] residuals)
    {
        var flat = Array.ConvertAll(residuals, Flat);
        var right = new double[kinds.Count * width];
        for (var k = 0; k < kinds.Count; k++)
        {
            foreach (var (i, scale) in kinds[k].Members)
            {
                Add(right.AsSpan(k * width, width), flat[i], scale / kinds[k].Total);
            }
        }

        var moved = Gmres.Solve(x => Preconditioned(Applied(x)), Preconditioned(right), TolerancePu, MostSteps);
        var changes = new SpaceVector[residuals.Length];
        for (var k = 0; k < kinds.Count; k++)
        {
            var mean = right.AsSpan(k * width, width);
            foreach (var (i, _) in kinds[k].Members)
            {
                var change = moved.AsSpan(k * width, width).ToArray();
                if (kinds[k].Members.Length > 1)
                {
                    // What one of a kind differs by from the mean moves it at the same voltage.
                    var apart = (double[])flat[i].Clone();
                    Add(apart, mean, -1);
                    Add(change, kinds[k].AtSameVoltage(apart), 1);
                }

                changes[i] = Vector(change);
            }
        }

        return changes;
    }

    // Each place by itself, all kinds that hang there together.
    private double[] Preconditioned(double[] of)
    {
        var found = new double[of.Length];
        var drawn = new double[boards.Length * width];
        for (var k = 0; k < kinds.Count; k++)
        {
            var alone = kinds[k].AtSameVoltage(of.AsSpan(k * width, width));
            alone.CopyTo(found, k * width);
            if (kinds[k].Place >= 0)
            {
                Add(drawn.AsSpan(kinds[k].Place * width, width), kinds[k].Current(alone), kinds[k].Total);
            }
        }

        for (var p = 0; p < boards.Length; p++)
        {
            var dropped = new double[width];
            for (var m = 0; m < networks.Orders.Count; m++)
            {
                var part = -networks.Impedance(m, p, p) * new Complex(drawn[(p * width) + (2 * m)], drawn[(p * width) + (2 * m) + 1]);
                (dropped[2 * m], dropped[(2 * m) + 1]) = (part.Real, part.Imaginary);
            }

            var volts = boards[p].Solve(dropped);
            for (var k = 0; k < kinds.Count; k++)
            {
                if (kinds[k].Place == p)
                {
                    Add(found.AsSpan(k * width, width), kinds[k].AtSameVoltage(kinds[k].Raised(volts)), 1);
                }
            }
        }

        return found;
    }

    // 1 + Z·Y with the admittance of all that hangs on a place.
    private RealLu Board(int place)
    {
        var matrix = new double[width * width];
        var unit = new double[width];
        foreach (var kind in kinds.Where(k => k.Place == place))
        {
            for (var c = 0; c < width; c++)
            {
                Array.Clear(unit);
                unit[c] = 1;
                var current = kind.Current(kind.AtSameVoltage(kind.Raised(unit)));
                for (var r = 0; r < width; r++)
                {
                    matrix[(r * width) + c] += kind.Total * current[r];
                }
            }
        }

        for (var m = 0; m < networks.Orders.Count; m++)
        {
            var z = networks.Impedance(m, place, place);
            int re = 2 * m * width, im = re + width;
            for (var c = 0; c < width; c++)
            {
                var value = z * new Complex(matrix[re + c], matrix[im + c]);
                (matrix[re + c], matrix[im + c]) = (value.Real, value.Imaginary);
            }
        }

        for (var i = 0; i < width; i++)
        {
            matrix[(i * width) + i] += 1;
        }

        return new RealLu(matrix, width);
    }

    // e − Z_s·J·e + G·Z·ΣJ·e.
    private double[] Applied(double[] emfs)
    {
        var drawn = new double[networks.Nodes.Count * width];
        var found = (double[])emfs.Clone();
        for (var k = 0; k < kinds.Count; k++)
        {
            var current = kinds[k].Current(emfs.AsSpan(k * width, width));
            var held = kinds[k].Held(current);
            Add(found.AsSpan(k * width, width), held, -1);
            if (kinds[k].Place >= 0)
            {
                Add(drawn.AsSpan(kinds[k].Place * width, width), current, kinds[k].Total);
            }
        }

        var voltages = Voltages(drawn);
        for (var k = 0; k < kinds.Count; k++)
        {
            if (kinds[k].Place >= 0)
            {
                Add(found.AsSpan(k * width, width), kinds[k].Raised(voltages.AsSpan(kinds[k].Place * width, width)), 1);
            }
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
                double re = 0, im = 0;
                for (var c = 0; c < places; c++)
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

    private static void Add(Span<double> to, ReadOnlySpan<double> what, double factor)
    {
        for (var i = 0; i < to.Length; i++)
        {
            to[i] += factor * what[i];
        }
    }

    /// <summary>Front ends of one place whose slopes differ in size only; what their circuits hold times the slope is the same for all.</summary>
    private sealed class Kind
    {
        private readonly double[] slope;
        private readonly int width;
        private readonly Complex[] held;
        private readonly Complex[] gains;
        private RealLu? sameVoltage;

        public Kind(OrderNetworks networks, BalanceFront front, double[] slope, int[] members, double[] scales)
        {
            (this.slope, width, Place) = (slope, 2 * networks.Orders.Count, front.Place);
            Members = [.. members.Zip(scales)];
            Total = scales.Sum();
            held = [.. networks.Orders.Select(front.Held.SeenAt)];
            gains = [.. networks.Orders.Select(front.Held.GainAt)];
        }

        public int Place { get; }

        public (int Front, double Scale)[] Members { get; }

        public double Total { get; }

        public void Factor() => sameVoltage = OnePlus(held, -1);

        /// <summary>Change of the EMF at an unmoved voltage of the terminals.</summary>
        public double[] AtSameVoltage(ReadOnlySpan<double> of) => sameVoltage!.Solve(of);

        /// <summary>J times a change of the EMF.</summary>
        public double[] Current(ReadOnlySpan<double> emf)
        {
            var current = new double[width];
            for (var r = 0; r < width; r++)
            {
                double sum = 0;
                var row = slope.AsSpan(r * width, width);
                for (var c = 0; c < width; c++)
                {
                    sum += row[c] * emf[c];
                }

                current[r] = sum;
            }

            return current;
        }

        /// <summary>Z_s times a current.</summary>
        public double[] Held(ReadOnlySpan<double> current) => Times(held, current);

        /// <summary>G times a voltage.</summary>
        public double[] Raised(ReadOnlySpan<double> volts) => Times(gains, volts);

        private double[] Times(Complex[] factors, ReadOnlySpan<double> of)
        {
            var product = new double[width];
            for (var k = 0; k < factors.Length; k++)
            {
                var part = factors[k] * new Complex(of[2 * k], of[(2 * k) + 1]);
                (product[2 * k], product[(2 * k) + 1]) = (part.Real, part.Imaginary);
            }

            return product;
        }

        // 1 + sign·factors·J.
        private RealLu OnePlus(Complex[] factors, double sign)
        {
            var matrix = new double[width * width];
            for (var k = 0; k < factors.Length; k++)
            {
                int re = 2 * k * width, im = re + width;
                for (var c = 0; c < width; c++)
                {
                    var value = sign * factors[k] * new Complex(slope[re + c], slope[im + c]);
                    (matrix[re + c], matrix[im + c]) = (value.Real, value.Imaginary);
                }
            }

            for (var i = 0; i < width; i++)
            {
                matrix[(i * width) + i] += 1;
            }

            return new RealLu(matrix, width);
        }
    }
}
