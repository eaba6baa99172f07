using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of loads that are not fans or pumps.</summary>
internal static class MechanicalLoadValidation
{
    private const int MaxProfilePoints = 5000;

    public static void Check(MechanicalLoad load, string at, ProblemList p)
    {
        DrivePointValidation.DutyHours(load.Duty, at, p);
        switch (load)
        {
            case ConveyorLoad { LengthM: { IsKnown: true } length } l:
                p.Within<ConveyorLoad>(at, nameof(l.LiftM), l.LiftM, -Math.Max(0, length.Value), Math.Max(0, length.Value),
                    because: ", not more than the length");
                break;
            case WinderLoad { CoreDiameterM: { IsKnown: true } core } l:
                p.Within<WinderLoad>(at, nameof(l.FullDiameterM), l.FullDiameterM, core.Value, double.MaxValue,
                    because: ", not less than the core");
                break;
            case ProfileLoad l:
                Profile(l, at, p);
                break;
        }
    }

    private static void Profile(ProfileLoad l, string at, ProblemList p)
    {
        p.Require(l.Points.Count <= MaxProfilePoints, at + "/points", "Number of points", $"{l.Points.Count}", $"up to {MaxProfilePoints}");
        p.Require(l.Points.Count < 2 || l.Points[^1].TimeS > l.Points[0].TimeS || double.IsNaN(l.Points[^1].TimeS), at + "/points",
            "Duration of the profile", "0 s", "above 0 s");
        var last = double.NegativeInfinity;
        for (var i = 0; i < l.Points.Count; i++)
        {
            var point = l.Points[i];
            p.Require(point.TimeS >= last || double.IsNaN(point.TimeS), $"{at}/points/{i}/timeS", "Time",
                FormattableString.Invariant($"{point.TimeS} s"), FormattableString.Invariant($"not below {last} s: time must not go back"));
            p.Require(
                i < 2 || l.Points[i - 2].TimeS != point.TimeS || double.IsNaN(point.TimeS), $"{at}/points/{i}/timeS", "Time",
                FormattableString.Invariant($"{point.TimeS} s a third time"),
                "two points at one time at most: a step of the torque");
            p.Require(
                i == 0 || l.Points[i - 1].TimeS != point.TimeS || l.Points[i - 1].SpeedRpm == point.SpeedRpm
                    || double.IsNaN(point.SpeedRpm), $"{at}/points/{i}/speedRpm", "Speed",
                FormattableString.Invariant($"{point.SpeedRpm} rpm"), "the same at a step: torque can jump, speed can't");
            last = point.TimeS;
        }
    }
}
