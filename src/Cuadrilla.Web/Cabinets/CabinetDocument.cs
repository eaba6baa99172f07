using Cuadrilla.Core.Studies.Cabinets;

namespace Cuadrilla.Web.Cabinets;

/// <summary>Cabinets of a lineup.</summary>
/// <param name="HeightMm">Height without plinth, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="PlinthMm">Plinth, mm.</param>
/// <param name="WidthMm">All sections side by side, mm.</param>
/// <param name="MassKg">All of them, kg.</param>
/// <param name="FloorKgPerM2">Largest load of the floor below a section, kg/m².</param>
/// <param name="IncomingA">Largest current of the lineup, A.</param>
/// <param name="FanM3PerH">Air of a section behind its mats, m³/h; null while not known.</param>
/// <param name="PermittedC">Air permitted inside, °C.</param>
/// <param name="RoomW">Heat into the room in the worst scenario, W; null while a part is not known.</param>
/// <param name="RoomM3PerH">Air that carries it at 10 K, m³/h.</param>
/// <param name="SparePct">Front of the sections for units that is free, %; null without such sections.</param>
/// <param name="Missing">What is missing before all units are known.</param>
/// <param name="Sections">From the supply on.</param>
/// <param name="Transports">Numbers of the sections that are moved together.</param>
internal sealed record CabinetDocument(double HeightMm, double DepthMm, double PlinthMm, double WidthMm, double MassKg,
    double FloorKgPerM2, double IncomingA, double? FanM3PerH, double PermittedC, double? RoomW, double? RoomM3PerH, double? SparePct,
    IReadOnlyList<string> Missing, IReadOnlyList<SectionDocument> Sections, IReadOnlyList<IReadOnlyList<int>> Transports)
{
    private const double RoomRiseK = 10;

    public static CabinetDocument Of(CabinetStudy study, BusbarCurrents busbar)
    {
        var sections = study.Layout.Sections;
        var room = study.RoomW();
        return new CabinetDocument(study.HeightMm, study.DepthMm, study.PlinthMm, study.Layout.WidthMm, sections.Sum(study.MassKg),
            sections.Max(s => study.MassKg(s) / (s.WidthMm * study.DepthMm) * 1e6), study.IncomingA, study.FanM3PerH,
            study.PermittedC, room,
            room is { } watts ? Core.Cabinets.AirFlow.M3PerH(watts, RoomRiseK, study.Site.AltitudeM) : null,
            study.SparePct(), study.Missing, [.. sections.Select(s => SectionDocument.Of(study, s, busbar))],
            [.. study.Transports().Select(t => (IReadOnlyList<int>)[.. t.Select(s => s.Number)])]);
    }
}

/// <summary>A section.</summary>
/// <param name="Number">From the supply on.</param>
/// <param name="Kind">What it is for.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="SurfaceM2">Effective surface, m².</param>
/// <param name="WorstScenario">Scenario in which it is warmest; empty while none can be computed.</param>
/// <param name="LossW">Loss inside it there, W.</param>
/// <param name="TopC">Air under its roof there, °C; null while data are missing.</param>
/// <param name="BusbarA">Largest current of the busbar in it, A; null while it can't be computed.</param>
/// <param name="Units">What stands in it.</param>
internal sealed record SectionDocument(int Number, SectionKind Kind, double WidthMm, double MassKg, double SurfaceM2, string WorstScenario,
    double? LossW, double? TopC, double? BusbarA, IReadOnlyList<PlacedDocument> Units)
{
    public static SectionDocument Of(CabinetStudy study, CabinetSection section, BusbarCurrents busbar)
    {
        var worst = study.AirOf(section).OrderByDescending(a => a.TopC ?? double.NegativeInfinity).ThenByDescending(a => a.LossW)
            .FirstOrDefault();
        return new SectionDocument(section.Number, section.Kind, section.WidthMm, study.MassKg(section), study.SurfaceM2(section),
            worst?.Scenario.Name ?? string.Empty, worst?.LossW, worst?.TopC, busbar.In(section),
            [.. section.Units.Select(u => PlacedDocument.Of(u, study.AirOf(section)))]);
    }
}

/// <summary>A unit in its section.</summary>
/// <param name="Id">Its key.</param>
/// <param name="PointId">Drive point of its cell; empty for a supply module.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">Tag and name.</param>
/// <param name="LeftMm">Left edge in the section, mm.</param>
/// <param name="BottomMm">Lower edge above the section's floor, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="AirM3PerH">Air of its own fan, m³/h.</param>
/// <param name="ByHand">Put there by hand.</param>
/// <param name="LossW">Largest loss in a scenario, W; null while it can't be computed.</param>
/// <param name="InletC">Warmest air that it takes in, °C; null while data are missing.</param>
internal sealed record PlacedDocument(string Id, string PointId, CabinetUnitKind Kind, string Name, double LeftMm, double BottomMm,
    double WidthMm, double HeightMm, double DepthMm, double MassKg, double AirM3PerH, bool ByHand, double? LossW, double? InletC)
{
    public static PlacedDocument Of(PlacedUnit placed, IReadOnlyList<SectionAir> air)
    {
        var unit = placed.Unit;
        double? inlet = null;
        foreach (var at in air.Where(a => a.InletC.ContainsKey(unit.Id)))
        {
            inlet = Math.Max(inlet ?? at.InletC[unit.Id], at.InletC[unit.Id]);
        }

        return new PlacedDocument(unit.Id, unit.PointId, unit.Kind, unit.Name, placed.LeftMm, placed.BottomMm, unit.Size.WidthMm,
            unit.Size.HeightMm, unit.Size.DepthMm, unit.Size.MassKg, unit.AirM3PerH, placed.IsByHand,
            air.Count == 0 ? null : air.Max(a => unit.LossW(a.Scenario)), inlet);
    }
}
