using System.Collections;
using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Orders of a part of a current: many front ends solved as one share them.</summary>
/// <param name="whole">Orders of all of it.</param>
/// <param name="share">The part.</param>
internal sealed class OrdersInPart(IReadOnlyList<Complex> whole, double share) : IReadOnlyList<Complex>
{
    /// <inheritdoc/>
    public int Count => whole.Count;

    /// <inheritdoc/>
    public Complex this[int index] => share * whole[index];

    /// <inheritdoc/>
    public IEnumerator<Complex> GetEnumerator() => whole.Select(w => share * w).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}

/// <summary>A cycle of a part of a current.</summary>
/// <param name="whole">A cycle of all of it.</param>
/// <param name="share">The part.</param>
internal sealed class WaveformInPart(IRectifierWaveform whole, double share) : IRectifierWaveform
{
    /// <inheritdoc/>
    public double LineCurrentA(double angleRad) => share * whole.LineCurrentA(angleRad);

    /// <inheritdoc/>
    public double LinkVoltageV(double angleRad) => whole.LinkVoltageV(angleRad);
}
