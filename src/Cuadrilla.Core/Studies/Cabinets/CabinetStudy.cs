using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Cabinets of one lineup: units in their sections, heat and air in every scenario; method <c>docs/methods/cabinets.md</c>.
/// </summary>
public sealed class CabinetStudy
{
    // A bridge's link, 3·√2/π, at a line 10 % below its nominal voltage.
    private const double LowestLinkPu = 1.35 * 0.9;

    private readonly Dictionary<int, IReadOnlyList<SectionAir>> air;
    private readonly Dictionary<string, double> inlets;
    private readonly List<Scenario> scenarios;

    private CabinetStudy(PlantSpecification plant, Lineup lineup, CabinetBuild build, IReadOnlyList<DrivePointModel> models,
        EngineeringData data)
    {
        (Lineup, Build, Site) = (lineup, build, plant.Site);
        var series = data.Cabinets;
        Series = series;
        (Units, Missing) = CabinetUnits.Of(lineup, models, data, plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
        IncomingA = plant.Scenarios.Max(s => Units.Sum(u => u.LineA(s) ?? 0));
        Layout = new CabinetLayout(build, Units, series, IncomingA);
        Heat = build is { FactorK.IsKnown: true, FactorC.IsKnown: true }
            ? new EnclosureHeat(build.FactorK.Value, build.FactorD.Or(1), build.FactorC.Value, build.Cooling == CabinetCooling.Vented)
            : null;
        air = Layout.Sections.ToDictionary(s => s.Number, s => (IReadOnlyList<SectionAir>)[.. plant.Scenarios
            .Select(scenario => FurtherW(s, scenario) is { } further
                ? SectionAir.Of(build, s, Heat, Site, scenario, further, series.SinkInsidePu)
                : null)
            .OfType<SectionAir>()]);
        scenarios = [.. plant.Scenarios];
        inlets = WarmestInlets();
    }

    /// <summary>Computes it; null for a lineup without cabinets.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="lineup">Lineup of it.</param>
    /// <param name="models">Its drive points.</param>
    /// <param name="data">The catalogue.</param>
    public static CabinetStudy? Of(PlantSpecification plant, Lineup lineup, IReadOnlyList<DrivePointModel> models, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(data);
        return lineup.Cabinets is { } build ? new CabinetStudy(plant, lineup, build, models, data) : null;
    }

    /// <summary>The lineup.</summary>
    public Lineup Lineup { get; }

    /// <summary>Entries.</summary>
    public CabinetBuild Build { get; }

    /// <summary>Where it stands.</summary>
    public Site Site { get; }

    /// <summary>Generic sections.</summary>
    public CabinetSeries Series { get; }

    /// <summary>All units in the order of the power.</summary>
    public IReadOnlyList<CabinetUnit> Units { get; }

    /// <summary>What is missing before all units are known.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>Largest current of the lineup, A, at the power factor of the series.</summary>
    public double IncomingA { get; }

    /// <summary>Units in sections.</summary>
    public CabinetLayout Layout { get; }

    /// <summary>Heat of a section without fan; null while k or c is missing.</summary>
    public EnclosureHeat? Heat { get; }

    /// <summary>How many scenarios the plant has.</summary>
    public int Scenarios => scenarios.Count;

    /// <summary>Height without plinth, mm.</summary>
    public double HeightMm => Build.HeightMm.Or(CabinetUsual.HeightMm);

    /// <summary>Depth, mm.</summary>
    public double DepthMm => Build.DepthMm.Or(CabinetUsual.DepthMm);

    /// <summary>Plinth, mm.</summary>
    public double PlinthMm => Build.PlinthMm.Or(CabinetUsual.PlinthMm);

    /// <summary>Air permitted inside, °C.</summary>
    public double PermittedC => Build.PermittedC.Or(CabinetUsual.PermittedC);

    /// <summary>Air that a section's fan moves behind its mats, m³/h; null while the fan is not known.</summary>
    public double? FanM3PerH => Build.FanM3PerH.IsKnown ? Build.FanM3PerH.Value * AirFlow.LeftPu(Build.Mats) : null;

    /// <summary>A section in the scenarios that can be computed.</summary>
    public IReadOnlyList<SectionAir> AirOf(CabinetSection section)
    {
        ArgumentNullException.ThrowIfNull(section);
        return air[section.Number];
    }

    /// <summary>Mass of a section, kg.</summary>
    public double MassKg(CabinetSection section)
    {
        ArgumentNullException.ThrowIfNull(section);
        var empty = section.Kind == SectionKind.FreeStanding ? 0 : section.WidthMm / 1e3 * Series.EmptyKgPerM;
        return empty + section.FurtherKg + section.Units.Sum(u => u.Unit.Size.MassKg);
    }

    /// <summary>Effective surface of a section, m²; those at the ends have a free side.</summary>
    public double SurfaceM2(CabinetSection section)
    {
        ArgumentNullException.ThrowIfNull(section);
        return new Enclosure(section.WidthMm / 1e3, HeightMm / 1e3, DepthMm / 1e3, TopFree: true, RearFree: false,
            LeftFree: section.Number == 1, RightFree: section.Number == Layout.Sections.Count).SurfaceM2;
    }

    /// <summary>Part of the front of the sections for units that none of them takes with its clearances, %; null without such
    /// sections.</summary>
    public double? SparePct()
    {
        var fronts = Layout.Sections.Where(s => s.Kind == SectionKind.Units).ToList();
        var all = fronts.Sum(s => s.WidthMm * HeightMm);
        var taken = fronts.SelectMany(s => s.Units).Select(u => u.Unit).Sum(u =>
            (u.Size.WidthMm + (2 * u.Clearance.BesideMm)) * (u.Size.HeightMm + u.Clearance.AboveMm + u.Clearance.BelowMm));
        return all > 0 ? Math.Max(0, 100 * (1 - (taken / all))) : null;
    }

    /// <summary>Largest current of a common DC bus in a section, of all scenarios: what units in it and beyond take, added up as numbers at
    /// the lowest voltage of a link behind diodes, A; null while something is missing.</summary>
    /// <param name="section">Section.</param>
    /// <param name="lineV">Nominal voltage of the line, V.</param>
    public double? DcBusbarA(CabinetSection section, double lineV)
    {
        ArgumentNullException.ThrowIfNull(section);
        var beyond = Layout.Sections.Where(s => s.Number >= section.Number).SelectMany(s => s.Units).Select(u => u.Unit).ToList();
        var powers = scenarios.ConvertAll(s => beyond.ConvertAll(u => u.LinkW(s)));
        return Missing.Count > 0 || powers.Exists(s => s.Contains(null)) ? null
            : powers.Max(s => s.Sum(w => w!.Value)) / (LowestLinkPu * lineV);
    }

    /// <summary>Sections that are moved together: as by hand, or as many as stay within the width and mass of a transport.</summary>
    public IReadOnlyList<IReadOnlyList<CabinetSection>> Transports()
    {
        List<List<CabinetSection>> found = [];
        var byHand = Build.Splits.Select(s => s.Behind).ToHashSet();
        foreach (var section in Layout.Sections)
        {
            if (found.Count == 0 || byHand.Contains(section.Number - 1))
            {
                found.Add([]);
            }
            else if (byHand.Count == 0 && (found[^1].Sum(s => s.WidthMm) + section.WidthMm > Series.TransportMm
                || found[^1].Sum(MassKg) + MassKg(section) > Series.TransportKg))
            {
                found.Add([]);
            }

            found[^1].Add(section);
        }

        return found;
    }

    /// <summary>Heat into the room in its worst scenario, W; null while a part of it can't be computed.</summary>
    public double? RoomW() => Missing.Count == 0 && Layout.Sections.All(s => AirOf(s).Count == Scenarios)
        ? Enumerable.Range(0, Scenarios).Max(i => Layout.Sections.Sum(s => AirOf(s)[i].LossW + AirOf(s)[i].OutsideW))
        : null;

    /// <summary>Warmest air that a drive point's unit takes in, °C; null where it stands in no section or data are missing.</summary>
    public double? InletC(string pointId) => inlets.TryGetValue(pointId, out var inlet) ? inlet : null;

    // Over all scenarios, by the drive points that a unit feeds.
    private Dictionary<string, double> WarmestInlets()
    {
        Dictionary<string, double> warmest = new(StringComparer.Ordinal);
        foreach (var section in Layout.Sections)
        {
            foreach (var unit in section.Units.Select(u => u.Unit).Where(u => u.Kind != CabinetUnitKind.Filter))
            {
                foreach (var inlet in AirOf(section).Where(a => a.InletC.ContainsKey(unit.Id)).Select(a => a.InletC[unit.Id]))
                {
                    foreach (var id in unit.Feeds)
                    {
                        warmest[id] = Math.Max(warmest.GetValueOrDefault(id, inlet), inlet);
                    }
                }
            }
        }

        return warmest;
    }

    /// <summary>True where one of some units runs in a scenario: of the others nothing is known but what they lose at rest.</summary>
    public bool Runs(IEnumerable<CabinetUnit> units)
    {
        ArgumentNullException.ThrowIfNull(units);
        return units.Any(u => u.Feeds.Any(id => scenarios.Exists(s => s.StateOf(id).Running)));
    }

    /// <summary>A scenario of the plant; null where there is none of that key.</summary>
    internal Scenario? Scenario(string id) => scenarios.Find(s => s.Id == id);

    // The incoming devices by what all units draw; null while one of them is not known.
    private double? FurtherW(CabinetSection section, Scenario scenario) => section.Kind switch
    {
        SectionKind.Incoming => Units.All(u => u.LineA(scenario) is not null)
            ? Series.IncomingLossWPerA * Units.Sum(u => u.LineA(scenario)!.Value)
            : null,
        SectionKind.Control => Series.ControlW,
        _ => 0,
    };
}
