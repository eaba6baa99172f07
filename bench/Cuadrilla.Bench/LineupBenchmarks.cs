using BenchmarkDotNet.Attributes;
using Cuadrilla.Core.Lineups.DcBus;

namespace Cuadrilla.Bench;

/// <summary>A common DC bus of 20 members over 60 s. Bound: 100 ms.</summary>
public class LineupBenchmarks
{
    private readonly List<BusMember> members =
    [
        .. Enumerable.Range(0, 20).Select(i => new BusMember(
            $"m{i}", [.. Enumerable.Range(0, 10).Select(k => new BusPower(i == 0 ? 6 : 0.4 + (0.03 * i), (2000 * Math.Sin(i + k)) + 500))], 1e-3)),
    ];

    [Benchmark(Description = "common DC bus, 20 members, 60 s")]
    public double CommonBus() => CommonBusStudy.Run(members, new BusSupply(40e3, 60e3, 0, 20e3, 566, 760, 820)).PeakW;
}
