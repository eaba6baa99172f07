using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Harmonics.Thyristors;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>The thyristor bridge at a distorted and unbalanced EMF, against the closed form of a sine and against a simulation in
/// time.</summary>
public sealed class ThyristorCircuitTests
{
    private static readonly double NoLoadPu = 3 * Math.Sqrt(3) / Math.PI;

    [Theory]
    [InlineData(0.05, 0.8)]
    [InlineData(0.12, 0.5)]
    [InlineData(0.08, -0.75)]
    [InlineData(0.2, 0.05)]
    [InlineData(1e-5, 0.9)]
    public void At_a_sine_it_is_the_closed_form(double x, double dc)
    {
        var found = new ThyristorCircuit(x, dc * NoLoadPu).At(Sine())!;

        // One volt of phase crest, one ampere at the output.
        var known = ThyristorBridge.Run(new ThyristorInput(Math.Sqrt(1.5), x, dc * NoLoadPu, 1))!;
        Assert.Equal(known.FiringAngleRad, found.FiringAngleRad, 1e-10);
        Assert.All(found.OverlapsRad, o => Assert.Equal(known.OverlapRad, o, 1e-9));
        Assert.All(found.Squares, s => Assert.Equal(known.RmsA, Math.Sqrt(s), 1e-7));
        for (var h = 1; h <= 49; h += 2)
        {
            for (var phase = 0; phase < 3; phase++)
            {
                var expected = known.Orders[h - 1] * Complex.FromPolarCoordinates(Math.Sqrt(2), -h * phase * 2 * Math.PI / 3);
                Assert.Equal(0, (found.Line.Phasor(h, phase) - expected).Magnitude, 1e-8);
            }
        }
    }

    [Theory]
    [InlineData(0.1, 0.7, false)]
    [InlineData(0.06, -0.7, false)]
    [InlineData(0.1, 0.7, true)]
    [Trait("speed", "slow")]
    public void At_any_EMF_it_is_what_a_simulation_in_time_shows(double x, double dc, bool isUneven)
    {
        var emf = Distorted(isUneven);
        var found = new ThyristorCircuit(x, dc * NoLoadPu).At(emf)!;
        var (volts, orders, squares) = Simulated(x, found.FiringAngleRad, emf);
        Assert.Equal(dc * NoLoadPu, volts, 2e-5);
        for (var phase = 0; phase < 3; phase++)
        {
            Assert.Equal(squares[phase], found.Squares[phase], 2e-5);
            for (var h = 1; h <= 25; h += 2)
            {
                Assert.Equal(0, (found.Line.Phasor(h, phase) - orders[phase][h]).Magnitude, 5e-5);
            }
        }

        // The distortion matters: without it the current is another.
        var plain = new ThyristorCircuit(x, dc * NoLoadPu).At(Sine())!;
        Assert.True((found.Line[-5] - plain.Line[-5]).Magnitude > 1e-3);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void How_it_moves_with_its_EMF_is_what_moved_EMFs_show(bool isUneven)
    {
        const double x = 0.1, dc = 0.6;
        var circuit = new ThyristorCircuit(x, dc * NoLoadPu);
        var emf = Distorted(isUneven);
        var orders = isUneven ? SpaceVector.All : SpaceVector.Sixfold;
        var coupling = ThyristorCoupling.Of(circuit, circuit.At(emf)!, emf, orders);
        foreach (var (c, m) in orders.Select((m, c) => (c, m)).Where(o => o.m is 1 or -5 or 7 or -1 or 3 or 43))
        {
            foreach (var by in new Complex[] { 1, Complex.ImaginaryOne })
            {
                const double little = 1e-5;
                var (up, down) = (emf.Copy(), emf.Copy());
                (up[m], down[m]) = (up[m] + (little * by), down[m] - (little * by));
                var moved = circuit.At(up)!.Line.Plus(circuit.At(down)!.Line, -1);
                foreach (var (r, n) in orders.Select((n, r) => (r, n)))
                {
                    var expected = ((coupling.Direct[r, c] * by) + (coupling.Conjugate[r, c] * Complex.Conjugate(by))) / 2;
                    Assert.Equal(0, ((moved[n] / (2 * little)) - expected).Magnitude, 1e-4);
                }
            }
        }
    }

    [Theory]
    [InlineData(0.1, 1.0)]
    [InlineData(0.1, -0.99)]
    [InlineData(1.5, 0.5)]
    public void What_can_not_commutate_has_no_state(double x, double dc) => Assert.Null(new ThyristorCircuit(x, dc * NoLoadPu).At(Sine()));

    private static SpaceVector Sine()
    {
        var emf = new SpaceVector();
        emf[1] = -Complex.ImaginaryOne;
        return emf;
    }

    private static SpaceVector Distorted(bool isUneven)
    {
        var emf = new SpaceVector();
        emf[1] = -1.02 * Complex.ImaginaryOne;
        emf[-5] = new Complex(0.02, 0.03);
        emf[7] = new Complex(-0.02, 0.01);
        emf[-11] = new Complex(0.01, 0.01);
        emf[13] = new Complex(0.004, -0.01);
        if (isUneven)
        {
            emf[-1] = new Complex(0.01, -0.02);
            emf[3] = new Complex(0.005, 0.01);
        }

        return emf;
    }

    // Steps of a thousandth of a degree: the pair that commutates shares the current as its voltage drives it.
    private static (double Volts, Dictionary<int, Complex>[] Orders, double[] Squares) Simulated(double x, double alpha, SpaceVector emf)
    {
        const int steps = 360_000;
        const double step = 2 * Math.PI / steps;
        double[] Emfs(double angle) => [.. Enumerable.Range(0, 3)
            .Select(k => emf.Parts().Sum(p => (p.Part * Complex.FromPolarCoordinates(1, (p.M * angle) - (k * 2 * Math.PI / 3))).Real))];
        var first = alpha + (Math.PI / 6);
        var (top, bottom, newTop, newBottom, taken) = (2, 1, -1, -1, 0.0);
        var (volts, squares, fired) = (0.0, new double[3], 0);
        var orders = Enumerable.Range(0, 3).Select(_ => Enumerable.Range(0, 13).ToDictionary(i => (2 * i) + 1, _ => Complex.Zero))
            .ToArray();
        for (var i = 0; i < 2 * steps; i++)
        {
            var angle = first + ((i + 0.5) * step);
            if (i * step >= fired * Math.PI / 3)
            {
                // The phase that gives up is followed by the next, top and bottom in turn.
                (newTop, newBottom) = fired % 2 == 0 ? ((top + 1) % 3, -1) : (-1, (bottom + 1) % 3);
                (taken, fired) = (0, fired + 1);
            }

            var e = Emfs(angle);
            var currents = new double[3];
            double high = e[top], low = e[bottom];
            if (newTop >= 0)
            {
                var before = taken;
                taken = Math.Min(1, taken + (step * (e[newTop] - e[top]) / (2 * x)));
                high = (e[newTop] + e[top]) / 2;
                var mean = (before + taken) / 2;
                (currents[newTop], currents[top], currents[bottom]) = (mean, 1 - mean, 0);
                currents[bottom] -= 1;
                (top, newTop) = taken >= 1 ? (newTop, -1) : (top, newTop);
            }
            else if (newBottom >= 0)
            {
                var before = taken;
                taken = Math.Min(1, taken + (step * (e[bottom] - e[newBottom]) / (2 * x)));
                low = (e[newBottom] + e[bottom]) / 2;
                var mean = (before + taken) / 2;
                currents[top] += 1;
                currents[newBottom] -= mean;
                currents[bottom] -= 1 - mean;
                (bottom, newBottom) = taken >= 1 ? (newBottom, -1) : (bottom, newBottom);
            }
            else
            {
                (currents[top], currents[bottom]) = (1, -1);
            }

            if (i < steps)
            {
                continue;
            }

            volts += (high - low) / steps;
            for (var k = 0; k < 3; k++)
            {
                squares[k] += currents[k] * currents[k] / steps;
                foreach (var h in orders[k].Keys)
                {
                    // Sines: Re(C·e^{j(hθ − 90°)}).
                    orders[k][h] += Complex.ImaginaryOne * currents[k] * Complex.FromPolarCoordinates(2.0 / steps, -h * angle);
                }
            }
        }

        return (volts, orders, squares);
    }
}
