namespace Cuadrilla.Core.Converters.FrontEnds;

/// <summary>
/// What a converter shows to the line; each family stands in a file of its own. Losses of everything ahead of the link (choke, reactor,
/// transformer, line filter, active bridge) are a fixed part and a part that goes with the square of the power: the fixed part is why a
/// multi-pulse unit with its transformer loses most at light load.
/// </summary>
/// <param name="FixedLossPu">Loss whenever it is energised, parts of the rated power.</param>
/// <param name="LoadLossPu">Loss at rated power that goes with its square, parts of the rated power.</param>
public abstract partial record FrontEnd(double FixedLossPu, double LoadLossPu)
{
    /// <summary>Largest output voltage over the line voltage at rated load.</summary>
    public abstract double LargestOutputPu { get; }

    /// <summary>What stands ahead of the link, for the account of losses.</summary>
    public abstract string PartsName { get; }

    /// <summary>True when power passes both ways, so that braking energy returns to the line, or to the bus.</summary>
    public virtual bool ReturnsToLine => false;

    /// <summary>Line filter with a capacitor that the network sees; null without one.</summary>
    public virtual LineFilter? LineFilter => null;

    /// <summary>Currents from catalogue data; null where they are solved.</summary>
    public virtual SourceSpectrum? CatalogueSpectrum => null;

    /// <summary>Number of diode bridges on the link; 1 where there is none.</summary>
    public virtual int BridgeCount => 1;

    /// <summary>DC choke of each bridge, % of U²/P of its share.</summary>
    public virtual double DcChokePct => 0;

    /// <summary>Loss of the chokes at rated power, parts of it.</summary>
    public virtual double DcChokeLossPu => 0;

    /// <summary>Rms over mean of the bridge current at rated load, used only where the front end is not solved.</summary>
    public virtual double FormFactor => 1;

    /// <summary>Leakage of a phase-shifting transformer to one secondary, % on that secondary's share.</summary>
    public virtual double LeakagePct => 0;

    /// <summary>Reactor ahead of the bridges, % of U²/P of the whole converter.</summary>
    public virtual double LineReactorPct => 0;

    /// <summary>Mean link voltage without drops over the line voltage: 3·√2/π of a three-phase bridge.</summary>
    public virtual double NoLoadLinkPu => 3 * Math.Sqrt(2) / Math.PI;

    /// <summary>Ending of its family's name among six-pulse converters.</summary>
    public virtual string SixPulseFamily => "plain";

    /// <summary>What tells it from other six-pulse converters, in words.</summary>
    public virtual string SixPulseName => "no choke";

    /// <summary>Loss at a power, W, choke not included.</summary>
    /// <param name="powerW">Power through it, W.</param>
    /// <param name="ratedW">Rated power, W.</param>
    public double LossW(double powerW, double ratedW)
    {
        var part = powerW / ratedW;
        return ratedW * (FixedLossPu + (LoadLossPu * part * part));
    }
}
