using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Steps on site: which are offered, what they hold to be right, what makes them stale.</summary>
public sealed class SiteStepTests
{
    private static readonly PlantSpecification Demo = DemoChanges.Demo;
    private static readonly Assessor Assessor = DemoChanges.Assessor;

    [Fact]
    public void Each_drive_point_has_steps_in_the_order_of_the_work_with_cautions()
    {
        foreach (var point in Demo.AllDrivePoints())
        {
            var steps = Steps(Demo, point.Id);
            Assert.Equal(steps.Count, steps.Select(s => s.Id).Distinct().Count());
            Assert.Equal(steps.Select(s => s.Phase).Order(), steps.Select(s => s.Phase));
            Assert.All(steps.Where(s => s.Phase is SitePhase.BeforePower or SitePhase.Uncoupled or SitePhase.Loaded),
                s => Assert.NotEmpty(s.Caution));
            foreach (var (step, at) in steps.Select((s, i) => (s, i)))
            {
                Assert.All(step.After, a => Assert.InRange(steps.ToList().FindIndex(s => s.Id == a), 0, at - 1));
            }
        }
    }

    [Theory]
    [InlineData("dp-02", "insulation", "megohm=10,winding=40", Verdict.Tight, "new dry motor")]
    [InlineData("dp-02", "insulation", "megohm=25,winding=40", Verdict.Holds, "25 MΩ")]
    [InlineData("dp-02", "insulation", "megohm=4.9,winding=40", Verdict.Fails, "at least 5")]
    [InlineData("dp-06", "insulation", "megohm=2,winding=40", Verdict.Holds, "at least 1")]
    [InlineData("dp-02", "loop", "ohm=0.4", Verdict.Fails, "at most")]
    [InlineData("dp-02", "loop", "ohm=0.02", Verdict.Holds, "at most")]
    [InlineData("dp-02", "loop", "ohm=0.4,tripMs=400", Verdict.Fails, "at most 300")]
    [InlineData("dp-16", "inductances", "ld=4,lq=4.2", Verdict.Tight, "between the axes")]
    [InlineData("dp-04", "direction", "rpm=12", Verdict.Holds, "forward")]
    [InlineData("dp-04", "direction", "rpm=-12", Verdict.Fails, "swapped")]
    [InlineData("dp-05", "direction", "rpm=12,encoder=-12", Verdict.Fails, "encoder")]
    public void A_reading_is_held_to_what_is_right_there(string pointId, string stepId, string values, Verdict verdict, string says)
    {
        var found = Step(Demo, pointId, stepId).Judge(Reading(values.Split(',').Select(v => v.Split('='))
            .ToDictionary(v => v[0], v => double.Parse(v[1], System.Globalization.CultureInfo.InvariantCulture))));
        Assert.Equal(verdict, found.Verdict);
        Assert.Contains(says, found.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void The_coupling_is_recorded_once_with_the_largest_drive_by_the_statistics_of_its_limit()
    {
        var water = Cuadrilla.Documents.Demo.DemoPlant.Read(Cuadrilla.Catalogue.ReferenceCatalogue.Data, "tarn-hollow");
        var kept = water.AllDrivePoints().Where(p => Steps(water, p.Id).Any(s => s.Id == "coupling-week")).ToList();
        var point = Assert.Single(kept);
        var step = Step(water, point.Id, "coupling-week");
        var limit = Source(water, point.Id).DemandLimitPct!.Value;
        Assert.Equal([limit, 1.5 * limit, 2 * limit], step.Quantities.Take(3).Select(q => q.Window!.Most).ToArray());
        Assert.Equal(Verdict.Holds, step.Judge(Reading(new() { ["weekly95"] = limit, ["weekly99"] = 1.4 * limit,
            ["daily99"] = 2 * limit })).Verdict);
        Assert.Equal(Verdict.Fails,
            step.Judge(Reading(new() { ["weekly95"] = limit, ["weekly99"] = 1.51 * limit, ["daily99"] = limit })).Verdict);
        Assert.Single(Demo.AllDrivePoints(), p => Steps(Demo, p.Id).Any(s => s.Id == "coupling-week"));
    }

    [Fact]
    public void A_control_circuit_is_measured_at_its_far_end_where_there_are_signals()
    {
        var water = Cuadrilla.Documents.Demo.DemoPlant.Read(Cuadrilla.Catalogue.ReferenceCatalogue.Data, "tarn-hollow");
        var with = water.AllDrivePoints().First(p => Source(water, p.Id).Parameters.Signals is not null);
        Assert.Equal(Verdict.Fails, Step(water, with.Id, "far-end").Judge(Reading(new() { ["volts"] = 19.8 })).Verdict);
        Assert.Equal(Verdict.Holds, Step(water, with.Id, "far-end").Judge(Reading(new() { ["volts"] = 22.6 })).Verdict);
        Assert.DoesNotContain(Steps(Demo, "dp-02"), s => s.Id == "far-end");
    }

    [Fact]
    public void What_must_not_be_done_is_not_offered()
    {
        // A rope hangs on the hoist; the deep well is behind a step-up transformer; the rollers are a group.
        Assert.NotEmpty(Step(Demo, "dp-05", "rotating").Forbidden);
        Assert.NotEmpty(Step(Demo, "dp-05", "noise").Forbidden);
        Assert.NotEmpty(Step(Demo, "dp-06", "standstill").Forbidden);
        Assert.NotEmpty(Step(Demo, "dp-06", "resistances").Forbidden);
        Assert.NotEmpty(Step(Demo, "dp-21", "standstill").Forbidden);
        Assert.NotEmpty(Step(Demo, "dp-21", "rotating").Forbidden);
        Assert.All(new[] { "standstill", "rotating", "resistances" }, id => Assert.Empty(Step(Demo, "dp-01", id).Forbidden));
        Assert.DoesNotContain(Steps(Demo, "dp-04"), s => s.Id is "standstill" or "rotating" or "inertia");
        Assert.Contains(Steps(Demo, "dp-04"), s => s.Id == "start" || s.Id == "links");
    }

    [Fact]
    public void What_the_model_says_holds_in_every_step_that_is_computed()
    {
        var source = Source(Demo, "dp-02");
        var (motor, expected) = (source.Model.Fitted!.Losses, ExpectedMotor.Of(source.Model.Fitted.Connected, source.Model.Fitted.Losses)!);
        var cable = source.Model.Cable!.Value.Real;
        Holds("plate", Steps(Demo, "dp-02").Single(s => s.Id == "plate").Quantities.ToDictionary(q => q.Id, q => q.Expected.Value));
        Holds("rotating", new() { ["noLoad"] = expected.NoLoadA });
        var between = 2 * (expected.StatorOhm(20) + cable);
        Holds("resistances", new() { ["uv"] = between, ["vw"] = 1.01 * between, ["wu"] = 1.005 * between });

        // The other link moves the windings by three, not the cable: alike among themselves, and not in order.
        var (winding, leads) = (2 * expected.StatorOhm(20), 2 * cable);
        foreach (var there in new[] { (3 * winding) + leads, (winding / 3) + leads })
        {
            var judged = Step(Demo, "dp-02", "resistances").Judge(new SiteReading(
                new Dictionary<string, double> { ["uv"] = there, ["vw"] = there, ["wu"] = there }, [], null));
            Assert.True(judged.Verdict == Verdict.Fails, judged.Text);
            Assert.Contains("other link", judged.Text, StringComparison.Ordinal);
        }

        var at = motor.OnLine(50, 400, 200);
        Holds("loaded", new() { ["hz"] = 50, ["volts"] = 400, ["torque"] = 200, ["amps"] = at.CurrentA, ["kw"] = at.InputW / 1e3,
            ["rpm"] = at.SpeedPu * motor.Plate.RatedSpeedRpm });
        var warm = expected.StatorOhm(34) + cable;
        var found = Step(Demo, "dp-02", "standstill").Judge(Reading(new() { ["ohm"] = warm, ["winding"] = 34 }));
        Assert.Contains("+0 %", found.Text, StringComparison.Ordinal);

        void Holds(string step, Dictionary<string, double> values) =>
            Assert.Equal(Verdict.Holds, Step(Demo, "dp-02", step).Judge(Reading(values)).Verdict);
    }

    // The limit of the loop is that of the feeder's check; a cold reading counts for two thirds of what the device permits, up to what
    // surely is too much when the conductors are hot.
    [Fact]
    public void A_fault_loop_is_held_to_what_its_device_needs()
    {
        var judged = 0;
        foreach (var point in Demo.AllDrivePoints())
        {
            var step = Step(Demo, point.Id, "loop");
            var check = DemoChanges.Assessor.Run(Demo).Checks.FirstOrDefault(c => c.Id == "cable.disconnection"
                && c.DrivePointId == point.Id && c.ElementId == "feeder");
            var window = step.Quantities[0].Window;
            Assert.Equal(check?.Limit.IsKnown ?? false, window is not null);
            if (window is null)
            {
                Assert.Equal(Verdict.Tight, step.Judge(Reading(new() { ["ohm"] = 0.1 })).Verdict);
                continue;
            }

            judged++;
            Assert.InRange(window.Most / check!.Limit.Value, 2.0 / 3, 0.75);
            Assert.Equal(Verdict.Holds, step.Judge(Reading(new() { ["ohm"] = window.Most })).Verdict);
            Assert.Equal(Verdict.Fails, step.Judge(Reading(new() { ["ohm"] = check.Limit.Value })).Verdict);
            Assert.InRange(window.TightMost, window.Most, 0.8 * check.Limit.Value);
        }

        Assert.True(judged >= 5, $"{judged} loops judged");
    }

    [Fact]
    public void A_plate_of_the_other_link_a_bad_joint_and_a_heavy_run_are_seen()
    {
        var plate = Step(Demo, "dp-02", "plate");
        var values = plate.Quantities.ToDictionary(q => q.Id, q => q.Expected.Value);
        values["current"] *= Math.Sqrt(3);
        Assert.Equal(Verdict.Fails, plate.Judge(Reading(values)).Verdict);
        foreach (var (lead, uv, vw, wu) in new[] { ("W", 0.1, 0.12, 0.12), ("V", 0.12, 0.12, 0.1), ("U", 0.12, 0.1, 0.12) })
        {
            var joint = Step(Demo, "dp-02", "resistances").Judge(Reading(new() { ["uv"] = uv, ["vw"] = vw, ["wu"] = wu }));
            Assert.Equal(Verdict.Fails, joint.Verdict);
            Assert.EndsWith("lead " + lead, joint.Text, StringComparison.Ordinal);
        }

        var at = Source(Demo, "dp-02").Model.Fitted!.Losses.OnLine(50, 400, 200);
        Assert.Equal(Verdict.Fails, Step(Demo, "dp-02", "loaded").Judge(Reading(new() { ["hz"] = 50, ["volts"] = 400, ["torque"] = 200,
            ["amps"] = at.CurrentA * 1.09, ["kw"] = at.InputW / 1e3 })).Verdict);
        Assert.Equal(Verdict.Fails, Step(Demo, "dp-02", "insulation").Judge(Reading(new() { ["megohm"] = 2, ["winding"] = 40 })).Verdict);
        Assert.Equal(Verdict.NeedsData, Step(Demo, "dp-02", "insulation").Judge(Reading(new() { ["megohm"] = 200 })).Verdict);
        Assert.Equal(Verdict.Tight, Step(Demo, "dp-02", "noise").Judge(Reading(new() { ["ramp"] = 84, ["coast"] = 71, ["rpm"] = 1200 }))
            .Verdict);
        foreach (var (velocity, rpm, verdict) in new[] { (1.5, 1480, Verdict.Holds), (1.5, -1480, Verdict.Holds),
            (6.0, 1480, Verdict.Fails),
            (1.5, 0, Verdict.NeedsData), (0, 1480, Verdict.NeedsData) })
        {
            Assert.Equal(verdict, Step(Demo, "dp-02", "vibration").Judge(Reading(new() { ["velocity"] = velocity, ["rpm"] = rpm }))
                .Verdict);
        }

        Assert.Equal(Verdict.Fails, Step(Demo, "dp-03", "rotations")
            .Judge(Reading(new() { ["forward"] = 2.1, ["reverse"] = 3.4 })).Verdict);
    }

    [Fact]
    public void What_nothing_is_held_to_never_holds()
    {
        // A brake without times, a cable without a length: recorded, and tight.
        var open = DemoChanges.Changed("dp-05", p => p with
        {
            Brake = (Core.Brakes.HoldingBrake.SpringApplied)p.Brake with { ReleaseMs = Given.Unknown, CloseMs = Given.Unknown },
        });
        var brake = Step(open, "dp-05", "brake").Judge(Reading(new() { ["release"] = 900, ["close"] = 1500, ["feedbacks"] = 2 }));
        Assert.Equal(Verdict.Tight, brake.Verdict);
        Assert.Contains("nothing specified", brake.Text, StringComparison.Ordinal);
        var cable = DemoChanges.Changed("dp-08", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        Assert.Equal(Verdict.Tight, Step(cable, "dp-08", "cable").Judge(Reading(new() { ["metres"] = 40 })).Verdict);

        // Nothing measured is nothing proven.
        Assert.Equal(Verdict.NeedsData, Step(Demo, "dp-02", "no-load").Judge(Reading(new() { ["volts"] = 0, ["amps"] = 0 })).Verdict);

        // However low a plant's own voltage is computed, 10 % off the nominal is not in order.
        var supply = Step(Demo, "dp-02", "supply");
        Assert.All(supply.Quantities, q => Assert.InRange(q.Window!.Least, 360, 380));
        Assert.Equal(Verdict.Fails, supply.Judge(Reading(supply.Quantities.ToDictionary(q => q.Id, _ => 359.0))).Verdict);
    }

    [Theory]
    [InlineData(40, 79, Verdict.Holds)]
    [InlineData(40, 81, Verdict.Fails)]
    [InlineData(50, 69, Verdict.Holds)]
    [InlineData(50, 71, Verdict.Fails)]
    [InlineData(20, -1, Verdict.NeedsData)]
    public void In_warm_air_less_rise_is_permitted(double coolantC, double riseK, Verdict verdict)
    {
        // Its rise is used to class B: 80 K up to 40 °C.
        var motor = Demo.AllDrivePoints().Single(p => p.Id == "dp-02").Motor;
        Assert.Equal(ThermalClass.B, ((MotorChoice.FromCatalogue)motor).RiseUsed);
        var found = Step(Demo, "dp-02", "rise").Judge(Reading(new()
        {
            ["coldOhm"] = 0.1, ["coldC"] = 20, ["hotOhm"] = 0.1 * (235 + coolantC + riseK) / 255, ["delayS"] = 10, ["ambientC"] = coolantC,
        }));
        Assert.Equal(verdict, found.Verdict);
    }

    [Fact]
    public void Inertia_by_two_ramps_is_that_of_the_machine()
    {
        var source = Source(Demo, "dp-01");
        var whole = source.Model.Load!.InertiaKgM2.Value + source.Model.Fitted!.Connected.Plate.InertiaKgM2;
        var accelerating = whole * 50 * Math.PI / 30;
        var found = Step(Demo, "dp-01",
            "inertia").Judge(Reading(new() { ["up"] = accelerating + 12, ["down"] = 12 - accelerating, ["rpmPerS"] = 50 }));
        Assert.Equal(Verdict.Holds, found.Verdict);
        Assert.Equal(Verdict.Fails, Step(Demo, "dp-01", "inertia")
            .Judge(Reading(new() { ["up"] = 12 - accelerating, ["down"] = 12 + accelerating,
            ["rpmPerS"] = 50 })).Verdict);
    }

    [Theory]
    [InlineData("cable", "plate", "standstill", "loaded")]
    [InlineData("filter", "plate", "standstill", "loaded")]
    [InlineData("link", "plate", "standstill", "protection")]
    [InlineData("switching", "loaded", "noise", "stop")]
    [InlineData("name", "", "", "")]
    public void A_change_makes_stale_what_rests_on_it_and_nothing_else(string what, params string[] stale)
    {
        var changed = DemoChanges.Changed("dp-02", p => what switch
        {
            "cable" => p with { Cable = p.Cable with { LengthM = 71 } },
            "filter" => p with { Converter = (ConverterChoice.FromCatalogue)p.Converter with { Filter = OutputFilter.Sine } },
            "switching" => p with { Converter = (ConverterChoice.FromCatalogue)p.Converter with { SwitchingKhz = 6 } },
            "link" => p with { Motor = (MotorChoice.FromCatalogue)p.Motor with { Connection = MotorConnection.Star } },
            _ => p with { Name = "Exhaust fan of the dryer" },
        });
        var before = Steps(Demo, "dp-02");
        var entries = before.Where(s => s.Forbidden.Length == 0).Select((s, i) => Entry(s.Id, i + 1, SiteBasis.Of(Source(Demo, "dp-02"))))
            .ToList();
        Assert.All(StepState.Of(before, entries, SiteBasis.Of(Source(Demo, "dp-02"))).Where(s => s.Step.Forbidden.Length == 0),
            s => Assert.Equal(StepStanding.Done, s.Standing));
        var states = StepState.Of(Steps(changed, "dp-02"), entries, SiteBasis.Of(Source(changed, "dp-02")));
        Assert.All(stale.Where(s => s.Length > 0), id => Assert.Equal(StepStanding.Stale, states.Single(s => s.Step.Id == id).Standing));
        Assert.Equal(stale[0].Length > 0, states.Any(s => s.Standing == StepStanding.Stale));
        Assert.All(states.Where(s => s.Standing == StepStanding.Stale), s => Assert.NotEmpty(s.Why));
        Assert.NotEqual(StepStanding.Stale, states.Single(s => s.Step.Id == "visual").Standing);
    }

    [Fact]
    public void A_stale_entry_never_counts_for_a_sign_off()
    {
        // Over random logs: whatever was entered and corrected in whatever order, what is stale, wrong or missing stands against it.
        var random = new Random(71);
        var now = SiteBasis.Of(Source(Demo, "dp-02"));
        var other = SiteBasis.Of(Source(DemoChanges.Changed("dp-02", p => p with { Cable = p.Cable with { LengthM = 12 } }), "dp-02"));
        var steps = Steps(Demo, "dp-02");
        for (var round = 0; round < 300; round++)
        {
            List<SiteEntry> entries = [];
            foreach (var step in steps.Where(_ => random.NextDouble() < 0.9))
            {
                for (var i = random.Next(1, 4); i > 0; i--)
                {
                    var earlier = entries.Where(e => e.StepId == step.Id).Select(e => (long?)e.Number).FirstOrDefault();
                    entries.Add(Entry(step.Id, entries.Count + 1, random.NextDouble() < 0.5 ? now : other,
                        random.NextDouble() < 0.8
                            ? Verdict.Holds
                            : Verdict.Fails) with { Corrects = random.NextDouble() < 0.3 ? earlier : null });
                }
            }

            var states = StepState.Of(steps, entries, now);
            var open = SignOff.Of(states).OpenIds;
            foreach (var state in states.Where(s => s.Step.Forbidden.Length == 0))
            {
                var counted = StepState.Counted(entries).GetValueOrDefault(state.Step.Id);
                if (counted is null || counted.Judgement.Verdict == Verdict.Fails
                    || counted.Basis.ChangedTo(now, state.Step.RestsOn).Count > 0)
                {
                    Assert.Contains(state.Step.Id, open);
                }
            }

            Assert.Equal(open, SignOff.Of(states).NotNamed([]));
            Assert.Empty(SignOff.Of(states).NotNamed([.. open]));
        }
    }

    [Fact]
    public void A_repeated_identification_makes_stale_what_was_built_on_it()
    {
        var basis = SiteBasis.Of(Source(Demo, "dp-02"));
        var steps = Steps(Demo, "dp-02");
        List<SiteEntry> entries = [.. steps.Where(s => s.Forbidden.Length == 0).Select((s, i) => Entry(s.Id, i + 1, basis))];
        entries.Add(Entry("standstill", 99, basis));
        var states = StepState.Of(steps, entries, basis).ToDictionary(s => s.Step.Id);
        Assert.Equal(StepStanding.Done, states["standstill"].Standing);
        Assert.Equal(StepStanding.Stale, states["inertia"].Standing);
        Assert.Contains("repeated after it", states["inertia"].Why[0], StringComparison.Ordinal);
        Assert.Equal(StepStanding.Done, states["insulation"].Standing);
    }

    [Fact]
    public void What_was_measured_is_proposed_for_what_may_be_changed()
    {
        // A motor of the project of 230/400 V, run without load at 230 V in delta: 17.3 A there are 10 A in star, the link of its plate.
        var unknown = Given.Unknown;
        var own = new OwnMotor("own-1", "Spare", MotorTechnology.CageInduction, "IE3", 11, 400, 230, 50, 1470, 20.4, 91.4, 0.85, 4, unknown,
            unknown,
            unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown, unknown,
            unknown,
            unknown, unknown);
        var plant = DemoChanges.Changed(Demo with { Motors = [own] }, "dp-02", p => p with
        {
            Motor = (MotorChoice.FromCatalogue)p.Motor with { ItemId = "own-1", Connection = MotorConnection.Delta },
        });
        var basis = SiteBasis.Of(Source(plant, "dp-02"));
        SiteEntry With(string step, long number, Dictionary<string, double> values) =>
            Entry(step, number, basis) with { Reading = Reading(values) };
        var found = AsBuiltProposal.Of(Source(plant, "dp-02"),
            [With("no-load", 1, new() { ["volts"] = 230, ["amps"] = 10 * Math.Sqrt(3) }), With("cable", 2, new() { ["metres"] = 300 })]);
        Assert.Equal(10, found.Single(p => p.Entry == AsBuiltEntry.NoLoadCurrentA).Measured, 0.05);
        Assert.Equal((300.0, 2L), (found.Single(p => p.Entry == AsBuiltEntry.CableLengthM).Measured,
            found.Single(p => p.Entry == AsBuiltEntry.CableLengthM).Number));

        // A motor of the catalogue is not changed by one of its kind; what is as specified is no proposal.
        Assert.Empty(AsBuiltProposal.Of(Source(Demo, "dp-02"), [With("no-load", 1, new() { ["volts"] = 400, ["amps"] = 40 }),
            With("cable", 2, new() { ["metres"] = Source(Demo, "dp-02").Point.Cable.LengthM.Value })]));
    }

    private static SiteReading Reading(Dictionary<string, double> values) => new(values, [], null);

    private static SiteEntry Entry(string step, long number, SiteBasis basis, Verdict verdict = Verdict.Holds) => new()
    {
        Number = number, AtUtc = "2026-05-04T08:10:00.000Z", Who = "commissioning engineer", PointId = "dp-02", StepId = step,
        Reading = Reading([]), Judgement = new(verdict, "found"), Edit = 1, Basis = basis,
    };

    private static StepSource Source(PlantSpecification plant, string id) =>
        Assessor.SiteOf(plant, plant.AllDrivePoints().Single(p => p.Id == id));

    private static IReadOnlyList<SiteStep> Steps(PlantSpecification plant, string id) => SiteSteps.Of(Source(plant, id));

    private static SiteStep Step(PlantSpecification plant, string id, string step) => Steps(plant, id).Single(s => s.Id == step);
}
