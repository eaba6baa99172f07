using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Studies.OnePhase.Workshop;

namespace Cuadrilla.Core.Tests.Studies.OnePhase;

/// <summary>Lineups on one phase computed through the plant.</summary>
public sealed class OnePhaseChecksTests
{
    private static readonly PlantSpecification OnConverters = Built(OnePhaseMeans.Converters);

    [Fact]
    public void Converters_are_made_for_two_conductors_and_motors_linked_in_delta()
    {
        var points = OnConverters.Lineups[0].DrivePoints;
        Assert.Equal(3, points.Count);
        Assert.Equal(points.Select(p => p.Id), OnConverters.Lineups[0].OnePhase!.Machines.Select(m => m.DrivePointId));
        foreach (var point in points)
        {
            var model = DemoChanges.Assessor.Study(OnConverters, point).Model;
            Assert.IsType<FrontEnd.SinglePhase>(model.WholeItem!.FrontEnd);
            Assert.True(model.Fitted!.Connected.IsDelta);
            Assert.Equal(400 / Math.Sqrt(3), model.TwoConductorV!.Value, 9);
            Assert.NotEqual(Verdict.Fails, CheckOf(OnConverters, "single-phase.motor-connection", point.Id).Verdict);
        }
    }

    // The power that enters is that of the links and the losses ahead of them; the sum of waves is the sum order by order.
    [Fact]
    public void The_current_of_the_supply_is_the_sum_of_all_waves()
    {
        var found = Assessed(OnConverters);
        var draws = found.Scenarios[0].Drives.Select(d => Assert.IsType<RectifierResult.SteadyState>(d.Front)).ToList();
        var sum = Math.Sqrt(Enumerable.Range(0,
            50).Sum(h => Math.Pow(draws.Aggregate(Complex.Zero, (s, d) => s + d.PhaseA.Orders[h]).Magnitude, 2)));
        var check = found.Checks.Single(c => c.Id == "single-phase.input-current");
        Assert.Equal(sum, check.Figure.Value, 0.001 * sum);
        Assert.Equal(LineupId, check.ElementId);

        // Equal waves of three phases leave 3·I_3 and its like in a common neutral, at most √3 times a phase.
        var triplen = 3 * Math.Sqrt(draws[0].PhaseA.Orders.Where((_, i) => (i + 1) % 3 == 0).Sum(o => o.Magnitude * o.Magnitude));
        Assert.InRange(triplen / draws[0].PhaseA.RmsA, 1.4, Math.Sqrt(3) + 1e-9);
    }

    [Fact]
    public void A_second_supply_on_the_bus_adds_its_triplens_to_the_neutral()
    {
        var one = CheckOf(OnConverters, "single-phase.neutral");
        var again = OnConverters.Lineups[0];
        var two = OnConverters with
        {
            Lineups = [again, again with { Id = "shop-2", Tag = "V",
                DrivePoints = [.. again.DrivePoints.Select(p => p with { Id = p.Id + "b", Tag = p.Tag + "b" })] }],
        };
        var check = CheckOf(two, "single-phase.neutral");
        Assert.True(check.Figure.Value > 1.2 * one.Figure.Value, $"{check.Figure.Value} against {one.Figure.Value}");
        Assert.Contains("what else is on its bus", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    // A drive point that is not complete draws nothing in a scenario: its lineup's sum is not known.
    [Fact]
    public void A_sum_that_lacks_a_machine_is_not_judged()
    {
        var id = OnConverters.Lineups[0].DrivePoints[0].Id;
        var open = Changed(OnConverters, id, p => p with { Converter = new ConverterChoice.NotChosen() });
        Assert.Equal(Verdict.NeedsData, CheckOf(open, "single-phase.input-current").Verdict);
        Assert.Equal(Verdict.NeedsData, CheckOf(open, "single-phase.neutral").Verdict);
        var still = OnConverters with
        {
            Scenarios = [OnConverters.Scenarios[0] with
            {
                States = [.. OnConverters.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))],
            }],
        };
        Assert.Equal(Verdict.NeedsData, CheckOf(still, "single-phase.input-current").Verdict);
        Assert.Equal(Verdict.NeedsData, CheckOf(Of(), "single-phase.input-current").Verdict);
    }

    // 690 V: its phase is 398 V, which three-phase units of 400 V take on two conductors; 480 V: 277 V, for which there is none.
    [Theory]
    [InlineData(690, 0.75, true)]
    [InlineData(690, 4, true)]
    [InlineData(690, 7.5, true)]
    [InlineData(480, 3, false)]
    public void Other_voltages_are_fed_by_what_is_made_for_them_or_refused(double busV, double kw, bool fits)
    {
        var plant = Of(o => o with { Machines = [Machine("pump", kw, 60)] });
        plant = plant with
        {
            Source = plant.Source with { FrequencyHz = busV == 480 ? 60 : 50 },
            Distribution = plant.Distribution with
            {
                Buses = [.. plant.Distribution.Buses.Select(b => b.Id == "bus-a" ? b with { NominalVoltageV = busV } : b)],
                Links = [.. plant.Distribution.Links.Where(l => l is not BusLink.Coupler)],
            },
        };
        var done = Assert.IsType<CommandOutcome.Done>(new ChooseOnePhaseMeans(LineupId, OnePhaseMeans.Converters)
            .On(plant, DemoChanges.Assessor));
        var point = Assert.Single(done.After.Lineups[0].DrivePoints);
        Assert.True(fits == point.Converter is ConverterChoice.FromCatalogue { Feed: SupplyFeed.TwoPhases }, string.Join("; ", done.Notes));
        Assert.Equal(fits ? 0 : 1, done.Notes.Count);
        if (fits)
        {
            var draw = Assessed(Wired(done.After)).Scenarios[0].Drives.Single().Front;
            Assert.InRange(Assert.IsType<RectifierResult.SteadyState>(draw).DcVoltageMeanV, 1.15 * 398, 1.45 * 398);
        }
    }

    // What the lineup says counts, not what the unit would like: between two phases of 400 V a unit of 230 V stands at 400 V.
    [Fact]
    public void Two_phases_are_not_taken_for_one_and_the_neutral()
    {
        var across = OnConverters with
        {
            Lineups = [OnConverters.Lineups[0] with { OnePhase = OnConverters.Lineups[0].OnePhase! with { ToNeutral = false } }],
        };
        var id = across.Lineups[0].DrivePoints[0].Id;
        Assert.Equal(Verdict.Fails, CheckOf(across, "single-phase.converter-choice", id).Verdict);
        Assert.Equal(400, DemoChanges.Assessor.Study(across, across.Lineups[0].DrivePoints[0]).Model.TwoConductorV!.Value, 9);
        var draw = Assert.IsType<RectifierResult.SteadyState>(Assessed(across).Scenarios[0].Drives[0].Front);
        Assert.InRange(draw.DcVoltageMeanV, 1.15 * 400, 1.45 * 400);
    }

    [Fact]
    public void A_star_on_one_phase_keeps_its_torque_to_a_fraction_of_its_frequency()
    {
        var id = OnConverters.Lineups[0].DrivePoints[0].Id;
        var star = Changed(OnConverters, id,
            p => p with { Motor = ((MotorChoice.FromCatalogue)p.Motor) with { Connection = MotorConnection.Star } });
        var check = CheckOf(star, "single-phase.motor-connection", id);
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Equal(50 / Math.Sqrt(3), check.Figure.Value, 0.05);
        Assert.Contains("delta", check.Relief, StringComparison.Ordinal);
    }

    // On two conductors a three-phase unit carries the same power with √3 of the current, and its diodes with them.
    [Fact]
    public void A_three_phase_unit_on_two_conductors_is_derated_solved_and_never_more_than_tight()
    {
        var id = OnConverters.Lineups[0].DrivePoints[2].Id;
        var data = DemoChanges.Data;
        var small = data.Converters.Values.Where(c =>
            c is { FrontEnd: FrontEnd.Diode { Bridges: 1 }, OwnName.Length: 0, RatedVoltageV: < 260 })
            .OrderBy(c => c.RatedKw).First(c => c.RatedKw >= 1.5);
        var swapped = Assert.IsType<CommandOutcome.Done>(new ChooseConverter([id], small.Id, string.Empty)
            .On(OnConverters, DemoChanges.Assessor)).After;
        var point = swapped.AllDrivePoints().First(p => p.Id == id);
        Assert.Equal(SupplyFeed.TwoPhases, ((ConverterChoice.FromCatalogue)point.Converter).Feed);
        var model = DemoChanges.Assessor.Study(swapped, point).Model;
        Assert.Equal(small.Derating.SinglePhaseFeedPu, model.Converter!.FeedPu);
        var draw = Assert.IsType<RectifierResult.SteadyState>(Assessed(swapped).Scenarios[0].Drives.First(d => d.DrivePointId == id).Front);
        Assert.Single(draw.Phases);
        Assert.InRange(draw.DcVoltageMeanV, 1.15 * 231, 1.45 * 231);
        Assert.NotEqual(Verdict.Holds, CheckOf(swapped, "single-phase.converter-choice", id).Verdict);
        Assert.NotEqual(Verdict.NeedsData, CheckOf(swapped, "single-phase.diode-current", id).Verdict);

        // On three phases after all it is refused by its check.
        var three = Changed(swapped, id,
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Feed = SupplyFeed.ThreePhase } });
        Assert.Equal(Verdict.Fails, CheckOf(three, "single-phase.converter-choice", id).Verdict);
    }

    [Fact]
    public void Every_converter_that_is_offered_can_be_fed()
    {
        var input = DemoChanges.Assessor.Study(OnConverters, OnConverters.Lineups[0].DrivePoints[0]).Model.Input;
        var offered = Core.Studies.Candidates.CandidateRanking.Converters(input, DemoChanges.Data);
        Assert.True(offered[0].Fits);
        Assert.All(offered, c => Assert.True(DemoChanges.Data.Converters[c.ItemId].FrontEnd is FrontEnd.SinglePhase
            or FrontEnd.Diode { Bridges: 1 }));
    }

    // A feeder of two conductors loses 2·R·I of the voltage between them, not √3·R·I of that of three.
    [Fact]
    public void A_feeder_of_two_conductors_loses_there_and_back()
    {
        var id = OnConverters.Lineups[0].DrivePoints[0].Id;
        var laid = Changed(OnConverters, id, p => p with { Feeder = Feeder(40, 4) });
        var drop = CheckOf(laid, "cable.voltage-drop", id);
        var wave = Assert.IsType<RectifierResult.SteadyState>(Assessed(laid).Scenarios[0].Drives.First(d => d.DrivePointId == id).Front);
        const double ohmPerM = 0.0178 / 4;
        var leastPct = 100 * 2 * 40 * ohmPerM * wave.PhaseA.RmsA * 0.9 / (400 / Math.Sqrt(3));
        Assert.True(drop.Figure.Value > leastPct, $"{drop.Figure.Value} against {leastPct}");
    }

    [Fact]
    public void Rotary_the_lineup_draws_through_two_conductors_of_three()
    {
        foreach (var toNeutral in new[] { true, false })
        {
            var plant = Built(OnePhaseMeans.Rotary, o => o with { Rotary = o.Rotary with { DeviationPct = 4, ReactancePct = 20 } },
                toNeutral);
            if (!toNeutral)
            {
                // Between two phases of 400 V the motors are linked in star.
                Assert.All(plant.Lineups[0].DrivePoints,
                    p => Assert.False(DemoChanges.Assessor.Study(plant, p).Model.Fitted!.Connected.IsDelta));
            }

            var found = Assessed(plant);
            var scenario = found.Scenarios[0];
            var va = scenario.OnLine.Aggregate(Complex.Zero, (s, d) => s + d.PowerVa) + OnePhaseUsual.IdleVa(plant.Lineups[0].OnePhase!);
            var transformer = scenario.Transformers.First(t => t.TransformerId == "t1");
            var supplyV = toNeutral ? 400 / Math.Sqrt(3) : 400;
            var loop = va.Magnitude / supplyV;

            // A delta on the high side knows no zero sequence: 2/3 of a current to the neutral remain in its phase.
            Assert.Equal(toNeutral ? loop * 2 / 3 : loop, transformer.RmsA, 0.02 * loop);
            Assert.Equal(loop, found.Checks.Single(c => c.Id == "single-phase.input-current").Figure.Value, 0.03 * loop);
        }
    }

    [Fact]
    public void Rotary_a_start_dips_by_its_reactance_and_a_smaller_one_dips_more()
    {
        Check Dip(double kva) => CheckOf(Built(OnePhaseMeans.Rotary,
            o => o with { Rotary = o.Rotary with { DeviationPct = 4, RatedKva = kva } }), "supply.start-dip");
        var (small, large) = (Dip(12.5), Dip(50));
        Assert.True(small.Figure.Value > 2 * large.Figure.Value, $"{small.Figure.Value} against {large.Figure.Value}");
    }

    [Fact]
    public void Rotary_too_small_fails_and_unstated_deviation_is_tight()
    {
        var plant = Built(OnePhaseMeans.Rotary);
        Assert.Equal(Verdict.Holds, Way(plant).Verdict);
        Assert.Equal(Verdict.Tight, CheckOf(plant, "single-phase.motor-load").Verdict);
        var less = Edited(plant, o => o with { Rotary = o.Rotary with { RatedKva = 5 } });
        Assert.Equal(Verdict.Fails, Way(less).Verdict);
        var open = Edited(plant, o => o with { Rotary = o.Rotary with { RatedKva = Given.Unknown } });
        Assert.Equal(Verdict.NeedsData, Way(open).Verdict);
        Assert.Contains(Assessed(open).Checks, c => c.Id == "starter.reaches-speed" && c.Verdict == Verdict.NeedsData);
    }

    [Fact]
    public void Static_only_for_one_light_machine_at_a_time()
    {
        var plant = Built(OnePhaseMeans.Static,
            o => o with { OneAtATime = true, Machines = [Machine("saw", 2.2, 60), Machine("drill", 0.75, 50)] });
        Assert.Equal(Verdict.Holds, Way(plant).Verdict);
        Assert.NotEqual(Verdict.Holds, CheckOf(plant, "starter.reaches-speed").Verdict);
        Assert.Equal(Verdict.Fails, Way(Edited(plant, o => o with { OneAtATime = false })).Verdict);
    }

    [Fact]
    public void A_motor_without_converter_does_not_run_on_one_phase()
    {
        var id = OnConverters.Lineups[0].DrivePoints[0].Id;
        var bare = Changed(OnConverters, id,
            p => p with { Converter = new ConverterChoice.AcrossTheLine(Core.Converters.Starting.TripClass.Class10, 2, "x") });
        Assert.Equal(Verdict.Fails, CheckOf(bare, "single-phase.converter-choice", id).Verdict);
    }

    [Fact]
    public void Taken_back_it_is_a_lineup_as_any_other()
    {
        var back = Assert.IsType<CommandOutcome.Done>(new FeedFromOnePhase(LineupId, true).On(OnConverters, DemoChanges.Assessor)).After;
        Assert.DoesNotContain(Assessed(back).Checks,
            c => c.ElementId == LineupId && c.Id.StartsWith("single-phase.", StringComparison.Ordinal));
        var refused = new FeedFromOnePhase("none").On(OnConverters, DemoChanges.Assessor);
        Assert.IsType<CommandOutcome.Refused>(refused);
    }

    private static Check Way(PlantSpecification plant) =>
        Assessed(plant).Checks.Single(c => c.Id == "single-phase.converter-choice" && c.ElementId == LineupId);

    private static PlantSpecification Edited(PlantSpecification plant, Func<OnePhaseSupply, OnePhaseSupply> change) =>
        plant with { Lineups = [plant.Lineups[0] with { OnePhase = change(plant.Lineups[0].OnePhase!) }] };

    private static PlantSpecification Changed(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })],
    };
}
