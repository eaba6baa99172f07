namespace Cuadrilla.Core.Numerics;

/// <summary>Steps in time that end at events: at known instants, and where a quantity reaches a value.</summary>
internal static class EventSteps
{
    private const double Same = 1e-12;
    private const int Corrections = 3;

    /// <summary>The longest step that no event falls inside; it ends at the next one.</summary>
    /// <param name="time">Where it begins.</param>
    /// <param name="longest">Its length where nothing happens.</param>
    /// <param name="events">Instants, in any order; those that are not numbers never come.</param>
    public static double Before(double time, double longest, params ReadOnlySpan<double> events)
    {
        var step = longest;
        foreach (var at in events)
        {
            if (at > time + Same && at < time + step)
            {
                step = at - time;
            }
        }

        return step;
    }

    /// <summary>Length of the step that ends where a quantity reaches a value, by Newton's method on the step itself.</summary>
    /// <param name="step">A step after which it is beyond.</param>
    /// <param name="from">The quantity before.</param>
    /// <param name="beyond">The quantity after the whole step.</param>
    /// <param name="target">The value.</param>
    /// <param name="after">Quantity and its slope after a step of some length.</param>
    public static double Reaching(double step, double from, double beyond, double target, Func<double, (double Value, double Slope)> after)
    {
        var part = step * (target - from) / (beyond - from);
        for (var i = 0; i < Corrections; i++)
        {
            var (value, slope) = after(part);
            part = Math.Clamp(part + ((target - value) / Math.Max(slope, Same)), 0, step);
        }

        return part;
    }
}
