using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>What the rectifier study finds.</summary>
public abstract record RectifierResult
{
    private RectifierResult()
    {
    }

    /// <summary>A current that can be stated, solved or from catalogue data.</summary>
    /// <param name="Phases">Line currents: one entry between two conductors, three otherwise.</param>
    /// <param name="Waveform">Line current of phase A over one cycle, for pictures.</param>
    /// <param name="Provenance">Where it comes from, in words.</param>
    public abstract record LineDraw(IReadOnlyList<LineCurrent> Phases, IRectifierWaveform Waveform, string Provenance) : RectifierResult
    {
        /// <summary>Line current of phase A.</summary>
        public LineCurrent PhaseA => Phases[0];

        /// <summary>The phase with the largest total harmonic distortion.</summary>
        public LineCurrent WorstPhase => First(p => p.ThdiPct);

        /// <summary>The phase with the largest rms current.</summary>
        public LineCurrent LoadedPhase => First(p => p.RmsA);

        /// <summary>Its name: A, B or C; empty where all carry the same or there is only one.</summary>
        public string LoadedPhaseName => Phases.Count < 3 || IsBalanced
            ? string.Empty
            : "ABC".Substring(Phases.ToList().IndexOf(LoadedPhase), 1);

        /// <summary>True when three phases carry the same.</summary>
        public bool IsBalanced { get; } = Phases.Count == 3 && Phases.Max(p => p.RmsA) - Phases.Min(p => p.RmsA) < Alike * Phases[0].RmsA;

        private const double Alike = 1e-6;

        // Where two phases carry the same, rounding does not choose between them: their power factors may differ.
        private LineCurrent First(Func<LineCurrent, double> of)
        {
            var largest = Phases.Max(of);
            return Phases.First(p => of(p) >= (1 - Alike) * largest);
        }
    }

    /// <summary>A one-cycle steady state of the circuit.</summary>
    /// <param name="Phases">Line currents; one entry for a single-phase bridge, three otherwise.</param>
    /// <param name="ActivePowerW">Power from the EMFs, all phases, W.</param>
    /// <param name="DcVoltageMeanV">Mean link voltage, V.</param>
    /// <param name="DcVoltageRipplePkPkV">Peak-to-peak ripple of the link, V.</param>
    /// <param name="DcCurrentMeanA">Mean current out of the bridge, A.</param>
    /// <param name="DcCurrentRmsA">Rms current out of the bridge (what heats the choke), A.</param>
    /// <param name="IsContinuous">True when the bridge current never rests.</param>
    /// <param name="Multiplier">Spectral radius of the map over the repeat angle: below one, the state attracts.</param>
    /// <param name="Waveform">Line current and link voltage over one cycle, for pictures.</param>
    public sealed record SteadyState(
        IReadOnlyList<LineCurrent> Phases,
        double ActivePowerW,
        double DcVoltageMeanV,
        double DcVoltageRipplePkPkV,
        double DcCurrentMeanA,
        double DcCurrentRmsA,
        bool IsContinuous,
        double Multiplier,
        IRectifierWaveform Waveform) : LineDraw(Phases, Waveform, "solved as a circuit")
    {
        /// <summary>That of one that draws a part of the current.</summary>
        /// <param name="share">Its part.</param>
        public SteadyState Part(double share) => this with
        {
            Phases = [.. Phases.Select(p => p.Part(share))],
            ActivePowerW = share * ActivePowerW,
            DcCurrentMeanA = share * DcCurrentMeanA,
            DcCurrentRmsA = share * DcCurrentRmsA,
            Waveform = new WaveformInPart(Waveform, share),
        };
    }

    /// <summary>Not solved as a circuit: closed form or catalogue data.</summary>
    /// <param name="Phases">Line currents.</param>
    /// <param name="Waveform">Their sum of orders.</param>
    /// <param name="Provenance">Where they come from.</param>
    public sealed record Stated(IReadOnlyList<LineCurrent> Phases, IRectifierWaveform Waveform, string Provenance) : LineDraw(Phases,
        Waveform, Provenance);

    /// <summary>No state repeats itself every cycle, so no spectrum is given.</summary>
    /// <remarks>Looking for the capacitance that settles costs many solutions, so it is looked for when somebody asks.</remarks>
    public sealed record NoSteadyState : RectifierResult
    {
        private readonly Lazy<double?> cure;

        /// <summary>States it.</summary>
        /// <param name="reason">What happens instead, in words.</param>
        /// <param name="cure">Finds the link capacitance at which the circuit settles, F; null where more would not help.</param>
        public NoSteadyState(string reason, Func<double?>? cure = null)
        {
            Reason = reason;
            this.cure = new Lazy<double?>(cure ?? (() => null));
        }

        /// <summary>What happens instead, in words.</summary>
        public string Reason { get; }

        /// <summary>Link capacitance at which the circuit settles, F; null when none up to 100 times was found.</summary>
        public double? SettlingCapacitanceF => cure.Value;
    }
}

/// <summary>Line current of one phase.</summary>
/// <param name="Orders">Rms phasors of orders 1 to 50 (index 0 is order 1): i = Σ √2·|I_h|·sin(h·ωt + arg I_h), ωt = 0 at the rising zero
/// of the phase-A EMF. A.</param>
/// <param name="RmsA">True rms, A.</param>
/// <param name="PeakA">Crest, A.</param>
/// <param name="DisplacementPowerFactor">Cosine of the angle between fundamental current and fundamental EMF of that phase.</param>
/// <param name="TruePowerFactor">Active power over the product of rms EMF and rms current of that phase.</param>
public sealed record LineCurrent(
    IReadOnlyList<Complex> Orders, double RmsA, double PeakA, double DisplacementPowerFactor, double TruePowerFactor)
{
    /// <summary>Highest order reported.</summary>
    public const int HighestOrder = 50;

    /// <summary>Rms of the fundamental, A.</summary>
    public double FundamentalA => Orders[0].Magnitude;

    // What is left of a current that does not flow is the rounding of its solver, and so would be its distortion.
    private const double NothingA = 1e-6;

    /// <summary>Total harmonic distortion of the current, orders 2 to 50, per cent of the fundamental; 0 where nothing flows.</summary>
    public double ThdiPct { get; } = Orders[0].Magnitude <= 0 || RmsA < NothingA ? 0
        : 100 * Math.Sqrt(Orders.Skip(1).Sum(i => (i.Real * i.Real) + (i.Imaginary * i.Imaginary))) / Orders[0].Magnitude;

    /// <summary>A part of it.</summary>
    /// <param name="share">Which part.</param>
    internal LineCurrent Part(double share) =>
        this with { Orders = new OrdersInPart(Orders, share), RmsA = share * RmsA, PeakA = share * PeakA };
}

/// <summary>A cycle of line current that can be read at any angle.</summary>
public interface IRectifierWaveform
{
    /// <summary>Phase-A line current, A, at an angle of the phase-A EMF in radians, 0 to 2π.</summary>
    double LineCurrentA(double angleRad);

    /// <summary>Link voltage, V, at an angle in radians, 0 to 2π; NaN where there is no link.</summary>
    double LinkVoltageV(double angleRad);
}
