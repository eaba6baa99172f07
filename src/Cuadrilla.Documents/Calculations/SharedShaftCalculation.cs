using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>shared-shaft</c>: where the units settle, and what they do over time.</summary>
internal static class SharedShaftCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("speedRpm", input.SpeedRpm, 0, 60_000, minExcluded: true)
            .Number("loadInertiaKgM2", input.LoadInertiaKgM2, 0, 1e9, minExcluded: true)
            .Number("loadNm", input.LoadNm, -1e9, 1e9)
            .Number("idleNm", input.IdleNm, -1e9, 1e9)
            .Number("speedWindowPct", input.SpeedWindowPct, 0.1, 50)
            .Number("trimPct", input.TrimPct, 0, 20)
            .Number("trimLimitPct", input.TrimLimitPct, 1, 500)
            .Number("lostUnit", input.LostUnit, -1, Math.Max(0, input.Units.Count - 1))
            .Number("dampingNmSPerRad", input.DampingNmSPerRad, 0, 1e6)
            .Require(input.Units.Count is >= 2 and <= 8, "units", $"{input.Units.Count} units", "2 to 8 units");
        if (input.StiffnessNmPerRad is { } stiffness)
        {
            ranges.Number("stiffnessNmPerRad", stiffness, 0.1, 1e8);
        }

        for (var i = 0; i < input.Units.Count; i++)
        {
            var unit = input.Units[i];
            ranges
                .Number($"units/{i}/ratedNm", unit.RatedNm, 0, 1e7, minExcluded: true)
                .Number($"units/{i}/largestNm", unit.LargestNm, unit.RatedNm / 10, 1e8)
                .Number($"units/{i}/inertiaKgM2", unit.InertiaKgM2, 0, 1e6, minExcluded: true)
                .Number($"units/{i}/droopPct", unit.DroopPct, 0, 50, minExcluded: input.Kind == SharingKind.Droop)
                .Number($"units/{i}/speedErrorPct", unit.SpeedErrorPct, -10, 10)
                .Number($"units/{i}/torqueErrorPct", unit.TorqueErrorPct, -50, 50);
        }

        ranges.Done();
        var steady = SteadyShare.Of(input.Kind, input.LoadNm, input.Units, input.TrimPct, input.TrimLimitPct);
        var run = SharedShaftStudy.Run(new SharingInput
        {
            Units = input.Units,
            Kind = input.Kind,
            SpeedRadPerS = input.SpeedRpm * 2 * Math.PI / 60,
            LoadInertiaKgM2 = input.LoadInertiaKgM2,
            IdleNm = input.IdleNm,
            LoadNm = input.LoadNm,
            StiffnessNmPerRad = input.StiffnessNmPerRad ?? double.PositiveInfinity,
            DampingNmSPerRad = input.DampingNmSPerRad,
            SpeedWindowPct = input.SpeedWindowPct,
            TrimPct = input.TrimPct,
            TrimLimitPct = input.TrimLimitPct,
            LostUnit = input.LostUnit,
        });
        return new Output(
            100 * steady.SpeedPu, steady.TorquesNm, steady.ImbalancePct, steady.CirculatingNm, [.. run.LoadedPu.Select(p => 100 * p)], 100 * run.SpeedPu, [.. run.AfterLossPu.Select(p => 100 * p)],
            100 * run.SpeedAfterLossPu, run.Moments.Max(m => Math.Abs(m.SharesNm.Sum() - m.LoadNm - m.AcceleratingNm)));
    }

    internal sealed record Input(
        IReadOnlyList<SharingUnit> Units,
        SharingKind Kind,
        double SpeedRpm,
        double LoadInertiaKgM2,
        double LoadNm,
        double IdleNm = 0,
        double? StiffnessNmPerRad = null,
        double DampingNmSPerRad = 0,
        double SpeedWindowPct = 5,
        double TrimPct = 2,
        double TrimLimitPct = 150,
        int LostUnit = -1);

    internal sealed record Output(
        double SettledSpeedPct,
        IReadOnlyList<double> SettledTorquesNm,
        double ImbalancePct,
        double CirculatingNm,
        IReadOnlyList<double> LoadedPct,
        double LoadedSpeedPct,
        IReadOnlyList<double> AfterLossPct,
        double AfterLossSpeedPct,
        double LargestRestNm);
}
