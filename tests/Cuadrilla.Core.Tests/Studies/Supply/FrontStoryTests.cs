using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>What a front end's story says of its voltage, and which causes are taken away.</summary>
public sealed class FrontStoryTests
{
    private static readonly RectifierInput Circuit = new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50,
        SourceResistanceOhm = 0.005, SourceInductanceH = 50e-6, DcChokeH = 0.5e-3, DcChokeResistanceOhm = 0.01, DcCapacitanceF = 2e-3,
        DcLoadW = 30e3 };

    [Fact]
    public void Unbalance_and_distortion_are_parts_of_the_fundamental_and_each_cause_is_asked_for_by_itself()
    {
        var asked = new List<SpoilingCause>();
        var story = FrontStory.Of(Drive(Circuit with { LeakageMismatchPu = 0.1 }, (1, 0.9), (-1, 0.018), (-5, 0.027), (7, 0.036)), cause =>
        {
            asked.Add(cause);
            return (int)cause;
        });
        Assert.Equal(2, story.UnbalancePct, 1e-9);
        Assert.Equal(5, story.DistortionPct, 1e-9);
        Assert.Equal(6, story.Pulses);
        Assert.Equal(
            [SpoilingCause.Unbalance, SpoilingCause.Distortion, SpoilingCause.Mismatch,
                SpoilingCause.Unbalance | SpoilingCause.Distortion | SpoilingCause.Mismatch], asked);
        Assert.Equal((1, 2, 4, 7), (story.WithoutUnbalancePct, story.WithoutDistortionPct, story.WithoutMismatchPct, story.IdealPct));
    }

    [Fact]
    public void What_is_not_there_is_not_taken_away()
    {
        var story = FrontStory.Of(Drive(Circuit, (1, 1)), _ => 30);
        Assert.All([story.WithoutUnbalancePct, story.WithoutDistortionPct, story.WithoutMismatchPct], v => Assert.True(double.IsNaN(v)));
        Assert.Equal((30, 0, 0), (story.IdealPct, story.UnbalancePct, story.DistortionPct));
    }

    private static DriveInScenario Drive(RectifierInput circuit, params (int Order, double Size)[] emf)
    {
        var vector = new SpaceVector();
        foreach (var (order, size) in emf)
        {
            vector[order] = new Complex(0, -size);
        }

        return new DriveInScenario("dp", default, RectifierStudy.Run(circuit), circuit, 400, "bus", 0) { OwnEmf = vector };
    }
}
