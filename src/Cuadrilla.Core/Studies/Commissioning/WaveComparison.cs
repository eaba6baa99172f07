using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Measured;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Studies.Commissioning;

/// <summary>An instant of a recorded cycle.</summary>
/// <param name="AngleDeg">Angle from the rising zero of the fundamental, 0 to 360.</param>
/// <param name="MeasuredA">Recorded, A.</param>
/// <param name="ComputedA">The study's, at the fundamental that was measured, A; null without a study.</param>
public sealed record WaveInstant(double AngleDeg, double MeasuredA, double? ComputedA);

/// <summary>
/// A recorded cycle of the line current beside the study's: both turned so that their fundamentals rise through zero together, the
/// study's brought to the fundamental that was measured, because the load of the moment is not the study's. See
/// <c>docs/methods/measured.md</c>.
/// </summary>
/// <param name="RmsA">True rms of what was recorded, A.</param>
/// <param name="PeakA">Its crest, A.</param>
/// <param name="FundamentalA">Its fundamental, A.</param>
/// <param name="ThdiPct">Its distortion over the orders that the sampling reaches, up to 50, %.</param>
/// <param name="Instants">The cycle, by rising angle.</param>
/// <param name="Spectrum">Order by order beside the study's; null without a study.</param>
public sealed record WaveComparison(double RmsA, double PeakA, double FundamentalA, double ThdiPct, IReadOnlyList<WaveInstant> Instants,
    SpectrumComparison? Spectrum)
{
    /// <summary>Compares.</summary>
    /// <param name="samplesA">One cycle at equal distance, A.</param>
    /// <param name="studyA">Rms phasors of the study from order 1 on, sine reference, A; null without.</param>
    /// <exception cref="UnfitDataException">Fewer than eight samples, or no fundamental.</exception>
    public static WaveComparison Of(IReadOnlyList<double> samplesA, IReadOnlyList<Complex>? studyA)
    {
        ArgumentNullException.ThrowIfNull(samplesA);
        var count = samplesA.Count;
        var spectrum = WaveformSpectrum.Of(samplesA, count, 1);
        var fundamental = spectrum.Orders[0].Magnitude;
        if (!(fundamental > 0))
        {
            throw new UnfitDataException("The recorded cycle has no fundamental.");
        }

        // Angle of the fundamental at the first sample, counted from its rising zero.
        var first = Complex.Zero;
        for (var n = 0; n < count; n++)
        {
            first += samplesA[n] * Complex.FromPolarCoordinates(1, -2 * Math.PI * n / count);
        }

        var turn = first.Phase + (Math.PI / 2);
        var study = studyA is { Count: > 0 } && studyA[0].Magnitude > 0 ? Brought(studyA, fundamental) : null;
        var wave = study is null ? null : new OrderWaveform(study);
        var instants = samplesA.Select((a, n) =>
        {
            var angle = (turn + (2 * Math.PI * n / count)) % (2 * Math.PI);
            angle += angle < 0 ? 2 * Math.PI : 0;
            return new WaveInstant(angle * 180 / Math.PI, a, wave?.LineCurrentA(angle));
        });
        var rms = spectrum.Orders.Select(o => o.Magnitude).ToList();
        return new(Math.Sqrt(samplesA.Sum(a => a * a) / count), samplesA.Max(Math.Abs), fundamental,
            100 * Math.Sqrt(rms.Skip(1).Sum(a => a * a)) / fundamental, [.. instants.OrderBy(i => i.AngleDeg)],
            study is null ? null : SpectrumComparison.Of(rms, [.. study.Select(o => o.Magnitude)]));
    }

    private static Complex[] Brought(IReadOnlyList<Complex> orders, double fundamental)
    {
        var (scale, phase) = (fundamental / orders[0].Magnitude, orders[0].Phase);
        return [.. orders.Select((o, i) => scale * o * Complex.FromPolarCoordinates(1, -(i + 1) * phase))];
    }
}
