using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Interference;

/// <summary>Category, motor cable, earth, residual current, earthing system and bearings of drive points of the example, changed one at a
/// time.</summary>
public sealed class EmcChecksTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    private static Check Of(PlantSpecification plant, string id, string point, string element = "") =>
        Assessor.Run(plant).Checks.Single(c => c.Id == id && c.DrivePointId == point && c.ElementId == element);

    private static PlantSpecification With(string point, Func<PointInterference, PointInterference> change) =>
        DemoChanges.Changed(point, p => p with { Interference = change(p.Interference) });

    private static PlantSpecification Earthed(EarthingSystem system, bool monitored = false) => Demo with
    {
        Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b.Id == "bus-a"
            ? b with { Earthing = system, InsulationMonitored = monitored }
            : b)] },
    };

    [Theory]
    [InlineData(EmcEnvironment.Second, EmcFilter.AsDelivered, Verdict.Holds)]
    [InlineData(EmcEnvironment.First, EmcFilter.AsDelivered, Verdict.Fails)]
    [InlineData(EmcEnvironment.First, EmcFilter.ForC2, Verdict.Holds)]
    [InlineData(EmcEnvironment.Second, EmcFilter.None, Verdict.Fails)]
    [InlineData(EmcEnvironment.Second, EmcFilter.ForC1, Verdict.NeedsData)]
    public void A_category_holds_where_it_is_declared_and_strict_enough(EmcEnvironment environment, EmcFilter filter, Verdict verdict)
    {
        var plant = With("dp-02", i => i with { Filter = filter }) with { Conventions = Demo.Conventions
            with { Environment = environment } };
        Assert.Equal(verdict, Of(plant, "emc.category", "dp-02").Verdict);
    }

    [Fact]
    public void Beyond_what_is_declared_nothing_holds()
    {
        Verdict Changed(Func<DrivePoint, DrivePoint> change) => Of(DemoChanges.Changed("dp-02", change), "emc.category", "dp-02").Verdict;
        Assert.Equal(Verdict.NeedsData, Changed(p => p with { Cable = p.Cable with { LengthM = 101 } }));
        Assert.Equal(Verdict.NeedsData, Changed(p => p with { Cable = p.Cable with { Screened = false } }));
        Assert.Equal(Verdict.NeedsData,
            Changed(p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { SwitchingKhz = 6 } }));
        Assert.Equal(Verdict.Fails, Changed(p => p with { Interference = p.Interference with { LinksOpen = true } }));

        // A converter of one's own that declares nothing is as open as its list.
        var own = Demo with { Converters = [new OwnConverter("own", "U-55", "House list", "1", ConverterKind.SixPulse, 55, 400, 108, 88, 4,
            110, 150, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown)] };
        own = DemoChanges.Changed(own, "dp-02",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = "own" } });
        Assert.Equal(Verdict.NeedsData, Of(own, "emc.category", "dp-02").Verdict);
        Assert.Equal(Verdict.NeedsData, Of(own, "emc.motor-cable", "dp-02").Verdict);
        Assert.Equal(Verdict.NeedsData, Of(own, "emc.earth-leakage", "dp-02").Verdict);
        own = own with { Converters = [own.Converters[0] with { EmcFilter = EmcFilter.ForC3, FilterToM = 60, FilterToKhz = 4,
            FilterUf = 0.2, MostScreenedM = 60 }] };
        Assert.Equal(Verdict.Holds, Of(own, "emc.category", "dp-02").Verdict);
        Assert.Equal(Verdict.Holds, Of(own, "emc.motor-cable", "dp-02").Verdict);
        Assert.Equal(Verdict.Holds, Of(own, "emc.earth-leakage", "dp-02").Verdict);
    }

    [Fact]
    public void An_environment_that_nobody_states_is_asked_for_on_a_low_voltage_source_and_named_behind_a_transformer()
    {
        var open = Demo with { Conventions = Demo.Conventions with { Environment = EmcEnvironment.NotStated } };
        Assert.Contains("its own transformer", Of(open, "emc.category", "dp-02").Reason.WithNumbers, StringComparison.Ordinal);
        var low = open with { Source = open.Source with { BusId = "bus-a" }, Pcc = open.Pcc with { BusId = "bus-a" } };
        Assert.Equal(Verdict.NeedsData, Of(low, "emc.category", "dp-02").Verdict);
    }

    [Fact]
    public void A_charging_current_is_that_of_the_engine()
    {
        var check = Of(Demo, "emc.motor-cable", "dp-01", "charging");
        var expected = CommonMode.NfPerM(120) * 62 * 1e-9 * (3 * Math.Sqrt(2) / Math.PI * 400) * 4e3;
        Assert.Equal(expected, check.Figure.Value, 1e-4 * expected);
        Assert.Equal(0.1 * ReferenceCatalogue.Data.Converters["six-pulse-choke-160"].LightCurrentA, check.Limit.Value, 9);
        var sine = DemoChanges.Changed("dp-02",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = OutputFilter.Sine } });
        Assert.DoesNotContain(Assessor.Run(sine).Checks, c => c is { Id: "emc.motor-cable", DrivePointId: "dp-02" });
    }

    [Fact]
    public void What_leaks_asks_for_an_earth_that_is_thick_doubled_or_watched()
    {
        PlantSpecification Thin(Func<PointInterference, PointInterference> change) => DemoChanges.Changed(
            "dp-03", p => p with { Feeder = ((Feeder.ByCable)p.Feeder) with { ProtectiveMm2 = 6 }, Interference = change(p.Interference) });
        Assert.Equal(Verdict.Fails, Of(Thin(i => i), "emc.earth-leakage", "dp-03").Verdict);
        Assert.Equal(Verdict.Holds, Of(Thin(i => i with { EarthDouble = true }), "emc.earth-leakage", "dp-03").Verdict);
        Assert.Equal(Verdict.Holds, Of(Thin(i => i with { EarthMonitored = true }), "emc.earth-leakage", "dp-03").Verdict);
        Assert.Equal(Verdict.Holds, Of(Demo, "emc.earth-leakage", "dp-03").Verdict);
        var open = DemoChanges.Changed("dp-03",
            p => p with { Feeder = ((Feeder.ByCable)p.Feeder) with { ProtectiveMm2 = Given.Unknown, CrossSectionMm2 = Given.Unknown } });
        Assert.Equal(Verdict.NeedsData, Of(open, "emc.earth-leakage", "dp-03").Verdict);
    }

    [Theory]
    [InlineData("dp-02", ResidualKind.TypeA, Verdict.Fails)]
    [InlineData("dp-02", ResidualKind.TypeF, Verdict.Fails)]
    [InlineData("dp-02", ResidualKind.TypeB, Verdict.Holds)]
    [InlineData("dp-17", ResidualKind.TypeA, Verdict.Fails)]
    [InlineData("dp-17", ResidualKind.TypeF, Verdict.Holds)]
    [InlineData("dp-01", ResidualKind.TypeB, Verdict.Tight)]
    [InlineData("dp-01", ResidualKind.MonitorB, Verdict.Holds)]
    [InlineData("dp-04", ResidualKind.TypeA, Verdict.Tight)]
    [InlineData("dp-04", ResidualKind.MonitorB, Verdict.Holds)]
    [InlineData("dp-04", ResidualKind.TypeAc, Verdict.Fails)]
    public void A_residual_current_device_sees_what_its_drive_can_leak(string point, ResidualKind kind, Verdict verdict) =>
        Assert.Equal(verdict, Of(With(point, i => i with { Residual = new ResidualDevice(kind, 500) }), "emc.rcd", point).Verdict);

    [Fact]
    public void Standing_leakage_adds_up_ahead_of_a_lineup()
    {
        var guarded = Demo with { Lineups = [.. Demo.Lineups.Select(l => l.Id == "l1"
            ? l with { Residual = new ResidualDevice(ResidualKind.MonitorB, 300) }
            : l)] };
        var check = Of(guarded, "emc.rcd", string.Empty, "l1");
        var sum = guarded.Lineups[0].DrivePoints.Select(p => Assessor.Interference(guarded, p).Leaks?.TotalMa ?? 0).Sum();
        Assert.Equal(sum, check.Figure.Value, 1e-3);
        Assert.Equal(90, check.Limit.Value);
        Assert.Equal(Verdict.Fails, check.Verdict);
        var open = Demo with { Lineups = [.. Demo.Lineups.Select(l => l.Id == "l1"
            ? l with { Residual = new ResidualDevice(ResidualKind.MonitorB, Given.Unknown) }
            : l)] };
        Assert.Equal(Verdict.NeedsData, Of(open, "emc.rcd", string.Empty, "l1").Verdict);
    }

    [Fact]
    public void On_tt_a_device_is_asked_for_and_elsewhere_none()
    {
        Assert.Equal(Verdict.NotApplicable, Of(Demo, "emc.rcd", "dp-02").Verdict);
        Assert.Equal(Verdict.NeedsData, Of(Earthed(EarthingSystem.Tt), "emc.rcd", "dp-02").Verdict);
        var none = DemoChanges.Changed(Earthed(EarthingSystem.Tt), "dp-02",
            p => p with { Interference = p.Interference with { Residual = new ResidualDevice(ResidualKind.None, Given.Unknown) } });
        Assert.Equal(Verdict.Fails, Of(none, "emc.rcd", "dp-02").Verdict);
    }

    [Fact]
    public void It_and_corner_earthed_systems_ask_for_open_links()
    {
        PlantSpecification Open(PlantSpecification plant) =>
            DemoChanges.Changed(plant, "dp-02", p => p with { Interference = p.Interference with { LinksOpen = true } });
        Assert.Equal(Verdict.Fails, Of(Earthed(EarthingSystem.It, monitored: true), "emc.it-system", "dp-02").Verdict);
        Assert.Equal(Verdict.NeedsData, Of(Open(Earthed(EarthingSystem.It)), "emc.it-system", "dp-02").Verdict);
        Assert.Equal(Verdict.Holds, Of(Open(Earthed(EarthingSystem.It, monitored: true)), "emc.it-system", "dp-02").Verdict);
        Assert.Equal(Verdict.Fails, Of(Earthed(EarthingSystem.CornerEarthed), "emc.it-system", "dp-02").Verdict);
        Assert.Equal(Verdict.Holds, Of(Open(Earthed(EarthingSystem.CornerEarthed)), "emc.it-system", "dp-02").Verdict);
        Assert.Contains("DP-02", Of(Earthed(EarthingSystem.It), "emc.category", string.Empty, "emc-plan").Reason.WithNumbers,
            StringComparison.Ordinal);
    }

    [Fact]
    public void Bearings_are_judged_by_cause_and_only_what_ends_it_counts()
    {
        PlantSpecification Bearing(Func<DrivePoint, DrivePoint> change) =>
            DemoChanges.Changed("dp-01", p =>
                change(p with { Motor = ((MotorChoice.FromCatalogue)p.Motor) with { InsulatedBearing = true } }));
        ConverterChoice Khz(DrivePoint p, double khz) => ((ConverterChoice.FromCatalogue)p.Converter) with { SwitchingKhz = khz };
        Assert.Equal(Verdict.Fails, Of(Demo, "motor.bearings", "dp-01").Verdict);
        var slowed = DemoChanges.Changed("dp-01",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = OutputFilter.DvDt } });
        Assert.Contains("dv/dt filter does not end it", Of(slowed, "motor.bearings", "dp-01").Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Equal(Verdict.Holds, Of(Bearing(p => p), "motor.bearings", "dp-01").Verdict);
        Assert.Equal(Verdict.Tight, Of(Bearing(p => p with { Converter = Khz(p, 8) }), "motor.bearings", "dp-01").Verdict);
        Assert.Equal(Verdict.Holds, Of(Bearing(p =>
            p with { Converter = Khz(p, 8), Interference = p.Interference with { CommonModeCores = true } }), "motor.bearings",
                "dp-01").Verdict);
        Assert.Equal(Verdict.Tight, Of(Bearing(p => p with { Cable = p.Cable with { Screened = false } }), "motor.bearings",
            "dp-01").Verdict);
        Assert.Equal(Verdict.Holds, Of(Bearing(p =>
            p with { Cable = p.Cable with { Screened = false }, Interference = p.Interference with { FrameBonded = true } }),
                "motor.bearings", "dp-01").Verdict);
    }

    [Fact]
    public void On_one_phase_the_whole_of_a_filters_current_leaks()
    {
        var leaks = Assessor.Interference(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-17")).Leaks!;
        var wholeMa = 1e3 * 2 * Math.PI * 50 * 0.1e-6 * 400 / Math.Sqrt(3);
        Assert.Equal(1.1 * wholeMa, leaks.LineMa, 1e-6);
        Assert.True(leaks.LineMa > leaks.PhaseLostMa * 0.99);
    }

    [Fact]
    public void A_converter_of_a_group_drives_the_cables_of_all_its_motors()
    {
        var group = Demo.Lineups.SelectMany(l => l.Arrangements).OfType<MotorGroup>().Single(g => g.Id == "group-exit");
        var points = Demo.AllDrivePoints().ToDictionary(p => p.Id);
        var all = group.Members.Sum(m => m.Count * points[m.PointId].Cable.LengthM.Value * points[m.PointId].Cable.ParallelRuns);
        Assert.True(group.Members.Count > 1);
        Assert.Equal(all, Of(Demo, "emc.motor-cable", "dp-21").Figure.Value, 1e-3);
        var nf = group.Members.Sum(m => m.Count * points[m.PointId].Cable.LengthM.Value
            * CommonMode.NfPerM(points[m.PointId].Cable.CrossSectionMm2.Value));
        Assert.Equal(nf, Assessor.Interference(Demo, points["dp-21"]).Edge!.CapacitanceNf, 1e-6 * nf);
        var open = DemoChanges.Changed("dp-22", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        Assert.Equal(Verdict.NeedsData, Of(open, "emc.motor-cable", "dp-21").Verdict);
        var doubled = DemoChanges.Changed("dp-02", p => p with { Cable = p.Cable with { ParallelRuns = 2 } });
        Assert.Equal(2 * 48, Of(doubled, "emc.motor-cable", "dp-02").Figure.Value, 1e-9);
    }

    [Fact]
    public void A_sine_filter_spares_the_cable_and_not_the_declaration()
    {
        var sine = DemoChanges.Changed("dp-02", p => p with
        {
            Cable = p.Cable with { LengthM = 300, Screened = false },
            Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Filter = OutputFilter.Sine },
        });
        Assert.Equal(Verdict.NeedsData, Of(sine, "emc.category", "dp-02").Verdict);
    }

    [Fact]
    public void A_supply_module_answers_for_its_filter_as_a_converter_does()
    {
        PlantSpecification It(bool open) => Demo with
        {
            Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b.Id == "bus-b"
                ? b with { Earthing = EarthingSystem.It, InsulationMonitored = true }
                : b)] },
            Lineups = [.. Demo.Lineups.Select(l => l with { DcBuses = [.. l.DcBuses.Select(b => b with { LinksOpen = open })] })],
        };
        Assert.Equal(Verdict.Fails, Of(It(false), "emc.it-system", string.Empty, "dc-film").Verdict);
        Assert.Equal(Verdict.Holds, Of(It(true), "emc.it-system", string.Empty, "dc-film").Verdict);
        Assert.DoesNotContain(Assessor.Run(Demo).Checks, c => c is { Id: "emc.it-system", ElementId: "dc-film" });
        PlantSpecification Fed(double peMm2) => Demo with
        {
            Lineups =
            [
                .. Demo.Lineups.Select(l => l with
                {
                    DcBuses = [.. l.DcBuses.Select(b =>
                        b with { Feeder = new Feeder.ByCable(20, 16, 1, Core.Cables.ConductorMaterial.Copper) { ProtectiveMm2 = peMm2 } })],
                }),
            ],
        };
        Assert.Equal(Verdict.Fails, Of(Fed(6), "emc.earth-leakage", string.Empty, "dc-film").Verdict);
        Assert.Equal(Verdict.Holds, Of(Fed(16), "emc.earth-leakage", string.Empty, "dc-film").Verdict);
    }

    [Fact]
    public void Behind_an_active_supply_module_small_motors_see_discharge_too()
    {
        PlantSpecification By(string module) =>
            Demo with { Lineups = [.. Demo.Lineups.Select(l =>
                l with { DcBuses = [.. l.DcBuses.Select(b => b.Id == "dc-film" ? b with { SupplyModuleId = module } : b)] })] };
        Assert.Equal(Verdict.Holds, Of(Demo, "motor.bearings", "dp-14").Verdict);
        Assert.Equal(Verdict.Tight, Of(By("supply-active-45"), "motor.bearings", "dp-14").Verdict);
        Assert.Contains("active front end", Of(By("supply-active-45"), "motor.bearings", "dp-14").Reason.WithNumbers,
            StringComparison.Ordinal);
        var open = DemoChanges.Changed(By("supply-active-45"), "dp-14", p => p with { Converter = new ConverterChoice.NotChosen() });
        Assert.Equal(Verdict.Tight, Of(open, "motor.bearings", "dp-14").Verdict);
    }

    [Fact]
    public void A_motor_on_the_line_leaks_a_sine_and_a_tt_system_is_measured_before_it_holds()
    {
        var direct = DemoChanges.Changed("dp-04", p => p with
        {
            Converter = new ConverterChoice.AcrossTheLine(Core.Converters.Starting.TripClass.Class20, 1, string.Empty),
            Interference = p.Interference with { Residual = new ResidualDevice(ResidualKind.TypeAc, 1000) },
        });
        Assert.NotEqual(Verdict.Fails, Of(direct, "emc.rcd", "dp-04").Verdict);
        var tt = DemoChanges.Changed(Earthed(EarthingSystem.Tt), "dp-02",
            p => p with { Interference = p.Interference with { Residual = new ResidualDevice(ResidualKind.TypeB, 300) } });
        Assert.Equal(Verdict.Tight, Of(tt, "emc.rcd", "dp-02").Verdict);
    }
}
