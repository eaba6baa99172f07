using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Specification;

/// <summary>A project's own motors and converters beside the catalogue's.</summary>
public static class OwnItems
{
    /// <summary>The catalogue with them.</summary>
    public static EngineeringData With(this EngineeringData data, PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(data);
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Motors.Count == 0 && plant.Converters.Count == 0)
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

        return data with { Motors = motors, Converters = converters };
    }
}
