using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>What a linear step changes, by unit, in the frame of the source, per unit.</summary>
/// <param name="Emfs">EMFs.</param>
/// <param name="Currents">Currents that answer them.</param>
internal readonly record struct LinearChange(SpaceVector[] Emfs, SpaceVector[] Currents)
{
    /// <summary>Largest change of an order of an EMF.</summary>
    public double LargestPu => Emfs.Max(e => e.Largest().Size);
}
