using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>How a drive on a converter brakes and where energy goes that comes back.</summary>
public abstract record Braking
{
    private Braking()
    {
    }

    /// <summary>No way for it: the ramp is stretched so that motor, cable and converter lose what returns.</summary>
    public sealed record Nothing : Braking;

    /// <summary>The output is switched off: the machine stops by itself.</summary>
    public sealed record Coast : Braking;

    /// <summary>Direct current through two terminals of a cage motor; the rotor takes all energy as heat.</summary>
    /// <param name="CurrentPct">Direct current, % of the motor's rated current, 20 to 200.</param>
    public sealed record DcInjection(double CurrentPct) : Braking;

    /// <summary>The flux is raised, so that the motor loses more.</summary>
    /// <param name="FluxPct">Flux, % of the rated, 100 to 140; what the output voltage allows.</param>
    public sealed record Flux(double FluxPct) : Braking;

    /// <summary>Chopper and resistor.</summary>
    /// <param name="ResistanceOhm">Resistance, ohm.</param>
    /// <param name="ContinuousKw">Power that the resistor burns for ever, kW.</param>
    public sealed record Resistor(Given ResistanceOhm, Given ContinuousKw) : Braking
    {
        /// <summary>Time over which its mean power counts, s, 60 to 600; unknown: the project's.</summary>
        public Given WindowS { get; init; }

        /// <summary>What it stands for shorter times, ascending; empty: as wire-wound resistors usually do.</summary>
        public ValueList<ResistorPulse> Pulses { get; init; } = [];
    }

    /// <summary>Back to the line, through a front end that lets power pass both ways.</summary>
    public sealed record ToLine : Braking;
}
