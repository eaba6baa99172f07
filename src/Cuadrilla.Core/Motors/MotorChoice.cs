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
    /// <param name="Reason">Why this one when it is not the best candidate; empty when none was given.</param>
    public sealed record FromCatalogue(string ItemId, MotorCooling Cooling, ThermalClass RiseUsed, string Reason) : MotorChoice;
}

/// <summary>How a motor is cooled.</summary>
public enum MotorCooling
{
    /// <summary>Fan on the motor's own shaft (IC 411).</summary>
    OwnFan,

    /// <summary>Separately driven fan (IC 416).</summary>
    SeparateFan,
}

/// <summary>Class up to which the winding's temperature rise is used.</summary>
public enum ThermalClass
{
    /// <summary>80 K.</summary>
    B,

    /// <summary>105 K.</summary>
    F,
}
