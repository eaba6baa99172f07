using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Signals;

/// <summary>Terminals, channels and what is said of them.</summary>
public sealed class SignalStudyTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);

    // Whatever is wanted of whatever unit and controller.
    [Fact]
    public void No_two_functions_share_a_terminal_or_a_channel()
    {
        var (placed, lacking) = (0, 0);
        foreach (var seed in Enumerable.Range(71_000, 40))
        {
            var random = new Random(seed);
            var plant = Wanting(RandomPlant.Of(seed, Data), random);
            var study = SignalStudy.Of(plant, Data.With(plant));
            foreach (var unit in study.Points)
            {
                var terminals = unit.Signals.Where(s => s.Terminal is not null).Select(s => s.Terminal!.Name).ToList();
                Assert.Equal(terminals.Distinct().Count(), terminals.Count);
                Assert.All(unit.Signals.Where(s => s.Terminal is not null), s => Assert.True(s.Terminal!.Takes(s.Wanted.Function)));
                placed += terminals.Count;
            }

            var channels = study.Points.SelectMany(p => p.Signals).Where(s => s.Card is not null).ToList();
            Assert.Equal(channels.Select(s => PlacedSignal.KeyOf(s.Card!.Id, s.Number)).Distinct().Count(), channels.Count);
            Assert.All(channels, s => Assert.InRange(s.Number, 1, s.Card!.Channels));
            lacking += study.Lacking().Count();

            // None is left without one while a card that fits has a free channel.
            Assert.All(study.Lacking(), s =>
            {
                var unit = study.Of(s.PointId)!;
                Assert.DoesNotContain(study.Controller.Cards, c => study.On(c).Count < c.Channels
                    && ChannelAllotment.Fit(unit.Plan, s.Wanted, s.Terminal, c) is not null);
            });
        }

        Assert.True(placed > 500 && lacking > 20, $"{placed} placed, {lacking} without a channel");
    }

    // A value goes through the wire and comes back; where both ends agree it is the same one.
    [Fact]
    public void Scaling_there_and_back_is_the_identity()
    {
        foreach (var range in Enum.GetValues<AnalogueRange>())
        {
            foreach (var far in Enum.GetValues<AnalogueRange>())
            {
                var ends = new SignalEnds(range, far, 5, 60, 5, 60, 12);
                foreach (var percent in new[] { 0, 12.5, 50, 100 })
                {
                    var signal = ends.Signal(percent);
                    Assert.Equal(5 + (percent / 100 * 55), ends.FarValue(signal), 9);
                    if (range == far)
                    {
                        Assert.Equal(ends.FarValue(signal), ends.UnitValue(signal), 9);
                    }
                }

                Assert.Equal(range == far, ends.DifferencePct < 1e-9);
            }
        }
    }

    // 4 to 20 mA read as 0 to 20 mA: at 0 % a fifth of the range is shown.
    [Fact]
    public void A_lost_live_zero_shows_a_fifth()
    {
        var ends = new SignalEnds(AnalogueRange.Milliampere0To20, AnalogueRange.Milliampere4To20, 0, 50, 0, 50, 12);
        Assert.Equal(10, ends.UnitValue(ends.Signal(0)), 9);
        Assert.Equal(20, ends.DifferencePct, 9);
    }

    [Fact]
    public void Kept_channels_stay_when_others_come_before_them()
    {
        var plant = Water() with { Controller = Roomy() };
        plant = Freed(plant);
        var kept = ((CommandOutcome.Done)new KeepChannels(false).On(plant, Assessor)).After;
        var before = Channels(kept);
        Assert.Equal(Channels(plant), before);
        var first = kept.AllDrivePoints().First();
        var more = kept.Changed([first.Id], p => p with
        {
            Signals = p.Signals! with
            {
                Wanted = [new WantedSignal("further", SignalFunction.Jog, FarEnd.Controller), .. p.Signals.Wanted],
            },
        });
        var after = Channels(more);
        Assert.All(before, channel => Assert.Equal(channel.Value, after[channel.Key]));
        Assert.True(after.Count > before.Count);

        // Without keeping, those behind it move on.
        var loose = plant.Changed([first.Id], p => p with { Signals = more.AllDrivePoints().First().Signals! with
        {
            Wanted = [new WantedSignal("further", SignalFunction.Jog, FarEnd.Controller), .. p.Signals!.Wanted],
        } });
        Assert.Contains(Channels(loose), c => before.TryGetValue(c.Key, out var old) && old != c.Value);
    }

    [Fact]
    public void Preset_speeds_follow_their_bits()
    {
        var plan = SignalPlan.Open with
        {
            Presets = [new PresetSpeed(10), new PresetSpeed(20), new PresetSpeed(30), new PresetSpeed(40)],
            Wanted = [new WantedSignal("a", SignalFunction.PresetBit0, FarEnd.Controller),
                new WantedSignal("b", SignalFunction.PresetBit1, FarEnd.Controller)],
        };
        var table = PresetTable.Of(plan)!;
        Assert.Equal(["00", "10", "01", "11"], table.Rows.Select(r => string.Concat(r.On.Select(on => on ? '1' : '0'))));
        Assert.Equal([null, 10.0, 20, 30], table.Rows.Select(r => r.FrequencyHz.IsKnown ? r.FrequencyHz.Value : (double?)null));
        Assert.Equal(1, PresetTable.OutOfReach(plan));
    }

    // What the drive points have decides what they are given: every preset leaves a plant that may be saved.
    [Fact]
    public void Presets_follow_the_drive_point()
    {
        var plant = DemoPlant.Read(Data);
        var after = ((CommandOutcome.Done)new TakeSignals([.. plant.AllDrivePoints().Select(p => p.Id)], SignalJob.ByDrivePoint)
            .On(plant, Assessor)).After;
        Assert.Empty(Core.Specification.Validation.SpecificationValidation.Problems(after, Data));
        var hoist = Functions(after, "dp-05");
        Assert.Contains(SignalFunction.BrakeRelease, hoist);
        Assert.Contains(SignalFunction.ResistorSwitch, hoist);
        Assert.Contains(SignalFunction.PresetBit0, hoist);
        Assert.Contains(SignalFunction.StopPulse, Functions(after, "dp-04"));
        Assert.Contains(SignalFunction.Enable, Functions(after, "dp-16"));
        Assert.Contains(SignalFunction.ProcessValue, Functions(after, "dp-03"));
    }

    private static List<SignalFunction> Functions(PlantSpecification plant, string id) =>
        plant.AllDrivePoints().First(p => p.Id == id).Signals!.Wanted.Select(w => w.Function).ToList();

    internal static PlantSpecification Water() => DemoPlant.Read(Data, "tarn-hollow");

    private static PlantController Roomy() => new("large",
    [
        .. Enum.GetValues<CardKind>().SelectMany(k => Enumerable.Range(1, 3)
            .Select(n => new ControllerCard($"{k}-{n}", $"{k} {n}", k, 32))),
    ]);

    private static PlantSpecification Freed(PlantSpecification plant) =>
        plant.Changed([.. plant.AllDrivePoints().Select(p => p.Id)], p => p with
    {
        Signals = p.Signals! with { Wanted = [.. p.Signals.Wanted.Select(w =>
            w with { Channel = string.Empty, Range = UnitRange.AsFarEnd })] },
    });

    private static Dictionary<string, string> Channels(PlantSpecification plant) => SignalStudy.Of(plant, Data.With(plant)).Points
        .SelectMany(p => p.Signals).Where(s => s.Card is not null).ToDictionary(s => $"{s.PointId}:{s.Wanted.Id}", s => s.Channel);

    private static PlantSpecification Wanting(PlantSpecification plant, Random random)
    {
        var functions = Enum.GetValues<SignalFunction>();
        SignalPlan Plan() => SignalPlan.Open with
        {
            Sense = (DigitalSense)random.Next(2),
            Extension = random.Next(2) == 1,
            ResistorTrip = (ResistorTrip)random.Next(4),
            Wanted = [.. Enumerable.Range(0, random.Next(3, 25))
                .Select(i => new WantedSignal($"s{i}", functions[random.Next(functions.Length)],
                random.Next(3) > 0 ? FarEnd.Controller : (FarEnd)random.Next(5)) { Range = (UnitRange)random.Next(5) })],
        };
        return plant.Changed([.. plant.AllDrivePoints().Select(p => p.Id)], p => p with { Signals = Plan() }) with
        {
            Controller = new PlantController("made",
            [
                .. Enumerable.Range(0, random.Next(1, 12)).Select(i =>
                    new ControllerCard($"c{i}", $"card {i}", (CardKind)random.Next(6), random.Next(1, 17))
                {
                    Sense = (DigitalSense)random.Next(2),
                    Range = (AnalogueRange)random.Next(4),
                }),
            ]),
        };
    }
}
