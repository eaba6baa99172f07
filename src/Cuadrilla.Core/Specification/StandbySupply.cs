using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Specification;

/// <summary>A generator that feeds the plant while the mains are away: in the scenarios that say so.</summary>
/// <param name="BusId">Bus that it feeds.</param>
/// <param name="Generator">The generator.</param>
public sealed record StandbySupply(string BusId, SourceStrength.Generator Generator);
