namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A stretch of an orbit without switching.</summary>
/// <param name="StartRad">Where it begins.</param>
/// <param name="WidthRad">How long it lasts.</param>
/// <param name="Mode">Which diodes conduct.</param>
/// <param name="End">State at its end, before what switches has switched; null where nothing does.</param>
/// <param name="EndsBy">What switches at its end; null: nothing.</param>
internal sealed record OrbitPiece(double StartRad, double WidthRad, SwitchedMode Mode, double[]? End, SwitchingGuard? EndsBy);

/// <summary>What the search for a repeating state found.</summary>
internal abstract record OrbitResult
{
    private OrbitResult()
    {
    }

    /// <summary>A state that repeats and attracts.</summary>
    /// <param name="Start">State at the start of the section.</param>
    /// <param name="Conduction">Which diodes conduct there.</param>
    /// <param name="Pieces">One repeat angle.</param>
    /// <param name="StartRad">Where it begins.</param>
    /// <param name="IsSixfold">True when it is a sixth of a cycle, else half of one.</param>
    /// <param name="Multiplier">Spectral radius of the map over the repeat angle.</param>
    /// <param name="Slopes">How the end of the repeat angle moves with its start, of this orbit or of one near.</param>
    public sealed record Settled(
        double[] Start, Conduction Conduction, IReadOnlyList<OrbitPiece> Pieces, double StartRad, bool IsSixfold, double Multiplier,
        double[,] Slopes) : OrbitResult
    {
        /// <summary>Circuit and EMF that the multiplier was worked out at: here, or so near that it proves what it says here.</summary>
        public required (SwitchedCircuit Circuit, SpaceVector Emf) JudgedAt { get; init; }

        /// <summary>EMF of the orbit.</summary>
        public required SpaceVector Emf { get; init; }

        /// <summary>A usual current, that small ones are measured by.</summary>
        public required double Scale { get; init; }

        /// <summary>What it says of each link of its circuit.</summary>
        public required OrbitSpectrum[] Spectra { get; init; }

        /// <summary>Begins where another orbit moved from and to; as it is where the two do not begin at the same instant with the same
        /// diodes.</summary>
        public Settled MovedAs(Settled from, Settled to) =>
            Start.Length == to.Start.Length && from.Start.Length == to.Start.Length && StartRad == from.StartRad && StartRad == to.StartRad
            && Conduction.Key == from.Conduction.Key && Conduction.Key == to.Conduction.Key
                ? this with { Start = [.. Start.Select((x, i) => x + to.Start[i] - from.Start[i])] }
                : this;
    }

    /// <summary>The supply can't deliver the power: the link voltage collapses.</summary>
    public sealed record Collapsed : OrbitResult;

    /// <summary>None that repeats and attracts; the multiplier is NaN when none at all was found.</summary>
    public sealed record Unsettled(double Multiplier) : OrbitResult;
}
