using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>How the current of a front end moves with its EMF, and where that was asked.</summary>
/// <param name="Rows">Row by row, as <see cref="FrontSlope"/> makes it; null: it does not move.</param>
/// <param name="Emf">EMF at which it was asked, in the frame of the source, per unit; null where closed form or catalogue data tell its
/// current, and its slope as quickly.</param>
/// <param name="Circuit">Circuit it was asked of; null likewise.</param>
internal sealed record AskedSlope(double[]? Rows, SpaceVector? Emf, SwitchedCircuit? Circuit)
{
    // A slope is wrong by some ten times of what the EMF has moved since: so near, a step leaves a few thousandths. That one drive among
    // many in a circuit is another does no more.
    private const double NearPu = 3e-4;

    /// <summary>True where it tells the slope at an EMF as well as if that were asked there.</summary>
    /// <param name="emf">The EMF.</param>
    public bool Holds(SpaceVector emf) => Rows is not null && Emf is { } asked && asked.Plus(emf, -1).Largest().Size < NearPu;
}
