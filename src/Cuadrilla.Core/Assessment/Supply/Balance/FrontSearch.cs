using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>Where the search for a circuit ended: the next one begins there.</summary>
/// <param name="Emf">EMF in the frame of the source, per unit.</param>
/// <param name="Orbit">Its orbit; null where it has none.</param>
internal sealed record FrontSearch(SpaceVector Emf, OrbitResult.Settled? Orbit);
