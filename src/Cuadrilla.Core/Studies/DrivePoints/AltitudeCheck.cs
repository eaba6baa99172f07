using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>
/// <c>emc.altitude-insulation</c>: above 2000 m clearances hold less voltage, so that the earthing system of the converter's bus decides
/// whether it may stand there without a transformer of its own. Not asked below.
/// </summary>
internal static class AltitudeCheck
{
    public const string Id = "emc.altitude-insulation";
    public const string Title = "Clearances at this altitude";

    /// <summary>Altitude up to which clearances are those of the converter's standard, m.</summary>
    public const double FreeM = 2000;

    public static IEnumerable<Check> Of(DrivePointModel model, Site site, Bus bus)
    {
        if (model.Converter is not { Item: var item } || site.AltitudeM <= FreeM)
        {
            yield break;
        }

        if (bus.Earthing == EarthingSystem.NotStated)
        {
            yield return Check.Lacking(Id, model.Id, BoardRow.Converter, Title,
                [$"earthing system of {bus.Name} (the plant stands at {Text.N(site.AltitudeM)} m)"]);
            yield break;
        }

        var starEarthed = bus.Earthing is not (EarthingSystem.It or EarthingSystem.CornerEarthed);
        var kept = starEarthed && site.AltitudeM <= item.Derating.AltitudeMaxM;
        var found = (starEarthed, kept) switch
        {
            (true, true) => "a conductor stands at the phase voltage against earth",
            (true, false) => $"the converter is for {Text.N(item.Derating.AltitudeMaxM)} m at most",
            _ => "a conductor stands, or with one earth fault comes to stand, at the line-to-line voltage against earth",
        };
        yield return CheckWriter.Rule(
            Id, model.Id, BoardRow.Converter, Title, kept ? Verdict.Holds : Verdict.Fails,
            "Relief: an isolating transformer with earthed star point ahead of it, or the maker's written statement for this altitude and "
                + "system.",
            new Reason(
                "above 2000 m: star point earthed (TN, TT) and altitude within the converter's own limit",
                $"{Text.N(site.AltitudeM)} m, {Name(bus.Earthing)} at {bus.Name}: {found}",
                "IEC 61800-5-1 and IEC 60664-1 (clearances × 1.14 at 3000 m, × 1.29 at 4000 m)",
                [ReasonInput.Of("altitude", site.AltitudeM, "m", "site"),
                    ReasonInput.Of("highest permitted altitude", item.Derating.AltitudeMaxM, "m", item.Id)]));
    }

    private static string Name(EarthingSystem system) => system switch
    {
        EarthingSystem.TnS => "TN-S",
        EarthingSystem.TnCS => "TN-C-S",
        EarthingSystem.TnC => "TN-C",
        EarthingSystem.Tt => "TT",
        EarthingSystem.It => "IT",
        EarthingSystem.CornerEarthed => "corner-earthed",
        _ => throw new ArgumentOutOfRangeException(nameof(system), system, "A stated earthing system."),
    };
}
