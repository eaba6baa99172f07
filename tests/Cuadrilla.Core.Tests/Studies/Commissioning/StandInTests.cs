using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Simulated drive points: in order they pass their steps, and what is hidden in them is found at the step that shows
/// it.</summary>
public sealed class StandInTests
{
    // The mill of the demo does not break away: with more current it does.
    private static readonly PlantSpecification Demo = DemoChanges.Demo with
    {
        Lineups = [.. DemoChanges.Demo.Lineups.Select(l => l with
        {
            DrivePoints = [.. l.DrivePoints.Select(p => p is { Id: "dp-04", Converter: ConverterChoice.SoftStarter soft }
                ? p with { Converter = soft with { Settings = soft.Settings with { InitialPct = 500, CurrentLimitPct = 600 } } }
                : p)],
        })],
    };

    private static readonly Assessor Assessor = DemoChanges.Assessor;

    // The small compressor's motor is linked wrong in the demo's specification, for all to see.
    private const string WronglyLinked = "dp-18";

    public static TheoryData<string> Points => [.. Demo.AllDrivePoints().Select(p => p.Id).Where(id => id != WronglyLinked)];

    [Theory]
    [MemberData(nameof(Points))]
    public void One_that_is_in_order_passes_every_step_it_is_measured_at(string pointId)
    {
        for (var seed = 1; seed <= 3; seed++)
        {
            var drive = Of(pointId, new(seed));
            var judged = Judged(drive, pointId).ToList();
            Assert.True(drive.Trip.Length == 0, $"{pointId}: {drive.Trip}");
            Assert.True(judged.Count >= 5, $"{pointId}: {judged.Count} steps measured");
            Assert.All(judged, j => Assert.True(j.Verdict is Verdict.Holds or Verdict.Tight,
                $"{pointId}, seed {seed}, {j.Step}: {j.Text}"));
        }
    }

    // Whatever stands still is cool, quiet and even: none of it may count for a run.
    [Theory]
    [MemberData(nameof(Points))]
    public void At_rest_no_step_that_runs_is_passed(string pointId)
    {
        var drive = Of(pointId, new(1));
        drive.Go(60);
        foreach (var step in Steps(pointId).Where(s => StepOrders.Of(s.Id).Count > 0 && s.Quantities.Count > 0))
        {
            var values = step.Quantities.Select(q => (q.Id, Name: StepReadings.Of(step.Id, q.Id)))
                .Where(q => q.Name is not null && StandInHands.Reading(drive, q.Name) is not null)
                .ToDictionary(q => q.Id, q => StandInHands.Reading(drive, q.Name!)!.Value);
            var run = Enumerable.Range(0, 40).Select(i => new RunPoint(60 * i, StandInHands.Reading(drive, "temperature.frame")!.Value));
            var judged = step.Judge(new(values, [.. run], null));
            Assert.True(judged.Verdict is Verdict.NeedsData or Verdict.Fails, $"{pointId}, {step.Id}: {judged.Text}");
        }
    }

    [Theory]
    [InlineData("dp-01", HiddenFault.Joint, "resistances")]
    [InlineData("dp-06", HiddenFault.SwappedRotation, "rotations")]
    [InlineData("dp-04", HiddenFault.SwappedRotation, "direction")]
    [InlineData("dp-04", HiddenFault.PlateTyped, "plate")]
    [InlineData("dp-01", HiddenFault.PlateTyped, "plate")]
    [InlineData("dp-02", HiddenFault.WrongLink, "resistances")]
    [InlineData("dp-02", HiddenFault.OtherIdentification, "no-load")]
    [InlineData("dp-05", HiddenFault.BrakeStaysOpen, "brake")]
    [InlineData("dp-05", HiddenFault.BrakeStaysOpen, "brake-test")]
    [InlineData("dp-05", HiddenFault.BrakeFeedbackLost, "brake")]
    [InlineData("dp-05", HiddenFault.EncoderSign, "direction")]
    [InlineData("dp-12", HiddenFault.RatioZero, "ratio")]
    [InlineData("dp-01", HiddenFault.Resonance, "skip-bands")]
    [InlineData("dp-04", HiddenFault.PhaseMissing, "supply")]
    [InlineData("dp-04", HiddenFault.WrongBase, "start")]
    [InlineData("dp-01", HiddenFault.BankNearOrder, "harmonics")]
    public void What_is_hidden_shows_at_its_step_and_only_with_it(string pointId, HiddenFault fault, string stepId)
    {
        for (var seed = 1; seed <= 5; seed++)
        {
            var step = Step(pointId, stepId);
            var wrong = StandInHands.Judge(Of(pointId, new(seed, fault)), step);
            Assert.True(wrong is { Verdict: Verdict.Fails }, $"{fault}, seed {seed}: {wrong?.Text ?? "not measured"}");
            Assert.NotEqual(Verdict.Fails, StandInHands.Judge(Of(pointId, new(seed)), step)!.Verdict);
        }
    }

    [Fact]
    public void An_identification_returns_what_is_hidden_within_the_stated_windows()
    {
        foreach (var pointId in new[] { "dp-01", "dp-02", "dp-03", "dp-11" })
        {
            for (var seed = 1; seed <= 10; seed++)
            {
                var drive = Of(pointId, new(seed));
                foreach (var order in new[] { StandInOrder.IdentifyStanding, StandInOrder.Uncouple, StandInOrder.IdentifyTurning,
                    StandInOrder.Couple, StandInOrder.TwoRamps })
                {
                    Assert.Null(drive.Do(new(order)));
                }

                var (truth, found) = (drive.Truth, Values(drive));
                var ohm = truth.BetweenOhm(0, drive.Heat.WindingC) / 2;
                Assert.InRange(found["identified.ohm"], 0.9 * ohm, 1.1 * ohm);
                Assert.InRange(found["identified.leakage"], 0.7 * truth.LeakagePu!.Value, 1.3 * truth.LeakagePu!.Value);

                // The measured no-load run, which the identification does not share: held to ±10 %.
                drive.Do(new(StandInOrder.Uncouple));
                drive.Do(new(StandInOrder.Start, drive.Typed.FrequencyHz));
                drive.Go(60);
                var run = Values(drive);
                Assert.InRange(found["identified.noLoad"] * run["motor.volts"] / drive.Typed.VoltageV / run["motor.amps"], 0.9, 1.1);
                var inertia = (found["identified.torqueUp"] - found["identified.torqueDown"])
                    / (2 * found["identified.rpmPerS"] * Math.PI / 30);
                Assert.InRange(inertia / truth.InertiaKgM2!.Value, 0.8, 1.2);
            }
        }
    }

    [Fact]
    public void What_is_specified_wrong_does_not_run_in_the_simulation_either()
    {
        var drive = Of(WronglyLinked, new(1));
        drive.Do(new(StandInOrder.Start));
        drive.Go(60);
        Assert.StartsWith("stalled", drive.Trip, StringComparison.Ordinal);
        var mill = Assessor.StandIn(DemoChanges.Demo, DemoChanges.Demo.AllDrivePoints().First(p => p.Id == "dp-04"), new(1));
        mill.Do(new(StandInOrder.Start));
        mill.Go(60);
        Assert.StartsWith("no speed", mill.Trip, StringComparison.Ordinal);
    }

    [Fact]
    public void The_same_seed_is_the_same_plant_another_is_another()
    {
        double[] Readings(int seed)
        {
            var drive = Of("dp-02", new(seed));
            drive.Do(new(StandInOrder.Start, 30));
            drive.Go(20);
            return [.. drive.Read().Where(r => r.Value is not null).Select(r => r.Value!.Value)];
        }

        Assert.Equal(Readings(7), Readings(7));
        Assert.NotEqual(Readings(7), Readings(8));
    }

    [Fact]
    public void It_runs_out_by_its_torque_over_its_inertia_and_warms_by_one_exponential()
    {
        var drive = Of("dp-02", new(3) { NoisePct = 0 });
        Assert.Null(drive.Do(new(StandInOrder.Uncouple)));
        Assert.Null(drive.Do(new(StandInOrder.Start)));
        drive.Go(60);
        var (before, inertia) = (drive.SpeedRpm, drive.Source.Model.Fitted!.Connected.Plate.InertiaKgM2);
        drive.Do(new(StandInOrder.Coast));
        drive.Go(0.5);
        Assert.Equal(before - (drive.Truth.FrictionNm / inertia * 0.5 * 30 / Math.PI), drive.SpeedRpm, 1e-6 * before);

        // dθ/dt = (end − θ)/τ: three readings at the same distance give the end, whatever the losses.
        var warm = Of("dp-02", new(3) { NoisePct = 0, HeatingTimes = 2 });
        warm.Do(new(StandInOrder.Start));
        warm.Go(200);
        double Frame(double seconds)
        {
            warm.Go(seconds);
            return Values(warm)["temperature.frame"];
        }

        var (a, b, c) = (Frame(0), Frame(300), Frame(300));
        Assert.Equal(Math.Exp(-300 * warm.Settings.HeatingTimes / warm.Truth.HeatTimeS), (c - b) / (b - a), 0.01);
    }

    [Fact]
    public void It_takes_what_a_unit_takes_and_says_why_not()
    {
        var drive = Of("dp-02", new(1));
        Assert.Contains("Hz", drive.Do(new(StandInOrder.Start, 500)), StringComparison.Ordinal);
        Assert.Null(drive.Do(new(StandInOrder.Start, 20)));
        Assert.Equal("only at rest", drive.Do(new(StandInOrder.Uncouple)));
        drive.Go(1);
        Assert.Null(StandInHands.Reading(drive, "winding.uv"));
        Assert.Contains("direction", drive.Do(new(StandInOrder.Start, -20)), StringComparison.Ordinal);
        Assert.Contains("hangs", Of("dp-05", new(1)).Do(new(StandInOrder.IdentifyTurning)), StringComparison.Ordinal);
        Assert.Contains("brake", drive.Do(new(StandInOrder.Stop)) ?? Ended(drive).Do(new(StandInOrder.TimeBrake)),
            StringComparison.Ordinal);
        var missing = Of("dp-02", new(1, HiddenFault.PhaseMissing));
        missing.Do(new(StandInOrder.Start));
        missing.Go(1);
        Assert.Equal(StandInState.Tripped, missing.State);
        Assert.Contains("acknowledge", missing.Do(new(StandInOrder.Start)), StringComparison.Ordinal);
        Assert.Throws<ArgumentException>(() => Of("dp-02", new(1, HiddenFault.BrakeStaysOpen)));
    }

    [Fact]
    public void Whatever_a_stand_in_reads_is_known_and_every_step_that_names_a_reading_has_it()
    {
        var known = Core.Commissioning.ReadingKind.All.Select(k => k.Name).ToHashSet(StringComparer.Ordinal);
        Assert.All(StepReadings.All, s => Assert.Contains(StepReadings.Of(s.Step, s.Quantity)!, known));
        HashSet<string> told = [];
        HashSet<(string, string)> asked = [];
        foreach (var point in Demo.AllDrivePoints())
        {
            told.UnionWith(Of(point.Id, new(1)).Read().Select(r => r.Name));
            asked.UnionWith(Steps(point.Id).SelectMany(s => s.Quantities.Select(q => (s.Id, q.Id))));
        }

        Assert.Equal(known.Order(StringComparer.Ordinal), told.Order(StringComparer.Ordinal));
        Assert.All(StepReadings.All.Where(s => s.Quantity != StepReadings.RunId && s.Step != "magnets"), s => Assert.Contains(s, asked));
    }

    private static StandInDrive Ended(StandInDrive drive)
    {
        drive.Go(120);
        return drive;
    }

    private static StandInDrive Of(string pointId, StandInSettings settings) =>
        Assessor.StandIn(Demo, Demo.AllDrivePoints().First(p => p.Id == pointId), settings);

    private static IReadOnlyList<SiteStep> Steps(string pointId) =>
        SiteSteps.Of(Assessor.SiteOf(Demo, Demo.AllDrivePoints().First(p => p.Id == pointId)));

    private static SiteStep Step(string pointId, string stepId) => Steps(pointId).Single(s => s.Id == stepId);

    private static Dictionary<string, double> Values(StandInDrive drive) =>
        drive.Read().Where(r => r.Value is not null).ToDictionary(r => r.Name, r => r.Value!.Value, StringComparer.Ordinal);

    private static IEnumerable<(string Step, Verdict Verdict, string Text)> Judged(StandInDrive drive, string pointId)
    {
        foreach (var step in Steps(pointId).Where(s => s.Forbidden.Length == 0))
        {
            if (StandInHands.Judge(drive, step) is { Verdict: not Verdict.NeedsData } judgement)
            {
                yield return (step.Id, judgement.Verdict, judgement.Text);
            }
        }
    }
}
