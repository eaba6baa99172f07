namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

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
        double[] Start, Conduction Conduction, IReadOnlyList<SeriesPiece> Pieces, double StartRad, bool IsSixfold, double Multiplier,
        double[,] Slopes) : OrbitResult
    {
        /// <summary>Circuit and EMF that the multiplier was worked out at: here, or so near that it proves what it says here.</summary>
        public required (SwitchedCircuit Circuit, SpaceVector Emf) JudgedAt { get; init; }

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
