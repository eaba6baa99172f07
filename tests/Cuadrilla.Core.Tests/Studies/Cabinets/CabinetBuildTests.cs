using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Cabinets;

/// <summary>What is entered of cabinets beside their units: parted for transport, dew point, DC busbar, spare.</summary>
public sealed class CabinetBuildTests
{
    private static readonly Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantSpecification Demo = DemoChanges.WithoutCabinets;
    private static readonly CabinetBuild Fans = CabinetBuild.Open with { FanM3PerH = 1500, RoomMm = 9000 };

    [Fact]
    public void It_is_parted_where_somebody_says()
    {
        var study = Study(0, Fans with { Splits = [new TransportSplit(1), new TransportSplit(3)] });
        Assert.Equal([1, 2, study.Layout.Sections.Count - 3], study.Transports().Select(t => t.Count));
    }

    [Fact]
    public void What_is_free_and_what_is_taken_are_the_front()
    {
        var study = Study(0, Fans);
        var fronts = study.Layout.Sections.Where(s => s.Kind == SectionKind.Units).ToList();
        var taken = fronts.SelectMany(s => s.Units).Sum(u => (u.Unit.Size.WidthMm + (2 * u.Unit.Clearance.BesideMm))
            * (u.Unit.Size.HeightMm + u.Unit.Clearance.AboveMm + u.Unit.Clearance.BelowMm));
        Assert.Equal(fronts.Sum(s => s.WidthMm * 2000) * (100 - study.SparePct()!.Value) / 100, taken, 3);
    }

    // 38 °C at 80 %: water falls out below 34 °C.
    [Theory]
    [InlineData(30, Verdict.Fails)]
    [InlineData(36, Verdict.Holds)]
    public void A_cooler_stays_above_the_dew_point(double cooledC, Verdict verdict)
    {
        var plant = With(0, CabinetBuild.Open with { Cooling = CabinetCooling.Cooled, CoolerW = 20_000, CooledC = cooledC,
            HumidityPct = 80 });
        Assert.All(Assessor.Run(plant).Checks.Where(c => c.Id == "cabinet.heat" && c.Verdict != Verdict.NeedsData),
            c => Assert.Equal(verdict, c.Verdict));
    }

    // The axes of the third lineup on their common bus.
    [Theory]
    [InlineData(1, Verdict.Fails)]
    [InlineData(2000, Verdict.Holds)]
    public void A_dc_busbar_carries_its_members(double ratedA, Verdict verdict)
    {
        var plant = With(2, Fans with { DcBusbarA = ratedA });
        var check = Assessor.Run(plant).Checks.Single(c => c.Id == "cabinet.busbar"
            && c.ElementId.EndsWith("/dc", StringComparison.Ordinal));
        Assert.Equal(verdict, check.Verdict);
    }

    [Fact]
    public void Nothing_is_said_of_a_dc_busbar_on_which_nothing_runs()
    {
        var plant = With(2, Fans with { DcBusbarA = 2000 });
        var ids = plant.Lineups[2].DrivePoints.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        plant = plant with { Scenarios = [.. plant.Scenarios.Select(s => s with
        {
            States = [.. s.States.Where(x => !ids.Contains(x.DrivePointId)), .. ids.Select(i => new DrivePointState(i, false, 1, 1))],
        })] };
        Assert.Equal(Verdict.NeedsData, Assessor.Run(plant).Checks
            .Single(c => c.Id == "cabinet.busbar" && c.ElementId.EndsWith("/dc", StringComparison.Ordinal)).Verdict);
    }

    // What flows in the first section is what all members take over the voltage of their link.
    [Fact]
    public void Currents_of_the_dc_busbar_add_up()
    {
        var study = Study(2, Fans);
        var sections = study.Layout.Sections.Where(s => s.Kind == SectionKind.Units).ToList();
        var members = study.Units.Where(u => u.Kind == CabinetUnitKind.Converter).ToList();
        var powers = Demo.Scenarios.Select(s => members.Sum(u => u.LinkW(s)!.Value)).ToList();
        Assert.Equal(powers.Max() / (1.35 * 0.9 * 400), study.DcBusbarA(sections[0], 400)!.Value, 6);
        Assert.Equal(sections.Select(s => study.DcBusbarA(s, 400)!.Value).OrderDescending(),
            sections.Select(s => study.DcBusbarA(s, 400)!.Value));
    }

    private static CabinetStudy Study(int lineup, CabinetBuild build)
    {
        var plant = With(lineup, build);
        return Assessor.Cabinets(plant, plant.Lineups[lineup])!;
    }

    private static PlantSpecification With(int lineup, CabinetBuild build) =>
        Demo with { Lineups = [.. Demo.Lineups.Select((l, i) => i == lineup ? l with { Cabinets = build } : l)] };
}
