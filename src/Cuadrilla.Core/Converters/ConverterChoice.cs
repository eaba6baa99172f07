using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Converters;

/// <summary>Which converter an engineer has chosen.</summary>
public abstract record ConverterChoice
{
    private ConverterChoice()
    {
    }

    /// <summary>None yet.</summary>
    public sealed record NotChosen : ConverterChoice;

    /// <summary>From the catalogue.</summary>
    /// <param name="ItemId">Key of the catalogue item.</param>
    /// <param name="Duty">Overload duty it is rated for.</param>
    /// <param name="SwitchingKhz">Switching frequency, kHz, 1 to 16.</param>
    /// <param name="Reason">Why this one when it is not the best candidate; empty when none was given.</param>
    /// <param name="Braking">How it brakes and where energy goes that comes back.</param>
    /// <param name="Filter">Filter at its output.</param>
    /// <param name="Feed">How it is connected to the supply.</param>
    /// <param name="Control">How it controls its motor.</param>
    /// <param name="Modules">Equal modules side by side on one motor, 1 to 8.</param>
    /// <param name="Wiring">How several modules reach the motor.</param>
    /// <param name="LightLoadFlux">What becomes of a cage motor's flux at light load.</param>
    public sealed record FromCatalogue(
        string ItemId,
        OverloadDuty Duty,
        double SwitchingKhz,
        string Reason,
        Braking Braking,
        OutputFilter Filter = OutputFilter.None,
        SupplyFeed Feed = SupplyFeed.ThreePhase,
        MotorControl Control = MotorControl.Vector,
        int Modules = 1,
        ModuleWiring Wiring = ModuleWiring.SeparateWindings,
        LightLoadFlux LightLoadFlux = LightLoadFlux.Constant) : ConverterChoice
    {
        /// <summary>What becomes of it in a dip of the supply.</summary>
        public DipBehaviour InDip { get; init; }

        /// <summary>Place in the order of restart after a dip or outage, 1 first; unknown: it does not start by itself.</summary>
        public Given RestartOrder { get; init; }
    }

    /// <summary>That of the first member of its group.</summary>
    public sealed record OfGroup : ConverterChoice;

    /// <summary>A contactor: the motor starts across the line and runs at its speed.</summary>
    /// <param name="Trip">Trip class of its overload relay.</param>
    /// <param name="StartsPerHour">Starts wanted in an hour.</param>
    /// <param name="Reason">Why.</param>
    public sealed record AcrossTheLine(TripClass Trip, double StartsPerHour, string Reason) : ConverterChoice;

    /// <summary>Star, then delta; the motor's delta voltage must be the supply's.</summary>
    /// <param name="ChangeOverS">Time in star, s, 0.5 to 120.</param>
    /// <param name="Trip">Trip class of its overload relay.</param>
    /// <param name="StartsPerHour">Starts wanted in an hour.</param>
    /// <param name="Reason">Why.</param>
    public sealed record StarDelta(double ChangeOverS, TripClass Trip, double StartsPerHour, string Reason) : ConverterChoice;

    /// <summary>A soft starter, bypassed once at speed.</summary>
    /// <param name="ItemId">Key of the catalogue item.</param>
    /// <param name="Settings">Its settings.</param>
    /// <param name="Trip">Trip class of its motor protection.</param>
    /// <param name="StartsPerHour">Starts wanted in an hour.</param>
    /// <param name="Reason">Why.</param>
    public sealed record SoftStarter(string ItemId, SoftStarterSettings Settings, TripClass Trip, double StartsPerHour,
        string Reason) : ConverterChoice;

    /// <summary>Starts wanted in an hour of a motor on the line; 0 for converters.</summary>
    public double StartsWanted() => this switch
    {
        AcrossTheLine a => a.StartsPerHour,
        StarDelta s => s.StartsPerHour,
        SoftStarter s => s.StartsPerHour,
        _ => 0,
    };

    /// <summary>True where the motor runs on the line.</summary>
    public bool IsOnLine() => this is AcrossTheLine or StarDelta or SoftStarter;

    /// <summary>Why this choice; empty when none was given.</summary>
    public string ReasonGiven() => this switch
    {
        FromCatalogue c => c.Reason,
        AcrossTheLine a => a.Reason,
        StarDelta s => s.Reason,
        SoftStarter s => s.Reason,
        _ => string.Empty,
    };
}

/// <summary>Overload duty of a converter's rating.</summary>
public enum OverloadDuty
{
    /// <summary>Small overload, larger continuous current: fans and pumps.</summary>
    Light,

    /// <summary>Large overload, smaller continuous current.</summary>
    Heavy,
}

/// <summary>What becomes of a drive in a dip of the supply.</summary>
public enum DipBehaviour
{
    /// <summary>It runs on its link as long as that lasts, then trips.</summary>
    Trips,

    /// <summary>The motor brakes a little and feeds the link from the energy of what turns.</summary>
    KineticBuffering,

    /// <summary>Its pulses are blocked; it catches the turning motor when the supply is back.</summary>
    FlyingStart,
}

/// <summary>What becomes of a cage motor's flux at light load.</summary>
public enum LightLoadFlux
{
    /// <summary>It stays whole: full torque at once, for hoists and axes.</summary>
    Constant,

    /// <summary>It falls with the root of the torque below half of it, as a fan curve does: less loss at light load.</summary>
    Lowered,
}

/// <summary>How a converter controls its motor.</summary>
public enum MotorControl
{
    /// <summary>Voltage over frequency: no model of the motor, any number of motors.</summary>
    Scalar,

    /// <summary>With a model of one motor, without encoder: no full torque at rest.</summary>
    Vector,

    /// <summary>With a model of one motor and an encoder: full torque at rest.</summary>
    VectorWithEncoder,
}

/// <summary>How parallel modules reach one motor.</summary>
public enum ModuleWiring
{
    /// <summary>Each module has a winding of its own.</summary>
    SeparateWindings,

    /// <summary>One winding, each module behind an output choke.</summary>
    OneWindingWithChokes,

    /// <summary>One winding without chokes: the modules drive current into each other.</summary>
    OneWindingBare,
}
