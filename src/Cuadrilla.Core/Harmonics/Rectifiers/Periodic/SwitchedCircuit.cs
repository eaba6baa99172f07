using System.Collections.Concurrent;
using System.Numerics;
using System.Runtime.InteropServices;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Bridges on one source, in any units that belong together, the angle of the fundamental as time: EMFs behind common resistance and
/// reactance, own ones of each phase, ideal diodes, a choke for each bridge, links with a capacitor and a load that one or several
/// bridges feed. A single-phase bridge is one of two phases with half the loop each. State: phase currents, link voltages, current of
/// each choke where there are chokes.
/// </summary>
internal sealed record SwitchedCircuit
{
    private readonly ConcurrentDictionary<long, SwitchedMode> modes = new();
    private string? key;

    /// <summary>3, or 2 for a single-phase bridge.</summary>
    public required int PhasesOfBridge { get; init; }

    /// <summary>Axis of each phase: it sees Re(axis*·e); the line takes ⅔·Σ axis·i.</summary>
    public required Complex[] Axes { get; init; }

    /// <summary>Resistance ahead of all bridges, per phase.</summary>
    public required double CommonR { get; init; }

    /// <summary>Reactance ahead of all bridges, per phase.</summary>
    public required double CommonX { get; init; }

    /// <summary>Resistance of each phase of a bridge.</summary>
    public required double[] OwnR { get; init; }

    /// <summary>Reactance of each phase of a bridge.</summary>
    public required double[] OwnX { get; init; }

    /// <summary>Resistance of each bridge's choke.</summary>
    public required double[] ChokeR { get; init; }

    /// <summary>Reactance of each bridge's choke; 0: none.</summary>
    public required double[] ChokeX
    {
        get;
        init => (field, HasChokes) = (value, value.Any(x => x > 0));
    }

    /// <summary>Capacitors and loads.</summary>
    public required SwitchedLink[] Links { get; init; }

    /// <summary>Link that each bridge feeds.</summary>
    public required int[] LinkOf { get; init; }

    /// <summary>Below it constant power draws no more current: it acts only on the way to an orbit.</summary>
    public required double ClampVoltage { get; init; }

    /// <summary>A capacitor bank between the EMF and the bridges; null: none.</summary>
    public BankAhead? Bank { get; init; }

    /// <summary>Phases of all bridges.</summary>
    public int Phases => Axes.Length;

    /// <summary>Bridges.</summary>
    public int Bridges => Phases / PhasesOfBridge;

    /// <summary>True where chokes have currents of their own.</summary>
    public bool HasChokes { get; private init; }

    /// <summary>Place of the voltage of a link in the state.</summary>
    public int Link(int link) => Phases + link;

    /// <summary>True for places of the state that are voltages.</summary>
    public bool IsVoltage(int place) => (place >= Phases && place < Phases + Links.Length) || place >= FirstOfBank + 2;

    /// <summary>Numbers of a state.</summary>
    public int Size => FirstOfBank + (Bank is null ? 0 : 4);

    /// <summary>Place of the first number of the bank: real and imaginary part of the current from the EMF, then of the voltage at the
    /// bank.</summary>
    public int FirstOfBank => Phases + Links.Length + (HasChokes ? Bridges : 0);

    /// <summary>Places of the voltage that the bridges see: of the bank where there is one, else of the EMF behind the state.</summary>
    public (int Re, int Im) Seen => Bank is null ? (Size, Size + 1) : (FirstOfBank + 2, FirstOfBank + 3);

    /// <summary>Length of a state, filled up to whole vectors.</summary>
    public int Stride => (Size + 3) / 4 * 4;

    /// <summary>Place of the current of a choke.</summary>
    public int Choke(int bridge) => Phases + Links.Length + bridge;

    /// <summary>Bridge of a phase.</summary>
    public int BridgeOf(int phase) => phase / PhasesOfBridge;

    /// <summary>Drop that a current of one phase causes in another through the common impedance.</summary>
    public double Between(int x, int y) => 2.0 / 3 * ((Axes[x].Real * Axes[y].Real) + (Axes[x].Imaginary * Axes[y].Imaginary));

    /// <summary>All its numbers: circuits of equal numbers are the same.</summary>
    public string Key() => key ??= KeyOf();

    private string KeyOf()
    {
        double[] numbers =
        [
            PhasesOfBridge, Bridges, Links.Length, CommonR, CommonX, ClampVoltage, Bank?.R ?? 0, Bank?.X ?? 0, Bank?.Susceptance ?? 0,
            .. Axes.SelectMany(a => new[] { a.Real, a.Imaginary }), .. OwnR, .. OwnX, .. ChokeR, .. ChokeX,
            .. Links.SelectMany(l => new[] { l.Susceptance, l.LoadPower, l.LoadConductance }), .. LinkOf.Select(l => (double)l),
        ];
        return new string(MemoryMarshal.Cast<double, char>(numbers));
    }

    /// <summary>The equations of a combination of conducting diodes, worked out once.</summary>
    public SwitchedMode Mode(in Conduction conduction)
    {
        return modes.TryGetValue(conduction.Key, out var mode) ? mode : modes.GetOrAdd(conduction.Key, new SwitchedMode(this, conduction));
    }

    /// <summary>Space vector of the line current of a state.</summary>
    public Complex LineCurrent(ReadOnlySpan<double> state) => LineCurrent(state, 0, Phases);

    /// <summary>Space vector of the current of some phases.</summary>
    public Complex LineCurrent(ReadOnlySpan<double> state, int firstPhase, int count)
    {
        double re = 0, im = 0;
        for (var x = firstPhase; x < firstPhase + count; x++)
        {
            re += Axes[x].Real * state[x];
            im += Axes[x].Imaginary * state[x];
        }

        return new Complex(2.0 / 3 * re, 2.0 / 3 * im);
    }
}

/// <summary>A capacitor and its load.</summary>
/// <param name="Susceptance">Susceptance of the capacitor.</param>
/// <param name="LoadPower">Power of a constant-power load; 0 with a resistor.</param>
/// <param name="LoadConductance">Conductance of a resistor; 0 with constant power.</param>
internal sealed record SwitchedLink(double Susceptance, double LoadPower, double LoadConductance)
{
    /// <summary>Slope of the load's current over the voltage, at a voltage.</summary>
    public double LoadSlope(double volts) => LoadPower > 0 ? -LoadPower / (volts * volts) : LoadConductance;

    /// <summary>Current that the load draws.</summary>
    public double LoadCurrent(double volts) => LoadPower > 0 ? LoadPower / volts : LoadConductance * volts;
}

/// <summary>A capacitor bank without reactor at the terminals of the bridges, behind the impedance that it resonates with.</summary>
/// <param name="R">Resistance between EMF and bank, per phase.</param>
/// <param name="X">Reactance between EMF and bank, per phase.</param>
/// <param name="Susceptance">Susceptance of the bank, per phase of a star.</param>
internal sealed record BankAhead(double R, double X, double Susceptance);

/// <summary>
/// Which diodes conduct: each phase on the top rail, on the bottom rail or floating; a bridge that freewheels has a leg conducting
/// through both its diodes, so that its rails are shorted and its choke's current runs by itself.
/// </summary>
internal readonly struct Conduction
{
    private const int Floating = 1;
    private const int KeptBits = 40;
    private readonly ulong sides;
    private readonly byte freewheel;

    private Conduction(ulong sides, byte freewheel) => (this.sides, this.freewheel) = (sides, freewheel);

    /// <summary>Nothing conducts.</summary>
    public static Conduction None { get; } = new(0x5555555555, 0);

    /// <summary>A key: equal for equal combinations of up to 20 phases.</summary>
    public long Key => (long)sides | ((long)freewheel << KeptBits);

    /// <summary>+1 top, −1 bottom, 0 floating.</summary>
    public int Side(int phase) => (int)((sides >> (2 * phase)) & 3) - Floating;

    /// <summary>True when the rails of a bridge are shorted.</summary>
    public bool Freewheels(int bridge) => (freewheel & (1 << bridge)) != 0;

    /// <summary>With a phase on another side.</summary>
    public Conduction With(int phase, int side) =>
        new((sides & ~(3ul << (2 * phase))) | ((ulong)(side + Floating) << (2 * phase)), freewheel);

    /// <summary>With the rails of a bridge shorted or not.</summary>
    public Conduction WithFreewheel(int bridge, bool on) => new(sides, (byte)(on ? freewheel | (1 << bridge) : freewheel & ~(1 << bridge)));
}
