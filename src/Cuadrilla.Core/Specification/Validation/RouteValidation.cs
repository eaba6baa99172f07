using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks places, trays and ways of a plant.</summary>
internal static class RouteValidation
{
    private const int MostPlaces = 500;
    private const int MostSegments = 1000;
    private const int MostCables = 5000;
    private const string OnPlan = "a place of the plan";

    public static void Check(PlantSpecification plant, ProblemList p)
    {
        const string at = "/routes";
        var routes = plant.Routes;
        p.Require(routes.Places.Count <= MostPlaces, at + "/places", "Number of places", $"{routes.Places.Count}", $"up to {MostPlaces}");
        p.Require(routes.Segments.Count <= MostSegments, at + "/segments", "Number of trays", $"{routes.Segments.Count}",
            $"up to {MostSegments}");
        p.Require(routes.Cables.Count <= MostCables, at + "/cables", "Number of cables entered by hand", $"{routes.Cables.Count}",
            $"up to {MostCables}");
        var places = Keys(routes.Places, l => l.Id, at + "/places", "Place key", p);
        var segments = Keys(routes.Segments, s => s.Id, at + "/segments", "Tray key", p);
        Keys(routes.Cables, c => c.Id, at + "/cables", "Cable key", p);
        p.Require(routes.Receivers.Count <= MostPlaces, at + "/receivers", "Number of receivers", $"{routes.Receivers.Count}",
            $"up to {MostPlaces}");
        Keys(routes.Receivers, r => r.Id, at + "/receivers", "Receiver key", p);
        Keys(routes.Ways, w => w.CableId, at + "/ways", "Way", p);
        for (var i = 0; i < routes.Segments.Count; i++)
        {
            var (segment, here) = (routes.Segments[i], $"{at}/segments/{i}");
            p.Require(places.Contains(segment.FromPlaceId), here + "/fromPlaceId", "From", $"'{segment.FromPlaceId}'", OnPlan);
            p.Require(places.Contains(segment.ToPlaceId), here + "/toPlaceId", "To", $"'{segment.ToPlaceId}'", OnPlan);
            p.Require(segment.FromPlaceId != segment.ToPlaceId, here + "/toPlaceId", "To", $"'{segment.ToPlaceId}'",
                "another place than it comes from");
            p.Require(
                segment.BesideId.Length == 0 || (segments.Contains(segment.BesideId) && segment.BesideId != segment.Id), here + "/besideId",
                "Beside", $"'{segment.BesideId}'",
                "another tray of the plan, or none");
        }

        for (var i = 0; i < routes.Cables.Count; i++)
        {
            Optional(routes.Cables[i].FromPlaceId, places, $"{at}/cables/{i}/fromPlaceId", "From", p);
            Optional(routes.Cables[i].ToPlaceId, places, $"{at}/cables/{i}/toPlaceId", "To", p);
        }

        for (var i = 0; i < routes.Ways.Count; i++)
        {
            foreach (var id in routes.Ways[i].SegmentIds.Where(id => !segments.Contains(id)))
            {
                p.Require(false, $"{at}/ways/{i}/segmentIds", "Way", $"'{id}'", "trays of the plan");
            }
        }

        Lineups(plant, p);
    }

    /// <summary>Places of the lineups of a plant as they stand.</summary>
    public static void Lineups(PlantSpecification plant, ProblemList p)
    {
        var places = plant.Routes.Places.Select(l => l.Id).ToHashSet(StringComparer.Ordinal);
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            Optional(plant.Lineups[i].PlaceId, places, $"/lineups/{i}/placeId", "Place of the lineup", p);
            for (var j = 0; j < plant.Lineups[i].DrivePoints.Count; j++)
            {
                var (interference, here) = (plant.Lineups[i].DrivePoints[j].Interference, $"/lineups/{i}/drivePoints/{j}/interference");
                Optional(interference.PlaceId, places, here + "/placeId", "Place of the converter", p);
                Optional(interference.MotorPlaceId, places, here + "/motorPlaceId", "Place of the motor", p);
            }
        }
    }

    private static void Optional(string id, HashSet<string> places, string at, string name, ProblemList p) =>
        p.Require(id.Length == 0 || places.Contains(id), at, name, $"'{id}'", OnPlan + ", or none");

    private static HashSet<string> Keys<T>(IReadOnlyList<T> items, Func<T, string> key, string at, string name, ProblemList p)
    {
        HashSet<string> keys = new(StringComparer.Ordinal);
        for (var i = 0; i < items.Count; i++)
        {
            p.Unique($"{at}/{i}/id", name, key(items[i]), keys);
        }

        return keys;
    }
}
