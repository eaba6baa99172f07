using BenchmarkDotNet.Attributes;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Bench;

/// <summary>Spectra of single front ends, nothing remembered. Bounds on one core: 2 ms, with eighteen pulses and unbalance 8 ms.</summary>
public class RectifierBenchmarks
{
    private static readonly RectifierInput Choke = new(RectifierKind.SixPulse, 400, 50, 0.0009, 30e-6, 130e-6, 0.002, 11e-3, 150e3);
    private static readonly RectifierInput Plain = new(RectifierKind.SixPulse, 400, 50, 0.012, 80e-6, 0, 0, 5.2e-3, 55e3);
    private static readonly RectifierInput Single = new(RectifierKind.SinglePhase, 230, 50, 0.2, 600e-6, 0, 0, 1.5e-3, 1500);
    private static readonly RectifierInput Ringing = new(RectifierKind.SixPulse, 400, 50, 0.0042, 135.8e-6, 2852e-6, 0, 712e-6, 7500);
    private static readonly RectifierInput Eighteen =
        new(RectifierKind.SixPulse, 400, 50, 0.0028, 45e-6, 95e-6, 0, 20e-3, 400e3, UnbalancePu: 0.02, Bridges: 3, LeakageH: 120e-6);
    private static readonly RectifierInput Twelve =
        new(RectifierKind.SixPulse, 690, 50, 0.007, 190e-6, 180e-6, 0, 7e-3, 250e3, UnbalancePu: 0.02, Bridges: 2, LeakageH: 300e-6);
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
