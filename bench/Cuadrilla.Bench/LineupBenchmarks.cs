using BenchmarkDotNet.Attributes;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Bench;

/// <summary>A common DC bus of 20 members over 60 s (bound: 100 ms), a shared shaft, a brake sequence.</summary>
public class LineupBenchmarks
{
    private readonly List<BusMember> members =
    [
        .. Enumerable.Range(0, 20).Select(i => new BusMember(
            $"m{i}", [.. Enumerable.Range(0,
                10).Select(k => new BusPower(i == 0 ? 6 : 0.4 + (0.03 * i), (2000 * Math.Sin(i + k)) + 500))], 1e-3)),
    ];

    [Benchmark(Description = "common DC bus, 20 members, 60 s")]
    public double CommonBus() => CommonBusStudy.Run(members, new BusSupply(40e3, 60e3, 0, 20e3, 566, 760, 820)).PeakW;

    [Benchmark(Description = "shared shaft, 4 units, 20 s")]
    public double SharedShaft() => SharedShaftStudy.Run(new SharingInput
    {
        Units = [.. Enumerable.Range(0, 4).Select(i => new SharingUnit(150, 300, 0.2, 3, 0.05 * i, 0))],
        Kind = SharingKind.Droop,
        SpeedRadPerS = 150,
        LoadInertiaKgM2 = 2,
        IdleNm = 100,
        LoadNm = 400,
        StiffnessNmPerRad = double.PositiveInfinity,
        DampingNmSPerRad = 0,
        SpeedWindowPct = 5,
        TrimPct = 2,
        TrimLimitPct = 150,
        LostUnit = 1,
    }).ImbalancePct;

    [Benchmark(Description = "brake sequence, power lost")]
    public double BrakeRun() => BrakeSequence.Run(
        new BrakeMechanics(0.656, 122.6, 0.0125, 240, 400, 0.3),
        new BrakeTimes(360, 0.12, 0.08, 120, 0.2, 1.5, double.PositiveInfinity, 0.15, true), new BrakeMove(-150, 1.5, 1.5),
        BrakeFault.PowerLost).BrakeJ;
}
