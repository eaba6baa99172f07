using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>What a front end, or several solved as one circuit, answer to an EMF.</summary>
/// <param name="Current">Line current in the frame of the source, per unit of the network; nothing where none repeats.</param>
/// <param name="Parts">The same of each kind in the circuit; one with a single front end.</param>
/// <param name="Front">Of a single front end the result for itself; of several why there is none, or that of the first kind.</param>
/// <param name="Orbit">Orbit of the circuit; null where it has none.</param>
/// <param name="Spectra">What the orbit says of each kind; empty likewise.</param>
/// <param name="Emf">EMF in the time of its own voltage that it was solved at; empty where it has no circuit.</param>
internal sealed record FrontAnswer(
    SpaceVector Current, SpaceVector[] Parts, RectifierResult Front, OrbitResult.Settled? Orbit, OrbitSpectrum[] Spectra, SpaceVector Emf)
{
    /// <summary>The same with another current, shared by the kinds as their load is. Orbit and spectra stay those it was solved with.</summary>
    /// <param name="by">Change of the current.</param>
    /// <param name="parts">Part of each kind in the load.</param>
    public FrontAnswer Moved(SpaceVector by, IReadOnlyList<double> parts) =>
        this with { Current = Current.Plus(by, 1), Parts = [.. Parts.Select((p, k) => p.Plus(by, parts[k]))] };
}
