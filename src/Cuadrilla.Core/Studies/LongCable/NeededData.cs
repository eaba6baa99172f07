using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.LongCable;

/// <summary>What a converter has to know of motor, cable and transformer behind it, whether it is there, and how each is got.</summary>
public static class NeededData
{
    /// <summary>All, in the order of the chain.</summary>
    public static IReadOnlyList<NeededDatum> Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var entered = model.Input.DrivePoint.StepUp ?? StepUpSupply.Open;
        var plate = model.Fitted?.Item.Plate;
        var (transformer, read) = (entered.Transformer, entered.Readings);
        List<NeededDatum> data =
        [
            new("voltage, current, power factor, speed of the motor", plate is not null, "plate or motor file"),
            new("resistance of winding and cable", read is { UvOhm.IsKnown: true, VwOhm.IsKnown: true, WuOhm.IsKnown: true },
                "three readings between conductors at the surface, isolated and proved dead; parted by length and section of the cable"),
            new("resistance of the cable by its maker", entered.Well.ResistanceOhmPerKm.IsKnown,
                "data sheet of the cable; else from section and metal"),
            new("temperature profile of the well", entered.Well is { SurfaceC.IsKnown: true, GradientKPerKm.IsKnown: true },
                "thermometer at the surface, gauge of the well; 25 to 30 K/km where nobody measured"),
            new("impedance and losses of the transformer", transformer is { UkPct.IsKnown: true, LoadLossKw.IsKnown: true },
                "test report of the transformer"),
            new("frequency down to which the transformer is designed", transformer.DesignHz.IsKnown,
                "ask its maker; taken as that of the motor until then"),
            new("inductance and capacitance of the sine filter",
                entered.Filter is { InductanceMh.IsKnown: true, CapacitanceUf.IsKnown: true },
                "data sheet of the filter"),
        ];
        if (plate?.HasMagnets == true)
        {
            data.Add(new("back-EMF of the magnets", plate.BackEmfVPerKrpm > 0, "motor file, or a run at speed by flying start"));
        }
        else
        {
            data.Add(new("magnetising current", plate is not null,
                "estimated from the plate; measured in a run at light load: a pump in a well can't be uncoupled"));
        }

        data.Add(new("time until the column has drained", entered.Start.BackSpinMin.IsKnown,
            "watch the speed after a stop; 10 min, deep wells 30"));
        return data;
    }
}

/// <summary>Something that has to be known.</summary>
/// <param name="Name">What.</param>
/// <param name="Known">True where it is entered.</param>
/// <param name="How">How it is got.</param>
public sealed record NeededDatum(string Name, bool Known, string How);
