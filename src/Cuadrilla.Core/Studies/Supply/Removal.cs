namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// What the plant draws at the point of common coupling when one front end is taken out and all others settle with the network anew: what
/// it adds or cancels, also where that does not superpose. See <c>docs/methods/contributions.md</c>.
/// </summary>
/// <param name="DrivePointId">Drive point, common DC bus or group that is taken out.</param>
/// <param name="HarmonicA">Harmonic current without it, rms of the worst phase, A; NaN where the others do not settle.</param>
/// <param name="ChangeA">That less the one with it, A: negative for one that adds, positive for one that cancels others.</param>
public sealed record Removal(string DrivePointId, double HarmonicA, double ChangeA);
