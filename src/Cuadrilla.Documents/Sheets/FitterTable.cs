using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Interference;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What the fitter of a lineup is to do against interference, as it follows from this plant: screens, earth, filter links,
/// separations, bearings.</summary>
internal static class FitterTable
{
    private const double SymmetricalFromMm2 = 10;

    public static SheetTable Of(PlantSpecification plant, Lineup lineup, Assessor assessor)
    {
        var bus = plant.Distribution.Bus(lineup.BusId);
        List<(string Subject, string Rule, string Tag)> rules = [.. lineup.DrivePoints.SelectMany(p =>
            Rules(p, assessor.Interference(plant, p), bus))];
        var ids = lineup.DrivePoints.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var clashes = (assessor.Separation(plant)?.Clashes ?? [])
            .Where(c => ids.Contains(c.Disturbing.PointId) || ids.Contains(c.Disturbed.PointId));
        rules.AddRange(clashes.Select(c => (
            "Separation",
            $"in {string.Join(", ", c.Stretches.Select(s => s.Disturbing.Name).Distinct())}: "
                + $"{(c.ApartMm is null ? "state the gap between the trays" : $"{Text.N(c.NeededMm)} mm from {c.Disturbed.Tag}; it has {Text.N(c.ApartMm.Value)} mm")}",
            c.Disturbing.Tag)));
        rules.AddRange((assessor.Routes(plant)?.Cables ?? [])
            .Where(c => ids.Contains(c.PointId) && c.Class == CableClass.VerySensitive && c.Way.Count > 0)
            .Select(c => ("Signals", "its screen connected at both ends in a meshed bond, else one end by a capacitor; nothing coiled up; "
                + "spare cores earthed at one end", c.Tag)));
        if (lineup.Residual.IsFitted)
        {
            rules.Add(("Residual current", $"{Device(lineup.Residual)} ahead of all of it; none of type A or F upstream", lineup.Tag));
        }

        return new SheetTable(
            "Interference: for the fitter",
            ["subject", "what is to be done", "where"],
            [
                .. rules.GroupBy(r => (r.Subject, r.Rule)).OrderBy(g => g.Key.Subject, StringComparer.Ordinal)
                    .Select(g => (IReadOnlyList<string>)[g.Key.Subject, g.Key.Rule, string.Join(", ", g.Select(r => r.Tag).Distinct())]),
            ]);
    }

    private static IEnumerable<(string Subject, string Rule, string Tag)> Rules(DrivePoint point, InterferenceFigures figures, Bus bus)
    {
        var (tag, interference) = (point.Tag, point.Interference);
        if (figures.Chops)
        {
            yield return point.Cable.Screened
                ? ("Screen", "motor cable: screen of at least 85 % cover over 360° at gland plate and terminal box; no pigtail beyond 50 "
                    + "mm; right up to the terminals", tag)
                : ("Screen", "motor cable without screen: in metal trunking of its own, bonded at both ends; a filter's category is not "
                    + "kept with it", tag);
            if (point.Cable.CrossSectionMm2 is { IsKnown: true, Value: > SymmetricalFromMm2 })
            {
                yield return ("Screen", "motor cable symmetrical, with three protective conductors or a concentric one", tag);
            }
        }

        if (figures.Leaks is { TotalMa: > FilterLeakage.ReinforcedFromMa } leaks)
        {
            var how = interference.EarthDouble
                ? "two equal protective conductors on terminals of their own"
                : interference.EarthMonitored ? "its loss disconnects: test it" : "10 mm² copper or 16 mm² aluminium all the way";
            yield return (
                "Earth", $"leaks more than 3.5 mA: fixed connection, {how}; connected first, parted last; label at the converter",
                $"{tag} (up to {Text.N(Math.Ceiling(leaks.TotalMa / 10) * 10)} mA)");
        }

        if (figures.Item is not null)
        {
            yield return ("Filter", bus.Earthing is EarthingSystem.It or EarthingSystem.CornerEarthed
                ? "open the earth links of filter and varistors, dead and discharged; note it at the converter"
                : interference.LinksOpen ? "earth links are stated open: close them, this system is earthed"
                    : "earth links of filter and varistors stay closed", tag);
        }

        if (interference.Residual.IsFitted)
        {
            yield return ("Residual current", $"{Device(interference.Residual)} in its feeder", tag);
        }

        foreach (var remedy in Remedies(point))
        {
            yield return ("Bearings", remedy, tag);
        }
    }

    private static IEnumerable<string> Remedies(DrivePoint point)
    {
        var stated = point.Interference;
        if (point.Motor is MotorChoice.FromCatalogue { InsulatedBearing: true })
        {
            yield return "insulated bearing at the non-drive end: never bridge it; coupling and encoder insulated";
        }

        if (stated.ShaftRing)
        {
            yield return "earthing ring at the shaft: clean, in contact, bonded short";
        }

        if (stated.CommonModeCores)
        {
            yield return "cores around the three phases at the converter's output, screen and protective conductor outside";
        }

        if (stated.FrameBonded)
        {
            yield return "frame bonded to the machine by a short, wide strap on bare metal";
        }
    }

    private static string Device(ResidualDevice device) =>
        $"{(device.Kind == ResidualKind.MonitorB ? "monitor of type B" : "type " + device.Kind.ToString()["Type".Length..].ToUpperInvariant())}{(device.RatedMa.IsKnown ? $", {Text.N(device.RatedMa.Value)} mA" : string.Empty)}";
}
