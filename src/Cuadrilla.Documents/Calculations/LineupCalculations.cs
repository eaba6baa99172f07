using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>droop-share</c> and <c>common-bus</c>.</summary>
internal static class LineupCalculations
{
    public static object Droop(DroopInput input, InputRanges ranges)
    {
        ranges
            .Number("totalTorqueNm", input.TotalTorqueNm, -1e9, 1e9)
            .Require(input.Units.Count is > 0 and <= 50, "units", $"{input.Units.Count} units", "1 to 50 units");
        for (var i = 0; i < input.Units.Count; i++)
        {
            ranges
                .Number($"units/{i}/ratedTorqueNm", input.Units[i].RatedTorqueNm, 0, 1e9, minExcluded: true)
                .Number($"units/{i}/droopPct", input.Units[i].DroopPct, 0, 100, minExcluded: true)
                .Number($"units/{i}/speedErrorPct", input.Units[i].SpeedErrorPct, -50, 50);
        }

        ranges.Done();
        var found = DroopShare.Of(input.TotalTorqueNm, input.Units);
        return new DroopOutput(found.SpeedPu, found.TorquesNm, found.ImbalancePct);
    }

    public static object CommonBus(BusInput input, InputRanges ranges)
    {
        ranges
            .Number("continuousW", input.ContinuousW, 0, 1e9)
            .Number("returnW", input.ReturnW, 0, 1e9)
            .Number("chopperW", input.ChopperW, 0, 1e9)
            .Number("restV", input.RestV, 10, 5000)
            .Number("chopperV", input.ChopperV, input.RestV, 5000)
            .Number("tripV", input.TripV, input.RestV, 5000)
            .Require(input.Members.Count is > 0 and <= 100, "members", $"{input.Members.Count} members", "1 to 100 members");
        for (var i = 0; i < input.Members.Count; i++)
        {
            var member = input.Members[i];
            ranges
                .Number($"members/{i}/capacitanceUf", member.CapacitanceUf, 0, 1e8)
                .Require(member.Powers.Count is > 0 and <= 1000, $"members/{i}/powers", $"{member.Powers.Count} powers", "1 to 1000 powers");
            for (var k = 0; k < member.Powers.Count; k++)
            {
                ranges
                    .Number($"members/{i}/powers/{k}/durationS", member.Powers[k].DurationS, 1e-3, 1e6)
                    .Number($"members/{i}/powers/{k}/powerW", member.Powers[k].PowerW, -1e9, 1e9);
            }
        }

        ranges.Done();
        double longest = input.Members.Max(m => m.Powers.Sum(p => p.DurationS)), shortest = input.Members.Min(m => m.Powers.Sum(p => p.DurationS));
        ranges.Require(longest / shortest <= 1000, "members", FormattableString.Invariant($"cycles of {shortest:0.###} to {longest:0.###} s"), "cycles that differ by a factor of at most 1000");
        ranges.Done();
        var found = CommonBusStudy.Run(
            [.. input.Members.Select((m, i) => new BusMember($"{i}", m.Powers, m.CapacitanceUf * 1e-6))],
            new BusSupply(input.ContinuousW, input.ContinuousW, input.ReturnW, input.ChopperW, input.RestV, input.ChopperV, input.TripV, input.UndervoltageV, input.MainsOff));
        return new BusOutput(
            found.SpanS, found.PeakW, found.RmsW, found.MeanW, found.PeakReturnW, found.SumOfPeaksW, found.TakenJ, found.GivenJ, found.ExchangedJ, found.SupplyJ,
            found.ReturnedJ, found.BurntJ, found.StoredJ, found.HighestV, found.Trips, found.OffAtS, 100 * found.RestPu);
    }

    internal sealed record DroopInput(double TotalTorqueNm, IReadOnlyList<DroopUnit> Units);

    internal sealed record DroopOutput(double SpeedPu, IReadOnlyList<double> TorquesNm, double ImbalancePct);

    internal sealed record BusInput(
        IReadOnlyList<MemberInput> Members, double ContinuousW = 0, double ReturnW = 0, double ChopperW = 0, double RestV = 566, double ChopperV = 760, double TripV = 820,
        double UndervoltageV = 0, bool MainsOff = false);

    internal sealed record MemberInput(IReadOnlyList<BusPower> Powers, double CapacitanceUf = 0);

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
