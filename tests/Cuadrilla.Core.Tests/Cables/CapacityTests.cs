using Cuadrilla.Catalogue;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Base;
using CsCheck;

namespace Cuadrilla.Core.Tests.Cables;

/// <summary>Capacities as the table has them, never between two sections, never better for what is worse.</summary>
public sealed class CapacityTests
{
    private static readonly CableTables Tables = ReferenceCatalogue.Data.Cables;

    private static readonly double[] Sections = [1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120, 150, 185, 240, 300];

    [Theory]
    [InlineData(CableInsulation.Pvc, InstallationMethod.B2, 2.5, 20)]
    [InlineData(CableInsulation.Pvc, InstallationMethod.C, 1.5, 17.5)]
    [InlineData(CableInsulation.Pvc, InstallationMethod.E, 120, 276)]
    [InlineData(CableInsulation.Xlpe, InstallationMethod.B2, 240, 398)]
    [InlineData(CableInsulation.Xlpe, InstallationMethod.C, 95, 278)]
    [InlineData(CableInsulation.Xlpe, InstallationMethod.E, 300, 621)]
    public void The_table_is_reproduced(CableInsulation insulation, InstallationMethod method, double section, double ampere) =>
        Assert.Equal(ampere, Tables.CapacityA(Row(section), insulation, method, ConductorMaterial.Copper));

    [Fact]
    public void Every_column_rises_and_better_air_and_insulation_never_carry_less()
    {
        Assert.Equal(Sections, Tables.Rows.Select(r => r.SectionMm2));
        foreach (var insulation in Enum.GetValues<CableInsulation>())
        {
            foreach (var method in Enum.GetValues<InstallationMethod>())
            {
                var column = Tables.Rows.Select(r => Tables.CapacityA(r, insulation, method, ConductorMaterial.Copper)).OfType<double>()
                    .ToList();
                Assert.Equal(column.Order(), column);
            }
        }

        Assert.All(Tables.Rows.Where(r => r.PvcA[0] is not null),
            r => Assert.True(r.PvcA[0] < r.PvcA[1] && r.PvcA[1] < r.PvcA[2] && r.XlpeA[0] < r.XlpeA[1] && r.XlpeA[1] < r.XlpeA[2],
                $"{r.SectionMm2}"));
        Assert.All(Tables.Rows, r => Assert.True(r.PvcA[2] < r.XlpeA[2]));
    }

    [Fact]
    public void B2_ends_at_240_and_aluminium_begins_at_16()
    {
        Assert.Null(Tables.CapacityA(Row(300), CableInsulation.Xlpe, InstallationMethod.B2, ConductorMaterial.Copper));
        Assert.Null(Tables.CapacityA(Row(10), CableInsulation.Xlpe, InstallationMethod.C, ConductorMaterial.Aluminium));
        Assert.Equal(0.77 * 96, Tables.CapacityA(Row(16), CableInsulation.Xlpe, InstallationMethod.C,
            ConductorMaterial.Aluminium)!.Value, 1e-9);
    }

    // The rounded table of the standard, against the formula.
    [Theory]
    [InlineData(CableInsulation.Pvc, 35, 0.94)]
    [InlineData(CableInsulation.Pvc, 40, 0.87)]
    [InlineData(CableInsulation.Pvc, 45, 0.79)]
    [InlineData(CableInsulation.Pvc, 50, 0.71)]
    [InlineData(CableInsulation.Xlpe, 35, 0.96)]
    [InlineData(CableInsulation.Xlpe, 40, 0.91)]
    [InlineData(CableInsulation.Xlpe, 45, 0.87)]
    [InlineData(CableInsulation.Xlpe, 50, 0.82)]
    [InlineData(CableInsulation.Pvc, 30, 1)]
    public void The_factor_for_temperature_is_the_formula_behind_the_table(CableInsulation insulation, double ambientC, double rounded) =>
        Assert.Equal(rounded, CurrentCapacity.TemperatureFactor(insulation, ambientC), 0.0051);

    [Theory]
    [InlineData(10, 1, 32)]
    [InlineData(20, 0.86, 32)]
    [InlineData(40, 0.86, 36)]
    [InlineData(60, 1, 54)]
    public void The_neutral_heats_or_counts_as_annex_E_has_it(double thirdPct, double harmonic, double sizingA)
    {
        // 30 A behind a breaker of 32 A: its I_2 is 1.45·I_n.
        var size = CurrentCapacity.Smallest(Duty() with { CurrentA = 30, DeviceA = 32, DeviceFactor = 1.45, ThirdHarmonicPct = thirdPct },
            Tables);
        Assert.Equal((harmonic, 3 * thirdPct / 100 * 30), (size.HarmonicPu, size.NeutralA));
        Assert.Equal(sizingA, size.SizingA, 1e-9);
    }

    [Fact]
    public void What_is_proposed_holds_and_the_next_smaller_does_not()
    {
        Gen.Select(Gen.Double[1, 1500], Gen.Double[-20, 65], Gen.Int[1, 9], Gen.Double[0, 100], Gen.Enum<InstallationMethod>(),
            Gen.Enum<CableInsulation>()).Sample((device, ambient, circuits, third, method, insulation) =>
        {
            var duty = Duty() with { CurrentA = 0.8 * device, DeviceA = device, AmbientC = ambient, Circuits = circuits,
                ThirdHarmonicPct = third, Method = method, Insulation = insulation };
            var size = CurrentCapacity.Smallest(duty, Tables);
            double? Carries(CapacityRow row) =>
                Tables.CapacityA(row, insulation, method, ConductorMaterial.Copper) * size.TemperaturePu * size.GroupPu * size.HarmonicPu;
            Assert.All(Tables.Rows.TakeWhile(r => size.SectionMm2 is not { } s || r.SectionMm2 < s),
                r => Assert.False(Carries(r) >= size.SizingA));
            if (size.SectionMm2 is { } section)
            {
                Assert.Contains(section, Sections);
                Assert.True(size.CapacityA >= size.SizingA);
            }
        });
    }

    [Fact]
    public void Hotter_more_crowded_or_more_current_never_takes_a_smaller_section()
    {
        Gen.Select(Gen.Double[5, 400], Gen.Double[10, 60], Gen.Int[1, 8], Gen.Double[1, 1.3]).Sample((device, ambient, circuits, by) =>
        {
            var duty = Duty() with { CurrentA = device, DeviceA = device, AmbientC = ambient, Circuits = circuits };
            double Of(CurrentCapacity.Duty d) => CurrentCapacity.Smallest(d, Tables).SectionMm2 ?? double.PositiveInfinity;
            var now = Of(duty);
            Assert.True(Of(duty with { AmbientC = Math.Min(69, ambient * by) }) >= now);
            Assert.True(Of(duty with { Circuits = circuits + 1 }) >= now);
            Assert.True(Of(duty with { DeviceA = device * by, CurrentA = device * by }) >= now);
            Assert.True(Of(duty with { Insulation = CableInsulation.Xlpe }) <= now);
        });
    }

    private static CurrentCapacity.Duty Duty() => new(
        100, 100, 1.6, CableInsulation.Pvc, InstallationMethod.C, ConductorMaterial.Copper, 30, CableGrouping.Bunched, 1, 1, 0);

    private static CapacityRow Row(double section) => Tables.Rows.Single(r => r.SectionMm2 == section);

    // 50 mm² XLPE in a duct: 135 A at 20 °C and 2.5 K·m/W; soil at 35 °C √(55/70), 3 K·m/W 0.96, two ducts 0.85.
    [Theory]
    [InlineData(20, 2.5, 1, 135)]
    [InlineData(35, 2.5, 1, 119.664)]
    [InlineData(20, 3, 2, 110.16)]
    [InlineData(20, 2.2, 1, 135)]
    [InlineData(20, 1, 1, 159.3)]
    public void In_the_ground_soil_and_ducts_count_and_not_the_air(double soilC, double soilKmPerW, int circuits, double expectedA)
    {
        var laid = new CableInstallation(CableInsulation.Xlpe, InstallationMethod.D, 60, CableGrouping.Bunched, circuits,
            CableCores.ThreePhase) { SoilC = soilC, SoilKmPerW = soilKmPerW };
        var capacityA = CurrentCapacity.CapacityA(50, 1, ConductorMaterial.Copper, laid, laid.SurroundC(40), 0,
            ReferenceCatalogue.Data.Cables);
        Assert.Equal(expectedA, capacityA!.Value, 0.01);
    }

    [Fact]
    public void Soil_that_nobody_knows_is_as_warm_as_the_air()
    {
        var laid = new CableInstallation(CableInsulation.Pvc, InstallationMethod.D, Given.Unknown, CableGrouping.Bunched, 1,
            CableCores.ThreePhase);
        Assert.Equal(38, laid.SurroundC(38));
        Assert.Equal(12, (laid with { SoilC = 12 }).SurroundC(38));
    }

    // NFPA 70, table 430.250: a metric 11 kW is taken for 15 hp, between two powers and beyond the voltages there is none.
    [Theory]
    [InlineData(100, 460, 124.0)]
    [InlineData(100, 575, 99.0)]
    [InlineData(100, 230, 248.0)]
    [InlineData(14.75, 460, 21.0)]
    [InlineData(12.5, 460, null)]
    [InlineData(250, 230, null)]
    [InlineData(100, 400, null)]
    public void The_US_code_has_its_own_currents_of_motors(double ratedHp, double voltageV, double? expectedA) =>
        Assert.Equal(expectedA, ReferenceCatalogue.Data.UsConductors.MotorA(ratedHp, voltageV));
}
