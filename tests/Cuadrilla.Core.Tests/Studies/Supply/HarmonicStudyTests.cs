using System.Numerics;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Harmonics of the demo plant explained: superposition, resonance, banks, scenarios, mitigation.</summary>
[Trait("speed", "slow")]
public sealed class HarmonicStudyTests
{
    private static readonly PlantSpecification Demo = ThreePhases;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantAssessment Found = Assessor.Run(Demo);
    private static readonly DefaultsInForce Defaults = DefaultsInForce.Resolve(Data.Defaults, Demo.Overrides);

    [Fact]
    public void The_parts_of_all_front_ends_make_the_current_at_the_coupling()
    {
        foreach (var scenario in Found.Scenarios)
        {
            var study = HarmonicStudy.Of(Demo, scenario, "bus-a");
            Assert.Equal(100, study.Contributions.Sum(c => c.SharePct), 6);
            for (var h = 2; h <= 50; h++)
            {
                var sum = study.Contributions.Aggregate(Complex.Zero, (s, c) => s + c.OrdersA[h - 1]);
                Assert.Equal(0, (sum - scenario.PccPhases[0].CurrentA[h - 1]).Magnitude, 1e-9 * (1 + sum.Magnitude));
            }
        }
    }

    [Fact]
    public void They_do_so_also_through_a_filter_whose_current_is_spent()
    {
        var plant = Demo with { Distribution = Demo.Distribution with { ActiveFilters = [new ActiveFilter("af", "Filter", "bus-a", 40)] } };
        var scenario = DemoChanges.Assessor.Run(plant).Scenarios[0];
        Assert.True(scenario.FilterCurrents["af"].AskedA > 1.2 * scenario.FilterCurrents["af"].GivenA);
        var study = HarmonicStudy.Of(plant, scenario, "bus-a");
        for (var h = 2; h <= 50; h++)
        {
            var sum = study.Contributions.Aggregate(Complex.Zero, (s, c) => s + c.OrdersA[h - 1]);
            Assert.Equal(0, (sum - scenario.PccPhases[0].CurrentA[h - 1]).Magnitude, 1e-9 * (1 + sum.Magnitude));
        }
    }

    [Fact]
    public void The_story_of_an_order_names_those_that_cancel()
    {
        Contribution Of(string id, double a, double deg)
        {
            var orders = new Complex[50];
            orders[4] = Complex.FromPolarCoordinates(a, deg * Math.PI / 180);
            return new Contribution(id, orders, 0);
        }

        var story = OrderStory.Of(5, [Of("a", 3, 10), Of("b", 1, 20), Of("c", 2, 190)]);
        Assert.Equal(("a", "c"), (story.FirstId, story.SecondId));
        Assert.Equal(180, story.ApartDeg, 6);
        Assert.Equal(4, story.CancelledA, 9);
        Assert.Equal(6, story.ArithmeticA, 9);
        Assert.True(story.VectorA < 2.1);
        Assert.Equal(string.Empty, OrderStory.Of(5, [Of("a", 3, 10)]).FirstId);
    }

    [Fact]
    public void The_scan_finds_the_resonance_of_the_bank_and_agrees_with_the_closed_form()
    {
        // The bank alone beside the supply: no motors that damp and shift it.
        var bare = Demo with { Distribution = Demo.Distribution with { Loads = [] },
            Lineups = [.. Demo.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Where(p => p.Id != "dp-04")] })] };
        bare = bare with { Scenarios = [Scenario.AsUsual("all", "all")], Lineups = [bare.Lineups[0] with { Arrangements = [] }] };
        var result = DemoChanges.Assessor.Run(bare).Scenarios[0];
        var bank = bare.Distribution.CapacitorBanks[0];
        var study = HarmonicStudy.Of(bare, result, bank.BusId);
        var impedance = result.Network.ImpedanceOhm(bank.BusId);
        var expected = Math.Sqrt(bank.CapacitorOhm(bank.Steps, result.Network.VoltageV(bank.BusId)) / impedance.Imaginary);

        Assert.Equal(expected, study.Peaks.MaxBy(p => p.Ohm).Order, 0.15);
        Assert.All(study.Scan, p => Assert.True(p.Ohm >= 0 && p.WithoutBanksOhm > 0));
    }

    [Fact]
    public void A_reactor_cures_the_resonance_and_unloads_the_bank()
    {
        var detuned = Demo with { Distribution = Demo.Distribution with { CapacitorBanks = [.. Demo.Distribution.CapacitorBanks.Select(b =>
            b with { DetuningPct = 7, CapacitorRatedV = 440 })] } };
        var after = DemoChanges.Assessor.Run(detuned);
        Check Of(PlantAssessment a, string id) => a.Checks.Single(c => c.Id == id && c.ElementId == "caps");

        Assert.Equal(Verdict.Fails, Of(Found, "harmonics.resonance").Verdict);
        Assert.Contains("order 7", Of(Found, "harmonics.resonance").Title, StringComparison.Ordinal);
        Assert.Equal(Verdict.Holds, Of(after, "harmonics.resonance").Verdict);
        Assert.True(Of(after, "harmonics.capacitor").Figure.Value < Of(Found, "harmonics.capacitor").Figure.Value);
    }

    [Fact]
    public void The_load_of_a_bank_is_that_of_its_voltage_order_by_order()
    {
        var scenario = Found.Scenarios[0];
        var bank = Demo.Distribution.CapacitorBanks.Single();
        var bus = scenario.Buses.Single(b => b.BusId == bank.BusId);
        var square = bus.VoltagePu * bus.VoltagePu;
        for (var h = 2; h <= 50; h++)
        {
            // Without reactor the current of an order is h times its voltage.
            square += Math.Pow(h * bus.VoltagePct[h - 1] / 100, 2);
        }

        Assert.Equal(Math.Sqrt(square), scenario.Banks.Single().CurrentPu, 9);
    }

    [Fact]
    public void The_lines_own_distortion_is_added_and_lifted_by_the_bank()
    {
        var clean = Demo with { Source = Demo.Source with { BackgroundV5Pct = 0, BackgroundV7Pct = 0 } };
        var own = DemoChanges.Assessor.Run(clean).Scenarios[0].Buses.Single(b => b.BusId == "bus-b");
        var with = Found.Scenarios[0].Buses.Single(b => b.BusId == "bus-b");

        Assert.True(Demo.Source.BackgroundV7Pct.Value > 0);
        Assert.True(with.VoltagePct[6] - own.VoltagePct[6] > 2 * Demo.Source.BackgroundV7Pct.Value);
    }

    [Fact]
    public void A_measured_order_of_the_line_reaches_the_buses_and_the_drives_with_its_angle()
    {
        PlantSpecification With(double deg, bool running) => Demo with
        {
            Name = $"13th at {deg}, {running}",
            Source = Demo.Source.Undistorted() with { UnbalancePct = 0, FurtherBackground = [new(13, 2, deg)] },
            Scenarios = [running
                ? Demo.Scenarios[0]
                : Demo.Scenarios[0] with { States = [.. Demo.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))] }],
        };

        // Nothing running: what the network lets through of 2 %.
        var still = DemoChanges.Assessor.Run(With(40, false)).Scenarios[0];
        var gain = still.Loaded.GainOfSource(13)[still.Network.NodeOf("bus-a")];
        Assert.Equal(2 * gain.Magnitude, still.Buses.Single(b => b.BusId == "bus-a").VoltagePct[12], 1e-9);
        Assert.Equal(0, still.Buses.Single(b => b.BusId == "bus-a").VoltagePct[10], 1e-12);

        // Running: the drives answer it, one way or the other by its angle, and the EMF of each holds it.
        double Thirteenth(double deg)
        {
            var found = DemoChanges.Assessor.Run(With(deg, true)).Scenarios[0];
            Assert.True(found.Iteration.IsSettled);
            return ((RectifierResult.LineDraw)found.Drives.Single(d => d.DrivePointId == "dp-01").Front).PhaseA.Orders[12].Magnitude;
        }

        Assert.True(Math.Abs(Thirteenth(0) - Thirteenth(180)) > 0.2 * Thirteenth(0));
    }

    [Theory]
    [InlineData(9, "one of 11, 13")]
    [InlineData(7, "one of 11, 13")]
    [InlineData(50, "one of 11, 13")]
    public void Other_orders_of_the_line_are_refused(int order, string allowed)
    {
        var plant = Demo with { Source = Demo.Source with { FurtherBackground = [new(order, 1, 0)] } };
        var problem = Assert.Single(SpecificationValidation.Problems(plant, Data));
        Assert.Equal("/source/furtherBackground/0/order", problem.Pointer);
        Assert.Contains(allowed, problem.Message, StringComparison.Ordinal);
        var twice = Demo with { Source = Demo.Source with { FurtherBackground = [new(11, 1, 0), new(11, 2, 0)] } };
        Assert.All(SpecificationValidation.Problems(twice, Data), p => Assert.Contains("once", p.Message, StringComparison.Ordinal));
    }

    [Fact]
    public void Inside_the_plant_the_class_decides()
    {
        var third = Demo with { Overrides = [.. Demo.Overrides, new DefaultOverride("plant-class", 3, "large converters")] };
        Check Of(PlantSpecification plant) =>
            DemoChanges.Assessor.Run(plant).Checks.Single(c => c is { Id: "harmonics.plant-voltage", ElementId: "bus-a" });

        Assert.True(Of(third).MarginPct.Value > Of(Demo).MarginPct.Value);
        Assert.Contains("61000-2-4", Of(Demo).Reason.Source, StringComparison.Ordinal);
    }

    [Fact]
    public void A_drive_on_a_public_system_is_held_against_the_ratio_it_needs()
    {
        var publicly = Demo with { Pcc = Demo.Pcc with { BusId = "bus-a" } };
        var check = DemoChanges.Assessor.Run(publicly).Checks.Single(c => c is { Id: "harmonics.equipment", DrivePointId: "dp-05" });

        Assert.NotEqual(Verdict.NotApplicable, check.Verdict);
        Assert.Equal(LimitSense.AtLeast, check.Sense);
        Assert.Equal(Verdict.NotApplicable, Found.Checks.Single(c => c is { Id: "harmonics.equipment", DrivePointId: "dp-05" }).Verdict);
    }

    [Fact]
    public void The_rated_input_current_decides_whatever_the_drive_does_at_present()
    {
        var publicly = Demo with { Pcc = Demo.Pcc with { BusId = "bus-a" } };
        var slow = publicly with { Scenarios = [.. publicly.Scenarios.Select(s =>
            s with { States = [.. Demo.AllDrivePoints().Select(p => new DrivePointState(p.Id, true, 0.6, 1))] })] };
        Check[] Of(PlantSpecification plant) =>
            [.. DemoChanges.Assessor.Run(plant).Checks.Where(c => c.Id == "harmonics.equipment" && c.Figure.IsKnown)
                .OrderBy(c => c.DrivePointId, StringComparer.Ordinal)];
        var (full, part) = (Of(publicly), Of(slow));

        Assert.NotEmpty(full);
        Assert.Equal(full.Select(c => (c.DrivePointId, c.Verdict)), part.Select(c => (c.DrivePointId, c.Verdict)));
        Assert.All(full.Zip(part), p => Assert.Equal(p.First.Limit.Value, p.Second.Limit.Value, 1e-3 * p.First.Limit.Value));
        Assert.All(full, c => Assert.Contains("angle of the 5th", c.Reason.WithNumbers, StringComparison.Ordinal));
    }

    [Fact]
    public void Above_2000_m_the_earthing_system_decides()
    {
        PlantSpecification At(double altitudeM, EarthingSystem earthing) => Demo with
        {
            Site = Demo.Site with { AltitudeM = altitudeM },
            Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b with { Earthing = earthing })] },
        };
        Verdict? Of(PlantSpecification plant) =>
            DemoChanges.Assessor.Run(plant).Checks.SingleOrDefault(c =>
                c is { Id: "emc.altitude-insulation", DrivePointId: "dp-01" })?.Verdict;

        Assert.Null(Of(At(2000, EarthingSystem.NotStated)));
        Assert.Equal(Verdict.NeedsData, Of(At(2001, EarthingSystem.NotStated)));
        Assert.Equal(Verdict.Holds, Of(At(2500, EarthingSystem.TnS)));
        Assert.Equal(Verdict.Fails, Of(At(2500, EarthingSystem.It)));
        Assert.Equal(Verdict.Fails, Of(At(2500, EarthingSystem.CornerEarthed)));
        Assert.Equal(Verdict.Fails, Of(At(4900, EarthingSystem.TnS)));
    }

    [Fact]
    public void Distortion_at_the_drive_is_judged_only_where_the_buyer_asks()
    {
        Assert.DoesNotContain(Found.Checks, c => c.Id == "harmonics.terminal-thdi");
        var asked = Demo with { Overrides = [.. Demo.Overrides, new DefaultOverride("terminal-thdi-pct", 60, "asked")] };
        var checks = DemoChanges.Assessor.Run(asked).Checks.Where(c => c.Id == "harmonics.terminal-thdi")
            .ToDictionary(c => c.DrivePointId, c => c.Verdict);

        Assert.Equal(Verdict.Fails, checks["dp-02"]);
        Assert.NotEqual(Verdict.Fails, checks["dp-01"]);
    }

    [Fact]
    public void The_matrix_holds_every_scenario_and_the_figures_of_the_checks()
    {
        var matrix = HarmonicMatrix.Of(Demo, Found, Data, Defaults);
        var tdd = matrix.Single(r => r.Id == "harmonics.pcc-tdd");
        var check = Found.Checks.Single(c => c.Id == "harmonics.pcc-tdd");

        Assert.All(matrix, r => Assert.Equal(Demo.Scenarios.Count, r.Figures.Count));
        Assert.Equal(check.Figure.Value, Digits.Kept(tdd.Figures[tdd.Worst]), 9);
        Assert.Equal(check.Scenario, Demo.Scenarios[tdd.Worst].Name);
        Assert.Contains(matrix, r => r.Id == "supply.transformer-loading" && r.Figures.Any(double.IsNaN));
    }

    [Fact]
    public void The_workbench_sorts_what_complies_by_lifetime_cost_and_says_what_spoils_the_rest()
    {
        var (ways, filter) = MitigationWorkbench.Of(Demo, [.. Demo.AllDrivePoints().Select(p => p.Id)], DemoChanges.Assessor);
        var asIs = ways.Single(w => w.Id == "as-is");
        var active = ways.Single(w => w.Id == "active");

        Assert.Equal(ways.OrderByDescending(w => w.Complies).Select(w => w.Complies), ways.Select(w => w.Complies));
        Assert.True(active.TddPct < asIs.TddPct / 3);
        Assert.True(active.WidthMm > asIs.WidthMm);
        Assert.True(ways.Single(w => w.Id == "eighteen-pulse").TddPct < asIs.TddPct);

        // A family that begins at 55 kW is no way for the small drives.
        Assert.True(ways.Single(w => w.Id == "eighteen-pulse").Changed < active.Changed);
        Assert.All(ways.Where(w => w.Id is not ("as-is" or "detuned")), w => Assert.NotEmpty(w.Spoils));
        Assert.True(filter.CurrentA > 0);

        // What a way says is what the plant comes to with its choices.
        var tried = active.Change.Choices.Aggregate(Demo,
            (plant, c) => Changed(plant, c.Key,
                p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = c.Value,
                    Braking = new Braking.ToLine() } }));
        Assert.Equal(active.TddPct, DemoChanges.Assessor.Run(tried).Checks.Single(c => c.Id == "harmonics.pcc-tdd").Figure.Value,
            2e-3 * active.TddPct);
    }

    [Fact]
    public void What_is_taken_out_changes_the_current_by_what_a_plant_without_it_shows()
    {
        var assessor = DemoChanges.Assessor;
        var found = assessor.Run(Demo).Scenarios[0];
        var (large, group, bus) = (found.Drives.MaxBy(d => d.Point.DcLoadW)!.DrivePointId, "group-exit", "dc-film");
        var removed = assessor.Without(Demo, found, [large, group, bus]);
        Assert.Equal([large, group, bus], removed.Select(r => r.DrivePointId));
        Assert.All(removed, r => Assert.Equal(r.HarmonicA - found.Pcc.HarmonicA, r.ChangeA, 1e-12));

        // The same plant with the drive switched off, searched from nothing.
        var off = Demo with { Name = "without",
            Scenarios = [Demo.Scenarios[0] with { States = [.. Demo.Scenarios[0].States, new DrivePointState(large, false, 1, 1)] }] };
        Assert.Equal(DemoChanges.Assessor.Run(off).Scenarios[0].Pcc.HarmonicA, removed[0].HarmonicA, 2e-6 * removed[0].HarmonicA);

        // It does not superpose: the linear share says something else.
        var share = HarmonicStudy.Of(Demo, found,
            "bus-a").Contributions.Single(c => c.DrivePointId == large).SharePct / 100 * found.Pcc.HarmonicA;
        Assert.True(Math.Abs(share + removed[0].ChangeA) > 0.02 * found.Pcc.HarmonicA);
    }

    [Fact]
    public void One_drive_alone_can_be_looked_at()
    {
        var (ways, _) = MitigationWorkbench.Of(Demo, ["dp-02"], DemoChanges.Assessor);

        Assert.All(ways.Where(w => w.Id is not ("as-is" or "detuned") && w.Change.Move is null && w.Change.Filter is null),
            w => Assert.Equal(["dp-02"], w.Change.Choices.Keys));
        Assert.True(ways.Single(w => w.Id == "six-pulse-choke").ThdiPct < ways.Single(w => w.Id == "as-is").ThdiPct);
    }

    [Fact]
    public void A_central_active_filter_and_a_move_to_the_other_vector_group_are_among_the_ways_and_can_be_tried()
    {
        var (ways, rating) = MitigationWorkbench.Of(Demo, [.. Demo.AllDrivePoints().Select(p => p.Id)], DemoChanges.Assessor);
        var asIs = ways.Single(w => w.Id == "as-is");
        var filter = ways.Single(w => w.Id == "active-filter");
        Assert.True(filter.Change.Filter!.RatedCurrentA >= rating.CurrentA);
        var withFilter = Demo with { Distribution = Demo.Distribution with { ActiveFilters = [filter.Change.Filter] } };
        Assert.Equal(Verdict.Holds, DemoChanges.Assessor.Run(withFilter).Checks.Single(c => c.Id == "harmonics.active-filter").Verdict);
        Assert.True(filter.TddPct < 0.9 * asIs.TddPct);
        Assert.True(filter.Year.EquipmentCost > asIs.Year.EquipmentCost && filter.Year.EnergyKwh > asIs.Year.EnergyKwh);
        var moved = ways.First(w => w.Change.Move is not null);
        Assert.NotEqual(asIs.TddPct, moved.TddPct, 0.01);
        Assert.Contains(ways, w => w.Id == "six-pulse-choke-3");
        Assert.Contains(ways, w => w.Id == "six-pulse-choke-5");

        // Only the drives that a way changes are shown by their distortion, not those that it leaves as they are.
        Assert.True(ways.Single(w => w.Id == "six-pulse-filter").ThdiPct < 15);
        Assert.True(ways.Single(w => w.Id == "active").ThdiPct < 15);
    }

    [Fact]
    public void One_drive_moves_into_a_lineup_of_the_other_transformer()
    {
        var (ways, _) = MitigationWorkbench.Of(Demo, ["dp-02"], DemoChanges.Assessor);
        var move = ways.First(w => w.Change.Move is not null).Change.Move!;
        Assert.Equal("dp-02", move.DrivePointId);
        Assert.NotEqual(Demo.Lineups.Single(l => l.DrivePoints.Any(p => p.Id == "dp-02")).BusId,
            Demo.Lineups.Single(l => l.Id == move.ToLineupId).BusId);
    }

    [Fact]
    public void An_active_filter_takes_what_it_measures_until_its_current_is_spent()
    {
        PlantSpecification With(double ampere) =>
            Demo with { Distribution = Demo.Distribution with { ActiveFilters = [new ActiveFilter("af", "Filter", "bus-a", ampere)] } };
        var large = DemoChanges.Assessor.Run(With(5000));
        var small = DemoChanges.Assessor.Run(With(20));
        var scenario = Found.Scenarios[0];
        Assert.True(large.Scenarios[0].Pcc.HarmonicA < scenario.Pcc.HarmonicA);
        Assert.True(small.Scenarios[0].Pcc.HarmonicA < scenario.Pcc.HarmonicA
            && small.Scenarios[0].Pcc.HarmonicA > large.Scenarios[0].Pcc.HarmonicA);
        var (given, asked) = small.Scenarios[0].FilterCurrents["af"];
        Assert.Equal(20, given, 6);
        Assert.True(asked > 20);
        Assert.Equal(Verdict.Fails, small.Checks.Single(c => c.Id == "harmonics.active-filter").Verdict);
        Assert.Equal(Verdict.Holds, large.Checks.Single(c => c.Id == "harmonics.active-filter").Verdict);

        // The asked current is the phasor sum of the drives on its bus, 95 % of the orders up to 25.
        var drives = large.Scenarios[0].Drives.Where(d => d.BusId == "bus-a").Select(d => (d, Front: (RectifierResult.LineDraw)d.Front))
            .ToList();
        var turn = drives[0].d.EmfAngleRad;
        Assert.All(drives, d => Assert.Equal(turn, d.d.EmfAngleRad, 1e-3));
        var square = Enumerable.Range(2,
            24).Sum(h => Math.Pow(Enumerable.Range(0,
                3).Max(p => drives.Aggregate(Complex.Zero,
                    (sum, d) => sum + d.Front.Phases[d.Front.Phases.Count == 3 ? p : 0].Orders[h - 1]).Magnitude), 2));
        Assert.Equal(0.95 * Math.Sqrt(square), large.Scenarios[0].FilterCurrents["af"].AskedA,
            0.02 * large.Scenarios[0].FilterCurrents["af"].AskedA);
    }

    [Fact]
    public void What_spoils_an_eighteen_pulse_unit_is_told_by_leaving_it_out()
    {
        var mismatched = Demo with { Overrides = [.. Demo.Overrides, new DefaultOverride("leakage-mismatch-pct", 10, "test report")] };
        var assessor = DemoChanges.Assessor;
        var result = assessor.Run(mismatched).Scenarios[0];
        var story = assessor.Spoiled(mismatched, result).Single(f => f.DrivePointId == "dp-27");
        Assert.Equal(18, story.Pulses);
        Assert.True(story.UnbalancePct > 0);
        Assert.True(story.IdealPct < story.WithoutUnbalancePct && story.WithoutUnbalancePct < story.ThdiPct);
        Assert.True(story.WithoutMismatchPct < story.ThdiPct);
        Assert.True(story.ThirdA > 0);

        // Each figure is that of a plant of its own without the cause, searched from nothing.
        double Thdi(PlantSpecification plant) =>
            ((RectifierResult.LineDraw)DemoChanges.Assessor.Run(plant with { Name = "without" }).Scenarios[0]
            .Drives.Single(d => d.DrivePointId == "dp-27").Front).WorstPhase.ThdiPct;
        var balanced = mismatched with { Source = mismatched.Source with { UnbalancePct = 0 } };
        Assert.Equal(Thdi(balanced), story.WithoutUnbalancePct, 2e-6 * story.ThdiPct);
        Assert.Equal(Thdi(Demo with { Overrides = [.. Demo.Overrides, new DefaultOverride("leakage-mismatch-pct", 0, "equal")] }),
            story.WithoutMismatchPct, 2e-6 * story.ThdiPct);
        var states = mismatched.AllDrivePoints().Where(p => p.Id != "dp-27"
            && p.Converter is not (ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta or ConverterChoice.SoftStarter))
                .Select(p => new DrivePointState(p.Id, false, 1, 1));
        var alone = mismatched with
        {
            Source = mismatched.Source with { BackgroundV5Pct = 0, BackgroundV7Pct = 0 },
            Scenarios = [mismatched.Scenarios[0] with { States = [.. mismatched.Scenarios[0].States.Where(s => s.DrivePointId == "dp-27"),
                .. states] }],
        };
        Assert.Equal(Thdi(alone), story.WithoutDistortionPct, 2e-6 * story.ThdiPct);
    }

    [Fact]
    public void The_capacitor_of_a_line_filter_is_part_of_the_network()
    {
        var active = Changed(Demo, "dp-05",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { ItemId = "active-"
                + ((ConverterChoice.FromCatalogue)p.Converter).ItemId.Split('-')[^1], Braking = new Braking.ToLine() } });
        var result = DemoChanges.Assessor.Run(active).Scenarios[0];
        var filter = result.Loads.Filters.Single(f => f.FrontId == "dp-05");
        Assert.DoesNotContain(Found.Scenarios[0].Loads.Filters, f => f.FrontId == "dp-05");

        // Alone it resonates where its reactor and its capacitor are equal; below it is a capacitor, above a reactor.
        var own = filter.Filter.OwnOrder;
        Assert.True(filter.AdmittancePu(own / 2, 1e6).Imaginary > 0 && filter.AdmittancePu(own * 2, 1e6).Imaginary < 0);
        Assert.Equal(1 / (filter.Filter.DampingPct / 100) * filter.RatedVa / 1e6, filter.AdmittancePu(own, 1e6).Real, 1e-6);
        Assert.Equal(filter.Filter.CapacitorPct / 100 * filter.RatedVa / 1e6, filter.AdmittancePu(1, 1e6).Imaginary,
            0.01 * filter.RatedVa / 1e6);
    }
}
