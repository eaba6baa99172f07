using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>The cables of a plant: those that follow from its drive points, and those entered by hand.</summary>
internal static class PlantCables
{
    public static IEnumerable<RoutedCable> Of(PlantSpecification plant, SignalStudy? signals) =>
        plant.Lineups.SelectMany(l => l.DrivePoints.SelectMany(p => With(Of(p, l, MotorsOf(plant, p.Id)), signals?.Of(p.Id))))
        .Concat(plant.Routes.Cables.Select(c => new RoutedCable(
            c.Id, c.Tag, RouteRole.ByHand, c.Kind, SignalKinds.ClassOf(c.Kind), c.Screen, string.Empty, c.FromPlaceId, c.ToPlaceId)));

    /// <summary>Key of a drive point's cable.</summary>
    public static string KeyOf(string pointId, RouteRole role) => $"{pointId}:{role.ToString().ToLowerInvariant()}";

    // Signals on the list have a cable of their own where the drive point does not say it already.
    private static IEnumerable<RoutedCable> With(IEnumerable<RoutedCable> own, PointSignals? unit)
    {
        List<RoutedCable> cables = [.. own];
        var seen = cables.Select(c => c.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var run in unit is null ? [] : SignalRuns.Of(unit))
        {
            var role = RoleOf(run);
            var key = KeyOf(run.PointId, role);
            if (role is RouteRole.Brake or RouteRole.Encoder or RouteRole.Thermistor && seen.Contains(key))
            {
                continue;
            }

            var id = seen.Add(key) ? key : $"{key}:{run.Kind.ToString().ToLowerInvariant()}:"
                + $"{(run.ToController ? "controller" : "machine")}:{run.ToPlaceId}";
            seen.Add(id);
            cables.Add(new RoutedCable(id, $"{unit!.Point.Tag} {Name(role)}{(run.ToController ? string.Empty : ", machine")}", role,
                run.Kind,
                SignalKinds.ClassOf(run.Kind), ScreenOf(run.Kind), run.PointId, unit.PlaceId, run.ToPlaceId));
        }

        return cables;
    }

    private static RouteRole RoleOf(SignalRun run) => run.Kind switch
    {
        SignalKind.Thermistor => RouteRole.Thermistor,
        SignalKind.Brake => RouteRole.Brake,
        SignalKind.Fieldbus => RouteRole.Bus,
        SignalKind.Voltage or SignalKind.Current => RouteRole.Analogue,
        SignalKind.Encoder => run.Signals.All(s => s.Wanted.Function == SignalFunction.Encoder) ? RouteRole.Encoder : RouteRole.Pulses,
        _ => RouteRole.Control,
    };

    private static string Name(RouteRole role) => role switch
    {
        RouteRole.Analogue => "analogue",
        RouteRole.Bus => "fieldbus",
        RouteRole.Thermistor => "thermistors",
        _ => role.ToString().ToLowerInvariant(),
    };

    private static ReceiverScreen ScreenOf(SignalKind kind) => kind switch
    {
        SignalKind.Control24V => ReceiverScreen.None,
        SignalKind.Thermistor => ReceiverScreen.Foil,
        _ => ReceiverScreen.Braid,
    };

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
