namespace Cuadrilla.Core.Converters;

/// <summary>
/// How long the link's capacitors, and then the flywheel of the load, carry a dip of the supply: a balance of energy. See
/// <c>docs/methods/ride-through.md</c>.
/// </summary>
public static class RideThrough
{
    private const double Precision = 1e-10;
    private const int MostHalvings = 40;

    /// <summary>How the load's torque goes with its speed.</summary>
    public enum TorqueShape
    {
        /// <summary>The same at every speed.</summary>
        Constant,

        /// <summary>With the square of the speed.</summary>
        Square,
    }

    /// <summary>What turns, and what the link needs of it.</summary>
    /// <param name="InertiaKgM2">Inertia at the motor's shaft, kg·m².</param>
    /// <param name="SpeedRpm">Speed when the dip begins, rpm.</param>
    /// <param name="LeastRpm">Least speed from which the link is still fed, rpm.</param>
    /// <param name="EfficiencyPu">From shaft to link.</param>
    /// <param name="KeepW">What the link needs meanwhile, W.</param>
    /// <param name="LoadTorqueNm">Torque of the load at the first speed, N·m.</param>
    /// <param name="Shape">How it goes with the speed.</param>
    public sealed record Flywheel(double InertiaKgM2, double SpeedRpm, double LeastRpm, double EfficiencyPu, double KeepW,
        double LoadTorqueNm, TorqueShape Shape);

    /// <summary>Energy between two voltages of the link, J.</summary>
    public static double LinkEnergyJ(double capacitanceF, double restV, double minimumV) =>
        0.5 * capacitanceF * ((restV * restV) - (minimumV * minimumV));

    /// <summary>Energy of the flywheel that reaches the link, J.</summary>
    public static double KineticEnergyJ(Flywheel wheel)
    {
        ArgumentNullException.ThrowIfNull(wheel);
        var (first, last) = (RadPerS(wheel.SpeedRpm), RadPerS(wheel.LeastRpm));
        return 0.5 * wheel.InertiaKgM2 * ((first * first) - (last * last)) * wheel.EfficiencyPu;
    }

    /// <summary>How long it lasts, s: t = ∫ J·ω/(T(ω)·ω + P/η) dω.</summary>
    public static double KineticS(Flywheel wheel)
    {
        ArgumentNullException.ThrowIfNull(wheel);
        var (first, last) = (RadPerS(wheel.SpeedRpm), RadPerS(wheel.LeastRpm));
        var keep = wheel.KeepW / wheel.EfficiencyPu;
        double Slowing(double speed)
        {
            var torque = wheel.LoadTorqueNm * (wheel.Shape == TorqueShape.Constant ? 1 : speed * speed / (first * first));
            return wheel.InertiaKgM2 * speed / ((torque * speed) + keep);
        }

        return Integral(Slowing, last, first, (first - last) * Slowing(first) * Precision);
    }

    // Simpson's rule, halved where two halves say other than the whole: near rest a small need makes the integrand steep.
    private static double Integral(Func<double, double> of, double from, double to, double tolerance)
    {
        double Simpson(double a, double b, double fa, double fm, double fb) => (b - a) / 6 * (fa + (4 * fm) + fb);
        double Refined(double a, double b, double fa, double fm, double fb, double whole, double permitted, int left)
        {
            var middle = (a + b) / 2;
            var (fl, fr) = (of((a + middle) / 2), of((middle + b) / 2));
            var (lower, upper) = (Simpson(a, middle, fa, fl, fm), Simpson(middle, b, fm, fr, fb));
            var apart = lower + upper - whole;
            return left == 0 || Math.Abs(apart) <= 15 * permitted
                ? lower + upper + (apart / 15)
                : Refined(a, middle, fa, fl, fm, lower, permitted / 2, left - 1)
                    + Refined(middle, b, fm, fr, fb, upper, permitted / 2, left - 1);
        }

        var (first, mid, last) = (of(from), of((from + to) / 2), of(to));
        return Refined(from, to, first, mid, last, Simpson(from, to, first, mid, last), tolerance, MostHalvings);
    }

    private static double RadPerS(double rpm) => rpm * Math.PI / 30;
}
