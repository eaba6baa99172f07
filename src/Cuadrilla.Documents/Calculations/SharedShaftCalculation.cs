using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>shared-shaft</c>: where the units settle, and what they do over time.</summary>
internal static class SharedShaftCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("lostUnit", input.LostUnit, -1, Math.Max(0, input.Units.Count - 1));

        for (var i = 0; i < input.Units.Count; i++)
        {
            var unit = input.Units[i];
            ranges
                .Number($"units/{i}/largestNm", unit.LargestNm, unit.RatedNm / 10, 1e8);
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
            100 * steady.SpeedPu, steady.TorquesNm, steady.ImbalancePct, steady.CirculatingNm, [.. run.LoadedPu.Select(p => 100 * p)],
            100 * run.SpeedPu, [.. run.AfterLossPu.Select(p => 100 * p)],
            100 * run.SpeedAfterLossPu, run.Moments.Max(m => Math.Abs(m.SharesNm.Sum() - m.LoadNm - m.AcceleratingNm)));
    }

    internal sealed record Input(
        [Length(2, 8)] IReadOnlyList<SharingUnit> Units,
        SharingKind Kind,
        [Above(0, 60_000)] double SpeedRpm,
        [Above(0, 1e9)] double LoadInertiaKgM2,
        [Range(-1e9, 1e9)] double LoadNm,
        [Range(-1e9, 1e9)] double IdleNm = 0,
        [Range(0.1, 1e8)] double? StiffnessNmPerRad = null,
        [Range(0, 1e6)] double DampingNmSPerRad = 0,
        [Range(0.1, 50)] double SpeedWindowPct = 5,
        [Range(0, 20)] double TrimPct = 2,
        [Range(1, 500)] double TrimLimitPct = 150,
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
