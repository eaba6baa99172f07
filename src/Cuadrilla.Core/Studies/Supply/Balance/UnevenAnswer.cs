using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>What a front end answers with the line's little unbalance, and beside which even answer that was solved.</summary>
/// <param name="Emf">EMF with the unbalance, in the frame of the source, per unit.</param>
/// <param name="Even">What it answers without.</param>
/// <param name="Answer">What it answers.</param>
internal sealed record UnevenAnswer(SpaceVector Emf, FrontAnswer Even, FrontAnswer Answer)
{
    // So near, what unbalance does to a current differs by some millionths of it: no more than its own precision.
    private const double NearPu = 1e-5;

    /// <summary>The same at an EMF so near that unbalance does there what it does here; null where it is not.</summary>
    /// <param name="front">The front end, whose circuit is the same.</param>
    /// <param name="emf">EMF with the unbalance.</param>
    /// <param name="even">What it answers there without.</param>
    public FrontAnswer? At(BalanceFront front, SpaceVector emf, FrontAnswer even)
    {
        if (Answer.Orbit is null || Even.Orbit is null || even.Orbit is null || emf.Plus(Emf, -1).Largest().Size > NearPu)
        {
            return null;
        }

        OrbitSpectrum[] spectra = [.. Answer.Spectra.Select((s, l) => s.MovedAs(Even.Spectra[l], even.Spectra[l]))];
        SpaceVector[] parts = [.. Answer.Parts.Select((p, k) => p.Plus(even.Parts[k], 1).Plus(Even.Parts[k], -1))];
        var own = Answer.Emf.Plus(even.Emf, 1).Plus(Even.Emf, -1);
        return new FrontAnswer(Answer.Current.Plus(even.Current, 1).Plus(Even.Current, -1), parts,
            front.Circuit!.Result(Answer.Orbit, own, spectra[0]), Answer.Orbit, spectra, own);
    }
}
