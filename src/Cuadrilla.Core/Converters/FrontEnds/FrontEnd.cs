namespace Cuadrilla.Core.Converters.FrontEnds;

/// <summary>
/// What a converter shows to the line. Losses of everything ahead of the link (choke, reactor, transformer, line filter, active
/// bridge) are a fixed part and a part that goes with the square of the power: the fixed part is why a multi-pulse unit with
/// its transformer loses most at light load.
/// </summary>
/// <param name="FixedLossPu">Loss whenever it is energised, parts of the rated power.</param>
/// <param name="LoadLossPu">Loss at rated power that goes with its square, parts of the rated power.</param>
public abstract record FrontEnd(double FixedLossPu, double LoadLossPu)
{
    /// <summary>One or more six-pulse diode bridges on a common link.</summary>
    /// <param name="Bridges">1, 2 or 3: six, twelve or eighteen pulses.</param>
    /// <param name="ChokePct">DC choke of each bridge, % of U²/P of the whole converter (of its own share of P with several bridges).</param>
    /// <param name="ChokeLossPu">Loss of the chokes at rated power, parts of the rated power.</param>
    /// <param name="ReactorPct">AC reactor ahead of the bridge, % of U²/P.</param>
    /// <param name="TransformerUkPct">Leakage of the phase-shifting transformer to one secondary, % on that secondary's share; 0 without transformer.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current at rated load, used only where the front end is not solved.</param>
    /// <param name="FixedLossPu">Transformer's no-load loss.</param>
    /// <param name="LoadLossPu">Load loss of transformer and reactor.</param>
    public sealed record Diode(
        int Bridges, double ChokePct, double ChokeLossPu, double ReactorPct, double TransformerUkPct, double DcFormFactor, double FixedLossPu, double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu);

    /// <summary>A diode bridge between two conductors.</summary>
    /// <param name="ChokePct">DC choke, % of U²/P.</param>
    /// <param name="ChokeLossPu">Its loss at rated power.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current.</param>
    public sealed record SinglePhase(double ChokePct, double ChokeLossPu, double DcFormFactor) : FrontEnd(0, 0);

    /// <summary>A bridge of transistors behind a line filter; power passes both ways.</summary>
    /// <param name="Filter">Its line filter.</param>
    /// <param name="Spectrum">Currents it draws.</param>
    /// <param name="FixedLossPu">Filter and bridge, energised.</param>
    /// <param name="LoadLossPu">Filter and bridge with load.</param>
    public sealed record Active(LineFilter Filter, SourceSpectrum Spectrum, double FixedLossPu, double LoadLossPu) : FrontEnd(FixedLossPu, LoadLossPu);

    /// <summary>A six-pulse bridge behind a passive filter tuned near the fifth order.</summary>
    /// <param name="Filter">The filter as the network sees it.</param>
    /// <param name="Spectrum">Currents that are left of it, and the reactive power that its capacitor supplies at light load.</param>
    /// <param name="OutputPu">Largest output over the line voltage.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current.</param>
    /// <param name="FixedLossPu">Filter, energised.</param>
    /// <param name="LoadLossPu">Filter with load.</param>
    public sealed record Filtered(LineFilter Filter, SourceSpectrum Spectrum, double OutputPu, double DcFormFactor, double FixedLossPu, double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu);

    /// <summary>Bidirectional switches between line and motor, no link; power passes both ways.</summary>
    /// <param name="OutputPu">Largest output over the line voltage; √3/2 without overmodulation.</param>
    /// <param name="HasBypass">Whether it can connect the motor to the line by itself.</param>
    /// <param name="Filter">Its line filter.</param>
    /// <param name="Spectrum">Currents it draws.</param>
    /// <param name="FixedLossPu">Line filter, energised.</param>
    /// <param name="LoadLossPu">Line filter with load.</param>
    public sealed record Direct(double OutputPu, bool HasBypass, LineFilter Filter, SourceSpectrum Spectrum, double FixedLossPu, double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu);

    /// <summary>A line-commutated thyristor bridge that feeds a DC motor.</summary>
    /// <param name="FourQuadrant">Two bridges: braking power goes back to the line.</param>
    /// <param name="ReactorPct">Commutation reactor, % of U²/P.</param>
    /// <param name="LargestDcPu">Largest armature voltage over the line voltage.</param>
    /// <param name="LoadLossPu">Loss of the reactor.</param>
    public sealed record Thyristor(bool FourQuadrant, double ReactorPct, double LargestDcPu, double LoadLossPu) : FrontEnd(0, LoadLossPu);

    /// <summary>None: the module hangs on a common DC bus.</summary>
    public sealed record DcLink() : FrontEnd(0, 0);

    /// <summary>True when power passes both ways, so that braking energy returns to the line, or to the bus.</summary>
    public bool ReturnsToLine => this is Active or Direct or DcLink or Thyristor { FourQuadrant: true };

    /// <summary>
    /// Largest output voltage over the line voltage at rated load: a diode link loses half of the reactance ahead of it (mean
    /// of the commutation drop) and its resistive losses; an active one keeps its link up, but the output is never taken above
    /// the supply.
    /// </summary>
    public double LargestOutputPu => this switch
    {
        Diode d => 1 - (0.5 * (d.ReactorPct + d.TransformerUkPct) / 100) - d.ChokeLossPu - d.LoadLossPu,
        Filtered f => f.OutputPu,
        SinglePhase s => SinglePhaseOutputPu - s.ChokeLossPu,
        Direct d => d.OutputPu,
        Thyristor t => t.LargestDcPu,
        Active or DcLink => 1,
        _ => throw new InvalidOperationException("Unknown front end."),
    };

    /// <summary>Line filter with a capacitor that the network sees; null without one.</summary>
    public LineFilter? LineFilter => this switch { Active a => a.Filter, Direct d => d.Filter, Filtered f => f.Filter, _ => null };

    /// <summary>Currents from catalogue data; null where they are solved.</summary>
    public SourceSpectrum? CatalogueSpectrum => this switch { Active a => a.Spectrum, Direct d => d.Spectrum, Filtered f => f.Spectrum, _ => null };

    /// <summary>Loss at a power, W, choke not included.</summary>
    /// <param name="powerW">Power through it, W.</param>
    /// <param name="ratedW">Rated power, W.</param>
    public double LossW(double powerW, double ratedW)
    {
        var part = powerW / ratedW;
        return ratedW * (FixedLossPu + (LoadLossPu * part * part));
    }

    // Mean of a link that is charged to the crest of the line and sags by a tenth between the pulses.
    private const double SinglePhaseOutputPu = 0.95;
}
