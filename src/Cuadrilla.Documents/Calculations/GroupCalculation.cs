using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Studies.Groups;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>motor-group</c>.</summary>
internal static class GroupCalculation
{
    public static object Run(Input input)
    {
        var found = GroupCurrent.Of([.. input.Motors.Select(m => new GroupMotors(m.Count, m.RatedCurrentA, m.LateStartA))], input.Reserve,
            input.SimultaneityPct / 100);
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

    internal sealed record Input([Length(1, 100)] IReadOnlyList<MotorInput> Motors, [Range(1, 5)] double Reserve = 1.25,
        [Range(1, 100)] double SimultaneityPct = 100, TripClass Trip = TripClass.Class10);

    internal sealed record MotorInput([Range(1, 1000)] int Count, [Above(0, 1e5)] double RatedCurrentA,
        [Range(0, 1e6)] double LateStartA = 0, [Range(0, 1e6)] double JamA = 0);

    internal sealed record Output(double SumA, double WantedA, double LateStartA, int LateIndex, IReadOnlyList<double?> JamTripS,
        IReadOnlyList<double?> JamTripLongestS);
}
