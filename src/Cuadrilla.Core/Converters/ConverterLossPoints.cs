namespace Cuadrilla.Core.Converters;

/// <summary>
/// Losses of a complete drive module at the eight points of IEC 61800-9-2: (output frequency / torque current in per cent).
/// Here the output current stands for the torque current, which overstates the loss a little at light load. All in W.
/// </summary>
public sealed record ConverterLossPoints(
    double F0I25W, double F0I50W, double F0I100W, double F50I25W, double F50I50W, double F50I100W, double F90I50W, double F90I100W)
{
    private static readonly double[] Frequencies = [0, 0.5, 0.9];
    private static readonly double[] Currents = [0.25, 0.5, 1];

    /// <summary>
    /// Loss at a point, W: linear between the points in current and in frequency; the missing point (90, 25) continues the
    /// slope that the current has at 50 % frequency; frequency is held at 100 % above that; below 25 % current the line is
    /// continued, but never under the stand-by loss.
    /// </summary>
    /// <param name="frequencyPu">Output frequency in parts of the rated.</param>
    /// <param name="currentPu">Output current in parts of the rated.</param>
    /// <param name="standbyW">Least loss, W.</param>
    public double At(double frequencyPu, double currentPu, double standbyW)
    {
        Span<double> rows =
        [
            Line(Currents, F0I25W, F0I50W, F0I100W, currentPu),
            Line(Currents, F50I25W, F50I50W, F50I100W, currentPu),
            Line(Currents, F90I50W + F50I25W - F50I50W, F90I50W, F90I100W, currentPu),
        ];
        return Math.Max(standbyW, Line(Frequencies, rows[0], rows[1], rows[2], Math.Clamp(frequencyPu, 0, 1)));
    }

    /// <summary>Losses of a device of another size, or of several.</summary>
    public ConverterLossPoints Times(double factor) => new(
        factor * F0I25W, factor * F0I50W, factor * F0I100W, factor * F50I25W, factor * F50I50W, factor * F50I100W, factor * F90I50W,
        factor * F90I100W);

    private static double Line(double[] x, double y0, double y1, double y2, double at) => at <= x[1]
        ? y0 + ((y1 - y0) * (at - x[0]) / (x[1] - x[0]))
        : y1 + ((y2 - y1) * (at - x[1]) / (x[2] - x[1]));
}
