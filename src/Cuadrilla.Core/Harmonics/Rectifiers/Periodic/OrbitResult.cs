using Cuadrilla.Core.Numerics;

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
    /// <param name="Slopes">How the end of the repeat angle moves with its start, of this orbit or of one near; empty: not known.</param>
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

        /// <summary>How its start moves with the EMF, of this orbit or of one near; null: nobody asked.</summary>
        public StartSlopes? Starts { get; init; }

        /// <summary>Begins where another orbit moved from and to; as it is where the two do not begin at the same instant with the same
        /// diodes.</summary>
        public Settled MovedAs(Settled from, Settled to) =>
            Start.Length == to.Start.Length && from.Start.Length == to.Start.Length && StartRad == from.StartRad && StartRad == to.StartRad
            && Conduction.Key == from.Conduction.Key && Conduction.Key == to.Conduction.Key
                ? this with { Start = [.. Start.Select((x, i) => x + to.Start[i] - from.Start[i])] }
                : this;

        /// <summary>
        /// Half a cycle with a little unbalance, begun as the even orbit moved. Where that repeats after a sixth, three of them on end
        /// tell how disturbances die out here too; one that repeats after half a cycle tells no more than this one knows.
        /// </summary>
        public Settled Beside(Settled evenBefore, Settled even)
        {
            var moved = MovedAs(evenBefore, even);
            if (!even.IsSixfold)
            {
                return moved;
            }

            moved = moved with { Multiplier = Math.Pow(even.Multiplier, 3), JudgedAt = even.JudgedAt };
            return moved.Slopes.Length > 0 || even.Slopes.Length == 0 || moved.Conduction.Key != even.Conduction.Key
                ? moved
                : moved with { Slopes = SquareMatrix.Product(even.Slopes, SquareMatrix.Product(even.Slopes, even.Slopes)) };
        }

        /// <summary>Where the orbit of a circuit of the same bridges, put together otherwise, may begin. Null where one has no
        /// likeness.</summary>
        /// <param name="own">Circuit of this orbit.</param>
        /// <param name="other">The other circuit.</param>
        /// <param name="like">Bridge of this orbit that each of the other is like, and how much more it carries; −1: none.</param>
        public Settled? Regrouped(SwitchedCircuit own, SwitchedCircuit other, IReadOnlyList<(int Bridge, double Times)> like)
        {
            if (like.Any(l => l.Bridge < 0) || like.Count != other.Bridges || own.PhasesOfBridge != other.PhasesOfBridge
                || (own.Bank is null) != (other.Bank is null))
            {
                return null;
            }

            var (start, conduction) = (new double[other.Stride], Conduction.None);
            for (var b = 0; b < like.Count; b++)
            {
                var (from, times) = like[b];
                for (var x = 0; x < other.PhasesOfBridge; x++)
                {
                    var (to, at) = ((b * other.PhasesOfBridge) + x, (from * own.PhasesOfBridge) + x);
                    start[to] = Start[at] * times;
                    conduction = conduction.With(to, Conduction.Side(at));
                }

                start[other.Link(b)] = Start[own.Link(from)];
                if (other.HasChokes && own.HasChokes)
                {
                    start[other.Choke(b)] = Start[own.Choke(from)] * times;
                    conduction = conduction.WithFreewheel(b, Conduction.Freewheels(from) && other.ChokeX[b] > 0);
                }
            }

            Start.AsSpan(own.FirstOfBank, own.Size - own.FirstOfBank).CopyTo(start.AsSpan(other.FirstOfBank));
            return this with { Start = start, Conduction = conduction, Slopes = new double[0, 0], Starts = null };
        }
    }

    /// <summary>The supply can't deliver the power: the link voltage collapses.</summary>
    public sealed record Collapsed : OrbitResult;

    /// <summary>None that repeats and attracts; the multiplier is NaN when none at all was found.</summary>
    public sealed record Unsettled(double Multiplier) : OrbitResult;
}
