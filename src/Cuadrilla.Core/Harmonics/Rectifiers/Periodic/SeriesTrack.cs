using System.Buffers;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A stretch without switching.</summary>
/// <param name="StartRad">Where it begins.</param>
/// <param name="WidthRad">How long it lasts.</param>
/// <param name="Mode">Which diodes conduct.</param>
/// <param name="Degree">Degree of its power series.</param>
/// <param name="EndsBy">What switches at its end; null: nothing.</param>
internal readonly record struct SeriesStretch(double StartRad, double WidthRad, SwitchedMode Mode, int Degree, SwitchingGuard? EndsBy);

/// <summary>
/// Stretches one after the other, each with the power series of all numbers of the state about its start. They are many and needed for
/// a moment only, so their memory is lent: it has to be given back.
/// </summary>
/// <param name="stride">Length of a state.</param>
internal sealed class SeriesTrack(int stride) : IDisposable
{
    private const int UsualStretches = 64;
    private readonly List<SeriesStretch> stretches = new(UsualStretches);
    private double[] series = ArrayPool<double>.Shared.Rent(UsualStretches * stride * (EmfSeries.Degree + 1));
    private readonly List<int> places = new(UsualStretches);
    private int used;

    /// <summary>Number of stretches.</summary>
    public int Count => stretches.Count;

    /// <summary>One of them.</summary>
    public SeriesStretch this[int i] => stretches[i];

    /// <summary>Takes one more.</summary>
    /// <param name="stretch">The stretch.</param>
    /// <param name="coefficients">Coefficients, all numbers of a degree together, as many degrees as it has or more.</param>
    public void Add(SeriesStretch stretch, ReadOnlySpan<double> coefficients)
    {
        var length = stride * (stretch.Degree + 1);
        if (used + length > series.Length)
        {
            var more = ArrayPool<double>.Shared.Rent(2 * series.Length);
            series.AsSpan(0, used).CopyTo(more);
            ArrayPool<double>.Shared.Return(series);
            series = more;
        }

        coefficients[..length].CopyTo(series.AsSpan(used));
        stretches.Add(stretch);
        places.Add(used);
        used += length;
    }

    /// <summary>The state where a stretch begins.</summary>
    public ReadOnlySpan<double> Start(int i) => series.AsSpan(places[i], stride);

    /// <summary>The state at a distance from where a stretch begins.</summary>
    public void At(int i, double offsetRad, Span<double> state) =>
        SeriesIntegrator.Evaluate(series.AsSpan(places[i]), stride, stretches[i].Degree, offsetRad, state);

    /// <summary>Forgets all of them.</summary>
    public void Clear()
    {
        stretches.Clear();
        places.Clear();
        used = 0;
    }

    /// <summary>What is worth to be kept of them.</summary>
    public OrbitPiece[] Kept()
    {
        var kept = new OrbitPiece[Count];
        for (var i = 0; i < kept.Length; i++)
        {
            var stretch = stretches[i];
            double[]? end = null;
            if (stretch.EndsBy is not null)
            {
                At(i, stretch.WidthRad, end = new double[stride]);
            }

            kept[i] = new OrbitPiece(stretch.StartRad, stretch.WidthRad, stretch.Mode, end, stretch.EndsBy);
        }

        return kept;
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        ArrayPool<double>.Shared.Return(series);
        series = [];
    }
}
