namespace Cuadrilla.Core.Interference;

/// <summary>Rules by which cables of different classes are kept apart.</summary>
public enum SeparationRules
{
    /// <summary>Distances of the house.</summary>
    House,

    /// <summary>By screens and metal between, as for the wiring of machines (IEC 60204-1, annex H).</summary>
    Machine,
}

/// <summary>Metal between two cables.</summary>
public enum MetalBetween
{
    /// <summary>None.</summary>
    None,

    /// <summary>Open: mesh, ladder.</summary>
    Open,

    /// <summary>Perforated.</summary>
    Perforated,

    /// <summary>Solid, bonded at both ends.</summary>
    Solid,
}

/// <summary>How far cables of different classes keep from each other. See <c>docs/methods/separation.md</c>.</summary>
public static class Separation
{
    // From here on the whole distance is asked; below in proportion.
    private const double WholeFromM = 10;

    // Below, screens connected all round at both ends may do without.
    private const double DispensedBelowM = 35;

    // Neither screened, one screened, both; without metal between, open, perforated, solid.
    private static readonly double[][] MachineMm = [[200, 150, 100, 0], [50, 30, 20, 0], [0, 0, 0, 0]];

    /// <summary>Two cables beside each other.</summary>
    /// <param name="Disturbing">Class of the one that disturbs.</param>
    /// <param name="Disturbed">Class of the other.</param>
    /// <param name="DisturbingScreened">True with a screen around the first.</param>
    /// <param name="DisturbedScreened">True with a screen around the other.</param>
    /// <param name="ParallelM">Length beside each other, m.</param>
    public sealed record Pair(CableClass Disturbing, CableClass Disturbed, bool DisturbingScreened, bool DisturbedScreened,
        double ParallelM)
    {
        /// <summary>True where both screens and a short way may do without a distance.</summary>
        public bool IsDispensable => DisturbingScreened && DisturbedScreened && ParallelM < DispensedBelowM;
    }

    /// <summary>True where the rules know the two classes as disturbing and disturbed.</summary>
    public static bool Concerns(SeparationRules rules, CableClass disturbing, CableClass disturbed) => rules == SeparationRules.House
        ? HouseMm(disturbing, disturbed) > 0
        : (disturbing is CableClass.Noisy or CableClass.Supply) && (disturbed is CableClass.Sensitive or CableClass.VerySensitive);

    /// <summary>Distance that is needed, mm.</summary>
    public static double NeededMm(SeparationRules rules, Pair pair, MetalBetween between)
    {
        ArgumentNullException.ThrowIfNull(pair);
        if (between == MetalBetween.Solid || !Concerns(rules, pair.Disturbing, pair.Disturbed))
        {
            return 0;
        }

        var whole = rules == SeparationRules.House
            ? HouseMm(pair.Disturbing, pair.Disturbed) * (pair.DisturbingScreened ? 0.5 : 1)
            : MachineMm[(pair.DisturbingScreened ? 1 : 0) + (pair.DisturbedScreened ? 1 : 0)][(int)between];
        return whole * Math.Min(1, pair.ParallelM / WholeFromM);
    }

    private static double HouseMm(CableClass disturbing, CableClass disturbed) => (disturbing, disturbed) switch
    {
        (CableClass.Noisy, CableClass.VerySensitive) => 300,
        (CableClass.Noisy, CableClass.Sensitive or CableClass.Supply) => 200,
        _ => 0,
    };
}
