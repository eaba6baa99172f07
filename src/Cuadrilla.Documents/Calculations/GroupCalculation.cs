using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Studies.Groups;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>motor-group</c>.</summary>
internal static class GroupCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("reserve", input.Reserve, 1, 5)
            .Number("simultaneityPct", input.SimultaneityPct, 1, 100)
            .Require(input.Motors.Count is > 0 and <= 100, "motors", $"{input.Motors.Count} kinds", "1 to 100 kinds of motors");
        for (var i = 0; i < input.Motors.Count; i++)
        {
            ranges
                .Number($"motors/{i}/count", input.Motors[i].Count, 1, 1000)
                .Number($"motors/{i}/ratedCurrentA", input.Motors[i].RatedCurrentA, 0, 1e5, minExcluded: true)
                .Number($"motors/{i}/lateStartA", input.Motors[i].LateStartA, 0, 1e6)
                .Number($"motors/{i}/jamA", input.Motors[i].JamA, 0, 1e6);
        }

        ranges.Done();
        var found = GroupCurrent.Of([.. input.Motors.Select(m => new GroupMotors(m.Count, m.RatedCurrentA, m.LateStartA))], input.Reserve, input.SimultaneityPct / 100);
        return new Output(found.SumA, found.WantedA, found.LateStartA, found.LateIndex, [.. input.Motors.Select(m => TripS(m, input.Trip))],
            [.. input.Motors.Select(m => LongestS(m, input.Trip))]);
    }

    private static double? TripS(MotorInput motor, TripClass trip)
    {
        var time = motor.JamA > 0 ? TripHeat.TripS(motor.JamA / motor.RatedCurrentA, 1, trip) : double.PositiveInfinity;
        return double.IsInfinity(time) ? null : time;
    }

    private static double? LongestS(MotorInput motor, TripClass trip)
    {
        var time = motor.JamA > 0 ? TripHeat.LongestTripS(motor.JamA / motor.RatedCurrentA, 0, trip) : double.PositiveInfinity;
        return double.IsInfinity(time) ? null : time;
    }

    internal sealed record Input(IReadOnlyList<MotorInput> Motors, double Reserve = 1.25, double SimultaneityPct = 100, TripClass Trip = TripClass.Class10);

    internal sealed record MotorInput(int Count, double RatedCurrentA, double LateStartA = 0, double JamA = 0);

    internal sealed record Output(double SumA, double WantedA, double LateStartA, int LateIndex, IReadOnlyList<double?> JamTripS, IReadOnlyList<double?> JamTripLongestS);
}
