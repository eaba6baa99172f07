using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>EMF behind a front end.</summary>
/// <param name="Magnitude">Fundamental, parts of nominal.</param>
/// <param name="Harmonic">Harmonic orders, parts of the fundamental.</param>
internal readonly record struct FrontEmf(double Magnitude, HarmonicEmf Harmonic)
{
    /// <summary>Distance to another one.</summary>
    public double Distance(FrontEmf other)
    {
        var sum = (Magnitude - other.Magnitude) * (Magnitude - other.Magnitude);
        foreach (var h in HarmonicEmf.Orders)
        {
            var apart = (Harmonic[h] - other.Harmonic[h]).Magnitude;
            sum += apart * apart;
        }

        return Math.Sqrt(sum);
    }
}
