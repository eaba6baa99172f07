using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Converters.FrontEnds;

/// <content>Six, twelve or eighteen pulses.</content>
public abstract partial record FrontEnd
{
    // Chokes come in about 3, 4 and 5 %.
    private const double SmallChokePct = 3.5;
    private const double LargeChokePct = 4.5;

    /// <summary>One or more six-pulse diode bridges on a common link.</summary>
    /// <param name="Bridges">1, 2 or 3: six, twelve or eighteen pulses.</param>
    /// <param name="ChokePct">DC choke of each bridge, % of U²/P of the whole converter (of its own share of P with several
    /// bridges).</param>
    /// <param name="ChokeLossPu">Loss of the chokes at rated power, parts of the rated power.</param>
    /// <param name="ReactorPct">AC reactor ahead of the bridge, % of U²/P.</param>
    /// <param name="TransformerUkPct">Leakage of the phase-shifting transformer to one secondary, % on that secondary's share; 0 without
    /// transformer.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current at rated load, used only where the front end is not solved.</param>
    /// <param name="FixedLossPu">Transformer's no-load loss.</param>
    /// <param name="LoadLossPu">Load loss of transformer and reactor.</param>
    public sealed record Diode(
        int Bridges, double ChokePct, double ChokeLossPu, double ReactorPct, double TransformerUkPct, double DcFormFactor,
        double FixedLossPu, double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu)
    {
        /// <summary>The link loses half of the reactance ahead of it (mean of the commutation drop) and its resistive losses.</summary>
        public override double LargestOutputPu => 1 - (0.5 * (ReactorPct + TransformerUkPct) / 100) - ChokeLossPu - LoadLossPu;

        /// <inheritdoc/>
        public override string PartsName => Bridges > 1 ? "Transformer and chokes" : ReactorPct > 0 ? "AC reactor" : "DC choke";

        /// <inheritdoc/>
        public override int BridgeCount => Bridges;

        /// <inheritdoc/>
        public override double DcChokePct => ChokePct;

        /// <inheritdoc/>
        public override double DcChokeLossPu => ChokePct > 0 ? ChokeLossPu : 0;

        /// <inheritdoc/>
        public override double FormFactor => DcFormFactor;

        /// <inheritdoc/>
        public override double LeakagePct => TransformerUkPct;

        /// <inheritdoc/>
        public override double LineReactorPct => ReactorPct;

        /// <inheritdoc/>
        public override string SixPulseFamily => ChokePct switch
        {
            > LargeChokePct => "choke-5",
            >= SmallChokePct => "choke",
            > 0 => "choke-3",
            _ => ReactorPct > 0 ? "reactor" : "plain",
        };

        /// <inheritdoc/>
        public override string SixPulseName =>
            ChokePct > 0 ? $"DC choke {Text.N(ChokePct, 2)} %" : ReactorPct > 0 ? $"AC reactor {Text.N(ReactorPct, 2)} %" : "no choke";
    }

    /// <summary>A diode bridge between two conductors.</summary>
    /// <param name="ChokePct">DC choke, % of U²/P.</param>
    /// <param name="ChokeLossPu">Its loss at rated power.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current.</param>
    public sealed record SinglePhase(double ChokePct, double ChokeLossPu, double DcFormFactor) : FrontEnd(0, 0)
    {
        // Mean of a link that is charged to the crest of the line and sags by a tenth between the pulses.
        private const double OutputPu = 0.95;

        /// <inheritdoc/>
        public override double LargestOutputPu => OutputPu - ChokeLossPu;

        /// <inheritdoc/>
        public override string PartsName => "DC choke";

        /// <inheritdoc/>
        public override double DcChokePct => ChokePct;

        /// <inheritdoc/>
        public override double DcChokeLossPu => ChokePct > 0 ? ChokeLossPu : 0;

        /// <inheritdoc/>
        public override double FormFactor => DcFormFactor;

        /// <summary>√2 on its capacitor.</summary>
        public override double NoLoadLinkPu => Math.Sqrt(2);
    }
}
