using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Drawings;

/// <summary>Power circuit of a drive point from what is specified of it.</summary>
public static class WiringSource
{
    /// <summary>Wiring picture of a drive point.</summary>
    public static Drawing Of(PlantSpecification plant, DrivePoint point, Assessor assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(assessor);
        return WiringDrawing.Of(Parts(plant, point, assessor), assessor.Signals(plant).Of(point.Id));
    }

    private static WiringParts Parts(PlantSpecification plant, DrivePoint point, Assessor assessor)
    {
        var units = plant.Conventions.Units;
        var lineup = plant.LineupOf(point.Id);
        var bus = plant.Distribution.Bus(lineup.BusId);
        var model = assessor.Study(plant, point).Model;
        var dcBus = plant.DcBusOf(point.Id);
        IReadOnlyList<string> conductors = point.Sun is not null || dcBus is not null ? ["+", "−"]
            : lineup.OnePhase is { } one ? one.ToNeutral ? ["L1", "N"] : ["L1", "L2"]
            : ["L1", "L2", "L3"];
        var supply = point.Sun is not null ? "from the sun, direct current"
            : dcBus is not null ? $"common DC bus {dcBus.Name}"
            : $"{bus.Name}, {Text.N(lineup.OnePhase?.VoltageOn(bus.NominalVoltageV) ?? bus.NominalVoltageV)} V, "
                + $"{Text.N(plant.Source.FrequencyHz)} Hz";
        var motor = model.Fitted;
        return new WiringParts(supply, conductors, Devices(assessor.Protection(plant), point), !point.Converter.IsOnLine(),
            Unit(point, model),
            Output(point, model), Cable(point, units), WiringParts.LinksOf(point, ConnectionOf(point, motor)), Motor(point, motor, units));
    }

    // A plate with one voltage has one link: star.
    private static MotorConnection? ConnectionOf(DrivePoint point, FittedMotor? motor) => motor is null ? null
        : motor.Connected.Plate.DeltaVoltageV > 0 ? motor.Connected.IsDelta ? MotorConnection.Delta : MotorConnection.Star
        : point.Motor is MotorChoice.FromCatalogue { Connection: MotorConnection.Delta } ? MotorConnection.Delta : MotorConnection.Star;

    private static IReadOnlyList<WiringDevice> Devices(ProtectionPlan plan, DrivePoint point)
    {
        var row = plan.Devices.FirstOrDefault(d => d.DrivePointId == point.Id);
        List<WiringDevice> devices = [];
        var device = point.Devices.Device;
        devices.Add(new WiringDevice(row is { Device.Length: > 0 } ? row.Device : "protective device not chosen",
            device is ProtectiveDevice.Fuse or ProtectiveDevice.SemiconductorFuse, device is not ProtectiveDevice.NotChosen));
        if (point.Devices.ContactorA.IsKnown || point.Converter is ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta)
        {
            devices.Add(new WiringDevice(point.Devices.ContactorA.IsKnown
                ? $"contactor {Text.N(point.Devices.ContactorA.Value)} A"
                : "contactor",
                false, false));
        }

        return devices;
    }

    private static IReadOnlyList<string> Unit(DrivePoint point, DrivePointModel model) => point.Converter switch
    {
        ConverterChoice.FromCatalogue => model.WholeItem is { } item
            ? [$"{point.Tag} converter", $"{Text.N(item.RatedKw)} kW"] : [$"{point.Tag} converter"],
        ConverterChoice.OfGroup => [$"{point.Tag}: converter of its group"],
        ConverterChoice.SoftStarter => [$"{point.Tag} soft starter"],
        ConverterChoice.StarDelta => [$"{point.Tag} star-delta", "line, delta and star contactor"],
        ConverterChoice.AcrossTheLine => [$"{point.Tag} overload relay"],
        _ => [$"{point.Tag}: not chosen"],
    };

    private static IReadOnlyList<string> Output(DrivePoint point, DrivePointModel model)
    {
        List<string> found = [];
        if (model.Filter is { } filter)
        {
            found.Add(filter.Name);
        }

        if (point.StepUp is not null)
        {
            found.Add("step-up transformer");
        }

        return found;
    }

    private static string Cable(DrivePoint point, UnitSystem units)
    {
        var cable = point.Cable;
        var section = cable.CrossSectionMm2.IsKnown ? Schedules.Schedules.Section(units, cable.CrossSectionMm2.Value) : "section open";
        var length = cable.LengthM.IsKnown ? UnitTable.Of("m").Say(units, cable.LengthM.Value) : "length open";
        return $"{(cable.ParallelRuns > 1 ? $"{cable.ParallelRuns} × " : string.Empty)}{section}, "
            + $"{length}{(cable.Screened ? ", screened, screen at both ends" : string.Empty)}";
    }

    private static IReadOnlyList<string> Motor(DrivePoint point, FittedMotor? motor, UnitSystem units) => motor is null
        ? [$"{point.Tag} motor not chosen"]
        : [point.Name, UnitTable.Sentence(units, $"{Text.N(motor.Connected.Plate.RatedPowerW / 1e3)} kW, "
            + $"{Text.N(motor.Connected.Plate.RatedVoltageV)} V, {Text.N(motor.Connected.Plate.RatedCurrentA)} A"),
            WiringParts.LinksOf(point, ConnectionOf(point, motor)) switch
            {
                WiringLinks.Star => "links: star, W2–U2–V2",
                WiringLinks.Delta => "links: delta, U1–W2, V1–U2, W1–V2",
                _ => "no links: six conductors",
            }];
}
