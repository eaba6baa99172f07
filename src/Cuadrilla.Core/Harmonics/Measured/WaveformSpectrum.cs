using System.Numerics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Harmonics.Measured;

/// <summary>
/// Spectrum of a recorded waveform: discrete Fourier sums over that whole number of cycles, up to ten, which lies nearest to a whole
/// number of samples. See <c>docs/methods/measured.md</c>.
/// </summary>
/// <param name="Orders">Orders from 1 on, rms phasors; the fundamental's angle is the reference.</param>
/// <param name="Cycles">Cycles used.</param>
/// <param name="HighestOrder">Highest order below half the sampling rate, at most 50.</param>
public sealed record WaveformSpectrum(IReadOnlyList<Complex> Orders, int Cycles, int HighestOrder)
{
    private const int MostCycles = 10;
    private const int MostOrders = 50;

    /// <summary>Computes it.</summary>
    /// <param name="samples">Samples at equal distance.</param>
    /// <param name="samplesPerS">Sampling rate, 1/s.</param>
    /// <param name="frequencyHz">Line frequency, Hz.</param>
    /// <exception cref="UnfitDataException">Less than a cycle, or fewer than eight samples in it.</exception>
    public static WaveformSpectrum Of(IReadOnlyList<double> samples, double samplesPerS, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(samples);
        var perCycle = samplesPerS / frequencyHz;
        var most = Math.Min(MostCycles, (int)Math.Floor((samples.Count / perCycle) + 1e-9));
        if (!(perCycle >= 8) || most < 1)
        {
            throw new UnfitDataException("A whole cycle with at least eight samples is needed; here "
                + FormattableString.Invariant($"{samples.Count} samples, {perCycle:0.##} to a cycle."));
        }

        // More cycles where they fit equally well.
        var cycles = Enumerable.Range(1, most).MinBy(c => (Math.Round(Math.Abs((c * perCycle) - Math.Round(c * perCycle)), 6), -c));
        var count = (int)Math.Round(cycles * perCycle);
        count = Math.Min(count, samples.Count);
        var highest = Math.Min(MostOrders, (int)Math.Ceiling(perCycle / 2) - 1);
        var orders = new Complex[highest];
        for (var h = 1; h <= highest; h++)
        {
            var sum = Complex.Zero;
            for (var n = 0; n < count; n++)
            {
                sum += samples[n] * Complex.FromPolarCoordinates(1, -2 * Math.PI * h * n / perCycle);
            }

            orders[h - 1] = Math.Sqrt(2) / count * sum;
        }

        // All angles against the fundamental's.
        var turn = orders[0].Phase;
        return new WaveformSpectrum([.. orders.Select((o, i) => o * Complex.FromPolarCoordinates(1, -(i + 1) * turn))], cycles, highest);
    }
}
