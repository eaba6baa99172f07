using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Numerics;

/// <summary>Steps and quadrature against closed forms and their own orders.</summary>
public sealed class IntegrationTests
{
    [Fact]
    public void Half_the_step_leaves_a_sixteenth_of_the_error()
    {
        var coarse = Math.Abs(Decay(0.1) - Math.Exp(-1));
        var fine = Math.Abs(Decay(0.05) - Math.Exp(-1));
        Assert.InRange(coarse / fine, 15, 17.5);
    }

    [Fact]
    public void An_oscillator_turns_by_its_angle()
    {
        double[] state = [1, 0];
        var runge = new Rk4(2);
        for (var i = 0; i < 1000; i++)
        {
            runge.Step((_, y, d) => (d[0], d[1]) = (y[1], -y[0]), i * 0.01, 0.01, state);
        }

        Assert.Equal(Math.Cos(10), state[0], 8);
        Assert.Equal(-Math.Sin(10), state[1], 8);
    }

    [Fact]
    public void A_law_that_changes_at_the_ends_of_a_step_is_the_one_inside_it()
    {
        double[] state = [0];
        new Rk4(1).Step((t, _, d) => d[0] = t is > 1 and < 2 ? 3 : 1000, 1, 1, state);
        Assert.Equal(3, state[0], 12);
    }

    [Fact]
    public void A_step_ends_at_the_next_event_and_at_none_that_is_over()
    {
        Assert.Equal(0.25, EventSteps.Before(1, 0.5, 2, 1.25, 1.4), 12);
        Assert.Equal(0.5, EventSteps.Before(1, 0.5, 1, 0.9, double.NaN, 1.5));
    }

    [Fact]
    public void A_step_ends_where_a_quantity_reaches_its_value()
    {
        var part = EventSteps.Reaching(1, 1, Math.E, 2, t => (Math.Exp(t), Math.Exp(t)));
        Assert.Equal(Math.Log(2), part, 9);
    }

    [Fact]
    public void Quadrature_is_exact_up_to_its_power_and_not_beyond()
    {
        static double Power((double[] Nodes, double[] Weights) rule, int p) => rule.Nodes.Select((x, i) => rule.Weights[i] * Math.Pow(x, p))
            .Sum();
        Assert.Equal(Quadrature.Gauss2, Quadrature.Gauss(2).Nodes.Select(x => Math.Round(x, 15)), (a, b) => Math.Abs(a - b) < 2e-15);
        for (var points = 2; points <= 8; points++)
        {
            var rule = Quadrature.Gauss(points);
            for (var p = 0; p < 2 * points; p++)
            {
                Assert.Equal(1.0 / (p + 1), Power(rule, p), 14);
            }

            Assert.NotEqual(1.0 / ((2 * points) + 1), Power(rule, 2 * points), 11 - (points < 8 ? 1 : 0));
        }

        Assert.Equal(64, Quadrature.Simpson(x => x * x * x, 0, 4, 2), 12);
        Assert.Equal(2, Quadrature.Simpson(Math.Sin, 0, Math.PI, 64), 6);
    }

    private static double Decay(double step)
    {
        double[] state = [1];
        var runge = new Rk4(1);
        for (var i = 0; i < (int)Math.Round(1 / step); i++)
        {
            runge.Step((_, y, d) => d[0] = -y[0], i * step, step, state);
        }

        return state[0];
    }
}
