using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>
/// Cables that never carry more than 30 % of their own capacity, as hard as they can be grouped: they warm their neighbours so little
/// that those do not count them (IEC 60364-5-52, B.52.17). See <c>docs/methods/cable-capacity.md</c>.
/// </summary>
internal static class LightCircuits
{
    private const double LightPu = 0.3;

    // An overload relay may let this through for two hours.
    private const double RelayPu = 1.2;

    /// <summary>Keys of such cables of drive points; none under a code that counts every conductor, nor of motors in groups.</summary>
    public static HashSet<string> Of(PlantSpecification plant, EngineeringData data)
    {
        if (plant.Conventions.Installation != InstallationCode.Iec60364 || plant.Cables is not { } usual)
        {
            return [];
        }

        var known = data.With(plant);
        return [.. plant.Lineups.SelectMany(l => l.DrivePoints.Where(p => plant.GroupOf(p.Id) is null)
            .SelectMany(p => Of(p, SupplyOf(l, plant.Distribution.Bus(l.BusId)), usual, plant.Site.AmbientMaxC, known)))];
    }

    // Where there is one phase, that of its two conductors; else by what the converter is made for.
    private static Func<ConverterItem?, double> SupplyOf(Lineup lineup, Bus bus) => lineup.OnePhase is { } one
        ? _ => one.VoltageOn(bus.NominalVoltageV)
        : converter => OutputVoltage.SupplyOf(converter, bus.NominalVoltageV);

    private static IEnumerable<string> Of(DrivePoint point, Func<ConverterItem?, double> supplyOf, CableInstallation usual, double ambientC,
        EngineeringData data)
    {
        var (motorA, feederA) = MostA(point, supplyOf, data);
        if (point.Cable.CrossSectionMm2.IsKnown
            && motorA <= LightPu * LeastA(point.Cable.CrossSectionMm2.Value, point.Cable.ParallelRuns, point.Cable.Material,
                point.Cable.Installation ?? usual))
        {
            yield return PlantCables.KeyOf(point.Id, RouteRole.Motor);
        }

        if (point.Feeder is Feeder.ByCable { CrossSectionMm2.IsKnown: true } feeder
            && feederA <= LightPu * LeastA(feeder.CrossSectionMm2.Value, feeder.ParallelRuns, feeder.Material,
                feeder.Installation ?? usual))
        {
            yield return PlantCables.KeyOf(point.Id, RouteRole.Feeder);
        }

        double LeastA(double mm2, int parallel, ConductorMaterial material, CableInstallation laid) => parallel * CurrentCapacity.CapacityA(
            mm2, 1, material, laid with { Grouping = CableGrouping.Bunched, Circuits = CableInstallation.MostCircuits },
            laid.SurroundC(ambientC), 0, data.Cables) ?? 0;
    }

    // The most that its converter gives or draws for ever, or that the relay of a motor on the line stands; without end where that is not
    // known.
    private static (double MotorA, double FeederA) MostA(DrivePoint point, Func<ConverterItem?, double> supplyOf,
        EngineeringData data)
    {
        if (point.Motor is not MotorChoice.FromCatalogue motor || data.Motors.GetValueOrDefault(motor.ItemId) is not { } item)
        {
            return (double.PositiveInfinity, double.PositiveInfinity);
        }

        var choice = point.Converter as ConverterChoice.FromCatalogue;
        var converter = choice is null ? null : data.Converters.GetValueOrDefault(choice.ItemId);
        var supplyV = supplyOf(converter);
        var ratedA = ConnectedMotor.Of(item.Plate, motor.Connection, supplyV, supplyV).Plate.RatedCurrentA;
        return (choice, converter) switch
        {
            ({ } c, { } unit) => (Math.Max(ratedA, c.Modules * unit.LightCurrentA),
                c.Modules * Math.Max(unit.LightCurrentA, unit.RatedInputA)),
            (null, _) when point.Converter is ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta or ConverterChoice.SoftStarter =>
                (RelayPu * ratedA, RelayPu * ratedA),
            _ => (double.PositiveInfinity, double.PositiveInfinity),
        };
    }
}
