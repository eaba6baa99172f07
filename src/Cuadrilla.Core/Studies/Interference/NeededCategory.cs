using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary>Category that a drive is to keep where it stands, and why (IEC 61800-3).</summary>
/// <param name="Category">The least strict that does; null where the environment is not known.</param>
/// <param name="Why">In words.</param>
/// <param name="ByPlan">True where a plan for the plant takes the place of limits.</param>
public sealed record NeededCategory(EmcCategory? Category, string Why, bool ByPlan)
{
    private const double LargeA = 400;
    private const double HighV = 1000;

    /// <summary>Of a drive on a bus.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="bus">Its bus.</param>
    /// <param name="ratedA">Rated current of its converter, A.</param>
    public static NeededCategory Of(PlantSpecification plant, Bus bus, double ratedA)
    {
        var (environment, taken) = Environment(plant);
        if (environment == EmcEnvironment.NotStated)
        {
            return new NeededCategory(null, taken, false);
        }

        var plan = bus.Earthing is EarthingSystem.It
            ? "an IT system"
            : bus.NominalVoltageV >= HighV ? "1000 V and more" : ratedA >= LargeA ? "400 A and more" : string.Empty;
        return environment == EmcEnvironment.First
            ? new NeededCategory(EmcCategory.C2, $"first environment{taken}, installed by professionals", false)
            : plan.Length > 0
                ? new NeededCategory(EmcCategory.C4, $"second environment{taken}, {plan}", true)
                : new NeededCategory(EmcCategory.C3, $"second environment{taken}", false);
    }

    /// <summary>Environment in words of the project, or as it is taken; then the second part says why, else it is empty or what is
    /// missing.</summary>
    public static (EmcEnvironment Environment, string Taken) Environment(PlantSpecification plant)
    {
        // What nobody states follows where the plant has medium voltage or a generator of its own: nobody else hangs on its low voltage.
        if (plant.Conventions.Environment != EmcEnvironment.NotStated)
        {
            return (plant.Conventions.Environment, string.Empty);
        }

        return plant.Distribution.Buses.FirstOrDefault(b => b.Id == plant.Source.BusId) is { NominalVoltageV: >= HighV }
            ? (EmcEnvironment.Second, " (taken: its own transformer feeds it; the project can state another)")
            : plant.Source.Strength is SourceStrength.Generator
                ? (EmcEnvironment.Second, " (taken: its own generator feeds it; the project can state another)")
                : (EmcEnvironment.NotStated, "electromagnetic environment of the project");
    }
}
