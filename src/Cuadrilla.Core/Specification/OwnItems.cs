using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Specification;

/// <summary>A project's own motors, converters and devices beside the catalogue's.</summary>
public static class OwnItems
{
    /// <summary>The catalogue with them.</summary>
    public static EngineeringData With(this EngineeringData data, PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(data);
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Motors.Count == 0 && plant.Converters.Count == 0 && plant.Devices.Count == 0)
        {
            return data;
        }

        var motors = new Dictionary<string, MotorItem>(data.Motors, StringComparer.Ordinal);
        foreach (var motor in plant.Motors)
        {
            motors[motor.Id] = motor.Item(data.Motors.Values);
        }

        var converters = new Dictionary<string, ConverterItem>(data.Converters, StringComparer.Ordinal);
        foreach (var converter in plant.Converters)
        {
            converters[converter.Id] = converter.Item(data.Converters.Values);
        }

        List<ContactorItem> contactors = [.. plant.Devices.Select(d => d.Contactor()).OfType<ContactorItem>().OrderBy(c => c.Ac3A)];
        return data with
        {
            Motors = motors,
            Converters = converters,
            OwnDevices = [.. plant.Devices.Where(d => d.Kind != OwnDeviceKind.Contactor).OrderBy(d => d.RatedA)],
            Switchgear = contactors.Count == 0 ? data.Switchgear : data.Switchgear with { OwnContactors = contactors },
        };
    }
}
