using BenchmarkDotNet.Attributes;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Bench;

/// <summary>Spectra of single front ends, nothing remembered. Bounds on one core: 2 ms, with eighteen pulses and unbalance 8 ms.</summary>
public class RectifierBenchmarks
{
    private static readonly RectifierInput Choke = new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50,
        SourceResistanceOhm = 0.0009, SourceInductanceH = 30e-6, DcChokeH = 130e-6, DcChokeResistanceOhm = 0.002, DcCapacitanceF = 11e-3,
        DcLoadW = 150e3 };
    private static readonly RectifierInput Plain = new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50,
        SourceResistanceOhm = 0.012, SourceInductanceH = 80e-6, DcChokeH = 0, DcChokeResistanceOhm = 0, DcCapacitanceF = 5.2e-3,
        DcLoadW = 55e3 };
    private static readonly RectifierInput Single = new() { Kind = RectifierKind.SinglePhase, LineVoltageV = 230, FrequencyHz = 50,
        SourceResistanceOhm = 0.2, SourceInductanceH = 600e-6, DcChokeH = 0, DcChokeResistanceOhm = 0, DcCapacitanceF = 1.5e-3,
        DcLoadW = 1500 };
    private static readonly RectifierInput Ringing = new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50,
        SourceResistanceOhm = 0.0042, SourceInductanceH = 135.8e-6, DcChokeH = 2852e-6, DcChokeResistanceOhm = 0, DcCapacitanceF = 712e-6,
        DcLoadW = 7500 };
    private static readonly RectifierInput Eighteen =
        new() { Kind = RectifierKind.SixPulse, LineVoltageV = 400, FrequencyHz = 50, SourceResistanceOhm = 0.0028,
            SourceInductanceH = 45e-6, DcChokeH = 95e-6, DcChokeResistanceOhm = 0, DcCapacitanceF = 20e-3, DcLoadW = 400e3,
            UnbalancePu = 0.02, Bridges = 3, LeakageH = 120e-6 };
    private static readonly RectifierInput Twelve =
        new() { Kind = RectifierKind.SixPulse, LineVoltageV = 690, FrequencyHz = 50, SourceResistanceOhm = 0.007,
            SourceInductanceH = 190e-6, DcChokeH = 180e-6, DcChokeResistanceOhm = 0, DcCapacitanceF = 7e-3, DcLoadW = 250e3,
            UnbalancePu = 0.02, Bridges = 2, LeakageH = 300e-6 };
    private RectifierInput[] many = [];

    [GlobalSetup]
    public void Setup() => many = [.. Enumerable.Range(0, 512).Select(i => Choke with
    {
        DcLoadW = 20e3 + (250 * i),
        DcChokeH = i % 3 == 0 ? 0 : Choke.DcChokeH * (1 + (i / 256.0)),
    })];

    [Benchmark(Description = "six-pulse with choke")]
    public RectifierResult WithChoke() => Settled(Choke);

    [Benchmark(Description = "six-pulse without choke")]
    public RectifierResult WithoutChoke() => Settled(Plain);

    [Benchmark(Description = "six-pulse, 2 % unbalance, background 5th")]
    public RectifierResult Unbalanced() => Settled(Choke with { UnbalancePu = 0.02, Background = new(0.02, 0) });

    [Benchmark(Description = "twelve-pulse, 2 % unbalance")]
    public RectifierResult TwelvePulse() => Settled(Twelve);

    [Benchmark(Description = "eighteen-pulse, 2 % unbalance")]
    public RectifierResult EighteenPulse() => Settled(Eighteen);

    [Benchmark(Description = "eighteen-pulse, balanced")]
    public RectifierResult EighteenBalanced() => Settled(Eighteen with { UnbalancePu = 0 });

    [Benchmark(Description = "eighteen-pulse, 2 % unbalance, leakages 10 % apart, background 5th")]
    public RectifierResult EighteenMismatched() => Settled(Eighteen with { LeakageMismatchPu = 0.1, Background = new(0.01, 0) });

    [Benchmark(Description = "single-phase")]
    public RectifierResult SinglePhase() => Settled(Single);

    [Benchmark(Description = "six-pulse that rings, and the capacitance that settles it")]
    public RectifierResult Unsettled() => RectifierStudy.Run(Ringing);

    [Benchmark(Description = "512 different six-pulse drives, all cores")]
    public int Many()
    {
        var settled = 0;
        Parallel.ForEach(many, input =>
        {
            if (RectifierStudy.Run(input) is RectifierResult.SteadyState)
            {
                Interlocked.Increment(ref settled);
            }
        });
        return settled;
    }

    // A case without a steady state would measure the search for its cure instead.
    private static RectifierResult.SteadyState Settled(RectifierInput input) =>
        RectifierStudy.Run(input) as RectifierResult.SteadyState ?? throw new InvalidOperationException("The case does not settle.");
}
