using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>The cables of a plant: those that follow from its drive points, and those entered by hand.</summary>
internal static class PlantCables
{
    public static IEnumerable<RoutedCable> Of(PlantSpecification plant) =>
        plant.Lineups.SelectMany(l => l.DrivePoints.SelectMany(p => Of(p, l, MotorsOf(plant, p.Id))))
        .Concat(plant.Routes.Cables.Select(c => new RoutedCable(
            c.Id, c.Tag, RouteRole.ByHand, c.Kind, SignalKinds.ClassOf(c.Kind), c.Screen, string.Empty, c.FromPlaceId, c.ToPlaceId)));

    /// <summary>Key of a drive point's cable.</summary>
    public static string KeyOf(string pointId, RouteRole role) => $"{pointId}:{role.ToString().ToLowerInvariant()}";

    private static int MotorsOf(PlantSpecification plant, string pointId) =>
        plant.GroupOf(pointId)?.Members.First(m => m.PointId == pointId).Count ?? 1;

    private static IEnumerable<RoutedCable> Of(DrivePoint point, Lineup lineup, int motors)
    {
        var at = point.Interference.PlaceId.Length > 0 ? point.Interference.PlaceId : lineup.PlaceId;
        var motor = point.Interference.MotorPlaceId;
        RoutedCable Cable(RouteRole role, string name, SignalKind? signal, CableClass of, ReceiverScreen screen, string from, string to) =>
            new(KeyOf(point.Id, role), $"{point.Tag} {name}", role, signal, of, screen, point.Id, from, to);

        if (point.Feeder is Feeder.ByCable fed)
        {
            yield return Cable(RouteRole.Feeder, "feeder", null, CableClass.Supply, ReceiverScreen.None, lineup.PlaceId,
                at) with { Runs = fed.ParallelRuns };
        }

        // On the line its voltage has no edges.
        var chops = point.Converter is ConverterChoice.FromCatalogue or ConverterChoice.OfGroup or ConverterChoice.NotChosen;
        yield return Cable(
            RouteRole.Motor, "motor", null, chops
                ? CableClass.Noisy
                : CableClass.Supply, point.Cable.Screened ? ReceiverScreen.Braid : ReceiverScreen.None, at,
                motor) with { Runs = point.Cable.ParallelRuns * motors };
        if (point.Brake is HoldingBrake.SpringApplied)
        {
            // Its wires run in the motor cable or beside it under the same screen.
            yield return Cable(RouteRole.Brake, "brake", SignalKind.Brake, CableClass.Noisy,
                point.Cable.Screened ? ReceiverScreen.Braid : ReceiverScreen.None, at, motor);
        }

        if (point.Converter is ConverterChoice.FromCatalogue { Control: MotorControl.VectorWithEncoder })
        {
            yield return Cable(RouteRole.Encoder, "encoder", SignalKind.Encoder, CableClass.VerySensitive, ReceiverScreen.Braid, at, motor);
        }

        if (point.Motor is MotorChoice.FromCatalogue { ThermistorTrips: true })
        {
            yield return Cable(RouteRole.Thermistor, "thermistors", SignalKind.Thermistor, CableClass.Sensitive, ReceiverScreen.Foil,
                at, motor);
        }
    }
}
