namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>What ends a combination of conducting diodes.</summary>
internal enum SwitchingKind
{
    /// <summary>A diode's current has come to zero.</summary>
    TurnsOff,

    /// <summary>A floating phase meets the top rail.</summary>
    TopTurnsOn,

    /// <summary>A floating phase meets the bottom rail.</summary>
    BottomTurnsOn,

    /// <summary>Two phases of a blocked bridge begin together.</summary>
    PairTurnsOn,

    /// <summary>The rails of a bridge meet.</summary>
    FreewheelStarts,

    /// <summary>The choke's current is that of the phases again.</summary>
    FreewheelEnds,
}

/// <summary>A quantity that stays positive as long as a combination lasts: row·(state, Re e, Im e).</summary>
/// <param name="mode">The combination.</param>
/// <param name="kind">What its fall below zero stands for.</param>
/// <param name="bridge">Which bridge.</param>
internal sealed class SwitchingGuard(SwitchedMode mode, SwitchingKind kind, int bridge)
{
    private double[]? row;

    /// <summary>What its fall below zero stands for.</summary>
    public SwitchingKind Kind { get; } = kind;

    /// <summary>Which bridge.</summary>
    public int Bridge { get; } = bridge;

    /// <summary>Which phase; of a pair the upper one.</summary>
    public int Phase { get; init; }

    /// <summary>The lower phase of a pair.</summary>
    public int Lower { get; init; }

    /// <summary>Some of the bridge's phases, a bit for each, of which the sum counts.</summary>
    public int Some { get; init; }

    /// <summary>Coefficients: read from the rows of all when one asks for the first time, since most never cross zero.</summary>
    public double[] Row => row ??= mode.GuardRows.Row(Array.IndexOf(mode.Guards, this));

    /// <summary>True for a number of the state that is the current of one of the phases that count.</summary>
    public bool IsOver(int index, int phasesOfBridge) =>
        index / phasesOfBridge == Bridge && (Some & (1 << (index % phasesOfBridge))) != 0;
}
