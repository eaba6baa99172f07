using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>Where the search for a circuit ended: the next one begins there.</summary>
/// <param name="Emf">EMF in the frame of the source, per unit.</param>
/// <param name="Circuit">The circuit; null where closed form or catalogue data tell its current.</param>
/// <param name="Answer">What it answers.</param>
/// <param name="Uneven">What it answers with the line's little unbalance; the same where there is none.</param>
/// <param name="Slope">How its current moved with its EMF on the way there; null where nothing moved or nothing was asked.</param>
internal sealed record FrontSearch(SpaceVector Emf, SwitchedCircuit? Circuit, FrontAnswer Answer, FrontAnswer Uneven, double[]? Slope)
{
    /// <summary>Where a second state of the scenario was last looked for without any being found; null: it never was.</summary>
    public SecondLook? Look { get; init; }
}
