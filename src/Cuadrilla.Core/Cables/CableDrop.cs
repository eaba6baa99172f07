namespace Cuadrilla.Core.Cables;

/// <summary>Conductors that a current goes through.</summary>
public enum CableSystem
{
    /// <summary>Three phases.</summary>
    ThreePhase,

    /// <summary>There and back on two conductors, alternating.</summary>
    TwoWire,

    /// <summary>There and back on two conductors, direct.</summary>
    Dc,
}

/// <summary>
/// Voltage lost on a cable: ΔU = g·I·(R·cos φ + X·sin φ), g = √3 or 2 (IEC 60364-5-52, annex G), and exactly by phasors with the start at
/// nominal voltage. See <c>docs/methods/cable-voltage.md</c>.
/// </summary>
public static class CableDrop
{
    /// <summary>What is lost.</summary>
    /// <param name="DropV">By the formula of the standard, V.</param>
    /// <param name="ExactDropV">By phasors, V; null where the load can't be fed.</param>
    /// <param name="EndV">Voltage at the end, V; null where the load can't be fed.</param>
    public sealed record Lost(double DropV, double? ExactDropV, double? EndV);

    /// <summary>Voltage lost.</summary>
    /// <param name="nominalVoltageV">Voltage at the start between conductors, V.</param>
    /// <param name="system">Conductors.</param>
    /// <param name="currentA">Current, A.</param>
    /// <param name="powerFactor">cos φ at the end, lagging.</param>
    /// <param name="resistanceOhm">Resistance of one conductor, all parallel cables, Ω.</param>
    /// <param name="reactanceOhm">Reactance of one conductor, Ω.</param>
    public static Lost Of(double nominalVoltageV, CableSystem system, double currentA, double powerFactor, double resistanceOhm,
        double reactanceOhm)
    {
        var by = (system == CableSystem.ThreePhase ? Math.Sqrt(3) : 2) * currentA;
        var sine = Math.Sqrt(1 - (powerFactor * powerFactor));
        var along = by * ((resistanceOhm * powerFactor) + (reactanceOhm * sine));
        var across = by * ((reactanceOhm * powerFactor) - (resistanceOhm * sine));
        var left = (nominalVoltageV * nominalVoltageV) - (across * across);
        var end = left < 0 ? double.NaN : Math.Sqrt(left) - along;
        return end > 0 ? new Lost(along, nominalVoltageV - end, end) : new Lost(along, null, null);
    }
}
