using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.LongCable;

/// <summary>Which identification runs are possible behind a step-up transformer, in their order: direct current does not pass it.</summary>
public static class IdentificationRuns
{
    /// <summary>All, in the order in which they are done.</summary>
    public static IReadOnlyList<IdentificationRun> Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var magnets = model.Fitted?.Item.Plate.HasMagnets == true;
        List<IdentificationRun> runs =
        [
            new("Resistances at the surface", true, "isolated, locked, proved dead; transformer disconnected",
                "R of motor and cable, spread of the phases", "read at the cable itself, ahead of it nothing conducts"),
            new("Direct current at rest through the transformer", false, "–", "nothing",
                "a transformer passes no direct current: it would read its own primary, or saturate"),
            new("Data calculated and referred to the low side", true, "any",
                "R′ = (R_s + R_cable)/ü² + R_T, L′ likewise", "from plate, readings and the transformer's data"),
            new("Injected alternating current", true, "assembled, at rest; valve open or closed",
                "R′ and leakage L′ at the injected frequency",
                "alternating current passes; above the frequency at which the transformer saturates"),
        ];
        if (magnets)
        {
            runs.Add(new("Alignment of the rotor by direct current", false, "–", "nothing",
                "direct current does not pass the transformer"));
            runs.Add(new("Alignment by a turning current vector", true, "assembled, valve open, nobody at the outlet",
                "position of the rotor to start from", "open loop at 5 to 10 Hz or more, where the transformer does not saturate"));
        }

        runs.Add(new("No-load or light-load run", true, "assembled, valve open; the pump never turns dry",
            magnets ? "back-EMF, inductances at speed" : "magnetising current, rotor time constant",
            "a pump in a well can't be uncoupled: what it takes at low speed is light load"));
        runs.Add(new("Both directions", true, "assembled, valve open", "rotation: the direction with more water is right",
            "swap two conductors on the high side only isolated, locked and proved dead"));
        return runs;
    }

    /// <summary>True for a way that works through a transformer.</summary>
    public static bool Works(MotorIdentification way) => way is MotorIdentification.Calculated or MotorIdentification.AlternatingInjection
        or MotorIdentification.AtSpeed;
}

/// <summary>A run.</summary>
/// <param name="Name">What is done.</param>
/// <param name="Possible">False where it does not work in this installation.</param>
/// <param name="State">State of the well meanwhile.</param>
/// <param name="Unlocks">Values that it gives.</param>
/// <param name="Why">Why it is possible or not.</param>
public sealed record IdentificationRun(string Name, bool Possible, string State, string Unlocks, string Why);
