
namespace Cuadrilla.Core.Motors;

/// <summary>Which motor an engineer has chosen.</summary>
public abstract record MotorChoice
{
    private MotorChoice()
    {
    }

    /// <summary>None yet.</summary>
    public sealed record NotChosen : MotorChoice;

    /// <summary>From the catalogue.</summary>
    /// <param name="ItemId">Key of the catalogue item.</param>
    /// <param name="Cooling">How it is cooled.</param>
    /// <param name="RiseUsed">Up to which class the temperature rise is used.</param>
    /// <param name="Connection">How the winding is linked.</param>
    /// <param name="InsulatedBearing">With an insulated bearing at the non-drive end.</param>
    /// <param name="Reason">Why this one when it is not the best candidate; empty when none was given.</param>
    /// <param name="ThermistorTrips">True when thermistors in its winding switch it off.</param>
    public sealed record FromCatalogue(string ItemId, MotorCooling Cooling, ThermalClass RiseUsed, MotorConnection Connection,
        bool InsulatedBearing, string Reason, bool ThermistorTrips = false) : MotorChoice;
}

/// <summary>How a motor is cooled.</summary>
public enum MotorCooling
{
    /// <summary>Fan on the motor's own shaft (IC 411).</summary>
    OwnFan,

    /// <summary>Separately driven fan (IC 416).</summary>
    SeparateFan,

    /// <summary>By its surface alone (IC 410): the same at any speed.</summary>
    Surface,
}

/// <summary>Class up to which the winding's temperature rise is used.</summary>
public enum ThermalClass
{
    /// <summary>80 K.</summary>
    B,

    /// <summary>105 K.</summary>
    F,
}

/// <summary>How the winding is linked.</summary>
public enum MotorConnection
{
    /// <summary>Whichever link of the plate is nearest to the converter's output voltage.</summary>
    Fitting,

    /// <summary>Star: U2, V2, W2 joined.</summary>
    Star,

    /// <summary>Delta: U1–W2, V1–U2, W1–V2.</summary>
    Delta,
}
