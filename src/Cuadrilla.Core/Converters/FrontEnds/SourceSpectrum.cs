namespace Cuadrilla.Core.Converters.FrontEnds;

/// <summary>
/// Line currents of a front end that is not solved as a circuit: catalogue data over load, as measured. Linear between the
/// points, held outside. Angles are not known: every order is taken in phase with its sine at the rising zero of the voltage,
/// so that equal units add up in full.
/// </summary>
/// <param name="Points">Rising in load, at least one.</param>
public sealed record SourceSpectrum(IReadOnlyList<SpectrumPoint> Points)
{
    /// <summary>Current of an order, % of the rated fundamental, at a load.</summary>
    public double Pct(int order, double loadPu) => At(loadPu, p => p.Orders.FirstOrDefault(o => o.Order == order).Pct);

    /// <summary>Reactive power at a load, parts of the rated apparent power; negative when it supplies some.</summary>
    public double ReactivePu(double loadPu) => At(loadPu, p => p.ReactivePu);

    private double At(double loadPu, Func<SpectrumPoint, double> value)
    {
        for (var i = 1; i < Points.Count; i++)
        {
            if (loadPu <= Points[i].LoadPu)
            {
                var part = Math.Max(0, (loadPu - Points[i - 1].LoadPu) / (Points[i].LoadPu - Points[i - 1].LoadPu));
                return value(Points[i - 1]) + (part * (value(Points[i]) - value(Points[i - 1])));
            }
        }

        return value(Points[^1]);
    }
}

/// <summary>Line currents at a load.</summary>
/// <param name="LoadPu">Active power, parts of the rated.</param>
/// <param name="ReactivePu">Reactive power of the fundamental, parts of the rated; negative when supplied.</param>
/// <param name="Orders">Harmonic currents.</param>
public sealed record SpectrumPoint(double LoadPu, double ReactivePu, IReadOnlyList<OrderShare> Orders);

/// <summary>A harmonic current.</summary>
/// <param name="Order">Order, 2 to 50.</param>
/// <param name="Pct">% of the rated fundamental.</param>
public readonly record struct OrderShare(int Order, double Pct);
