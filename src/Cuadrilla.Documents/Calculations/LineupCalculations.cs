using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>droop-share</c> and <c>common-bus</c>.</summary>
internal static class LineupCalculations
{
    public static object Droop(DroopInput input)
    {
        var found = DroopShare.Of(input.TotalTorqueNm, input.Units);
        return new DroopOutput(found.SpeedPu, found.TorquesNm, found.ImbalancePct);
    }

    public static object CommonBus(BusInput input, InputRanges ranges)
    {
        ranges
            .Number("chopperV", input.ChopperV, input.RestV, 5000)
            .Number("tripV", input.TripV, input.RestV, 5000);
        ranges.Done();
        double longest = input.Members.Max(m => m.Powers.Sum(p => p.DurationS)),
        shortest = input.Members.Min(m => m.Powers.Sum(p => p.DurationS));
        ranges.Require(longest / shortest <= 1000, "members",
            FormattableString.Invariant($"cycles of {shortest:0.###} to {longest:0.###} s"),
            "cycles that differ by a factor of at most 1000");
        ranges.Done();
        var found = CommonBusStudy.Run(
            [.. input.Members.Select((m, i) => new BusMember($"{i}", m.Powers, m.CapacitanceUf * 1e-6))],
            new BusSupply(input.ContinuousW, input.ContinuousW, input.ReturnW, input.ChopperW, input.RestV, input.ChopperV, input.TripV,
                input.UndervoltageV, input.MainsOff));
        return new BusOutput(
            found.SpanS, found.PeakW, found.RmsW, found.MeanW, found.PeakReturnW, found.SumOfPeaksW, found.TakenJ, found.GivenJ,
            found.ExchangedJ, found.SupplyJ,
            found.ReturnedJ, found.BurntJ, found.StoredJ, found.HighestV, found.Trips, found.OffAtS, 100 * found.RestPu);
    }

    internal sealed record DroopInput([Range(-1e9, 1e9)] double TotalTorqueNm, [Length(1, 50)] IReadOnlyList<DroopUnit> Units);

    internal sealed record DroopOutput(double SpeedPu, IReadOnlyList<double> TorquesNm, double ImbalancePct);

    internal sealed record BusInput(
        [Length(1, 100)] IReadOnlyList<MemberInput> Members, [Range(0, 1e9)] double ContinuousW = 0, [Range(0, 1e9)] double ReturnW = 0,
        [Range(0, 1e9)] double ChopperW = 0, [Range(10, 5000)] double RestV = 566, double ChopperV = 760, double TripV = 820,
        double UndervoltageV = 0, bool MainsOff = false);

    internal sealed record MemberInput([Length(1, 1000)] IReadOnlyList<BusPower> Powers, [Range(0, 1e8)] double CapacitanceUf = 0);

    internal sealed record BusOutput(
        double SpanS,
        double PeakW,
        double RmsW,
        double MeanW,
        double PeakReturnW,
        double SumOfPeaksW,
        double TakenJ,
        double GivenJ,
        double ExchangedJ,
        double SupplyJ,
        double ReturnedJ,
        double BurntJ,
        double StoredJ,
        double HighestV,
        bool Trips,
        double? OffAtS,
        double RestPct);
}
